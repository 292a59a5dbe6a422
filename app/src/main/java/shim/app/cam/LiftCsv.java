package shim.app.cam;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import shim.app.http.Refusal;
import shim.core.lobe.LiftTable;
import shim.core.unit.Units;

/**
 * A lift table as text: degrees in the first column, lifts in the others, one or many; comma,
 * semicolon or tab. A line of names may stand before the figures; a name with mm in it makes its
 * column millimetres.
 */
@Component
public class LiftCsv {
  private static final int MOST_ROWS = 4000;
  private static final int MOST_COLUMNS = 60;

  /**
   * One column of lifts.
   *
   * @param points inch
   */
  public record Column(String name, boolean mm, List<LiftTable.Point> points) {}

  /** All columns of lifts; a row that has no figure in one is left out there. */
  public List<Column> read(String csv) {
    List<CsvRecord> rows = rows(csv);
    if (rows.isEmpty()) {
      throw Refusal.invalid("table", "there is nothing in this table");
    }
    boolean named = !number(rows.get(0).getField(0));
    CsvRecord first = rows.get(0);
    List<Column> columns = new ArrayList<>();
    for (int c = 1; c < Math.min(MOST_COLUMNS, first.getFieldCount()); c++) {
      String name = named ? first.getField(c).strip() : "";
      boolean mm = name.toLowerCase(Locale.ROOT).contains("mm");
      columns.add(new Column(name, mm, points(rows.subList(named ? 1 : 0, rows.size()), c, mm)));
    }
    if (columns.isEmpty()) {
      throw unreadable(first, "two columns are wanted, degrees and lift");
    }
    return columns;
  }

  private static List<CsvRecord> rows(String csv) {
    char separator = csv.contains(";") ? ';' : csv.contains("\t") ? '\t' : ',';
    List<CsvRecord> rows = new ArrayList<>();
    try (CsvReader<CsvRecord> reader =
        CsvReader.builder()
            .fieldSeparator(separator)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .ofCsvRecord(csv)) {
      for (CsvRecord row : reader) {
        if (rows.size() > MOST_ROWS) {
          throw unreadable(row, "more than " + MOST_ROWS + " rows are no lift table");
        }
        rows.add(row);
      }
      return rows;
    } catch (CsvParseException e) {
      throw Refusal.invalid(
          "table", "this is no table that can be read; two columns are wanted, degrees and lift");
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static List<LiftTable.Point> points(List<CsvRecord> rows, int column, boolean mm) {
    double unit = mm ? 1 / Units.MM_PER_INCH : 1;
    List<LiftTable.Point> points = new ArrayList<>();
    for (CsvRecord row : rows) {
      if (row.getFieldCount() < 2) {
        throw unreadable(row, "two columns are wanted, degrees and lift");
      }
      if (column < row.getFieldCount() && !(column > 1 && row.getField(column).isBlank())) {
        points.add(new LiftTable.Point(figure(row, 0), figure(row, column) * unit));
      }
    }
    return points;
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
