package app.korvel.core.programme;

import java.time.LocalDateTime;

/**
 * A time that is taken.
 *
 * @param from its beginning, on the studio's clock
 * @param to its end, after {@code from}
 */
public record Busy(LocalDateTime from, LocalDateTime to) {

  boolean overlaps(LocalDateTime begin, LocalDateTime end) {
    return from.isBefore(end) && to.isAfter(begin);
  }
}
