package shim.app.device;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The one dial indicator that is connected, standing on a valve. */
@Service
public class Dial extends Instrument {
  private static final double CLOSE_IN = 0.0008;
  private static final double LEAST_IN = 0.05;

  Dial() {
    super("dial", new Steady(high -> CLOSE_IN, LEAST_IN));
  }

  /**
   * The dial now.
   *
   * @param liftIn live reading, inch over the base circle
   * @param steady it may be taken
   */
  public record DialNow(
      boolean connected,
      @Nullable String name,
      @Nullable String address,
      double liftIn,
      boolean steady,
      @Nullable String trouble,
      @Nullable String suggested,
      List<String> serialPorts) {}

  @Override
  OptionalDouble figure(Spoken spoken) {
    return spoken instanceof Spoken.Lift lift
        ? OptionalDouble.of(lift.inch())
        : OptionalDouble.empty();
  }

  public DialNow now() {
    Live l = live();
    return new DialNow(
        l.connected(),
        l.name(),
        l.address(),
        Math.round(l.figure() * 10_000) / 10_000.0,
        l.steady(),
        l.trouble(),
        l.suggested(),
        SerialLine.ports());
  }

  /** Tells the dial at which valve it stands, turned to full lift. */
  public void standAt(String place) {
    moveTo(String.format(Locale.ROOT, "AT %s", place));
  }
}
