package shim.app.crank;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.app.http.Refusal;
import shim.core.crank.BestStops;
import shim.core.crank.CrankModel;
import shim.core.crank.CrankSeen;
import shim.core.crank.School;
import shim.core.crank.SettingPlan;
import shim.core.crank.SettingPlanner;
import shim.core.crank.StopWords;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.Position;

/** Setting plans as they are shown: stops with words, and what each school would cost. */
public final class Plans {
  private Plans() {}

  /** One valve at a stop with its slack, crank degrees. */
  public record ValveAtStop(Position position, double slackDeg) {}

  /**
   * A stop.
   *
   * @param number from 1
   * @param barDeg barring from the stop before, crank degrees
   */
  public record StopView(
      int number,
      double crankDeg,
      double barDeg,
      String look,
      double balancerDeg,
      String balancer,
      @Nullable String rotor,
      List<ValveAtStop> valves) {}

  /**
   * A plan.
   *
   * @param refused why it must not be followed, valve by valve
   */
  public record PlanView(
      School school,
      String title,
      String says,
      List<StopView> stops,
      double worstSlackDeg,
      double totalBarDeg,
      List<String> refused) {}

  /** One point of stops against slack. */
  public record TradePoint(int stops, double worstSlackDeg) {}

  /**
   * Every school beside the others.
   *
   * @param trade worst slack for k = 1 to twice the cylinders, anywhere on the circle
   * @param markCostDeg slack that keeping to the balancer's marks costs, crank degrees
   */
  public record Comparison(
      List<PlanView> plans, List<TradePoint> trade, @Nullable Double markCostDeg) {}

  static CrankModel model(Engine engine) {
    return CrankModel.of(engine)
        .orElseThrow(
            () ->
                Refusal.invalid(
                    "cam.lsaDeg", "the cam card must give durations and centres for this"));
  }

  /**
   * @param stops number of stops for the best few
   * @param onMarks keep the best few to the balancer's marks
   * @param fromDeg where the crank stands; null where it may stand anywhere
   */
  public static PlanView plan(
      Engine engine, School school, int stops, boolean onMarks, @Nullable Double fromDeg) {
    return plan(engine, model(engine), school, stops, onMarks, fromDeg)
        .orElseThrow(
            () ->
                Refusal.invalid(
                    "school",
                    school.title() + " does not fit: no cylinder stands exactly one turn away"));
  }

  private static Optional<PlanView> plan(
      Engine engine,
      CrankModel model,
      School school,
      int stops,
      boolean onMarks,
      @Nullable Double fromDeg) {
    List<Double> marks = onMarks ? marks(engine) : List.of();
    return new SettingPlanner(model)
        .plan(school, Math.max(1, stops), marks)
        .map(p -> view(engine, model, fromDeg == null ? p : p.from(fromDeg)));
  }

  private static List<Double> marks(Engine engine) {
    List<Double> own = engine.rules().balancerMarksDeg();
    return own.isEmpty() ? List.of(0.0, 90.0, 180.0, 270.0) : own;
  }

  /** A place where the crank may stand, and how a person tells. */
  public record CrankStands(double crankDeg, StopWords words) {}

  static List<CrankStands> stands(Engine engine, CrankSeen seen) {
    CrankModel model = model(engine);
    return seen.places(model).stream()
        .map(d -> new CrankStands(d, StopWords.of(model, d, engine.rules().staticTimingDeg())))
        .toList();
  }

  static Comparison compare(Engine engine, int stops, boolean onMarks) {
    CrankModel model = model(engine);
    List<PlanView> plans = new ArrayList<>();
    for (School school : School.values()) {
      plan(engine, model, school, stops, onMarks, null).ifPresent(plans::add);
    }
    SettingPlanner planner = new SettingPlanner(model);
    List<BestStops.Best> curve = planner.curve();
    Double cost = null;
    if (onMarks) {
      cost =
          planner.best(stops, List.of()).worstSlackDeg()
              - planner.best(stops, marks(engine)).worstSlackDeg();
    }
    return new Comparison(
        plans,
        curve.stream().map(b -> new TradePoint(b.stops(), b.worstSlackDeg())).toList(),
        cost);
  }

  private static PlanView view(Engine engine, CrankModel model, SettingPlan plan) {
    List<StopView> stops = new ArrayList<>();
    for (SettingPlan.Stop s : plan.stops()) {
      StopWords words = StopWords.of(model, s.crankDeg(), engine.rules().staticTimingDeg());
      stops.add(
          new StopView(
              stops.size() + 1,
              s.crankDeg(),
              s.barDeg(),
              words.look(),
              words.balancerDeg(),
              words.balancer(),
              words.rotor().orElse(null),
              s.settings().stream()
                  .map(v -> new ValveAtStop(v.position(), v.slackDeg()))
                  .toList()));
    }
    return new PlanView(
        plan.school(),
        plan.school().title(),
        plan.school().says(),
        stops,
        plan.worstSlackDeg(),
        plan.totalBarDeg(),
        plan.offBaseCircle().stream()
            .map(
                v ->
                    v.position().words()
                        + " would be set "
                        + Math.round(-v.slackDeg())
                        + "° inside its lobe or ramp")
            .toList());
  }

  /** All valves in the order of a sheet's own setting school; empty without a cam card. */
  public static List<Position> valvesInOrder(EngineSheet sheet, Engine engine) {
    String school = sheet.rules() == null ? null : sheet.rules().school();
    try {
      return plan(
              engine, school == null ? School.BEST_STOPS : School.valueOf(school), 2, false, null)
          .stops()
          .stream()
          .flatMap(s -> s.valves().stream())
          .map(ValveAtStop::position)
          .distinct()
          .toList();
    } catch (Refusal e) {
      return List.of();
    }
  }
}
