package app.korvel.core.support;

import app.korvel.core.trace.Samples;
import java.time.Instant;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;

/** Made-up recordings for the tests. */
public final class Recorded {
  private Recorded() {}

  /** A sample each second, half a second before it is full; none where the rate is 0. */
  public static Samples samples(Instant start, int seconds, IntUnaryOperator bpm) {
    int[] with =
        IntStream.rangeClosed(1, seconds).filter(second -> bpm.applyAsInt(second) > 0).toArray();
    return new Samples(
        start,
        IntStream.of(with).map(second -> 1000 * second - 500).toArray(),
        IntStream.of(with).map(bpm).toArray());
  }
}
