package app.korvel.core.screening;

import static app.korvel.core.screening.MedicineClass.BETA_BLOCKER;
import static app.korvel.core.screening.MedicineClass.OTHER;
import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.daysAgo;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What counts as a change of medicine, and when symptoms were reported. */
class IntakeTest {
  private static final Person PERSON = adult(50, Activity.SOME);
  private final List<Intake> versions = new ArrayList<>();

  private static Medicine bisoprolol(String dose, LocalDate since) {
    return new Medicine(BETA_BLOCKER, "bisoprolol", dose, Optional.ofNullable(since));
  }

  private Intake told(Instant at, Medicine... medicines) {
    return keep(at, answers(PERSON, List.of(medicines), List.of(), Set.of(), false));
  }

  private Intake told(Instant at, Set<Symptom> symptoms) {
    return keep(at, answers(PERSON, List.of(), List.of(), symptoms, false));
  }

  private Intake keep(Instant at, Answers answers) {
    Intake next = Intake.following(versions, answers, at, ZONE);
    versions.add(next);
    return next;
  }

  @Test
  void versionsCountUp() {
    assertThat(told(daysAgo(9)).version()).isEqualTo(1);
    assertThat(told(daysAgo(8)).version()).isEqualTo(2);
  }

  @Test
  void theFirstWordOnMedicinesIsNoChangeUnlessItSaysSinceWhen() {
    assertThat(told(daysAgo(9), bisoprolol("5 mg", null)).medicinesChangedAt()).isEmpty();
    versions.clear();
    assertThat(told(daysAgo(9), bisoprolol("5 mg", TODAY.minusDays(20))).medicinesChangedAt())
        .contains(TODAY.minusDays(20).atStartOfDay(ZONE).toInstant());
  }

  @Test
  void aNewMedicineADoseAndOneTakenOffAreChanges() {
    told(daysAgo(30));
    assertThat(told(daysAgo(20), bisoprolol("5 mg", null)).medicinesChangedAt())
        .contains(daysAgo(20));
    assertThat(told(daysAgo(15), bisoprolol("5 mg", null)).medicinesChangedAt())
        .contains(daysAgo(20));
    assertThat(told(daysAgo(10), bisoprolol("10 mg", null)).medicinesChangedAt())
        .contains(daysAgo(10));
    assertThat(told(daysAgo(5)).medicinesChangedAt()).contains(daysAgo(5));
  }

  @Test
  void aDayGivenWithItIsWhenItChanged() {
    told(daysAgo(30));
    assertThat(told(daysAgo(2), bisoprolol("5 mg", TODAY.minusDays(12))).medicinesChangedAt())
        .contains(TODAY.minusDays(12).atStartOfDay(ZONE).toInstant());
  }

  @Test
  void whatDoesNotTouchTheRateIsNoChange() {
    told(daysAgo(30));
    assertThat(
            told(daysAgo(5), new Medicine(OTHER, "metformin", "", Optional.empty()))
                .medicinesChangedAt())
        .isEmpty();
  }

  @Test
  void aNameAndADoseFilledInAreNoChange() {
    told(daysAgo(30), Medicine.unnamed(BETA_BLOCKER));
    assertThat(told(daysAgo(5), bisoprolol("5 mg", null)).medicinesChangedAt()).isEmpty();
    assertThat(
            told(daysAgo(4), new Medicine(BETA_BLOCKER, "Bisoprolol", "5 MG", Optional.empty()))
                .medicinesChangedAt())
        .isEmpty();
  }

  @Test
  void whatWasMistypedAndMendedOnOneDayIsNoChange() {
    told(daysAgo(30), bisoprolol("5 mg", null));
    Intake mistyped = told(daysAgo(2), bisoprolol("50 mg", null));
    assertThat(mistyped.medicinesChangedAt()).contains(daysAgo(2));
    assertThat(
            told(daysAgo(2).plus(Duration.ofMinutes(1)), bisoprolol("5 mg", null))
                .medicinesChangedAt())
        .isEmpty();
  }

  @Test
  void symptomsAreReportedWhenTheyAreAddedAndStayReportedWhenTheyGo() {
    assertThat(told(daysAgo(30), Set.of()).symptomsReportedAt()).isEmpty();
    assertThat(told(daysAgo(20), Set.of(Symptom.LEG_PAIN)).symptomsReportedAt())
        .contains(daysAgo(20));
    assertThat(told(daysAgo(10), Set.of(Symptom.LEG_PAIN, Symptom.FATIGUE)).symptomsReportedAt())
        .contains(daysAgo(10));
    assertThat(told(daysAgo(8), Set.of(Symptom.FATIGUE)).symptomsReportedAt())
        .contains(daysAgo(10));
    assertThat(told(daysAgo(5), Set.of()).symptomsReportedAt()).contains(daysAgo(10));
  }

  @Test
  void aSymptomTickedByMistakeAndTakenBackTheSameDayWasNotReported() {
    told(daysAgo(30), Set.of());
    told(daysAgo(5), Set.of(Symptom.FAINTING));
    assertThat(told(daysAgo(5).plus(Duration.ofMinutes(2)), Set.of()).symptomsReportedAt())
        .isEmpty();
  }

  @Test
  void aSymptomStaysReportedWhileTheSameDaysOtherAnswersAreKept() {
    told(daysAgo(30), Set.of());
    told(daysAgo(5), Set.of(Symptom.FAINTING));
    assertThat(
            told(daysAgo(5).plus(Duration.ofMinutes(2)), Set.of(Symptom.FAINTING))
                .symptomsReportedAt())
        .contains(daysAgo(5));
  }
}
