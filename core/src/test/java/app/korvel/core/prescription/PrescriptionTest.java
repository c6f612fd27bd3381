package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Exercise;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.WorkType;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Person;
import app.korvel.core.support.People;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.Level.RpeSpan;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PrescriptionTest {

  private static ClientBaseline baseline(Person person, int restingBpm, Mode mode) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 1),
            TODAY.atTime(8, 0).toInstant(ZoneOffset.UTC),
            PulseCount.of(restingBpm, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return ClientBaseline.of(
        People.screening(person, false),
        WorkingResting.of(List.of(reading), TODAY, ZoneOffset.UTC),
        mode,
        Optional.empty());
  }

  private static Start start(Person person, Goal goal, Approach approach) {
    return Start.of(People.screening(person, true), goal, Optional.ofNullable(approach), Mode.RUN);
  }

  private static Fitt parts(int low, int high, int minutes, int days, WorkType type) {
    return new Fitt(
        Goal.GENERAL_FITNESS, Approach.GUIDELINE, low, high, minutes, days, type, Mode.RUN);
  }

  private static List<String> codes(List<Finding> findings) {
    return findings.stream().map(Finding::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "NONE,30,40,15,3",
    "LITTLE,40,50,20,3",
    "SOME,45,60,30,3",
    "REGULAR,60,75,30,4",
    "HIGH,65,80,40,4",
  })
  void theStartFollowsPresentActivity(Activity activity, int low, int high, int minutes, int days) {
    Fitt parts = start(adult(45, activity), Goal.ENDURANCE, null).parts();
    assertThat(List.of(parts.lowPercent(), parts.highPercent(), parts.minutes(), parts.days()))
        .containsExactly(low, high, minutes, days);
  }

  @Test
  void bothSchoolsForTheNewAndTheInstructorChooses() {
    assertThat(start(adult(45, Activity.NONE), Goal.ENDURANCE, Approach.GUIDELINE).parts())
        .extracting(Fitt::lowPercent, Fitt::highPercent)
        .containsExactly(40, 50);
    assertThat(start(adult(45, Activity.LITTLE), Goal.ENDURANCE, Approach.CAUTIOUS).parts())
        .extracting(Fitt::lowPercent, Fitt::highPercent)
        .containsExactly(30, 40);
    assertThat(start(adult(45, Activity.REGULAR), Goal.ENDURANCE, Approach.CAUTIOUS).parts())
        .extracting(Fitt::lowPercent)
        .isEqualTo(60);
  }

  @Test
  void theGoalAndTheCeilingHoldTheStart() {
    Start held = start(adult(45, Activity.HIGH), Goal.GENERAL_FITNESS, null);
    assertThat(held.parts().highPercent()).isEqualTo(70);
    assertThat(codes(held.findings())).contains("start-held-by-goal");
    Fitt heart = start(with(45, Activity.HIGH, true, false, false), Goal.ENDURANCE, null).parts();
    assertThat(heart.lowPercent()).isEqualTo(40);
    assertThat(heart.highPercent()).isEqualTo(60);
  }

  @Test
  void aNamedExerciseSaysWhatKindOfWorkItIsAndWhatToMind() {
    Person pressure = People.having(45, Activity.SOME, Condition.HIGH_BLOOD_PRESSURE);
    Fitt any =
        new Fitt(
            Goal.GENERAL_FITNESS,
            Approach.GUIDELINE,
            40,
            50,
            30,
            3,
            WorkType.STEADY,
            Mode.OTHER,
            Optional.of(Exercise.WEIGHTS));
    Prescription made = Prescription.of(baseline(pressure, 64, Mode.OTHER), any);
    assertThat(codes(made.findings())).contains("exercise-type", "exercise-mind");
    assertThat(made.parts().whatIsDone()).isEqualTo("Lifting weights");
    assertThat(parts(40, 50, 30, 3, WorkType.STEADY).whatIsDone()).isEqualTo("Walk or run");

    for (Exercise wrong : List.of(Exercise.HOLDS, Exercise.ROW)) {
      Fitt parts =
          new Fitt(
              Goal.GENERAL_FITNESS,
              Approach.GUIDELINE,
              40,
              50,
              30,
              3,
              WorkType.STEADY,
              Mode.OTHER,
              Optional.of(wrong));
      assertThatThrownBy(() -> Prescription.of(baseline(pressure, 64, Mode.OTHER), parts))
          .isInstanceOfSatisfying(
              InvalidValueException.class,
              thrown -> assertThat(thrown.faults().get(0).field()).isEqualTo("exercise"));
    }
  }

  @Test
  void aSessionOfItIsOutlinedWithTheirMargins() {
    Prescription made =
        Prescription.of(
            baseline(adult(70, Activity.SOME), 64, Mode.RUN),
            parts(40, 50, 30, 3, WorkType.LADDER));
    assertThat(made.outline().steps()).extracting(Step::seconds).startsWith(600, 120).contains(600);
    // 30 min of ladder: 10 each at 20–30, 30–40 and 40–50 %; only the last are moderate.
    assertThat(made.week().moderateMinutes()).isEqualTo(30);
    assertThat(made.week().lightMinutes()).isEqualTo(60);
  }

  @Test
  void goalsAboveSeventyAreNotOpenWithAHeartCondition() {
    Person heart = with(45, Activity.HIGH, true, false, false);
    assertThat(Goal.openTo(heart)).containsExactly(Goal.DAILY_ACTIVITY, Goal.GENERAL_FITNESS);
    assertThat(Goal.openTo(adult(45, Activity.HIGH))).containsExactly(Goal.values());
    Fitt endurance =
        new Fitt(Goal.ENDURANCE, Approach.GUIDELINE, 40, 60, 30, 3, WorkType.STEADY, Mode.RUN);
    assertThatThrownBy(() -> Prescription.of(baseline(heart, 60, Mode.RUN), endurance))
        .hasMessageContaining("goal");
  }

  @Test
  void everyStartIsWithinTheRules() {
    for (Activity activity : Activity.values()) {
      for (boolean heart : new boolean[] {true, false}) {
        Person person = with(45, activity, heart, false, false);
        for (Goal goal : Goal.openTo(person)) {
          for (Approach approach : Approach.values()) {
            Start start = start(person, goal, approach);
            start.parts().check(People.screening(person, true).scope());
            assertThat(start.parts().highPercent())
                .isLessThanOrEqualTo(
                    activity.regularlyActive() && !heart ? goal.highPercent() : 60);
          }
        }
      }
    }
  }

  private static ClientBaseline resting(int bpm, int daysAgo, Clearance... clearances) {
    Person person = adult(46, Activity.SOME);
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 1),
            People.daysAgo(daysAgo),
            PulseCount.of(bpm, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return ClientBaseline.of(
        People.screening(person, People.answers(person), clearances),
        WorkingResting.of(List.of(reading), TODAY, ZoneOffset.UTC),
        Mode.RUN,
        Optional.empty());
  }

  /** Measuring goes on, issuing does not, until a clearance given since answers it. */
  @Test
  void aUsualValueOverTheRangeStopsIssuingUntilADoctorsWordIsOnRecord() {
    Fitt parts = parts(40, 50, 30, 3, WorkType.STEADY);
    assertThat(Prescription.of(resting(100, 10), parts).status())
        .isEqualTo(Prescription.Status.ISSUED);
    Prescription over = Prescription.of(resting(101, 10), parts);
    assertThat(over.status()).isEqualTo(Prescription.Status.DRAFT);
    assertThat(over.findings().get(0).message())
        .isEqualTo("Nothing is issued: 101 at rest is over 100.");
    assertThat(resting(101, 10).mayIssue()).isFalse();
    // Given before the reading it says nothing of it; since then it answers.
    assertThat(resting(101, 10, clearance(20, 200)).mayIssue()).isFalse();
    assertThat(resting(101, 10, clearance(5, 200)).mayIssue()).isTrue();
    assertThat(resting(101, 10, clearance(5, -1)).mayIssue()).isFalse();
  }

  private static Clearance clearance(int daysAgo, int untilInDays) {
    return People.clearance(daysAgo, Allows.LIGHT_TO_MODERATE, untilInDays);
  }

  @Test
  void aWeekOfFourVigorousDaysNamesTheEasierOne() {
    // 45 years: 176.5 is 177; 64 at rest: 60–75 % is 132–149, 40–60 % is 109–132.
    Prescription made =
        Prescription.of(
            baseline(adult(45, Activity.HIGH), 64, Mode.RUN),
            parts(60, 75, 30, 4, WorkType.STEADY));
    OtherDays easier = made.otherDays().orElseThrow();
    assertThat(easier.days()).isEqualTo(1);
    assertThat(easier.target().orElseThrow().lowBpm()).isEqualTo(109);
    assertThat(easier.target().orElseThrow().highBpm()).isEqualTo(132);
    assertThat(easier.rpe20()).isEqualTo(new RpeSpan(12, 13));
    assertThat(made.findings())
        .extracting(Finding::message)
        .contains("3 of the 4 days as prescribed, the others at 40–60 % of reserve.");
    assertThat(made.withoutRates().otherDays().orElseThrow().target()).isEmpty();
    for (Fitt none :
        List.of(parts(60, 75, 30, 3, WorkType.STEADY), parts(50, 69, 30, 5, WorkType.STEADY))) {
      assertThat(
              Prescription.of(baseline(adult(45, Activity.HIGH), 64, Mode.RUN), none).otherDays())
          .isEmpty();
    }
  }

  @Test
  void aWorkedPrescription() {
    // 46 years, some activity: 208 − 0.7 × 46 = 175.8 -> 176; reserve 112
    Prescription made =
        Prescription.of(
            baseline(adult(46, Activity.SOME), 64, Mode.RUN),
            parts(40, 60, 30, 3, WorkType.STEADY));
    assertThat(made.status()).isEqualTo(Prescription.Status.ISSUED);
    assertThat(made.target().orElseThrow().lowBpm()).isEqualTo(109);
    assertThat(made.target().orElseThrow().highBpm()).isEqualTo(131);
    assertThat(made.feel())
        .extracting(Prescription.EffortDescription::name)
        .containsExactly("Talk");
    assertThat(made.rpe20()).isEqualTo(new RpeSpan(12, 13));
    assertThat(made.steering()).isEqualTo(IntensityGuide.RATE);
    assertThat(made.warmUp().minutes()).isEqualTo(5);
    // 64 + 0.2 × 112 = 86.4; 64 + 0.4 × 112 = 108.8
    assertThat(made.warmUp().lowBpm()).contains(86);
    assertThat(made.warmUp().highBpm()).contains(109);
    assertThat(made.warmUp().how()).contains("rise to 86–109");
    assertThat(made.coolDown().minutes()).isEqualTo(5);
    assertThat(made.coolDown().how()).contains("until you are below 109");
    assertThat(made.week().moderateMinutes()).isEqualTo(90);
    assertThat(made.week().moderateEquivalentMinutes()).isEqualTo(90);
    assertThat(codes(made.findings())).contains("week-under", "light-to-moderate", "soft-target");
  }

  @ParameterizedTest
  @CsvSource({
    // low, high, minutes, days, type -> class, light, moderate, vigorous, equivalent
    "30,40,15,3,STEADY,LIGHT,45,0,0,0",
    "35,45,20,3,STEADY,MODERATE,30,30,0,30",
    // 50–70 % is half moderate and half vigorous: 30 min are worth 45
    "50,70,30,1,STEADY,VIGOROUS,0,15,15,45",
    "50,70,30,3,STEADY,VIGOROUS,0,45,45,135",
    // of five days three are vigorous, the others at 40–60 %: 90 min halved, and 60 moderate ones
    "50,70,30,5,STEADY,VIGOROUS,0,105,45,195",
    "60,75,30,4,STEADY,VIGOROUS,0,30,90,210",
    // 10 of 19 parts of 150 min are 78.9
    "50,69,30,5,STEADY,MODERATE,0,79,71,221",
    "80,90,30,3,INTERVALS,VIGOROUS,60,0,30,60",
    "90,90,30,3,INTERVALS,NEAR_MAXIMAL,60,0,30,60",
  })
  void minutesAreSharedByHowMuchOfTheirRangeLiesInEachClass(
      int low,
      int high,
      int minutes,
      int days,
      WorkType type,
      GuidelineClass expected,
      int light,
      int moderate,
      int vigorous,
      int equivalent) {
    Week week = week(parts(low, high, minutes, days, type), adult(45, Activity.HIGH));
    assertThat(week.guidelineClass()).isEqualTo(expected);
    assertThat(
            List.of(
                week.lightMinutes(),
                week.moderateMinutes(),
                week.vigorousMinutes(),
                week.moderateEquivalentMinutes()))
        .containsExactly(light, moderate, vigorous, equivalent);
  }

  private static Week week(Fitt parts, Person person) {
    return Week.of(parts, Bounds.FOR_ANYONE, person);
  }

  @Test
  void under18TheMarkIsSixtyMinutesADay() {
    Week week = week(parts(40, 60, 30, 3, WorkType.STEADY), adult(16, Activity.SOME));
    assertThat(week.markMinutes()).isEqualTo(420);
    assertThat(week.upperMinutes()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    // low, high, minutes, days, type -> field
    "50,61,30,3,STEADY,highPercent",
    "55,50,30,3,STEADY,highPercent",
    "19,40,30,3,STEADY,lowPercent",
    "40,50,4,3,STEADY,minutes",
    "40,50,181,3,STEADY,minutes",
    "40,50,30,0,STEADY,days",
    "40,50,30,8,STEADY,days",
    "40,50,39,3,LONG_EASY,minutes",
  })
  void partsOutsideTheRulesAreRefusedAtTheirField(
      int low, int high, int minutes, int days, WorkType type, String field) {
    assertThatThrownBy(
            () ->
                Prescription.of(
                    baseline(adult(46, Activity.SOME), 64, Mode.RUN),
                    parts(low, high, minutes, days, type)))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid ->
                assertThat(invalid.faults())
                    .extracting(InvalidValueException.Fault::field)
                    .containsExactly(field));
  }

  @Test
  void onlyIntervalsGoAboveEighty() {
    ClientBaseline baseline = baseline(adult(30, Activity.HIGH), 52, Mode.RUN);
    assertThatThrownBy(() -> Prescription.of(baseline, parts(70, 81, 40, 4, WorkType.STEADY)))
        .hasMessageContaining("too hard");
    assertThat(
            codes(Prescription.of(baseline, parts(80, 90, 30, 3, WorkType.INTERVALS)).findings()))
        .contains("hard-minutes");
  }

  @Test
  void aHeartConditionIsADraftWithALongWarmUpAndEffortElevenToFourteen() {
    Prescription made =
        Prescription.of(
            baseline(with(60, Activity.SOME, true, false, true), 60, Mode.RUN),
            parts(40, 60, 20, 3, WorkType.STEADY));
    assertThat(made.status()).isEqualTo(Prescription.Status.DRAFT);
    assertThat(made.basis().orElseThrow().maximumMethod()).isEqualTo("brawner-164");
    assertThat(made.steering()).isEqualTo(IntensityGuide.EFFORT_AND_TALK);
    assertThat(made.warmUp().minutes()).isEqualTo(15);
    assertThat(made.coolDown().minutes()).isEqualTo(10);
    assertThat(made.rpe20()).isEqualTo(new RpeSpan(12, 13));
    assertThat(codes(made.findings())).contains("clearance-first", "start-heart-condition");
  }

  @Test
  void heartFailureHasNoRateAtAll() {
    Prescription made =
        Prescription.of(
            baseline(with(66, Activity.NONE, false, true, true), 72, Mode.CYCLE),
            parts(30, 40, 15, 3, WorkType.STEADY));
    assertThat(made.target()).isEmpty();
    assertThat(made.basis()).isEmpty();
    assertThat(made.warmUp().highBpm()).isEmpty();
    assertThat(made.coolDown().how()).contains("until your breath is quiet");
    assertThat(made.steering()).isEqualTo(IntensityGuide.EFFORT_AND_TALK_ONLY);
    assertThat(made.status()).isEqualTo(Prescription.Status.DRAFT);
    assertThat(codes(made.findings()))
        .contains("rate-not-used")
        .doesNotContain("beta-blocker-steering", "start-heart-condition");
    assertThat(made.rpe20()).isEqualTo(new RpeSpan(6, 11));
  }

  @Test
  void effortIsHeldAtFourteenWithAHeartConditionAndNeverPushedUp() {
    ClientBaseline baseline = baseline(with(60, Activity.SOME, true, false, false), 60, Mode.RUN);
    assertThat(Prescription.of(baseline, parts(60, 60, 20, 3, WorkType.STEADY)).rpe20())
        .isEqualTo(new RpeSpan(14, 14));
    assertThat(Prescription.of(baseline, parts(30, 40, 20, 3, WorkType.STEADY)).rpe20())
        .isEqualTo(new RpeSpan(6, 11));
  }

  @Test
  void aReserveTooSmallLeavesEffortAndTalk() {
    // 208 − 0.7 × 80 − 30 = 122, resting 90: 32
    Prescription made =
        Prescription.of(
            baseline(with(80, Activity.SOME, false, false, true), 90, Mode.RUN),
            parts(40, 50, 20, 3, WorkType.STEADY));
    assertThat(made.target()).isEmpty();
    assertThat(made.steering()).isEqualTo(IntensityGuide.EFFORT_AND_TALK_ONLY);
    assertThat(made.warmUp().minutes()).isEqualTo(10);
    assertThat(codes(made.findings())).contains("rate-not-used", "over-65");
  }

  @Test
  void withoutARestingPulseNothingIsPrescribed() {
    ClientBaseline baseline =
        ClientBaseline.of(
            People.screening(adult(46, Activity.SOME), false),
            Optional.empty(),
            Mode.RUN,
            Optional.empty());
    assertThatThrownBy(() -> Prescription.of(baseline, parts(40, 60, 30, 3, WorkType.STEADY)))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Count a resting pulse first");
  }

  @Test
  void onceAWeekIsSaidToBeNoPlanAndTheNewSteerByTalk() {
    Prescription made =
        Prescription.of(
            baseline(adult(46, Activity.NONE), 70, Mode.RUN),
            parts(30, 40, 15, 1, WorkType.STEADY));
    assertThat(codes(made.findings())).contains("once-a-week", "talk-before-effort", "week-light");
    assertThat(made.steering()).isEqualTo(IntensityGuide.TALK);
    assertThat(made.rpe20()).isEqualTo(new RpeSpan(6, 11));
  }

  @Test
  void anUnusualRestingPulseIsSaidWhereTheDecisionIs() {
    Prescription made =
        Prescription.of(
            baseline(adult(46, Activity.SOME), 104, Mode.RUN),
            parts(40, 50, 20, 3, WorkType.STEADY));
    assertThat(codes(made.findings())).contains("resting-high");
  }
}
