package shim.core.cam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.Engines;
import shim.core.cam.PushrodCover.Choice;
import shim.core.cam.PushrodCover.Wanted;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.Rocker;
import shim.core.engine.ValveKind;

class PushrodTest {
  private static Wanted wanted(int n, double aim, double tol) {
    return new Wanted(new Position(n, ValveKind.INTAKE, 0), aim, tol);
  }

  /** Every subset of the lengths tried by hand. */
  private static int[] mostServed(List<Wanted> valves, List<Double> sizes) {
    int[] most = new int[sizes.size() + 1];
    for (int set = 1; set < 1 << sizes.size(); set++) {
      int served = 0;
      for (Wanted v : valves) {
        boolean is = false;
        for (int s = 0; s < sizes.size(); s++) {
          is |= (set >> s & 1) == 1 && Math.abs(sizes.get(s) - v.aimIn()) <= v.tolIn() + 1e-12;
        }
        served += is ? 1 : 0;
      }
      int k = Integer.bitCount(set);
      most[k] = Math.max(most[k], served);
    }
    return most;
  }

  @Test
  void theCoverIsTheBestOfAllSubsets() {
    Random random = new Random(11);
    for (int n = 0; n < 150; n++) {
      List<Wanted> valves =
          IntStream.rangeClosed(1, 3 + random.nextInt(10))
              .mapToObj(
                  i -> wanted(i, 7.8 + 0.001 * random.nextInt(120), 0.001 * random.nextInt(20)))
              .toList();
      List<Double> sizes =
          IntStream.range(0, 2 + random.nextInt(7))
              .mapToObj(i -> 7.8 + 0.005 * random.nextInt(26))
              .distinct()
              .toList();
      int[] most = mostServed(valves, sizes);
      List<Choice> ours = new PushrodCover(valves, sizes).byCount();
      for (int k = 1; k <= ours.size(); k++) {
        Choice c = ours.get(k - 1);
        assertThat(c.at()).as("%s lengths", k).hasSize(most[k]);
        assertThat(c.lengthsIn()).hasSize(k).isSubsetOf(sizes);
        assertThat(c.at().size() + c.oneOffs().size()).isEqualTo(valves.size());
      }
      if (ours.size() < sizes.size()) {
        assertThat(most[Math.min(sizes.size(), ours.size() + 1)])
            .as("one more would serve no more")
            .isEqualTo(ours.get(ours.size() - 1).at().size());
      }
    }
  }

  @Test
  void ofAsGoodLengthsTheNearestIsTakenAndExactTolerancesCount() {
    List<Wanted> valves = List.of(wanted(1, 7.850, 0.025), wanted(2, 7.860, 0.025));
    assertThat(new PushrodCover(valves, List.of(7.835, 7.855, 7.875)).byCount().get(0).lengthsIn())
        .containsExactly(7.855);
    Choice exact = new PushrodCover(valves, List.of(7.875)).byCount().get(0);
    assertThat(exact.at()).as("7.875 is at 7.850 + 0.025").hasSize(2);
    Choice one = new PushrodCover(valves, List.of(7.8751)).byCount().get(0);
    assertThat(one.oneOffs()).containsEntry(new Position(1, ValveKind.INTAKE, 0), 7.850).hasSize(1);
    assertThat(new PushrodCover(valves, List.of()).byCount()).isEmpty();
    assertThat(new PushrodCover(valves, List.of(9.0)).byCount().get(0).oneOffs()).hasSize(2);
  }

  /** Derived: L0 7.850, travel 0.080, wanted 0.025 to 0.060. */
  @Test
  void aHydraulicRodIsLongerByItsPreload() {
    EngineSheet sheet =
        Engines.with(
            Engines.sheet("inline-4"), fixed(Lifter.ROLLER_HYDRAULIC, 0.080, 0.025, 0.060));
    Engine engine = Engines.engine(sheet);
    PushrodAim aim = PushrodAim.of(engine, ValveKind.INTAKE, 0);
    assertThat(aim.aimIn(7.850)).isCloseTo(7.8925, within(1e-9));
    Wanted valve = wanted(1, aim.aimIn(7.850), aim.tolIn());
    List<Double> good =
        List.of(7.850, 7.875, 7.900, 7.925, 7.950).stream().filter(valve::takes).toList();
    assertThat(good).containsExactly(7.875, 7.900);
  }

  /** Wanted length = zero-lash length − lash/r; tolerance at the valve over r. */
  @Test
  void aSolidRodIsShorterByItsLash() {
    Engine fixed =
        Engines.engine(
            Engines.with(Engines.sheet("inline-4"), fixed(Lifter.FLAT_SOLID, null, null, null)));
    PushrodAim aim = PushrodAim.of(fixed, ValveKind.INTAKE, 0.016);
    double ratio = fixed.drive().ratio(ValveKind.INTAKE);
    assertThat(aim.aimIn(9.000)).isCloseTo(9.000 - 0.016 / ratio, within(1e-12));
    assertThat(aim.tolIn()).isCloseTo(fixed.rules().toleranceIn() / ratio, within(1e-12));
    Engine turned = Engines.engine(Engines.sheet("inline-4"));
    assertThat(PushrodAim.of(turned, ValveKind.INTAKE, 0.016).tolIn()).isEqualTo(0.025);
  }

  private static EngineSheet.DriveSheet fixed(
      Lifter lifter, Double travel, Double from, Double to) {
    return new EngineSheet.DriveSheet(
        lifter,
        Rocker.PEDESTAL,
        1.6,
        1.6,
        Adjuster.PUSHROD_LENGTH,
        null,
        travel,
        null,
        "7.850 7.875",
        7.850,
        7.850,
        false,
        false,
        null,
        false,
        from == null
            ? null
            : new EngineSheet.PreloadSheet(null, null, from, to, null, "sheet", null, null));
  }

  /** a (cos ends − 1): the narrowest mark is passed square at half lift; either way is wider. */
  @Test
  void theMarkIsNarrowestSquareAtHalfLift() {
    TipPattern tip = new TipPattern(1.45, 0.560, 1.6);
    double narrowest = 1.45 * (1 - Math.cos(0.560 / 1.45 / 2));
    assertThat(tip.at(0).widthIn()).isCloseTo(narrowest, within(1e-12));
    assertThat(tip.at(0).shiftIn()).isCloseTo(0, within(1e-12));
    double before = narrowest;
    for (double off = 0.02; off <= 0.2; off += 0.02) {
      assertThat(tip.at(off).widthIn()).isGreaterThan(before);
      assertThat(tip.at(-off).widthIn()).isCloseTo(tip.at(off).widthIn(), within(1e-12));
      assertThat(tip.at(off).shiftIn()).isNegative();
      before = tip.at(off).widthIn();
    }
    assertThat(tip.offFor(tip.at(0.08).widthIn())).isCloseTo(0.08, within(1e-6));
    assertThat(tip.offFor(0)).isCloseTo(0, within(1e-6));
    assertThat(tip.marks(0.05, 3)).hasSize(7);
  }

  /** Beyond square at no point of the lift the whole arc lies on one side. */
  @Test
  void farOffTheMarkIsTheWholeArc() {
    TipPattern tip = new TipPattern(1.45, 0.400, 1.6);
    double turned = 0.18 * 1.6 / 1.45;
    double half = 0.400 / 1.45 / 2;
    assertThat(tip.at(0.18).widthIn())
        .isCloseTo(1.45 * (Math.cos(turned - half) - Math.cos(turned + half)), within(1e-12));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -1, 25, Double.NaN, 1e300})
  void whatCannotBeIsRefused(double bad) {
    assertThatThrownBy(() -> wanted(1, bad, 0.01)).hasMessageContaining("pushrod");
    assertThatThrownBy(() -> new PushrodCover(List.of(), List.of(bad)))
        .hasMessageContaining("pushrod");
    assertThatThrownBy(() -> new TipPattern(bad, 0.5, 1.6)).hasMessageContaining("rocker");
    assertThatThrownBy(() -> new TipPattern(1.45, bad, 1.6)).hasMessageContaining("rocker");
  }

  @Test
  void moreLengthsThanCanBeChosenFromAreRefused() {
    List<Double> many = new ArrayList<>();
    for (int i = 0; i < 401; i++) {
      many.add(7 + i * 0.001);
    }
    assertThatThrownBy(() -> new PushrodCover(List.of(), many)).hasMessageContaining("more than");
  }
}
