package app.korvel.core.live;

import static app.korvel.core.live.Course.StepFor.BURST;
import static app.korvel.core.live.Course.StepFor.WARM_UP;
import static app.korvel.core.live.Course.StepFor.WORK;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.Course.Step;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Sex;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The worked recordings of the design, on 64 to 176. */
class CuesTest {
  private static final Reserve SPAN = new Reserve(64, 176);

  /** Stretches of from, to, bpm; 0 for none. */
  private static Trace trace(int[]... stretches) {
    int last = stretches[stretches.length - 1][1];
    int[] at = new int[last];
    int[] bpm = new int[last];
    for (int[] stretch : stretches) {
      for (int second = stretch[0]; second <= stretch[1]; second++) {
        at[second - 1] = second;
        bpm[second - 1] = stretch[2];
      }
    }
    return Trace.of(at, bpm);
  }

  private static int[] s(int from, int to, int bpm) {
    return new int[] {from, to, bpm};
  }

  private static Step step(int from, int low, int high, StepFor use) {
    return Step.of(from, Aim.byRate(low, high, Optional.empty(), Ladder.of(SPAN)), use);
  }

  private static Cues cues(Trace trace, int cap, Set<EffortContext> contexts, Step... steps) {
    return Cues.of(
        trace,
        Course.of(List.of(steps), RateSource.STRAP),
        new Mover(
            Optional.of(Ladder.of(SPAN)),
            false,
            contexts,
            IntensityGuide.RATE,
            cap == 0 ? OptionalInt.empty() : OptionalInt.of(cap),
            OptionalInt.empty()));
  }

  private static List<String> said(Cues cues) {
    return cues.given().stream()
        .map(each -> each.second() + " " + each.kind() + (each.overCap() ? " cap" : ""))
        .toList();
  }

  private static final Trace UP_AND_DOWN =
      trace(
          s(1, 60, 112),
          s(61, 130, 116),
          s(131, 190, 125),
          s(191, 230, 146),
          s(231, 260, 153),
          s(261, 300, 140),
          s(301, 320, 0),
          s(321, 370, 112));

  @Test
  void aSessionIsCuedSecondBySecond() {
    Cues cues = cues(UP_AND_DOWN, 150, Set.of(), step(1, 120, 142, WORK));
    assertThat(said(cues))
        .containsExactly(
            "91 PICK_UP",
            "142 HOLD",
            "202 EASE_OFF",
            "237 EASE_OFF cap",
            "257 EASE_OFF cap",
            "277 HOLD",
            "306 NO_SIGNAL",
            "352 PICK_UP");
    List<Tally> tallies =
        Tally.of(UP_AND_DOWN, Course.of(List.of(step(1, 120, 142, WORK)), RateSource.STRAP));
    assertThat(Tally.against(tallies)).isEqualTo(new Tally.Against(178, 105, 70));
    assertThat(tallies.get(0).noData()).isEqualTo(17);
  }

  @Test
  void aLighterStepHasTimeToComeDown() {
    Trace trace =
        trace(s(1, 20, 125), s(21, 100, 150), s(101, 160, 138), s(161, 260, 135), s(261, 330, 118));
    assertThat(said(cues(trace, 0, Set.of(), step(1, 120, 142, WORK), step(121, 100, 120, WORK))))
        .containsExactly("32 EASE_OFF", "92 EASE_OFF", "112 HOLD", "211 EASE_OFF", "272 HOLD");
  }

  @Test
  void tooLongOverTheCapStopsTheWorkAndNothingElseIsSaid() {
    Trace trace = trace(s(1, 30, 125), s(31, 45, 146), s(46, 130, 153), s(131, 160, 138));
    assertThat(said(cues(trace, 150, Set.of(), step(1, 120, 142, WORK))))
        .containsExactly(
            "42 EASE_OFF",
            "52 EASE_OFF cap",
            "72 EASE_OFF cap",
            "92 EASE_OFF cap",
            "107 STOP_WORK cap");
  }

  @Test
  void farOverTheCapStopsTheWorkAtOnceSoonerWithADefibrillator() {
    Trace trace = trace(s(1, 20, 125), s(21, 60, 156));
    assertThat(said(cues(trace, 150, Set.of(), step(1, 120, 160, WORK))))
        .containsExactly("27 EASE_OFF cap", "47 EASE_OFF cap");
    assertThat(said(cues(trace, 150, Set.of(EffortContext.DEFIBRILLATOR), step(1, 120, 160, WORK))))
        .containsExactly("27 STOP_WORK cap");
  }

  @Test
  void nobodyIsAskedToPickUpInAWarmUpOrABurst() {
    Trace trace = trace(s(1, 200, 90));
    for (StepFor use : new StepFor[] {WARM_UP, BURST}) {
      assertThat(said(cues(trace, 0, Set.of(), step(1, 120, 142, use)))).isEmpty();
    }
    assertThat(said(cues(trace, 0, Set.of(), step(1, 120, 142, WORK))))
        .containsExactly("91 PICK_UP", "151 PICK_UP");
  }

  @Test
  void aRateOverTheMaximumIsAskedAboutOnce() {
    Trace trace = trace(s(1, 60, 179), s(61, 70, 140), s(71, 120, 180));
    assertThat(said(cues(trace, 0, Set.of(), step(1, 120, 190, WORK)))).containsExactly("12 ASK");
  }

  @Test
  void aSessionsLoadComesFromItsSecondsAtEachRate() {
    int[] seconds = new int[241];
    Map.ofEntries(
            Map.entry(100, 300),
            Map.entry(108, 120),
            Map.entry(109, 240),
            Map.entry(120, 600),
            Map.entry(130, 180),
            Map.entry(131, 300),
            Map.entry(142, 240),
            Map.entry(147, 60),
            Map.entry(148, 120),
            Map.entry(164, 60),
            Map.entry(165, 30))
        .forEach((bpm, so) -> seconds[bpm] = so);
    assertThat(SessionLoad.secondsByLevel(seconds, Ladder.of(SPAN)))
        .containsExactly(420, 1020, 600, 180, 30);
    assertThat(SessionLoad.moderateEquivalentSeconds(seconds, SPAN)).isEqualTo(1020 + 2 * 810);
    assertThat(SessionLoad.reserveWeightedMinutes(seconds, SPAN, Sex.MALE)).hasToString("40.71");
    assertThat(SessionLoad.reserveWeightedMinutes(seconds, SPAN, Sex.FEMALE)).hasToString("46.87");
  }
}
