package app.korvel.core.live;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.Attention.Queued;
import app.korvel.core.live.Attention.What;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.outline.StepKind;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.StopSign;
import app.korvel.core.support.Recorded;
import app.korvel.core.trace.Samples;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;

/** Several at once, on 64 to 176: 20 min at 120 to 142, under a cap of 150. */
class RoomTest {
  private static final Instant START = Instant.parse("2026-05-20T09:00:00Z");
  private static final Reserve SPAN = new Reserve(64, 176);
  private static final OptionalInt NONE = OptionalInt.empty();

  private static int ids;

  private static UUID id() {
    return new UUID(7, ++ids);
  }

  private static Instant at(int seconds) {
    return START.plusSeconds(seconds);
  }

  private static PlanStep step(StepKind kind, int seconds, int low, int high) {
    return new PlanStep(
        kind,
        seconds,
        Optional.of(new Percents(low, high)),
        Optional.of(
            Aim.byRate(SPAN.rateAt(low), SPAN.rateAt(high), Optional.empty(), Ladder.of(SPAN))),
        kind == StepKind.WORK);
  }

  private static LivePlan plan(int cap, PlanStep... steps) {
    return new LivePlan(
        Mode.RUN,
        List.of(steps),
        new Mover(
            Optional.of(Ladder.of(SPAN)),
            false,
            Set.of(),
            IntensityGuide.RATE,
            cap == 0 ? NONE : OptionalInt.of(cap),
            NONE),
        false,
        Optional.empty(),
        Optional.empty());
  }

  private static final LivePlan WORK = plan(150, step(StepKind.WORK, 1200, 50, 70)).together();

  private static Samples samples(int seconds, IntUnaryOperator bpm) {
    return Recorded.samples(START, seconds, bpm);
  }

  private static LiveSession session(int seconds, IntUnaryOperator bpm, LiveEvent... events) {
    return session(WORK, seconds, samples(seconds, bpm), events);
  }

  private static LiveSession session(
      LivePlan plan, int seconds, Samples samples, LiveEvent... events) {
    List<LiveEvent> all = new ArrayList<>(List.of(events));
    all.add(new LiveEvent.Begun(id(), START));
    return LiveSession.of(plan, RateSource.STRAP, all, samples, at(seconds));
  }

  private static Attention of(LiveSession session) {
    return Attention.of(session, false).orElseThrow();
  }

  private static LiveEvent rated(int second) {
    return new LiveEvent.Rated(id(), at(second), OptionalInt.of(13), OptionalInt.of(3));
  }

  /** 12 s at 130, then a rate that stays. */
  private static LiveSession then(int bpm, int seconds, LiveEvent... events) {
    return session(seconds, n -> n <= 12 ? 130 : bpm, events);
  }

  @Test
  void whatSomebodyNeedsIsTheMostUrgentOfIt() {
    assertThat(of(then(130, 100)).what()).isEqualTo(What.HOLD);
    assertThat(of(then(100, 100)).what()).isEqualTo(What.PICK_UP);
    assertThat(of(then(130, 200)).what()).isEqualTo(What.RATING_DUE);
    assertThat(of(then(130, 200, rated(150))).what()).isEqualTo(What.HOLD);
    assertThat(of(then(147, 60)).what()).isEqualTo(What.EASE_OFF);
    assertThat(of(then(155, 40)).what()).isEqualTo(What.OVER_CAP);
    assertThat(of(then(155, 100)).what()).isEqualTo(What.STOP);
    assertThat(of(session(60, n -> n <= 40 ? 130 : 0)).what()).isEqualTo(What.NO_SIGNAL);
    assertThat(of(session(54, n -> n <= 40 ? 130 : 0)).what()).isNotEqualTo(What.NO_SIGNAL);
    assertThat(Attention.of(then(130, 100), true).orElseThrow().what()).isEqualTo(What.IN_DOUBT);
    assertThat(of(then(130, 100, new LiveEvent.Stopped(id(), at(90), StopSign.DIZZY))).what())
        .isEqualTo(What.STOP);
    // Somebody who only did not want to go on is done.
    assertThat(
            Attention.of(then(130, 100, new LiveEvent.Stopped(id(), at(90), StopSign.WISH)), false))
        .isEmpty();
  }

  @Test
  void overTheMaximumComesBeforeEasingOff() {
    LivePlan uncapped = plan(0, step(StepKind.WORK, 1200, 50, 70)).together();
    LiveSession over = session(uncapped, 100, samples(100, n -> n <= 30 ? 140 : 180));
    assertThat(of(over).what()).isEqualTo(What.OVER_MAXIMUM);
    // The median of five comes two seconds after the rate.
    assertThat(of(over).sinceSecond()).isEqualTo(33);
    LiveSession justUnder = session(uncapped, 100, samples(100, n -> n <= 30 ? 140 : 178));
    assertThat(of(justUnder).what()).isEqualTo(What.EASE_OFF);
  }

  @Test
  void theQueueIsInTheOrderOfTheRulesAndWithinOneTheLongestFirst() {
    Map<String, LiveSession> room = new LinkedHashMap<>();
    room.put("hold", then(130, 110));
    room.put("pick up", then(100, 110));
    room.put("ease off later", session(110, n -> n <= 60 ? 130 : 147));
    room.put("ease off", session(110, n -> n <= 20 ? 130 : 147));
    room.put("over cap", session(110, n -> n <= 70 ? 130 : 155));
    room.put("stop", then(155, 110));
    room.put("no signal", session(110, n -> n <= 90 ? 130 : 0));
    List<String> names = List.copyOf(room.keySet());
    List<Queued> queue = new ArrayList<>();
    for (int n = 0; n < names.size(); n++) {
      queue.add(new Queued(new UUID(0, n), of(room.get(names.get(n)))));
    }
    assertThat(Attention.inOrder(queue))
        .extracting(each -> names.get((int) each.session().getLeastSignificantBits()))
        .containsExactly(
            "stop", "over cap", "ease off", "ease off later", "no signal", "pick up", "hold");
  }

  @Test
  void whoIsSeenLeavesTheTopForAMinuteButNotTheFirstTwo() {
    LiveEvent seen = new LiveEvent.Seen(id(), at(100));
    assertThat(of(then(147, 159, seen)).seen()).isTrue();
    assertThat(of(then(147, 160, seen)).seen()).isFalse();
    assertThat(of(session(160, n -> n <= 120 ? 130 : 155, new LiveEvent.Seen(id(), at(158)))))
        .extracting(Attention::what, Attention::seen)
        .containsExactly(What.OVER_CAP, false);
    // What came up after it was marked was not seen.
    LiveEvent before = new LiveEvent.Seen(id(), at(90));
    assertThat(of(session(120, n -> n <= 95 ? 100 : 147, before)).seen()).isFalse();
    Queued away = new Queued(new UUID(0, 1), of(then(147, 110, seen)));
    Queued there = new Queued(new UUID(0, 2), of(then(100, 110)));
    Queued well = new Queued(new UUID(0, 3), of(then(130, 110)));
    assertThat(Attention.inOrder(List.of(well, away, there))).containsExactly(there, away, well);
  }

  @Test
  void anUnconfirmedStrapIsShownAndHasNoVoteUntilACountAgrees() {
    LiveEvent given = new LiveEvent.StrapGiven(id(), at(0), "4", true);
    LiveSession doubted = then(147, 100, given);
    assertThat(doubted.inDoubt()).isTrue();
    assertThat(of(doubted).what()).isEqualTo(What.IN_DOUBT);
    assertThat(doubted.findings()).extracting(Finding::code).contains("strap-unconfirmed");
    assertThat(doubted.cues().given())
        .noneMatch(cue -> cue.kind() == Cues.Kind.EASE_OFF || cue.kind() == Cues.Kind.PICK_UP);
    // 38 beats in 15 s are 152: five over 147. 39 are 156: nine over it.
    LiveEvent agrees = new LiveEvent.Counted(id(), at(60), 38, CountWindow.S15);
    LiveEvent not = new LiveEvent.Counted(id(), at(60), 39, CountWindow.S15);
    LiveEvent tooShort = new LiveEvent.Counted(id(), at(60), 25, CountWindow.S10);
    assertThat(then(147, 100, given, agrees).inDoubt()).isFalse();
    assertThat(then(147, 100, given, agrees).cues().given())
        .anyMatch(cue -> cue.kind() == Cues.Kind.EASE_OFF);
    assertThat(then(147, 100, given, not).inDoubt()).isTrue();
    assertThat(then(147, 100, given, tooShort).inDoubt()).isTrue();
    assertThat(then(147, 100, new LiveEvent.StrapGiven(id(), at(0), "4", false)).inDoubt())
        .isFalse();
    assertThat(then(147, 100, given, agrees, new LiveEvent.StrapDoubted(id(), at(80))).inDoubt())
        .isTrue();
  }

  @Test
  void theCapIsWatchedWhosesoeverStrapItIs() {
    LiveEvent given = new LiveEvent.StrapGiven(id(), at(0), "4", true);
    assertThat(then(155, 40, given).cues().given()).anyMatch(Cues.Given::overCap);
  }

  private static final UUID ANA = new UUID(0, 1);
  private static final UUID BO = new UUID(0, 2);
  private static final UUID CY = new UUID(0, 3);

  private static LiveEvent swap(UUID with, int said, int from) {
    return new LiveEvent.StrapsSwapped(id(), at(said), with, at(from));
  }

  private static List<UUID> worn(Straps straps, UUID session) {
    return straps.worn(session).stream().map(Straps.Worn::series).toList();
  }

  @Test
  void swappedStrapsExchangeTheirSeriesFromTheirMomentOn() {
    Straps straps =
        Straps.of(Map.of(ANA, List.of(swap(BO, 100, 40)), BO, List.of(swap(ANA, 100, 40))));
    assertThat(straps.worn(ANA))
        .containsExactly(
            new Straps.Worn(ANA, Instant.MIN, Optional.of(at(40))),
            new Straps.Worn(BO, at(40), Optional.empty()));
    assertThat(worn(straps, BO)).containsExactly(BO, ANA);
  }

  @Test
  void swapsFollowEachOtherAndAStrapThatIsGivenEndsThem() {
    Straps round =
        Straps.of(
            Map.of(
                ANA, List.of(swap(BO, 100, 40)),
                BO, List.of(swap(ANA, 100, 40), swap(CY, 200, 150)),
                CY, List.of(swap(BO, 200, 150))));
    assertThat(worn(round, ANA)).containsExactly(ANA, BO);
    assertThat(worn(round, BO)).containsExactly(BO, ANA, CY);
    assertThat(worn(round, CY)).containsExactly(CY, ANA);

    LiveEvent first = new LiveEvent.StrapGiven(id(), at(0), "one", false);
    LiveEvent second = new LiveEvent.StrapGiven(id(), at(0), "two", false);
    LiveEvent third = new LiveEvent.StrapGiven(id(), at(300), "three", false);
    Straps given =
        Straps.of(
            Map.of(
                ANA, List.of(first, swap(BO, 100, 40), third),
                BO, List.of(second, swap(ANA, 100, 40))));
    assertThat(given.strap(ANA)).contains("three");
    assertThat(given.strap(BO)).contains("one");
    assertThat(worn(given, ANA)).containsExactly(ANA, ANA, BO, ANA);
    // What was sent for Ana went to Bo until her new strap sent it.
    assertThat(given.worn(BO).get(given.worn(BO).size() - 1).to()).contains(at(300));
  }

  @Test
  void whatWasSaidBeforeASwapWasKnownStaysSaid() {
    LiveEvent known = swap(BO, 80, 20);
    Samples thought = samples(80, n -> n <= 20 ? 130 : 147);
    Samples own = samples(140, n -> 130);
    List<LiveEvent> events = List.of(known, new LiveEvent.Begun(id(), START));
    LiveSession session =
        LiveSession.of(
            WORK,
            RateSource.STRAP,
            events,
            new Recording(own, List.of(new Recording.Before(at(80), thought))),
            at(140));
    assertThat(session.cues().given()).extracting(Cues.Given::kind).contains(Cues.Kind.EASE_OFF);
    assertThat(session.cues().given()).allMatch(cue -> cue.second() <= 80);
    assertThat(session.tallies().get(0).histogram()[147]).isZero();
    assertThat(session.findings()).extracting(Finding::code).contains("peaks-set-aside");
    assertThat(LiveSummary.of(session).peak()).isEmpty();
  }

  private static List<SwapQuestion> asked(LiveSession one, LiveSession other) {
    Map<UUID, LiveSession> room = new LinkedHashMap<>();
    room.put(ANA, one);
    room.put(BO, other);
    return SwapQuestion.among(room);
  }

  @Test
  void itAsksWhereChangingThemBringsBothBackToTheirLastRates() {
    assertThat(
            asked(session(120, n -> n <= 80 ? 120 : 150), session(120, n -> n <= 80 ? 150 : 120)))
        .singleElement()
        .satisfies(each -> assertThat(each.from()).isBetween(at(78), at(88)));
    // Taken off and put on again: over a gap.
    assertThat(
            asked(
                session(120, n -> n <= 60 ? 120 : n <= 90 ? 0 : 148),
                session(120, n -> n <= 60 ? 150 : n <= 85 ? 0 : 122)))
        .hasSize(1);
  }

  @Test
  void itDoesNotAskOtherwise() {
    // One of them changed only.
    assertThat(asked(session(120, n -> n <= 80 ? 120 : 150), session(120, n -> 150))).isEmpty();
    // Fifteen off is not over fifteen.
    assertThat(
            asked(session(120, n -> n <= 80 ? 120 : 135), session(120, n -> n <= 80 ? 135 : 120)))
        .isEmpty();
    // Eleven from the other's last rate does not fit.
    assertThat(
            asked(session(120, n -> n <= 80 ? 120 : 161), session(120, n -> n <= 80 ? 150 : 120)))
        .isEmpty();
    // A rate that rises by itself is no jump.
    assertThat(
            asked(
                session(120, n -> Math.min(150, 120 + Math.max(0, n - 80))),
                session(120, n -> Math.max(120, 150 - Math.max(0, n - 80)))))
        .isEmpty();
    // It was answered.
    assertThat(
            asked(
                session(120, n -> n <= 80 ? 120 : 150, new LiveEvent.Seen(id(), at(100))),
                session(120, n -> n <= 80 ? 150 : 120)))
        .isEmpty();
  }

  @Test
  void nobodyIsAskedToPickUpWhileTheyRecover() {
    LiveEvent ended = new LiveEvent.EffortEnded(id(), at(100), RecoveryPosture.LYING);
    IntUnaryOperator falls = n -> n <= 100 ? 130 : Math.max(80, 130 - (n - 100));
    assertThat(session(200, falls).cues().given()).anyMatch(cue -> cue.kind() == Cues.Kind.PICK_UP);
    LiveSession recovering = session(200, falls, ended);
    assertThat(recovering.cues().given()).noneMatch(cue -> cue.kind() == Cues.Kind.PICK_UP);
    assertThat(recovering.recoveringSince()).isPresent();
    assertThat(recovering.prompts()).isEmpty();
    LiveRecovery set = LiveRecovery.of(recovering, Optional.empty()).get(0);
    assertThat(set.on()).isTrue();
    assertThat(set.recovery().orElseThrow().endBpm()).isEqualTo(130);
    // 60 s later the samples from 158 to 162 lie about 80.
    assertThat(set.recovery().orElseThrow().drop60()).hasValue(50);
    LiveSession next = session(200, falls, ended, new LiveEvent.EffortResumed(id(), at(150)));
    assertThat(next.recoveringSince()).isEmpty();
    LiveRecovery cut = LiveRecovery.of(next, Optional.empty()).get(0);
    assertThat(cut.on()).isFalse();
    assertThat(cut.recovery().orElseThrow().drop60()).isEmpty();
  }

  @Test
  void withoutAStrapARecoveryIsCountedAtOnceAfterOneMinuteAndAfterTwo() {
    List<LiveEvent> events =
        List.of(
            new LiveEvent.Begun(id(), START),
            new LiveEvent.EffortEnded(id(), at(100), RecoveryPosture.SEATED),
            new LiveEvent.Counted(id(), at(118), 36, CountWindow.S15),
            new LiveEvent.Counted(id(), at(179), 28, CountWindow.S15));
    LiveSession counted =
        LiveSession.of(WORK, RateSource.COUNT, events, Samples.none(START), at(300));
    assertThat(LiveRecovery.of(counted, Optional.empty()).get(0).recovery().orElseThrow())
        .satisfies(
            recovery -> {
              assertThat(recovery.endBpm()).isEqualTo(144);
              assertThat(recovery.drop60()).hasValue(32);
              assertThat(recovery.drop120()).isEmpty();
            });
  }

  private static final List<PlanStep> STEPS =
      List.of(
          step(StepKind.WARM_UP, 300, 20, 40),
          step(StepKind.WORK, 600, 50, 70),
          step(StepKind.COOL_DOWN, 300, 20, 40));

  @Test
  void aRoomHasOneClockWithTheStepNowAndNext() {
    LiveEvent begun = new LiveEvent.Begun(id(), START);
    List<PlanStep> steps = plan(0, STEPS.toArray(PlanStep[]::new)).together().steps();
    assertThat(RoomClock.of(steps, List.of(), at(5)).secondsLeft()).isEqualTo(1200);
    RoomClock running = RoomClock.of(steps, List.of(begun), at(310));
    assertThat(running.step().map(PlanStep::kind)).contains(StepKind.WORK);
    assertThat(running.next().map(PlanStep::kind)).contains(StepKind.COOL_DOWN);
    assertThat(running.secondsLeft()).isEqualTo(890);
    RoomClock paused =
        RoomClock.of(steps, List.of(begun, new LiveEvent.Paused(id(), at(310))), at(400));
    assertThat(paused.paused()).contains(at(310));
    assertThat(paused.secondsLeft()).isEqualTo(890);
    RoomClock own = RoomClock.of(List.of(), List.of(begun), at(310));
    assertThat(own.step()).isEmpty();
    assertThat(own.run()).isPresent();
  }

  @Test
  void whoJoinsLateWarmsUpInFullAndEndsWithTheRoom() {
    LivePlan plan = plan(0, STEPS.toArray(PlanStep[]::new)).together();
    assertThat(plan.joining(1000).steps())
        .extracting(PlanStep::seconds)
        .containsExactly(300, 400, 300);
    assertThat(plan.joining(1200).steps()).isEqualTo(plan.steps());
    // Too late for any work: warmed up and cooled down all the same.
    assertThat(plan.joining(500).steps())
        .extracting(PlanStep::kind)
        .containsExactly(StepKind.WARM_UP, StepKind.COOL_DOWN);
  }
}
