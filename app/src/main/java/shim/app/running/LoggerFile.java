package shim.app.running;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.List;
import java.util.regex.Pattern;
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
    BufferedInputStream bytes = new BufferedInputStream(in, LOOK_AHEAD);
    BufferedReader text =
        new BufferedReader(new InputStreamReader(bytes, charset(bytes)), LOOK_AHEAD);
    char separator = separator(text);
    LoggerTally tally = new LoggerTally(overRevRpm);
    LoggerColumns columns = null;
    List<String> header = List.of();
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
          header = row.getFields();
          columns = LoggerColumns.read(header).orElse(null);
          if (columns == null && row.getStartingLineNumber() >= MOST_HEADER_LINES) {
            break;
          }
        } else if (tally.rows() == 0 && columns.isUnits(row.getFields())) {
          columns = LoggerColumns.read(header, row.getFields()).orElse(columns);
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
    LoggerTally.Sum sum = tally.sum();
    if (!columns.timeUnit() && sum.rows() > 1 && sum.gaps() > sum.rows() / 2) {
      throw Refusal.invalid(
          "file",
          "\""
              + header.get(columns.time()).strip()
              + "\" has no unit, and as seconds nearly all of it would be gaps. Is it milliseconds?"
              + " Write the unit into the title, such as \"Time [ms]\"");
    }
    return new Understood(columns.words(), String.valueOf(separator), sum);
  }

  private static void take(LoggerTally tally, LoggerColumns c, CsvRecord row) {
    try {
      int fields = row.getFieldCount();
      if (fields <= Math.max(c.time(), c.rpm())) {
        throw new IllegalArgumentException("a column is missing");
      }
      if (row.getField(c.time()).isBlank() || row.getField(c.rpm()).isBlank()) {
        return;
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

  /**
   * The separator that makes a header of one of the first lines, with most columns; a preamble may
   * be full of others.
   */
  static char separator(Reader text) throws IOException {
    text.mark(LOOK_AHEAD);
    char[] start = new char[LOOK_AHEAD / 2];
    int n = Math.max(0, text.read(start));
    text.reset();
    String[] lines = new String(start, 0, n).split("\\R", MOST_HEADER_LINES + 1);
    char best = ',';
    int most = 0;
    for (char separator : new char[] {';', '\t', ','}) {
      for (String line : lines) {
        List<String> fields =
            List.of(line.replace("\"", "").split(Pattern.quote(String.valueOf(separator)), -1));
        if (fields.size() > most && LoggerColumns.read(fields).isPresent()) {
          best = separator;
          most = fields.size();
        }
      }
    }
    return best;
  }

  /** UTF-8, or what older programs write where a degree sign would be none. */
  private static Charset charset(BufferedInputStream bytes) throws IOException {
    bytes.mark(LOOK_AHEAD);
    byte[] start = bytes.readNBytes(LOOK_AHEAD);
    bytes.reset();
    CharsetDecoder strict = StandardCharsets.UTF_8.newDecoder();
    CoderResult read =
        strict.decode(ByteBuffer.wrap(start), CharBuffer.allocate(LOOK_AHEAD), false);
    return read.isError() ? Charset.forName("windows-1252") : StandardCharsets.UTF_8;
  }
}
