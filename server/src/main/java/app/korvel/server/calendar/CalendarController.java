package app.korvel.server.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.server.calendar.CalendarViews.CalendarView;
import app.korvel.studio.Studio;
import app.korvel.studio.calendar.StudioDays;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Days of the studio, or of one client: what is planned, what was done, when who is busy. */
@RestController
class CalendarController {
  private static final int MOST_DAYS = 62;
  private static final LocalDate EARLIEST = LocalDate.of(2000, 1, 1);
  private static final LocalDate LATEST = LocalDate.of(2199, 12, 31);

  private final Studio studio;

  CalendarController(Studio studio) {
    this.studio = studio;
  }

  /**
   * From a day to another, both included.
   *
   * @param client only this one's; null for everyone's
   * @param most of each day, the first so many sessions; null for all of them
   */
  @GetMapping("/api/calendar")
  CalendarView days(
      @RequestParam LocalDate from,
      @RequestParam LocalDate to,
      @RequestParam(required = false) @Nullable UUID client,
      @RequestParam(required = false) @Nullable Integer most) {
    if (from.isBefore(EARLIEST) || from.isAfter(LATEST)) {
      throw InvalidValueException.of(
          "from", "lies too far away", "a day from " + EARLIEST + " to " + LATEST);
    }
    if (to.isBefore(from) || ChronoUnit.DAYS.between(from, to) >= MOST_DAYS) {
      throw InvalidValueException.of(
          "to", "is no end of such a calendar", "a day from “from” on, " + MOST_DAYS + " in all");
    }
    return CalendarView.of(
        from,
        to,
        studio.today(),
        new StudioDays(studio)
            .between(from, to, Optional.ofNullable(client), most == null ? StudioDays.ALL : most),
        studio.store().busy().between(from, to).stream()
            .filter(
                each ->
                    client == null
                        || each.clientId().isEmpty()
                        || each.clientId().get().equals(client))
            .toList());
  }
}
