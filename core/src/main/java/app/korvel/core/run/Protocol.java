package app.korvel.core.run;

import java.time.Duration;
import java.util.List;

/**
 * Rows in the order in which they come.
 *
 * @param rows at least one
 * @param again how many of the first rows come again after a long pause: the warm-up
 * @param longPause from so long on
 */
public record Protocol(List<Row> rows, int again, Duration longPause) {
  public Protocol {
    rows = List.copyOf(rows);
    if (rows.isEmpty() || again < 0 || again > rows.size()) {
      throw new IllegalArgumentException("A protocol has rows, and repeats none but its own.");
    }
  }

  /** Rows of which none comes again. */
  public static Protocol of(List<Row> rows) {
    return new Protocol(rows, 0, Duration.ZERO);
  }
}
