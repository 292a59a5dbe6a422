package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.crank.CrankSlide;

class AirHoldTest {
  private static final CrankSlide SLIDE = new CrankSlide(4.125, 3.48, 6.0);

  private static AirHold at(double offDeg, double turnsAt) {
    return new AirHold(Optional.of(SLIDE), 80, offDeg, turnsAt);
  }

  @Test
  void aLockIsWantedAboveHalfOfWhatTurnsTheCrank() {
    double torque = SLIDE.torqueLbfFt(80, 3);
    assertThat(at(3, 2 * torque).lockWanted()).as("at half").isFalse();
    assertThat(at(3, 2 * torque - 1e-6).lockWanted()).as("above half").isTrue();
    assertThat(at(3, 2 * torque + 1e-6).lockWanted()).as("below half").isFalse();
  }

  @Test
  void aLockIsWantedWhereNobodyCanTell() {
    assertThat(new AirHold(Optional.empty(), 80, 3, 1e6).lockWanted()).isTrue();
  }

  @Test
  void eitherSideOfTdcIsTheSameAndFurtherThanFortyNobodyIs() {
    assertThat(at(-5, 12)).isEqualTo(at(5, 12));
    assertThat(at(90, 12).offDeg()).isEqualTo(40);
  }

  @ParameterizedTest
  @ValueSource(doubles = {20, 200})
  void shopAirIsTwentyToTwoHundred(double psi) {
    assertThat(AirHold.sound(psi)).isTrue();
    double beyond = psi == 20 ? Math.nextDown(psi) : Math.nextUp(psi);
    assertThat(AirHold.sound(beyond)).isFalse();
    assertThat(AirHold.sound(Double.NaN)).isFalse();
    assertThatThrownBy(() -> new AirHold(Optional.of(SLIDE), beyond, 3, 12))
        .hasMessageContaining("{20 psi} to {200 psi}");
  }
}
