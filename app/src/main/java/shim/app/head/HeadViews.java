package shim.app.head;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.engine.LayoutView;
import shim.app.walk.JobViews.JobLine;
import shim.core.engine.Position;
import shim.core.head.HeadMeasure;
import shim.core.head.HeadRecord;
import shim.core.walk.Within;

/** How heads are shown. */
final class HeadViews {
  private HeadViews() {}

  /**
   * Heads in one line.
   *
   * @param engineName of the engine they sit on; missing while they lie on the rack
   * @param measured valves whose height is known
   * @param assembled valves that have their spring
   * @param openJob a walk on them that is not signed
   */
  record HeadLine(
      UUID id,
      String name,
      String madeForName,
      @Nullable UUID engineId,
      @Nullable String engineName,
      int valves,
      int measured,
      int assembled,
      @Nullable UUID openJob) {}

  /** What can be measured: where, in which unit, how often in a row, and how far it is done. */
  record HeadMeasureLine(
      HeadMeasure what,
      HeadMeasure.At at,
      Within.Unit unit,
      int readings,
      int places,
      int missing) {}

  /** One figure with its id, so that it can be taken back. */
  record HeadReadingLine(
      UUID id,
      HeadMeasure what,
      @Nullable Position valve,
      @Nullable Integer cylinder,
      @Nullable Integer bank,
      double figure,
      String hand,
      Instant takenAt) {}

  /** A spring on a valve of heads on the rack, with what stands with it. */
  record HeadSpringLine(
      Position valve,
      UUID springId,
      String mark,
      String typeName,
      @Nullable Double heightIn,
      @Nullable String shims,
      @Nullable String retainer,
      @Nullable String locks,
      @Nullable String locator,
      @Nullable Double sealGapIn,
      @Nullable Double coilGapIn) {}

  /** An engine some heads sat on, and its hours. */
  record HeadStayLine(
      UUID engineId,
      String engineName,
      double fromHours,
      Instant fromAt,
      @Nullable Double toHours,
      @Nullable Instant toAt) {}

  /**
   * Some heads with all that is known of them.
   *
   * @param version names the sheet a change is made on
   * @param shows everything measured, place by place
   * @param on where they sit now; missing on the rack
   */
  record HeadView(
      UUID id,
      int version,
      HeadSheet sheet,
      String madeForName,
      LayoutView layout,
      List<HeadMeasureLine> measures,
      List<HeadRecord.Shows> shows,
      List<HeadReadingLine> readings,
      @Nullable HeadStayLine on,
      List<HeadStayLine> stays,
      List<HeadSpringLine> springs,
      List<JobLine> jobs) {}

  /**
   * One line of the assembly book.
   *
   * @param within what the figure is held against; missing where it is a finding
   * @param words why a figure that is out may stand, or what was counted or put in
   * @param hand initials; missing while it is not done
   */
  record BookLine(
      String step,
      String title,
      @Nullable Within within,
      @Nullable String limit,
      @Nullable Double figure,
      boolean out,
      @Nullable String words,
      @Nullable String hand,
      @Nullable Instant at) {}

  /** The lines of one valve. */
  record BookValve(Position valve, List<BookLine> lines) {}

  /** One head of a pair: one page. */
  record BookSide(String name, List<BookValve> valves) {}

  /** The assembly book of some heads. */
  record BookView(
      String head,
      @Nullable String signedBy,
      @Nullable Instant signedAt,
      List<BookLine> whole,
      List<BookSide> sides) {}
}
