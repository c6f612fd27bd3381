package app.korvel.server.session;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Client;
import app.korvel.server.session.SessionLogViews.SessionLogList;
import app.korvel.server.session.SessionLogViews.SessionLogRequest;
import app.korvel.server.session.SessionLogViews.SessionLogView;
import app.korvel.server.session.SessionLogViews.SessionLogsRequest;
import app.korvel.server.session.SessionLogViews.ToLog;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes;
import app.korvel.studio.session.CorrectLog;
import app.korvel.studio.session.LogSessions;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
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

  private final Studio studio;

  SessionLogController(Studio studio) {
    this.studio = studio;
  }

  /** What is to be logged of the last two weeks, today included. */
  @GetMapping("/api/session-logs/open")
  ToLog open() {
    LocalDate today = studio.today();
    LocalDate from = today.minusDays(DAYS_BACK);
    return ToLog.of(
        today,
        studio.heads().find("", false),
        studio.store().planned().toLog(from, today),
        studio.store().logs().between(from, today),
        new Programmes(studio));
  }

  /** Keeps logs: all of them, or none. */
  @PostMapping("/api/session-logs")
  @ResponseStatus(HttpStatus.CREATED)
  SessionLogList keep(Actor who, @RequestBody SessionLogsRequest request) {
    List<LogSessions.Done> done = request.logs().stream().map(SessionLogRequest::entry).toList();
    return SessionLogList.of(
        new LogSessions(studio)
            .by(who, done).stream()
                .map(each -> SessionLogView.of(studio.client(each.clientId()), each.log()))
                .toList());
  }

  @GetMapping("/api/clients/{id}/session-logs")
  SessionLogList list(@PathVariable UUID id) {
    Client client = studio.client(id);
    return SessionLogList.of(
        studio.store().logs().of(id).stream().map(log -> SessionLogView.of(client, log)).toList());
  }

  /** Corrects one; it stays as put on record when it was. */
  @PutMapping("/api/clients/{id}/session-logs/{log}")
  SessionLogView correct(
      Actor who,
      @PathVariable UUID id,
      @PathVariable UUID log,
      @RequestBody SessionLogRequest request) {
    if (!request.clientId().equals(id)) {
      throw InvalidValueException.of("clientId", "is another client's", "the one of the address");
    }
    return SessionLogView.of(
        studio.client(id), new CorrectLog(studio).by(who, log, request.entry()));
  }
}
