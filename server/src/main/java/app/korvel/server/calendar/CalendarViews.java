package app.korvel.server.calendar;

import app.korvel.core.maximum.Mode;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.store.BusyRepository.BusyCalendar;
import app.korvel.store.BusyRepository.BusyOf;
import app.korvel.store.SavedSession;
import app.korvel.store.SubscriptionRepository.Subscription;
import app.korvel.studio.calendar.StudioDays;
import app.korvel.studio.calendar.StudioDays.DaysSession;
import java.math.BigDecimal;
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
   * @param log the log's id; null where nothing was logged
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
      String words,
      @Nullable UUID log) {

    static CalendarSession of(DaysSession session, LocalDate today) {
      return session
          .done()
          .map(log -> done(session, log))
          .orElseGet(() -> planned(session, session.planned().orElseThrow(), today));
    }

    private static State state(DaysSession session, LocalDate today) {
      if (session.done().isPresent()) {
        return session.done().get().done() ? State.DONE : State.NOT_DONE;
      }
      SavedSession planned = session.planned().orElseThrow();
      return planned.state() == SavedSession.State.SKIPPED
          ? State.SKIPPED
          : planned.on().isBefore(today)
              ? State.OPEN
              : session.head().held().isPresent() ? State.PLANNED : State.RESTS;
    }

    private static CalendarSession planned(
        DaysSession session, SavedSession planned, LocalDate today) {
      int high = Math.max(planned.range().low(), planned.range().high() - 1);
      return new CalendarSession(
          planned.clientId(),
          session.head().client().details().name(),
          planned.number(),
          planned.on(),
          planned.at().orElse(null),
          planned.mode(),
          planned.minutes(),
          planned.wholeMinutes(),
          planned.range().low(),
          planned.range().high(),
          Level.atPercent(BigDecimal.valueOf(high)).number(),
          state(session, today),
          "",
          null);
    }

    private static CalendarSession done(DaysSession session, SessionLog log) {
      return new CalendarSession(
          session.head().client().id(),
          session.head().client().details().name(),
          log.number().orElse(null),
          log.on(),
          session.planned().flatMap(SavedSession::at).orElse(null),
          log.mode(),
          log.minutes(),
          session.planned().map(SavedSession::wholeMinutes).orElse(log.minutes()),
          log.asked().range().low(),
          log.asked().range().high(),
          log.level().number(),
          log.done() ? State.DONE : State.NOT_DONE,
          log.words(),
          log.id());
    }
  }

  /** A busy time; whose, or nobody's for the studio. */
  record BusyTimeView(@Nullable UUID clientId, LocalDateTime from, LocalDateTime to) {
    static BusyTimeView of(BusyOf busy) {
      return new BusyTimeView(busy.clientId().orElse(null), busy.busy().from(), busy.busy().to());
    }
  }

  /**
   * How much there is on a day; one with nothing is left out.
   *
   * @param sessions planned or done
   */
  record CalendarDay(LocalDate date, int sessions, int done) {}

  /**
   * Days of a calendar.
   *
   * @param sessions of each day the first, as many as were asked for
   */
  record CalendarView(
      LocalDate from,
      LocalDate to,
      LocalDate today,
      List<CalendarDay> days,
      List<CalendarSession> sessions,
      List<BusyTimeView> busy) {

    static CalendarView of(
        LocalDate from,
        LocalDate to,
        LocalDate today,
        List<StudioDays.Day> all,
        List<BusyOf> busy) {
      return new CalendarView(
          from,
          to,
          today,
          all.stream().map(day -> new CalendarDay(day.date(), day.sessions(), day.done())).toList(),
          all.stream()
              .flatMap(day -> day.first().stream())
              .map(session -> CalendarSession.of(session, today))
              .toList(),
          busy.stream().map(BusyTimeView::of).toList());
    }
  }

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
