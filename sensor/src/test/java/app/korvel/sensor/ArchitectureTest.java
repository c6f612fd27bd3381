package app.korvel.sensor;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The sensor knows the core and nothing else. */
@AnalyzeClasses(
    packages = "app.korvel.sensor",
    importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule ONLY_THE_CORE =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage("app.korvel.sensor..", "app.korvel.core..", "java..");
}
