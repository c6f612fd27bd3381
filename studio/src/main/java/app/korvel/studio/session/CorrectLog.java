package app.korvel.studio.session;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.session.SessionLog;
import app.korvel.store.SessionLogRepository;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.session.LogSessions.Done;
import java.util.Optional;
import java.util.UUID;

/** Corrects a session log; it stays as put on record when it was. */
public record CorrectLog(Studio studio) {
  /**
   * Another log stands in the place of that one.
   *
   * @throws NotFoundException when the client has no such log
   * @throws InvalidValueException when it is of another session, with every fault at once
   * @throws app.korvel.store.SupersededException when it was corrected or withdrawn since
   */
  public SessionLog by(Actor who, UUID log, Done done) {
    return studio.write(
        who,
        () -> {
          UUID client = done.client();
          SessionLog typed = new LogSessions(studio).logged(done);
          SessionLogRepository logs = studio.store().logs();
          Optional<SessionLog> before =
              logs.of(client).stream().filter(each -> each.id().equals(log)).findFirst();
          if (before.isPresent() && !before.get().number().equals(typed.number())) {
            throw InvalidValueException.of(
                "number", "is another session's", "the session that was logged");
          }
          // What was asked for was so on the day it was logged, whatever has been measured since.
          SessionLog right =
              before
                  .filter(each -> each.mode() == typed.mode())
                  .map(each -> typed.asking(each.asked()))
                  .orElse(typed);
          if (!logs.correct(client, log, right, studio.now())) {
            throw NotFoundException.of("This client has no session log %s.", log);
          }
          return right;
        });
  }
}
