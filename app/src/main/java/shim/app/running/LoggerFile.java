package shim.app.running;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import shim.app.http.Refusal;
import shim.core.running.LoggerColumns;
import shim.core.running.LoggerTally;

/** A logger's CSV, read in one pass and in bounded memory. */
public final class LoggerFile {
  private static final int LOOK_AHEAD = 8192;
  private static final int MOST_HEADER_LINES = 20;

  private LoggerFile() {}

  /**
   * What was understood.
   *
   * @param words columns and units in words
   * @param separator between columns
   */
  public record Understood(String words, String separator, LoggerTally.Sum sum) {}

  /** Reads a file; the first line that cannot be read refuses all of it, with its number. */
  public static Understood read(InputStream in, double overRevRpm) throws IOException {
    BufferedReader text =
        new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8), LOOK_AHEAD);
    char separator = separator(text);
    LoggerTally tally = new LoggerTally(overRevRpm);
    LoggerColumns columns = null;
    try (CsvReader<CsvRecord> csv =
        CsvReader.builder()
            .fieldSeparator(separator)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .ofCsvRecord(text)) {
      Iterator<CsvRecord> rows = csv.iterator();
      while (rows.hasNext()) {
        CsvRecord row = rows.next();
        if (columns == null) {
          columns = LoggerColumns.read(row.getFields()).orElse(null);
          if (columns == null && row.getStartingLineNumber() >= MOST_HEADER_LINES) {
            break;
          }
        } else {
          take(tally, columns, row);
        }
      }
    } catch (CsvParseException e) {
      throw Refusal.invalid("file", "the file breaks off or is no CSV: " + e.getMessage());
    }
    if (columns == null) {
      throw Refusal.invalid(
          "file", "no header with a time and an rpm column was found: is this a logger's CSV?");
    }
    return new Understood(columns.words(), String.valueOf(separator), tally.sum());
  }

  private static void take(LoggerTally tally, LoggerColumns c, CsvRecord row) {
    try {
      int fields = row.getFieldCount();
      if (fields <= Math.max(c.time(), c.rpm())) {
        throw new IllegalArgumentException("a column is missing");
      }
      double heat = Double.NaN;
      if (c.heat() >= 0 && c.heat() < fields && !row.getField(c.heat()).isBlank()) {
        heat = c.fahrenheit(LoggerColumns.number(row.getField(c.heat())));
      }
      tally.row(
          LoggerColumns.number(row.getField(c.time())) * c.secondsPer(),
          LoggerColumns.number(row.getField(c.rpm())),
          heat);
    } catch (NumberFormatException e) {
      throw refused(row, "a figure cannot be read: " + e.getMessage());
    } catch (IllegalArgumentException e) {
      throw refused(row, String.valueOf(e.getMessage()));
    }
  }

  private static Refusal refused(CsvRecord row, String why) {
    return Refusal.invalid(
        "file", "line " + row.getStartingLineNumber() + ": " + why + "; nothing was kept");
  }

  /** The separator that stands most often in the first lines. */
  static char separator(Reader text) throws IOException {
    text.mark(LOOK_AHEAD);
    char[] start = new char[LOOK_AHEAD / 2];
    int n = text.read(start);
    text.reset();
    int semicolons = 0;
    int tabs = 0;
    int commas = 0;
    for (int i = 0; i < n; i++) {
      semicolons += start[i] == ';' ? 1 : 0;
      tabs += start[i] == '\t' ? 1 : 0;
      commas += start[i] == ',' ? 1 : 0;
    }
    // With a decimal comma the other separator is the true one even where commas are more.
    return semicolons > 1 ? ';' : tabs > 1 ? '\t' : ',';
  }
}
