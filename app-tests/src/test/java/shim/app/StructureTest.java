package shim.app;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.NoRepositoryBean;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.web.bind.annotation.RestController;

/** Features meet only through their public face; storage and controllers stay inside. */
class StructureTest {
  private static final JavaClasses APP =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("shim.app");

  @Test
  void featuresMeetOnlyThroughTheirFace() {
    ApplicationModules.of(ShimApplication.class).verify();
  }

  @Test
  void entitiesRepositoriesAndControllersArePackagePrivate() {
    ArchRuleDefinition.classes()
        .that()
        .areAnnotatedWith(Entity.class)
        .and()
        .resideOutsideOfPackage("shim.app.record")
        .or()
        .areAssignableTo(Repository.class)
        .and()
        .areNotAnnotatedWith(NoRepositoryBean.class)
        .or()
        .areAnnotatedWith(RestController.class)
        .should()
        .bePackagePrivate()
        .check(APP);
  }

  @Test
  void onlyTheStartingOfShimReadsAClockOrRandomnessOfItsOwn() {
    ArchRuleDefinition.noClasses()
        .should()
        .callMethod(java.time.Instant.class, "now")
        .orShould()
        .callMethod(java.time.LocalDate.class, "now")
        .orShould()
        .callMethod(System.class, "currentTimeMillis")
        .check(APP);
  }
}
