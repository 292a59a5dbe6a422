package shim.core.spring;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.unit.Figures;

/**
 * Which part of a valve's chain carries least: each with a largest open spring load, valve lift or
 * engine speed.
 *
 * @param links the nearest to its limit first
 */
public record WeakestLink(List<Link> links) {
  /** Parts of the chain. */
  public enum Part {
    SPRING,
    ROTATOR,
    ROCKER,
    LOCK,
    LIFTER,
    STUD,
    PUSHROD
  }

  /** What a limit is a limit of. */
  public enum Measure {
    OPEN_LOAD_LBF("open load, lbf"),
    LIFT_IN("lift, in"),
    RPM("rpm");

    private final String words;

    Measure(String words) {
      this.words = words;
    }
  }

  /** Stock rotators are not for more open load. Common practice, no source. */
  private static final double STOCK_ROTATOR_LBF = 220;

  /** A part's limits; blank where it has none. */
  public record Limit(
      Part part, @Nullable Double openLbf, @Nullable Double liftIn, @Nullable Double rpm) {
    /** Of a rotator as engines leave their maker with. */
    public static final Limit STOCK_ROTATOR =
        new Limit(Part.ROTATOR, STOCK_ROTATOR_LBF, null, null);

    /** This one's figures, and the other's where this has none. */
    private Limit over(Limit other) {
      return new Limit(
          part,
          openLbf == null ? other.openLbf : openLbf,
          liftIn == null ? other.liftIn : liftIn,
          rpm == null ? other.rpm : rpm);
    }
  }

  /** Limits that hold at one kind of valve only go before those of both, figure by figure. */
  public static List<Limit> at(List<Limit> both, List<Limit> own) {
    Map<Part, Limit> all = new EnumMap<>(Part.class);
    both.forEach(l -> all.put(l.part(), l));
    own.forEach(l -> all.merge(l.part(), l, (general, mine) -> mine.over(general)));
    return List.copyOf(all.values());
  }

  /** What is asked of the chain. */
  public record Duty(double openLbf, double grossLiftIn, double topRpm) {}

  /**
   * One part under one duty.
   *
   * @param used duty over limit; above 1 it is exceeded
   */
  public record Link(Part part, Measure of, double duty, double limit, double used) {
    public boolean exceeded() {
      return Figures.above(used, 1);
    }
  }

  public WeakestLink {
    links = List.copyOf(links);
  }

  public static WeakestLink of(List<Limit> limits, Duty duty) {
    return new WeakestLink(
        limits.stream()
            .flatMap(
                l ->
                    Stream.of(
                        link(l.part(), Measure.OPEN_LOAD_LBF, duty.openLbf(), l.openLbf()),
                        link(l.part(), Measure.LIFT_IN, duty.grossLiftIn(), l.liftIn()),
                        link(l.part(), Measure.RPM, duty.topRpm(), l.rpm())))
            .flatMap(Optional::stream)
            .sorted(Comparator.comparingDouble(Link::used).reversed())
            .toList());
  }

  private static Optional<Link> link(Part part, Measure of, double duty, @Nullable Double limit) {
    if (limit != null && !(limit > 0)) {
      throw new IllegalArgumentException(
          "a limit of " + limit + " for " + of.words + " cannot be: above zero");
    }
    return limit == null || duty <= 0
        ? Optional.empty()
        : Optional.of(new Link(part, of, duty, limit, duty / limit));
  }

  /** The part nearest to its limit. */
  public Optional<Link> first() {
    return links.stream().findFirst();
  }
}
