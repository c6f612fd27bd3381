package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.screening;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.WorkType;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.support.Maxima;
import app.korvel.core.support.People;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class ChangeTest {
  private static final Person ADULT = adult(45, Activity.REGULAR);

  private static ClientBaseline baseline(Person person, int resting, MeasuredMaximum... measured) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(3, resting),
            daysAgo(1),
            PulseCount.of(resting, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return ClientBaseline.of(
        screening(person, true),
        WorkingResting.of(List.of(reading), TODAY, People.ZONE),
        Mode.RUN,
        Optional.empty(),
        List.of(measured));
  }

  private static MeasuredMaximum measured(int bpm) {
    return Maxima.test(Mode.RUN, MaximumKind.FIELD_TEST, Grade.GOOD, bpm, TODAY);
  }

  private static Prescription made(ClientBaseline baseline) {
    return Prescription.of(
        baseline,
        new Fitt(
            Goal.GENERAL_FITNESS, Approach.GUIDELINE, 50, 70, 30, 4, WorkType.STEADY, Mode.RUN));
  }

  @Test
  void aMeasuredMaximumMovesTheTargetAndProposesALook() {
    ClientBaseline before = baseline(ADULT, 64);
    // 64 to 177, 113: 50 % 120.5 -> 121, 70 % 143.1 -> 143
    // 64 to 191, 127: 50 % 127.5 -> 128, 70 % 152.9 -> 153
    Change change = Change.since(made(before), baseline(ADULT, 64, measured(191))).orElseThrow();
    assertThat(change.moved()).isTrue();
    assertThat(change.review().orElseThrow().message())
        .startsWith("New values would move the target from 121–143 to 128–153.");
    assertThat(change.review().orElseThrow().because())
        .startsWith("Made with 64 at rest and a maximum of 177; now 64 and 191.");
    assertThat(change.after().maximumStandardErrorBpm()).isEqualByComparingTo("5");
  }

  @Test
  void aSmallMoveIsNoReasonToLookAgain() {
    Prescription made = made(baseline(ADULT, 64));
    // 64 to 180, 116: 122 and 145; edges move by 1 and 2
    Change small = Change.since(made, baseline(ADULT, 64, measured(180))).orElseThrow();
    assertThat(small.moved()).isTrue();
    assertThat(small.review()).isEmpty();
    // 64 to 182, 118: 123 and 147 (146.6); the upper edge moves by 4
    assertThat(Change.since(made, baseline(ADULT, 64, measured(182))).orElseThrow().review())
        .isPresent();
    assertThat(Change.since(made, baseline(ADULT, 64)).orElseThrow().moved()).isFalse();
  }

  @Test
  void aNewRestingValueMovesItToo() {
    // 58 to 177, 119: 50 % 117.5 -> 118, 70 % 141.3 -> 141
    Change change = Change.between(baseline(ADULT, 64), baseline(ADULT, 58), 50, 70).orElseThrow();
    assertThat(change.targetBefore().orElseThrow().lowBpm()).isEqualTo(121);
    assertThat(change.targetAfter().orElseThrow().lowBpm()).isEqualTo(118);
    assertThat(change.review()).isPresent();
  }

  @Test
  void withoutRatesThereIsNothingToHoldAgainst() {
    Person failure = with(66, Activity.SOME, false, true, true);
    assertThat(Change.between(baseline(ADULT, 64), baseline(failure, 64), 50, 70)).isEmpty();
    Prescription made = made(baseline(ADULT, 64));
    assertThat(Change.since(made, baseline(failure, 64))).isEmpty();
    assertThat(Change.since(made.withoutRates(), baseline(ADULT, 64))).isEmpty();
  }

  @Test
  void thePathOfTheJobSaysThatNewValuesAreThere() {
    ClientBaseline baseline = baseline(ADULT, 64, measured(191));
    List<JobStep> path =
        JobStep.path(
            baseline,
            Optional.of(
                new JobStep.SavedStatus(
                    2,
                    PrescriptionValidity.State.ISSUED,
                    true,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty())));
    assertThat(path.get(2).detail()).isEqualTo("191, measured");
    assertThat(path.get(4).detail()).isEqualTo("new values, v2");
    assertThat(path.get(4).state()).isEqualTo(JobStep.State.DUE);
  }
}
