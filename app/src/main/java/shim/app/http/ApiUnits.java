package shim.app.http;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/**
 * The unit of every number of the API. Most carry it at the end of their name, as {@code
 * installedHeightIn}; {@code api-units.csv} has these ends, behind a star, and the others, by field
 * or by schema and field. Read when somebody asks for the document.
 */
@Lazy
@Component
class ApiUnits {
  private static final String END = "*";

  private final Map<String, String> units;

  ApiUnits() throws IOException {
    try (InputStream file =
            Objects.requireNonNull(
                ApiUnits.class.getClassLoader().getResourceAsStream("api-units.csv"));
        Reader text = new InputStreamReader(file, StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(text)) {
      units =
          rows.stream()
              .collect(Collectors.toMap(r -> r.getField("field"), r -> r.getField("unit")));
    }
  }

  /** The unit in words, as a description ends with it; empty where nobody has said it. */
  Optional<String> of(String schema, String field) {
    Stream<String> longestEndFirst =
        IntStream.range(0, field.length()).mapToObj(i -> END + field.substring(i));
    return Stream.concat(Stream.of(schema + "." + field, field), longestEndFirst)
        .map(units::get)
        .filter(Objects::nonNull)
        .findFirst();
  }
}
