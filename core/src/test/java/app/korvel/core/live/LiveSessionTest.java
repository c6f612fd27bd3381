package app.korvel.core.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.live.LiveSession.PromptDue;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.Outline.BandGoal;
import app.korvel.core.outline.StepKind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.StopSign;
import app.korvel.core.support.Recorded;
import app.korvel.core.trace.Samples;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;

/** A session on 64 to 176: 5 min warm-up, 10 min at 120 to 142, 5 min cool-down. */
class LiveSessionTest {
  private static final Instant START = Instant.parse("2026-05-20T09:00:00Z");
  private static final Reserve SPAN = new Reserve(64, 176);
  private static final OptionalInt NONE = OptionalInt.empty();
  private static final LiveEvent BEGUN = new LiveEvent.Begun(id(1), START);

  private static UUID id(int n) {
    return new UUID(1, n);
  }

  private static Instant at(int seconds) {
    return START.plusSeconds(seconds);
  }

  private static PlanStep step(StepKind kind, int seconds, int low, int high, boolean waits) {
    return new PlanStep(
        kind,
        seconds,
        Optional.of(new Percents(low, high)),
        Optional.of(
            Aim.byRate(SPAN.rateAt(low), SPAN.rateAt(high), Optional.empty(), Ladder.of(SPAN))),
        waits);
  }

  private static LivePlan plan(boolean waits, Optional<BandGoal> goal, int cap) {
    return new LivePlan(
        Mode.RUN,
        List.of(
            step(StepKind.WARM_UP, 300, 20, 40, false),
            step(StepKind.WORK, 600, 50, 70, waits),
            step(StepKind.COOL_DOWN, 300, 20, 40, false)),
        new Mover(
            Optional.of(Ladder.of(SPAN)),
            false,
            Set.of(),
            IntensityGuide.RATE,
            cap == 0 ? NONE : OptionalInt.of(cap),
            NONE),
        false,
        goal,
        Optional.empty());
  }

  private static final LivePlan PLAN = plan(false, Optional.empty(), 0);

  private static Samples samples(int seconds, IntUnaryOperator bpm) {
    return Recorded.samples(START, seconds, bpm);
  }

  private static LiveSession at(int seconds, Samples samples, LiveEvent... events) {
    return at(PLAN, seconds, samples, events);
  }

  private static LiveSession at(LivePlan plan, int seconds, Samples samples, LiveEvent... events) {
    List<LiveEvent> all = new ArrayList<>(List.of(events));
    all.add(BEGUN);
    return LiveSession.of(plan, RateSource.STRAP, all, samples, at(seconds));
  }

  private static List<String> said(LiveSession session) {
    return session.cues().given().stream().map(each -> each.second() + " " + each.kind()).toList();
  }

  @Test
  void itIsReadyUntilItBegins() {
    LiveSession ready =
        LiveSession.of(PLAN, RateSource.STRAP, List.of(), samples(20, n -> 80), at(30));
    assertThat(ready.phase()).isEqualTo(Phase.READY);
    assertThat(ready.trace().seconds()).isZero();
  }

  @Test
  void itsStepsFollowAndWhatWasDoneIsCounted() {
    LiveSession session = at(1300, samples(1300, n -> n <= 300 ? 100 : n <= 900 ? 130 : 95));
    assertThat(session.phase()).isEqualTo(Phase.COMPLETE);
    assertThat(said(session)).isEmpty();
    LiveSummary summary = LiveSummary.of(session);
    assertThat(summary.workSeconds()).isEqualTo(600);
    // The smoothed rate takes two seconds to follow.
    assertThat(summary.inSeconds()).isEqualTo(598);
    assertThat(summary.belowSeconds()).isEqualTo(2);
    assertThat(summary.averageBpm()).hasValue(130);
    assertThat(summary.done()).isTrue();
    assertThat(summary.minutes()).isEqualTo(20);
    assertThat(summary.workMinutes()).isEqualTo(10);
    assertThat(summary.cooledDown()).isTrue();
  }

  @Test
  void aRatingOverTheTargetEasesOffAndHoldsBack() {
    // Two levels over the target of Talk and Phrases: Silent.
    LiveSession silent =
        at(
            460,
            samples(460, n -> n <= 300 ? 100 : 130),
            new LiveEvent.Rated(id(2), at(450), NONE, OptionalInt.of(5)));
    assertThat(said(silent)).containsExactly("450 EASE_OFF");
    // The voice one level over, rate and RPE below: nobody is pushed, whatever they say.
    LiveSession held =
        at(
            440,
            samples(440, n -> 100),
            new LiveEvent.Rated(id(2), at(380), OptionalInt.of(11), OptionalInt.of(4)));
    assertThat(said(held)).isEmpty();
    assertThat(said(at(440, samples(440, n -> 100)))).containsExactly("391 PICK_UP");
  }

  @Test
  void aRatingLapsesWithTimeWithTheStepAndWithTheRate() {
    LiveEvent rated = new LiveEvent.Rated(id(2), at(400), OptionalInt.of(13), NONE);
    Samples even = samples(1000, n -> 130);
    assertThat(at(699, even, rated).cues().standing().rpe20()).hasValue(13);
    assertThat(at(700, even, rated).cues().standing().rpe20()).isEmpty();
    LiveEvent late = new LiveEvent.Rated(id(2), at(890), OptionalInt.of(13), NONE);
    assertThat(at(900, even, late).cues().standing().rpe20()).hasValue(13);
    assertThat(at(901, even, late).cues().standing().rpe20()).isEmpty();
    Samples falls = samples(1000, n -> n <= 450 ? 130 : 120);
    assertThat(at(452, falls, rated).cues().standing().rpe20()).hasValue(13);
    assertThat(at(453, falls, rated).cues().standing().rpe20()).isEmpty();
    // Over the target it stays two minutes, whatever the rate does.
    LiveEvent over = new LiveEvent.Rated(id(2), at(400), OptionalInt.of(17), NONE);
    assertThat(at(519, falls, over).cues().standing().rpe20()).hasValue(17);
    assertThat(at(520, falls, over).cues().standing().rpe20()).isEmpty();
  }

  @Test
  void aPauseCountsInNothingAndLetsWaitingTimesBeginAnew() {
    LiveEvent pause = new LiveEvent.Paused(id(2), at(400));
    LiveEvent on = new LiveEvent.Resumed(id(3), at(470));
    LiveSession session = at(700, samples(700, n -> 100), pause, on);
    // 391 before the pause; 90 s after it again.
    assertThat(said(session))
        .containsExactly("391 PICK_UP", "561 PICK_UP", "621 PICK_UP", "681 PICK_UP");
    Tally work = session.tallies().get(1);
    assertThat(work.paused()).isEqualTo(70);
    assertThat(work.seconds()).isEqualTo(330);
    LiveEvent soon = new LiveEvent.Resumed(id(3), at(430));
    assertThat(said(at(500, samples(500, n -> 100), pause, soon)))
        .containsExactly("391 PICK_UP", "451 PICK_UP");
  }

  @Test
  void afterALongPauseTheWarmUpComesFirstAndSaysWhy() {
    LiveEvent pause = new LiveEvent.Paused(id(2), at(400));
    LiveEvent on = new LiveEvent.Resumed(id(3), at(1000));
    LiveSession session = at(1010, samples(1010, n -> 100), pause, on);
    assertThat(session.step().orElseThrow().kind()).isEqualTo(StepKind.WARM_UP);
    assertThat(session.findings()).containsExactly(LiveFinding.WARM_UP_AGAIN.of());
    // Then what was left of the work.
    assertThat(at(1310, samples(1310, n -> 100), pause, on).findings()).isEmpty();
  }

  @Test
  void theCapHoldsInAPauseAndAfterItOnlyTheInstructorLetsTheWorkGoOn() {
    LivePlan capped = plan(false, Optional.empty(), 130);
    Samples high = samples(900, n -> n <= 310 ? 100 : n <= 420 ? 134 : 125);
    LiveEvent pause = new LiveEvent.Paused(id(2), at(312));
    assertThat(said(at(capped, 330, high, pause))).contains("317 EASE_OFF");
    LiveSession stopped = at(capped, 500, high);
    assertThat(said(stopped)).endsWith("372 STOP_WORK");
    assertThat(stopped.cues().standing().stopped()).isTrue();
    LiveEvent resumed = new LiveEvent.WorkResumed(id(3), at(430));
    LiveSession goesOn = at(capped, 500, high, resumed);
    assertThat(goesOn.cues().standing().stopped()).isFalse();
    assertThat(said(goesOn)).containsAll(said(stopped)).contains("430 HOLD");
  }

  @Test
  void aStepThatWaitsBeginsTenSecondsAfterTheTargetIsReached() {
    LivePlan waits = plan(true, Optional.empty(), 0);
    Samples rises = samples(900, n -> n <= 360 ? 100 : 125);
    assertThat(at(waits, 370, rises).run().orElseThrow().current().orElseThrow().clockFrom())
        .isEmpty();
    // 361 is the first of 125; smoothed from 363 on; ten seconds later it has been there.
    assertThat(at(waits, 380, rises).run().orElseThrow().current().orElseThrow().clockFrom())
        .contains(at(372));
    LiveSession never = at(waits, 800, samples(800, n -> 100));
    assertThat(never.run().orElseThrow().current().orElseThrow().clockFrom()).contains(at(540));
    // While it waits they are told to pick up; once it has begun by itself, no more.
    assertThat(said(never)).containsExactly("391 PICK_UP", "451 PICK_UP", "511 PICK_UP");
  }

  @Test
  void aGoalOfTimeInAZoneCountsThatZoneOnlyAndNothingOverACap() {
    Optional<BandGoal> goal = Optional.of(new BandGoal(Level.PHRASES, 5));
    // Phrases is 131 to 147: 100 s of it, 100 s over it, the rest under it.
    Samples rates = samples(600, n -> n <= 400 ? 125 : n <= 500 ? 135 : 150);
    assertThat(at(plan(false, goal, 0), 600, rates).goalSecondsLeft()).hasValue(200);
    assertThat(at(plan(false, goal, 133), 600, rates).goalSecondsLeft()).hasValue(300);
    assertThat(at(600, rates).goalSecondsLeft()).isEmpty();
  }

  @Test
  void withoutASensorCountsAreAskedForAndLead() {
    LiveEvent byHand = new LiveEvent.SourceChanged(id(2), at(0), RateSource.COUNT);
    Samples nothing = Samples.none(START);
    assertThat(at(470, nothing, byHand).prompts())
        .extracting(PromptDue::what)
        .containsExactly(LivePrompt.RPE, LivePrompt.VOICE);
    assertThat(at(480, nothing, byHand).prompts())
        .extracting(PromptDue::what)
        .containsExactly(LivePrompt.COUNT, LivePrompt.RPE, LivePrompt.VOICE);
    // 38 in 15 s is 152, over the target: ease off at once.
    LiveEvent counted = new LiveEvent.Counted(id(3), at(490), 38, CountWindow.S15);
    LiveSession session = at(491, nothing, byHand, counted);
    assertThat(said(session)).containsExactly("490 EASE_OFF");
    assertThat(session.prompts())
        .extracting(PromptDue::what)
        .containsExactly(LivePrompt.RPE, LivePrompt.VOICE);
    // 24 is 96, under it; a count alone may ask for more where its weight is enough.
    LiveEvent low = new LiveEvent.Counted(id(3), at(490), 24, CountWindow.S15);
    assertThat(said(at(491, nothing, byHand, low))).containsExactly("490 PICK_UP");
  }

  @Test
  void aLostSignalIsCountedByHandAfterAMinute() {
    Samples lost = samples(400, n -> n <= 300 ? 100 : 130);
    assertThat(at(464, lost).goByHand()).isFalse();
    LiveSession session = at(465, lost);
    assertThat(session.goByHand()).isTrue();
    assertThat(session.findings()).containsExactly(LiveFinding.GO_BY_HAND.of());
    assertThat(said(session)).containsExactly("406 NO_SIGNAL");
  }

  @Test
  void whatIsUndoneHasNotBeen() {
    LiveEvent stop = new LiveEvent.Stopped(id(2), at(400), StopSign.DIZZY);
    LiveSession stopped = at(500, samples(500, n -> 130), stop);
    assertThat(stopped.phase()).isEqualTo(Phase.ENDED);
    assertThat(stopped.stopSign()).contains(StopSign.DIZZY);
    assertThat(stopped.trace().seconds()).isEqualTo(400);
    LiveSession goesOn =
        at(500, samples(500, n -> 130), stop, new LiveEvent.Withdrawn(id(3), at(410), id(2)));
    assertThat(goesOn.phase()).isEqualTo(Phase.RUNNING);
    assertThat(goesOn.trace().seconds()).isEqualTo(500);
    assertThat(goesOn.stopSign()).isEmpty();
  }

  @Test
  void samplesThatComeLateMakeTheSessionTheyWouldHaveMade() {
    Samples all = samples(900, n -> 120 + n % 7);
    Samples first = samples(300, n -> 120 + n % 7);
    int[] lateAt = new int[600];
    int[] lateBpm = new int[600];
    System.arraycopy(all.at(), 300, lateAt, 0, 600);
    System.arraycopy(all.bpm(), 300, lateBpm, 0, 600);
    LiveSession late = at(900, first.with(lateAt, lateBpm));
    assertThat(late.cues()).isEqualTo(at(900, all).cues());
    assertThat(late.tallies()).isEqualTo(at(900, all).tallies());
  }

  @Test
  void theFallOfAMinuteIsCaughtWhereTheRecordingGoesOn() {
    Samples falls = samples(980, n -> n <= 900 ? 140 : Math.max(90, 140 - (n - 900) / 2));
    assertThat(LiveSummary.of(at(980, falls)).drop()).contains(new LiveSummary.Drop(140, 110));
    assertThat(LiveSummary.of(at(959, falls)).drop()).isEmpty();
  }

  @Test
  void theLoadIsTheRatingOfTheWholeTimesItsMinutes() {
    assertThat(
            List.of(6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20).stream()
                .map(SessionLoad::ratio)
                .toList())
        .containsExactly(0, 0, 1, 1, 2, 2, 3, 4, 5, 6, 7, 8, 9, 10, 10);
    assertThat(SessionLoad.byRating(13, 45)).isEqualTo(180);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new LiveEvent.Rated(id(2), START, OptionalInt.of(5), NONE))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> new LiveEvent.Rated(id(2), START, NONE, OptionalInt.of(6)))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> new LiveEvent.Rated(id(2), START, NONE, NONE))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> new LiveEvent.ReadOff(id(2), START, 255))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> new LiveEvent.Lengthened(id(2), START, 1, 0))
        .isInstanceOf(InvalidValueException.class);
  }
}
