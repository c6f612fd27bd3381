package app.korvel.studio;

import app.korvel.store.StudioRepository;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicReference;

/**
 * What time it is where the studio is. Where the machine's clock is put back, it goes on from where
 * it was, until that has caught up: what is said next is later than what was said before.
 */
public class StudioClock {
  /** Put back by more than that, a clock was wrong before and is right now. */
  private static final Duration FARTHEST = Duration.ofDays(1);

  private final Clock clock;
  private final ZoneId zone;
  private final AtomicReference<LastTold> latest;

  /**
   * What time was told last, and how far ahead of the machine's clock that was.
   *
   * @param ahead zero but after the machine's clock was put back
   */
  private record LastTold(Instant at, Duration ahead) {
    LastTold next(Instant machine) {
      if (!machine.isBefore(at)) {
        return new LastTold(machine, Duration.ZERO);
      }
      Instant goingOn = machine.plus(ahead);
      if (goingOn.isAfter(at)) {
        return new LastTold(goingOn, ahead);
      }
      Duration back = Duration.between(machine, at);
      return back.compareTo(FARTHEST) < 0
          ? new LastTold(at.plusNanos(1_000), back.plusNanos(1_000))
          : new LastTold(machine, Duration.ZERO);
    }
  }

  public StudioClock(Clock clock, StudioRepository studio) {
    this.clock = clock;
    this.zone = studio.timeZone();
    this.latest =
        new AtomicReference<>(
            new LastTold(studio.newestRecord().orElse(Instant.EPOCH), Duration.ZERO));
  }

  public Instant now() {
    return latest.updateAndGet(before -> before.next(clock.instant())).at();
  }

  public LocalDate today() {
    return LocalDate.ofInstant(now(), zone);
  }

  /** How long it is until the studio's next day begins. */
  public Duration untilTomorrow() {
    Instant now = now();
    return Duration.between(
        now, LocalDate.ofInstant(now, zone).plusDays(1).atStartOfDay(zone).toInstant());
  }

  public ZoneId zone() {
    return zone;
  }
}
