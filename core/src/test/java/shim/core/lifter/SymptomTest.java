package shim.core.lifter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import shim.core.drift.ValveDrift.Signal;
import shim.core.engine.Lifter;

class SymptomTest {
  @Test
  void lashThatMovesIsTheFirstSymptom() {
    assertThat(Symptom.at(Lifter.ROLLER_HYDRAULIC, Signal.STEADY, true, Optional.empty(), false))
        .isEmpty();
    assertThat(Symptom.at(Lifter.ROLLER_HYDRAULIC, Signal.OPENING, true, Optional.empty(), false))
        .as("an over-rev explains steps only")
        .containsExactly(Symptom.OPENING);
    assertThat(Symptom.at(Lifter.ROLLER_HYDRAULIC, Signal.STEP_OPEN, true, Optional.empty(), false))
        .containsExactlyInAnyOrder(Symptom.STEP_OPEN, Symptom.AFTER_OVER_REV);
    assertThat(
            Symptom.at(Lifter.ROLLER_HYDRAULIC, Signal.STEP_TIGHT, false, Optional.empty(), false))
        .containsExactly(Symptom.STEP_TIGHT);
  }

  @Test
  void aTickHeardHotAndALowSpringCountByThemselves() {
    assertThat(
            Symptom.at(
                Lifter.ROLLER_HYDRAULIC, Signal.STEADY, false, Optional.of(Level.GOOD), false))
        .isEmpty();
    assertThat(
            Symptom.at(
                Lifter.ROLLER_HYDRAULIC, Signal.STEADY, false, Optional.of(Level.WORN), true))
        .containsExactlyInAnyOrder(Symptom.NOISE, Symptom.LOAD_LOW);
  }
}
