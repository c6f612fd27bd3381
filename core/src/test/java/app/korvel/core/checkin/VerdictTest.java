package app.korvel.core.checkin;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.client;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.taking;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.checkin.CheckIn.SelfReport;
import app.korvel.core.checkin.CheckInContext.Weighed;
import app.korvel.core.checkin.Glucose.Unit;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RegionalSettings.Weight;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Symptom;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class VerdictTest {
  private static final Person WELL = adult(45, Activity.SOME);

  /** A check-in, by what differs from a plain one. */
  private record Found(CheckIn checkIn) {

    static Found pulse(int bpm) {
      return new Found(CheckIn.pulse(bpm, Posture.SEATED, PulseSource.COUNT, true, true))
          .rhythm(Rhythm.STEADY);
    }

    private Found but(Consumer<Change> how) {
      Change change = new Change(checkIn);
      how.accept(change);
      return new Found(
          new CheckIn(
              checkIn.pulseBpm(),
              change.posture,
              change.source,
              change.settled,
              change.recounted,
              change.rhythm,
              change.pressure,
              change.glucose,
              change.ketones,
              change.weight,
              change.symptoms,
              change.told));
    }

    Found once() {
      return but(change -> change.recounted = false);
    }

    Found unsettled() {
      return but(change -> change.settled = false);
    }

    Found posture(Posture posture) {
      return but(change -> change.posture = posture);
    }

    Found source(PulseSource source) {
      return but(change -> change.source = source);
    }

    Found rhythm(Rhythm rhythm) {
      return but(change -> change.rhythm = Optional.of(rhythm));
    }

    Found uneven() {
      return rhythm(Rhythm.UNEVEN);
    }

    Found pressure(int systolic, int diastolic) {
      return but(change -> change.pressure = Optional.of(new BloodPressure(systolic, diastolic)));
    }

    Found glucose(String value, Unit unit) {
      return but(change -> change.glucose = Optional.of(new Glucose(new BigDecimal(value), unit)));
    }

    Found ketones(Ketones ketones) {
      return but(change -> change.ketones = Optional.ofNullable(ketones));
    }

    Found weight(String kg) {
      return but(change -> change.weight = Optional.of(new BigDecimal(kg)));
    }

    Found with(Symptom... worse) {
      return but(change -> change.symptoms = Set.of(worse));
    }

    Found telling(SelfReport... words) {
      return but(change -> change.told = Set.of(words));
    }
  }

  /** A check-in while it is being changed. */
  private static final class Change {
    private boolean settled;
    private boolean recounted;
    private Posture posture;
    private PulseSource source;
    private Optional<Rhythm> rhythm;
    private Optional<BloodPressure> pressure;
    private Optional<Glucose> glucose;
    private Optional<Ketones> ketones;
    private Optional<BigDecimal> weight;
    private Set<Symptom> symptoms;
    private Set<SelfReport> told;

    private Change(CheckIn from) {
      settled = from.settled();
      recounted = from.recounted();
      posture = from.posture();
      source = from.source();
      rhythm = from.rhythm();
      pressure = from.pressure();
      glucose = from.glucose();
      ketones = from.ketones();
      weight = from.weightKg();
      symptoms = from.symptoms();
      told = from.told();
    }
  }

  private static Optional<UsualPulse> seated(Integer bpm) {
    return Optional.ofNullable(bpm)
        .map(usual -> new UsualPulse(usual, Posture.SEATED, PulseSource.COUNT));
  }

  private static Verdict judge(Found found, Person person, Integer usual, Weighed... weights) {
    return Verdict.of(
        found.checkIn(),
        new CheckInContext(
            TODAY,
            person,
            seated(usual),
            OptionalInt.empty(),
            screening(person, true).effects(),
            List.of(weights),
            Optional.empty(),
            Weight.KG));
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
      // Nothing is decided yet, so nothing may be overridden.
      assertThat(verdict.mayOverride()).isFalse();
      assertThat(verdict.outcome()).isEqualTo(Outcome.COUNT_AGAIN);
      assertThat(verdict.words()).isEqualTo("Count again");
    }
  }

  /** A racing pulse is never a go, settled or not, with a usual value or without. */
  @ParameterizedTest
  @CsvSource({
    // pulse, settled, recounted -> outcome, first finding
    "180, false, true,  NOT_TODAY,   pulse-over-line",
    "180, true,  true,  NOT_TODAY,   pulse-over-line",
    "180, false, false, COUNT_AGAIN, pulse-sit-first",
    "180, true,  false, COUNT_AGAIN, pulse-recount",
    "101, false, false, COUNT_AGAIN, pulse-sit-first",
    "101, false, true,  NOT_TODAY,   pulse-over-line",
  })
  void overTheLineTheySitThenItIsNotToday(
      int bpm, boolean settled, boolean recounted, Outcome outcome, String first) {
    Found found = settled ? Found.pulse(bpm) : Found.pulse(bpm).unsettled();
    for (Integer usual : new Integer[] {null, 64, 97}) {
      Verdict verdict = judge(recounted ? found : found.once(), WELL, usual);
      assertThat(verdict.outcome()).as("usual " + usual).isEqualTo(outcome);
      assertThat(codes(verdict).get(0)).isEqualTo(first);
      assertThat(verdict.mayOverride()).isFalse();
      assertThat(verdict.recount()).isEqualTo(outcome == Outcome.COUNT_AGAIN);
      assertThat(codes(verdict)).doesNotContain("nothing-against", "pulse-as-usual");
    }
  }

  /** Whatever is found and known: nothing over the line of the age is ever a go, or light only. */
  @Test
  void noPulseOverTheLineOfTheAgeIsEverAGo() {
    for (int age : new int[] {8, 11, 12, 45, 80}) {
      int line = age < 12 ? 120 : 100;
      for (Integer usual : new Integer[] {null, 70, line - 2, line + 10}) {
        for (Posture posture : Posture.values()) {
          for (boolean settled : new boolean[] {true, false}) {
            for (boolean recounted : new boolean[] {true, false}) {
              for (int bpm = line + 1; bpm <= 240; bpm += 7) {
                Found found = Found.pulse(bpm).posture(posture);
                found = settled ? found : found.unsettled();
                found = recounted ? found : found.once();
                assertThat(judge(found, adult(age, Activity.SOME), usual).outcome())
                    .as(bpm + " at " + age + ", usual " + usual)
                    .isIn(Outcome.COUNT_AGAIN, Outcome.NOT_TODAY);
              }
            }
          }
        }
      }
    }
  }

  @Test
  void inAnotherPostureThanTheUsualOnlyTheLinesDecideAndThereIsNoGo() {
    Verdict standing = judge(Found.pulse(80).posture(Posture.STANDING));
    assertThat(standing.outcome()).isEqualTo(Outcome.COUNT_AGAIN);
    assertThat(standing.findings().get(0).message())
        .isEqualTo("Count again seated: that is how the usual 64 was taken.");
    assertThat(codes(standing)).doesNotContain("pulse-ten-off", "pulse-no-usual");
    assertThat(judge(Found.pulse(101).posture(Posture.STANDING)).outcome())
        .isEqualTo(Outcome.NOT_TODAY);
    assertThat(judge(Found.pulse(80).posture(Posture.STANDING), WELL, null).outcome())
        .isEqualTo(Outcome.GO);
  }

  @Test
  void aUsualValueOfAnotherSourceIsComparedAndSaid() {
    Verdict tapped = judge(Found.pulse(66).source(PulseSource.TAP));
    assertThat(tapped.outcome()).isEqualTo(Outcome.GO);
    assertThat(codes(tapped)).contains("usual-by-other-source", "pulse-as-usual");
    assertThat(judge(Found.pulse(75).source(PulseSource.TAP)).outcome())
        .isEqualTo(Outcome.NOT_TODAY);
  }

  @Test
  void countingAgainIsNothingToDecideFor() {
    assertThatThrownBy(() -> judge(Found.pulse(75)).decide(Outcome.COUNT_AGAIN, "to be sure"))
        .hasMessageContaining("decides nothing");
  }

  @Test
  void nobodyIsAGoBeforeTheScreeningIsDecided() {
    Screening open = Screening.of(client(WELL), Optional.empty(), OnRecord.NOTHING, TODAY, ZONE);
    Verdict verdict =
        Verdict.of(Found.pulse(64).checkIn(), CheckInContext.of(TODAY, open, seated(64)));
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(verdict.words()).isEqualTo("Not yet");
    assertThat(codes(verdict)).contains("screening-open").doesNotContain("nothing-against");
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
    "11, 50,  true,  GO",
    "11, 49,  true,  NOT_TODAY",
    "12, 49,  true,  GO",
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
            new CheckInContext(
                TODAY,
                adult(30, Activity.HIGH),
                seated(41),
                OptionalInt.of(38),
                screening(adult(30, Activity.HIGH), false).effects(),
                List.of(),
                Optional.empty(),
                Weight.KG));
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
    // value, unit, ketones -> finding, outcome
    "5.5, MMOL_L, , glucose-low, NOT_TODAY",
    "5.6, MMOL_L, , , GO",
    "13.9, MMOL_L, , , GO",
    "14.0, MMOL_L, , ketones-first, NOT_TODAY",
    "14.0, MMOL_L, NOT_MEASURED, ketones-not-measured, NOT_TODAY",
    "14.0, MMOL_L, PRESENT, glucose-high-unwell, NOT_TODAY",
    "14.0, MMOL_L, NONE, glucose-high, GO",
    "16.7, MMOL_L, NONE, glucose-high, GO",
    "16.8, MMOL_L, NONE, glucose-light-only, LIGHT_ONLY",
    "20, MMOL_L, NONE, glucose-light-only, LIGHT_ONLY",
    "20.1, MMOL_L, NONE, glucose-too-high, NOT_TODAY",
    "20.1, MMOL_L, , glucose-too-high, NOT_TODAY",
    "99, MG_DL, , glucose-low, NOT_TODAY",
    "100, MG_DL, , , GO",
    "250, MG_DL, , , GO",
    "251, MG_DL, , ketones-first, NOT_TODAY",
    "251, MG_DL, NONE, glucose-high, GO",
    "300, MG_DL, NONE, glucose-high, GO",
    "301, MG_DL, NONE, glucose-light-only, LIGHT_ONLY",
    "360, MG_DL, NONE, glucose-light-only, LIGHT_ONLY",
    "361, MG_DL, NONE, glucose-too-high, NOT_TODAY",
  })
  void glucoseAtItsLinesInEitherUnit(
      String value, Unit unit, Ketones ketones, String code, Outcome outcome) {
    Person person = taking(36, Activity.SOME, MedicineClass.INSULIN);
    Verdict verdict =
        judge(
            Found.pulse(64).glucose(value, unit).ketones(ketones).telling(SelfReport.CARRIED),
            person,
            64);
    assertThat(verdict.outcome()).isEqualTo(outcome);
    assertThat(verdict.mayOverride()).isFalse();
    assertThat(
            codes(verdict).stream()
                .filter(each -> each.startsWith("glucose") || each.startsWith("ketones")))
        .isEqualTo(code == null ? List.of() : List.of(code));
  }

  @ParameterizedTest
  @CsvSource({"14, NONE", "14, ", "18, NONE"})
  void highGlucoseAndUnwellEndsTheDayWhateverIsKnownOfKetones(String value, Ketones ketones) {
    Person person = taking(36, Activity.SOME, MedicineClass.SECRETAGOGUE);
    Verdict verdict =
        judge(
            Found.pulse(64)
                .glucose(value, Unit.MMOL_L)
                .ketones(ketones)
                .telling(SelfReport.CARRIED, SelfReport.UNWELL),
            person,
            64);
    assertThat(codes(verdict)).contains("glucose-high-unwell").doesNotContain("glucose-high");
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(verdict.words()).isEqualTo("Not today");
  }

  @Test
  void ketonesThatWereNotAskedForCanBeMeasuredOnTheSpot() {
    Person person = taking(36, Activity.SOME, MedicineClass.INSULIN);
    Verdict verdict =
        judge(Found.pulse(64).glucose("14", Unit.MMOL_L).telling(SelfReport.CARRIED), person, 64);
    assertThat(verdict.words()).isEqualTo("Not yet");
  }

  @Test
  void withInsulinGlucoseIsMeasuredAndSugarCarriedFirst() {
    Person person = taking(36, Activity.SOME, MedicineClass.INSULIN);
    Verdict verdict = judge(Found.pulse(64), person, 64);
    assertThat(codes(verdict)).contains("measure-first", "carry-first");
    assertThat(verdict.words()).isEqualTo("Not yet");
    assertThat(judge(Found.pulse(64).telling(SelfReport.FEVER), person, 64).words())
        .isEqualTo("Not today");
    assertThat(verdict.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(
            judge(Found.pulse(64).glucose("7", Unit.MMOL_L).telling(SelfReport.CARRIED), person, 64)
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
  @CsvSource({"KG, 3.5 kg", "LB, 7.7 lb"})
  void aGainIsSaidInTheUnitOfTheStudio(Weight unit, String gain) {
    CheckInContext known =
        CheckInContext.of(
            TODAY,
            screening(having(66, Activity.LITTLE, Condition.HEART_FAILURE), true),
            seated(64),
            List.of(new Weighed(TODAY.minusDays(1), new BigDecimal("80"))),
            unit);
    Verdict verdict = Verdict.of(Found.pulse(64).weight("83.5").checkIn(), known);
    assertThat(verdict.findings())
        .extracting(Finding::message)
        .contains("Not today: " + gain + " more than on " + Days.of(TODAY.minusDays(1)) + ".");
  }

  @ParameterizedTest
  @EnumSource(
      value = SelfReport.class,
      names = {"FEVER", "HOSPITAL", "SEVERE_LOW"})
  void whatEndsTheDayCannotBeOverridden(SelfReport told) {
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
    assertThat(judge(Found.pulse(68).telling(SelfReport.NO_SLEEP)).outcome()).isEqualTo(Outcome.GO);
    assertThat(judge(Found.pulse(59).telling(SelfReport.NO_SLEEP)).outcome())
        .isEqualTo(Outcome.LIGHT_ONLY);
    Verdict raised = judge(Found.pulse(69).telling(SelfReport.NO_SLEEP));
    assertThat(raised.outcome()).isEqualTo(Outcome.NOT_TODAY);
    assertThat(raised.mayOverride()).isFalse();
  }

  @Test
  void airAndHeatMakeItEasierAndInPregnancyHeatIsLeftOut() {
    assertThat(codes(judge(Found.pulse(64).telling(SelfReport.HEAT)))).contains("one-level-easier");
    assertThat(judge(Found.pulse(64).telling(SelfReport.POOR_AIR)).outcome()).isEqualTo(Outcome.GO);
    Person pregnant = having(33, Activity.SOME, Condition.PREGNANCY);
    assertThat(codes(judge(Found.pulse(64).telling(SelfReport.HEAT), pregnant, 64)))
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
            () -> judge(Found.pulse(75).telling(SelfReport.FEVER)).decide(Outcome.GO, "feels fine"))
        .hasMessageContaining("not available");
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
