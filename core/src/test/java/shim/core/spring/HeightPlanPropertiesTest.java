package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The ways to a height against plain enumeration, over random heights and stocks. */
class HeightPlanPropertiesTest {
  private static final double TARGET = 1.95;

  private record Case(double measured, List<Double> stock, List<Double> locks, Stack in) {
    Case(double measured, List<Double> stock, List<Double> locks) {
      this(measured, stock, locks, Stack.PLAIN);
    }
  }

  private static Case random(Random r) {
    List<Double> stock = new ArrayList<>();
    for (double s : new double[] {0.010, 0.015, 0.030, 0.045, 0.060}) {
      if (r.nextBoolean()) {
        stock.add(s);
      }
    }
    List<Double> locks = r.nextBoolean() ? List.of(-0.050, 0.050) : List.of();
    return new Case(TARGET + 0.09 * r.nextDouble() - 0.02, stock, locks);
  }

  private static HeightPlan plan(Case c, HeightPlan.School school) {
    return HeightPlan.of(
        new HeightPlan.Wanted(
            c.measured, TARGET, 0.005, c.stock, c.locks, List.of(), school, c.in));
  }

  /** Fewest shims of the stock that bring the height within tolerance, plain locks only. */
  private static int fewest(Case c, double from, int most) {
    if (Math.abs(from - TARGET) <= 0.005 + 1e-6) {
      return 0;
    }
    if (most == 0) {
      return 99;
    }
    int best = 99;
    for (double s : c.stock) {
      best = Math.min(best, 1 + fewest(c, from - s, most - 1));
    }
    return best;
  }

  @ParameterizedTest
  @EnumSource(HeightPlan.School.class)
  void everyWayAddsUpAndSaysTruthfullyWhetherItIsWithin(HeightPlan.School school) {
    Random r = new Random(31);
    for (int i = 0; i < 300; i++) {
      Case c = random(r);
      for (HeightPlan.Way w : plan(c, school).ways()) {
        double sum = w.shimsIn().stream().mapToDouble(s -> s).sum();
        assertThat(w.heightIn())
            .isCloseTo(c.measured + w.lockIn() + w.machineIn() - sum, within(2e-6));
        assertThat(w.offIn()).isCloseTo(w.heightIn() - TARGET, within(2e-6));
        assertThat(w.within()).isEqualTo(Math.abs(w.offIn()) <= 0.005 + 2e-6);
        assertThat(w.shimsIn()).isSorted();
      }
    }
  }

  @Test
  void theFewestPiecesOfAllAreFound() {
    Random r = new Random(32);
    int found = 0;
    for (int i = 0; i < 300; i++) {
      Case drawn = random(r);
      Case c = new Case(drawn.measured, drawn.stock, List.of());
      int best = fewest(c, c.measured, 3);
      HeightPlan.Way first = plan(c, HeightPlan.School.FEWEST_PIECES).ways().get(0);
      // What is to hand comes before a lathe.
      if (best <= 3) {
        assertThat(first.pieces()).isEqualTo(best);
        assertThat(first.kind()).isNotEqualTo(HeightPlan.Kind.ONE_MADE_PIECE);
        found++;
      } else {
        assertThat(first.kind())
            .isIn(HeightPlan.Kind.ONE_MADE_PIECE, HeightPlan.Kind.MACHINE_LOCATOR);
      }
    }
    assertThat(found).isGreaterThan(50);
  }

  @Test
  void whoWantsOnePieceNeverGetsAStackFirst() {
    Random r = new Random(33);
    for (int i = 0; i < 300; i++) {
      assertThat(plan(random(r), HeightPlan.School.ONE_PIECE).ways().get(0).pieces())
          .isLessThanOrEqualTo(1);
    }
  }

  @ParameterizedTest
  @CsvSource({"1.950, AS_IT_IS", "1.953, AS_IT_IS", "1.965, SHIMS", "1.930, MACHINE_LOCATOR"})
  void theObviousWayComesFirst(double measured, HeightPlan.Kind kind) {
    Case c = new Case(measured, List.of(0.015, 0.030, 0.060), List.of());
    assertThat(plan(c, HeightPlan.School.FEWEST_PIECES).ways().get(0).kind()).isEqualTo(kind);
  }

  @Test
  void withoutAnyWayWithinToleranceTheNearestAreShown() {
    HeightPlan.Wanted w =
        new HeightPlan.Wanted(
            1.95,
            1.95,
            0.005,
            List.of(),
            List.of(),
            List.of(),
            HeightPlan.School.FEWEST_PIECES,
            null);
    assertThat(HeightPlan.of(w).ways()).hasSize(1);
    Case far = new Case(1.70, List.of(0.015), List.of());
    List<HeightPlan.Way> ways = plan(far, HeightPlan.School.FEWEST_PIECES).ways();
    assertThat(ways.get(0).kind()).isEqualTo(HeightPlan.Kind.MACHINE_LOCATOR);
    assertThat(ways.get(0).machineIn()).isCloseTo(0.25, within(1e-9));
  }

  /**
   * What is in may come out: a way ends where the bare pocket with its stack ends, piece by piece.
   */
  @Test
  void everyWayStartsFromThePartsThatAreInAndGoesToTheSameBarePocket() {
    Random r = new Random(34);
    int exchanged = 0;
    for (int i = 0; i < 300; i++) {
      Case bare = random(r);
      List<Double> under = new ArrayList<>();
      for (int n = r.nextInt(4); n > 0; n--) {
        under.add(List.of(0.010, 0.022, 0.030, 0.060).get(r.nextInt(4)));
      }
      Stack in = new Stack(under, r.nextBoolean() ? 0.050 : 0, 0);
      double measured = bare.measured - in.takesIn();
      Case c = new Case(measured, bare.stock, bare.locks, in);
      for (HeightPlan.Way w : plan(c, HeightPlan.School.FEWEST_PIECES).ways()) {
        double sum = w.shimsIn().stream().mapToDouble(s -> s).sum();
        assertThat(w.heightIn())
            .isCloseTo(bare.measured + w.lockIn() + w.machineIn() - sum, within(2e-6));
        List<Double> then = new ArrayList<>(in.shimsIn());
        w.takeOutIn().forEach(then::remove);
        then.addAll(w.putInIn());
        assertThat(then).containsExactlyInAnyOrderElementsOf(w.shimsIn());
        assertThat(w.putInIn()).noneMatch(w.takeOutIn()::contains);
        if (w.kind() != HeightPlan.Kind.ONE_MADE_PIECE) {
          w.putInIn().forEach(s -> assertThat(c.stock).contains(s));
        }
        assertThat(
                plan(c, HeightPlan.School.FEWEST_PIECES).ways().stream()
                    .filter(o -> o.lockIn() == w.lockIn() && o.heightIn() == w.heightIn()))
            .as("one way to one height")
            .hasSize(1);
        exchanged += w.takeOutIn().isEmpty() ? 0 : 1;
      }
    }
    assertThat(exchanged).isGreaterThan(100);
  }

  /** With 0.030 in and 1.962 read, the pocket is 1.992 bare: a further 0.015 makes 1.947. */
  @Test
  void aShimUnderTheSpringCounts() {
    Stack in = new Stack(List.of(0.030), 0, 0);
    Case c = new Case(1.962, List.of(0.015, 0.030, 0.045, 0.060), List.of(), in);
    HeightPlan.Way first = plan(c, HeightPlan.School.FEWEST_PIECES).ways().get(0);
    assertThat(first.shimsIn()).containsExactly(0.045);
    assertThat(first.takeOutIn()).containsExactly(0.030);
    assertThat(first.putInIn()).containsExactly(0.045);
    assertThat(first.heightIn()).isCloseTo(1.947, within(1e-9));
    HeightPlan.Way tooShort =
        plan(new Case(1.936, c.stock, List.of(), in), HeightPlan.School.FEWEST_PIECES)
            .ways()
            .get(0);
    assertThat(tooShort.shimsIn()).containsExactly(0.015);
    assertThat(tooShort.kind()).isEqualTo(HeightPlan.Kind.SHIMS);
  }

  @Test
  void locksAndRetainersInUseCountToo() {
    Stack in = new Stack(List.of(), 0.050, 0);
    Case c = new Case(2.000, List.of(), List.of(0.050), in);
    HeightPlan.Way first = plan(c, HeightPlan.School.FEWEST_PIECES).ways().get(0);
    assertThat(first.kind()).isEqualTo(HeightPlan.Kind.LOCKS);
    assertThat(first.lockIn()).isZero();
    assertThat(first.heightIn()).isCloseTo(1.950, within(1e-9));
    assertThat(first.sealIn(in)).isCloseTo(-0.050, within(1e-9));
    HeightPlan.Way other =
        HeightPlan.of(
                new HeightPlan.Wanted(
                    1.930,
                    TARGET,
                    0.005,
                    List.of(),
                    List.of(),
                    List.of(0.020),
                    HeightPlan.School.FEWEST_PIECES,
                    null))
            .ways()
            .get(0);
    assertThat(other.kind()).isEqualTo(HeightPlan.Kind.RETAINER);
    assertThat(other.retainerIn()).isEqualTo(0.020);
  }

  /** Exactly the tolerance away is within, at every height in thousandths. */
  @Test
  void exactlyTheToleranceIsWithin() {
    for (int thou = 1700; thou < 2300; thou++) {
      for (int off : new int[] {-5, 5}) {
        HeightPlan.Wanted w =
            new HeightPlan.Wanted(
                (thou + off) / 1000.0,
                thou / 1000.0,
                0.005,
                List.of(),
                List.of(),
                null,
                HeightPlan.School.FEWEST_PIECES,
                null);
        assertThat(HeightPlan.of(w).ways().get(0).kind()).isEqualTo(HeightPlan.Kind.AS_IT_IS);
      }
    }
  }
}
