package app.korvel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.recovery.Recovery.Passed;
import app.korvel.core.recovery.Recovery.Who;
import app.korvel.core.trace.ExponentialFit;
import app.korvel.core.trace.Fall;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Schemes;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The worked recoveries of the design, on 64 to 176, and cases worked out by hand. */
class RecoveryTest {
  private static final int END = 30;
  private static final int LAST = END + 200;
  private static final Set<EffortContext> NOTHING = Set.of();

  private static Zones zones(String scheme) {
    return Zones.of(
        Schemes.ALL.stream().filter(each -> each.id().equals(scheme)).findFirst().orElseThrow(),
        Reserve.of(64, 176),
        Uncertainty.USUAL);
  }

  /** A sample a second from 30 s before the end on. */
  private static Trace trace(IntUnaryOperator afterEnd) {
    int[] at = new int[LAST];
    int[] bpm = new int[LAST];
    for (int second = 1; second <= LAST; second++) {
      at[second - 1] = second;
      bpm[second - 1] = afterEnd.applyAsInt(second - END);
    }
    return Trace.of(at, bpm);
  }

  /** Steady at each of the three. */
  private static Trace drops(int end, int drop60, int drop120) {
    return trace(after -> after <= 20 ? end : after <= 90 ? end - drop60 : end - drop120);
  }

  private static Who who(RecoveryPosture posture, Set<EffortContext> contexts) {
    return new Who(posture, OptionalInt.of(176), contexts);
  }

  private static Recovery of(Trace trace, RecoveryPosture posture) {
    return Recovery.of(trace, END, LAST, who(posture, NOTHING), Optional.of(zones("max-fifths")))
        .orElseThrow();
  }

  private static List<String> codes(Recovery recovery) {
    return recovery.findings().stream().map(Finding::code).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "158, 15, 30, MOVING, true, false",
    "158, 13, 30, MOVING, true, false",
    "158, 12, 27, MOVING, true, true",
    "152, 18, 30, LYING, true, true",
    "152, 19, 22, LYING, true, false",
    "152, 19, 21, LYING, true, true",
    "151, 19, 22, LYING, true, false",
    "150, 12, 27, MOVING, true, true",
    "149, 12, 27, MOVING, false, false",
    "148, 11, 26, MOVING, false, false",
    "158, 5, 6, SEATED, false, false",
    "158, 5, 6, STANDING, false, false",
    "158, 5, 6, ARMS_UP, false, false"
  })
  void isJudgedAtThePublishedLineOfItsPosture(
      int end, int drop60, int drop120, RecoveryPosture posture, boolean judged, boolean slow) {
    Recovery recovery = of(drops(end, drop60, drop120), posture);
    assertThat(recovery.endBpm()).isEqualTo(end);
    assertThat(recovery.drop60()).hasValue(drop60);
    assertThat(recovery.drop120()).hasValue(drop120);
    assertThat(recovery.judged()).isEqualTo(judged);
    assertThat(recovery.slow()).isEqualTo(slow);
  }

  @ParameterizedTest
  @CsvSource({"RATE_LOWERING_MEDICINE", "IRREGULAR_RHYTHM", "PACEMAKER", "NEUROPATHY", "UNDER_18"})
  void isNotJudgedWhereTheRateSaysSomethingElse(EffortContext context) {
    Recovery recovery =
        Recovery.of(
                drops(158, 5, 9),
                END,
                LAST,
                who(RecoveryPosture.MOVING, Set.of(context)),
                Optional.empty())
            .orElseThrow();
    assertThat(recovery.judged()).isFalse();
    assertThat(recovery.slow()).isFalse();
    assertThat(codes(recovery)).contains("not-judged");
  }

  @Test
  void aCurveIsFittedThroughTheFirstTwoMinutes() {
    int[] bpm = {165, 153, 144, 136, 129, 124, 119, 115, 111, 109, 106, 105, 103};
    int[] at = new int[bpm.length];
    for (int n = 0; n < bpm.length; n++) {
      at[n] = END + 10 * n;
    }
    Fall fall = Fall.of(Trace.of(at, bpm), END).orElseThrow();
    assertThat(fall.endBpm()).isEqualTo(165);
    ExponentialFit fit = fall.fit().orElseThrow();
    assertThat(fit.timeConstantSeconds()).isEqualTo(57);
    assertThat(fit.a()).isCloseTo(94.3, within(0.05));
    assertThat(fit.b()).isCloseTo(70.45, within(0.05));
    assertThat(fit.squares()).isCloseTo(1.355, within(0.005));
    assertThat(fit.explained()).isCloseTo(0.9997, within(0.0001));
    assertThat(fit.at(0)).isEqualTo(165);
    // A sample every ten seconds is too few for a drop.
    assertThat(fall.drop60()).isEmpty();
  }

  @Test
  void noCurveIsShownThatSaysNothing() {
    IntUnaryOperator curve = after -> after < 0 ? 160 : 90 + (int) (70 * Math.exp(-after / 50.0));
    assertThat(of(trace(curve), RecoveryPosture.MOVING).fit()).isPresent();
    // under 90 s of samples
    assertThat(
            Recovery.of(
                    trace(curve),
                    END,
                    END + 89,
                    who(RecoveryPosture.MOVING, NOTHING),
                    Optional.empty())
                .orElseThrow()
                .fit())
        .isEmpty();
    // falls by under 15 in all
    assertThat(
            of(
                    trace(after -> after < 0 ? 160 : 148 + (int) (12 * Math.exp(-after / 50.0))),
                    RecoveryPosture.MOVING)
                .fit())
        .isEmpty();
    // a straight line: the slowest curve there is
    assertThat(of(trace(after -> 160 - Math.max(0, after) / 3), RecoveryPosture.MOVING).fit())
        .isEmpty();
    // up and down
    assertThat(of(trace(after -> after % 40 < 20 ? 160 : 120), RecoveryPosture.MOVING).fit())
        .isEmpty();
  }

  @Test
  void edgesArePassedOnceTheRateStaysUnderThemForFiveSeconds() {
    // The edges of fifths of the maximum on 176 are 88, 106, 123, 141 and 158.
    Trace trace =
        trace(
            after ->
                after < 10
                    ? 160
                    : after < 13
                        ? 150
                        : after < 20 ? 160 : after < 40 ? 157 : after < 60 ? 141 : 140);
    List<Passed> passed = of(trace, RecoveryPosture.MOVING).passed();
    assertThat(passed).extracting(Passed::bpm).containsExactly(158, 141);
    // Three seconds under it were not enough; the median of five comes two seconds after the rate.
    assertThat(passed).extracting(Passed::seconds).containsExactly(22, 62);
  }

  @Test
  void theEndIsAskedAboutWhereTheRateWasHigherShortlyBefore() {
    assertThat(
            codes(
                of(
                    trace(after -> after <= -8 ? 165 : after <= 3 ? 160 : 140),
                    RecoveryPosture.MOVING)))
        .contains("higher-before");
    assertThat(
            codes(
                of(
                    trace(after -> after <= -8 ? 164 : after <= 3 ? 160 : 140),
                    RecoveryPosture.MOVING)))
        .doesNotContain("higher-before");
  }

  @Test
  void standingStillAfterHardWorkIsWarnedOf() {
    assertThat(codes(of(drops(150, 20, 30), RecoveryPosture.STANDING))).contains("keep-moving");
    assertThat(codes(of(drops(149, 20, 30), RecoveryPosture.STANDING)))
        .doesNotContain("keep-moving");
    assertThat(codes(of(drops(170, 20, 30), RecoveryPosture.SEATED))).doesNotContain("keep-moving");
  }

  @Test
  void withoutSamplesAboutAMomentThereIsNoDropAndNothingIsJudged() {
    Recovery gap =
        of(
            trace(after -> after >= 58 && after <= 60 ? 0 : after > 20 ? 150 : 160),
            RecoveryPosture.MOVING);
    assertThat(gap.drop60()).isEmpty();
    assertThat(gap.judged()).isFalse();
    assertThat(codes(gap)).contains("too-few-samples");
    assertThat(Fall.of(trace(after -> after > -5 ? 0 : 150), END)).isEmpty();
  }

  @Test
  void countsAreATrendOfTheirOwn() {
    Recovery counted =
        Recovery.counted(
            156, OptionalInt.of(148), OptionalInt.empty(), who(RecoveryPosture.MOVING, NOTHING));
    assertThat(counted.source()).isEqualTo(RateSource.COUNT);
    assertThat(counted.drop60()).hasValue(8);
    assertThat(counted.drop120()).isEmpty();
    assertThat(counted.judged()).isFalse();
    assertThat(codes(counted)).containsExactly("by-count");
  }
}
