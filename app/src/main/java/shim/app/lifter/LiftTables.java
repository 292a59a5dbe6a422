package shim.app.lifter;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.cam.LiftCsv;
import shim.app.http.Refusal;
import shim.app.record.Maybe;
import shim.core.lobe.LiftTable;

/** A measured lift table of a valve as text, read for its lift. */
@Component
class LiftTables {
  private final LiftCsv csv;

  LiftTables(LiftCsv csv) {
    this.csv = csv;
  }

  /**
   * What a table says.
   *
   * @param liftIn highest reading over the base circle, inch
   * @param runOutIn spread of the base circle, inch
   * @param countedDown the dial counted down where the valve opened, and was turned round
   * @param centreDeg middle of the lobe, degrees as the table counts them
   * @param durations of the lifts the table shows both ends of
   * @param understood what was understood of the file, in words
   */
  record LiftFound(
      double liftIn,
      double runOutIn,
      boolean countedDown,
      @Nullable Double centreDeg,
      List<OpenOver> durations,
      int rows,
      String understood) {}

  /** The valve is open more than a lift, inch, over so many crank degrees. */
  record OpenOver(double liftIn, double durationDeg) {}

  private static final List<Double> DURATIONS_AT_IN = List.of(0.006, 0.020, 0.050);

  LiftFound read(String text) {
    LiftCsv.Column lifts = csv.read(text).get(0);
    try {
      LiftTable table = new LiftTable(lifts.points());
      return new LiftFound(
          table.liftIn(),
          table.runOutIn(),
          table.countedDown(),
          Maybe.orNull(table.centreDeg()),
          DURATIONS_AT_IN.stream()
              .flatMap(l -> table.durationDeg(l).stream().mapToObj(d -> new OpenOver(l, d)))
              .toList(),
          lifts.points().size(),
          lifts.points().size() + " rows of degrees and " + (lifts.mm() ? "mm" : "inch"));
    } catch (IllegalArgumentException e) {
      throw Refusal.invalid("table", String.valueOf(e.getMessage()));
    }
  }
}
