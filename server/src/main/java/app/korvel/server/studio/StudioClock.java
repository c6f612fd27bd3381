package app.korvel.server.studio;

import app.korvel.store.StudioRepository;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.stereotype.Component;

/** What time it is where the studio is. */
@Component
public class StudioClock {
  private final Clock clock;
  private final ZoneId zone;

  public StudioClock(Clock clock, StudioRepository studio) {
    this.clock = clock;
    this.zone = studio.timeZone();
  }

  public Instant now() {
    return clock.instant();
  }

  public LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), zone);
  }

  public ZoneId zone() {
    return zone;
  }
}
