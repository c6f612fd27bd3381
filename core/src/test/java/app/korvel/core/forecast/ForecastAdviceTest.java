package app.korvel.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.forecast.ForecastAdvice.Remedy;
import app.korvel.core.outline.Block;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outline.Place;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What is said of an outline, and that doing it mends it; somebody of 64 to 176 bpm. */
class ForecastAdviceTest {
  private static final Reserve SPAN = Reserve.of(64, 176);

  private static Block block(int times, Step... steps) {
    return new Block(times, false, List.of(steps));
  }

  private static Step step(StepKind kind, int seconds, int low, int high) {
    return new Step(kind, seconds, Optional.of(new Percents(low, high)), false);
  }

  private static Outline outline(Block... blocks) {
    return new Outline(List.of(blocks), Optional.empty());
  }

  private static List<ForecastAdvice> advice(Outline outline, boolean trained) {
    return ForecastAdvice.of(
        Forecast.of(
            SPAN,
            Uncertainty.USUAL,
            Kinetics.usual(trained),
            ForecastStep.of(
                outline, SPAN, ExertionLimits.anyone(Optional.of(SPAN), RpeFamily.RATIO)),
            OptionalDouble.empty()));
  }

  private static Outline with(Outline outline, Remedy remedy) {
    List<Block> blocks = new ArrayList<>(outline.blocks());
    Block old = blocks.get(remedy.place().block());
    List<Step> steps = new ArrayList<>(old.steps());
    Step was = steps.get(remedy.place().step());
    steps.set(remedy.place().step(), new Step(remedy.kind(), remedy.seconds(), was.range(), false));
    blocks.set(remedy.place().block(), new Block(old.times(), old.apart(), steps));
    return new Outline(blocks, outline.bandGoal());
  }

  private static final Step WARM = step(StepKind.WARM_UP, 300, 20, 40);
  private static final Step COOL = step(StepKind.COOL_DOWN, 600, 20, 40);

  @Test
  void burstsThatEndTooSoonAreToldHowLongWouldDo() {
    Outline bursts =
        outline(
            block(1, WARM),
            block(2, step(StepKind.WORK, 240, 60, 75), step(StepKind.BURST, 20, 75, 90)),
            block(1, COOL));
    // From 67.5 % towards 82.5: 74.0 % after 20 s, 75 (148 bpm, seen from 147.5) after 24.
    assertThat(advice(bursts, true))
        .singleElement()
        .satisfies(
            told -> {
              assertThat(told.finding().message())
                  .isEqualTo("The 20 s bursts will not reach 75 % of reserve, Words: 25 s would.");
              assertThat(told.finding().because()).contains("nearly two thirds of the way in 35 s");
              assertThat(told.remedy()).contains(new Remedy(new Place(1, 1), StepKind.BURST, 25));
              assertThat(advice(with(bursts, told.remedy().orElseThrow()), true)).isEmpty();
            });
    // A slower heart would need longer than bursts last: that is work.
    assertThat(advice(bursts, false))
        .singleElement()
        .satisfies(
            told -> {
              assertThat(told.finding().message()).endsWith("35 s, as work, would.");
              assertThat(told.remedy()).contains(new Remedy(new Place(1, 1), StepKind.WORK, 35));
            });
  }

  @Test
  void roundsThatDoReachAreNotCountedAmongThoseThatDoNot() {
    Outline rounds =
        outline(
            block(1, WARM),
            block(4, step(StepKind.WORK, 65, 60, 75), step(StepKind.EASY, 60, 40, 50)),
            block(1, COOL));
    // From 30 % towards 67.5: 60 is 131 bpm, seen from 130.5, 59.4 %, on: after 53.5 s.
    assertThat(advice(rounds, true)).isEmpty();
    Outline shorter = with(rounds, new Remedy(new Place(1, 0), StepKind.WORK, 50));
    assertThat(advice(shorter, true))
        .singleElement()
        .satisfies(
            told -> {
              assertThat(told.finding().message())
                  .isEqualTo(
                      "50 s of work (1 of 4) will not reach 60 % of reserve, Phrases: 55 s would.");
              assertThat(advice(with(shorter, told.remedy().orElseThrow()), true)).isEmpty();
            });
  }

  @Test
  void aCoolDownThatEndsWarmIsToldItsMinutes() {
    Outline warm =
        outline(
            block(1, step(StepKind.WORK, 600, 75, 85)),
            block(1, step(StepKind.COOL_DOWN, 60, 20, 40)),
            block(1, new Step(StepKind.STRETCH, 300, Optional.empty(), false)));
    // 30 + 50 · e^(−60/75) = 52.5 %, a little under; 40 % after 120.7 s: two minutes more.
    assertThat(advice(warm, false))
        .singleElement()
        .satisfies(
            told -> {
              assertThat(told.finding().message())
                  .isEqualTo("This cool-down ends at 52 % of reserve; 2 more minutes reach 40 %.");
              assertThat(told.remedy())
                  .contains(new Remedy(new Place(1, 0), StepKind.COOL_DOWN, 180));
              assertThat(advice(with(warm, told.remedy().orElseThrow()), false)).isEmpty();
            });
  }

  @Test
  void aCoolDownThatNeverGetsThereIsToldSo() {
    Outline stays =
        outline(
            block(1, step(StepKind.WORK, 600, 75, 85)),
            block(1, step(StepKind.COOL_DOWN, 600, 40, 40)));
    assertThat(advice(stays, true))
        .singleElement()
        .satisfies(
            told -> {
              assertThat(told.finding().code()).isEqualTo("cool-down-stays");
              assertThat(told.remedy()).isEmpty();
            });
  }

  @Test
  void aPlainSessionHasNothingSaidOfIt() {
    Outline plain =
        outline(block(1, WARM), block(1, step(StepKind.WORK, 1200, 40, 55)), block(1, COOL));
    assertThat(advice(plain, true)).isEmpty();
    assertThat(advice(plain, false)).isEmpty();
  }

  @Test
  void halfABeatUnderASingleRateIsNotCalledTooShort() {
    // 50 % of 64 to 175 is 119.5: it asks for 120 and settles under it.
    Reserve odd = Reserve.of(64, 175);
    Outline single =
        outline(block(1, WARM), block(1, step(StepKind.WORK, 1200, 50, 50)), block(1, COOL));
    assertThat(
            ForecastAdvice.of(
                Forecast.of(
                    odd,
                    Uncertainty.USUAL,
                    Kinetics.usual(true),
                    ForecastStep.of(
                        single, odd, ExertionLimits.anyone(Optional.of(odd), RpeFamily.RATIO)),
                    OptionalDouble.empty())))
        .isEmpty();
  }

  @Test
  void aWaitThatIsInVainIsSaid() {
    Kinetics slow =
        new Kinetics(new Kinetics.TimeConstant(150, 3), new Kinetics.TimeConstant(75, 0));
    Outline waiting =
        outline(
            block(1, new Step(StepKind.WORK, 1200, Optional.of(new Percents(50, 52)), true)),
            block(1, COOL));
    assertThat(
            ForecastAdvice.of(
                Forecast.of(
                    SPAN,
                    Uncertainty.USUAL,
                    slow,
                    ForecastStep.of(
                        waiting, SPAN, ExertionLimits.anyone(Optional.of(SPAN), RpeFamily.RATIO)),
                    OptionalDouble.empty())))
        .extracting(told -> told.finding().message())
        .containsExactly(
            "The target of 120 bpm is not reached in 4 min: the timer of this step starts by"
                + " itself.");
  }
}
