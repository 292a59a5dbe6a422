package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import shim.core.engine.HeatState;
import shim.core.engine.ValveKind;
import shim.core.unit.Said;

/**
 * The cases that the screen's own reading of a figure is held against too ({@code gauge.test.ts}).
 */
class EntryGaugeTest {
  private static final double STEP_IN = 0.001;

  @ParameterizedTest
  @CsvFileSource(resources = "/gauge-cases.csv", numLinesToSkip = 1)
  void aFigureIsJudgedAsTheScreenJudgesIt(
      String form,
      double figure,
      @Nullable Double second,
      Reading.@Nullable Feel feel,
      double target,
      double tolerance,
      @Nullable Double floor,
      LashVerdict verdict,
      boolean asked) {
    Reading reading =
        switch (form) {
          case "GO_NO_GO" -> new Reading.GoNoGo(figure, second);
          case "LEAF" -> new Reading.Leaf(figure, feel, STEP_IN);
          default -> new Reading.Figure(figure, STEP_IN);
        };
    LashTarget wanted =
        new LashTarget(
            ValveKind.INTAKE, HeatState.HOT, target, floor, tolerance, Said.kept("test"), null);
    assertThat(wanted.judge(reading.valueIn())).isEqualTo(verdict);
    assertThat(Plausible.askLash(reading.valueIn(), target).isPresent()).isEqualTo(asked);
  }
}
