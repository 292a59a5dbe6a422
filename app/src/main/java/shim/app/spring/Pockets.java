package shim.app.spring;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.spring.Candidate;
import shim.core.spring.Fit;
import shim.core.spring.FitLimits;
import shim.core.spring.HeightPlan;
import shim.core.spring.LoadCurve;
import shim.core.spring.OddPart;
import shim.core.spring.SpringChoice;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;
import shim.core.spring.Stack;
import shim.core.spring.WeakestLink;
import shim.core.unit.Figures;
import shim.core.unit.Known;

/** What stands at each valve, how it fits there, and what another spring would do. */
@Service
@Transactional(readOnly = true)
public class Pockets {
  private static final double USUAL_TOLERANCE_IN = 0.005;

  private final Springs springs;
  private final SpringTypes types;
  private final SpringRules rules;
  private final Engines engines;

  Pockets(Springs springs, SpringTypes types, SpringRules rules, Engines engines) {
    this.springs = springs;
    this.types = types;
    this.rules = rules;
    this.engines = engines;
  }

  /** An engine with the team's rules for its springs. */
  private record House(Engine engine, SpringRules.SpringRulesSheet sheet, double boostPsi) {
    double boostLbf(ValveKind kind) {
      Double head = sheet.intakeHeadIn();
      return kind == ValveKind.EXHAUST || head == null ? 0 : Fit.boostLbf(boostPsi, head);
    }

    Fit.Asked asked(ValveKind kind) {
      return new Fit.Asked(engine.drive().lifter(), sheet.fit(), boostLbf(kind));
    }

    HeightPlan.School school() {
      return Objects.requireNonNullElse(sheet.heightSchool(), HeightPlan.School.FEWEST_PIECES);
    }
  }

  private House house(UUID engineId) {
    return house(engines.get(engineId), rules.of(engineId));
  }

  private static House house(Engines.Stored stored, SpringRules.SpringRulesSheet sheet) {
    EngineSheet.UseSheet use = stored.sheet().use();
    Double boost = use == null ? null : use.boostPsi();
    return new House(stored.engine(), sheet, boost == null ? 0 : boost);
  }

  /** What an engine and its team ask of any kind of spring, each at the height it wants itself. */
  public SpringChoice.Asked asked(UUID engineId) {
    House house = house(engineId);
    Map<ValveKind, Double> boost = new HashMap<>();
    Map<ValveKind, List<WeakestLink.Limit>> links = new HashMap<>();
    for (ValveKind kind : ValveKind.values()) {
      boost.put(kind, house.boostLbf(kind));
      links.put(kind, house.sheet().limits(kind));
    }
    return new SpringChoice.Asked(
        house.engine(),
        house.sheet().fit(),
        tolerance(house.sheet()),
        house.sheet().shims(),
        house.school(),
        Map.of(),
        boost,
        links,
        house.sheet().rpm());
  }

  /** A way to another height, and what the spring does there. */
  public record WayThere(HeightPlan.Way way, Fit fit) {}

  /**
   * A valve with its spring and all that stands with it.
   *
   * @param liftIn gross, by the cam card; zero without one
   * @param stack parts that are in; null where the shims are not written as thicknesses
   * @param ways best first; empty while the height is within tolerance, and where nobody can tell
   *     what is in
   * @param curve load against height, for drawing
   */
  public record PocketView(
      Position position,
      UUID fittingId,
      String mark,
      UUID typeId,
      SpringSheet.Form form,
      Springs.FittingEntry fitting,
      double targetIn,
      double liftIn,
      boolean within,
      Fit fit,
      List<WeakestLink.Link> links,
      @Nullable Stack stack,
      List<WayThere> ways,
      List<LoadCurve.At> curve) {}

  /**
   * All pockets of an engine.
   *
   * @param shimsIn in stock
   * @param clearances what the team asks of them
   * @param oddRetainers valves whose retainer differs from the others'
   */
  public record EnginePockets(
      double toleranceIn,
      List<PocketView> pockets,
      List<Position> empty,
      @Nullable Unused unused,
      List<Double> shimsIn,
      FitLimits.Sheet clearances,
      List<OddPart> oddRetainers) {}

  /** Something typed that cannot be used until something else is known. */
  public enum Unused {
    /** The engine has boost, but nobody said how wide its intake valves are. */
    BOOST_WITHOUT_HEAD
  }

  /**
   * Springs to hold beside each other on one engine.
   *
   * @param heightIntakeIn blank takes the mean of what is measured there, or the target
   * @param liftIntakeIn gross lift of a proposed cam; blank takes the cam card's
   * @param topRpm blank takes the rules'
   */
  public record Candidates(
      List<SpringSheet> sheets,
      @Nullable Double heightIntakeIn,
      @Nullable Double heightExhaustIn,
      @Nullable Double liftIntakeIn,
      @Nullable Double liftExhaustIn,
      @Nullable Double topRpm) {}

  public EnginePockets of(UUID engineId) {
    House house = house(engineId);
    Map<Position, Springs.StoredFitting> fitted = springs.fitted(engineId);
    Map<UUID, Springs.StoredSpring> marks = new HashMap<>();
    springs
        .get(fitted.values().stream().map(f -> f.fitting().springId()).toList())
        .forEach(s -> marks.put(s.id(), s));
    Map<UUID, SpringType> known = new HashMap<>();
    types.all().forEach(t -> known.put(t.id(), t.type()));
    List<Position> all = house.engine().layout().positions();
    return new EnginePockets(
        tolerance(house.sheet()),
        all.stream()
            .filter(fitted::containsKey)
            .map(
                p -> {
                  Springs.StoredFitting f = Known.in(fitted, p);
                  Springs.StoredSpring spring = Known.in(marks, f.fitting().springId());
                  SpringType type = Known.in(known, spring.spring().typeId());
                  return pocket(house, f, spring, type);
                })
            .toList(),
        all.stream().filter(p -> !fitted.containsKey(p)).toList(),
        house.boostPsi() > 0 && house.sheet().intakeHeadIn() == null
            ? Unused.BOOST_WITHOUT_HEAD
            : null,
        house.sheet().shims(),
        Objects.requireNonNullElse(house.sheet().clearances(), FitLimits.Sheet.BLANK),
        OddPart.in(retainers(fitted)));
  }

  private static Map<Position, String> retainers(Map<Position, Springs.StoredFitting> fitted) {
    Map<Position, String> all = new HashMap<>();
    fitted.forEach((p, f) -> all.put(p, Objects.requireNonNullElse(f.fitting().retainer(), "")));
    return all;
  }

  private static PocketView pocket(
      House house, Springs.StoredFitting f, Springs.StoredSpring spring, SpringType type) {
    Position p = f.fitting().valve();
    SpringRules.SpringRulesSheet sheet = house.sheet();
    Optional<Fit.Lift> lift = Fit.Lift.of(house.engine(), p.kind());
    Double od = spring.spring().odIn();
    Fit fit = fitAt(house, type, f, od, height(f, type, sheet), 0);
    double gross = lift.map(Fit.Lift::grossIn).orElse(0.0);
    double target = target(p.kind(), type, sheet);
    Double measured = f.fitting().heightIn();
    boolean within = measured == null || within(measured, target, sheet);
    return new PocketView(
        p,
        f.id(),
        spring.spring().mark(),
        spring.spring().typeId(),
        type.form(),
        f.fitting(),
        target,
        gross,
        within,
        fit,
        links(sheet, p.kind(), fit.openLbf(), gross),
        f.fitting().stack().orElse(null),
        within
            ? List.of()
            : ways(
                house, type, f, od, target, Objects.requireNonNull(measured), f.fitting().stack()),
        Candidate.drawn(type, Math.max(fit.heightIn(), target), gross));
  }

  private static List<WeakestLink.Link> links(
      SpringRules.SpringRulesSheet sheet, ValveKind kind, double openLbf, double grossIn) {
    return WeakestLink.of(sheet.limits(kind), new WeakestLink.Duty(openLbf, grossIn, sheet.rpm()))
        .links();
  }

  /**
   * @param in parts that were in when the height was measured; without them nobody can say what may
   *     come out
   */
  private static List<WayThere> ways(
      House house,
      SpringType type,
      Springs.StoredFitting f,
      @Nullable Double od,
      double target,
      double measured,
      Optional<Stack> in) {
    SpringRules.SpringRulesSheet sheet = house.sheet();
    return in.map(
            stack ->
                HeightPlan.of(
                        new HeightPlan.Wanted(
                            measured,
                            target,
                            tolerance(sheet),
                            sheet.shims(),
                            sheet.offsets(),
                            sheet.retainers(),
                            house.school(),
                            stack))
                    .ways()
                    .stream()
                    .map(
                        w ->
                            new WayThere(
                                w, fitAt(house, type, f, od, w.heightIn(), w.sealIn(stack))))
                    .toList())
        .orElse(List.of());
  }

  /** Height wanted at a valve: the team's, or the data sheet's. */
  private static double target(
      ValveKind kind, SpringType type, SpringRules.SpringRulesSheet sheet) {
    Double wanted =
        kind == ValveKind.INTAKE ? sheet.targetHeightIntakeIn() : sheet.targetHeightExhaustIn();
    return Objects.requireNonNullElse(wanted, type.referenceHeightIn());
  }

  private static double tolerance(SpringRules.SpringRulesSheet sheet) {
    return Objects.requireNonNullElse(sheet.heightToleranceIn(), USUAL_TOLERANCE_IN);
  }

  private static boolean within(
      double heightIn, double targetIn, SpringRules.SpringRulesSheet sheet) {
    return Figures.atMost(Math.abs(heightIn - targetIn), tolerance(sheet));
  }

  /** Height a spring stands at: measured, or else the one that is wanted. */
  public static double height(
      Springs.StoredFitting f, SpringType type, SpringRules.SpringRulesSheet sheet) {
    Double measured = f.fitting().heightIn();
    return measured != null ? measured : target(f.fitting().valve().kind(), type, sheet);
  }

  /** How a fitted spring stands in its pocket. */
  public static Fit fit(
      Engines.Stored engine,
      SpringType type,
      Springs.StoredFitting f,
      @Nullable Double odIn,
      SpringRules.SpringRulesSheet sheet) {
    return fitAt(house(engine, sheet), type, f, odIn, height(f, type, sheet), 0);
  }

  private static Fit fitAt(
      House house,
      SpringType type,
      Springs.StoredFitting f,
      @Nullable Double od,
      double heightIn,
      double sealIn) {
    Springs.FittingEntry e = f.fitting();
    Double gap = e.sealGapIn();
    return Fit.of(
        type,
        new Fit.Measured(
            heightIn, gap == null ? null : gap + sealIn, e.pocketIn(), od, e.coilGapIn(), null),
        Fit.Lift.of(house.engine(), e.valve().kind()),
        house.asked(e.valve().kind()));
  }

  /**
   * A spring at a height that was measured with the parts that go in.
   *
   * @param ways to the height that is wanted, best first; empty while it is within tolerance
   */
  public record AtHeight(double heightIn, Fit fit, List<WayThere> ways) {}

  /**
   * What was just put under a spring.
   *
   * @param written sizes as they were written; null where the pieces were only counted: other than
   *     those on record, nobody can say which they are
   */
  public record Under(int pieces, @Nullable String written) {}

  /**
   * What a spring does at a measured height of a valve, and the ways where it is out.
   *
   * @return nothing while no spring is on record there, as when the old one was taken out meanwhile
   */
  public Optional<AtHeight> at(
      UUID engineId, Position valve, double heightIn, UUID springId, Under under) {
    House house = house(engineId);
    Springs.StoredSpring spring = springs.get(springId);
    SpringType type = types.get(spring.spring().typeId()).type();
    Springs.StoredFitting now = springs.fitted(engineId).get(valve);
    if (now == null) {
      return Optional.empty();
    }
    Double od = spring.spring().odIn();
    double target = target(valve.kind(), type, house.sheet());
    Springs.FittingEntry e = now.fitting();
    String shims = under.written() == null ? e.shims() : under.written();
    Optional<Stack> in =
        Stack.read(shims, e.locks(), e.retainer())
            .filter(s -> s.shimsIn().size() == under.pieces());
    return Optional.of(
        new AtHeight(
            heightIn,
            fitAt(house, type, now, od, heightIn, 0),
            within(heightIn, target, house.sheet())
                ? List.of()
                : ways(house, type, now, od, target, heightIn, in)));
  }

  /** Each candidate at both kinds of valve. */
  public List<Candidate> compare(UUID engineId, Candidates asked) {
    if (asked.sheets().isEmpty() || asked.sheets().size() > 4) {
      throw Refusal.invalid("sheets", "one to four springs are held beside each other");
    }
    House house = house(engineId);
    List<Springs.FittingEntry> fitted =
        springs.fitted(engineId).values().stream().map(Springs.StoredFitting::fitting).toList();
    return IntStream.range(0, asked.sheets().size())
        .mapToObj(
            i -> {
              SpringSheet own = asked.sheets().get(i);
              SpringType type = SpringTypes.reading("sheets[" + i + "]", own);
              Map<ValveKind, Candidate.Asked> at = new HashMap<>();
              for (ValveKind kind : ValveKind.values()) {
                double target = target(kind, type, house.sheet());
                at.put(kind, asked(house, kind, asked, target, there(fitted, kind)));
              }
              double rpm = asked.topRpm() == null ? house.sheet().rpm() : asked.topRpm();
              return Candidate.of(own, type, house.engine(), at, house.sheet().fit(), rpm);
            })
        .toList();
  }

  private static List<Springs.FittingEntry> there(
      List<Springs.FittingEntry> fitted, ValveKind kind) {
    return fitted.stream().filter(f -> f.valve().kind() == kind).toList();
  }

  private static Candidate.Asked asked(
      House house,
      ValveKind kind,
      Candidates c,
      double targetIn,
      List<Springs.FittingEntry> there) {
    boolean intake = kind == ValveKind.INTAKE;
    Double height = intake ? c.heightIntakeIn() : c.heightExhaustIn();
    Double lift = intake ? c.liftIntakeIn() : c.liftExhaustIn();
    String words = "an installed height lies between {0.5 in} and {6 in}";
    String field = intake ? "heightIntakeIn" : "heightExhaustIn";
    if (height != null && !(height >= 0.5 && height <= 6)) {
      throw Refusal.invalid(field, words);
    }
    if (lift != null && !(lift > 0 && lift <= 1.5)) {
      throw Refusal.invalid(
          intake ? "liftIntakeIn" : "liftExhaustIn",
          "a valve's lift lies between {0 in} and {1.5 in}");
    }
    return new Candidate.Asked(
        height != null
            ? height
            : figures(there, Springs.FittingEntry::heightIn).average().orElse(targetIn),
        lift == null
            ? Fit.Lift.of(house.engine(), kind)
            : Optional.of(Fit.Lift.ofGross(house.engine(), kind, lift)),
        figures(there, Springs.FittingEntry::sealGapIn).boxed().min(Double::compare).orElse(null),
        figures(there, Springs.FittingEntry::pocketIn).boxed().toList(),
        house.boostLbf(kind),
        house.sheet().limits(kind));
  }

  private static DoubleStream figures(
      List<Springs.FittingEntry> there, Function<Springs.FittingEntry, @Nullable Double> of) {
    return there.stream().map(of).filter(Objects::nonNull).mapToDouble(v -> v);
  }
}
