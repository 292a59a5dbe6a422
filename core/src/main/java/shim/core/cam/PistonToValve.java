package shim.core.cam;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import shim.core.crank.CrankSlide;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;

/**
 * The free gap between one valve and its piston near gas-exchange TDC, along the valve's axis. With
 * the valve at lift v and the piston s below TDC, valve axis at α to the bore: a pocket parallel to
 * the valve head leaves g = g₀ + s cos α − v, a flat crown g = g₀ + s/cos α − v. One gap measured
 * at one angle gives g₀; the lift gives the rest. Angles count from gas-exchange TDC, after it
 * positive.
 *
 * @param valveAngleDeg α, degrees
 * @param centreDeg of the lobe: intake after, exhaust before gas-exchange TDC
 * @param lift of this valve as it stood when it was measured
 */
public record PistonToValve(
    ValveKind kind,
    CrankSlide slide,
    double valveAngleDeg,
    Crown crown,
    double centreDeg,
    ValveLift lift) {

  /** What the valve meets. */
  public enum Crown {
    POCKET,
    FLAT
  }

  /** How a gap was measured; each has its own trap. */
  public enum School {
    /** The running spring in, the rocker opened further by hand, dial on the retainer. */
    RUNNING_SPRING,
    /** A light checking spring, all the way round. */
    CHECKING_SPRING,
    /** No spring, valve in hand: it can drop into the cylinder. */
    NO_SPRING,
    /** Clay on the piston, its thickness afterwards. */
    CLAY
  }

  /**
   * One measured gap.
   *
   * @param atdcDeg where the crank stood
   * @param gapIn how far the valve moved on until it touched, or until spring or dial ended
   * @param touched it met the piston; else the gap is at least this
   */
  public record Reading(double atdcDeg, double gapIn, boolean touched) {
    public Reading {
      if (!(Math.abs(atdcDeg) <= REACH_DEG)) {
        throw new IllegalArgumentException(
            "a gap at " + atdcDeg + "° is not near gas-exchange TDC: 60° each way are possible");
      }
      if (!(gapIn >= 0 && gapIn <= 3)) {
        throw new IllegalArgumentException(
            "a gap of {" + gapIn + " in} cannot be: {0 in} to {3 in} is possible");
      }
    }
  }

  /**
   * What differs from when it was measured.
   *
   * @param advanceDeg cam turned on, crank degrees
   * @param raisesIn how much further the head stands off, inch: a thicker gasket; a cut deck is
   *     negative
   * @param sunkIn how much deeper the valve sits in its head, inch
   */
  public record Change(double advanceDeg, ValveLift lift, double raisesIn, double sunkIn) {
    public static Change none(ValveLift lift) {
      return new Change(0, lift, 0, 0);
    }
  }

  /** The gap at one angle, inch: least, middle, most. */
  public record At(double atdcDeg, double lowIn, double midIn, double highIn, double liftIn) {}

  /** The least gap of a curve. */
  public record Least(double atdcDeg, double lowIn, double midIn, double highIn) {}

  /** How a least gap stands against what is wanted. */
  public enum Margin {
    ENOUGH,
    TIGHT,
    TOUCHES,
    /** By the card's range it may be either. */
    NOT_SURE,
    /** What spring or dial could reach does not prove it. */
    NOT_PROVED
  }

  /** So far round gas-exchange TDC piston and valve can meet, degrees. */
  static final double REACH_DEG = 60;

  /** Gaps that give the engine's g₀ differently by more than this disagree, inch. Ours. */
  static final double AGREE_IN = 0.010;

  /** Usual least gaps, inch. Common practice, no source. */
  public static double usualIn(ValveKind kind) {
    return kind == ValveKind.INTAKE ? 0.080 : 0.100;
  }

  public PistonToValve {
    if (!(Math.abs(valveAngleDeg) < 60)) {
      throw new IllegalArgumentException(
          "a valve at " + valveAngleDeg + "° to the bore cannot be: less than 60° is possible");
    }
  }

  private double dropped(double atdcDeg) {
    double cos = Math.cos(Math.toRadians(valveAngleDeg));
    double s = slide.belowTdcIn(atdcDeg);
    return crown == Crown.POCKET ? s * cos : s / cos;
  }

  private double alongAxis(double raisesIn) {
    double cos = Math.cos(Math.toRadians(valveAngleDeg));
    return crown == Crown.POCKET ? raisesIn * cos : raisesIn / cos;
  }

  /** How much earlier a lobe with this centre stands than when it was measured, crank degrees. */
  public double earlierDeg(double otherCentreDeg) {
    return kind == ValveKind.INTAKE ? centreDeg - otherCentreDeg : otherCentreDeg - centreDeg;
  }

  private double fromCentre(double atdcDeg, double advanceDeg) {
    double centre = kind == ValveKind.INTAKE ? centreDeg : -centreDeg;
    return atdcDeg + advanceDeg - centre;
  }

  /**
   * g₀: the gap with the valve shut at TDC, by one reading.
   *
   * @return least, middle and most, as far as the lift at that angle is known
   */
  public Bounds shutAtTdcIn(Reading reading) {
    Bounds v = lift.at(fromCentre(reading.atdcDeg(), 0));
    double rest = reading.gapIn() - dropped(reading.atdcDeg());
    return new Bounds(rest + v.low(), rest + v.mid(), rest + v.high());
  }

  /** The gap at an angle, by one reading. */
  public At at(Reading reading, Change change, double atdcDeg) {
    Bounds then = lift.at(fromCentre(reading.atdcDeg(), 0));
    Bounds now = change.lift().at(fromCentre(atdcDeg, change.advanceDeg()));
    double rest =
        reading.gapIn()
            - dropped(reading.atdcDeg())
            + dropped(atdcDeg)
            + alongAxis(change.raisesIn())
            + change.sunkIn();
    // a lobe that is high at one angle is high at the other: the same end of the range for both
    double low = rest + then.low() - now.low();
    double high = rest + then.high() - now.high();
    double mid = rest + then.mid() - now.mid();
    return new At(
        atdcDeg,
        Math.min(mid, Math.min(low, high)),
        mid,
        Math.max(mid, Math.max(low, high)),
        now.mid());
  }

  /** The whole curve through overlap. */
  public List<At> curve(Reading reading, Change change, double stepDeg) {
    List<At> all = new ArrayList<>();
    int n = (int) Math.round(REACH_DEG / stepDeg);
    for (int i = -n; i <= n; i++) {
      all.add(at(reading, change, i * stepDeg));
    }
    return all;
  }

  /** The least gap and where it is: the curve's lowest point, found to a hundredth of a degree. */
  public Least least(Reading reading, Change change) {
    At mid = null;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.POSITIVE_INFINITY;
    for (At a : curve(reading, change, 0.5)) {
      low = Math.min(low, a.lowIn());
      high = Math.min(high, a.highIn());
      mid = mid == null || a.midIn() < mid.midIn() ? a : mid;
    }
    double at = Objects.requireNonNull(mid).atdcDeg();
    double from = Math.max(-REACH_DEG, at - 0.5);
    double to = Math.min(REACH_DEG, at + 0.5);
    while (to - from > 0.005) {
      double a = from + (to - from) / 3;
      double b = to - (to - from) / 3;
      if (at(reading, change, a).midIn() < at(reading, change, b).midIn()) {
        to = b;
      } else {
        from = a;
      }
    }
    At best = at(reading, change, (from + to) / 2);
    return new Least(
        best.atdcDeg(), Math.min(low, best.lowIn()), best.midIn(), Math.min(high, best.highIn()));
  }

  /**
   * The reading that leaves least: of several at one valve the careful one counts.
   *
   * @return empty where there is none
   */
  public Optional<Reading> tightest(List<Reading> readings) {
    return readings.stream()
        .min(
            Comparator.comparing((Reading r) -> !r.touched())
                .thenComparingDouble(r -> shutAtTdcIn(r).mid()));
  }

  /** How far readings at several angles differ in g₀, inch; empty below two that touched. */
  public OptionalDouble apartIn(List<Reading> readings) {
    double[] shut =
        readings.stream().filter(Reading::touched).mapToDouble(r -> shutAtTdcIn(r).mid()).toArray();
    return shut.length < 2
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            Arrays.stream(shut).max().orElseThrow() - Arrays.stream(shut).min().orElseThrow());
  }

  /** Readings of one valve say the same within a hundredth of an inch. */
  public boolean agree(List<Reading> readings) {
    OptionalDouble apart = apartIn(readings);
    return apart.isEmpty() || Figures.atMost(apart.getAsDouble(), AGREE_IN);
  }

  /**
   * How much of a drop a checking spring or dial of so much travel can prove at an angle, inch; the
   * rest is not proved here.
   */
  public double provesIn(double travelIn, double atdcDeg) {
    if (!(travelIn > 0 && travelIn <= 5)) {
      throw new IllegalArgumentException(
          String.format(Locale.ROOT, "a travel of {%s in} cannot be", travelIn));
    }
    return Math.max(0, travelIn - lift.at(fromCentre(atdcDeg, 0)).high());
  }

  /**
   * A least gap against what is wanted.
   *
   * @param wantedIn the team's own limit, inch
   */
  public static Margin judge(Least least, boolean touched, double wantedIn) {
    if (Figures.atLeast(least.lowIn(), wantedIn)) {
      return Margin.ENOUGH;
    }
    if (!touched) {
      return Margin.NOT_PROVED;
    }
    if (Figures.atMost(least.highIn(), 0)) {
      return Margin.TOUCHES;
    }
    return Figures.below(least.highIn(), wantedIn) ? Margin.TIGHT : Margin.NOT_SURE;
  }

  /** Gap all round between valve and pocket, inch; the usual least is 0.050, value from memory. */
  public static double radialIn(double pocketIn, double headIn, double offCentreIn) {
    if (!(pocketIn > 0 && headIn > 0 && pocketIn < 6 && headIn < 6 && offCentreIn >= 0)) {
      throw new IllegalArgumentException(
          "a pocket of {" + pocketIn + " in} and a valve of {" + headIn + " in} cannot be");
    }
    return (pocketIn - headIn) / 2 - offCentreIn;
  }
}
