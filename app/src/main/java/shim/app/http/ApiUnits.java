package shim.app.http;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The unit of every number of the API. Most carry it in their name, as {@code installedHeightIn};
 * {@code api-units.csv} has the others, by field or by schema and field.
 */
@Component
class ApiUnits {
  private static final Map<String, String> BY_NAME = byName();

  private final Map<String, String> others;

  ApiUnits() throws IOException {
    try (InputStream file =
            Objects.requireNonNull(
                ApiUnits.class.getClassLoader().getResourceAsStream("api-units.csv"));
        Reader text = new InputStreamReader(file, StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(text)) {
      others =
          rows.stream()
              .collect(Collectors.toMap(r -> r.getField("field"), r -> r.getField("unit")));
    }
  }

  /** Ends of names, the longer before the shorter ones they end with. */
  private static Map<String, String> byName() {
    Map<String, String> ends = new LinkedHashMap<>();
    ends.put("ThouPerHour", "thousandths of an inch an hour");
    ends.put("thouPerHour", "thousandths of an inch an hour");
    ends.put("LbfPerIn", "lbf per inch");
    ends.put("LbfFt", "lbf·ft");
    ends.put("GIn2", "g·in²");
    ends.put("Kpsi", "1000 psi");
    ends.put("Psi", "psi");
    ends.put("psi", "psi");
    ends.put("Percent", "percent");
    ends.put("percent", "percent");
    ends.put("Deg", "degrees");
    ends.put("deg", "degrees");
    ends.put("Degrees", "degrees");
    ends.put("degrees", "degrees");
    ends.put("Lbf", "lbf");
    ends.put("Thou", "thousandths of an inch");
    ends.put("thou", "thousandths of an inch");
    ends.put("Hours", "hours");
    ends.put("hours", "hours");
    ends.put("Rpm", "rpm");
    ends.put("rpm", "rpm");
    ends.put("Minutes", "minutes");
    ends.put("minutes", "minutes");
    ends.put("Days", "days");
    ends.put("days", "days");
    ends.put("Seconds", "seconds");
    ends.put("seconds", "seconds");
    ends.put("Turns", "turns");
    ends.put("turns", "turns");
    ends.put("Hp", "hp");
    ends.put("Version", "a version: it grows by one with each change");
    ends.put("version", "a version: it grows by one with each change");
    ends.put("basedOn", "the version it was changed on; none for a new one");
    ends.put("Count", "a count");
    ends.put("count", "a count");
    ends.put("Cycles", "a count");
    ends.put("cycles", "a count");
    ends.put("In", "inch");
    ends.put("F", "°F");
    ends.put("G", "g");
    return ends;
  }

  /** The unit in words, as a description ends with it; empty where nobody has said it. */
  Optional<String> of(String schema, String field) {
    String known = others.getOrDefault(schema + "." + field, others.get(field));
    return Optional.ofNullable(known)
        .or(
            () ->
                BY_NAME.entrySet().stream()
                    .filter(e -> field.endsWith(e.getKey()))
                    .findFirst()
                    .map(Map.Entry::getValue));
  }
}
