package shim.core.crank;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.unit.Angle;
import shim.core.unit.Figures;

/** Lays out the stops of each school for one engine's own cam. */
public final class SettingPlanner {
  /** How far past full lift "as it comes off full lift" is, crank degrees; common practice. */
  private static final double OFF_FULL_LIFT_DEG = 10;

  /** Two stops closer than this are one: nobody bars a crank finer, degrees. */
  private static final double SAME_STOP_DEG = 0.5;

  private final CrankModel model;

  public SettingPlanner(CrankModel model) {
    this.model = model;
  }

  private record Wanted(Position position, double crankDeg) {}

  /**
   * The plan of a school, or empty where the school does not apply (no companion cylinder).
   *
   * @param stops number of stops, used by {@link School#BEST_STOPS} alone
   * @param marksDeg balancer marks to keep to, degrees after number 1's TDC; empty for anywhere;
   *     used by {@link School#BEST_STOPS} alone
   */
  public Optional<SettingPlan> plan(School school, int stops, List<Double> marksDeg) {
    return switch (school) {
      case OPENING_CLOSING_TWO_TRIPS -> Optional.of(twoTrips());
      case OPENING_CLOSING_ONE_TRIP ->
          Optional.of(oneTrip(school, wanted(this::intakeAlmostClosed, this::exhaustStartsToOpen)));
      case OFF_FULL_LIFT ->
          Optional.of(oneTrip(school, wanted(this::intakeOffFullLift, this::exhaustStartsToOpen)));
      case COMPRESSION_TDC -> Optional.of(compressionTdc());
      case TWO_STOPS -> Optional.of(atBestOf(school, twoStopAngles(), true));
      case FULL_LIFT_COMPANION -> companion();
      case BEST_STOPS ->
          Optional.of(atBestOf(school, best(stops, marksDeg).anglesDeg(), !marksDeg.isEmpty()));
    };
  }

  /**
   * Slack against number of stops, k = 1 to twice the cylinders, anywhere on the circle. So few
   * stops that a valve would stand on its lobe are no plan and left out.
   */
  public List<BestStops.Best> curve() {
    BestStops best = BestStops.anywhere(model.windows());
    return IntStream.rangeClosed(1, 2 * model.layout().cylinderCount())
        .mapToObj(best::with)
        .filter(b -> Figures.atLeast(b.worstSlackDeg(), 0))
        .toList();
  }

  /** The best k stops, on the balancer's marks if any are given. */
  public BestStops.Best best(int stops, List<Double> marksDeg) {
    BestStops search =
        marksDeg.isEmpty()
            ? BestStops.anywhere(model.windows())
            : BestStops.among(model.windows(), onBothTurns(marksDeg));
    return search.with(stops);
  }

  private List<Double> onBothTurns(List<Double> marksDeg) {
    double numberOne = model.layout().compressionTdcDeg(1);
    return marksDeg.stream().flatMap(m -> Stream.of(numberOne + m, numberOne + m + 360)).toList();
  }

  private double intakeAlmostClosed(int cylinder) {
    return first(cylinder, ValveKind.INTAKE).closesDeg();
  }

  private double intakeOffFullLift(int cylinder) {
    return Angle.inCycle(first(cylinder, ValveKind.INTAKE).centreDeg() + OFF_FULL_LIFT_DEG);
  }

  private double exhaustStartsToOpen(int cylinder) {
    return first(cylinder, ValveKind.EXHAUST).opensDeg();
  }

  private ValveWindow first(int cylinder, ValveKind kind) {
    return model.windows(cylinder, kind).get(0);
  }

  private List<Wanted> wanted(
      ToDoubleFunction<Integer> exhaustAt, ToDoubleFunction<Integer> intakeAt) {
    return Stream.concat(
            each(ValveKind.EXHAUST, exhaustAt).stream(), each(ValveKind.INTAKE, intakeAt).stream())
        .toList();
  }

  private List<Wanted> each(ValveKind kind, ToDoubleFunction<Integer> at) {
    List<Wanted> result = new ArrayList<>();
    for (int cylinder : model.layout().firingOrder()) {
      model
          .windows(cylinder, kind)
          .forEach(w -> result.add(new Wanted(w.position(), at.applyAsDouble(cylinder))));
    }
    return result;
  }

  private SettingPlan twoTrips() {
    List<Map.Entry<Double, List<Position>>> stops = new ArrayList<>();
    stops.addAll(grouped(each(ValveKind.EXHAUST, this::intakeAlmostClosed)));
    stops.addAll(grouped(each(ValveKind.INTAKE, this::exhaustStartsToOpen)));
    return plan(School.OPENING_CLOSING_TWO_TRIPS, stops);
  }

  /** In the order the crank meets them, from the first stop of the first cylinder to fire. */
  private SettingPlan oneTrip(School school, List<Wanted> wanted) {
    double start = wanted.get(0).crankDeg();
    List<Wanted> ordered =
        wanted.stream()
            .sorted(Comparator.comparingDouble(w -> Angle.forward(start, w.crankDeg())))
            .toList();
    return plan(school, grouped(ordered));
  }

  private SettingPlan compressionTdc() {
    List<Wanted> wanted = new ArrayList<>();
    for (int cylinder : model.layout().firingOrder()) {
      double tdc = model.layout().compressionTdcDeg(cylinder);
      for (ValveKind kind : ValveKind.values()) {
        model.windows(cylinder, kind).forEach(w -> wanted.add(new Wanted(w.position(), tdc)));
      }
    }
    return oneTrip(School.COMPRESSION_TDC, wanted);
  }

  private List<Double> twoStopAngles() {
    double one = model.layout().compressionTdcDeg(1);
    return List.of(one, Angle.inCycle(one + 360));
  }

  private Optional<SettingPlan> companion() {
    Layout layout = model.layout();
    if (layout.firingOrder().stream().anyMatch(c -> layout.companion(c).isEmpty())) {
      return Optional.empty();
    }
    List<Wanted> wanted =
        model.windows().stream()
            .map(w -> new Wanted(w.position(), Angle.inCycle(w.centreDeg() + 360)))
            .sorted(Comparator.comparingDouble(Wanted::crankDeg))
            .toList();
    return Optional.of(oneTrip(School.FULL_LIFT_COMPANION, wanted));
  }

  /**
   * Each valve at the stop where it has the most slack; empty stops fall away.
   *
   * @param fixed the stops are at marks and stay there
   */
  private SettingPlan atBestOf(School school, List<Double> anglesDeg, boolean fixed) {
    Map<Double, List<Position>> at = new TreeMap<>();
    double start = anglesDeg.get(0);
    for (ValveWindow w : model.windows()) {
      double stop = anglesDeg.stream().max(Comparator.comparingDouble(w::slackDeg)).orElseThrow();
      at.computeIfAbsent(Angle.forward(start, stop), x -> new ArrayList<>()).add(w.position());
    }
    List<Map.Entry<Double, List<Position>>> stops = new ArrayList<>();
    at.forEach(
        (ahead, valves) -> {
          double angle = Angle.inCycle(start + ahead);
          stops.add(Map.entry(fixed ? angle : centred(angle, valves), valves));
        });
    return plan(school, stops);
  }

  /**
   * A freely placed stop stands at the edge of what its valves allow; the middle of it is as good
   * for the tightest valve or better.
   */
  private double centred(double angleDeg, List<Position> valves) {
    List<ValveWindow> here = valves.stream().map(model::window).toList();
    BestStops.Best middle = BestStops.anywhere(here).with(1);
    double held = here.stream().mapToDouble(w -> w.slackDeg(angleDeg)).min().orElseThrow();
    return middle.worstSlackDeg() > held + 1e-6 ? middle.anglesDeg().get(0) : angleDeg;
  }

  private static List<Map.Entry<Double, List<Position>>> grouped(List<Wanted> ordered) {
    List<Map.Entry<Double, List<Position>>> stops = new ArrayList<>();
    for (Wanted w : ordered) {
      boolean same =
          !stops.isEmpty()
              && Angle.distance(stops.get(stops.size() - 1).getKey(), w.crankDeg()) < SAME_STOP_DEG;
      if (!same) {
        stops.add(Map.entry(w.crankDeg(), new ArrayList<>()));
      }
      stops.get(stops.size() - 1).getValue().add(w.position());
    }
    return stops;
  }

  private SettingPlan plan(School school, List<Map.Entry<Double, List<Position>>> at) {
    List<SettingPlan.Stop> stops = new ArrayList<>();
    double worst = Double.POSITIVE_INFINITY;
    double total = 0;
    for (Map.Entry<Double, List<Position>> entry : at) {
      double angle = entry.getKey();
      double bar =
          stops.isEmpty() ? 0 : Angle.forward(stops.get(stops.size() - 1).crankDeg(), angle);
      List<SettingPlan.Setting> settings =
          entry.getValue().stream()
              .map(p -> new SettingPlan.Setting(p, model.window(p).slackDeg(angle)))
              .toList();
      for (SettingPlan.Setting s : settings) {
        worst = Math.min(worst, s.slackDeg());
      }
      total += bar;
      stops.add(new SettingPlan.Stop(angle, bar, settings));
    }
    return new SettingPlan(school, stops, worst, total);
  }
}
