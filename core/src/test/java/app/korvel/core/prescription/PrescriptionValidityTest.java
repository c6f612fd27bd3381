package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.clearance;
import static app.korvel.core.support.People.client;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.outline.WorkType;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Symptom;
import app.korvel.core.screening.WrittenLimit;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** When an issued prescription is suspended, in whole or in its rates, and what a change stales. */
class PrescriptionValidityTest {
  private static final Medicine BISOPROLOL =
      new Medicine(MedicineClass.BETA_BLOCKER, "bisoprolol", "5 mg", Optional.empty());

  private static RestingReading reading(int bpm, Instant at) {
    return RestingReading.counted(
        new UUID(0, bpm), at, PulseCount.of(bpm, CountWindow.S60), Posture.SEATED, 5, Set.of());
  }

  private static ClientBaseline baseline(Screening screening, RestingReading... readings) {
    return ClientBaseline.of(
        screening,
        WorkingResting.of(List.of(readings), screening.medicinesChangedAt(), TODAY, ZONE),
        Mode.RUN,
        Optional.empty());
  }

  private static Prescription issued(Screening screening, int low, int high) {
    return Prescription.of(
        baseline(screening, reading(64, daysAgo(9))),
        new Fitt(
            Goal.GENERAL_FITNESS, Approach.GUIDELINE, low, high, 30, 3, WorkType.STEADY, Mode.RUN));
  }

  private static PrescriptionValidity standing(Prescription made, Screening now) {
    return PrescriptionValidity.of(made, daysAgo(8), now);
  }

  private static List<String> codes(PrescriptionValidity standing) {
    return standing.findings().stream().map(Finding::code).toList();
  }

  @Test
  void whatIsIssuedHoldsWhileNothingChanges() {
    Screening screening = screening(adult(46, Activity.SOME), false);
    PrescriptionValidity standing = standing(issued(screening, 40, 60), screening);
    assertThat(standing.state()).isEqualTo(PrescriptionValidity.State.ISSUED);
    assertThat(standing.findings()).isEmpty();
    assertThat(standing.ratesHold()).isTrue();
  }

  @Test
  void aLapsedClearanceSuspendsAndARenewedOneLifts() {
    Person person = having(57, Activity.LITTLE, Condition.HEART_CONDITION);
    Answers answers = answers(person);
    Prescription made =
        issued(screening(person, answers, clearance(300, Allows.VIGOROUS, 0)), 40, 50);
    assertThat(made.status()).isEqualTo(Prescription.Status.ISSUED);
    PrescriptionValidity lapsed =
        standing(made, screening(person, answers, clearance(300, Allows.VIGOROUS, -1)));
    assertThat(lapsed.state()).isEqualTo(PrescriptionValidity.State.SUSPENDED);
    assertThat(codes(lapsed)).containsExactly("clearance-lapsed");
    PrescriptionValidity renewed =
        standing(
            made,
            screening(
                person,
                answers,
                clearance(300, Allows.VIGOROUS, -1),
                clearance(0, Allows.MODERATE, 365)));
    assertThat(renewed.state()).isEqualTo(PrescriptionValidity.State.ISSUED);
  }

  @Test
  void aSymptomSuspendsThatDay() {
    Person person = adult(46, Activity.REGULAR);
    Prescription made = issued(screening(person, false), 60, 70);
    Screening told =
        screening(person, answers(person, List.of(), List.of(), Set.of(Symptom.CHEST_PAIN)));
    assertThat(standing(made, told).state()).isEqualTo(PrescriptionValidity.State.SUSPENDED);
    assertThat(codes(standing(made, told))).containsExactly("symptoms-stop");
  }

  @Test
  void anUnfinishedScreeningSuspendsNothing() {
    Person person = adult(46, Activity.SOME);
    Person active = adult(46, Activity.REGULAR);
    Prescription made = issued(screening(active, false), 60, 75);
    Screening unasked =
        Screening.of(client(person), Optional.empty(), OnRecord.NOTHING, TODAY, ZONE);
    assertThat(unasked.permission().mayIssue()).isFalse();
    assertThat(standing(made, unasked).state()).isEqualTo(PrescriptionValidity.State.ISSUED);
  }

  @Test
  void workOverSixtyIsSuspendedWhenVigorousIsNoLongerAllowed() {
    Person person = having(40, Activity.REGULAR, Condition.DIABETES);
    Answers answers = answers(person);
    Prescription made =
        issued(screening(person, answers, clearance(300, Allows.VIGOROUS, 0)), 60, 70);
    PrescriptionValidity lapsed =
        standing(made, screening(person, answers, clearance(300, Allows.VIGOROUS, -1)));
    assertThat(codes(lapsed)).containsExactly("suspended-intensity");
    assertThat(lapsed.state()).isEqualTo(PrescriptionValidity.State.SUSPENDED);
    assertThat(
            standing(issued(screening(person, answers), 40, 60), screening(person, answers))
                .state())
        .isEqualTo(PrescriptionValidity.State.ISSUED);
  }

  @Test
  void aLowerCapThanTheTargetSuspendsItsRates() {
    Person person = adult(46, Activity.SOME);
    Prescription made = issued(screening(person, false), 40, 60);
    assertThat(made.target().orElseThrow().highBpm()).isEqualTo(131);
    assertThat(standing(made, capped(person, 131)).state())
        .isEqualTo(PrescriptionValidity.State.ISSUED);
    PrescriptionValidity under = standing(made, capped(person, 130));
    assertThat(under.state()).isEqualTo(PrescriptionValidity.State.RATE_SUSPENDED);
    assertThat(codes(under)).containsExactly("rate-suspended-cap");
  }

  private static Screening capped(Person person, int bpm) {
    return screening(
        person,
        answers(
            person,
            List.of(),
            List.of(
                new WrittenLimit(
                    WrittenLimit.Kind.CAP,
                    OptionalInt.of(bpm),
                    "Dr Test",
                    TODAY,
                    Optional.empty())),
            Set.of()));
  }

  private static Screening changed(Person person, Instant at) {
    Intake before = Intake.following(List.of(), answers(person), daysAgo(30), ZONE);
    Intake after =
        Intake.following(
            List.of(before), answers(person, List.of(BISOPROLOL), List.of(), Set.of()), at, ZONE);
    return Screening.of(client(person), Optional.of(after), OnRecord.NOTHING, TODAY, ZONE);
  }

  @Test
  void aChangeOfMedicineSuspendsRatesAndStalesWhatWasMeasuredBefore() {
    Person person = adult(46, Activity.SOME);
    Prescription made = issued(screening(person, false), 40, 60);
    Screening changed = changed(person, daysAgo(2));

    PrescriptionValidity standing = standing(made, changed);
    assertThat(standing.state()).isEqualTo(PrescriptionValidity.State.RATE_SUSPENDED);
    assertThat(codes(standing)).containsExactly("rate-suspended-medicine");
    Prescription left = made.withoutRates();
    assertThat(left.target()).isEmpty();
    assertThat(left.warmUp().highBpm()).isEmpty();
    assertThat(left.rpe20()).isEqualTo(made.rpe20());
    assertThat(left.feel()).isEqualTo(made.feel());

    ClientBaseline stale = baseline(changed, reading(64, daysAgo(9)));
    assertThat(stale.stale()).isTrue();
    assertThat(JobStep.path(stale, Optional.empty()).subList(1, 4))
        .extracting(JobStep::detail)
        .containsExactly(
            "out of date: medication changed",
            "out of date: medication changed",
            "pulse again first");
    Prescription draft = Prescription.of(stale, made.parts());
    assertThat(draft.target()).isEmpty();
    assertThat(draft.steering()).isEqualTo(IntensityGuide.EFFORT_AND_TALK_ONLY);
    assertThat(draft.findings())
        .extracting(Finding::code)
        .contains("rate-not-used", "resting-stale");
  }

  @Test
  void countedAgainTheRatesComeBackByTheEquationForTheNewMedicine() {
    Person person = adult(46, Activity.SOME);
    Screening changed = changed(person, daysAgo(2));
    ClientBaseline again = baseline(changed, reading(64, daysAgo(9)), reading(58, daysAgo(1)));
    assertThat(again.stale()).isFalse();
    assertThat(again.resting().orElseThrow().bpm()).isEqualTo(58);
    // 208 − 0.7 × 46 = 175.8 -> 176, less 30
    assertThat(again.maximum().orElseThrow().bpm()).isEqualTo(146);
    assertThat(again.maximumRecord().findings())
        .extracting(Finding::code)
        .contains("maximum-stale");
  }

  @Test
  void anEquationChosenBeforeTheChangeIsSetAside() {
    Screening changed = changed(adult(46, Activity.SOME), daysAgo(2));
    Choice choice = Choice.of("beta-minus-30", "as the clinic does", TODAY.minusDays(3));
    ClientBaseline baseline =
        ClientBaseline.of(changed, Optional.empty(), Mode.RUN, Optional.of(choice));
    assertThat(baseline.maximumRecord().estimates().chosen()).isFalse();
    assertThat(baseline.maximumRecord().estimates().choiceFinding().orElseThrow().because())
        .startsWith("Medication changed on 18 May 2026");
    Choice after = Choice.of("beta-minus-30", "as the clinic does", TODAY.minusDays(2));
    assertThat(
            ClientBaseline.of(changed, Optional.empty(), Mode.RUN, Optional.of(after))
                .maximumRecord()
                .estimates()
                .chosen())
        .isTrue();
  }
}
