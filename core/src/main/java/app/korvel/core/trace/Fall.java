package app.korvel.core.trace;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * How a heart rate falls once the work has stopped, by its samples alone.
 *
 * @param endBpm the middle of the samples of the last 5 s
 * @param drop60 how far it had fallen after 60 s; empty with too few samples about either moment
 * @param drop120 the same after 120 s
 * @param fit the curve through the first 120 s, where one fits
 * @param higherBefore by how much it was higher within the 15 s before the end, where that was so
 *     much that the work may have stopped sooner
 */
public record Fall(
    int endBpm,
    OptionalInt drop60,
    OptionalInt drop120,
    Optional<ExponentialFit> fit,
    OptionalInt higherBefore) {

  private static final int END = 5;
  private static final int ABOUT = 2;
  private static final int FEWEST = 3;
  private static final int BEFORE = 15;
  private static final int HIGHER = 5;
  private static final int FIRST = 60;
  private static final int SECOND = 120;

  /** So long after the end the drops are known, in seconds. */
  public static final int KNOWN_60 = FIRST + ABOUT;

  public static final int KNOWN_120 = SECOND + ABOUT;

  /**
   * The fall after a moment.
   *
   * @param end the last second of the work
   * @return empty where no sample was taken in its last 5 s
   */
  public static Optional<Fall> of(Trace trace, int end) {
    OptionalInt atEnd = trace.median(end - END + 1, end, 1);
    if (atEnd.isEmpty()) {
      return Optional.empty();
    }
    int bpm = atEnd.getAsInt();
    int higher = 0;
    for (int second = end - BEFORE; second < end; second++) {
      higher = Math.max(higher, trace.smoothed(second).orElse(0) - bpm);
    }
    return Optional.of(
        new Fall(
            bpm,
            drop(trace, end, FIRST),
            drop(trace, end, SECOND),
            ExponentialFit.falling(trace, end, SECOND),
            higher >= HIGHER ? OptionalInt.of(higher) : OptionalInt.empty()));
  }

  private static OptionalInt drop(Trace trace, int end, int after) {
    OptionalInt from = trace.median(end - END + 1, end, FEWEST);
    OptionalInt to = trace.median(end + after - ABOUT, end + after + ABOUT, FEWEST);
    return from.isPresent() && to.isPresent()
        ? OptionalInt.of(from.getAsInt() - to.getAsInt())
        : OptionalInt.empty();
  }
}
