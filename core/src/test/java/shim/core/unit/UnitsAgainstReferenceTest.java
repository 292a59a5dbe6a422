package shim.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Source: NIST Special Publication 811 (2008), appendix B.8; figures entered from memory. */
class UnitsAgainstReferenceTest {
  @Test
  void factors() {
    assertThat(Units.MM_PER_INCH).isEqualTo(25.4);
    assertThat(Units.NEWTON_PER_LBF).isEqualTo(4.4482216152605);
    assertThat(Units.NEWTON_PER_KGF).isEqualTo(9.80665);
    assertThat(Units.NEWTON_PER_MM_PER_LBF_PER_INCH).isCloseTo(0.175126835, within(1e-9));
    assertThat(Units.NEWTON_METRE_PER_LBF_FT).isCloseTo(1.355817948, within(1e-9));
    assertThat(Units.KPA_PER_PSI).isCloseTo(6.894757, within(1e-6));
  }

  @Test
  void anglesWrapAndOnlyGoForward() {
    assertThat(Angle.inCycle(-90)).isEqualTo(630);
    assertThat(Angle.distance(10, 700)).isCloseTo(30, within(1e-9));
    assertThat(Angle.forward(700, 10)).isCloseTo(30, within(1e-9));
    assertThat(Angle.forward(10, 700)).isCloseTo(690, within(1e-9));
    assertThat(Angle.forward(10, 10 - 1e-12)).isZero();
  }
}
