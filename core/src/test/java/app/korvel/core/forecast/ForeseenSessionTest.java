package app.korvel.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession;
import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.StepKind;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.support.Recorded;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Uncertainty;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/**
 * A session of 5, 10 and 5 min on 64 to 176 bpm, recorded from a heart whose constants are known.
 */
class ForeseenSessionTest {
  private static final Instant START = Instant.parse("2030-05-20T09:00:00Z");
  private static final Reserve SPAN = Reserve.of(64, 176);
  private static final OptionalInt NONE = OptionalInt.empty();
  private static final Kinetics OWN =
      new Kinetics(new Kinetics.TimeConstant(44, 5), new Kinetics.TimeConstant(62, 4));

  private static PlanStep step(StepKind kind, int seconds, int low, int high) {
    return new PlanStep(
        kind,
        seconds,
        Optional.of(new Percents(low, high)),
        Optional.of(
            Aim.byRate(SPAN.rateAt(low), SPAN.rateAt(high), Optional.empty(), Ladder.of(SPAN))),
        false);
  }

  private static LivePlan plan(Optional<Ladder> ladder) {
    return new LivePlan(
        Mode.RUN,
        List.of(
            step(StepKind.WARM_UP, 300, 20, 40),
            step(StepKind.WORK, 600, 50, 70),
            step(StepKind.COOL_DOWN, 300, 20, 40)),
        new Mover(ladder, false, Set.of(), IntensityGuide.RATE, NONE, NONE),
        false,
        Optional.empty(),
        ladder.map(each -> new LivePlan.Basis(Uncertainty.USUAL, "tanaka-208")));
  }

  private static final LivePlan PLAN = plan(Optional.of(Ladder.of(SPAN)));

  private static UUID id(int n) {
    return new UUID(1, n);
  }

  /** By the second, from 1 on: 30, 60, 30 % of reserve, and so many bpm more in the work. */
  private static int[] heart(int over) {
    HeartModel heart = HeartModel.of(SPAN, OWN);
    double now = SPAN.restingBpm();
    int[] bpm = new int[1201];
    for (int second = 1; second <= 1200; second++) {
      boolean work = second > 300 && second <= 900;
      double settles = heart.settles(work ? 0.6 : 0.3, 0) + (work ? over : 0);
      now = heart.after(now, settles);
      bpm[second] = (int) Math.floor(now + 0.5);
    }
    return bpm;
  }

  private static LiveSession session(int seconds, int[] bpm, LiveEvent... events) {
    List<LiveEvent> all = new ArrayList<>(List.of(events));
    all.add(new LiveEvent.Begun(id(1), START));
    return LiveSession.of(
        PLAN,
        RateSource.STRAP,
        all,
        Recorded.samples(START, Math.min(seconds, bpm.length - 1), n -> bpm[n]),
        START.plusSeconds(seconds));
  }

  @Test
  void whatTheHeartDidIsFoundInItsRecording() {
    ForeseenSession told =
        ForeseenSession.of(session(1200, heart(0)), Kinetics.usual(false)).orElseThrow();
    // Both rises, and the fall after the work.
    assertThat(told.rises()).hasSize(2).allSatisfy(each -> assertThat(each).isBetween(43, 45));
    assertThat(told.falls()).singleElement().satisfies(each -> assertThat(each).isBetween(61, 63));
    assertThat(told.upSeconds()).isEqualTo(50);
    assertThat(told.settledOffBpm()).hasValue(0);
  }

  @Test
  void withItsOwnConstantsASessionIsForeseenToTheBeat() {
    ForeseenSession told = ForeseenSession.of(session(1200, heart(0)), OWN).orElseThrow();
    assertThat(told.meanOffBpm()).hasValue(0);
    // The smoothed rate is two seconds late, which shows where a rate has just been given.
    assertThat(told.within()).isGreaterThanOrEqualTo(98);
  }

  @Test
  void workThatSettledHigherIsToldBySoMuch() {
    LiveSession hard = session(1200, heart(12));
    ForecastReview review = ForecastReview.of(hard, OWN).orElseThrow();
    assertThat(review.settledOffBpm()).hasValue(12);
    assertThat(review.steps())
        .extracting(ForecastReview.StepReview::kind)
        .containsExactly(StepKind.WARM_UP, StepKind.WORK, StepKind.COOL_DOWN);
    ForecastReview.StepReview work = review.steps().get(1);
    assertThat(work.fromSecond()).isEqualTo(301);
    assertThat(work.toSecond()).isEqualTo(900);
    // 64 + 0.6 × 112 = 131.2.
    assertThat(work.foreseenBpm()).isEqualTo(131);
    assertThat(work.offBpm()).hasValue(12);
  }

  @Test
  void beforeItBeginsThePlanIsForeseen() {
    LiveSession ready =
        LiveSession.of(
            PLAN, RateSource.STRAP, List.of(), Recorded.samples(START, 5, n -> 80), START);
    Forecast forecast = SessionForecast.of(ready, OWN).orElseThrow();
    assertThat(forecast.seconds()).isEqualTo(1200);
    assertThat(forecast.at(900)).isCloseTo(131.2, within(0.1));
  }

  @Test
  void stepsThatEndEarlyShiftWhatFollows() {
    LiveSession skipped =
        session(360, heart(0), new LiveEvent.StepEnded(id(2), START.plusSeconds(200), 1));
    Forecast forecast = SessionForecast.of(skipped, OWN).orElseThrow();
    // 200 s of warm-up, then the work and the cool-down in full.
    assertThat(forecast.seconds()).isEqualTo(200 + 600 + 300);
    assertThat(forecast.at(360)).isGreaterThan(120);
  }

  @Test
  void inAPauseTheyStandAndNothingIsHeldAgainstIt() {
    LiveSession paused =
        session(
            1200,
            heart(0),
            new LiveEvent.Paused(id(2), START.plusSeconds(600)),
            new LiveEvent.Resumed(id(3), START.plusSeconds(720)));
    Forecast forecast = SessionForecast.of(paused, OWN).orElseThrow();
    // 64 + 0.12 × 112 = 77.4: from 131 two minutes bring it to 85.
    assertThat(forecast.at(720)).isCloseTo(77.44 + 53.7 * Math.exp(-120 / 62.0), within(0.5));
    assertThat(forecast.seconds()).isEqualTo(1320);
    ForecastReview review = ForecastReview.of(paused, OWN).orElseThrow();
    assertThat(review.meanOffBpm().getAsInt()).isLessThan(8);
  }

  @Test
  void whereNoRateLeadsNothingIsForeseen() {
    LiveSession byTalk =
        LiveSession.of(
            plan(Optional.empty()),
            RateSource.STRAP,
            List.of(new LiveEvent.Begun(id(1), START)),
            Recorded.samples(START, 60, n -> 90),
            START.plusSeconds(60));
    assertThat(SessionForecast.of(byTalk, OWN)).isEmpty();
    assertThat(ForecastReview.of(byTalk, OWN)).isEmpty();
  }

  @Test
  void overHalfADayNothingIsForeseen() {
    LivePlan halfADay =
        new LivePlan(
            Mode.RUN,
            Collections.nCopies(5, step(StepKind.WORK, 10_800, 40, 50)),
            PLAN.mover(),
            false,
            Optional.empty(),
            PLAN.basis());
    LiveSession ready =
        LiveSession.of(
            halfADay, RateSource.STRAP, List.of(), Recorded.samples(START, 0, n -> 0), START);
    assertThat(SessionForecast.of(ready, OWN)).isEmpty();
  }

  @Test
  void countsByHandTellNoConstants() {
    LiveSession counted =
        LiveSession.of(
            PLAN,
            RateSource.COUNT,
            List.of(new LiveEvent.Begun(id(1), START)),
            Recorded.samples(START, 0, n -> 0),
            START.plusSeconds(1200));
    assertThat(ForeseenSession.of(counted, OWN)).isEmpty();
  }

  @Test
  void aRecordingThatStopsHoldsItsSessionOnlySoFar() {
    ForeseenSession told =
        ForeseenSession.of(session(1200, Arrays.copyOf(heart(0), 331)), OWN).orElseThrow();
    assertThat(told.rises()).as("the second rise is not whole").hasSize(1);
    assertThat(told.settledOffBpm()).isEmpty();
    assertThat(told.meanOffBpm().getAsInt()).isLessThanOrEqualTo(1);
  }
}
