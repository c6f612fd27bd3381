package app.korvel.core.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.assessment.TestOutcome.Figure;
import app.korvel.core.effort.Witnesses.RateSource;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The same test twice. */
class RetestTest {
  private static final Instant THEN = Instant.parse("2030-03-04T09:00:00Z");
  private static final Instant NOW = Instant.parse("2030-06-04T09:00:00Z");
  private static final TestPlan.Setup CHAIR =
      new TestPlan.TwoMinute(
          TestPlan.Activity.SIT_TO_STAND, OptionalInt.empty(), TestPosture.SEATED);

  private static TestOutcome outcome(
      Instant at, RateSource source, TestPlan.Setup setup, int rise, int repetitions) {
    int noise = source == RateSource.COUNT ? 11 : 9;
    return new TestOutcome(
        new TestPlan(TestPeople.anybody(), source, setup),
        at,
        List.of(
            new Figure("Rise", BigDecimal.valueOf(rise), "bpm", Optional.of(noise)),
            new Figure("Time", BigDecimal.valueOf(rise), "s", Optional.empty())),
        OptionalInt.of(repetitions),
        List.of());
  }

  private static Retest retest(TestOutcome before, TestOutcome now) {
    return Retest.of(before, now, "4 Mar 2030", Optional.empty());
  }

  @ParameterizedTest
  @CsvSource({"STRAP, 9, true", "STRAP, 8, false", "COUNT, 11, true", "COUNT, 10, false"})
  void aChangeIsOneBeyondNoise(RateSource source, int less, boolean changed) {
    Retest retest =
        retest(outcome(THEN, source, CHAIR, 40, 30), outcome(NOW, source, CHAIR, 40 - less, 30));
    assertThat(retest.unlike()).isEmpty();
    assertThat(retest.pairs().get(0).changed()).contains(changed);
    assertThat(retest.pairs().get(0).change()).isEqualByComparingTo(BigDecimal.valueOf(-less));
    // Where no smallest change is known, none is called one.
    assertThat(retest.pairs().get(1).changed()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"21, true", "22, false", "19, true", "18, false"})
  void repetitionsWithinFivePercent(int repetitions, boolean compared) {
    Retest retest =
        retest(
            outcome(THEN, RateSource.STRAP, CHAIR, 40, 20),
            outcome(NOW, RateSource.STRAP, CHAIR, 30, repetitions));
    assertThat(retest.unlike().isEmpty()).isEqualTo(compared);
  }

  @Test
  void onlyAlikeIsCompared() {
    TestOutcome before = outcome(THEN, RateSource.STRAP, CHAIR, 40, 30);
    TestPlan.Setup marching =
        new TestPlan.TwoMinute(TestPlan.Activity.MARCHING, OptionalInt.empty(), TestPosture.SEATED);
    assertThat(retest(before, outcome(NOW, RateSource.COUNT, CHAIR, 40, 30)).unlike().get())
        .extracting(finding -> finding.message())
        .isEqualTo("Not compared with that of 4 Mar 2030: another source of the rate.");
    assertThat(retest(before, outcome(NOW, RateSource.STRAP, marching, 40, 30)).unlike())
        .isPresent();
    TestOutcome now = outcome(NOW, RateSource.STRAP, CHAIR, 40, 30);
    Instant between = Instant.parse("2030-05-01T00:00:00Z");
    assertThat(Retest.of(before, now, "", Optional.of(between)).unlike()).isPresent();
    assertThat(Retest.of(before, now, "", Optional.of(THEN.minusSeconds(1))).unlike()).isEmpty();
  }
}
