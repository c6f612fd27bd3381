package app.korvel.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.korvel.core.forecast.Forecast.Coming;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.screening.Cap;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sessions of somebody of 64 to 176 bpm, worked out by hand beside each case. */
class ForecastTest {
  private static final Reserve SPAN = Reserve.of(64, 176);
  private static final Kinetics TRAINED = Kinetics.usual(true);
  private static final Kinetics ANYBODY = Kinetics.usual(false);

  private static ForecastStep work(int seconds, double percent) {
    return ForecastStep.work(seconds, BigDecimal.valueOf(percent), SPAN);
  }

  private static Forecast forecast(Kinetics kinetics, ForecastStep... steps) {
    return Forecast.of(SPAN, Uncertainty.USUAL, kinetics, List.of(steps), OptionalDouble.empty());
  }

  private static Forecast shipped(String id, Kinetics kinetics, Optional<Cap> cap) {
    ExertionLimits anyone = ExertionLimits.anyone(Optional.of(SPAN), RpeFamily.RATIO);
    ExertionLimits runner =
        new ExertionLimits(
            Optional.of(SPAN), cap, anyone.highestEffort(), anyone.family(), anyone.bounds());
    return Forecast.of(
        SPAN,
        Uncertainty.USUAL,
        kinetics,
        ForecastStep.of(
            Outlines.SHIPPED.stream()
                .filter(named -> named.id().equals(id))
                .findFirst()
                .orElseThrow()
                .outline(),
            SPAN,
            runner),
        OptionalDouble.empty());
  }

  @Test
  void twoMinutesAtHalfOfReserve() {
    int[] bpm = forecast(TRAINED, work(120, 50)).bpm();
    assertThat(bpm).hasSize(120);
    // 120 − 56 · e^(−120/35) = 118.18
    assertThat(bpm[119]).isEqualTo(118);
    // (1 − e^(−120/50)) × 56 over 64 = 114.9
    assertThat(forecast(ANYBODY, work(120, 50)).bpm()[119]).isEqualTo(115);
  }

  @Test
  void theRibbonHoldsTheSpanAndTheTimeConstantsInQuadrature() {
    Forecast forecast = forecast(TRAINED, work(600, 50));
    // Settled: √((0.5 × 10)² + (0.5 × 2)²) = 5.1 about 120.
    assertThat(forecast.lowBpm()[599]).isEqualTo(115);
    assertThat(forecast.highBpm()[599]).isEqualTo(125);
    // After a minute 109.9; the span is 4.54 off by then, from 2 at rest.
    assertThat(forecast.at(60)).isCloseTo(109.915, within(0.001));
    // 45.5 s: 105.02, 4.89 under; 24.5 s: 115.16, 5.25 over.
    assertThat(forecast.lowBpm()[59]).isEqualTo(103);
    assertThat(forecast.highBpm()[59]).isEqualTo(117);
    assertThat(forecast.holds(60, 103)).isTrue();
    assertThat(forecast.holds(60, 102)).isFalse();
    assertThat(forecast.holds(60, 118)).isFalse();
  }

  @Test
  void aRateThatIsGivenIsKnown() {
    Forecast from =
        Forecast.of(
            SPAN, Uncertainty.USUAL, TRAINED, List.of(work(60, 50)), OptionalDouble.of(120));
    assertThat(from.at(60)).isEqualTo(120);
    // 5.1 × (1 − e^(−1/35)) after a second.
    assertThat(from.highBpm()[0]).isEqualTo(120);
  }

  @ParameterizedTest
  @CsvSource({"true, 166", "false, 236"})
  void aTargetIsReachedWhenTheRateIsSeenThere(boolean trained, int seconds) {
    // 56 · e^(−t/τ) ≤ 0.5: t = τ · ln 112.
    Coming step = forecast(Kinetics.usual(trained), work(600, 50)).steps().get(0);
    assertThat(step.reachedAfter()).hasValue(seconds);
    assertThat(step.waits()).isZero();
  }

  @Test
  void aTargetThatIsNotReachedIsNotSaidToBe() {
    assertThat(forecast(TRAINED, work(120, 50)).steps().get(0).reachedAfter()).isEmpty();
    // Coming down counts as well: from 64 + 0.8 × 112 to 64 + 0.5 × 112.
    Coming down = forecast(TRAINED, work(600, 80), work(600, 50)).steps().get(1);
    // 33.6 · e^(−t/55) < 0.5: t = 55 · ln 67.2 = 231.4; a rate of 120.5 still shows 121.
    assertThat(down.reachedAfter()).hasValue(232);
  }

  @Test
  void halfABeatIsReachedFromBelowToo() {
    Reserve odd = Reserve.of(64, 175);
    Forecast forecast =
        Forecast.of(
            odd,
            Uncertainty.USUAL,
            TRAINED,
            List.of(ForecastStep.work(600, BigDecimal.valueOf(50), odd)),
            OptionalDouble.empty());
    // It settles at 119.5 and never passes it.
    assertThat(forecast.steps().get(0).reachedAfter()).isPresent();
  }

  @Test
  void hardWorkDriftsAfterTenMinutesAndNoFurtherThanAnUpperEnd() {
    Forecast hard = forecast(TRAINED, work(600, 70), work(1200, 70), work(3600, 70));
    assertThat(hard.at(600)).isCloseTo(142.4, within(0.01));
    // 20 min over ten at 0.25 % of reserve a minute: 5 %, 5.6 bpm, a little behind.
    assertThat(hard.at(1800)).isBetween(147.5, 148.0);
    assertThat(hard.at(5400)).isCloseTo(148.0, within(0.01));
    // At 60 % itself nothing drifts, and a break begins the ten minutes anew.
    assertThat(forecast(TRAINED, work(3600, 60)).at(3600)).isCloseTo(131.2, within(0.01));
    Forecast broken = forecast(TRAINED, work(590, 70), work(60, 50), work(590, 70));
    assertThat(broken.at(1240)).isLessThan(142.41);
  }

  @Test
  void aWaitingStepWaitsUntilItsTargetHasHeld() {
    // Warm-up to 97.1 bpm, two minutes of standing, then 40 to 55 %: 109 bpm and ten seconds there.
    Forecast forecast = shipped("steady-talk", TRAINED, Optional.empty());
    Coming work = forecast.steps().get(2);
    double before = forecast.at(work.fromSecond() - 1);
    // 117.2 − (117.2 − before) · e^(−t/35) ≥ 108.5
    int reached = (int) Math.ceil(35 * Math.log((117.2 - before) / (117.2 - 108.5)));
    assertThat(work.reachedAfter()).hasValue(reached);
    assertThat(work.waits()).isEqualTo(reached + 9);
    assertThat(work.byItself()).isFalse();
    assertThat(work.toSecond() - work.clockSecond() + 1).isEqualTo(1800);
    assertThat(forecast.seconds()).isEqualTo(300 + 120 + reached + 9 + 1800 + 300 + 300);
  }

  @Test
  void aSlowHeartDoesNotWaitForEver() {
    Kinetics slow =
        new Kinetics(new Kinetics.TimeConstant(150, 3), new Kinetics.TimeConstant(75, 0));
    ForecastStep waiting =
        new ForecastStep(
            StepKind.WORK,
            300,
            0.5,
            Optional.of(new ForecastStep.Wanted(118, 125, BigDecimal.valueOf(48))),
            true,
            Optional.empty());
    Coming work = forecast(slow, waiting).steps().get(0);
    assertThat(work.waits()).isEqualTo(240);
    assertThat(work.byItself()).isTrue();
    assertThat(work.toSecond()).isEqualTo(540);
  }

  @Test
  void ofBoutsThroughTheDayOneIsForeseen() {
    assertThat(shipped("through-the-day", TRAINED, Optional.empty()).steps()).hasSize(5);
  }

  @Test
  void whatACapLeavesOfATargetIsItsMiddle() {
    Forecast capped = shipped("steady-talk", TRAINED, Optional.of(new Cap(115, "cap")));
    // 109 to 115 instead of 109 to 126.
    assertThat(capped.steps().get(2).step().share() * 112).isCloseTo(112 - 64, within(1e-9));
  }

  @Test
  void percentsOfReserveAreWholeHalfUp() {
    Forecast forecast = forecast(TRAINED, work(60, 50));
    // 57 of 112 is 50.9 %, 63 is 56.25 %, −1 is −0.9 %, 14 is 12.5 %.
    assertThat(forecast.shownPercent(121)).isEqualTo(51);
    assertThat(forecast.shownPercent(127)).isEqualTo(56);
    assertThat(forecast.shownPercent(63)).isEqualTo(-1);
    assertThat(forecast.shownPercent(78)).isEqualTo(13);
  }

  @Test
  void secondsOfEachZoneComeFromTheShownRates() {
    int[] byBpm = forecast(TRAINED, work(120, 50)).byBpm();
    assertThat(Arrays.stream(byBpm).sum()).isEqualTo(120);
    assertThat(byBpm[64]).isZero();
    assertThat(byBpm[119]).isZero();
    // 118 from 117.5 on: 56 · e^(−t/35) ≤ 2.5 from second 109.
    assertThat(byBpm[118]).isEqualTo(12);
  }

  @Test
  void whatCannotBeForeseenIsRefusedWithItsPlace() {
    assertThatThrownBy(
            () ->
                ForecastStep.checked(
                    List.of(0, 20_000, 60),
                    List.of(BigDecimal.TEN, BigDecimal.ZERO, BigDecimal.valueOf(300)),
                    SPAN))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused ->
                assertThat(refused.faults())
                    .extracting(InvalidValueException.Fault::field)
                    .containsExactly(
                        "steps[0].seconds",
                        "steps[1].seconds",
                        "steps[1].reservePercent",
                        "steps[2].reservePercent"));
    assertThatThrownBy(
            () ->
                ForecastStep.checked(
                    Collections.nCopies(500, 60),
                    Collections.nCopies(500, BigDecimal.valueOf(50)),
                    SPAN))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> assertThat(refused.faults().get(0).accepted()).isEqualTo("1 to 200 steps"));
    assertThatThrownBy(() -> Reserve.of(100, 139)).isInstanceOf(RefusedException.class);
    assertThatThrownBy(
            () ->
                forecast(
                    TRAINED,
                    work(10_800, 50),
                    work(10_800, 50),
                    work(10_800, 50),
                    work(10_800, 50),
                    work(5, 50)))
        .hasMessageContaining("steps: last 43205 s");
  }
}
