package shim.app.interchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import shim.app.http.Refusal;
import shim.app.record.Cells;
import shim.core.unit.Units;

/**
 * Readings as a table: one line a reading, columns in any order, comma or semicolon, decimal point
 * or comma. "psi" on a spring sheet means lbf; it is taken, never written.
 */
final class ReadingsCsv {
  static final List<String> COLUMNS =
      List.of(
          "date",
          "engine_hours",
          "place",
          "state",
          "tester",
          "hand",
          "valve",
          "spring",
          "height_in",
          "load_lbf",
          "known_lbf",
          "member",
          "again",
          "note");

  private ReadingsCsv() {}

  /**
   * One line.
   *
   * @param knownLbf known load of a check spring; its line has no valve
   */
  record Line(
      long number,
      Instant at,
      double engineHours,
      String place,
      String state,
      String tester,
      String hand,
      String valve,
      String spring,
      Optional<Double> heightIn,
      double loadLbf,
      Optional<Double> knownLbf,
      String member,
      boolean again,
      String note) {}

  static String write(List<Line> lines) {
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord(COLUMNS);
      for (Line l : lines) {
        csv.writeRecord(
            l.at().toString(),
            plain(l.engineHours()),
            l.place(),
            l.state(),
            Cells.out(l.tester()),
            Cells.out(l.hand()),
            l.valve(),
            Cells.out(l.spring()),
            l.heightIn().map(ReadingsCsv::plain).orElse(""),
            plain(l.loadLbf()),
            l.knownLbf().map(ReadingsCsv::plain).orElse(""),
            l.member(),
            l.again() ? "yes" : "",
            Cells.out(l.note()));
      }
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return out.toString();
  }

  private static String plain(double v) {
    return java.math.BigDecimal.valueOf(v).stripTrailingZeros().toPlainString();
  }

  /** Reads a table; all lines that cannot be read are reported together. */
  static List<Line> read(String text) {
    String header = text.lines().findFirst().orElse("");
    char separator = header.contains(";") ? ';' : header.contains("\t") ? '\t' : ',';
    List<Line> lines = new ArrayList<>();
    List<Refusal.FieldError> wrong = new ArrayList<>();
    try (CsvReader<NamedCsvRecord> csv =
        CsvReader.builder()
            .fieldSeparator(separator)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .ofNamedCsvRecord(text.strip())) {
      for (NamedCsvRecord row : csv) {
        try {
          lines.add(line(row));
        } catch (IllegalArgumentException e) {
          wrong.add(
              new Refusal.FieldError(
                  "line " + row.getStartingLineNumber(),
                  "line " + row.getStartingLineNumber() + ": " + e.getMessage()));
        }
      }
    } catch (CsvParseException | java.io.IOException e) {
      throw Refusal.invalid("text", "this is no table: " + e.getMessage());
    }
    if (lines.isEmpty() && wrong.isEmpty()) {
      throw Refusal.invalid(
          "text", "no lines: the first names the columns, such as date;engine_hours;valve;load");
    }
    if (!wrong.isEmpty()) {
      throw Refusal.invalid("some lines cannot be read; nothing was kept", wrong);
    }
    return lines;
  }

  private static Line line(NamedCsvRecord row) {
    Map<String, String> f = new LinkedHashMap<>();
    row.getFieldsAsMap()
        .forEach((k, v) -> f.put(k.strip().toLowerCase(Locale.ROOT), Cells.in(v.strip())));
    Function<String, String> get = k -> f.getOrDefault(k, "");
    Optional<Double> known = number(get.apply("known_lbf"), "known_lbf");
    String valve = get.apply("valve").toUpperCase(Locale.ROOT);
    if (valve.isEmpty() && get.apply("spring").isEmpty() && known.isEmpty()) {
      throw new IllegalArgumentException("say which valve, or which spring");
    }
    return new Line(
        row.getStartingLineNumber(),
        date(get.apply("date")),
        number(get.apply(f.containsKey("engine_hours") ? "engine_hours" : "hours"), "engine_hours")
            .orElseThrow(() -> new IllegalArgumentException("engine_hours is missing")),
        get.apply("place").toUpperCase(Locale.ROOT),
        get.apply("state").toUpperCase(Locale.ROOT),
        get.apply("tester"),
        get.apply("hand"),
        valve,
        get.apply("spring"),
        height(f),
        load(f),
        known,
        get.apply("member").toUpperCase(Locale.ROOT),
        !get.apply("again").isEmpty(),
        get.apply("note"));
  }

  private static Instant date(String text) {
    try {
      return text.contains("T")
          ? Instant.parse(text)
          : LocalDate.parse(text).atTime(12, 0).toInstant(ZoneOffset.UTC);
    } catch (DateTimeParseException e) {
      throw new IllegalArgumentException("\"" + text + "\" is no date; write 2026-05-30", e);
    }
  }

  private static Optional<Double> height(Map<String, String> f) {
    Optional<Double> mm = number(f.getOrDefault("height_mm", ""), "height_mm");
    return mm.isPresent()
        ? mm.map(v -> v / Units.MM_PER_INCH)
        : number(f.getOrDefault(f.containsKey("height_in") ? "height_in" : "height", ""), "height");
  }

  private static double load(Map<String, String> f) {
    for (Map.Entry<String, String> e : f.entrySet()) {
      String unit = unit(e.getKey());
      if (unit != null && !e.getValue().isEmpty()) {
        double v = number(e.getValue(), e.getKey()).orElseThrow();
        double lbf = unit.equals("n") ? v / Units.NEWTON_PER_LBF : v;
        if (!(lbf > 0)) {
          throw new IllegalArgumentException("a load of " + e.getValue() + " cannot be");
        }
        return lbf;
      }
    }
    throw new IllegalArgumentException("the load is missing");
  }

  private static @org.jspecify.annotations.Nullable String unit(String column) {
    return switch (column) {
      case "load", "load_lbf", "load_lb", "load_psi", "lbf", "psi" -> "lbf";
      case "load_n", "n" -> "n";
      default -> null;
    };
  }

  private static Optional<Double> number(String text, String what) {
    String t = text.replace(',', '.').replaceAll("(?i)\\s*(lbf|lbs|psi|in|h)$", "").strip();
    if (t.isEmpty()) {
      return Optional.empty();
    }
    try {
      double v = Double.parseDouble(t);
      if (!Double.isFinite(v)) {
        throw new IllegalArgumentException("\"" + text + "\" in " + what + " is not a number");
      }
      return Optional.of(v);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException("\"" + text + "\" in " + what + " is not a number", e);
    }
  }
}
