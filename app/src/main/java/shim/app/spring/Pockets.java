package shim.app.spring;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.spring.Candidate;
import shim.core.spring.Fit;
import shim.core.spring.HeightPlan;
import shim.core.spring.LoadCurve;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;
import shim.core.spring.WeakestLink;
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

  /** A way to another height, and what the spring does there. */
  public record WayThere(HeightPlan.Way way, Fit fit) {}

  /**
   * A valve with its spring and all that stands with it.
   *
   * @param liftIn gross, by the cam card; zero without one
   * @param ways best first; empty while the height is within tolerance
   * @param curve load against height, for drawing
   */
  public record PocketView(
      Position position,
      UUID fittingId,
      String mark,
      UUID typeId,
      Springs.FittingEntry fitting,
      double targetIn,
      double liftIn,
      boolean within,
      Fit fit,
      List<WeakestLink.Link> links,
      List<WayThere> ways,
      List<LoadCurve.At> curve) {}

  /** All pockets of an engine. */
  public record EnginePockets(double toleranceIn, List<PocketView> pockets, List<Position> empty) {}

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
    Engine engine = engines.get(engineId).engine();
    SpringRules.SpringRulesSheet sheet = rules.of(engineId);
    Map<Position, Springs.StoredFitting> fitted = springs.fitted(engineId);
    Map<UUID, Springs.StoredSpring> marks = new HashMap<>();
    springs
        .get(fitted.values().stream().map(f -> f.fitting().springId()).toList())
        .forEach(s -> marks.put(s.id(), s));
    Map<UUID, SpringType> known = new HashMap<>();
    types.all().forEach(t -> known.put(t.id(), t.type()));
    List<Position> all = engine.layout().positions();
    return new EnginePockets(
        tolerance(sheet),
        all.stream()
            .filter(fitted::containsKey)
            .map(
                p -> {
                  Springs.StoredFitting f = Known.in(fitted, p);
                  Springs.StoredSpring spring = Known.in(marks, f.fitting().springId());
                  SpringType type = Known.in(known, spring.spring().typeId());
                  return pocket(engine, sheet, f, spring, type);
                })
            .toList(),
        all.stream().filter(p -> !fitted.containsKey(p)).toList());
  }

  private static PocketView pocket(
      Engine engine,
      SpringRules.SpringRulesSheet sheet,
      Springs.StoredFitting f,
      Springs.StoredSpring spring,
      SpringType type) {
    Position p = f.fitting().valve();
    Optional<Fit.Lift> lift = Fit.Lift.of(engine, p.kind());
    Fit fit = fit(engine, type, f, sheet);
    double gross = lift.map(Fit.Lift::grossIn).orElse(0.0);
    double target = target(p.kind(), type, sheet);
    Double measured = f.fitting().heightIn();
    boolean within = measured == null || within(measured, target, sheet);
    return new PocketView(
        p,
        f.id(),
        spring.spring().mark(),
        spring.spring().typeId(),
        f.fitting(),
        target,
        gross,
        within,
        fit,
        links(sheet, fit.openLbf(), gross),
        within ? List.of() : ways(engine, type, f, sheet, target, Objects.requireNonNull(measured)),
        Candidate.drawn(type, Math.max(fit.heightIn(), target), gross));
  }

  private static List<WeakestLink.Link> links(
      SpringRules.SpringRulesSheet sheet, double openLbf, double grossIn) {
    return WeakestLink.of(sheet.limits(), new WeakestLink.Duty(openLbf, grossIn, sheet.rpm()))
        .links();
  }

  private static List<WayThere> ways(
      Engine engine,
      SpringType type,
      Springs.StoredFitting f,
      SpringRules.SpringRulesSheet sheet,
      double target,
      double measured) {
    return HeightPlan.of(
            new HeightPlan.Wanted(
                measured,
                target,
                tolerance(sheet),
                sheet.shims(),
                sheet.offsets(),
                sheet.heightSchool() == null
                    ? HeightPlan.School.FEWEST_PIECES
                    : sheet.heightSchool()))
        .ways()
        .stream()
        .map(w -> new WayThere(w, fitAt(engine, type, f, w.heightIn())))
        .toList();
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
    return Math.abs(heightIn - targetIn) <= tolerance(sheet) + 1e-9;
  }

  /** Height a spring stands at: measured, or else the one that is wanted. */
  public static double height(
      Springs.StoredFitting f, SpringType type, SpringRules.SpringRulesSheet sheet) {
    Double measured = f.fitting().heightIn();
    return measured != null ? measured : target(f.fitting().valve().kind(), type, sheet);
  }

  /** How a fitted spring stands in its pocket. */
  public static Fit fit(
      Engine engine, SpringType type, Springs.StoredFitting f, SpringRules.SpringRulesSheet sheet) {
    return fitAt(engine, type, f, height(f, type, sheet));
  }

  private static Fit fitAt(
      Engine engine, SpringType type, Springs.StoredFitting f, double heightIn) {
    Springs.FittingEntry e = f.fitting();
    return Fit.of(
        type,
        new Fit.Measured(heightIn, e.sealGapIn(), e.pocketIn(), null),
        Fit.Lift.of(engine, e.valve().kind()),
        engine.drive().lifter());
  }

  /**
   * A spring at a height that was measured with the parts that go in.
   *
   * @param ways to the height that is wanted, best first; empty while it is within tolerance
   */
  public record AtHeight(double heightIn, Fit fit, List<WayThere> ways) {}

  /**
   * What a spring does at a measured height of a valve, and the ways where it is out.
   *
   * @return nothing while no spring is on record there, as when the old one was taken out meanwhile
   */
  public Optional<AtHeight> at(UUID engineId, Position valve, double heightIn, UUID springId) {
    Engine engine = engines.get(engineId).engine();
    SpringRules.SpringRulesSheet sheet = rules.of(engineId);
    SpringType type = types.get(springs.get(springId).spring().typeId()).type();
    Springs.StoredFitting now = springs.fitted(engineId).get(valve);
    if (now == null) {
      return Optional.empty();
    }
    double target = target(valve.kind(), type, sheet);
    return Optional.of(
        new AtHeight(
            heightIn,
            fitAt(engine, type, now, heightIn),
            within(heightIn, target, sheet)
                ? List.of()
                : ways(engine, type, now, sheet, target, heightIn)));
  }

  /** Each candidate at both kinds of valve. */
  public List<Candidate> compare(UUID engineId, Candidates asked) {
    if (asked.sheets().isEmpty() || asked.sheets().size() > 4) {
      throw Refusal.invalid("sheets", "one to four springs are held beside each other");
    }
    Engine engine = engines.get(engineId).engine();
    SpringRules.SpringRulesSheet sheet = rules.of(engineId);
    Map<ValveKind, Double> measured = measured(engineId);
    return java.util.stream.IntStream.range(0, asked.sheets().size())
        .mapToObj(
            i -> {
              SpringSheet own = asked.sheets().get(i);
              SpringType type = SpringTypes.reading("sheets[" + i + "]", own);
              Map<ValveKind, Candidate.Asked> at = new HashMap<>();
              for (ValveKind kind : ValveKind.values()) {
                at.put(
                    kind,
                    asked(engine, kind, asked, measured.get(kind), target(kind, type, sheet)));
              }
              double rpm = asked.topRpm() == null ? sheet.rpm() : asked.topRpm();
              return Candidate.of(own, type, engine, at, sheet.limits(), rpm);
            })
        .toList();
  }

  private static Candidate.Asked asked(
      Engine engine, ValveKind kind, Candidates c, @Nullable Double measuredIn, double targetIn) {
    boolean intake = kind == ValveKind.INTAKE;
    Double height = intake ? c.heightIntakeIn() : c.heightExhaustIn();
    Double lift = intake ? c.liftIntakeIn() : c.liftExhaustIn();
    String words = "an installed height lies between 0.5 and 6 in";
    String field = intake ? "heightIntakeIn" : "heightExhaustIn";
    if (height != null && !(height >= 0.5 && height <= 6)) {
      throw Refusal.invalid(field, words);
    }
    if (lift != null && !(lift > 0 && lift <= 1.5)) {
      throw Refusal.invalid(
          intake ? "liftIntakeIn" : "liftExhaustIn", "a valve's lift lies between 0 and 1.5 in");
    }
    return new Candidate.Asked(
        height != null ? height : measuredIn != null ? measuredIn : targetIn,
        lift == null
            ? Fit.Lift.of(engine, kind)
            : Optional.of(Fit.Lift.ofGross(engine, kind, lift)));
  }

  /** Mean of the heights measured at each kind of valve. */
  private Map<ValveKind, Double> measured(UUID engineId) {
    Map<ValveKind, Double> mean = new HashMap<>();
    for (ValveKind kind : ValveKind.values()) {
      springs.fitted(engineId).values().stream()
          .map(Springs.StoredFitting::fitting)
          .filter(f -> f.valve().kind() == kind && f.heightIn() != null)
          .mapToDouble(f -> Objects.requireNonNull(f.heightIn()))
          .average()
          .ifPresent(h -> mean.put(kind, h));
    }
    return mean;
  }
}
