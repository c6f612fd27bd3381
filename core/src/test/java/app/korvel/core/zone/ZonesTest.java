package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.support.Spans;
import app.korvel.core.zone.CountCard.Beats;
import app.korvel.core.zone.Level.RpeSpan;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.FieldSource;

class ZonesTest {
  static final List<Scheme> EVERY_SCHEME = Schemes.ALL;
  private static final Reserve WORKED = Reserve.of(64, 176);

  private static Zones zones(String scheme, Reserve reserve) {
    return Zones.of(Scheme.of(scheme), reserve, Uncertainty.USUAL);
  }

  private static List<String> spans(Zones zones) {
    return zones.bands().stream()
        .map(band -> band.band().name() + " " + band.lowBpm() + "–" + band.highBpm())
        .toList();
  }

  @Test
  void theWorkedLadder() {
    assertThat(spans(zones("voice-ladder", WORKED)))
        .containsExactly(
            "Sing 64–108", "Talk 109–130", "Phrases 131–147", "Words 148–164", "Silent 165–176");
  }

  @ParameterizedTest
  @CsvSource({"40,106", "60,134", "75,154", "90,174"})
  void theSecondWorkedSpan(int percent, int bpm) {
    assertThat(Reserve.of(52, 188).rateAt(percent)).isEqualTo(bpm);
  }

  @ParameterizedTest
  @CsvSource({"70,132", "85,160"})
  void percentOfMaximum(BigDecimal percent, int bpm) {
    assertThat(Basis.MAXIMUM.rateAt(percent, Anchors.of(Reserve.of(52, 188)))).isEqualTo(bpm);
  }

  @Test
  void theTalkBandCarriesItsCountsSigmaAndLevel() {
    Zones.BandRates talk = zones("voice-ladder", WORKED).bands().get(1);
    assertThat(talk.counts().beats())
        .containsEntry(CountWindow.S6, new Beats(11, 13))
        .containsEntry(CountWindow.S10, new Beats(18, 22))
        .containsEntry(CountWindow.S15, new Beats(27, 33))
        .containsEntry(CountWindow.S30, new Beats(55, 65));
    assertThat(talk.lowSigmaBpm()).isEqualByComparingTo("4.2");
    assertThat(talk.level()).isEqualTo(Level.TALK);
    assertThat(talk.guidelineClass()).isEqualTo(GuidelineClass.MODERATE);
  }

  @Test
  void everyRateIsReadInEveryLanguage() {
    Zones zones = zones("voice-ladder", WORKED);
    assertThat(zones.readings()).hasSize(113);
    Zones.Reading at = zones.readings().get(109 - 64);
    assertThat(at.bpm()).isEqualTo(109);
    assertThat(at.reservePercent()).isEqualByComparingTo("40.2");
    assertThat(at.maximumPercent()).isEqualByComparingTo("61.9");
    assertThat(at.bands()).containsExactly("talk");
    assertThat(at.level()).isEqualTo(Level.TALK);
    assertThat(at.counts().beats()).containsEntry(CountWindow.S15, new Beats(27, 27));
    assertThat(zones.readings().get(108 - 64).bands()).containsExactly("sing");
    assertThat(zones.readings().get(176 - 64).bands()).containsExactly("silent");
  }

  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void ladderBandsHaveNoGapsAndNoOverlapsForAnySpan(Scheme scheme) {
    for (int resting = 30; resting <= 110; resting += 7) {
      for (int maximum = resting + 40; maximum <= 220; maximum += 9) {
        if (maximum < 80) {
          continue;
        }
        Zones zones =
            Zones.of(
                scheme,
                Spans.measured(Reserve.of(resting, maximum)),
                Uncertainty.USUAL,
                OptionalInt.empty());
        if (scheme.kind() == Scheme.Kind.LADDER) {
          for (int i = 1; i < zones.bands().size(); i++) {
            assertThat(zones.bands().get(i).lowBpm())
                .isEqualTo(zones.bands().get(i - 1).highBpm() + 1);
          }
          assertThat(zones.readings()).allSatisfy(at -> assertThat(at.bands()).hasSizeLessThan(2));
        }
        assertThat(zones.readings()).hasSize(maximum - resting + 1);
      }
    }
  }

  @Test
  void belowTheLowestBandAndBandsBelowRestAreStatesOfTheirOwn() {
    Zones fifths = zones("max-fifths", Reserve.of(110, 176));
    assertThat(spans(fifths)).element(0).isEqualTo("First fifth 88–105");
    assertThat(fifths.bands().get(0).belowResting()).isTrue();
    assertThat(fifths.bands().get(1).belowResting()).isFalse();
    assertThat(zones("max-fifths", WORKED).readings().get(0).bands()).isEmpty();
  }

  @Test
  void aBandFromRestBeginsThere() {
    assertThat(spans(zones("guideline-classes-max", WORKED)))
        .element(0)
        .isEqualTo("Very light 64–99");
  }

  @Test
  void stepsTiedToEffortCarryTheirOwn() {
    Zones tied = zones("max-effort", WORKED);
    assertThat(spans(tied))
        .containsExactly(
            "Barely work 88–105",
            "Light work 106–122",
            "Solid work 123–140",
            "Hard work 141–166",
            "Everything 167–176");
    Zones.BandRates solid = tied.bands().get(2);
    assertThat(solid.rpe20()).isEqualTo(new RpeSpan(13, 15));
    assertThat(solid.rpe10(RpeFamily.RATIO)).isEqualTo(new RpeSpan(3, 6));
    assertThat(solid.rpe10(RpeFamily.LINEAR)).isEqualTo(new RpeSpan(5, 7));
    Zones.BandRates talk = zones("voice-ladder", WORKED).bands().get(1);
    assertThat(talk.rpe20()).isEqualTo(new RpeSpan(12, 13));
    assertThat(talk.rpe10(RpeFamily.LINEAR)).isEqualTo(new RpeSpan(5, 6));
  }

  @Test
  void measuredThresholdsCutTheSpanInThree() {
    Anchors anchors = Anchors.of(WORKED, Optional.of(ThresholdRates.of(118, 149)));
    Zones three =
        Zones.of(Scheme.of("threshold-three"), anchors, Uncertainty.USUAL, OptionalInt.empty());
    assertThat(spans(three))
        .containsExactly("Easy to talk 64–117", "Talk in pieces 118–148", "No talk left 149–176");
    assertThat(three.bands())
        .extracting(Zones.BandRates::guidelineClass)
        .containsExactly(GuidelineClass.LIGHT, GuidelineClass.VIGOROUS, GuidelineClass.VIGOROUS);
    assertThat(three.bands().get(1).lowSigmaBpm()).isEqualByComparingTo("3");
    assertThat(Basis.THRESHOLD.rateAt(BigDecimal.valueOf(90), anchors)).isEqualTo(134);
  }

  @Test
  void whatTalkChecksMovedIsTheEdgeAndAsHardAsItIsSure() {
    LearnedRates learned =
        new LearnedRates(
            Optional.of(new LearnedRates.Rate(136, 3)), Optional.of(new LearnedRates.Rate(154, 4)));
    Anchors anchors = Anchors.of(Ladder.of(WORKED, learned), Optional.empty());
    Zones own =
        Zones.of(Scheme.of("voice-ladder"), anchors, Uncertainty.USUAL, OptionalInt.empty());
    assertThat(spans(own))
        .containsExactly(
            "Sing 64–108", "Talk 109–135", "Phrases 136–153", "Words 154–164", "Silent 165–176");
    assertThat(own.bands().get(2).lowSigmaBpm()).isEqualByComparingTo("3");
    assertThat(own.bands().get(1).highSigmaBpm()).isEqualByComparingTo("3");
    assertThat(own.bands().get(3).lowSigmaBpm()).isEqualByComparingTo("4");
    assertThat(own.bands().get(1).lowSigmaBpm())
        .isEqualByComparingTo(zones("voice-ladder", WORKED).bands().get(1).lowSigmaBpm());
    assertThat(own.readings().get(133 - 64).level()).isEqualTo(Level.TALK);
    // Every other zone system counts as ever.
    Zones goals =
        Zones.of(Scheme.of("guideline-classes"), anchors, Uncertainty.USUAL, OptionalInt.empty());
    assertThat(spans(goals)).isEqualTo(spans(zones("guideline-classes", WORKED)));
    assertThat(
            Zones.longHand(Scheme.of("voice-ladder"), "phrases", anchors, Uncertainty.USUAL)
                .lines())
        .extracting(line -> line.label() + " " + line.answer())
        .contains("Lower edge, by talk checks 136");
  }

  @ParameterizedTest
  @CsvSource({"64,149", "118,177", "149,118", "118,118", "10,149", "118,300"})
  void thresholdsLieInOrderWithinTheSpan(int lower, int upper) {
    assertThatThrownBy(() -> Anchors.of(WORKED, Optional.of(ThresholdRates.of(lower, upper))))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("ThresholdBpm");
  }

  @ParameterizedTest
  @EnumSource(
      value = Basis.class,
      names = {"THRESHOLD", "MEASURED"})
  void withoutThresholdsWhatCountsFromThemIsRefused(Basis basis) {
    assertThatThrownBy(
            () ->
                Target.of(
                    Anchors.of(WORKED), basis, BigDecimal.ONE, BigDecimal.ONE, OptionalInt.empty()))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused ->
                assertThat(refused.faults())
                    .extracting(InvalidValueException.Fault::field)
                    .containsExactly("lowerThresholdBpm", "upperThresholdBpm"));
  }

  @Test
  void aTargetOfMeasuredRatesIsWholeAndNoRateGoesPastAPulse() {
    Anchors anchors = Anchors.of(WORKED, Optional.of(ThresholdRates.of(118, 149)));
    assertThat(
            Target.of(
                    anchors,
                    Basis.MEASURED,
                    BigDecimal.ONE,
                    BigDecimal.valueOf(2),
                    OptionalInt.empty())
                .target())
        .hasValueSatisfying(
            target ->
                assertThat(List.of(target.lowBpm(), target.highBpm())).containsExactly(118, 149));
    assertThatThrownBy(
            () ->
                Target.of(
                    anchors,
                    Basis.MEASURED,
                    BigDecimal.ONE,
                    new BigDecimal("1.5"),
                    OptionalInt.empty()))
        .hasMessageContaining("high: 1.5 lies between");
    assertThatThrownBy(
            () ->
                Target.of(
                    anchors,
                    Basis.RESTING,
                    BigDecimal.ONE,
                    BigDecimal.valueOf(177),
                    OptionalInt.empty()))
        .isInstanceOf(InvalidValueException.class);
  }

  @Test
  void goalsKeepBothTheirEdgesAndMayOverlap() {
    Zones goals = zones("goal-ranges", WORKED);
    assertThat(spans(goals)).contains("Weight and general fitness 120–142", "Endurance 142–154");
    assertThat(goals.readings().get(142 - 64).bands())
        .containsExactly("heart-cleared", "weight-fitness", "endurance");
  }

  @ParameterizedTest
  @CsvSource({
    "max-fifths,0,LIGHT",
    "max-fifths,1,MODERATE",
    "max-fifths,2,MODERATE",
    "max-fifths,3,VIGOROUS",
    "max-fifths,4,VIGOROUS",
    "guideline-classes,4,NEAR_MAXIMAL",
    "goal-ranges,2,VIGOROUS",
    "school-range,0,VIGOROUS",
  })
  void schoolsAreComparedByTheClassOfTheirMiddle(String scheme, int band, GuidelineClass expected) {
    assertThat(zones(scheme, WORKED).bands().get(band).guidelineClass()).isEqualTo(expected);
  }

  @Test
  void aReserveUnderFortyIsRefusedWithAdvice() {
    assertThat(Reserve.of(110, 150).bpm()).isEqualTo(40);
    assertThatThrownBy(() -> Reserve.of(111, 150))
        .isInstanceOfSatisfying(
            RefusedException.class,
            refused -> {
              assertThat(refused.findings().get(0).code()).isEqualTo("reserve-too-small");
              assertThat(refused.findings().get(0).because()).contains("RPE and talk");
            });
    assertThatThrownBy(() -> Reserve.of(120, 100)).isInstanceOf(InvalidValueException.class);
  }

  @Test
  void anUnknownSchemeIsRefusedWithTheOnesThereAre() {
    assertThatThrownBy(() -> Scheme.of("voice"))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            invalid -> assertThat(invalid.faults().get(0).accepted()).contains("voice-ladder"));
  }

  @ParameterizedTest
  @CsvSource({"109,131,10,18,22", "109,131,15,27,33", "109,131,30,55,66"})
  void theWorkedCountCard(int low, int high, int seconds, int fewest, int most) {
    assertThat(CountCard.of(low, high).beats().get(CountWindow.of(seconds)))
        .isEqualTo(new Beats(fewest, most));
  }

  @Test
  void underACapTheUpperCountIsRoundedDown() {
    assertThat(CountCard.of(120, 142).beats().get(CountWindow.S15)).isEqualTo(new Beats(30, 36));
    assertThat(CountCard.of(120, 142, OptionalInt.of(142)).beats().get(CountWindow.S15))
        .isEqualTo(new Beats(30, 35));
    assertThat(CountCard.of(142, 142, OptionalInt.of(142)).beats().get(CountWindow.S15))
        .isEqualTo(new Beats(35, 35));
  }

  @Test
  void aCapCutsBandsAndMarksWhatLiesAboveIt() {
    Zones zones =
        Zones.of(
            Scheme.of("voice-ladder"), Anchors.of(WORKED), Uncertainty.USUAL, OptionalInt.of(142));
    assertThat(zones.bands())
        .extracting(Zones.BandRates::allowedHighBpm)
        .containsExactly(
            OptionalInt.of(108),
            OptionalInt.of(130),
            OptionalInt.of(142),
            OptionalInt.empty(),
            OptionalInt.empty());
    assertThat(zones.bands().get(2).counts().beats().get(CountWindow.S15))
        .isEqualTo(new Beats(33, 35));
    assertThat(zones.readings().get(142 - 64).overCap()).isFalse();
    assertThat(zones.readings().get(143 - 64).overCap()).isTrue();
    assertThatThrownBy(
            () ->
                Zones.of(
                    Scheme.of("voice-ladder"),
                    Anchors.of(WORKED),
                    Uncertainty.USUAL,
                    OptionalInt.of(63)))
        .hasMessageContaining("capBpm");
  }

  private static Target.UnderCap target(String low, String high, OptionalInt cap) {
    return Target.of(
        Anchors.of(WORKED), Basis.RESERVE, new BigDecimal(low), new BigDecimal(high), cap);
  }

  @Test
  void theWorkedTargetAndASingleRate() {
    Target range = target("50", "70", OptionalInt.empty()).target().orElseThrow();
    assertThat(range.lowBpm()).isEqualTo(120);
    assertThat(range.highBpm()).isEqualTo(142);
    Target single = target("62.5", "62.5", OptionalInt.empty()).target().orElseThrow();
    assertThat(single.lowBpm()).isEqualTo(134).isEqualTo(single.highBpm());
  }

  @Test
  void aCapCutsTheTargetOrEndsIt() {
    Target.UnderCap cut = target("50", "70", OptionalInt.of(135));
    assertThat(cut.target().orElseThrow().highBpm()).isEqualTo(135);
    assertThat(cut.target().orElseThrow().capped()).isTrue();
    assertThat(cut.findings().get(0).code()).isEqualTo("cap-cuts");
    assertThat(target("50", "70", OptionalInt.of(119)).target()).isEmpty();
    assertThat(target("50", "70", OptionalInt.of(142)).findings()).isEmpty();
  }

  @Test
  void targetsOutOfOrderOrRangeAreRefusedAtTheField() {
    assertThatThrownBy(() -> target("70", "50", OptionalInt.empty())).hasMessageContaining("high");
    assertThatThrownBy(() -> target("-1", "50", OptionalInt.empty())).hasMessageContaining("low");
    assertThatThrownBy(() -> target("50", "110.5", OptionalInt.empty()))
        .hasMessageContaining("high");
  }

  @Test
  void theRoundTripsOfTheCrosswalkHaveNoHoles() {
    for (int i = 1; i < Level.values().length; i++) {
      Level below = Level.values()[i - 1];
      Level level = Level.values()[i];
      assertThat(level.rpe20().low()).isEqualTo(below.rpe20().high() + 1);
      for (RpeFamily family : RpeFamily.values()) {
        assertThat(level.rpe10(family).low()).isEqualTo(below.rpe10(family).high() + 1);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({"108,SING", "109,TALK", "130,TALK", "131,PHRASES", "147,PHRASES", "165,SILENT"})
  void levelsAreDecidedOnTheEdgesAPersonSees(int bpm, Level level) {
    assertThat(Level.atRate(bpm, WORKED)).isEqualTo(level);
  }

  @Test
  void anEdgeIsAsSoftAsItIsUncertain() {
    Uncertainty measured = Uncertainty.of(new BigDecimal("3"), new BigDecimal("1.8"));
    assertThat(Basis.RESERVE.sigma(BigDecimal.valueOf(100), measured)).isEqualByComparingTo("3");
    assertThat(Basis.RESERVE.sigma(BigDecimal.ZERO, measured)).isEqualByComparingTo("1.8");
    // sqrt(1.5² + 0.9²)
    assertThat(Basis.RESERVE.sigma(BigDecimal.valueOf(50), measured).doubleValue())
        .isBetween(1.749, 1.750);
  }
}
