package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
    List<AtValve> at = head.stream().map(b -> new BestWay(kind, b, asked).find()).toList();
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
}
