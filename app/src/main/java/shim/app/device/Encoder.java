package shim.app.device;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The one crank encoder that is connected: degrees of the crank as a wheel would show them. */
@Service
public class Encoder extends Instrument {
  private static final double CLOSE_DEG = 0.2;

  Encoder() {
    super("encoder", new Steady(high -> CLOSE_DEG, Double.NEGATIVE_INFINITY));
  }

  /**
   * The encoder now.
   *
   * @param wheelDeg live reading, degrees on the side of TDC that is asked for
   * @param steady it may be taken
   */
  public record EncoderNow(
      boolean connected,
      @Nullable String name,
      @Nullable String address,
      double wheelDeg,
      boolean steady,
      @Nullable String trouble,
      @Nullable String suggested,
      List<String> serialPorts) {}

  @Override
  OptionalDouble figure(Spoken spoken) {
    return spoken instanceof Spoken.Angle angle
        ? OptionalDouble.of(angle.deg())
        : OptionalDouble.empty();
  }

  /** The encoder now, to a tenth of a degree. */
  public EncoderNow now() {
    Live l = live();
    return new EncoderNow(
        l.connected(),
        l.name(),
        l.address(),
        Math.round(l.figure() * 10) / 10.0,
        l.steady(),
        l.trouble(),
        l.suggested(),
        SerialLine.ports());
  }

  /** Tells the encoder which reading comes next, and how far under the nose, inch. */
  public void nextIs(String reading, double heightIn) {
    moveTo(String.format(Locale.ROOT, "AT %s %.4f", reading, heightIn));
  }
}
