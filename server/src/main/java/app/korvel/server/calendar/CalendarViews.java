package app.korvel.server.calendar;

import app.korvel.core.maximum.Mode;
import app.korvel.store.BusyRepository.BusyCalendar;
import app.korvel.store.SubscriptionRepository.Subscription;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Calendars as they are received and sent. */
final class CalendarViews {
  private CalendarViews() {}

  /** Where a session of the calendar stands. */
  enum State {
    PLANNED,
    /** Left out by the instructor. */
    SKIPPED,
    DONE,
    NOT_DONE,
    /** Its day is over, and nothing is logged of it. */
    OPEN,
    /** It may not be done: the client must not train, or the prescription rests. */
    RESTS
  }

  /**
   * A session, planned or done.
   *
   * @param number null for one that was not planned
   * @param minutes of work: as planned, or as done
   * @param wholeMinutes with warm-up and cool-down; as planned
   * @param level the hardest of it, 1 to 5: as planned, or as done
   * @param words what was logged; empty where nothing was
   */
  record CalendarSession(
      UUID clientId,
      String name,
      @Nullable Integer number,
      LocalDate date,
      @Nullable LocalTime time,
      Mode mode,
      int minutes,
      int wholeMinutes,
      int lowPercent,
      int highPercent,
      int level,
      State state,
      String words) {}

  /** A busy time; whose, or nobody's for the studio. */
  record BusyTimeView(@Nullable UUID clientId, LocalDateTime from, LocalDateTime to) {}

  record CalendarView(
      LocalDate from,
      LocalDate to,
      LocalDate today,
      List<CalendarSession> sessions,
      List<BusyTimeView> busy) {}

  record SubscriptionRequest(@Nullable UUID clientId, String name) {}

  record SubscriptionView(
      UUID id,
      @Nullable UUID clientId,
      @Nullable String clientName,
      String name,
      Instant createdAt) {
    static SubscriptionView of(Subscription saved, @Nullable String clientName) {
      return new SubscriptionView(
          saved.id(), saved.clientId().orElse(null), clientName, saved.name(), saved.createdAt());
    }
  }

  /**
   * An address, told this once.
   *
   * @param path under this server's own address
   */
  record NewSubscription(SubscriptionView subscription, String path) {}

  record BusyCalendarView(
      UUID id,
      @Nullable UUID clientId,
      @Nullable String clientName,
      String name,
      int times,
      Instant readAt) {
    static BusyCalendarView of(BusyCalendar saved, @Nullable String clientName) {
      return new BusyCalendarView(
          saved.id(),
          saved.clientId().orElse(null),
          clientName,
          saved.name(),
          saved.times(),
          saved.readAt());
    }
  }

  /** What goes out and comes in. */
  record CalendarLinks(List<SubscriptionView> subscriptions, List<BusyCalendarView> busy) {}

  record RevokedRequest(Boolean revoked) {}

  record RemovedRequest(Boolean removed) {}
}
