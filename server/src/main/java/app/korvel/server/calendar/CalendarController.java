package app.korvel.server.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Client;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.server.calendar.CalendarViews.BusyTimeView;
import app.korvel.server.calendar.CalendarViews.CalendarSession;
import app.korvel.server.calendar.CalendarViews.CalendarView;
import app.korvel.server.calendar.CalendarViews.State;
import app.korvel.server.client.ClientHead;
import app.korvel.server.client.ClientHeads;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.store.BusyRepository;
import app.korvel.store.BusyRepository.BusyOf;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.SessionLogRepository.Logged;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
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

  private final PlannedSessionRepository planned;
  private final SessionLogRepository logs;
  private final BusyRepository busy;
  private final ClientRecords records;
  private final ClientHeads heads;
  private final StudioClock clock;

  CalendarController(
      PlannedSessionRepository planned,
      SessionLogRepository logs,
      BusyRepository busy,
      ClientRecords records,
      ClientHeads heads,
      StudioClock clock) {
    this.planned = planned;
    this.logs = logs;
    this.busy = busy;
    this.records = records;
    this.heads = heads;
    this.clock = clock;
  }

  /**
   * From a day to another, both included.
   *
   * @param client only this one's; null for everyone's
   */
  @GetMapping("/api/calendar")
  CalendarView days(
      @RequestParam LocalDate from,
      @RequestParam LocalDate to,
      @RequestParam(required = false) @Nullable UUID client) {
    if (from.isBefore(EARLIEST) || from.isAfter(LATEST)) {
      throw InvalidValueException.of(
          "from", "lies too far away", "a day from " + EARLIEST + " to " + LATEST);
    }
    if (to.isBefore(from) || ChronoUnit.DAYS.between(from, to) >= MOST_DAYS) {
      throw InvalidValueException.of(
          "to", "is no end of such a calendar", "a day from “from” on, " + MOST_DAYS + " in all");
    }
    Map<UUID, ClientHead> shown =
        client == null
            ? heads.find("", false).stream()
                .collect(Collectors.toMap(head -> head.client().id(), Function.identity()))
            : Map.of(client, records.head(client));
    Map<Session, SessionLog> logged = new HashMap<>();
    List<CalendarSession> sessions = new ArrayList<>();
    List<Logged> done = logs.between(from, to);
    for (Logged each : done) {
      each.log()
          .number()
          .ifPresent(number -> logged.put(new Session(each.clientId(), number), each.log()));
    }
    for (SavedSession each : planned.between(from, to)) {
      ClientHead of = shown.get(each.clientId());
      Session key = new Session(each.clientId(), each.number());
      if (of != null) {
        sessions.add(
            Optional.ofNullable(logged.remove(key))
                .map(log -> done(of.client(), log, Optional.of(each)))
                .orElseGet(() -> planned(of, each)));
      }
    }
    // What was done on another day than planned, and what was not planned.
    for (Logged each : done) {
      ClientHead of = shown.get(each.clientId());
      boolean told =
          each.log().number().isPresent()
              && !logged.containsKey(new Session(each.clientId(), each.log().number().get()));
      if (of != null && !told) {
        sessions.add(done(of.client(), each.log(), Optional.empty()));
      }
    }
    sessions.sort(
        Comparator.comparing(CalendarSession::date)
            .thenComparing(CalendarSession::time, Comparator.nullsLast(Comparator.naturalOrder()))
            .thenComparing(CalendarSession::name));
    return new CalendarView(
        from,
        to,
        clock.today(),
        sessions,
        busy.between(from, to).stream()
            .filter(each -> client == null || each.clientId().isEmpty() || isOf(each, client))
            .map(
                each ->
                    new BusyTimeView(
                        each.clientId().orElse(null), each.busy().from(), each.busy().to()))
            .toList());
  }

  private static boolean isOf(BusyOf busy, UUID client) {
    return busy.clientId().equals(Optional.of(client));
  }

  private record Session(UUID clientId, int number) {}

  private CalendarSession planned(ClientHead head, SavedSession session) {
    Client of = head.client();
    State state =
        session.state() == SavedSession.State.SKIPPED
            ? State.SKIPPED
            : session.on().isBefore(clock.today())
                ? State.OPEN
                : head.held().isPresent() ? State.PLANNED : State.RESTS;
    int high = Math.max(session.range().low(), session.range().high() - 1);
    return new CalendarSession(
        of.id(),
        of.details().name(),
        session.number(),
        session.on(),
        session.at().orElse(null),
        session.mode(),
        session.minutes(),
        session.wholeMinutes(),
        session.range().low(),
        session.range().high(),
        Level.atPercent(BigDecimal.valueOf(high)).number(),
        state,
        "");
  }

  private static CalendarSession done(Client of, SessionLog log, Optional<SavedSession> session) {
    return new CalendarSession(
        of.id(),
        of.details().name(),
        log.number().orElse(null),
        log.on(),
        session.flatMap(SavedSession::at).orElse(null),
        log.mode(),
        log.minutes(),
        session.map(SavedSession::wholeMinutes).orElse(log.minutes()),
        log.asked().range().low(),
        log.asked().range().high(),
        log.level().number(),
        log.done() ? State.DONE : State.NOT_DONE,
        log.words());
  }
}
