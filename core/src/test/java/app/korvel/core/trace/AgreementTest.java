package app.korvel.core.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.Agreement.Verdict;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AgreementTest {
  private static final int TALK_ENDS = 131;
  private static final int[] NO_STEPS = {};

  private static Trace trace(int seconds, IntUnaryOperator bpm) {
    int[] at = IntStream.rangeClosed(1, seconds).toArray();
    return Trace.of(at, IntStream.of(at).map(bpm).toArray(), seconds);
  }

  private static Trace of(int... bpm) {
    return trace(bpm.length, second -> bpm[second - 1]);
  }

  /** Up and down between 100 and 140, so that a lag shows. */
  private static int wave(int second) {
    return 120 + (int) Math.round(20 * Math.sin(second / 40.0));
  }

  private static Agreement compare(Trace reference, Trace second) {
    return Agreement.of(reference, second, NO_STEPS, TALK_ENDS);
  }

  @Test
  void twelveSecondsWorkedByHand() {
    Agreement found =
        compare(
            of(98, 104, 110, 115, 121, 126, 130, 134, 139, 143, 147, 150),
            of(99, 103, 112, 114, 119, 127, 133, 131, 140, 149, 146, 157));
    assertThat(found.meanBpm()).isEqualByComparingTo("1.083");
    assertThat(found.sdBpm()).isEqualByComparingTo("3.059");
    assertThat(found.lowBpm()).isEqualByComparingTo("-4.91");
    assertThat(found.highBpm()).isEqualByComparingTo("7.08");
    assertThat(found.within5Percent()).isEqualByComparingTo("83.3");
    assertThat(found.lagSeconds()).isZero();
    assertThat(found.findings()).extracting(Finding::code).containsExactly("agreement-short");
    assertThat(found.verdict()).isEqualTo(Verdict.NOT_FOR_STEERING);
  }

  @ParameterizedTest
  @CsvSource({"12, late", "-9, early", "30, late", "-30, early"})
  void aLagIsFoundAndAllowedFor(int lag, String word) {
    Agreement found =
        compare(trace(600, AgreementTest::wave), trace(600, second -> wave(second - lag)));
    assertThat(found.lagSeconds()).isEqualTo(lag);
    assertThat(found.commonSeconds()).isGreaterThanOrEqualTo(600 - Math.abs(lag));
    assertThat(found.meanBpm()).isBetween(dec("-0.5"), dec("0.5"));
    assertThat(found.findings().get(0).message())
        .isEqualTo(
            "The second one is "
                + Math.abs(lag)
                + " s "
                + word
                + "; the comparison allows for it.");
    assertThat(found.verdict()).isEqualTo(Verdict.GOOD_FOR_TARGETS);
  }

  private static java.math.BigDecimal dec(String number) {
    return new java.math.BigDecimal(number);
  }

  @Test
  void aLagThatHardlyHelpsIsNone() {
    // Alternating by 1 about a steady rate: shifted by one second they would be alike.
    Agreement found =
        compare(trace(600, second -> 120), trace(600, second -> second < 300 ? 120 : 121));
    assertThat(found.lagSeconds()).isZero();
    Agreement brief =
        compare(trace(299, AgreementTest::wave), trace(299, second -> wave(second - 12)));
    assertThat(brief.lagSeconds()).as("under 300 s in common it is not sought").isZero();
    assertThat(brief.findings()).extracting(Finding::code).contains("agreement-short");
  }

  @ParameterizedTest
  @CsvSource({
    "3, 3, GOOD_FOR_TARGETS",
    "4, 4, NOT_FOR_STEERING",
    "0, 12, GOOD_UP_TO_TALK",
    "-3, 40, GOOD_UP_TO_TALK",
    "-4, 40, NOT_FOR_STEERING"
  })
  void theVerdictIsByTheMeanAndByEasyWorkAlone(int easyOff, int hardOff, Verdict verdict) {
    Trace reference = trace(600, second -> second <= 300 ? 115 : 150);
    Trace second = trace(600, at -> at <= 300 ? 115 + easyOff : 150 + hardOff);
    assertThat(compare(reference, second).verdict()).isEqualTo(verdict);
  }

  @Test
  void ninetyOfAHundredSecondsHaveToBeNear() {
    Trace reference = trace(400, second -> 150);
    assertThat(compare(reference, trace(400, at -> at <= 40 ? 156 : 150)).verdict())
        .isEqualTo(Verdict.GOOD_FOR_TARGETS);
    assertThat(compare(reference, trace(400, at -> at <= 41 ? 156 : 150)).verdict())
        .isEqualTo(Verdict.NOT_FOR_STEERING);
  }

  @Test
  void easyWorkOfTwoMinutesIsNeededToBeGoodThere() {
    Trace second = trace(600, at -> at <= 120 ? 115 : 165);
    assertThat(compare(trace(600, at -> at <= 120 ? 115 : 150), second).verdict())
        .isEqualTo(Verdict.GOOD_UP_TO_TALK);
    Trace shorter = trace(600, at -> at <= 119 ? 115 : 165);
    assertThat(compare(trace(600, at -> at <= 119 ? 115 : 150), shorter).verdict())
        .isEqualTo(Verdict.NOT_FOR_STEERING);
  }

  @Test
  void whatIsInOneOnlyIsToldAndNotCompared() {
    // The last sample before a gap holds 5 s.
    Trace reference = trace(400, at -> at > 100 && at <= 125 ? 0 : 120);
    Agreement found = compare(reference, trace(380, at -> 121));
    assertThat(found.onlySecond()).isEqualTo(20);
    assertThat(found.onlyReference()).isEqualTo(20);
    assertThat(found.commonSeconds()).isEqualTo(360);
    assertThat(found.meanBpm()).isEqualByComparingTo("1");
    assertThat(found.findings()).extracting(Finding::code).containsExactly("agreement-dropped");
  }

  @Test
  void aWristThatFollowsTheStepsIsCaught() {
    int[] steps = IntStream.range(0, 400).map(n -> 168).toArray();
    Trace reference = trace(400, at -> 140);
    // At the step rate for 31 s, at half of it for 40, and for 30 only, which is too short.
    IntUnaryOperator wrist =
        at ->
            at > 50 && at <= 82
                ? 170
                : at > 150 && at <= 190 ? 84 : at > 250 && at <= 281 ? 168 : 140;
    Agreement found = Agreement.of(reference, trace(400, wrist), steps, TALK_ENDS);
    assertThat(found.stepLockedSeconds()).isEqualTo(32 + 40);
    assertThat(found.findings().get(0).code()).isEqualTo("agreement-step-locked");
    Agreement heart = Agreement.of(trace(400, at -> 165), trace(400, at -> 168), steps, TALK_ENDS);
    assertThat(heart.stepLockedSeconds())
        .as("who runs at 168 steps with a pulse of 165 is not locked")
        .isZero();
  }

  @Test
  void recordingsThatHaveNothingInCommonAreRefused() {
    assertThatThrownBy(() -> compare(of(120, 120, 120), of(0, 0, 0, 0, 0, 0, 0, 0, 0, 121)))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("in common");
  }
}
