package app.korvel.server.session;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.screening.Client;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.server.client.ClientHead;
import app.korvel.server.client.ClientHeads;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.server.programme.ProgrammeDesk.Led;
import app.korvel.server.session.SessionLogViews.KeptLog;
import app.korvel.server.session.SessionLogViews.OpenSession;
import app.korvel.server.session.SessionLogViews.SessionLogList;
import app.korvel.server.session.SessionLogViews.SessionLogRequest;
import app.korvel.server.session.SessionLogViews.SessionLogView;
import app.korvel.server.session.SessionLogViews.SessionLogsRequest;
import app.korvel.server.session.SessionLogViews.StopSignView;
import app.korvel.server.session.SessionLogViews.ToLog;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.Ids;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.SessionLogRepository.Logged;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sessions logged by hand: one, or a class at once. */
@RestController
class SessionLogController {
  private static final int DAYS_BACK = 14;
  private static final int LARGEST_CLASS = 200;
  private static final int LATEST = 30;

  private final SessionLogRepository logs;
  private final PlannedSessionRepository planned;
  private final ClientHeads heads;
  private final SessionDesk desk;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  SessionLogController(
      SessionLogRepository logs,
      PlannedSessionRepository planned,
      ClientHeads heads,
      SessionDesk desk,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.logs = logs;
    this.planned = planned;
    this.heads = heads;
    this.desk = desk;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  /** What is to be logged of the last two weeks, today included. */
  @GetMapping("/api/session-logs/open")
  ToLog open() {
    LocalDate today = clock.today();
    LocalDate from = today.minusDays(DAYS_BACK);
    Map<UUID, ClientHead> present =
        heads.find("", false).stream()
            .collect(Collectors.toMap(head -> head.client().id(), Function.identity()));
    Map<Alike, StepAim> aims = new HashMap<>();
    List<OpenSession> sessions = new ArrayList<>();
    for (SavedSession each : planned.toLog(from, today)) {
      ClientHead head = present.get(each.clientId());
      if (head != null) {
        Client client = head.client();
        Led known = new Led(head);
        sessions.add(
            new OpenSession(
                client.id(),
                client.details().name(),
                each.number(),
                each.on(),
                each.at().orElse(null),
                each.mode(),
                each.minutes(),
                each.wholeMinutes(),
                aims.computeIfAbsent(
                    new Alike(client.id(), each.mode(), each.range()),
                    alike -> desk.aim(known, alike.mode, alike.range))));
      }
    }
    return new ToLog(
        today,
        sessions,
        logs.between(from, today).stream()
            .filter(logged -> present.containsKey(logged.clientId()))
            .sorted(Comparator.comparing((Logged logged) -> logged.log().recordedAt()).reversed())
            .limit(LATEST)
            .map(logged -> SessionLogView.of(present.get(logged.clientId()).client(), logged.log()))
            .toList(),
        StopSignView.all());
  }

  /** Sessions of someone that ask for the same. */
  private record Alike(UUID clientId, Mode mode, Percents range) {}

  /** Keeps logs: all of them, or none. */
  @OneWrite
  @PostMapping("/api/session-logs")
  @ResponseStatus(HttpStatus.CREATED)
  SessionLogList keep(@RequestBody SessionLogsRequest request) {
    if (request.logs().isEmpty() || request.logs().size() > LARGEST_CLASS) {
      throw InvalidValueException.of(
          "logs", "has " + request.logs().size(), "1 to " + LARGEST_CLASS + " logs");
    }
    checkEachOnce(request.logs());
    List<Logged> all = new ArrayList<>();
    for (int i = 0; i < request.logs().size(); i++) {
      SessionLogRequest each = request.logs().get(i);
      SessionLog log =
          request.logs().size() == 1 ? desk.log(ids.next(), each) : desk.log(ids.next(), i, each);
      all.add(new Logged(each.clientId(), log));
    }
    List<Logged> already = logs.add(all);
    if (!already.isEmpty()) {
      Logged first = already.get(0);
      throw RefusedException.because(
          FindingKind.SESSION_LOGGED.of(
              records.client(first.clientId()).details().name() + ", " + first.log().words()));
    }
    return SessionLogList.of(
        all.stream()
            .map(each -> SessionLogView.of(records.client(each.clientId()), each.log()))
            .toList());
  }

  private static void checkEachOnce(List<SessionLogRequest> requests) {
    Set<List<Object>> seen = new HashSet<>();
    for (SessionLogRequest each : requests) {
      if (each.number() != null && !seen.add(List.of(each.clientId(), each.number()))) {
        throw InvalidValueException.of("logs", "names a session twice", "each session once");
      }
    }
  }

  @GetMapping("/api/clients/{id}/session-logs")
  SessionLogList list(@PathVariable UUID id) {
    Client client = records.client(id);
    return SessionLogList.of(
        logs.of(id).stream().map(log -> SessionLogView.of(client, log)).toList());
  }

  /** Puts one right; it stays as put on record when it was. */
  @OneWrite
  @PutMapping("/api/clients/{id}/session-logs/{log}")
  SessionLogView correct(
      @PathVariable UUID id, @PathVariable UUID log, @RequestBody SessionLogRequest request) {
    Client client = records.open(id);
    if (!request.clientId().equals(id)) {
      throw InvalidValueException.of("clientId", "is another client's", "the one of the address");
    }
    SessionLog typed = desk.log(ids.next(), request);
    Optional<SessionLog> before =
        logs.of(id).stream().filter(each -> each.id().equals(log)).findFirst();
    if (before.isPresent() && !before.get().number().equals(typed.number())) {
      throw InvalidValueException.of(
          "number", "is another session's", "the session that was logged");
    }
    // What was asked for was so on the day it was logged, whatever has been measured since.
    SessionLog by =
        before
            .filter(each -> each.mode() == typed.mode())
            .map(each -> typed.asking(each.asked()))
            .orElse(typed);
    require(logs.correct(id, log, by, clock.now()), log);
    return SessionLogView.of(client, by);
  }

  @OneWrite
  @DeleteMapping("/api/clients/{id}/session-logs/{log}")
  KeptLog takeBack(@PathVariable UUID id, @PathVariable UUID log) {
    records.open(id);
    UUID by = ids.next();
    require(logs.withdraw(id, log, by, clock.now()), log);
    return new KeptLog(by);
  }

  /** Undoes a correction or a taking back. */
  @OneWrite
  @PostMapping("/api/clients/{id}/session-logs/{log}/undo")
  KeptLog undo(@PathVariable UUID id, @PathVariable UUID log) {
    records.open(id);
    UUID by = ids.next();
    require(logs.undo(id, log, by), log);
    return new KeptLog(by);
  }

  private static void require(boolean known, UUID log) {
    if (!known) {
      throw new NotFoundException("This client has no session log " + log + ".");
    }
  }
}
