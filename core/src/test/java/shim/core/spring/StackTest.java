package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people write beside a spring, read as the parts that are in. */
class StackTest {
  private static String shims(String written) {
    return Stack.read(written, null, null)
        .map(s -> s.shimsIn().stream().map(String::valueOf).collect(Collectors.joining(" ")))
        .orElse("?");
  }

  @ParameterizedTest
  @CsvSource({
    "0.030, 0.03",
    "0.030 0.015, 0.015 0.03",
    "0.030 + .015, 0.015 0.03",
    "'0,030; 0,015', 0.015 0.03",
    "2 x 0.015, 0.015 0.015",
    "2×.030 .060, 0.03 0.03 0.06",
    "none, ''",
    "'', ''",
    ", ''",
    "-, ''",
    "0, ''",
    "0.762 mm, 0.03",
    "0.381mm 0.762mm, 0.015 0.03",
    "two thin ones, ?",
    "2, ?",
    "0.030 2 more, ?",
    "30 thou, ?",
    "0.762, ?",
    "0.001, ?",
    "9 x 0.015, ?",
    "0 x 0.015, ?"
  })
  void theShims(String written, String read) {
    assertThat(shims(written)).isEqualTo(read);
  }

  @ParameterizedTest
  @CsvSource({
    "plus 0, 0",
    ", 0",
    "plain, 0",
    "+0.050, 0.05",
    "+.050 long, 0.05",
    "−0.050, -0.05",
    "10° -0.050, -0.05",
    "'+1,27 mm', 0.05",
    "11/32 7°, 0",
    "+0.500, 0"
  })
  void theLocks(String written, double offset) {
    assertThat(Stack.read(null, written, written).orElseThrow())
        .satisfies(s -> assertThat(s.lockIn()).isEqualTo(offset))
        .satisfies(s -> assertThat(s.retainerIn()).isEqualTo(offset));
  }

  @Test
  void allOfItTogetherIsTakenOffTheBarePocket() {
    assertThat(new Stack(List.of(0.030, 0.015), 0.050, -0.020).takesIn())
        .isCloseTo(0.015, org.assertj.core.api.Assertions.within(1e-12));
  }

  /**
   * What is written down is what goes on record: a count that is not the plan's is no thickness.
   */
  @Test
  void shimsAreWrittenAsTypedElseAsPlannedElseOnlyCounted() {
    List<Double> planned = List.of(0.015, 0.030);
    assertThat(Stack.written("2 x 0.015", 2, planned)).isEqualTo("2 x 0.015");
    assertThat(Stack.written(null, 2, planned)).isEqualTo("0.015 0.030");
    assertThat(Stack.written(null, 3, planned)).isEqualTo("3 pieces");
    assertThat(Stack.written(null, 0, List.of())).isEmpty();
    assertThat(Stack.read(Stack.written(null, 2, planned), null, null))
        .contains(new Stack(planned, 0, 0));
  }
}
