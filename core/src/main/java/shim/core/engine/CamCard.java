package shim.core.engine;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import shim.core.lobe.LobeCurve;

/**
 * The two lobes of a cam as the card gives them, each taken as symmetric about its centre.
 *
 * @param intake intake lobe
 * @param exhaust exhaust lobe
 */
public record CamCard(Lobe intake, Lobe exhaust) {

  /**
   * A lobe as measured.
   *
   * @param curve lift over crank degrees from the lobe's centre
   * @param on the valve it was measured on; empty where that was not said
   * @param stepDeg step of the table, crank degrees: the ramp may begin anywhere between two rows
   */
  public record Measured(LobeCurve curve, String on, double stepDeg) {}

  /** Duration between the two points of a tappet lift: lift in inch, duration in crank degrees. */
  public record Duration(double tappetLiftIn, double durationDeg) {}

  /**
   * @param lobeLiftIn lift of the tappet, inch
   * @param durations at one or more tappet lifts, lowest lift first, durations falling
   * @param centreDeg lobe centre: intake after, exhaust before gas-exchange TDC, crank degrees
   * @param measured the lobe as measured; where there is one it beats the durations
   */
  public record Lobe(
      ValveKind kind,
      double lobeLiftIn,
      List<Duration> durations,
      double centreDeg,
      Optional<Measured> measured) {
    /** By the card alone. */
    public Lobe(ValveKind kind, double lobeLiftIn, List<Duration> durations, double centreDeg) {
      this(kind, lobeLiftIn, durations, centreDeg, Optional.empty());
    }

    public Lobe {
      durations =
          durations.stream().sorted(Comparator.comparingDouble(Duration::tappetLiftIn)).toList();
      if (durations.isEmpty()) {
        throw new IllegalArgumentException("a lobe needs at least one duration");
      }
    }

    /** The duration at the smallest tappet lift known: the one that bounds the free window. */
    public Duration lowest() {
      return durations.get(0);
    }

    /** Lobe centre as a phase of the cylinder's cycle, crank degrees after compression TDC. */
    public double centrePhaseDeg() {
      return kind == ValveKind.INTAKE ? 360 + centreDeg : 360 - centreDeg;
    }
  }

  public Lobe lobe(ValveKind kind) {
    return kind == ValveKind.INTAKE ? intake : exhaust;
  }

  /** Lobe separation angle, (ICL + ECL) / 2, in degrees. */
  public double lsaDeg() {
    return (intake.centreDeg() + exhaust.centreDeg()) / 2;
  }

  /** How far the cam is put in ahead of straight up: LSA - ICL, crank degrees. */
  public double advanceDeg() {
    return lsaDeg() - intake.centreDeg();
  }
}
