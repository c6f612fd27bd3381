package app.korvel.core.live;

import app.korvel.core.trace.Samples;
import java.time.Instant;
import java.util.List;

/**
 * The samples of a session as they are known to be its own, and as they were thought to be before
 * straps were found to be swapped.
 *
 * @param before in the order of the moments until which they were thought so
 */
public record Recording(Samples samples, List<Before> before) {
  /** What was thought to be its own until a moment. */
  public record Before(Instant until, Samples samples) {}

  public Recording {
    before = List.copyOf(before);
  }

  /** Samples that were never thought to be somebody else's. */
  public static Recording of(Samples samples) {
    return new Recording(samples, List.of());
  }
}
