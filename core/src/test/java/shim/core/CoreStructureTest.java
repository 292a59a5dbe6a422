package shim.core;

import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Packages of core form a list without circles, and nothing here knows the outside world. */
class CoreStructureTest {
  /** Each package may use those before it. */
  private static final List<String> ORDER =
      List.of(
          "unit",
          "stats",
          "lobe",
          "engine",
          "running",
          "crank",
          "lash",
          "drift",
          "spring",
          "cam",
          "fatigue",
          "lifter",
          "walk",
          "change",
          "head",
          "readiness",
          "stock",
          "turnaround",
          "season");

  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("shim.core");

  @Test
  void packagesHaveNoCircles() {
    slices().matching("shim.core.(*)..").should().beFreeOfCycles().check(CORE);
  }

  @Test
  void packagesOnlyUseThoseBeforeThem() {
    TreeSet<String> wrong = new TreeSet<>();
    for (JavaClass from : CORE) {
      from.getDirectDependenciesFromSelf().stream()
          .map(d -> d.getTargetClass().getPackageName())
          .filter(p -> p.startsWith("shim.core."))
          .filter(p -> rank(p) > rank(from.getPackageName()))
          .forEach(p -> wrong.add(from.getName() + " uses " + p));
    }
    assertThat(wrong).as("arrows that run backwards in core").isEmpty();
    assertThat(CORE).hasSizeGreaterThan(20);
  }

  private static int rank(String packageName) {
    String[] parts = packageName.split("\\.");
    return parts.length < 3 ? -1 : ORDER.indexOf(parts[2]);
  }

  @Test
  void knowsNoFrameworkNoFilesNoClock() {
    ArchRuleDefinition.noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "org.springframework..",
            "jakarta..",
            "tools.jackson..",
            "java.io..",
            "java.nio..",
            "java.net..",
            "java.sql..")
        .orShould()
        .callMethod(System.class, "currentTimeMillis")
        .orShould()
        .callMethod(java.time.Instant.class, "now")
        .check(CORE);
  }

  /** The page that says where each rule is stays true. */
  @Test
  void thePageOfRulesNamesClassesThatExist() throws IOException {
    String page = Files.readString(Path.of("..", "docs", "rules.md"));
    List<String> named =
        Pattern.compile("`([a-z]+\\.[A-Z]\\w+)`")
            .matcher(page)
            .results()
            .map(m -> m.group(1))
            .toList();
    assertThat(named).hasSizeGreaterThan(50);
    assertThat(named)
        .allSatisfy(
            name ->
                assertThatCode(() -> Class.forName("shim.core." + name))
                    .doesNotThrowAnyException());
  }
}
