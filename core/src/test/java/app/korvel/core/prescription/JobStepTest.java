package app.korvel.core.prescription;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.with;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.JobStep.SavedStatus;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Context;
import app.korvel.core.screening.Person;
import app.korvel.core.support.People;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JobStepTest {

  private static List<String> path(
      Person person, int restingBpm, int daysAgo, int minutesRested, Optional<SavedStatus> saved) {
    Optional<WorkingResting> resting =
        restingBpm == 0
            ? Optional.empty()
            : WorkingResting.of(
                List.of(
                    RestingReading.counted(
                        new UUID(0, 1),
                        TODAY.minusDays(daysAgo).atTime(8, 0).toInstant(ZoneOffset.UTC),
                        PulseCount.of(restingBpm, CountWindow.S60),
                        Posture.SEATED,
                        minutesRested,
                        Set.of())),
                TODAY,
                ZoneOffset.UTC);
    ClientBaseline baseline =
        ClientBaseline.of(People.screening(person, false), resting, Mode.RUN, Optional.empty());
    return JobStep.path(baseline, saved).stream()
        .map(step -> step.state() + " " + step.detail())
        .toList();
  }

  @Test
  void aNewClientBeginsWithThePulse() {
    assertThat(path(adult(46, Activity.SOME), 0, 0, 5, Optional.empty()))
        .containsExactly(
            "DONE light to moderate",
            "DUE none counted yet",
            "DONE about 176",
            "LATER pulse first",
            "LATER pulse first",
            "LATER prescription first",
            "LATER nothing logged yet");
  }

  @Test
  void theWholePathDone() {
    assertThat(
            path(
                adult(46, Activity.SOME),
                64,
                2,
                5,
                Optional.of(
                    new SavedStatus(
                        2,
                        PrescriptionValidity.State.ISSUED,
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))))
        .containsExactly(
            "DONE light to moderate",
            "DONE 64 at rest",
            "DONE about 176",
            "DONE reserve 112",
            "DONE version 2",
            "DUE no programme",
            "LATER nothing logged yet");
  }

  @Test
  void aWeekThatIsOverIsToBeDecidedAndWhatWasLoggedLastIsSaid() {
    SavedStatus status =
        new SavedStatus(
            1,
            PrescriptionValidity.State.ISSUED,
            false,
            Optional.of(TODAY.plusDays(40)),
            Optional.of(3),
            Optional.of(TODAY.minusDays(2)));
    assertThat(path(adult(46, Activity.SOME), 64, 2, 5, Optional.of(status)).subList(5, 7))
        .containsExactly("DUE decide week 4", "DONE logged 18 May");
  }

  @Test
  void sessionsAreLaidOutUntilADay() {
    assertThat(sessions(PrescriptionValidity.State.ISSUED, 20)).isEqualTo("DONE until 9 Jun");
    assertThat(sessions(PrescriptionValidity.State.RATE_SUSPENDED, 0))
        .isEqualTo("DONE until 20 May");
    assertThat(sessions(PrescriptionValidity.State.ISSUED, -1)).isEqualTo("DUE programme ended");
    assertThat(sessions(PrescriptionValidity.State.SUSPENDED, 20))
        .isEqualTo("LATER prescription first");
  }

  private static String sessions(PrescriptionValidity.State standing, int daysLeft) {
    return path(
            adult(46, Activity.SOME),
            64,
            2,
            5,
            Optional.of(
                new SavedStatus(
                    1,
                    standing,
                    false,
                    Optional.of(TODAY.plusDays(daysLeft)),
                    Optional.empty(),
                    Optional.empty())))
        .get(5);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "DONE, DUE, DONE, LATER | PULSE",
        "BLOCKED, DUE, DONE, LATER | SCREENING",
        "DONE, DONE, BLOCKED, BLOCKED | ",
        "DONE, DONE, BLOCKED, BLOCKED, DUE | PRESCRIPTION",
        "DONE, DONE, DONE, DONE | ",
      })
  void whatIsNextIsTheFirstThatCanBeDone(String states, JobStep.Step next) {
    String[] given = states.split(", ");
    List<JobStep> path =
        IntStream.range(0, given.length)
            .mapToObj(
                at ->
                    new JobStep(
                        JobStep.Step.values()[at], JobStep.State.valueOf(given[at]), "as it is"))
            .toList();
    assertThat(JobStep.next(path).map(JobStep::step)).isEqualTo(Optional.ofNullable(next));
  }

  @Test
  void heartFailureBlocksEverythingByRate() {
    assertThat(
            path(
                with(66, Activity.NONE, false, true, true),
                72,
                2,
                5,
                Optional.of(
                    new SavedStatus(
                        1,
                        PrescriptionValidity.State.DRAFT,
                        false,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()))))
        .containsExactly(
            "BLOCKED clearance first",
            "DONE 72 at rest",
            "BLOCKED cardiac team",
            "BLOCKED RPE and talk",
            "DUE draft 1",
            "LATER prescription first",
            "LATER nothing logged yet");
  }

  @Test
  void aMissingConsentAnOldOrAnUnusualPulseAndASmallReserveAreSaid() {
    assertThat(path(adult(17, Activity.SOME), 64, 2, 5, Optional.empty()))
        .startsWith("BLOCKED consent missing");
    assertThat(path(adult(46, Activity.SOME), 64, 57, 5, Optional.empty()).get(1))
        .isEqualTo("DUE due again");
    assertThat(path(adult(46, Activity.SOME), 104, 2, 5, Optional.empty()).get(1))
        .isEqualTo("DUE 104, ask a doctor");
    assertThat(path(adult(46, Activity.SOME), 104, 2, 4, Optional.empty()).get(1))
        .isEqualTo("DUE 104, count again");
    assertThat(path(adult(46, Activity.SOME), 38, 2, 5, Optional.empty()).get(1))
        .isEqualTo("DUE 38, ask a doctor");
    assertThat(path(with(80, Activity.SOME, false, false, true), 90, 2, 5, Optional.empty()).get(3))
        .isEqualTo("BLOCKED reserve too small");
  }

  @Test
  void whatToWatchIsSaidTheWeightiestFirst() {
    assertThat(Context.of(with(70, Activity.NONE, true, false, true)))
        .containsExactly(
            Context.HEART_CONDITION,
            Context.RATE_LOWERING,
            Context.OVER_65,
            Context.NEW_TO_EXERCISE);
    assertThat(Context.of(with(45, Activity.SOME, true, true, false)))
        .containsExactly(Context.HEART_FAILURE);
    assertThat(Context.of(adult(45, Activity.SOME))).isEmpty();
  }
}
