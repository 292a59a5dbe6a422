package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.fatigue.Settings.State;

class SettingsTest {
  private static final double SD = 0.008;
  private static final List<Double> RIGHT = List.of(-0.001, 0.001);
  private static final List<Double> ALSO_RIGHT = List.of(0.004, 0.002);
  private static final List<Double> SLIPPED = List.of(-0.051, -0.049);

  @Test
  void oneSettingStandsForItself() {
    Settings one = Settings.of(List.of(SLIPPED), SD, 0);
    assertThat(one.state()).isEqualTo(State.ONE);
    assertThat(one.mean()).isCloseTo(-0.05, within(1e-12));
    assertThat(one.noise()).isEqualTo(0.5);
    assertThat(one.count()).isEqualTo(1);
  }

  @Test
  void twoThatAgreeAreOneFigure() {
    Settings two = Settings.of(List.of(RIGHT, ALSO_RIGHT), SD, -0.05);
    assertThat(two.state()).isEqualTo(State.AGREED);
    assertThat(two.mean()).isCloseTo(0.0015, within(1e-12));
    assertThat(two.noise()).isCloseTo(0.25, within(1e-12));
    assertThat(two.count()).isEqualTo(2);
    assertThat(two.free()).isEqualTo(2);
    assertThat(two.squares()).isCloseTo(4e-6, within(1e-15));
  }

  @Test
  void twoThatDoNotAgreeLeanTowardsWhatWasPredicted() {
    Settings healthy = Settings.of(List.of(SLIPPED, RIGHT), SD, 0);
    assertThat(healthy.state()).isEqualTo(State.APART);
    assertThat(healthy.mean()).isBetween(-0.01, 0.0);
    assertThat(Settings.of(List.of(SLIPPED, RIGHT), SD, -0.05).mean()).isBetween(-0.05, -0.04);
    assertThat(Settings.of(List.of(SLIPPED, RIGHT), SD, Double.NaN).mean())
        .isCloseTo(-0.025, within(1e-12));
  }

  /** Whatever was predicted, and in whichever order: two against one. */
  @Test
  void aThirdSettingDecides() {
    for (List<List<Double>> order :
        List.of(
            List.of(SLIPPED, RIGHT, ALSO_RIGHT),
            List.of(RIGHT, SLIPPED, ALSO_RIGHT),
            List.of(RIGHT, ALSO_RIGHT, SLIPPED))) {
      Settings three = Settings.of(order, SD, -0.05);
      assertThat(three.state()).isEqualTo(State.AGREED);
      assertThat(three.mean()).isCloseTo(0.0015, within(1e-12));
      assertThat(three.count()).isEqualTo(2);
    }
  }

  @Test
  void whatAgreesIsLimitedByThreeStandardDeviations() {
    double limit = 3 * SD;
    List<Double> zero = List.of(0.0, 0.0);
    List<Double> inside = List.of(limit * 0.999, limit * 0.999);
    List<Double> outside = List.of(limit * 1.001, limit * 1.001);
    assertThat(Settings.of(List.of(zero, inside), SD, 0).state()).isEqualTo(State.AGREED);
    assertThat(Settings.of(List.of(zero, outside), SD, 0).state()).isEqualTo(State.APART);
  }

  @Test
  void aSettingWithoutReadingsIsRefused() {
    assertThatThrownBy(() -> new SetHistory.Read("s", 1, List.of()))
        .hasMessageContaining("load of []");
    assertThatThrownBy(() -> new SetHistory.Read("s", 1, List.of(List.of(200.0), List.of())))
        .hasMessageContaining("load of");
    assertThat(new SetHistory.Read("s", 1, List.of(List.of(200.0), List.of(202.0))).meanLbf())
        .isEqualTo(201);
  }
}
