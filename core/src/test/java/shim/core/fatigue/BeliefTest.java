package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import shim.core.stats.Normal;

/** Steps of a Gaussian belief against textbook matrix algebra. */
class BeliefTest {
  private static Belief two() {
    Belief x = new Belief(1, 2);
    x.reset(0, 1, 4);
    x.reset(1, -2, 9);
    x.noise(0, 1, 2);
    return x;
  }

  @Test
  void anObservationIsTheConditionedGaussian() {
    Belief x = two();
    double spread = x.observe(new int[] {0, 1}, new double[] {1, -1}, new double[] {5}, 0.5);
    RealMatrix p = MatrixUtils.createRealMatrix(new double[][] {{4, 2}, {2, 9}});
    RealVector h = MatrixUtils.createRealVector(new double[] {1, -1});
    double s = h.dotProduct(p.operate(h)) + 0.5;
    RealVector gain = p.operate(h).mapDivide(s);
    double surprise = 5 - (1 + 2);
    assertThat(spread).isCloseTo(s, within(1e-12));
    assertThat(x.mean(0, 0)).isCloseTo(1 + gain.getEntry(0) * surprise, within(1e-12));
    assertThat(x.mean(0, 1)).isCloseTo(-2 + gain.getEntry(1) * surprise, within(1e-12));
    RealMatrix after = p.subtract(gain.outerProduct(p.operate(h)));
    for (int i = 0; i < 2; i++) {
      for (int j = 0; j < 2; j++) {
        assertThat(x.cov(i, j)).isCloseTo(after.getEntry(i, j), within(1e-12));
      }
    }
  }

  @Test
  void addingAStateIsALinearMapAndBackAgain() {
    Belief x = two();
    x.add(0, 1, 0.5);
    assertThat(x.mean(0, 0)).isEqualTo(0);
    assertThat(x.cov(0, 0)).isCloseTo(4 + 2 * 0.5 * 2 + 0.25 * 9, within(1e-12));
    assertThat(x.cov(0, 1)).isCloseTo(2 + 0.5 * 9, within(1e-12));
    x.add(0, 1, -0.5);
    assertThat(x.cov(0, 0)).isCloseTo(4, within(1e-12));
    assertThat(x.cov(1, 0)).isCloseTo(2, within(1e-12));
  }

  @Test
  void aStateMadeTheSameAsAnotherDiffersFromItByNothing() {
    Belief x = two();
    x.same(0, 1);
    assertThat(x.variance(new int[] {0, 1}, new double[] {1, -1})).isCloseTo(0, within(1e-12));
    assertThat(x.mean(0, 0)).isEqualTo(-2);
  }

  @Test
  void scalingAStateScalesItsSpread() {
    Belief x = two();
    x.scale(1, 3);
    assertThat(x.mean(0, 1)).isEqualTo(-6);
    assertThat(x.cov(1, 1)).isEqualTo(81);
    assertThat(x.cov(0, 1)).isEqualTo(6);
  }

  @Test
  void aForgottenStateHangsOnNothing() {
    Belief x = two();
    x.reset(1, 7, 1);
    assertThat(x.cov(0, 1)).isZero();
    assertThat(x.mean(0, 1)).isEqualTo(7);
  }

  @Test
  void columnsShareTheirCovarianceAndKeepTheirMeans() {
    Belief x = new Belief(2, 1);
    x.reset(0, 0, 1);
    double[] seen = {2, -4};
    x.observe(new int[] {0}, new double[] {1}, seen, 1);
    assertThat(x.mean(0, 0)).isEqualTo(1);
    assertThat(x.mean(1, 0)).isEqualTo(-2);
    assertThat(seen).containsExactly(2, -4);
    assertThat(x.cov(0, 0)).isEqualTo(0.5);
  }

  /** The path's covariance is the closed form of an integrated random walk with a random rate. */
  @Test
  void anOwnPathIsTheIntegratedRandomWalk() {
    Spreads s = Spreads.USUAL;
    OwnPath path = new OwnPath(s, PathKind.OWN_WAY);
    Belief x = new Belief(1, OwnPath.STATES);
    path.begin(x);
    path.run(x, 0, 0.7);
    path.run(x, 0.7, 2.3);
    path.run(x, 2.3, 5);
    double q = PathKind.OWN_WAY.kappa() * s.walk() * s.walk();
    double v = s.rate() * s.rate() * 25 + q * 125 / 3;
    assertThat(x.cov(OwnPath.PATH, OwnPath.PATH)).isCloseTo(v, within(1e-15));
    double withBaseline = s.rate() * s.rate() * 5 + q * (3 * 5 - 1) / 6;
    assertThat(x.cov(OwnPath.PATH, OwnPath.BASELINE)).isCloseTo(withBaseline, within(1e-15));
  }

  @Test
  void aNormalsTailIsTheTables() {
    // Standard normal tables: P(Z > 1.2816) = 0.1, P(Z > 1.96) = 0.025.
    Normal n = new Normal(10, 2);
    assertThat(n.above(10)).isCloseTo(0.5, within(1e-12));
    assertThat(n.above(10 + 2 * 1.281552)).isCloseTo(0.1, within(1e-6));
    assertThat(n.above(10 + 2 * 1.959964)).isCloseTo(0.025, within(1e-6));
    assertThat(new Normal(1, 0).above(0.5)).isEqualTo(1);
    assertThat(new Normal(1, 0).above(1)).isZero();
  }

  @Test
  void settlingIsAboutTheLogOfTime() {
    assertThat(Settling.of(0)).isZero();
    assertThat(Settling.of(0.5)).isCloseTo(Math.log(2), within(1e-12));
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> Settling.of(Double.NaN))
        .hasMessageContaining("NaN");
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> Settling.of(-1))
        .hasMessageContaining("-1.0");
  }

  @Test
  void thePriorsPrecisionIsTheInverseOfItsVariance() {
    SetData data = new SetReader(new Sets(2, 1).history(0, 2)).read(SetPrior.USUAL);
    Priors p = Priors.of(data, Spreads.USUAL);
    double[][] lower = p.precision();
    RealMatrix full = MatrixUtils.createRealMatrix(lower.length, lower.length);
    for (int i = 0; i < lower.length; i++) {
      full.setEntry(i, i, lower[i][i]);
    }
    RealMatrix inverse = new LUDecomposition(full).getSolver().getInverse();
    for (int i = 0; i < lower.length; i++) {
      assertThat(inverse.getEntry(i, i)).isCloseTo(p.variance()[i], within(1e-12));
      assertThat(p.pull()[i]).isCloseTo(p.mean()[i] / p.variance()[i], within(1e-9));
    }
  }
}
