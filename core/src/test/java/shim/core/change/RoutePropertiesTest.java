package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import shim.core.Engines;
import shim.core.crank.CrankModel;
import shim.core.engine.Engine;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.unit.Angle;

class RoutePropertiesTest {
  private static final Engine V8 = Engines.engine(Engines.sheet("v8-odd-even"));
  private static final Optional<CrankModel> CAM = CrankModel.of(V8);

  private static Route route(Hold hold, Route.School school, List<Position> valves, Double from) {
    return Route.of(V8.layout(), CAM, hold, school, valves, from);
  }

  private static List<Position> some(Random r, int atLeast) {
    List<Position> all = new ArrayList<>(V8.layout().positions());
    Collections.shuffle(all, r);
    return all.subList(0, atLeast + r.nextInt(all.size() - atLeast + 1));
  }

  /** Inline six by common practice, no source; the V8 pairs follow from 1-8-4-3-6-5-7-2. */
  @ParameterizedTest
  @CsvSource({
    "inline-6, '[[1, 6], [5, 2], [3, 4]]'",
    "v8-odd-even, '[[1, 6], [8, 5], [4, 7], [3, 2]]'",
    "inline-4, '[[1, 4], [3, 2]]'"
  })
  void cylindersThatShareATdcAreDoneAtOneStopOnThePiston(String preset, String pairs) {
    Layout layout = Engines.layout(preset);
    assertThat(layout.sharedTdc().toString()).isEqualTo(pairs);
    Route r =
        Route.of(
            layout,
            Optional.empty(),
            Hold.PISTON,
            Route.School.ALL_SPRINGS_FIRST,
            layout.positions(),
            0.0);
    assertThat(r.legs().stream().filter(l -> !l.springs().isEmpty()))
        .allSatisfy(l -> assertThat(l.springs()).hasSize(2))
        .hasSize(layout.cylinderCount() / 2);
  }

  @ParameterizedTest
  @EnumSource(Hold.class)
  void everySpringAndEveryLashIsDoneOnceAndTheLashOffItsLobe(Hold hold) {
    Random random = new Random(5);
    for (int trial = 0; trial < 60; trial++) {
      List<Position> valves = some(random, 1);
      for (Route.School school : Route.School.values()) {
        Route r = route(hold, school, valves, random.nextInt(720) * 1.0);
        List<Integer> springs = r.legs().stream().flatMap(l -> l.springs().stream()).toList();
        Set<Integer> cylinders = new HashSet<>();
        valves.forEach(v -> cylinders.add(v.cylinder()));
        assertThat(springs).doesNotHaveDuplicates().containsAll(cylinders);
        List<Position> lash = r.legs().stream().flatMap(l -> l.lash().stream()).toList();
        if (hold.onTheCrank()) {
          assertThat(lash).containsExactlyInAnyOrderElementsOf(valves);
        }
        r.legs()
            .forEach(
                l ->
                    l.lash()
                        .forEach(
                            p ->
                                assertThat(CAM.orElseThrow().window(p).slackDeg(l.crankDeg()))
                                    .isNotNegative()));
      }
    }
  }

  @Test
  void legsFollowOnEachOtherForward() {
    Route r = route(Hold.PISTON, Route.School.CYLINDER_BY_CYLINDER, some(new Random(2), 9), 100.0);
    double at = 100;
    for (Route.Leg leg : r.legs()) {
      at = Angle.inCycle(at + leg.barDeg());
      assertThat(Angle.distance(at, leg.crankDeg())).isLessThan(1e-6);
      assertThat(leg.barDeg()).isBetween(0.0, 720.0);
    }
  }

  /** A cylinder under air is at its compression TDC, where both its valves may be set. */
  @Test
  void onAirEachCylinderIsFinishedWhereItIsHeld() {
    Route r = route(Hold.AIR, Route.School.CYLINDER_BY_CYLINDER, V8.layout().positions(), null);
    assertThat(r.legs()).hasSize(8).allSatisfy(l -> assertThat(l.lash()).hasSize(2));
    assertThat(r.barDeg()).isCloseTo(630, within(1e-6));
    Route all = route(Hold.AIR, Route.School.ALL_SPRINGS_FIRST, V8.layout().positions(), null);
    assertThat(all.barDeg()).isGreaterThan(r.barDeg());
  }

  /** Every other order of the same stops, from every start, bars at least as far. */
  @Test
  void noOrderOfTheStopsBarsLess() {
    Random random = new Random(11);
    for (int trial = 0; trial < 40; trial++) {
      List<Position> valves = some(random, 1).stream().limit(5).toList();
      Double from = trial % 2 == 0 ? null : (double) random.nextInt(720);
      double ours = route(Hold.AIR, Route.School.CYLINDER_BY_CYLINDER, valves, from).barDeg();
      List<Double> stops =
          valves.stream().map(v -> V8.layout().compressionTdcDeg(v.cylinder())).distinct().toList();
      assertThat(ours).isCloseTo(least(stops, from, 0), within(1e-6));
    }
  }

  private static double least(List<Double> left, Double from, double sofar) {
    if (left.isEmpty()) {
      return sofar;
    }
    double best = Double.MAX_VALUE;
    for (Double next : left) {
      List<Double> rest = new ArrayList<>(left);
      rest.remove(next);
      double bar = from == null ? 0 : Angle.forward(from, next);
      best = Math.min(best, least(rest, next, sofar + bar));
    }
    return best;
  }
}
