package shim.app.fatigue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.spring.SpringRules;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.WorthReading;
import shim.core.fatigue.OnPaper;
import shim.core.fatigue.Reason;
import shim.core.fatigue.SetAdvice;
import shim.core.fatigue.TesterHabit;
import shim.core.fatigue.Verdict;
import shim.core.spring.Fit;
import shim.core.spring.LoadQuestion;

/** Shapes in which springs leave Shim: lengths in inch, loads in lbf, losses as shares. */
final class SpringViews {
  private SpringViews() {}

  /** A loss with the range it lies in with 80 % probability; shares of the baseline. */
  public record LossRange(double low, double mid, double high) {}

  /**
   * Running hours left until a limit is broken with probability 0.1, 0.5, 0.9; none beyond 1000 h.
   */
  public record HoursLeft(@Nullable Double low, @Nullable Double mid, @Nullable Double high) {}

  /**
   * What a spring's load is expected to do.
   *
   * @param underAtNext probability of being under a limit at the end of the next event
   * @param underAfter the same at the end of the one after
   */
  public record LoadOutlook(
      LossRange lossNow,
      LossRange lossAtNext,
      double underAtNext,
      double underAfter,
      HoursLeft hoursLeft) {}

  /**
   * What Shim says of a spring.
   *
   * @param outlook none for a spring without a test
   * @param dueBefore event before which it falls due; none of those planned when missing
   * @param ownWay probability that it has left its set
   * @param waits it would be changed, but is to be read again first
   * @param decides chance that one more setting now turns change into not change or back
   * @param onPaper how it would be reached on paper; none before two readings
   */
  public record SpringSaid(
      Verdict verdict,
      List<Reason> reasons,
      @Nullable LoadOutlook outlook,
      @Nullable String dueBefore,
      double ownWay,
      @Nullable Double surprise,
      double baselineLbf,
      int tests,
      boolean waits,
      double decides,
      @Nullable OnPaper onPaper) {}

  /** Loss by one test's corrected readings, at own hours; share of the baseline. */
  public record LossAt(double hours, double loss) {}

  /**
   * A spring at its valve.
   *
   * @param hours its own hours
   * @param lastLbf last reading at the reference height, corrected
   * @param lastRawLbf the same as the tester showed it
   * @param losses after each test
   * @param predicted loss at the end of each coming event, in their order
   */
  public record SpringAt(
      Position position,
      UUID springId,
      UUID fittingId,
      String mark,
      @Nullable String setName,
      UUID typeId,
      String typeName,
      double hours,
      @Nullable Double heightIn,
      double referenceHeightIn,
      @Nullable Double lastLbf,
      @Nullable Double lastRawLbf,
      List<LossAt> losses,
      List<LossAt> predicted,
      SpringSaid said,
      Fit fit) {}

  /** A coming event, or the usual hour where none is planned. */
  public record ComingEvent(
      String name, @Nullable LocalDate date, double plannedHours, double endHours) {}

  /**
   * The tester in one test.
   *
   * @param checkPercent what the check spring said, percent; none without one
   * @param setPercent what all springs together say, set-up included
   */
  public record TesterLine(
      UUID testId,
      Instant at,
      double engineHours,
      String tester,
      String hand,
      HeatState state,
      SpringTests.Place place,
      int readings,
      boolean open,
      @Nullable Double checkPercent,
      @Nullable Double checkSdPercent,
      @Nullable Double movedPercent,
      @Nullable Double setPercent,
      @Nullable Double setSdPercent,
      @Nullable TesterHabit warning) {}

  /**
   * An engine's springs.
   *
   * @param empty valves without a spring
   * @param advice one spring or the set; missing where none is to be changed
   * @param nextReading the spring whose next reading is worth most; missing where none is worth it
   */
  public record EngineSprings(
      double engineHours,
      List<ComingEvent> coming,
      List<SpringAt> springs,
      List<Position> empty,
      List<TesterLine> tests,
      @Nullable SetAdvice advice,
      @Nullable WorthReading nextReading,
      @Nullable UUID openTest,
      SpringRules.SpringRulesSheet rules) {}

  /**
   * One test in one spring's life.
   *
   * @param rawLbf each reading at the reference height, as the tester showed it
   * @param correctedLbf their mean, corrected by the check spring; raw without one
   * @param valve where it was read; none on the bench
   * @param lowLbf lower end of 1.96 s.d. of repeatability and the day's correction
   * @param used it counts in the verdict
   */
  public record LifePoint(
      UUID testId,
      Instant at,
      double engineHours,
      double hours,
      @Nullable Position valve,
      List<Double> rawLbf,
      double rawMeanLbf,
      double correctedLbf,
      double lowLbf,
      double highLbf,
      boolean checked,
      boolean used,
      boolean far) {}

  /** Load at some own hours; lbf. */
  public record LoadBand(double hours, double lowLbf, double midLbf, double highLbf) {}

  /** Where it was. */
  public record LifeFitting(
      UUID engineId,
      String engineName,
      Position valve,
      double fromHours,
      @Nullable Double toHours,
      @Nullable Double heightIn,
      @Nullable String why) {}

  /**
   * One spring's life on its own hours.
   *
   * @param set load a spring of the set would have with this one's baseline
   * @param fan load from the last test on
   * @param engineHoursOffset engine hours less own hours, where it is now
   */
  public record SpringLife(
      UUID springId,
      String mark,
      String typeName,
      double referenceHeightIn,
      double hoursNow,
      double engineHoursOffset,
      double baselineLbf,
      double limitLbf,
      List<LifePoint> points,
      List<LoadBand> set,
      List<LoadBand> fan,
      List<ComingEvent> coming,
      List<LifeFitting> fittings,
      @Nullable SpringSaid said) {}

  /** A reading as kept. */
  public record LoadRead(
      UUID id,
      UUID springId,
      @Nullable Position valve,
      double heightIn,
      double loadLbf,
      SpringTests.Member member,
      @Nullable String typed,
      boolean again,
      String hand,
      @Nullable String note) {}

  /** A reading of the check spring as kept. */
  public record CheckRead(
      UUID id,
      String name,
      double knownLbf,
      double loadLbf,
      shim.core.fatigue.TesterDay.Side side,
      String hand) {}

  /**
   * The tester today.
   *
   * @param correction what readings are multiplied by
   * @param percent how much the tester reads high
   * @param warning when it has moved more than its habit
   */
  public record DayView(
      double correction, double percent, double sdPercent, @Nullable TesterHabit warning) {}

  /**
   * A question about a reading; lbf.
   *
   * @param meantLbf the figure that would fit
   */
  public record LoadAsk(
      LoadQuestion.Code code, double readLbf, double expectedLbf, @Nullable Double meantLbf) {}

  /**
   * One spring in a test.
   *
   * @param expectedLbf what this tester should show today at that height
   * @param heightIn height it stands at, to be read at
   * @param correctedLbf at the reference height
   * @param againstSet loss less the set's median, share
   * @param againstLast change of load since its last test, share; less than repeatability is none
   * @param ask what is asked before anything is concluded
   * @param more readings still wanted
   * @param plainFromLbf a first reading from here to {@code plainToLbf} is taken without a
   *     question; for screens whose answer is still on its way
   * @param slips where a figure is taken for another unit or point
   */
  public record TestValve(
      Position position,
      UUID springId,
      String mark,
      double hours,
      double heightIn,
      double expectedLbf,
      List<LoadRead> readings,
      @Nullable Double correctedLbf,
      @Nullable Double loss,
      @Nullable Double againstSet,
      @Nullable Double againstLast,
      double repeatability,
      @Nullable LoadAsk ask,
      int more,
      double plainFromLbf,
      double plainToLbf,
      List<LoadQuestion.Between> slips) {}

  /**
   * A test as it stands.
   *
   * @param checkLowest least a check spring may read, as a share of its known load; {@code
   *     checkHighest} the most
   * @param changes goes up with each change; of two answers the higher is newer
   */
  public record SpringTestView(
      UUID id,
      UUID engineId,
      @Nullable UUID roundId,
      Instant startedAt,
      double engineHours,
      SpringTests.Place place,
      HeatState state,
      SpringTests.WorkingOrder order,
      String tester,
      int repeats,
      String hand,
      @Nullable String note,
      @Nullable Instant endedAt,
      @Nullable DayView day,
      List<CheckRead> checks,
      List<TestValve> valves,
      List<LoadRead> others,
      int done,
      long changes,
      double checkLowest,
      double checkHighest) {}
}
