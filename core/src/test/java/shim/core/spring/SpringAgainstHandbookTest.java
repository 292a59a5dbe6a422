package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;

/**
 * Shigley's Mechanical Engineering Design, Example 10-1: music wire d 0.037, OD 7/16, 12.5 coils
 * squared, G 11.85 Mpsi. The book rounds D to 0.400 and S_sy to 146 kpsi: tolerance 0.5 %.
 */
class SpringAgainstHandbookTest {
  private static final RoundWire WIRE = new RoundWire(0.037, 0.4375 - 0.037, 12.5 - 2);

  @Test
  void indexCurvatureRateAndLoadAreTheBooks() {
    assertThat(WIRE.index()).isCloseTo(10.8, withPercentage(0.5));
    assertThat(WIRE.bergstraesser()).isCloseTo(1.124, withPercentage(0.5));
    assertThat(WIRE.rateLbfPerIn(11.85e6)).isCloseTo(4.13, withPercentage(0.5));
    double tensileKpsi = 201 / Math.pow(0.037, 0.145);
    assertThat(tensileKpsi).isCloseTo(324, withPercentage(0.5));
    assertThat(WIRE.loadAtStress(0.45 * tensileKpsi * 1000)).isCloseTo(6.46, withPercentage(0.5));
  }

  /** By the definition of a rate; no source needed. */
  @Test
  void aHeightErrorChangesSeatAndOpenLoadOfAStraightSpringAlike() {
    LoadCurve c = LoadCurve.straight(1.9, 200, 400);
    double seat = c.loadAt(1.890) - c.loadAt(1.900);
    double open = c.loadAt(1.890 - 0.6) - c.loadAt(1.900 - 0.6);
    assertThat(seat).isCloseTo(4.0, within(1e-9));
    assertThat(open).isCloseTo(seat, within(1e-9));
  }
}
