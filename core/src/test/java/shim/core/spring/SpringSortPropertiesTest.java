package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.engine.Position;

/** The assignment against all permutations. */
class SpringSortPropertiesTest {
  private static final LoadCurve CURVE = LoadCurve.straight(1.95, 220, 440);

  private static SpringSort.Wanted wanted() {
    return new SpringSort.Wanted(
        1.95, 0.008, List.of(0.015, 0.030), CURVE, PocketPlay.Bounds.USUAL);
  }

  private static List<SpringSort.Boxed> box(Random r, int n) {
    List<SpringSort.Boxed> box = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      box.add(
          new SpringSort.Boxed(
              "m" + i, 220 + 6 * r.nextGaussian(), 1.95, 1.550 + 0.001 * r.nextGaussian()));
    }
    return box;
  }

  private static List<SpringSort.Pocket> pockets(Random r, int n) {
    List<SpringSort.Pocket> pockets = new ArrayList<>();
    for (int i = 1; i <= n; i++) {
      pockets.add(
          new SpringSort.Pocket(
              Position.parse(i + "I"),
              1.94 + 0.05 * r.nextDouble(),
              1.5525 + 0.001 * r.nextGaussian(),
              null));
    }
    return pockets;
  }

  private static double cost(List<SpringSort.Placed> placed, double aim) {
    return placed.stream()
        .mapToDouble(
            p ->
                (p.fits() ? 0 : 1e9)
                    + 1e8 * Math.max(0, Math.abs(p.offIn()) - 0.008)
                    + (p.play() == PocketPlay.MUCH ? 25 : 0)
                    + (p.seatLbf() - aim) * (p.seatLbf() - aim)
                    + p.shimsIn().size())
        .sum();
  }

  /**
   * Cost of every spring in every pocket: the springs as they came, turned on by one each time. The
   * load aimed for is the same in all of them.
   */
  private static double[][] costs(
      List<SpringSort.Boxed> box, List<SpringSort.Pocket> pockets, double aim) {
    int n = pockets.size();
    double[][] costs = new double[n][n];
    for (int shift = 0; shift < n; shift++) {
      List<SpringSort.Boxed> turned = new ArrayList<>(box);
      Collections.rotate(turned, -shift);
      List<SpringSort.Placed> placed =
          SpringSort.of(turned, pockets, wanted()).asTheyCame().placed();
      for (int p = 0; p < n; p++) {
        costs[(p + shift) % n][p] = cost(List.of(placed.get(p)), aim);
      }
    }
    return costs;
  }

  /** The best of all permutations, by which springs are taken already. */
  private static double best(double[][] costs) {
    int n = costs.length;
    double[] least = new double[1 << n];
    Arrays.fill(least, Double.POSITIVE_INFINITY);
    least[0] = 0;
    for (int taken = 0; taken < least.length; taken++) {
      int pocket = Integer.bitCount(taken);
      for (int b = 0; b < n && pocket < n; b++) {
        int with = taken | 1 << b;
        if (with != taken) {
          least[with] = Math.min(least[with], least[taken] + costs[b][pocket]);
        }
      }
    }
    return least[least.length - 1];
  }

  @ParameterizedTest
  @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8})
  void noPermutationIsBetter(int n) {
    for (int seed = 1; seed <= 6; seed++) {
      Random r = new Random(seed);
      List<SpringSort.Boxed> box = box(r, n);
      List<SpringSort.Pocket> pockets = pockets(r, n);
      SpringSort sort = SpringSort.of(box, pockets, wanted());
      double aim = box.stream().mapToDouble(SpringSort.Boxed::loadLbf).average().orElseThrow();
      double chosen = cost(sort.chosen().placed(), aim);
      assertThat(chosen).isCloseTo(best(costs(box, pockets, aim)), within(1e-6 * (1 + chosen)));
      assertThat(sort.chosen().misfits()).isLessThanOrEqualTo(sort.asTheyCame().misfits());
    }
  }

  @Test
  void theStrongerSpringGoesOnTheTallerHeight() {
    List<SpringSort.Boxed> box =
        List.of(
            new SpringSort.Boxed("weak", 214, 1.95, 1.55),
            new SpringSort.Boxed("strong", 226, 1.95, 1.55));
    List<SpringSort.Pocket> pockets =
        List.of(
            new SpringSort.Pocket(Position.parse("1I"), 1.957, 0, null),
            new SpringSort.Pocket(Position.parse("2I"), 1.943, 0, null));
    SpringSort sort = SpringSort.of(box, pockets, wanted());
    assertThat(sort.chosen().placed().get(0).mark()).isEqualTo("strong");
    assertThat(sort.chosen().unevenLbf()).isLessThan(sort.asTheyCame().unevenLbf());
    assertThatThrownBy(() -> SpringSort.of(box.subList(0, 1), pockets, wanted()))
        .hasMessage("1 springs do not fill 2 pockets");
  }

  /** A short pocket is shown as it is; the cut that would mend it is an offer. */
  @Test
  void nothingIsMachinedInSilence() {
    SpringSort.Wanted wanted =
        new SpringSort.Wanted(1.9, 0.005, List.of(0.015, 0.030), CURVE, PocketPlay.Bounds.USUAL);
    List<SpringSort.Placed> placed =
        SpringSort.of(
                List.of(
                    new SpringSort.Boxed("a", 220, 1.95, 1.55),
                    new SpringSort.Boxed("b", 220, 1.95, 1.55),
                    new SpringSort.Boxed("c", 220, 1.95, 1.55)),
                List.of(
                    new SpringSort.Pocket(Position.parse("1I"), 1.86, 0, null),
                    new SpringSort.Pocket(Position.parse("2I"), 1.897, 0, null),
                    new SpringSort.Pocket(Position.parse("3I"), 1.922, 0, null)),
                wanted)
            .chosen()
            .placed();
    assertThat(placed.get(0))
        .returns(1.86, SpringSort.Placed::heightIn)
        .returns(false, SpringSort.Placed::fits)
        .returns(List.of(), SpringSort.Placed::shimsIn)
        .satisfies(p -> assertThat(p.cutIn()).isCloseTo(0.04, within(1e-9)));
    assertThat(placed.get(1))
        .returns(1.897, SpringSort.Placed::heightIn)
        .returns(true, SpringSort.Placed::fits)
        .returns(0.0, SpringSort.Placed::cutIn);
    assertThat(placed.get(2))
        .as("nothing reaches it: the nearest there is")
        .returns(1.907, SpringSort.Placed::heightIn)
        .returns(false, SpringSort.Placed::fits)
        .returns(0.0, SpringSort.Placed::cutIn);
  }

  /** From too snug to a wrong part, each figure of the trade on its own side. */
  @ParameterizedTest
  @CsvSource({
    "-0.001, WIDER",
    "0, SNUG",
    "0.0019, SNUG",
    "0.002, RIGHT",
    "0.010, RIGHT",
    "0.0101, MUCH",
    "0.030, MUCH",
    "0.0301, WRONG",
    "0.051, WRONG"
  })
  void playHasTwoEnds(double play, PocketPlay expected) {
    assertThat(PocketPlay.of(play, PocketPlay.Bounds.USUAL)).isEqualTo(expected);
    for (int thou = 1400; thou < 1700; thou += 7) {
      double od = thou / 1000.0;
      assertThat(PocketPlay.of(od + play - od, PocketPlay.Bounds.USUAL)).isEqualTo(expected);
    }
    boolean fits = expected == PocketPlay.RIGHT || expected == PocketPlay.MUCH;
    assertThat(expected.fits()).isEqualTo(fits);
    SpringSort sort =
        SpringSort.of(
            List.of(new SpringSort.Boxed("a", 220, 1.95, 1.55)),
            List.of(new SpringSort.Pocket(Position.parse("1I"), 1.95, 1.55 + play, null)),
            wanted());
    assertThat(sort.chosen().misfits()).isEqualTo(fits ? 0 : 1);
  }

  /** A spring nobody measured across is neither too wide nor surely wrong. */
  @Test
  void whatWasNotMeasuredIsNotJudgedAndEachPocketHasItsOwnHeight() {
    SpringSort sorted =
        SpringSort.of(
            List.of(
                new SpringSort.Boxed("B1", 220, 1.95, 0), new SpringSort.Boxed("B2", 219, 1.95, 0)),
            List.of(
                new SpringSort.Pocket(Position.parse("1I"), 1.96, 1.556, 1.945),
                new SpringSort.Pocket(Position.parse("1E"), 1.95, 1.556, null)),
            wanted());
    assertThat(sorted.chosen().misfits()).isZero();
    assertThat(sorted.chosen().placed()).allSatisfy(p -> assertThat(p.play()).isNull());
    assertThat(sorted.chosen().placed().get(0).heightIn()).isEqualTo(1.945);
    assertThat(sorted.chosen().placed().get(1).heightIn()).isEqualTo(1.95);
  }
}
