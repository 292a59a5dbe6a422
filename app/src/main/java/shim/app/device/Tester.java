package shim.app.device;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The one spring tester that is connected. */
@Service
public class Tester extends Instrument {
  private static final double CLOSE = 0.006;
  private static final double LEAST_LBF = 5;

  Tester() {
    super("tester", new Steady(high -> CLOSE * high, LEAST_LBF));
  }

  /**
   * The tester now.
   *
   * @param loadLbf live reading
   * @param steady it may be taken
   * @param trouble why there is none any more
   * @param suggested an address that is known to answer
   */
  public record TesterNow(
      boolean connected,
      @Nullable String name,
      @Nullable String address,
      double loadLbf,
      boolean steady,
      @Nullable String trouble,
      @Nullable String suggested,
      List<String> serialPorts) {}

  @Override
  OptionalDouble figure(Spoken spoken) {
    return spoken instanceof Spoken.Load load
        ? OptionalDouble.of(load.lbf())
        : OptionalDouble.empty();
  }

  public TesterNow now() {
    Live l = live();
    return new TesterNow(
        l.connected(),
        l.name(),
        l.address(),
        l.steady() ? Math.round(l.figure() * 10) / 10.0 : l.figure(),
        l.steady(),
        l.trouble(),
        l.suggested(),
        SerialLine.ports());
  }

  /** Tells the tester where it stands; one that does not care may ignore it. */
  public void standAt(String place, double heightIn) {
    moveTo(String.format(Locale.ROOT, "AT %s %.4f", place, heightIn));
  }
}
