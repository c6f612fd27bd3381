package app.korvel.core.zone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.CountCard.Beats;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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
    assertThat(Basis.MAXIMUM.rateAt(percent, Reserve.of(52, 188))).isEqualTo(bpm);
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
        Zones zones = Zones.of(scheme, Reserve.of(resting, maximum), Uncertainty.USUAL);
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
              assertThat(refused.findings().get(0).because()).contains("effort and talk");
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
    assertThat(CountCard.of(120, 142, true).beats().get(CountWindow.S15))
        .isEqualTo(new Beats(30, 35));
    assertThat(CountCard.of(142, 142, true).beats().get(CountWindow.S15))
        .isEqualTo(new Beats(35, 35));
  }

  @Test
  void aCapCutsBandsAndMarksWhatLiesAboveIt() {
    Zones zones =
        Zones.of(Scheme.of("voice-ladder"), WORKED, Uncertainty.USUAL, OptionalInt.of(142));
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
                Zones.of(Scheme.of("voice-ladder"), WORKED, Uncertainty.USUAL, OptionalInt.of(63)))
        .hasMessageContaining("capBpm");
  }

  private static Target.UnderCap target(String low, String high, OptionalInt cap) {
    return Target.of(WORKED, Basis.RESERVE, new BigDecimal(low), new BigDecimal(high), cap);
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
