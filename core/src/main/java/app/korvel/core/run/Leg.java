package app.korvel.core.run;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A row as it is run; one that is run twice has two legs.
 *
 * @param row which, from 0
 * @param from when it came
 * @param clockFrom when its clock began; empty while it waits
 * @param byItself whether it had waited as long as it may, and began all the same
 * @param length how long it lasts by its clock
 * @param pauses in which its clock stood; the last may still be on
 * @param endedAt when it was over; empty while it is on
 * @param whole whether it ran its whole time, as far as is known
 */
public record Leg(
    int row,
    Instant from,
    Optional<Instant> clockFrom,
    boolean byItself,
    Duration length,
    List<Pause> pauses,
    Optional<Instant> endedAt,
    boolean whole) {

  /**
   * Time in which the clock stood.
   *
   * @param to empty while it stands
   */
  public record Pause(Instant from, Optional<Instant> to) {
    /** How long it has lasted at {@code now}. */
    public Duration at(Instant now) {
      return Duration.between(from, to.orElse(now));
    }
  }

  public Leg {
    pauses = List.copyOf(pauses);
  }

  /** When it ends by itself; empty while it waits or its clock stands. */
  public Optional<Instant> until() {
    if (endedAt.isPresent()) {
      return endedAt;
    }
    boolean standing = pauses.stream().anyMatch(pause -> pause.to.isEmpty());
    return standing
        ? Optional.empty()
        : clockFrom.map(began -> began.plus(length).plus(pausedSince(began, Instant.MAX)));
  }

  /** How much its clock has run at {@code now}. */
  public Duration ran(Instant now) {
    Instant end = endedAt.filter(now::isAfter).orElse(now);
    return clockFrom
        .filter(began -> began.isBefore(end))
        .map(began -> Duration.between(began, end).minus(pausedSince(began, end)))
        .orElse(Duration.ZERO);
  }

  /** The time that its clock stood from {@code began} to {@code end}. */
  Duration pausedSince(Instant began, Instant end) {
    Duration sum = Duration.ZERO;
    for (Pause pause : pauses) {
      Instant from = pause.from.isBefore(began) ? began : pause.from;
      Instant to = pause.to.filter(end::isAfter).orElse(end);
      if (from.isBefore(to)) {
        sum = sum.plus(Duration.between(from, to));
      }
    }
    return sum;
  }

  Leg begun(Instant at, boolean itself) {
    return new Leg(row, from, Optional.of(at), itself, length, pauses, endedAt, whole);
  }

  Leg ended(Instant at, boolean whole) {
    return new Leg(row, from, clockFrom, byItself, length, pauses, Optional.of(at), whole);
  }

  Leg lasting(Duration other) {
    return new Leg(row, from, clockFrom, byItself, other, pauses, endedAt, whole);
  }

  Leg pausing(List<Pause> other) {
    return new Leg(row, from, clockFrom, byItself, length, other, endedAt, whole);
  }
}
