package app.korvel.core.maximum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.RecordedPeak.SetAside;
import app.korvel.core.maximum.RecordedPeak.Why;
import app.korvel.core.measure.Finding;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecordedPeakTest {

  /** One sample a second. */
  private static RecordedPeak of(int... bpm) {
    StringBuilder csv = new StringBuilder("seconds,bpm\n");
    IntStream.range(0, bpm.length)
        .forEach(i -> csv.append(i).append(',').append(bpm[i]).append('\n'));
    return RecordedPeak.of(csv.toString());
  }

  @Test
  void theHighestFiveSecondMedianCountsAndNotTheHighestRate() {
    // Medians: 181 182 183 of 180..184; the single 190 is the top of no five seconds near it.
    RecordedPeak peak = of(178, 180, 181, 182, 183, 184, 190, 183, 182, 181, 180);
    assertThat(peak.bpm()).hasValue(183);
    assertThat(peak.setAside()).isEmpty();
    assertThat(peak.findings()).isEmpty();
  }

  @Test
  void aSpikeIsSetAsideUntilTheRateIsBackAndTheHeartIsAskedAfter() {
    RecordedPeak peak = of(160, 161, 162, 195, 196, 196, 196, 196, 196, 163, 163, 164, 164, 163);
    assertThat(peak.bpm()).hasValue(163);
    assertThat(peak.setAside()).containsExactly(new SetAside(3, 8, Why.SUDDEN_RISE));
    assertThat(peak.findings()).extracting(Finding::code).containsExactly("peak-sudden-rise");
  }

  @Test
  void aRiseThatStaysForAMinuteIsTakenFromThenOn() {
    int[] bpm = IntStream.range(0, 90).map(i -> i < 10 ? 150 : 170).toArray();
    RecordedPeak peak = of(bpm);
    assertThat(peak.setAside()).containsExactly(new SetAside(10, 70, Why.SUDDEN_RISE));
    assertThat(peak.bpm()).hasValue(170);
    assertThat(peak.atSecond()).isEqualTo(71);
  }

  @Test
  void fifteenInTwoSecondsIsNoSuddenRise() {
    assertThat(of(160, 167, 175, 175, 175, 175, 175).bpm()).hasValue(175);
    assertThat(of(160, 167, 176, 176, 176, 176, 176).bpm()).isEmpty();
  }

  @Test
  void ratesOverTwoHundredAndThirtyAreNone() {
    RecordedPeak peak = of(180, 181, 231, 240, 182, 183, 183, 184, 184, 184);
    assertThat(peak.bpm()).hasValue(184);
    assertThat(peak.setAside()).contains(new SetAside(2, 3, Why.TOO_HIGH));
  }

  @Test
  void aStretchLockedToTheStepRateIsSetAside() {
    StringBuilder csv = new StringBuilder("seconds,bpm,steps\n");
    for (int i = 0; i < 40; i++) {
      csv.append(i).append(",172,170\n");
    }
    for (int i = 40; i < 60; i++) {
      csv.append(i).append(",165,150\n");
    }
    RecordedPeak peak = RecordedPeak.of(csv.toString());
    assertThat(peak.setAside()).containsExactly(new SetAside(0, 39, Why.STEP_LOCK));
    assertThat(peak.bpm()).hasValue(165);
    // Half the step rate is a lock too; thirty seconds are not enough for one.
    String half = csv.toString().replace(",172,170", ",86,170");
    assertThat(RecordedPeak.of(half).setAside()).extracting(SetAside::why).contains(Why.STEP_LOCK);
    StringBuilder brief = new StringBuilder("seconds,bpm,steps\n");
    for (int i = 0; i <= 30; i++) {
      brief.append(i).append(",172,170\n");
    }
    assertThat(RecordedPeak.of(brief.toString()).bpm()).hasValue(172);
  }

  @Test
  void fiveSecondsTogetherAreNeededAndAGapBreaksThem() {
    assertThat(of(180, 180, 180, 180).bpm()).isEmpty();
    assertThat(of(180, 180, 180, 180, 180).bpm()).hasValue(180);
    assertThat(of(180, 180, 0, 180, 180).findings())
        .extracting(Finding::code)
        .containsExactly("peak-none");
    assertThat(RecordedPeak.of("seconds,bpm\n0,180\n20,180\n40,180\n").bpm()).isEmpty();
    assertThat(RecordedPeak.of("seconds,bpm\n").bpm()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | is empty",
        "'0,180' | line 1 does not name the columns",
        "'seconds,bpm;0,fast' | line 2: “fast” is not a whole number",
        "'seconds,bpm;0,180,1' | line 2 has 3 fields",
        "'seconds,bpm;5,180;5,181' | line 3: the seconds do not rise",
        "'seconds,bpm;0,-1' | line 2: “-1” is not a whole number",
      })
  void whatIsNoRecordingSaysWhere(String csv, String why) {
    assertThatThrownBy(() -> RecordedPeak.of(csv.replace(';', '\n'))).hasMessageContaining(why);
  }

  @Test
  void aRecordingHasAnEnd() {
    StringBuilder csv = new StringBuilder("seconds,bpm\n");
    IntStream.rangeClosed(0, 43_200).forEach(i -> csv.append(i).append(",150\n"));
    assertThatThrownBy(() -> RecordedPeak.of(csv.toString()))
        .hasMessageContaining("has 43201 lines");
  }
}
