package app.korvel.core.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.DeviceRecording.Builder;
import app.korvel.core.trace.DeviceRecording.Gap;
import java.time.Instant;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DeviceRecordingTest {
  private static final Instant START = Instant.parse("2030-03-18T17:00:00.400Z");
  private static final int NONE = -1;

  private static Builder every(int seconds, int points, IntUnaryOperator bpm) {
    Builder builder = new Builder();
    for (int n = 0; n < points; n++) {
      builder.add(START.plusSeconds((long) n * seconds), bpm.applyAsInt(n), NONE, () -> "point");
    }
    return builder;
  }

  @Test
  void aRecordingBeginsAtItsFirstPointAndIsHeldBySecond() {
    DeviceRecording recording = every(1, 90, n -> 100 + n).build();
    assertThat(recording.startedAt()).isEqualTo(START);
    assertThat(recording.length()).isEqualTo(90);
    assertThat(recording.trace().value(1)).hasValue(100);
    assertThat(recording.trace().value(90)).hasValue(189);
    assertThat(recording.trace().seconds()).isEqualTo(90);
    assertThat(recording.findings()).isEmpty();
    assertThat(recording.sparse()).isFalse();
  }

  @Test
  void ofOneSecondTheLastCounts() {
    Builder builder = every(1, 70, n -> 120);
    builder.add(START.plusMillis(69_500), 130, NONE, () -> "point 71");
    DeviceRecording recording = builder.build();
    assertThat(recording.points()).isEqualTo(70);
    assertThat(recording.bpm()[69]).isEqualTo(130);
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "255, 0", "24, 0", "25, 25", "240, 240", "241, 0", "-7, 0"})
  void whatNoHeartDoesIsNoContact(int written, int kept) {
    assertThat(every(1, 70, n -> n == 30 ? written : 120).build().bpm()[30]).isEqualTo(kept);
  }

  @Test
  void timesThatGoBackAreRefusedWithTheirPlace() {
    Builder builder = every(1, 70, n -> 120);
    assertThatThrownBy(() -> builder.add(START.plusSeconds(12), 120, NONE, () -> "line 72"))
        .isInstanceOf(InvalidValueException.class)
        .hasMessageContaining("line 72: its time lies before the one before it");
  }

  @Test
  void twelveHoursAreTheMost() {
    Builder builder = new Builder();
    builder.add(START, 120, NONE, () -> "point 1");
    builder.add(START.plusSeconds(12 * 3600 - 1), 120, NONE, () -> "point 2");
    assertThat(builder.build().length()).isEqualTo(12 * 3600);
    assertThatThrownBy(() -> builder.add(START.plusSeconds(12 * 3600), 120, NONE, () -> "point 3"))
        .hasMessageContaining("point 3: lies over 12 h after the start");
  }

  @Test
  void withoutARateOrUnderAMinuteThereIsNoRecording() {
    assertThatThrownBy(() -> new Builder().build()).hasMessageContaining("holds no recording");
    assertThatThrownBy(() -> every(1, 70, n -> 0).build())
        .hasMessageContaining("holds no heart rate in 70 points");
    assertThatThrownBy(() -> every(1, 59, n -> 120).build()).hasMessageContaining("lasts 59 s");
    assertThat(every(1, 60, n -> 120).build().length()).isEqualTo(60);
  }

  @Test
  void aSparseRecordingHoldsEachRateForTenSecondsAtMost() {
    DeviceRecording recording = every(8, 20, n -> n == 10 ? 0 : 100 + n).build();
    assertThat(recording.sparse()).isTrue();
    assertThat(recording.findings()).extracting(Finding::code).contains("recording-sparse");
    assertThat(recording.trace().value(8)).hasValue(100);
    assertThat(recording.trace().value(9)).hasValue(101);
    DeviceRecording wide = every(30, 10, n -> 120).build();
    assertThat(wide.trace().value(11)).hasValue(120);
    assertThat(wide.trace().value(12)).isEmpty();
    assertThat(every(2, 40, n -> 120).build().sparse()).isFalse();
    assertThat(every(3, 30, n -> 120).build().sparse()).isTrue();
  }

  @Test
  void gapsAreStretchesOfOverTenSeconds() {
    // The last rate before a gap holds 5 s: 11 s without contact are 6 without data.
    DeviceRecording brief = every(1, 100, n -> n >= 40 && n < 55 ? 0 : 120).build();
    assertThat(brief.gaps()).isEmpty();
    DeviceRecording longer = every(1, 100, n -> n >= 40 && n < 56 ? 0 : 120).build();
    assertThat(longer.gaps()).containsExactly(new Gap(46, 56));
    assertThat(longer.findings().get(0).message())
        .isEqualTo("Gaps: 1, with 11 s without a heart rate in all.");
  }

  @ParameterizedTest
  @CsvSource({"85, true, 170", "109, true, 218", "110, false, 110", "168, false, 168"})
  void aDeviceThatCountsOneFootIsDoubled(int told, boolean doubled, int kept) {
    Builder builder = new Builder();
    for (int n = 0; n < 80; n++) {
      builder.add(START.plusSeconds(n), 140, n < 10 ? 0 : told, () -> "point");
    }
    DeviceRecording recording = builder.build();
    assertThat(recording.stepsDoubled()).isEqualTo(doubled);
    assertThat(recording.stepsBySecond()[40]).isEqualTo(kept);
    assertThat(every(1, 70, n -> 120).build().steps()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"60, 105, true", "61, 100, false", "-60, 96, true", "0, 94, false", "0, 106, false"})
  void twoOfOneSessionStartTogetherAndAreAsLong(int later, int length, boolean together) {
    DeviceRecording recording = every(1, 100, n -> 120).build();
    assertThat(recording.alongside(START.plusSeconds(later), length)).isEqualTo(together);
  }
}
