package app.korvel.core.live;

import static app.korvel.core.support.People.TODAY;
import static app.korvel.core.support.People.ZONE;
import static app.korvel.core.support.People.adult;
import static app.korvel.core.support.People.daysAgo;
import static app.korvel.core.support.People.screening;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Block;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.DeviceRecording.Builder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Recordings of someone of 45 with a resting rate of 64: maximum 177 on the default equation. */
class BroughtInTest {
  private static final Instant START = Instant.parse("2026-05-19T17:00:00Z");
  private static final int NONE = -1;
  private static final Function<String, UUID> IDS =
      what -> UUID.nameUUIDFromBytes(what.getBytes(StandardCharsets.UTF_8));

  private static ClientBaseline baseline(boolean counted) {
    RestingReading reading =
        RestingReading.counted(
            new UUID(1, 1),
            daysAgo(10),
            PulseCount.of(64, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    return ClientBaseline.of(
        screening(adult(45, Activity.REGULAR), true),
        counted ? WorkingResting.of(List.of(reading), TODAY, ZONE) : Optional.empty(),
        Mode.RUN,
        Optional.empty());
  }

  private static LivePlan plan(ClientBaseline baseline, int length, Outline... planned) {
    return LivePlan.elsewhere(
        Mode.RUN,
        length,
        List.of(planned).stream().findFirst(),
        ExertionLimits.of(baseline, RpeFamily.RATIO),
        baseline,
        false);
  }

  private static LivePlan plan(int length, Outline... planned) {
    return plan(baseline(true), length, planned);
  }

  private static Step step(StepKind kind, int seconds, Percents range) {
    return new Step(kind, seconds, Optional.of(range), false);
  }

  private static Block once(Step step) {
    return new Block(1, false, List.of(step));
  }

  /** Warm-up of 5 min, work of 20 min at 50 to 60 %, cool-down of 4 min. */
  private static final Outline PLANNED =
      new Outline(
          List.of(
              once(step(StepKind.WARM_UP, 300, new Percents(20, 40))),
              once(step(StepKind.WORK, 1200, new Percents(50, 60))),
              once(step(StepKind.COOL_DOWN, 240, new Percents(20, 40)))),
          Optional.empty());

  private static DeviceRecording recording(int seconds, IntUnaryOperator bpm) {
    Builder builder = new Builder();
    for (int n = 0; n < seconds; n++) {
      builder.add(START.plusSeconds(n), bpm.applyAsInt(n), NONE, () -> "point");
    }
    return builder.build();
  }

  private static LiveSession session(DeviceRecording recording, LivePlan plan) {
    return BroughtIn.session(recording, plan, RateSource.STRAP, IDS);
  }

  @Test
  void whatWasNotPlannedIsWorkFromItsFirstSecondToItsLast() {
    LivePlan plan = plan(1500);
    assertThat(plan.steps())
        .extracting(PlanStep::kind, PlanStep::seconds, PlanStep::range, PlanStep::aim)
        .containsExactly(tuple(StepKind.WORK, 1500, Optional.empty(), Optional.empty()));
    assertThat(plan.mover().reserve()).contains(Reserve.of(64, 177));
    assertThat(plan.basis().orElseThrow().maximumMethod()).isEqualTo("tanaka-208");
    assertThat(plan.light()).isFalse();
  }

  @Test
  void ofAPlannedOneTheWarmUpIsTakenFirstAndTheCoolDownLast() {
    LivePlan plan = plan(1740, PLANNED);
    assertThat(plan.steps())
        .extracting(PlanStep::kind, PlanStep::seconds)
        .containsExactly(
            tuple(StepKind.WARM_UP, 300),
            tuple(StepKind.WORK, 1200),
            tuple(StepKind.COOL_DOWN, 240));
    assertThat(plan.steps().get(1).range()).contains(new Percents(50, 60));
    // Nobody was told a rate while it was made: of what lies around the work none is asked for.
    assertThat(plan.steps().get(0).aim()).isEmpty();
    assertThat(plan.steps()).noneMatch(PlanStep::waits);
  }

  @Test
  void oneThatIsNoLongerThanWarmUpAndCoolDownHasNeither() {
    assertThat(plan(540, PLANNED).steps()).extracting(PlanStep::kind).containsOnly(StepKind.WORK);
    assertThat(plan(541, PLANNED).steps()).hasSize(3);
  }

  @Test
  void aWarmUpIsTakenOnceHoweverManyStepsItHas() {
    Outline two =
        new Outline(
            List.of(
                once(step(StepKind.WARM_UP, 180, new Percents(20, 40))),
                once(new Step(StepKind.MOBILITY, 120, Optional.empty(), false)),
                new Block(
                    3,
                    false,
                    List.of(
                        step(StepKind.WORK, 120, new Percents(60, 70)),
                        step(StepKind.EASY, 60, new Percents(30, 40)))),
                once(step(StepKind.COOL_DOWN, 300, new Percents(20, 40)))),
            Optional.empty());
    assertThat(plan(1200, two).steps())
        .extracting(PlanStep::kind, PlanStep::seconds)
        .containsExactly(
            tuple(StepKind.WARM_UP, 300),
            tuple(StepKind.WORK, 540),
            tuple(StepKind.COOL_DOWN, 300));
  }

  @Test
  void withoutARestingRateItHasNoSpanAndIsKeptAllTheSame() {
    LivePlan plan = plan(baseline(false), 900);
    assertThat(plan.mover().reserve()).isEmpty();
    assertThat(plan.basis()).isEmpty();
    RecordedSession recorded = RecordedSession.of(session(recording(900, n -> 120), plan));
    assertThat(recorded.reserve()).isEmpty();
    assertThat(recorded.seconds()).isEqualTo(900);
  }

  @ParameterizedTest
  @CsvSource({"1740, 0", "1800, 60", "1500, -240", "5340, 3600", "9000, 7260", "900, -840"})
  void itsWorkIsAsLongAsWhatLiesBetween(int length, int longer) {
    LivePlan plan = plan(length, PLANNED);
    List<LiveEvent> events = BroughtIn.events(recording(length, n -> 120), plan, IDS);
    assertThat(events.get(0)).isEqualTo(new LiveEvent.Begun(IDS.apply("begun"), START));
    assertThat(events.get(events.size() - 1))
        .isEqualTo(
            new LiveEvent.Ended(
                IDS.apply("ended"), START.plusSeconds(length), LiveEvent.Reason.PLANNED));
    List<Integer> parts =
        events.stream()
            .filter(LiveEvent.Lengthened.class::isInstance)
            .map(each -> ((LiveEvent.Lengthened) each).seconds())
            .toList();
    assertThat(parts.stream().mapToInt(Integer::intValue).sum()).isEqualTo(longer);
    assertThat(parts).allMatch(part -> Math.abs(part) <= 3600);
    assertThat(events).extracting(LiveEvent::id).doesNotHaveDuplicates();
  }

  @ParameterizedTest
  @CsvSource({"1740, 1200", "1800, 1260", "1500, 960", "900, 360", "9000, 8460"})
  void whatWasDoneIsAsLongAsTheRecordingAndItsWorkIsWhatIsLeft(int length, int work) {
    LiveSession session = session(recording(length, n -> 125), plan(length, PLANNED));
    assertThat(session.phase()).isEqualTo(Phase.ENDED);
    RecordedSession recorded = RecordedSession.of(session);
    assertThat(recorded.seconds()).isEqualTo(length);
    assertThat(LiveSummary.of(session).workSeconds()).isEqualTo(work);
  }

  @Test
  void readTwiceItIsTheSame() {
    DeviceRecording recording = recording(1300, n -> 110 + n / 60);
    LivePlan plan = plan(1300, PLANNED);
    assertThat(BroughtIn.events(recording, plan, IDS))
        .isEqualTo(BroughtIn.events(recording, plan, IDS));
    assertThat(RecordedSession.of(session(recording, plan)))
        .isEqualTo(RecordedSession.of(session(recording, plan)));
  }

  @Test
  void whatIsKeptOfItIsTheSecondsAtEachRate() {
    LiveSession session = session(recording(1000, n -> n < 400 ? 110 : 124), plan(1000));
    RecordedSession recorded = RecordedSession.of(session);
    int[] byBpm = recorded.byBpm();
    // The smoothed rate takes a few seconds from one to the other.
    assertThat(byBpm[110]).isBetween(395, 400);
    assertThat(byBpm[124]).isBetween(595, 600);
    assertThat(recorded.histogram()).hasSize(125 - 20);
    // Of the first two seconds too little is known to smooth anything.
    assertThat(recorded.noDataSeconds()).isEqualTo(2);
    assertThat(recorded.mode()).isEqualTo(Mode.RUN);
    assertThat(recorded.reserve()).contains(Reserve.of(64, 177));
    assertThat(recorded.falls()).as("nobody saw an effort end").isEmpty();
  }

  @Test
  void secondsWithoutContactAreCountedAndAtNoRate() {
    LiveSession session = session(recording(600, n -> n >= 200 && n < 300 ? 0 : 120), plan(600));
    RecordedSession recorded = RecordedSession.of(session);
    assertThat(recorded.seconds()).isEqualTo(600);
    // A rate holds for five seconds after its last sample.
    assertThat(recorded.noDataSeconds()).isBetween(90, 100);
    int known = recorded.histogram().stream().mapToInt(Integer::intValue).sum();
    assertThat(known + recorded.noDataSeconds()).isEqualTo(600);
  }

  @Test
  void ofSeveralRecordingsTheOneWithAllItsPointsComesFirstThenTheStrap() {
    Recording.Strength strap = new Recording.Strength(false, RateSource.STRAP);
    Recording.Strength wrist = new Recording.Strength(false, RateSource.WRIST);
    Recording.Strength sparseStrap = new Recording.Strength(true, RateSource.STRAP);
    Recording.Strength sparseWrist = new Recording.Strength(true, RateSource.WRIST);
    assertThat(List.of(sparseWrist, wrist, sparseStrap, strap).stream().sorted())
        .containsExactly(strap, wrist, sparseStrap, sparseWrist);
    assertThat(strap).isEqualByComparingTo(new Recording.Strength(false, RateSource.STRAP));
  }
}
