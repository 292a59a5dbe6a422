package shim.core.running;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LoggerTest {
  /** A ramp from 1000 to 7000 rpm in 120 s: ∫ rpm/2 dt = 4000/2 · 2 min = 4000 cycles. */
  @Test
  void cyclesOfARampAreItsClosedForm() {
    LoggerTally t = new LoggerTally(6500);
    for (int i = 0; i <= 1200; i++) {
      t.row(i * 0.1, 1000 + 5.0 * i, 180 + i * 0.01);
    }
    LoggerTally.Sum s = t.sum();
    assertThat(s.cycles()).isCloseTo(4000, within(1e-6));
    assertThat(s.hours()).isCloseTo(120 / 3600.0, within(1e-9));
    assertThat(s.topRpm()).isEqualTo(7000);
    assertThat(s.overRevs()).isEqualTo(1);
    assertThat(s.secondsOver()).isCloseTo(10, within(0.11));
    assertThat(above(s, 4000)).isCloseTo(60, within(0.11));
    assertThat(s.hottest().orElseThrow()).isCloseTo(192, within(0.02));
    assertThat(s.meanHeat().orElseThrow()).isCloseTo(186, within(0.01));
  }

  /** What rows without a temperature add up to: seconds and rpm in turn. */
  private static LoggerTally.Sum tally(double overRevRpm, double... rows) {
    LoggerTally t = new LoggerTally(overRevRpm);
    for (int i = 0; i < rows.length; i += 2) {
      t.row(rows[i], rows[i + 1], Double.NaN);
    }
    return t.sum();
  }

  private static double above(LoggerTally.Sum s, double rpm) {
    return s.bands().stream().filter(b -> b.fromRpm() == rpm).findFirst().orElseThrow().seconds();
  }

  @Test
  void gapsAreNoRunningAndSpikesAreLeftOut() {
    LoggerTally.Sum s =
        tally(7000, 0, 3000, 1, 3000, 2, 15000, 3, 3000, 4, 0, 5, 3000, 500, 3000, 501, 3000);
    assertThat(s.topRpm()).isEqualTo(3000);
    assertThat(s.overRevs()).isZero();
    assertThat(s.spikes()).isEqualTo(1);
    assertThat(s.gaps()).isEqualTo(1);
    assertThat(s.hottest()).isEmpty();
    assertThat(s.hours() * 3600).isCloseTo(6, within(1e-9));
  }

  /** Two seconds between rows are still running; anything more is a hole in the record. */
  @ParameterizedTest
  @CsvSource({"2, 0, 2", "2.01, 1, 0"})
  void aHoleInTheRecordIsLongerThanTwoSeconds(double between, int gaps, double seconds) {
    LoggerTally.Sum s = tally(7000, 0, 3000, between, 3000);
    assertThat(s.gaps()).isEqualTo(gaps);
    assertThat(s.hours() * 3600).isCloseTo(seconds, within(1e-9));
  }

  /** A sample is a spike only when it stands out by more than 3000 rpm from both neighbours. */
  @ParameterizedTest
  @CsvSource({
    "3000, 6001, 3000, 1",
    "3000, 6000, 3000, 0",
    "3000, 6001, 3500, 0",
    "3500, 6001, 3000, 0",
    "6001, 3000, 6001, 1",
    "6000, 3000, 6001, 0",
    "6001, 3000, 6000, 0"
  })
  void aSpikeStandsOutFromBothNeighbours(double before, double at, double after, int spikes) {
    LoggerTally.Sum s = tally(20_000, 0, before, 1, at, 2, after);
    assertThat(s.spikes()).isEqualTo(spikes);
    assertThat(s.topRpm())
        .isEqualTo(spikes == 0 ? Math.max(at, Math.max(before, after)) : Math.max(before, after));
  }

  @Test
  void runningBeginsAtThreeHundredAndOverRevsAboveTheLimit() {
    LoggerTally.Sum s = tally(7000, 0, 300, 1, 300, 2, 7000, 3, 7000);
    assertThat(s.hours() * 3600).isCloseTo(3, within(1e-9));
    assertThat(s.overRevs()).as("at the limit is not over it").isZero();
    assertThat(s.secondsOver()).isZero();
    assertThat(tally(7000, 0, 299, 1, 299).hours()).isZero();
    assertThatThrownBy(() -> new LoggerTally(0)).hasMessageContaining("0.0 rpm");
    new LoggerTally(20_000).row(0, 20_000, Double.NaN);
    assertThatThrownBy(() -> new LoggerTally(20_001)).hasMessageContaining("20001");
  }

  @Test
  void standingStillIsNoRunning() {
    LoggerTally t = new LoggerTally(7000);
    for (int i = 0; i < 100; i++) {
      t.row(i, 0, 70);
    }
    assertThat(t.sum().hours()).isZero();
  }

  @Test
  void timeRunningBackwardsAndImpossibleSpeedsAreRefused() {
    LoggerTally t = new LoggerTally(7000);
    t.row(5, 3000, Double.NaN);
    assertThatThrownBy(() -> t.row(4, 3000, Double.NaN)).hasMessageContaining("backwards");
    assertThatThrownBy(() -> t.row(6, Double.NaN, 0)).hasMessageContaining("NaN rpm");
    assertThatThrownBy(() -> t.row(6, -1, 0)).hasMessageContaining("-1.0 rpm");
    assertThatThrownBy(() -> new LoggerTally(Double.NaN)).hasMessageContaining("NaN");
  }

  @Test
  void headersInAnyOrderAreUnderstood() {
    LoggerColumns c =
        LoggerColumns.read(List.of("Lap", "Oil temp [°C]", "RPM", "Time (ms)")).orElseThrow();
    assertThat(c.time()).isEqualTo(3);
    assertThat(c.rpm()).isEqualTo(2);
    assertThat(c.heat()).isEqualTo(1);
    assertThat(c.secondsPer()).isEqualTo(0.001);
    assertThat(c.fahrenheit(100)).isEqualTo(212);
    assertThat(c.words()).contains("in ms").contains("in °C");
    assertThat(LoggerColumns.read(List.of("time_s", "engine speed")).orElseThrow().heat())
        .isEqualTo(-1);
    assertThat(LoggerColumns.read(List.of("time", "speed"))).isEmpty();
    assertThat(LoggerColumns.number(" 3,25 ")).isEqualTo(3.25);
  }

  @Test
  void theShortWayOfReadingFiguresIsExact() {
    Random random = new Random(12);
    for (int i = 0; i < 20_000; i++) {
      String text =
          BigDecimal.valueOf(random.nextLong(1_000_000_000_000_000L), random.nextInt(16))
              .toPlainString();
      assertThat(LoggerColumns.number(text)).isEqualTo(Double.parseDouble(text));
    }
    assertThat(LoggerColumns.number("1234567890123456789")).isEqualTo(1234567890123456789.0);
    assertThat(LoggerColumns.number("-3,5e2")).isEqualTo(-350);
    for (String bad : List.of("", ",", "1,2,3", "4 5", "x")) {
      assertThatThrownBy(() -> LoggerColumns.number(bad)).isInstanceOf(NumberFormatException.class);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Time | 1",
        "time [s] | 1",
        "Time (ms) | 0.001",
        "elapsed time [min] | 60",
        "time_h | 3600",
        "timestamp_ms | 0.001"
      })
  void theUnitOfTimeStandsInItsTitle(String title, double secondsPer) {
    assertThat(LoggerColumns.read(List.of("RPM", title)).orElseThrow().secondsPer())
        .isEqualTo(secondsPer);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"Water temp [°C] | true", "Oil [F] | false", "ECT | false", "temp_c | true"})
  void theUnitOfHeatStandsInItsTitle(String title, boolean celsius) {
    LoggerColumns c = LoggerColumns.read(List.of("time", "rpm", title)).orElseThrow();
    assertThat(c.heat()).isEqualTo(2);
    assertThat(c.celsius()).isEqualTo(celsius);
    assertThat(c.fahrenheit(100)).isEqualTo(celsius ? 212 : 100);
  }

  @Test
  void samplesMoreOftenTellTheSameStory() {
    LoggerTally seldom = new LoggerTally(6500);
    LoggerTally often = new LoggerTally(6500);
    for (int i = 0; i <= 100; i++) {
      seldom.row(i, 2000 + 45 * i, Double.NaN);
    }
    for (int i = 0; i <= 1000; i++) {
      often.row(i * 0.1, 2000 + 4.5 * i, Double.NaN);
    }
    LoggerTally.Sum a = seldom.sum();
    LoggerTally.Sum b = often.sum();
    assertThat(b.cycles()).isCloseTo(a.cycles(), within(1e-6));
    assertThat(b.hours()).isCloseTo(a.hours(), within(1e-9));
    assertThat(b.rows()).isEqualTo(1001);
  }
}
