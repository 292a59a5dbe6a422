package shim.core.change;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import shim.core.crank.CrankModel;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.unit.Angle;
import shim.core.unit.Figures;

/**
 * Where the crank is barred to, in which order, and what is done at each place. The crank only ever
 * turns forward, so going round once from the right place is the least barring there is.
 *
 * @param legs in order
 * @param barDeg crank degrees in all
 */
public record Route(School school, List<Leg> legs, double barDeg) {

  /** Nothing half done is left behind. */
  public static final School USUAL = School.CYLINDER_BY_CYLINDER;

  /** When the lash of a finished cylinder is set. */
  public enum School {
    CYLINDER_BY_CYLINDER(
        "Cylinder by cylinder",
        "Each cylinder is finished, lash or preload included, before the next: nothing half done"
            + " is left behind."),
    ALL_SPRINGS_FIRST(
        "All springs first",
        "All springs, then all rockers and the lash in one round: one kind of work at a time.");

    private final String title;
    private final String says;

    School(String title, String says) {
      this.title = title;
      this.says = says;
    }

    public String title() {
      return title;
    }

    public String says() {
      return says;
    }
  }

  /**
   * One place of the crank.
   *
   * @param barDeg how far forward from the place before
   * @param springs cylinders whose springs are done here
   * @param lash valves whose lash or preload is set here
   */
  public record Leg(double crankDeg, double barDeg, List<Integer> springs, List<Position> lash) {
    public Leg {
      springs = List.copyOf(springs);
      lash = List.copyOf(lash);
    }
  }

  public Route {
    legs = List.copyOf(legs);
  }

  /**
   * The route of least barring.
   *
   * @param valves valves whose springs are done
   * @param fromDeg where the crank stands; null where it does not matter
   */
  public static Route of(
      Layout layout,
      Optional<CrankModel> cam,
      Hold hold,
      School school,
      Collection<Position> valves,
      @Nullable Double fromDeg) {
    if (valves.isEmpty()) {
      throw new IllegalArgumentException("choose the valves whose springs are done");
    }
    return new Planner(layout, cam, hold, school).route(new TreeSet<>(valves), fromDeg);
  }

  private record Planner(Layout layout, Optional<CrankModel> cam, Hold hold, School school) {

    Route route(Set<Position> valves, @Nullable Double fromDeg) {
      if (!hold.onTheCrank()) {
        Set<Integer> all = cylinders(valves);
        return new Route(school, List.of(new Leg(0, 0, List.copyOf(all), List.of())), 0);
      }
      List<Stop> stops = stops(cylinders(valves), fromDeg);
      List<Leg> legs = new ArrayList<>();
      Set<Position> open = new LinkedHashSet<>(valves);
      for (Stop stop : stops) {
        double from = legs.isEmpty() ? first(stops, fromDeg) : last(legs).crankDeg();
        double bar = onward(from, stop.atDeg());
        double at = Angle.inCycle(from + bar);
        boolean finish = school == School.CYLINDER_BY_CYLINDER;
        List<Position> here = finish ? settable(open, stop.cylinders(), at) : List.of();
        legs.add(new Leg(at, bar, stop.cylinders(), here));
        open.removeAll(here);
        if (finish) {
          setLash(legs, open, stop.cylinders());
        }
      }
      setLash(legs, open, List.copyOf(cylinders(valves)));
      return new Route(school, legs, legs.stream().mapToDouble(Leg::barDeg).sum());
    }

    private record Stop(double atDeg, List<Integer> cylinders) {}

    /** Places on the circle after which the hold repeats, in the order the crank meets them. */
    private List<Stop> stops(Set<Integer> cylinders, @Nullable Double fromDeg) {
      TreeMap<Double, List<Integer>> at = new TreeMap<>();
      for (int c : cylinders) {
        double deg = layout.compressionTdcDeg(c) % hold.everyDeg();
        at.computeIfAbsent(Math.round(deg * 1000) / 1000.0, d -> new ArrayList<>()).add(c);
      }
      List<Stop> round = new ArrayList<>();
      at.forEach((d, c) -> round.add(new Stop(d, List.copyOf(c))));
      double start = fromDeg == null ? afterWidestGap(round) : fromDeg;
      round.sort(Comparator.comparingDouble(s -> onward(start, s.atDeg())));
      return round;
    }

    private double afterWidestGap(List<Stop> round) {
      double widest = -1;
      double start = 0;
      for (int i = 0; i < round.size(); i++) {
        double before = round.get((i + round.size() - 1) % round.size()).atDeg();
        double gap = onward(before, round.get(i).atDeg());
        gap = gap == 0 ? hold.everyDeg() : gap;
        if (gap > widest) {
          widest = gap;
          start = round.get(i).atDeg();
        }
      }
      return start;
    }

    private static double first(List<Stop> stops, @Nullable Double fromDeg) {
      return fromDeg == null ? stops.get(0).atDeg() : fromDeg;
    }

    private double onward(double fromDeg, double toDeg) {
      double d = Angle.forward(fromDeg, toDeg) % hold.everyDeg();
      return hold.everyDeg() - d < 1e-6 ? 0 : d;
    }

    /** Goes on round until the lash of these cylinders is set, each at its compression TDC. */
    private void setLash(List<Leg> legs, Set<Position> open, List<Integer> of) {
      List<Integer> left =
          new ArrayList<>(
              of.stream().filter(c -> open.stream().anyMatch(p -> p.cylinder() == c)).toList());
      double start = last(legs).crankDeg();
      left.sort(Comparator.comparingDouble(c -> Angle.forward(start, layout.compressionTdcDeg(c))));
      for (int c : left) {
        setOne(legs, open, layout.compressionTdcDeg(c), of);
      }
      for (Position p : open.stream().filter(v -> of.contains(v.cylinder())).toList()) {
        setOne(legs, open, middle(p), of);
      }
    }

    private void setOne(List<Leg> legs, Set<Position> open, double atDeg, List<Integer> of) {
      List<Position> here = settable(open, of, atDeg);
      if (here.isEmpty()) {
        return;
      }
      double bar = Angle.forward(last(legs).crankDeg(), atDeg);
      legs.add(new Leg(atDeg, bar, List.of(), here));
      open.removeAll(here);
    }

    /** Valves of some cylinders whose lifters are off their lobes at a place. */
    private List<Position> settable(Set<Position> open, List<Integer> of, double atDeg) {
      return open.stream()
          .filter(p -> of.contains(p.cylinder()))
          .filter(
              p ->
                  cam.map(m -> Figures.atLeast(m.window(p).slackDeg(atDeg), 0))
                      .orElseGet(
                          () -> Angle.distance(layout.compressionTdcDeg(p.cylinder()), atDeg) < 1))
          .toList();
    }

    private double middle(Position p) {
      return cam.map(m -> Angle.inCycle(m.window(p).centreDeg() + 360))
          .orElseGet(() -> layout.compressionTdcDeg(p.cylinder()));
    }

    private static Leg last(List<Leg> legs) {
      return legs.get(legs.size() - 1);
    }

    private static Set<Integer> cylinders(Set<Position> valves) {
      Set<Integer> all = new TreeSet<>();
      valves.forEach(p -> all.add(p.cylinder()));
      return all;
    }
  }
}
