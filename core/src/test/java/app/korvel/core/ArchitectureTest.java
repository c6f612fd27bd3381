package app.korvel.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** The core is plain Java, reads no clock, and its rooms stand in order. */
@AnalyzeClasses(packages = "app.korvel.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule PLAIN_JAVA =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "app.korvel.core..",
              "java.lang..",
              "java.util..",
              "java.math..",
              "java.time..",
              "java.io..");

  @ArchTest
  static final ArchRule TIME_AND_IDS_ARE_PASSED_IN =
      noClasses()
          .should()
          .callMethod(Instant.class, "now")
          .orShould()
          .callMethod(LocalDate.class, "now")
          .orShould()
          .callMethod(Clock.class, "systemUTC")
          .orShould()
          .callMethod(UUID.class, "randomUUID");

  @ArchTest
  static final ArchRule ROOMS_IN_ORDER =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("measure")
          .definedBy("..core.measure..")
          .layer("screening")
          .definedBy("..core.screening..")
          .layer("pulse")
          .definedBy("..core.pulse..")
          .layer("checkin")
          .definedBy("..core.checkin..")
          .layer("trace")
          .definedBy("..core.trace..")
          .layer("maximum")
          .definedBy("..core.maximum..")
          .layer("run")
          .definedBy("..core.run..")
          .layer("fieldtest")
          .definedBy("..core.fieldtest..")
          .layer("zone")
          .definedBy("..core.zone..")
          .layer("effort")
          .definedBy("..core.effort..")
          .layer("recovery")
          .definedBy("..core.recovery..")
          .layer("talk")
          .definedBy("..core.talk..")
          .layer("outline")
          .definedBy("..core.outline..")
          .layer("prescription")
          .definedBy("..core.prescription..")
          .layer("programme")
          .definedBy("..core.programme..")
          .layer("live")
          .definedBy("..core.live..")
          .layer("assessment")
          .definedBy("..core.assessment..")
          .layer("session")
          .definedBy("..core.session..")
          .layer("progress")
          .definedBy("..core.progress..")
          .layer("forecast")
          .definedBy("..core.forecast..")
          .whereLayer("measure")
          .mayNotAccessAnyLayer()
          .whereLayer("screening")
          .mayOnlyAccessLayers("measure")
          .whereLayer("pulse")
          .mayOnlyAccessLayers("measure", "screening")
          .whereLayer("checkin")
          .mayOnlyAccessLayers("measure", "screening", "pulse")
          .whereLayer("trace")
          .mayOnlyAccessLayers("measure")
          .whereLayer("maximum")
          .mayOnlyAccessLayers("measure", "screening", "pulse", "checkin", "trace")
          .whereLayer("run")
          .mayOnlyAccessLayers("measure")
          .whereLayer("fieldtest")
          .mayOnlyAccessLayers("measure", "screening", "pulse", "checkin", "maximum", "run")
          .whereLayer("zone")
          .mayOnlyAccessLayers("measure", "screening", "pulse", "maximum")
          .whereLayer("effort")
          .mayOnlyAccessLayers("measure", "screening", "pulse", "maximum", "zone")
          .whereLayer("recovery")
          .mayOnlyAccessLayers("measure", "trace", "zone", "effort")
          .whereLayer("talk")
          .mayOnlyAccessLayers("measure", "screening", "pulse", "maximum", "zone", "effort")
          .whereLayer("outline")
          .mayOnlyAccessLayers("measure", "screening", "maximum", "zone")
          .whereLayer("prescription")
          .mayOnlyAccessLayers("measure", "screening", "pulse", "maximum", "zone", "outline")
          .whereLayer("programme")
          .mayOnlyAccessLayers("measure", "screening", "maximum", "zone", "outline", "prescription")
          .whereLayer("live")
          .mayOnlyAccessLayers(
              "measure",
              "screening",
              "pulse",
              "checkin",
              "trace",
              "maximum",
              "run",
              "zone",
              "effort",
              "recovery",
              "talk",
              "outline",
              "prescription")
          .whereLayer("assessment")
          .mayOnlyAccessLayers(
              "measure",
              "screening",
              "pulse",
              "checkin",
              "trace",
              "maximum",
              "run",
              "zone",
              "effort",
              "recovery",
              "talk",
              "prescription",
              "live")
          .whereLayer("session")
          .mayOnlyAccessLayers(
              "measure", "screening", "maximum", "zone", "outline", "prescription", "programme")
          .whereLayer("progress")
          .mayOnlyAccessLayers(
              "measure",
              "screening",
              "pulse",
              "maximum",
              "zone",
              "outline",
              "prescription",
              "programme",
              "session")
          .whereLayer("forecast")
          .mayOnlyAccessLayers(
              "measure",
              "trace",
              "run",
              "zone",
              "effort",
              "recovery",
              "outline",
              "prescription",
              "live");

  /** A forecast steers nothing: no rule, cue, cap or target knows it. */
  @ArchTest
  static final ArchRule NO_RULE_ASKS_A_FORECAST =
      noClasses()
          .that()
          .resideOutsideOfPackage("..core.forecast..")
          .and()
          .doNotHaveFullyQualifiedName("app.korvel.core.Findings")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("..core.forecast..");
}
