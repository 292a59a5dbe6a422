package shim.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import shim.core.fatigue.Reason;
import shim.core.unit.Said;

/** What core can say. The list is read by the web's tests too, which have words for each line. */
class SaidTest {
  private static final Path LIST = Path.of("src/test/resources/said.csv");

  private static Stream<Said.Code> codes() {
    return new ClassFileImporter()
        .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("shim.core").stream()
            .filter(c -> c.isEnum() && c.isAssignableTo(Said.Code.class))
            .map(JavaClass::reflect)
            .flatMap(c -> Stream.of(c.getEnumConstants()))
            .map(Said.Code.class::cast);
  }

  @Test
  void theListHasEverythingThatCanBeSaidWithItsFigures() throws IOException {
    List<String> lines =
        codes()
            .map(c -> c.form().area() + "." + c.name() + ";" + String.join(" ", c.form().figures()))
            .sorted()
            .toList();
    assertThat(lines).doesNotHaveDuplicates();
    assertThat(Files.readAllLines(LIST)).as("write these lines into " + LIST).isEqualTo(lines);
  }

  @Test
  void aSayingTakesTheFiguresItsCodeNames() {
    Said said = Said.of(Reason.Kind.BATCH, 8.5, 9);
    assertThat(said.code()).isEqualTo("SPRING.BATCH");
    assertThat(said.figures()).isEqualTo(Map.of("brokeHours", 8.5, "hours", 9.0));
    assertThat(said.figure("hours")).isEqualTo(9);
    assertThat(said.named("B7").name()).isEqualTo("B7");
    assertThat(said.named("B7").figures()).isEqualTo(said.figures());
    assertThatThrownBy(() -> Said.of(Reason.Kind.BATCH, 8.5)).hasMessageContaining("brokeHours");
    assertThatThrownBy(() -> said.figure("thou")).hasMessageContaining("thou");
  }

  @Test
  void wordsThatWereKeptStayAsTheyWere() {
    assertThat(Said.kept("5E opening").code()).isEqualTo("KEPT");
    assertThat(Said.kept("5E opening").name()).isEqualTo("5E opening");
  }
}
