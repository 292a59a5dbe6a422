package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;
import org.junit.jupiter.api.Test;
import shim.core.drift.Common.Surprise;

/** What one round did to all valves alike, found though one valve goes its own way. */
class CommonTest {
  /** Sixteen valves of two kinds in two banks, read in order. */
  private static List<Surprise> round(double all, double exhausts, double bank, double slope) {
    List<Surprise> result = new ArrayList<>();
    for (int i = 0; i < 16; i++) {
      double ex = i % 2 == 0 ? -0.5 : 0.5;
      double b = i < 8 ? -0.5 : 0.5;
      double place = i / 15.0 - 0.5;
      double thou = all + exhausts * ex + bank * b + slope * place;
      result.add(new Surprise(thou, 0.5, ex, b, place));
    }
    return result;
  }

  private static Common of(List<Surprise> round) {
    return Common.of(round, Common.none(), false);
  }

  @Test
  void anOffsetOfTheWholeIsFoundWhole() {
    assertThat(of(round(7, 0, 0, 0)).effects()[0]).isCloseTo(7, within(1e-6));
    assertThat(of(round(-40, 0, 0, 0)).effects()[0]).isCloseTo(-40, within(1e-5));
  }

  @Test
  void groupsAreFoundButHeldNearTheRoundBefore() {
    double[] found = of(round(1, 1.0, 0.6, 0)).effects();
    assertThat(found[1]).isBetween(0.6, 1.0);
    assertThat(found[2]).isBetween(0.2, 0.6);
    double[] again = Common.of(round(1, 1.0, 0.6, 0), found, false).effects();
    assertThat(again[1]).isBetween(found[1], 1.0);
  }

  @Test
  void coolingWhileTheRoundGoesOnIsASlope() {
    List<Surprise> round = round(0, 0, 0, 1.0);
    double[] found = of(round).effects();
    assertThat(found[4]).isPositive();
    // Banks are read one after the other, so part of it may be put down to the bank.
    assertThat(Common.at(found, round.get(15)) - Common.at(found, round.get(0)))
        .isBetween(0.5, 1.0);
  }

  @Test
  void theKindsMayPartAsFarAsTheyLikeWhereGrowthIsUnknown() {
    double[] known = of(round(0, 5, 0, 0)).effects();
    double[] unknown = Common.of(round(0, 5, 0, 0), Common.none(), true).effects();
    assertThat(known[1]).isLessThan(4.5);
    assertThat(unknown[1]).isCloseTo(5, within(0.1));
  }

  @Test
  void oneWildValveHardlyMovesTheRest() {
    for (int wild = 0; wild < 16; wild++) {
      List<Surprise> round = new ArrayList<>(round(2, 0, 0, 0));
      Surprise s = round.get(wild);
      round.set(wild, new Surprise(14, s.variance(), s.exhaust(), s.bank(), s.place()));
      assertThat(of(round).effects()[0]).isCloseTo(2, within(0.15));
    }
  }

  @Test
  void aSingleValveExplainsItselfWholly() {
    List<Surprise> one = List.of(new Surprise(3, 0.5, 0.5, 0, 0));
    assertThat(of(one).leverage(one.get(0), 0)).isGreaterThan(0.999);
    List<Surprise> all = round(3, 0, 0, 0);
    double sum = 0;
    Common common = of(all);
    for (int i = 0; i < all.size(); i++) {
      sum += common.leverage(all.get(i), i);
    }
    assertThat(sum).as("effects free to be found").isBetween(1.0, 5.0);
  }

  /** With every effect free it is ordinary least squares; here against Hipparchus, held loosely. */
  @Test
  void nearOrdinaryLeastSquaresWhereReadingsAreMany() {
    Random random = new Random(3);
    List<Surprise> round = new ArrayList<>();
    double[] y = new double[800];
    double[][] x = new double[800][];
    for (int i = 0; i < y.length; i++) {
      double ex = i % 2 == 0 ? -0.5 : 0.5;
      double b = i % 4 < 2 ? -0.5 : 0.5;
      double place = i / 799.0 - 0.5;
      y[i] = 2 + 0.8 * ex - 0.5 * b + 0.3 * place + random.nextGaussian() * 0.3;
      x[i] = new double[] {ex, b, ex * b * 2, place};
      round.add(new Surprise(y[i], 0.09, ex, b, place));
    }
    OLSMultipleLinearRegression ols = new OLSMultipleLinearRegression();
    ols.newSampleData(y, x);
    double[] reference = ols.estimateRegressionParameters();
    double[] found = of(round).effects();
    for (int j = 0; j < 5; j++) {
      assertThat(found[j]).isCloseTo(reference[j], within(0.03));
    }
  }
}
