package app.korvel.core.checkin;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.taking;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.checkin.CheckIn.Told;
import app.korvel.core.checkin.Glucose.Unit;
import app.korvel.core.checkin.Known.Weighed;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Symptom;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class VerdictTest {
  private static final Person WELL = adult(45, Activity.SOME);

  /** A check-in, by what differs from a plain one. */
  private record Found(
      int bpm,
      boolean settled,
      boolean recounted,
      Rhythm rhythm,
      BloodPressure pressure,
      Glucose glucose,
      String weightKg,
      Set<Symptom> symptoms,
      Set<Told> told) {

    static Found pulse(int bpm) {
      return new Found(bpm, true, true, Rhythm.STEADY, null, null, null, Set.of(), Set.of());
    }

    Found once() {
      return new Found(bpm, settled, false, rhythm, pressure, glucose, weightKg, symptoms, told);
    }

    Found unsettled() {
      return new Found(bpm, false, recounted, rhythm, pressure, glucose, weightKg, symptoms, told);
    }

    Found uneven() {
      return new Found(
          bpm, settled, recounted, Rhythm.UNEVEN, pressure, glucose, weightKg, symptoms, told);
    }

    Found pressure(int systolic, int diastolic) {
      return new Found(
          bpm,
          settled,
          recounted,
          rhythm,
          new BloodPressure(systolic, diastolic),
          glucose,
          weightKg,
          symptoms,
          told);
    }

    Found glucose(String value, Unit unit) {
      return new Found(
          bpm,
          settled,
          recounted,
          rhythm,
          pressure,
          new Glucose(new BigDecimal(value), unit),
          weightKg,
          symptoms,
          told);
    }

    Found weight(String kg) {
      return new Found(bpm, settled, recounted, rhythm, pressure, glucose, kg, symptoms, told);
    }

    Found with(Symptom... worse) {
      return new Found(
          bpm, settled, recounted, rhythm, pressure, glucose, weightKg, Set.of(worse), told);
    }

    Found telling(Told... words) {
      return new Found(
          bpm, settled, recounted, rhythm, pressure, glucose, weightKg, symptoms, Set.of(words));
    }

    CheckIn checkIn() {
      return new CheckIn(
          bpm,
          Posture.SEATED,
          PulseSource.COUNT,
          settled,
          recounted,
          Optional.ofNullable(rhythm),
          Optional.ofNullable(pressure),
          Optional.ofNullable(glucose),
          Optional.ofNullable(weightKg).map(BigDecimal::new),
          symptoms,
          told);
    }
  }

  private static Verdict judge(Found found, Person person, Integer usual, Weighed... weights) {
    return Verdict.of(
        found.checkIn(),
        new Known(
            TODAY,
            person,
            usual == null ? OptionalInt.empty() : OptionalInt.of(usual),
            OptionalInt.empty(),
            screening(person, true).effects(),
            List.of(weights),
            Optional.empty()));
  }

  private static Verdict judge(Found found) {
    return judge(found, WELL, 64);
  }

  private static List<String> codes(Verdict verdict) {
    return verdict.findings().stream().map(Finding::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    // pulse now against a usual 64 -> outcome, may override
    "64, GO, false",
    "68, GO, false",
    "60, GO, false",
    "69, LIGHT_ONLY, true",
    "59, LIGHT_ONLY, true",
    "73, LIGHT_ONLY, true",
    "55, LIGHT_ONLY, true",
    "74, NOT_TODAY, true",
    "54, NOT_TODAY, true",
    "75, NOT_TODAY, true",
    "100, NOT_TODAY, true",
    "101, NOT_TODAY, false",
    "39, NOT_TODAY, false",
  })
  void theDifferenceFromTheUsualPulseDecides(int bpm, Outcome outcome, boolean mayOverride) {
    Verdict verdict = judge(Found.pulse(bpm));
    assertThat(verdict.outcome()).isEqualTo(outcome);
    assertThat(verdict.mayOverride()).isEqualTo(mayOverride);
    assertThat(verdict.recount()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"68, false", "60, false", "69, true", "59, true", "74, true", "101, true"})
  void aFirstOddValueIsCountedAgainBeforeItDecides(int bpm, boolean recount) {
    Verdict verdict = judge(Found.pulse(bpm).once());
    assertThat(verdict.recount()).isEqualTo(recount);
    if (recount) {
      assertThat(codes(verdict).get(0)).isEqualTo("pulse-recount");
      assertThat(codes(verdict)).doesNotContain("pulse-ten-off", "pulse-five-off");
      // Nothing is decided yet, so nothing may be overridden; the careful reading stands.
      assertThat(verdict.mayOverride()).isFalse();
      assertThat(verdict.outcome()).isNotEqualTo(Outcome.GO);
    }
  }

  @Test
  void whatTheDifferenceSaysIsSaidWithItsFigures() {
    assertThat(judge(Found.pulse(75)).findings().get(0).message())
        .isEqualTo("Not today: 75 is 11 bpm over the usual 64.");
    assertThat(judge(Found.pulse(58)).findings().get(0).message())
        .isEqualTo("Light only: 58 is 6 bpm under the usual 64.");
    assertThat(codes(judge(Found.pulse(64)))).containsExactly("pulse-as-usual", "nothing-against");
  }

  @ParameterizedTest
  @CsvSource({
    // age, pulse, settled -> outcome without any usual value
    "45, 100, true,  GO",
    "45, 101, true,  NOT_TODAY",
    "11, 120, true,  GO",
    "11, 121, true,  NOT_TODAY",
    "12, 101, true,  NOT_TODAY",
    "45, 40,  true,  GO",
    "45, 39,  true,  NOT_TODAY",
  })
  void absoluteLinesHoldWithoutAUsualValue(int age, int bpm, boolean settled, Outcome outcome) {
    Found found = settled ? Found.pulse(bpm) : Found.pulse(bpm).unsettled();
    Verdict verdict = judge(found, adult(age, Activity.SOME), null);
    assertThat(verdict.outcome()).isEqualTo(outcome);
    assertThat(verdict.mayOverride()).isFalse();
    assertThat(codes(verdict)).contains("pulse-no-usual");
  }

  @Test
  void under40IsNoLineForWhomItIsUsual() {
    assertThat(judge(Found.pulse(38), adult(30, Activity.HIGH), 39).outcome())
        .isEqualTo(Outcome.GO);
    assertThat(judge(Found.pulse(38), adult(30, Activity.HIGH), 40).outcome())
        .isEqualTo(Outcome.NOT_TODAY);
    Verdict told =
        Verdict.of(
            Found.pulse(39).checkIn(),
            new Known(
                TODAY,
                adult(30, Activity.HIGH),
                OptionalInt.of(41),
                OptionalInt.of(38),
                screening(adult(30, Activity.HIGH), false).effects(),
                List.of(),
                Optional.empty()));
    assertThat(told.outcome()).isEqualTo(Outcome.GO);
  }

  @ParameterizedTest
  @CsvSource({
    "180, 110, GO",
    "181, 110, NOT_TODAY",
    "180, 111, NOT_TODAY",
    "120, 80, GO",
    "85, 55, GO",
  })
  void bloodPressureAtItsLines(int systolic, int diastolic, Outcome outcome) {
    Verdict verdict = judge(Found.pulse(64).pressure(systolic, diastolic));
    assertThat(verdict.outcome()).isEqualTo(outcome);
    assertThat(verdict.mayOverride()).isFalse();
  }

  @Test
  void lightHeadedWithALowPressureIsSaidAsThat() {
    Found lightHeaded = Found.pulse(64).with(Symptom.DIZZINESS);
    assertThat(codes(judge(lightHeaded.pressure(89, 55)))).contains("light-headed-low-pressure");
    assertThat(codes(judge(lightHeaded.pressure(90, 55))))
        .doesNotContain("light-headed-low-pressure")
        .contains("symptoms-today");
  }

  @ParameterizedTest
  @CsvSource({
    "5.5, MMOL_L, glucose-low, NOT_TODAY",
    "5.6, MMOL_L, , GO",
    "13.9, MMOL_L, , GO",
    "14.0, MMOL_L, glucose-high, GO",
    "99, MG_DL, glucose-low, NOT_TODAY",
    "100, MG_DL, , GO",
    "250, MG_DL, , GO",
    "251, MG_DL, glucose-high, GO",
  })
  void glucoseAtItsLinesInEitherUnit(String value, Unit unit, String code, Outcome outcome) {
    Person person = taking(36, Activity.SOME, MedicineClass.INSULIN);
    Verdict verdict = judge(Found.pulse(64).glucose(value, unit).telling(Told.CARRIED), person, 64);
    assertThat(verdict.outcome()).isEqualTo(outcome);
    assertThat(codes(verdict).stream().filter(each -> each.startsWith("glucose")))
        .isEqualTo(code == null ? List.of() : List.of(code));
  }

  @Test
  void highGlucoseWithKetonesOrUnwellEndsTheDay() {
    Person person = taking(36, Activity.SOME, MedicineClass.SECRETAGOGUE);
    Verdict verdict =
        judge(
            Found.pulse(64).glucose("14", Unit.MMOL_L).telling(Told.CARRIED, Told.UNWELL),
            person,
            64);
    assertThat(codes(verdict)).contains("glucose-high-unwell").doesNotContain("glucose-high");
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
  }

  @Test
  void withInsulinGlucoseIsMeasuredAndSugarCarriedFirst() {
    Person person = taking(36, Activity.SOME, MedicineClass.INSULIN);
    Verdict verdict = judge(Found.pulse(64), person, 64);
    assertThat(codes(verdict)).contains("measure-first", "carry-first");
    assertThat(verdict.words()).isEqualTo("Not yet");
    assertThat(judge(Found.pulse(64).telling(Told.FEVER), person, 64).words())
        .isEqualTo("Not today");
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(
            judge(Found.pulse(64).glucose("7", Unit.MMOL_L).telling(Told.CARRIED), person, 64)
                .outcome())
        .isEqualTo(Outcome.GO);
  }

  @ParameterizedTest
  @CsvSource({
    // weight now, three days ago at 80 -> not today
    "81.9, 3, GO",
    "82.0, 3, NOT_TODAY",
    "82.0, 4, GO",
    "83.5, 1, NOT_TODAY",
  })
  void inHeartFailureAGainOfTwoKilosInThreeDays(String now, int daysAgo, Outcome outcome) {
    Person person = having(66, Activity.LITTLE, Condition.HEART_FAILURE);
    Weighed before = new Weighed(TODAY.minusDays(daysAgo), new BigDecimal("80"));
    assertThat(judge(Found.pulse(64).weight(now), person, 64, before).outcome()).isEqualTo(outcome);
    assertThat(judge(Found.pulse(64).weight(now), WELL, 64, before).outcome())
        .isEqualTo(Outcome.GO);
  }

  @ParameterizedTest
  @EnumSource(
      value = Told.class,
      names = {"FEVER", "HOSPITAL", "SEVERE_LOW"})
  void whatEndsTheDayCannotBeOverridden(Told told) {
    Verdict verdict = judge(Found.pulse(75).telling(told));
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(verdict.mayOverride()).isFalse();
  }

  @ParameterizedTest
  @EnumSource(Symptom.class)
  void everySymptomEndsTheDay(Symptom symptom) {
    Verdict verdict = judge(Found.pulse(64).with(symptom));
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(verdict.mayOverride()).isFalse();
  }

  @Test
  void anUnevenRhythmEndsTheDayOnlyWhereItIsNew() {
    assertThat(judge(Found.pulse(64).uneven()).outcome()).isEqualTo(Outcome.NOT_TODAY);
    Person known = having(69, Activity.SOME, Condition.IRREGULAR_RHYTHM);
    assertThat(judge(Found.pulse(64).uneven(), known, 64).outcome()).isEqualTo(Outcome.GO);
  }

  @Test
  void noSleepCountsWithARaisedPulseOnly() {
    assertThat(judge(Found.pulse(68).telling(Told.NO_SLEEP)).outcome()).isEqualTo(Outcome.GO);
    assertThat(judge(Found.pulse(59).telling(Told.NO_SLEEP)).outcome())
        .isEqualTo(Outcome.LIGHT_ONLY);
    Verdict raised = judge(Found.pulse(69).telling(Told.NO_SLEEP));
    assertThat(raised.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(raised.mayOverride()).isFalse();
  }

  @Test
  void airAndHeatMakeItEasierAndInPregnancyHeatIsLeftOut() {
    assertThat(codes(judge(Found.pulse(64).telling(Told.HEAT)))).contains("one-level-easier");
    assertThat(judge(Found.pulse(64).telling(Told.POOR_AIR)).outcome()).isEqualTo(Outcome.GO);
    Person pregnant = having(33, Activity.SOME, Condition.PREGNANCY);
    assertThat(codes(judge(Found.pulse(64).telling(Told.HEAT), pregnant, 64)))
        .contains("heat-not-for-them")
        .doesNotContain("one-level-easier");
  }

  @Test
  void withHighBloodPressureAMissingMeasurementIsSaid() {
    Person person = having(55, Activity.SOME, Condition.HIGH_BLOOD_PRESSURE);
    Verdict verdict = judge(Found.pulse(64), person, 64);
    assertThat(codes(verdict)).contains("measure-missing");
    assertThat(verdict.outcome()).isEqualTo(Outcome.GO);
  }

  @Test
  void theInstructorMayDecideEasierWithAReason() {
    Verdict verdict = judge(Found.pulse(75));
    assertThat(verdict.decide(Outcome.LIGHT_ONLY, " just climbed the stairs "))
        .isEqualTo(new Verdict.OwnDecision(Outcome.LIGHT_ONLY, "just climbed the stairs"));
    assertThatThrownBy(() -> verdict.decide(Outcome.GO, "ok"))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("reason");
    assertThatThrownBy(() -> verdict.decide(Outcome.NOT_TODAY, "no need"))
        .hasMessageContaining("stricter");
    assertThatThrownBy(
            () -> judge(Found.pulse(75).telling(Told.FEVER)).decide(Outcome.GO, "feels fine"))
        .hasMessageContaining("not open");
  }

  @ParameterizedTest
  @CsvSource({
    "59, 40, systolic",
    "301, 90, systolic",
    "120, 29, diastolic",
    "250, 201, diastolic",
    "80, 80, systolic",
    "80, 90, systolic",
  })
  void impossiblePressuresAreRefused(int systolic, int diastolic, String field) {
    assertThatThrownBy(() -> new BloodPressure(systolic, diastolic))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid -> assertThat(invalid.faults().get(0).field()).isEqualTo(field));
  }

  @ParameterizedTest
  @CsvSource({
    "0.9, MMOL_L, false",
    "1, MMOL_L, true",
    "35, MMOL_L, true",
    "35.1, MMOL_L, false",
    "17, MG_DL, false",
    "18, MG_DL, true",
    "630, MG_DL, true",
    "631, MG_DL, false",
  })
  void glucoseIsAcceptedWithinTheLimitsOfItsUnit(String value, Unit unit, boolean accepted) {
    if (accepted) {
      assertThat(new Glucose(new BigDecimal(value), unit))
          .hasToString(value + " " + unit.displayName());
    } else {
      assertThatThrownBy(() -> new Glucose(new BigDecimal(value), unit))
          .isInstanceOf(InvalidValueException.class);
    }
  }
}
