package app.korvel.server;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import app.korvel.store.Database;
import app.korvel.studio.Studio;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Dependencies point one way: server to studio, studio to the rest, all of them to core. */
@AnalyzeClasses(packages = "app.korvel", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule NOTHING_POINTS_BACK =
      noClasses()
          .that()
          .resideInAnyPackage(
              "app.korvel.core..",
              "app.korvel.store..",
              "app.korvel.exchange..",
              "app.korvel.sensor..",
              "app.korvel.studio..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("app.korvel.server..", "org.springframework..", "jakarta..");

  @ArchTest
  static final ArchRule NOTHING_BELOW_KNOWS_THE_STUDIO =
      noClasses()
          .that()
          .resideInAnyPackage(
              "app.korvel.core..",
              "app.korvel.store..",
              "app.korvel.exchange..",
              "app.korvel.sensor..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("app.korvel.studio..");

  /** Whoever acts is known to tasks alone: nothing else begins to write. */
  @ArchTest
  static final ArchRule TASKS_ALONE_WRITE =
      noClasses()
          .that()
          .resideInAPackage("app.korvel.server..")
          .should()
          .callMethodWhere(
              describe(
                  "a unit of work is begun",
                  call ->
                      call.getTargetOwner().isEquivalentTo(Studio.class)
                              && call.getName().equals("write")
                          || call.getTargetOwner().isEquivalentTo(Database.class)
                              && call.getName().equals("inOneWrite")));

  @ArchTest
  static final ArchRule CORE_KNOWS_NOBODY =
      noClasses()
          .that()
          .resideInAPackage("app.korvel.core..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("app.korvel.store..", "app.korvel.exchange..", "app.korvel.sensor..");

  @ArchTest
  static final ArchRule SQL_STAYS_IN_THE_STORE =
      noClasses()
          .that()
          .resideOutsideOfPackage("app.korvel.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.sql..", "javax.sql..", "org.springframework.jdbc..");

  @ArchTest
  static final ArchRule ROOMS_MAKE_NO_CIRCLE =
      slices().matching("app.korvel.(*).(*)..").should().beFreeOfCycles();
}
