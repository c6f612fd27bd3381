package app.korvel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Equation;
import app.korvel.core.maximum.Equations;
import app.korvel.core.maximum.Estimate;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.support.People;
import app.korvel.core.support.Spans;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

/** The step by step comes to the number that is shown, and a wrong figure is found. */
class WorkingTest {
  static final List<Scheme> EVERY_SCHEME = Schemes.ALL;
  static final List<Equation> EVERY_EQUATION = Equations.ALL;

  private static List<String> written(Working sum) {
    return sum.lines().stream()
        .map(
            line ->
                line.sum()
                    + " = "
                    + line.exact().toPlainString()
                    + (line.exact().equals(line.answer()) ? "" : " → " + line.answer()))
        .toList();
  }

  private static Working target(int rest, int max, String low, String high, OptionalInt cap) {
    return Target.longHand(
        Anchors.of(Reserve.of(rest, max)),
        Basis.RESERVE,
        new BigDecimal(low),
        new BigDecimal(high),
        cap);
  }

  private static Working maximum(String method, int age, Mode mode) {
    return MaximumEstimates.longHand(
        method, People.adult(age, Activity.SOME), OptionalInt.of(72), mode);
  }

  private static List<Optional<BigDecimal>> figures(String... figures) {
    return Arrays.stream(figures)
        .map(figure -> figure.isEmpty() ? Optional.<BigDecimal>empty() : decimal(figure))
        .toList();
  }

  private static Optional<BigDecimal> decimal(String figure) {
    return Optional.of(new BigDecimal(figure));
  }

  @Test
  void theWorkedTargetAsAPersonWouldWriteIt() {
    assertThat(written(target(64, 176, "50", "70", OptionalInt.empty())))
        .containsExactly(
            "176 − 64 = 112",
            "0.5 × 112 = 56",
            "64 + 56 = 120",
            "0.7 × 112 = 78.4",
            "64 + 78.4 = 142.4 → 142",
            "120 × 10 ÷ 60 = 20",
            "142 × 10 ÷ 60 = 23.67 → 24",
            "120 × 15 ÷ 60 = 30",
            "142 × 15 ÷ 60 = 35.5 → 36");
  }

  @Test
  void underACapTheUpperCountIsRoundedDown() {
    assertThat(written(target(64, 176, "50", "80", OptionalInt.of(142))))
        .contains("the smaller of 154 and 142 = 142", "142 × 15 ÷ 60 = 35.5 → 35");
    assertThatThrownBy(() -> target(64, 176, "50", "80", OptionalInt.of(100)))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void aSingleRateIsWrittenOnce() {
    assertThat(written(target(64, 176, "75", "75", OptionalInt.empty())))
        .containsExactly(
            "176 − 64 = 112",
            "0.75 × 112 = 84",
            "64 + 84 = 148",
            "148 × 10 ÷ 60 = 24.67 → 25",
            "148 × 15 ÷ 60 = 37");
  }

  @Test
  void theWorkingOfEquations() {
    assertThat(written(maximum("tanaka-208", 45, Mode.RUN)))
        .containsExactly("0.7 × 45 = 31.5", "208 − 31.5 = 176.5 → 177");
    assertThat(written(maximum("tanaka-208", 45, Mode.CYCLE)))
        .containsExactly(
            "0.7 × 45 = 31.5", "208 − 31.5 = 176.5 → 177", "177 − 10 = 167", "√(10² + 8²) = 12.8");
    assertThat(written(maximum("fox-220", 45, Mode.RUN))).containsExactly("220 − 45 = 175");
    assertThat(written(maximum("beta-minus-30", 45, Mode.RUN)))
        .containsExactly("0.7 × 45 = 31.5", "208 − 31.5 − 30 = 146.5 → 147");
    assertThat(written(maximum("keteyian-hf", 66, Mode.CYCLE)))
        .containsExactly("0.5 × 72 = 36", "0.5 × 66 = 33", "119 + 36 − 33 = 122", "122 − 5 = 117");
  }

  @Test
  void theWorkingOfACountAndAZone() {
    assertThat(written(PulseCount.of(17, CountWindow.S15).longHand()))
        .containsExactly("60 ÷ 15 = 4", "17 × 4 = 68");
    assertThat(
            written(
                Zones.longHand(
                    Scheme.of("voice-ladder"),
                    "talk",
                    Anchors.of(Reserve.of(64, 176)),
                    Uncertainty.USUAL)))
        .containsExactly(
            "176 − 64 = 112",
            "0.4 × 112 = 44.8",
            "64 + 44.8 = 108.8 → 109",
            "0.6 × 112 = 67.2",
            "64 + 67.2 = 131.2 → 131",
            "131 − 1 = 130",
            "√((0.4 × 10)² + (0.6 × 2)²) = 4.2");
  }

  @ParameterizedTest
  @FieldSource("EVERY_EQUATION")
  void everyEquationComesToTheEstimate(Equation equation) {
    for (Mode mode : Mode.values()) {
      for (int age = 6; age <= 110; age++) {
        Person person = People.adult(age, Activity.SOME);
        Estimate estimate =
            MaximumEstimates.of(person, OptionalInt.of(71), mode).estimates().stream()
                .filter(each -> each.is(equation.id()))
                .findFirst()
                .orElseThrow();
        assertThat(
                MaximumEstimates.longHand(equation.id(), person, OptionalInt.of(71), mode).lines())
            .extracting(Working.Line::answer)
            .anySatisfy(
                answer -> assertThat(answer).isEqualByComparingTo("" + estimate.bpm().getAsInt()));
      }
    }
  }

  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void everyBandComesToItsEdges(Scheme scheme) {
    Random random = new Random(3);
    for (int i = 0; i < 60; i++) {
      int rest = 40 + random.nextInt(50);
      Anchors anchors = Spans.measured(Reserve.of(rest, rest + 45 + random.nextInt(80)));
      for (Zones.BandRates band :
          Zones.bands(scheme, anchors, Uncertainty.USUAL, OptionalInt.empty())) {
        List<BigDecimal> answers =
            Zones.longHand(scheme, band.band().id(), anchors, Uncertainty.USUAL).lines().stream()
                .map(Working.Line::answer)
                .toList();
        assertThat(answers)
            .usingElementComparator(BigDecimal::compareTo)
            .contains(BigDecimal.valueOf(band.highBpm()));
        if (!band.belowResting()) {
          assertThat(answers)
              .usingElementComparator(BigDecimal::compareTo)
              .contains(BigDecimal.valueOf(band.lowBpm()));
        }
      }
    }
  }

  @Test
  void everyStepPointsAtAMethod() {
    assertThat(target(64, 176, "50", "70", OptionalInt.of(130)).lines())
        .extracting(Working.Line::method)
        .containsOnly("reserve", "rate-of-reserve", "cap-cuts", "count-card");
  }

  @ParameterizedTest
  @CsvSource({
    "78,       Keep every decimal here: 78.4. Rounding comes at the end of the sum.",
    "79,       Keep every decimal here: 78.4. Rounding comes at the end of the sum.",
    "87.4,     0.7 × 112 comes to 78.4.",
  })
  void aStepRoundedTooEarlyIsTold(String typed, String hint) {
    Working.Check check =
        target(64, 176, "50", "70", OptionalInt.empty())
            .check(figures("112", "56.0", "120", typed, "143", "", "", "", ""));
    assertThat(check.right()).containsExactly(0, 1, 2);
    assertThat(check.firstOff()).contains(new Working.Off(3, new BigDecimal(typed), hint));
    assertThat(check.complete()).isFalse();
  }

  @Test
  void aHalfRoundedDownIsTold() {
    Working sum = maximum("tanaka-208", 45, Mode.RUN);
    assertThat(sum.check(figures("31.5", "176")).firstOff().orElseThrow().hint())
        .isEqualTo("A half goes up, less than a half goes down: 176.5 is 177.");
    assertThat(sum.check(figures("31.5", "177")).complete()).isTrue();
    assertThat(sum.check(figures("", "177")).right()).containsExactly(1);
    assertThat(sum.check(figures("", "177")).complete()).isFalse();
    assertThat(sum.check(figures("", "")).firstOff()).isEmpty();
  }

  @Test
  void anErrorIsWrittenToOneDecimal() {
    Working sum = maximum("tanaka-208", 45, Mode.CYCLE);
    assertThat(sum.check(figures("", "", "", "12.81")).firstOff().orElseThrow().hint())
        .isEqualTo("To one decimal: 12.8.");
    assertThat(sum.check(figures("", "", "", "18")).firstOff().orElseThrow().hint())
        .isEqualTo("√(10² + 8²) comes to 12.8.");
  }

  @Test
  void tooFewFiguresAreRefused() {
    assertThatThrownBy(() -> maximum("fox-220", 45, Mode.RUN).check(List.of()))
        .isInstanceOfSatisfying(
            InvalidValueException.class,
            refused -> assertThat(refused.faults().get(0).accepted()).contains("each of the 1"));
  }

  @Test
  void unknownNamesAreRefused() {
    assertThatThrownBy(() -> maximum("made-up", 45, Mode.RUN))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(
            () ->
                MaximumEstimates.longHand(
                    "keteyian-hf", People.adult(60, Activity.SOME), OptionalInt.empty(), Mode.RUN))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("restingBpm");
    assertThatThrownBy(
            () ->
                Zones.longHand(
                    Scheme.of("max-fifths"),
                    "talk",
                    Anchors.of(Reserve.of(64, 176)),
                    Uncertainty.USUAL))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("band");
  }
}
