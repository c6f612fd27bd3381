package app.korvel.core.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.InvalidValueException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TraceTest {
  /** A rate a second, 0 for none. */
  private static Trace of(int... bpm) {
    return Trace.of(IntStream.rangeClosed(1, bpm.length).toArray(), bpm);
  }

  @Test
  void aGapIsNoDataOnceTheLastSampleIsTooOld() {
    int[] at = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 31, 32, 33, 34, 35, 36, 37, 38, 39, 40};
    int[] bpm = IntStream.range(0, at.length).map(n -> 120).toArray();
    Trace trace = Trace.of(at, bpm);
    int[] none =
        IntStream.rangeClosed(1, 40).filter(second -> trace.value(second).isEmpty()).toArray();
    assertThat(none).hasSize(15).startsWith(16).endsWith(30);
    assertThat(trace.value(15)).hasValue(120);
    assertThat(trace.sampledAt(15)).isFalse();
  }

  @Test
  void theSmoothedRateIsTheLowerMiddleOfAtLeastThree() {
    Trace trace = of(100, 140, 120, 110, 90, 200);
    assertThat(trace.smoothed(2)).isEmpty();
    assertThat(trace.smoothed(3)).hasValue(120);
    // 100, 110, 120, 140: of an even number the lower middle.
    assertThat(trace.smoothed(4)).hasValue(110);
    assertThat(trace.smoothed(5)).hasValue(110);
    assertThat(trace.smoothed(6)).hasValue(120);
    assertThat(trace.smoothed(7)).isEmpty();
    assertThat(trace.histogram()[110]).isEqualTo(2);
    assertThat(trace.secondsWithoutData()).isEqualTo(2);
  }

  @Test
  void whatIsNoRateIsDropped() {
    Trace trace = of(24, 241, 0, 25, 240);
    assertThat(trace.value(3)).isEmpty();
    assertThat(trace.value(4)).hasValue(25);
    assertThat(trace.value(5)).hasValue(240);
  }

  @Test
  void whatIsNoRecordingIsRefused() {
    assertThatThrownBy(() -> Trace.of(new int[] {1, 2}, new int[] {100}))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> Trace.of(new int[] {2, 1}, new int[] {100, 100}))
        .hasMessageContaining("second 1 comes after 2");
    assertThatThrownBy(() -> Trace.of(new int[] {0}, new int[] {100}))
        .isInstanceOf(InvalidValueException.class);
    assertThatThrownBy(() -> Trace.of(new int[] {Trace.MOST_SECONDS + 1}, new int[] {100}))
        .isInstanceOf(InvalidValueException.class);
    assertThat(Trace.of(new int[0], new int[0]).seconds()).isZero();
  }
}
