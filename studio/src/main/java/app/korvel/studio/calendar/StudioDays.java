package app.korvel.studio.calendar;

import app.korvel.core.session.SessionLog;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Days of the studio, or of one client: what is planned and what was done. */
public record StudioDays(Studio studio) {

  /**
   * A session of a day.
   *
   * @param planned as it was planned, if it was for that day
   * @param done as it was logged, if it was
   */
  public record DaysSession(
      ClientHead head, Optional<SavedSession> planned, Optional<SessionLog> done) {

    private static DaysSession of(ClientHead head, SavedSession planned, SessionLog done) {
      return new DaysSession(head, Optional.ofNullable(planned), Optional.ofNullable(done));
    }

    /** The day it is on: that of the log, where there is one. */
    public LocalDate date() {
      return done.map(SessionLog::on).or(() -> planned.map(SavedSession::on)).orElseThrow();
    }

    /** At what time it was planned, if for any. */
    public Optional<LocalTime> time() {
      return planned.flatMap(SavedSession::at);
    }
  }

  private record Numbered(UUID client, int number) {}

  /**
   * From a day to another, both included, in the order of days, times and names.
   *
   * @param client only this one's; empty for everyone's
   */
  public List<DaysSession> between(LocalDate from, LocalDate to, Optional<UUID> client) {
    return studio.read(
        () -> {
          Map<UUID, ClientHead> shown = new HashMap<>();
          client
              .map(id -> List.of(studio.head(id)))
              .orElseGet(() -> studio.heads().find("", false))
              .forEach(head -> shown.put(head.client().id(), head));
          List<Logged> logged = studio.store().logs().between(from, to);
          Map<Numbered, SessionLog> byNumber = new HashMap<>();
          for (Logged each : logged) {
            each.log()
                .number()
                .ifPresent(
                    number -> byNumber.put(new Numbered(each.clientId(), number), each.log()));
          }
          List<DaysSession> sessions = new ArrayList<>();
          Set<SessionLog> told = new HashSet<>();
          for (SavedSession each : studio.store().planned().between(from, to)) {
            ClientHead head = shown.get(each.clientId());
            if (head != null) {
              SessionLog log = byNumber.get(new Numbered(each.clientId(), each.number()));
              sessions.add(DaysSession.of(head, each, log));
              told.add(log);
            }
          }
          // What was done on another day than planned, and what was not planned.
          for (Logged each : logged) {
            ClientHead head = shown.get(each.clientId());
            if (head != null && !told.contains(each.log())) {
              sessions.add(DaysSession.of(head, null, each.log()));
            }
          }
          sessions.sort(
              Comparator.comparing(DaysSession::date)
                  .thenComparing(
                      session -> session.time().orElse(null),
                      Comparator.nullsLast(Comparator.naturalOrder()))
                  .thenComparing(session -> session.head().client().details().name()));
          return sessions;
        });
  }
}
