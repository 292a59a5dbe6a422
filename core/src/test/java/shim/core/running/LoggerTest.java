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
        tally(
            7000, 0, 3000, 1, 3000, 1.2, 15000, 1.4, 3000, 1.6, 0, 1.8, 3000, 500, 3000, 501, 3000);
    assertThat(s.topRpm()).isEqualTo(3000);
    assertThat(s.overRevs()).isZero();
    assertThat(s.spikes()).as("up and down again in 0.4 s, twice").isEqualTo(1);
    assertThat(s.gaps()).isEqualTo(1);
    assertThat(s.hottest()).isEmpty();
    assertThat(s.hours() * 3600).isCloseTo(2.8, within(1e-9));
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
    LoggerTally.Sum s = tally(20_000, 0, before, 0.1, at, 0.2, after);
    assertThat(s.spikes()).isEqualTo(spikes);
    assertThat(s.topRpm())
        .isEqualTo(spikes == 0 ? Math.max(at, Math.max(before, after)) : Math.max(before, after));
  }

  /** At one sample a second an engine may well have been up there and back. */
  @ParameterizedTest
  @CsvSource({"0.25, 1, 6000, 0", "0.26, 0, 9800, 1", "1, 0, 9800, 1"})
  void anOverRevBetweenSeldomSamplesIsNoSpike(double every, int spikes, double top, int over) {
    LoggerTally.Sum s = tally(7000, 0, 6000, every, 9800, 2 * every, 6000);
    assertThat(s.spikes()).isEqualTo(spikes);
    assertThat(s.topRpm()).isEqualTo(top);
    assertThat(s.overRevs()).isEqualTo(over);
  }

  @Test
  void theFirstRowCounts() {
    assertThat(tally(7000, 0, 7500, 1, 3000))
        .returns(1, LoggerTally.Sum::overRevs)
        .returns(7500.0, LoggerTally.Sum::topRpm);
    assertThat(tally(7000, 0, 7500, 1, 7600).overRevs()).as("one and the same").isEqualTo(1);
    assertThat(tally(7000, 0, 7000, 1, 3000).overRevs()).isZero();
  }

  /** From 6000 to 8000 in a second, straight: half a second over 7000, three quarters over 6500. */
  @Test
  void timeOverALineFollowsTheStraightLine() {
    LoggerTally.Sum s = tally(7000, 0, 6000, 1, 8000, 2, 6000);
    assertThat(s.secondsOver()).isCloseTo(1, within(1e-9));
    assertThat(above(s, 7500)).isCloseTo(0.5, within(1e-9));
    assertThat(above(s, 6500)).isCloseTo(1.5, within(1e-9));
    assertThat(above(s, 6000)).isCloseTo(2, within(1e-9));
    assertThat(above(s, 0)).isCloseTo(2, within(1e-9));
    assertThat(s.bands()).noneMatch(b -> b.fromRpm() > 7500);
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

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Driveshaft rpm;Time;Engine RPM | 2 | -1",
        "Time;RPM limit;RPM | 2 | -1",
        "Time;Wheel speed;Engine speed | 2 | -1",
        "Time;RPM;Injector duty [%] | 1 | -1",
        "Time;RPM;Intake air temp;Water temp [C] | 1 | 3",
        "Time;RPM;Oil pressure;Oil temp | 1 | 3",
        "Lap time;Time;Shift rpm;RPM | 3 | -1",
        "Time;EngineRPM;WaterTemp | 1 | 2",
        "Time;RPM;°C | 1 | 2"
      })
  void titlesOfOtherThingsArePassedOver(String header, int rpm, int heat) {
    LoggerColumns c = LoggerColumns.read(List.of(header.split(";"))).orElseThrow();
    assertThat(c.rpm()).isEqualTo(rpm);
    assertThat(c.heat()).isEqualTo(heat);
    assertThat(List.of(header.split(";")).get(c.time())).isEqualTo("Time");
  }

  @Test
  void unitsMayStandInARowOfTheirOwn() {
    List<String> header = List.of("Time", "RPM", "Oil temp");
    LoggerColumns c = LoggerColumns.read(header).orElseThrow();
    assertThat(c.timeUnit()).isFalse();
    assertThat(c.isUnits(List.of("ms", "1/min", "°C"))).isTrue();
    assertThat(c.isUnits(List.of("ms", "rpm", "°C"))).isTrue();
    assertThat(c.isUnits(List.of("0", "3000", "80"))).isFalse();
    LoggerColumns with = LoggerColumns.read(header, List.of("[ms]", "rpm", "°C")).orElseThrow();
    assertThat(with.secondsPer()).isEqualTo(0.001);
    assertThat(with.celsius()).isTrue();
    assertThat(with.timeUnit()).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "6 250 | 6250",
        "6'250.5 | 6250.5",
        "6.250,5 | 6250.5",
        "1,006,250 | 1006250",
        "6,250.5 | 6250.5",
        "-6,25 | -6.25",
        "6,250 | 6.25"
      })
  void thousandsMayBeGrouped(String text, double value) {
    assertThat(LoggerColumns.number(text)).isEqualTo(value);
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
