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
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import shim.app.http.Refusal;
import shim.core.running.LoggerColumns;
import shim.core.running.LoggerTally;

/** A logger's CSV, read in one pass and in bounded memory. */
public final class LoggerFile {
  private static final int LOOK_AHEAD = 8192;
  private static final int MOST_HEADER_LINES = 20;

  private LoggerFile() {}

  /** What a person must say before the file can be added up. */
  public enum Ask {
    /** No title says which column is time and which is engine speed. */
    COLUMNS,
    /** Time has no unit, and as seconds nearly all of it would be gaps. */
    TIME_UNIT
  }

  /**
   * What was understood.
   *
   * @param words columns and units in words
   * @param separator between columns
   * @param titles of all columns
   * @param chosen columns and units that were taken; null where none could be
   * @param ask what must be said first; null where nothing
   * @param sum null where something is asked
   */
  public record Understood(
      String words,
      String separator,
      List<String> titles,
      LoggerColumns.@Nullable Chosen chosen,
      @Nullable Ask ask,
      LoggerTally.@Nullable Sum sum) {}

  /**
   * Reads a file; the first line that cannot be read refuses all of it, with its number.
   *
   * @param chosen columns a person chose; null takes what the titles say
   */
  public static Understood read(
      InputStream in, double overRevRpm, LoggerColumns.@Nullable Chosen chosen) throws IOException {
    BufferedInputStream bytes = new BufferedInputStream(in, LOOK_AHEAD);
    BufferedReader text =
        new BufferedReader(new InputStreamReader(bytes, charset(bytes)), LOOK_AHEAD);
    char separator = separator(text);
    Reading reading = new Reading(new LoggerTally(overRevRpm), chosen);
    try (CsvReader<CsvRecord> csv =
        CsvReader.builder()
            .fieldSeparator(separator)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .ofCsvRecord(text)) {
      Iterator<CsvRecord> rows = csv.iterator();
      while (rows.hasNext() && reading.goesOn(rows.next())) {
        // Each row is taken as it comes; nothing is kept of it.
      }
    } catch (CsvParseException e) {
      throw Refusal.invalid("file", "the file breaks off or is no CSV: " + e.getMessage());
    }
    return reading.understood(separator);
  }

  /** A file half read: its header first, then row after row. */
  private static final class Reading {
    private final LoggerTally tally;
    private final LoggerColumns.@Nullable Chosen chosen;
    private List<String> header = List.of();
    private List<String> units = List.of();
    private @Nullable LoggerColumns columns;

    Reading(LoggerTally tally, LoggerColumns.@Nullable Chosen chosen) {
      this.tally = tally;
      this.chosen = chosen;
    }

    /** Takes a row; false where no header can come any more. */
    boolean goesOn(CsvRecord row) {
      LoggerColumns known = columns;
      List<String> fields = row.getFields();
      if (known == null) {
        return header.size() > 1 && LoggerColumns.isData(fields)
            ? begins(row)
            : title(fields) || row.getStartingLineNumber() < MOST_HEADER_LINES;
      }
      if (tally.rows() == 0 && known.isUnits(fields)) {
        columns = read(fields).orElse(known);
        return true;
      }
      return taken(known, row);
    }

    /** The first figures: only a person can still say what they are. */
    private boolean begins(CsvRecord row) {
      columns = chosen == null ? null : LoggerColumns.read(header, units, chosen).orElse(null);
      return columns != null && taken(columns, row);
    }

    private static long named(List<String> fields) {
      return fields.stream().filter(f -> !f.isBlank()).count();
    }

    /** The fullest line before the figures is the header, and one like it under it names units. */
    private boolean title(List<String> fields) {
      if (named(fields) > named(header)) {
        header = fields;
      }
      units = fields.size() == header.size() ? fields : header;
      columns = chosen == null ? LoggerColumns.read(fields).orElse(null) : null;
      header = columns == null ? header : fields;
      return columns != null;
    }

    private Optional<LoggerColumns> read(List<String> units) {
      return chosen == null
          ? LoggerColumns.read(header, units)
          : LoggerColumns.read(header, units, chosen);
    }

    private boolean taken(LoggerColumns known, CsvRecord row) {
      take(tally, known, row);
      return true;
    }

    Understood understood(char separator) {
      String by = String.valueOf(separator);
      List<String> titles = header.stream().map(String::strip).toList();
      LoggerColumns known = columns;
      if (known == null) {
        if (titles.size() < 2) {
          throw Refusal.invalid("file", "no line names its columns: is this a logger's CSV?");
        }
        return new Understood(
            "no column is called time and rpm", by, titles, null, Ask.COLUMNS, null);
      }
      LoggerTally.Sum sum = tally.sum();
      boolean asked = !known.timeUnit() && sum.rows() > 1 && sum.gaps() > sum.rows() / 2;
      return new Understood(
          known.words(),
          by,
          titles,
          known.chosen(),
          asked ? Ask.TIME_UNIT : null,
          asked ? null : sum);
    }
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
   * be full of others. Without a header the one that parts a line most.
   */
  static char separator(Reader text) throws IOException {
    text.mark(LOOK_AHEAD);
    char[] start = new char[LOOK_AHEAD / 2];
    int n = Math.max(0, text.read(start));
    text.reset();
    String[] lines = new String(start, 0, n).split("\\R", MOST_HEADER_LINES + 1);
    char best = ',';
    int most = 0;
    boolean titled = false;
    for (char separator : new char[] {';', '\t', ','}) {
      for (String line : lines) {
        List<String> fields =
            List.of(line.replace("\"", "").split(Pattern.quote(String.valueOf(separator)), -1));
        boolean titles = LoggerColumns.read(fields).isPresent();
        boolean better = titles == titled ? fields.size() > most : titles;
        if (better) {
          best = separator;
          most = fields.size();
          titled = titles;
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
