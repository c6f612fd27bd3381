package app.korvel.core.screening;

import static app.korvel.core.screening.MedicineClass.BETA_BLOCKER;
import static app.korvel.core.screening.MedicineClass.OTHER;
import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.daysAgo;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.measure.InvalidValueException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What counts as a change of medicine, and when symptoms were reported. */
class IntakeTest {
  private static final Person PERSON = adult(50, Activity.SOME);
  private final List<Intake> versions = new ArrayList<>();

  private static Medicine bisoprolol(String dose, LocalDate since) {
    return new Medicine(BETA_BLOCKER, "bisoprolol", dose, Optional.ofNullable(since));
  }

  private Intake told(Instant at, Medicine... medicines) {
    return keep(at, answers(PERSON, List.of(medicines), List.of(), Set.of()));
  }

  private Intake told(Instant at, Set<Symptom> symptoms) {
    return keep(at, answers(PERSON, List.of(), List.of(), symptoms));
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

  /** The first word on medicines, corrected before the day is over, is still the first word. */
  @Test
  void whatIsCorrectedOnTheDayItWasFirstSaidIsNoChange() {
    told(daysAgo(2), bisoprolol("50 mg", null));
    Instant later = daysAgo(2).plus(Duration.ofMinutes(5));
    assertThat(told(later, bisoprolol("5 mg", null)).medicinesChangedAt()).isEmpty();
    assertThat(
            told(later, new Medicine(BETA_BLOCKER, "atenolol", "50 mg", Optional.empty()))
                .medicinesChangedAt())
        .isEmpty();
    assertThat(told(later).medicinesChangedAt()).isEmpty();
    assertThat(told(daysAgo(1), bisoprolol("5 mg", null)).medicinesChangedAt())
        .contains(daysAgo(1));
  }

  /** Nobody knows whether it was forgotten or is new, but for one that says since when. */
  @Test
  void oneMedicineMoreOnTheSameDayIsAChange() {
    told(daysAgo(2));
    Instant later = daysAgo(2).plus(Duration.ofHours(1));
    assertThat(told(later, bisoprolol("5 mg", null)).medicinesChangedAt()).contains(later);
    assertThat(told(later.plusSeconds(60)).medicinesChangedAt()).isEmpty();
    assertThat(
            told(later.plusSeconds(120), bisoprolol("5 mg", TODAY.minusDays(90)))
                .medicinesChangedAt())
        .contains(TODAY.minusDays(90).atStartOfDay(ZONE).toInstant());
  }

  /** What was measured on it since it was first said today still counts. */
  @Test
  void aChangeThatIsCorrectedTheSameDayChangedWhenItWasFirstSaid() {
    told(daysAgo(30), bisoprolol("5 mg", null));
    told(daysAgo(2), bisoprolol("1 mg", null));
    assertThat(
            told(daysAgo(2).plus(Duration.ofHours(3)), bisoprolol("10 mg", null))
                .medicinesChangedAt())
        .contains(daysAgo(2));
  }

  @Test
  void aDayCorrectedTheSameDayIsTheOneThatCounts() {
    told(daysAgo(30));
    told(daysAgo(2), bisoprolol("5 mg", TODAY.minusDays(4)));
    assertThat(
            told(daysAgo(2).plus(Duration.ofMinutes(1)), bisoprolol("5 mg", TODAY.minusDays(14)))
                .medicinesChangedAt())
        .contains(TODAY.minusDays(14).atStartOfDay(ZONE).toInstant());
  }

  @ParameterizedTest
  @CsvSource({
    "bisoprolol, BETA_BLOCKER",
    "' Bisoprolol ', BETA_BLOCKER",
    "Metoprolol succinate, BETA_BLOCKER",
    "amiodarone, HEART_FAILURE_OR_RHYTHM",
    "insulin, INSULIN",
    "insulin glargine, INSULIN",
    "metformin, OTHER",
    "bisoprololol, ",
    "something of their own, ",
    "'', ",
  })
  void aKnownGenericNameHasOneClass(String name, MedicineClass known) {
    assertThat(MedicineClass.named(name)).isEqualTo(Optional.ofNullable(known));
    for (MedicineClass typed : MedicineClass.values()) {
      Medicine medicine = new Medicine(typed, name, "", Optional.empty());
      List<InvalidValueException.Fault> faults = new ArrayList<>();
      medicine.check("medicines[0]", TODAY, faults);
      boolean fits = known == null || known == typed;
      assertThat(faults)
          .extracting(InvalidValueException.Fault::field)
          .isEqualTo(fits ? List.of() : List.of("medicines[0].medicineClass"));
      assertThat(medicine.inClassOfName().medicineClass()).isEqualTo(known == null ? typed : known);
    }
  }

  /** No name is in two classes, and none begins another class's. */
  @Test
  void everyNameFindsItsOwnClass() {
    for (MedicineClass each : MedicineClass.values()) {
      assertThat(each.genericNames())
          .isSorted()
          .allSatisfy(name -> assertThat(MedicineClass.named(name)).contains(each));
    }
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
