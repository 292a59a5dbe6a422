package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Engine;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/**
 * Which spring for a head and a cam: every kind tried at every valve with every retainer, lock, cup
 * and stack of shims that can be had for it, and ranked. What cannot be says why not.
 *
 * @param kinds the best first
 */
public record SpringChoice(List<Ranked> kinds) {

  /**
   * A kind of spring that may be chosen.
   *
   * @param id names it
   * @param inStock springs of it that lie free
   * @param price of one; null where nobody wrote it down
   */
  public record KindOf(
      String id,
      SpringSheet sheet,
      SpringType type,
      Kit kit,
      int inStock,
      @Nullable Double price) {}

  /**
   * A valve of a bare head.
   *
   * @param heightIn with plain locks, the usual retainer and nothing under the spring
   * @param pocketIn the widest of its readings; null where it was not measured
   * @param sealGapIn retainer to seal, valve closed, with the same parts; null where not measured
   */
  public record Bare(
      Position valve,
      double heightIn,
      @Nullable Double pocketIn,
      @Nullable Double sealGapIn,
      Kit.Stem stem) {}

  /**
   * What the engine and the team ask.
   *
   * @param targetIn height wanted by kind of valve; a kind that is missing takes the spring's own
   * @param boostLbf what boost takes off a closed valve's load, by kind of valve
   */
  public record Asked(
      Engine engine,
      FitLimits limits,
      double toleranceIn,
      List<Double> shimsIn,
      HeightPlan.School school,
      Map<ValveKind, Double> targetIn,
      Map<ValveKind, Double> boostLbf,
      Map<ValveKind, List<WeakestLink.Limit>> links,
      double topRpm) {}

  /** How a kind stands. */
  public enum Verdict {
    FITS,
    /** It can be had to fit; something is asked about or must be cut. */
    WITH_QUESTIONS,
    NOT
  }

  /**
   * One kind, judged.
   *
   * @param at one for each valve of the head
   * @param reasons what is said of it, the heaviest first, with where
   * @param cuts valves at which something must be machined or made
   * @param exceeded parts of the chain it asks too much of
   * @param breakIn of flat tappets only
   * @param toBuy springs that lie nowhere yet
   * @param cost of those; null where nobody wrote down what one costs
   */
  public record Ranked(
      KindOf kind,
      Verdict verdict,
      List<AtValve> at,
      List<Against> reasons,
      int cuts,
      List<WeakestLink.Link> exceeded,
      Optional<BreakIn> breakIn,
      int toBuy,
      @Nullable Double cost) {}

  /**
   * The best way at one valve.
   *
   * @param retainer null for the usual one
   * @param locks null for plain ones
   * @param cup null for none
   * @param ringBindIn least clearance to bind of a ring of a nest that has its own figure
   * @param mismatch why none of the kind's locks go in here; null where some do
   */
  public record AtValve(
      Position valve,
      HeightPlan.Way way,
      Kit.@Nullable RetainerPart retainer,
      Kit.@Nullable LockPart locks,
      Kit.@Nullable CupPart cup,
      Fit fit,
      @Nullable Double ringBindIn,
      Kit.@Nullable Mismatch mismatch) {}

  /** Something said of a kind, and the valves it is said of. */
  public record Against(Fit.Weight weight, Said said, List<Position> valves) {
    public Against {
      valves = List.copyOf(valves);
    }
  }

  /** What can be said against a kind beside its fit. */
  public enum Code implements Said.Code {
    OUT_OF_HEIGHT("offIn"),
    MUST_BE_CUT("byIn"),
    NO_LOCKS(),
    LINK_OVER_LOAD("dutyLbf", "limitLbf"),
    LINK_OVER_LIFT("dutyIn", "limitIn"),
    LINK_OVER_SPEED("duty", "limit"),
    RING_BINDS("clearanceIn", "leastIn"),
    HEIGHT_UNKNOWN();

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("CHOICE", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /** Which of the two schools of breaking in flat tappets are content. Practice, no source. */
  public enum BreakInSays {
    WHOLE,
    INNER_OUT,
    LIGHTER_SET
  }

  /**
   * Breaking in flat tappets: one school keeps the open load to some 220 lbf, inner out if need be;
   * the other breaks in at 280. Common practice, no source.
   *
   * @param outerLbf open load with the inner out; empty where it has none, or nothing tells
   */
  public record BreakIn(
      double openLbf, Optional<Nest.Alone> outerLbf, BreakInSays gentle, BreakInSays hearty) {
    private static final double GENTLE_LBF = 220;
    private static final double HEARTY_LBF = 280;

    static BreakIn of(double openLbf, Optional<Nest.Alone> outer) {
      return new BreakIn(
          openLbf, outer, says(openLbf, outer, GENTLE_LBF), says(openLbf, outer, HEARTY_LBF));
    }

    private static BreakInSays says(double open, Optional<Nest.Alone> outer, double most) {
      if (Figures.atMost(open, most)) {
        return BreakInSays.WHOLE;
      }
      return outer.filter(o -> Figures.atMost(o.loadLbf(), most)).isPresent()
          ? BreakInSays.INNER_OUT
          : BreakInSays.LIGHTER_SET;
    }
  }

  public SpringChoice {
    kinds = List.copyOf(kinds);
  }

  /** All kinds, ranked: what fits first, then the fewest questions, cuts, and the least to pay. */
  public static SpringChoice of(List<KindOf> kinds, List<Bare> head, Asked asked) {
    return new SpringChoice(
        kinds.stream().map(k -> judge(k, head, asked)).sorted(BEST_FIRST).toList());
  }

  private static final Comparator<Ranked> BEST_FIRST =
      Comparator.comparing(Ranked::verdict)
          .thenComparing(r -> of(r, Fit.Weight.STOP))
          .thenComparing(Ranked::cuts)
          .thenComparing(r -> of(r, Fit.Weight.ASK))
          .thenComparing(r -> of(r, Fit.Weight.KNOW))
          .thenComparing(r -> Objects.requireNonNullElse(r.cost(), Double.MAX_VALUE))
          .thenComparing(Ranked::toBuy)
          .thenComparing(r -> r.kind().type().name());

  /** Valves at which something of a weight is said. */
  private static int of(Ranked r, Fit.Weight weight) {
    return r.reasons().stream()
        .filter(x -> x.weight() == weight)
        .mapToInt(x -> Math.max(1, x.valves().size()))
        .sum();
  }

  private static Ranked judge(KindOf kind, List<Bare> head, Asked asked) {
    List<AtValve> at = head.stream().map(b -> new Valve(kind, b, asked).best()).toList();
    Map<ValveKind, WeakestLink.Link> over = new EnumMap<>(ValveKind.class);
    List<WeakestLink.Link> exceeded = new ArrayList<>();
    Reasons reasons = new Reasons();
    if (head.isEmpty()) {
      reasons.add(Fit.Weight.STOP, Said.of(Code.HEIGHT_UNKNOWN), null);
    }
    for (AtValve a : at) {
      said(a, asked, reasons);
      links(a, asked).stream()
          .filter(WeakestLink.Link::exceeded)
          .forEach(
              l -> {
                if (over.putIfAbsent(a.valve().kind(), l) == null) {
                  exceeded.add(l);
                }
                reasons.add(
                    Fit.Weight.STOP,
                    Said.of(over(l.of()), l.duty(), l.limit()).named(l.part().name()),
                    a.valve());
              });
    }
    int cuts = (int) at.stream().filter(a -> a.way().cutOrMade()).count();
    int buy = Math.max(0, at.size() - kind.inStock());
    return new Ranked(
        kind,
        verdict(reasons, cuts),
        at,
        reasons.all(),
        cuts,
        exceeded,
        breakIn(kind, at, asked),
        buy,
        kind.price() == null ? null : Double.valueOf(buy * kind.price()));
  }

  private static Code over(WeakestLink.Measure of) {
    return switch (of) {
      case OPEN_LOAD_LBF -> Code.LINK_OVER_LOAD;
      case LIFT_IN -> Code.LINK_OVER_LIFT;
      case RPM -> Code.LINK_OVER_SPEED;
    };
  }

  private static Verdict verdict(Reasons reasons, int cuts) {
    if (reasons.has(Fit.Weight.STOP)) {
      return Verdict.NOT;
    }
    return cuts > 0 || reasons.has(Fit.Weight.ASK) ? Verdict.WITH_QUESTIONS : Verdict.FITS;
  }

  private static void said(AtValve a, Asked asked, Reasons reasons) {
    a.fit().remarks().forEach(r -> reasons.add(r.weight(), r.said(), a.valve()));
    if (!a.way().within()) {
      reasons.add(Fit.Weight.STOP, Said.of(Code.OUT_OF_HEIGHT, a.way().offIn()), a.valve());
    } else if (a.way().cutOrMade()) {
      reasons.add(Fit.Weight.ASK, Said.of(Code.MUST_BE_CUT, a.way().machineIn()), a.valve());
    }
    if (a.ringBindIn() != null && Figures.below(a.ringBindIn(), asked.limits().bindIn())) {
      boolean stop = Figures.below(a.ringBindIn(), asked.limits().bindStopIn());
      reasons.add(
          stop ? Fit.Weight.STOP : Fit.Weight.ASK,
          Said.of(
              Code.RING_BINDS,
              a.ringBindIn(),
              stop ? asked.limits().bindStopIn() : asked.limits().bindIn()),
          a.valve());
    }
    if (a.mismatch() != null) {
      reasons.add(Fit.Weight.STOP, Said.of(Code.NO_LOCKS).named(a.mismatch().name()), a.valve());
    }
  }

  /** Parts of a valve's chain under it, the nearest to its limit first. */
  public static List<WeakestLink.Link> links(AtValve a, Asked asked) {
    double gross = Fit.Lift.of(asked.engine(), a.valve().kind()).map(Fit.Lift::grossIn).orElse(0.0);
    return WeakestLink.of(
            asked.links().getOrDefault(a.valve().kind(), List.of()),
            new WeakestLink.Duty(a.fit().openLbf(), gross, asked.topRpm()))
        .links();
  }

  private static Optional<BreakIn> breakIn(KindOf kind, List<AtValve> at, Asked asked) {
    Lifter lifter = asked.engine().drive().lifter();
    boolean flat = lifter == Lifter.FLAT_SOLID || lifter == Lifter.FLAT_HYDRAULIC;
    if (!flat || at.isEmpty()) {
      return Optional.empty();
    }
    AtValve most =
        at.stream().max(Comparator.comparingDouble(a -> a.fit().openLbf())).orElseThrow();
    double net = Fit.Lift.of(asked.engine(), most.valve().kind()).map(Fit.Lift::netIn).orElse(0.0);
    return Optional.of(
        BreakIn.of(
            most.fit().openLbf(),
            Nest.of(kind.sheet(), kind.type())
                .flatMap(n -> n.outerAt(most.fit().heightIn() - net))));
  }

  /** Things said, gathered by what is said; figures of the first valve stand for all. */
  private static final class Reasons {
    private final Map<String, Against> byCode = new LinkedHashMap<>();

    void add(Fit.Weight weight, Said said, @Nullable Position valve) {
      List<Position> here = valve == null ? List.of() : List.of(valve);
      byCode.merge(
          weight + said.code() + said.name(),
          new Against(weight, said, here),
          (a, b) -> {
            List<Position> both = new ArrayList<>(a.valves());
            b.valves().stream().filter(p -> !both.contains(p)).forEach(both::add);
            return new Against(weight, a.said(), both);
          });
    }

    boolean has(Fit.Weight weight) {
      return byCode.values().stream().anyMatch(r -> r.weight() == weight);
    }

    List<Against> all() {
      return byCode.values().stream()
          .sorted(Comparator.comparing(Against::weight).reversed())
          .toList();
    }
  }

  /** Everything that can be had for one kind at one valve. */
  private static final class Valve {
    private final KindOf kind;
    private final Bare bare;
    private final Asked asked;
    private final Optional<Fit.Lift> lift;

    Valve(KindOf kind, Bare bare, Asked asked) {
      this.kind = kind;
      this.bare = bare;
      this.asked = asked;
      this.lift = Fit.Lift.of(asked.engine(), bare.valve().kind());
    }

    /** The way with the least against it; of equals the one of least work. */
    AtValve best() {
      List<AtValve> all = tried(true);
      List<AtValve> any = all.isEmpty() ? tried(false) : all;
      return any.stream()
          .min(
              Comparator.comparing((AtValve a) -> !a.way().within())
                  .thenComparing(a -> against(a, Fit.Weight.STOP))
                  .thenComparing(a -> a.way().cutOrMade())
                  .thenComparing(a -> against(a, Fit.Weight.ASK))
                  .thenComparing(a -> a.cup() != null)
                  .thenComparing(a -> a.way().pieces())
                  .thenComparing(a -> a.way().lockIn() != 0)
                  .thenComparing(a -> a.way().retainerIn() != 0)
                  .thenComparing(a -> Math.abs(a.way().offIn())))
          .orElseThrow();
    }

    /** All there is; or, where no locks match, all there would be if some did. */
    private List<AtValve> tried(boolean matching) {
      List<AtValve> all = new ArrayList<>();
      List<Kit.@Nullable CupPart> cups = new ArrayList<>(kind.kit().cups());
      cups.add(0, null);
      for (Kit.CupPart cup : cups) {
        for (HeightPlan.Way way : ways(cup)) {
          at(way, cup, matching).ifPresent(all::add);
        }
      }
      return all;
    }

    private long against(AtValve a, Fit.Weight weight) {
      boolean ring =
          a.ringBindIn() != null
              && Figures.below(
                  a.ringBindIn(),
                  weight == Fit.Weight.STOP
                      ? asked.limits().bindStopIn()
                      : asked.limits().bindIn());
      return a.fit().remarks().stream().filter(r -> r.weight() == weight).count() + (ring ? 1 : 0);
    }

    private List<HeightPlan.Way> ways(Kit.@Nullable CupPart cup) {
      double height = bare.heightIn() - (cup == null ? 0 : cup.thickIn());
      double target =
          asked.targetIn().getOrDefault(bare.valve().kind(), kind.type().referenceHeightIn());
      return HeightPlan.all(
          new HeightPlan.Wanted(
              height,
              target,
              asked.toleranceIn(),
              asked.shimsIn(),
              kind.kit().locks().stream().map(Kit.LockPart::raisesIn).toList(),
              kind.kit().retainers().stream().map(Kit.RetainerPart::raisesIn).toList(),
              asked.school(),
              null));
    }

    /** Nothing where the retainer and locks it takes do not go together. */
    private Optional<AtValve> at(HeightPlan.Way way, Kit.@Nullable CupPart cup, boolean matching) {
      Optional<Pair> pair = matching ? pair(way) : Optional.of(Pair.NONE);
      if (pair.isEmpty()) {
        return Optional.empty();
      }
      Pair parts = pair.get();
      Double gap = bare.sealGapIn();
      Double pocket = cup == null ? bare.pocketIn() : Double.valueOf(cup.insideIn());
      Fit fit =
          Fit.of(
              kind.type(),
              new Fit.Measured(
                  way.heightIn(),
                  gap == null ? null : gap + way.sealIn(Stack.PLAIN),
                  pocket,
                  null,
                  null,
                  null),
              lift,
              new Fit.Asked(
                  asked.engine().drive().lifter(),
                  asked.limits(),
                  asked.boostLbf().getOrDefault(bare.valve().kind(), 0.0)));
      OptionalDouble ring =
          Nest.of(kind.sheet(), kind.type())
              .map(n -> n.bindClearanceIn(way.heightIn(), lift.map(Fit.Lift::grossIn).orElse(0.0)))
              .orElse(OptionalDouble.empty());
      return Optional.of(
          new AtValve(
              bare.valve(),
              way,
              parts.retainer(),
              parts.locks(),
              cup,
              fit,
              ring.isPresent() ? ring.getAsDouble() : null,
              matching ? null : mismatch()));
    }

    /** What speaks against the first of the kind's locks. */
    private Kit.Mismatch mismatch() {
      return kind.kit().locks().stream()
          .flatMap(l -> Kit.mismatch(l, null, bare.stem()).stream())
          .findFirst()
          .orElse(Kit.Mismatch.ANGLE);
    }

    private record Pair(Kit.@Nullable RetainerPart retainer, Kit.@Nullable LockPart locks) {
      static final Pair NONE = new Pair(null, null);
    }

    /** A retainer and locks of the kit that make a way, and go together on this stem. */
    private Optional<Pair> pair(HeightPlan.Way way) {
      List<Kit.@Nullable RetainerPart> retainers =
          new ArrayList<>(
              kind.kit().retainers().stream()
                  .filter(r -> Figures.same(r.raisesIn(), way.retainerIn()))
                  .toList());
      if (way.retainerIn() == 0 && retainers.isEmpty()) {
        retainers.add(null);
      }
      List<Kit.LockPart> locks =
          kind.kit().locks().stream()
              .filter(l -> Figures.same(l.raisesIn(), way.lockIn()))
              .toList();
      for (Kit.RetainerPart r : retainers) {
        for (Kit.LockPart l : locks) {
          if (Kit.mismatch(l, r, bare.stem()).isEmpty()) {
            return Optional.of(new Pair(r, l));
          }
        }
      }
      boolean plain = kind.kit().locks().isEmpty() && way.lockIn() == 0 && !retainers.isEmpty();
      return plain ? Optional.of(new Pair(retainers.get(0), null)) : Optional.empty();
    }
  }
}
