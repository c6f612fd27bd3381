package app.korvel.sensor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.pulse.Taps;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SimulatedPulseTest {

  private static SimulatedPulse pulse(int bpm, Rhythm rhythm, long seed) {
    return SimulatedPulse.of(bpm, rhythm, Strength.NORMAL, seed, -4_000, 60_500);
  }

  private static List<BigDecimal> taps(SimulatedPulse pulse) {
    return Arrays.stream(pulse.millis()).mapToObj(BigDecimal::valueOf).toList();
  }

  private static double spread(SimulatedPulse pulse) {
    int[] at = pulse.millis();
    int[] apart = new int[at.length - 1];
    for (int i = 0; i < apart.length; i++) {
      apart[i] = at[i + 1] - at[i];
    }
    Arrays.sort(apart);
    return (apart[apart.length - 1] - apart[0]) / (double) apart[apart.length / 2];
  }

  @Test
  void theSameSeedIsTheSamePulse() {
    assertThat(pulse(72, Rhythm.STEADY, 7).millis())
        .isEqualTo(pulse(72, Rhythm.STEADY, 7).millis());
    assertThat(pulse(72, Rhythm.STEADY, 7).millis())
        .isNotEqualTo(pulse(72, Rhythm.STEADY, 8).millis());
  }

  @ParameterizedTest
  @ValueSource(ints = {46, 72, 120, 188})
  void goesAtTheRateAskedFor(int bpm) {
    for (long seed = 0; seed < 50; seed++) {
      SimulatedPulse steady = pulse(bpm, Rhythm.STEADY, seed);
      assertThat(steady.bpmOver(0, 60_000)).isBetween(bpm - 2, bpm + 2);
      assertThat(steady.beatsIn(0, 60_000)).isBetween(bpm - 3, bpm + 3);
      assertThat(steady.millis()[0]).isLessThanOrEqualTo(-4_000);
      assertThat(steady.millis()).isSorted();
      assertThat(steady.millis()[steady.millis().length - 1]).isGreaterThan(60_500);
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {46, 72, 104, 188})
  void steadyIsSteadyAndUnevenUnevenByTheRuleOfTaps(int bpm) {
    for (long seed = 0; seed < 50; seed++) {
      assertThat(Taps.of(taps(pulse(bpm, Rhythm.STEADY, seed))).rhythm()).isEqualTo(Rhythm.STEADY);
    }
    for (long seed = 0; seed < 50; seed++) {
      assertThat(Taps.of(taps(pulse(bpm, Rhythm.UNEVEN, seed))).rhythm()).isEqualTo(Rhythm.UNEVEN);
    }
  }

  @Test
  void aSlowPulseSwingsWithTheBreathAndAFastOneHardly() {
    assertThat(spread(pulse(50, Rhythm.STEADY, 3))).isBetween(0.13, 0.25);
    assertThat(spread(pulse(180, Rhythm.STEADY, 3))).isLessThan(0.07);
  }

  @Test
  void strengthIsHeardAndFaintIsFaint() {
    int[] weak = SimulatedPulse.of(70, Rhythm.STEADY, Strength.WEAK, 1, -1_000, 9_000).loudness();
    int[] strong =
        SimulatedPulse.of(70, Rhythm.STEADY, Strength.STRONG, 1, -1_000, 9_000).loudness();
    assertThat(Arrays.stream(weak).max().orElseThrow()).isLessThan(26);
    assertThat(Arrays.stream(strong).min().orElseThrow()).isGreaterThan(65);
  }

  @Test
  void aBeatOnTheStartCountsAndOneOnTheEndDoesNot() {
    SimulatedPulse pulse = pulse(60, Rhythm.STEADY, 2);
    int[] at = pulse.millis();
    assertThat(pulse.beatsIn(at[3], at[6])).isEqualTo(3);
    assertThat(pulse.beatsIn(at[3] + 1, at[6] + 1)).isEqualTo(3);
    assertThat(pulse.beatsIn(at[3] + 1, at[6])).isEqualTo(2);
  }

  @Test
  void nothingIsSaidOfWhatWasNotPlayed() {
    assertThatThrownBy(() -> pulse(60, Rhythm.STEADY, 2).bpmOver(0, 90_000))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> pulse(60, Rhythm.TOO_SHORT, 2))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
