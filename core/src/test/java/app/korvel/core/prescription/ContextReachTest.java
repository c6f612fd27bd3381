package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.answers;
import static app.korvel.core.support.People.clearance;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.having;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.taking;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.WrittenLimit;
import app.korvel.core.zone.CountCard.Beats;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each row of the context table, as it arrives in the prescription. */
class ContextReachTest {

  private static Prescription made(Screening screening, int low, int high, Mode mode) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 1),
            daysAgo(2),
            PulseCount.of(64, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return Prescription.of(
        ClientBaseline.of(
            screening, WorkingResting.of(List.of(reading), TODAY, ZONE), mode, Optional.empty()),
        new Fitt(
            Goal.GENERAL_FITNESS, Approach.GUIDELINE, low, high, 30, 3, WorkType.STEADY, mode));
  }

  private static Prescription made(Person person) {
    return made(
        screening(person, answers(person), clearance(5, Allows.VIGOROUS, 300)), 40, 60, Mode.RUN);
  }

  private static List<String> codes(Prescription made) {
    return made.findings().stream().map(Finding::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    // condition -> steering, warm-up, cool-down, finding
    "HEART_CONDITION,     RATE,                 15, 10, start-heart-condition",
    "HEART_FAILURE,       EFFORT_AND_TALK_ONLY, 15, 10, rate-not-used",
    "IRREGULAR_RHYTHM,    EFFORT_AND_TALK_ONLY, 15, 10, rate-not-used",
    "PACEMAKER,           EFFORT_AND_TALK_ONLY, 15, 10, rate-not-used",
    "DEFIBRILLATOR,       EFFORT_AND_TALK_ONLY, 15, 10, rate-not-used",
    "AUTONOMIC_NEUROPATHY,EFFORT_AND_TALK_ONLY,  5,  5, rate-not-used",
    "RESPIRATORY,         EFFORT_AND_TALK,       5,  5, breath-first",
    "PREGNANCY,           EFFORT_AND_TALK,       5,  5, pregnancy-talk",
    "HIGH_BLOOD_PRESSURE, RATE,                  5,  5, pressure-no-strain",
    "VESSEL_DISEASE,      RATE,                 15, 10, start-heart-condition",
    "CAROTID_DISEASE,     RATE,                 15, 10, neck-not-touched",
    "NECK_FAINTING,       RATE,                  5,  5, neck-not-touched",
    "FALLS,               RATE,                  5,  5, falls-no-steps",
    "JOINTS,              RATE,                  5,  5, joints-ease",
  })
  void conditions(
      Condition condition, IntensityGuide steering, int warmUp, int coolDown, String finding) {
    Prescription made = made(having(50, Activity.SOME, condition));
    assertThat(made.steering()).isEqualTo(steering);
    assertThat(made.warmUp().minutes()).isEqualTo(warmUp);
    assertThat(made.coolDown().minutes()).isEqualTo(coolDown);
    assertThat(codes(made)).contains(finding);
    assertThat(made.target().isPresent())
        .isEqualTo(steering != IntensityGuide.EFFORT_AND_TALK_ONLY);
  }

  @ParameterizedTest
  @CsvSource({
    "BETA_BLOCKER,  EFFORT_AND_TALK, 10, beta-blocker-steering",
    "RATE_LOWERING, EFFORT_AND_TALK, 10, beta-blocker-steering",
    "RATE_RAISING,  RATE,             5, rate-raising-beside",
    // A nitrate tells of a heart condition, whose rules hold.
    "NITRATE,       RATE,            15, nitrate-carry",
    "NITRATE,       RATE,            15, start-heart-condition",
    "HEART_FAILURE_OR_RHYTHM, EFFORT_AND_TALK, 15, start-heart-condition",
    "HEART_FAILURE_OR_RHYTHM, EFFORT_AND_TALK, 15, beta-blocker-steering",
    "INSULIN,       RATE,             5, disease-told-otherwise",
    "INSULIN,       RATE,             5, glucose-check",
    "SECRETAGOGUE,  RATE,             5, glucose-check",
  })
  void medicines(MedicineClass medicine, IntensityGuide steering, int warmUp, String finding) {
    Prescription made = made(taking(50, Activity.SOME, medicine));
    assertThat(made.steering()).isEqualTo(steering);
    assertThat(made.warmUp().minutes()).isEqualTo(warmUp);
    assertThat(codes(made)).contains(finding);
  }

  @Test
  void agesAndTheNew() {
    assertThat(made(adult(65, Activity.SOME)).warmUp().minutes()).isEqualTo(10);
    assertThat(codes(made(adult(65, Activity.SOME)))).contains("over-65");
    assertThat(made(adult(64, Activity.SOME)).warmUp().minutes()).isEqualTo(5);
    assertThat(made(adult(17, Activity.SOME)).leaveOut()).containsExactly("maximum tests");
    assertThat(made(adult(30, Activity.NONE)).steering()).isEqualTo(IntensityGuide.TALK);
  }

  @Test
  void whatIsLeftOutCarriedAndStoppedAtReachesTheCard() {
    assertThat(made(having(50, Activity.SOME, Condition.HIGH_BLOOD_PRESSURE)).leaveOut())
        .containsExactly("holding the breath, straining", "long isometric holds");
    Prescription pregnant = made(having(33, Activity.SOME, Condition.PREGNANCY));
    assertThat(pregnant.leaveOut()).contains("maximum tests", "training in heat");
    assertThat(pregnant.stopAlso()).anyMatch(sign -> sign.contains("bleeding"));
    assertThat(made(taking(40, Activity.SOME, MedicineClass.INSULIN)).carry())
        .containsExactly("sugar");
    assertThat(made(having(40, Activity.SOME, Condition.RESPIRATORY)).carry())
        .containsExactly("the reliever");
    assertThat(made(having(50, Activity.SOME, Condition.HEART_CONDITION)).supervised()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    // condition, low, high -> effort, levels
    "RESPIRATORY,     60, 60, 13, Talk",
    "RESPIRATORY,     40, 60, 13, Talk",
    "PREGNANCY,       60, 60, 14, Phrases",
    "HEART_CONDITION, 60, 60, 14, Phrases",
  })
  void effortIsHeldAndTheLevelsWithIt(
      Condition condition, int low, int high, int effort, String level) {
    Person person = having(50, Activity.SOME, condition);
    Prescription made =
        made(
            screening(person, answers(person), clearance(5, Allows.VIGOROUS, 300)),
            low,
            high,
            Mode.RUN);
    assertThat(made.rpe20().high()).isEqualTo(effort);
    assertThat(made.feel()).extracting(Prescription.EffortDescription::name).containsExactly(level);
  }

  private static Screening limited(Person person, WrittenLimit.Kind kind, Integer value) {
    return screening(
        person,
        answers(
            person,
            List.of(),
            List.of(
                new WrittenLimit(
                    kind,
                    value == null ? OptionalInt.empty() : OptionalInt.of(value),
                    "Dr Test",
                    TODAY,
                    Optional.empty())),
            Set.of()));
  }

  @Test
  void aCapCutsTheTargetAndItsCountsAreRoundedDown() {
    // 46 years: maximum 176, resting 64: 40–60 % is 109–131
    Person person = adult(46, Activity.SOME);
    Prescription made = made(limited(person, WrittenLimit.Kind.CAP, 118), 40, 60, Mode.RUN);
    assertThat(made.target().orElseThrow().lowBpm()).isEqualTo(109);
    assertThat(made.target().orElseThrow().highBpm()).isEqualTo(118);
    assertThat(made.target().orElseThrow().capped()).isTrue();
    // 118 × 15 / 60 = 29.5, down; 118 × 10 / 60 = 19.67, down
    assertThat(made.target().orElseThrow().counts().beats().get(CountWindow.S15))
        .isEqualTo(new Beats(27, 29));
    assertThat(made.target().orElseThrow().counts().beats().get(CountWindow.S10))
        .isEqualTo(new Beats(18, 19));
    assertThat(codes(made)).contains("cap-in-force", "cap-cuts");
    assertThat(made.findings())
        .filteredOn(finding -> finding.code().equals("cap-in-force"))
        .singleElement()
        .satisfies(
            finding -> {
              assertThat(finding.message()).isEqualTo("Nothing above 118 bpm.");
              assertThat(finding.because()).contains("Dr Test").doesNotStartWith("118");
            });
  }

  @Test
  void aCapBelowTheTargetLeavesEffortAndTalk() {
    Person person = adult(46, Activity.SOME);
    Prescription made = made(limited(person, WrittenLimit.Kind.CAP, 108), 40, 60, Mode.RUN);
    assertThat(made.target()).isEmpty();
    assertThat(made.steering()).isEqualTo(IntensityGuide.EFFORT_AND_TALK_ONLY);
    assertThat(codes(made)).contains("cap-below-target");
    assertThat(made.warmUp().highBpm()).contains(108);
  }

  @Test
  void aCapThatTheRestingRateHasReachedLeavesNoRateAtAll() {
    Person person = adult(46, Activity.SOME);
    Prescription made = made(limited(person, WrittenLimit.Kind.CAP, 64), 40, 60, Mode.RUN);
    assertThat(made.basis()).isEmpty();
    assertThat(made.warmUp().highBpm()).isEmpty();
    assertThat(codes(made)).contains("rate-not-used");
    assertThat(made(limited(person, WrittenLimit.Kind.CAP, 65), 40, 60, Mode.RUN).basis())
        .isPresent();
  }

  @Test
  void aWrittenEffortAndSupervisionReachIt() {
    Person person = adult(46, Activity.SOME);
    assertThat(
            made(limited(person, WrittenLimit.Kind.EFFORT_CAP, 11), 40, 60, Mode.RUN)
                .rpe20()
                .high())
        .isEqualTo(11);
    Prescription supervised =
        made(limited(person, WrittenLimit.Kind.SUPERVISED_ONLY, null), 40, 60, Mode.RUN);
    assertThat(supervised.supervised()).isTrue();
    assertThat(codes(supervised)).contains("supervised-only");
  }

  @Test
  void stepsAreRefusedWhereFallsAreOnRecord() {
    Person person = having(70, Activity.SOME, Condition.FALLS);
    Screening screening = screening(person, true);
    assertThatThrownBy(() -> made(screening, 40, 60, Mode.STAIRS))
        .hasMessageContaining("falls are on record");
    assertThat(made(screening, 40, 60, Mode.RUN).status()).isEqualTo(Prescription.Status.ISSUED);
  }

  @Test
  void heartWorkEndsAtSeventyClearedOrNot() {
    Person person = having(45, Activity.HIGH, Condition.HEART_CONDITION);
    Screening cleared = screening(person, answers(person), clearance(5, Allows.VIGOROUS, 300));
    assertThat(made(cleared, 60, 70, Mode.RUN).status()).isEqualTo(Prescription.Status.ISSUED);
    assertThatThrownBy(() -> made(cleared, 60, 71, Mode.RUN)).hasMessageContaining("highPercent");
    // Sixty at the start, all the same.
    assertThat(
            Start.of(cleared, Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN)
                .parts()
                .highPercent())
        .isEqualTo(60);
  }
}
