package app.korvel.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Optional;

/**
 * When something is asked for while a row runs, by its clock.
 *
 * @param first so long after it began
 * @param every again after so long
 * @param beforeEnd and so long before it ends, where that is later than the first; zero for never
 */
public record Prompt(Duration first, Duration every, Duration beforeEnd) {

  /**
   * Since when it is due.
   *
   * @param given when it was given, in any order
   * @return the moment of the leg's clock it fell due at; empty where nothing is due
   */
  public Optional<Duration> due(Leg leg, Collection<Instant> given, Instant now) {
    Duration ran = leg.ran(now);
    if (leg.endedAt().isPresent() || ran.compareTo(first) < 0) {
      return Optional.empty();
    }
    long turns = ran.minus(first).dividedBy(every);
    Duration last = first.plus(every.multipliedBy(turns));
    Duration end = leg.length().minus(beforeEnd);
    if (!beforeEnd.isZero() && ran.compareTo(end) >= 0 && end.compareTo(last) > 0) {
      last = end;
    }
    Duration asked = last;
    boolean answered =
        given.stream()
            .filter(at -> !at.isBefore(leg.from()))
            .anyMatch(at -> leg.ran(at).compareTo(asked) >= 0);
    return answered ? Optional.empty() : Optional.of(asked);
  }
}
