package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class MixTest {
  private static final double INFINITE = Double.POSITIVE_INFINITY;

  private static SetRun run() {
    SetData data = new SetReader(new Sets(4, 5).history()).read(SetPrior.USUAL);
    PathKind[] kinds = new PathKind[4];
    Arrays.fill(kinds, PathKind.WITH_SET);
    return new SetRun(new Blocks(data, Spreads.USUAL), kinds);
  }

  /** Healthy, or failing ever faster since a given hour, with so much lost by now. */
  private static Mix mixOf(int spring, double failing) {
    Fault fault =
        Fault.all(Sets.HOURS).stream()
            .filter(f -> f.shape() == Fault.Shape.RUNNING_AWAY)
            .reduce((a, b) -> b)
            .orElseThrow();
    return new Mix(
        run().outlook(spring),
        List.of(
            new Possible(1 - failing, null, 0, 0, 0, 0, 0, 0, 0),
            new Possible(failing, fault, 0, 0.02, 0.0001, 0, 0, 0, 0)),
        0);
  }

  /** Far ahead too, where one of the paths may have run away. */
  @ParameterizedTest
  @ValueSource(doubles = {9, 20, 30, 60, 200})
  void aQuantileIsTheInverseOfItsProbability(double hours) {
    Mix mix = mixOf(0, 0.04);
    for (double p : new double[] {0.1, 0.5, 0.9}) {
      double q = mix.lossQuantile(hours, p);
      assertThat(1 - mix.lossAbove(hours, q)).as("%s", p).isCloseTo(p, within(0.003));
    }
  }

  @Test
  void aMixtureLiesBetweenItsParts() {
    double set = mixOf(1, 0).lossAbove(12, 0.05);
    double mixed = mixOf(1, 0.5).lossAbove(12, 0.05);
    assertThat(mixed).isGreaterThan(set);
    assertThat(mixOf(1, 0.5).loadBelow(12, -0.2)).isBetween(0.0, 0.5);
  }

  @Test
  void theBaselineIsTheSameFromWhereverItIsSeen() {
    Mix mix = mixOf(2, 0.3);
    assertThat(mix.baselineLn(8)).isCloseTo(mix.baselineLn(20), within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"0.1, 11", "0.5, 15", "0.9, 19"})
  void hoursUntilALimitIsBrokenAreFound(double p, double hours) {
    double found = Mix.hoursUntil(5, INFINITE, p, h -> Math.max(0, Math.min(1, (h - 10) / 10)));
    assertThat(found).isCloseTo(hours, within(0.03));
  }

  @Test
  void aBrokenLimitLeavesNoHoursAndAnEndlessOneTheLife() {
    assertThat(Mix.hoursUntil(5, INFINITE, 0.5, h -> 1)).isEqualTo(5);
    assertThat(Mix.hoursUntil(5, INFINITE, 0.5, h -> 0)).isEqualTo(INFINITE);
    assertThat(Mix.hoursUntil(5, 30, 0.5, h -> 0)).isEqualTo(30);
  }

  @Test
  void aPrecisionThatIsNoneIsAnErrorOfOurs() {
    assertThatThrownBy(() -> new Shared(new double[][] {{1}, {2, 1}}, new double[] {0, 0}))
        .isInstanceOf(ArithmeticException.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, -0.1, 1})
  void aSpreadLiesBetweenZeroAndOne(double v) {
    assertThatThrownBy(() -> new Spreads(v, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void puttingASpringOnAnotherPathAndBackChangesNothing() {
    SetRun run = run();
    SetRun back = run.with(1, PathKind.OWN_WAY).with(1, PathKind.WITH_SET);
    assertThat(back.logEvidence()).isCloseTo(run.logEvidence(), within(1e-6));
    PathKind[] kinds = new PathKind[4];
    Arrays.fill(kinds, PathKind.WITH_SET);
    kinds[1] = PathKind.OWN_WAY;
    SetRun fresh = new SetRun(new Blocks(run.data(), Spreads.USUAL), kinds);
    assertThat(run.with(1, PathKind.OWN_WAY).logEvidence())
        .isCloseTo(fresh.logEvidence(), within(1e-6));
  }

  @Test
  void theSharesOfTheShapesAddUpToOne() {
    double hours = 0.5;
    double prior = Fault.all(new double[] {2, 2 + hours}).stream().mapToDouble(Fault::prior).sum();
    assertThat(prior).isCloseTo(Fault.HAZARD * hours, within(1e-12));
  }

  /**
   * Halfway from the last test to anywhere: what was lost by then is its size, and no less after.
   */
  @ParameterizedTest
  @EnumSource(Fault.Shape.class)
  void aFaultOnlyGrows(Fault.Shape shape) {
    for (Fault f : Fault.all(Sets.HOURS)) {
      if (f.shape() == shape) {
        assertThat(f.lost(f.fromHours())).isZero();
        assertThat(f.lost(7.7)).isCloseTo(1, within(1e-12));
        assertThat(f.lost(9)).isGreaterThanOrEqualTo(1);
        assertThat(f.lost(1e5)).isFinite();
      }
    }
  }
}
