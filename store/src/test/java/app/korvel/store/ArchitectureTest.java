package app.korvel.store;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The store knows the core, plain JDBC and what opens the file; no Spring, no mapper. */
@AnalyzeClasses(packages = "app.korvel.store", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule PLAIN_JDBC =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "app.korvel.store..",
              "app.korvel.core..",
              "java..",
              "org.sqlite..",
              "org.flywaydb.core..",
              "com.zaxxer.hikari..",
              "com.github.f4b6a3.uuid..",
              "com.fasterxml.jackson.annotation..",
              "tools.jackson.databind..",
              "com.fasterxml.jackson.annotation..",
              "tools.jackson.core..");
}
