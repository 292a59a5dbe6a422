package shim.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.lobe.LiftTable;
import shim.core.lobe.SmoothLobe;

/** The simulated lobe is its card's, and a dial's readings of it give it back. */
class LobeSeasonTest {
  @ParameterizedTest
  @CsvSource({"0.430, 284, 256", "0.425, 290, 262", "0.290, 258, 226", "0.330, 250, 218"})
  void fitsItsCardAndIsFoundAgain(double lift, double at020, double at050) {
    LobeSeason truth = LobeSeason.ofCard(lift, at020, at050);
    assertThat(truth.liftIn(0)).isEqualTo(lift);
    assertThat(truth.liftIn(at020 / 2)).isCloseTo(0.020, within(1e-6));
    assertThat(truth.liftIn(-at050 / 2)).isCloseTo(0.050, within(1e-6));
    assertThat(truth.liftIn(truth.halfDeg() + 1)).isZero();
    SmoothLobe found = new SmoothLobe(new LiftTable(truth.read(1.6, 4, 0.0005, 0.001, 5)), 1.6);
    assertThat(found.curve().noseIn()).isCloseTo(lift, within(0.001));
    assertThat(found.curve().durationDeg(0.050)).isCloseTo(at050, within(0.6));
    assertThat(found.curve().durationDeg(0.020)).isCloseTo(at020, within(1.0));
  }
}
