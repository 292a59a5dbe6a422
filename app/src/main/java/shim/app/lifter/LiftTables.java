package shim.app.lifter;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.http.Refusal;
import shim.app.record.Maybe;
import shim.core.lobe.LiftTable;
import shim.core.unit.Units;

/** A measured lift table as text: degrees and dial reading a line, comma, semicolon or tab. */
@Component
class LiftTables {

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

  LiftFound read(String csv) {
    char separator = csv.contains(";") ? ';' : csv.contains("\t") ? '\t' : ',';
    boolean mm = false;
    List<LiftTable.Point> points = new ArrayList<>();
    try (CsvReader<CsvRecord> rows =
        CsvReader.builder()
            .fieldSeparator(separator)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .ofCsvRecord(csv)) {
      for (CsvRecord row : rows) {
        if (row.getFieldCount() < 2) {
          throw unreadable(row, "two columns are wanted, degrees and lift");
        }
        if (points.isEmpty() && !number(row.getField(0))) {
          mm = row.getField(1).toLowerCase(Locale.ROOT).contains("mm");
          continue;
        }
        points.add(new LiftTable.Point(figure(row, 0), figure(row, 1)));
      }
    } catch (CsvParseException e) {
      throw Refusal.invalid(
          "table", "this is no table that can be read; two columns are wanted, degrees and lift");
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return found(points, mm);
  }

  private static LiftFound found(List<LiftTable.Point> points, boolean mm) {
    double unit = mm ? 1 / Units.MM_PER_INCH : 1;
    try {
      LiftTable table =
          new LiftTable(
              points.stream()
                  .map(p -> new LiftTable.Point(p.crankDeg(), p.dialIn() * unit))
                  .toList());
      return new LiftFound(
          table.liftIn(),
          table.runOutIn(),
          table.countedDown(),
          Maybe.orNull(table.centreDeg()),
          DURATIONS_AT_IN.stream()
              .flatMap(l -> table.durationDeg(l).stream().mapToObj(d -> new OpenOver(l, d)))
              .toList(),
          points.size(),
          points.size() + " rows of degrees and " + (mm ? "mm" : "inch"));
    } catch (IllegalArgumentException e) {
      throw Refusal.invalid("table", String.valueOf(e.getMessage()));
    }
  }

  private static boolean number(String text) {
    return text.strip().matches("[-+]?[0-9]*[.,]?[0-9]+");
  }

  private static double figure(CsvRecord row, int column) {
    String text = row.getField(column);
    if (!number(text)) {
      throw unreadable(row, "\"" + text + "\" is no number");
    }
    return Double.parseDouble(text.strip().replace(',', '.'));
  }

  private static Refusal unreadable(CsvRecord row, String why) {
    return Refusal.invalid("table", "line " + row.getStartingLineNumber() + ": " + why);
  }
}
