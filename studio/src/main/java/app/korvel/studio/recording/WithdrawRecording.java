package app.korvel.studio.recording;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.session.SessionLog;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.Ledger;
import app.korvel.store.RecordKind;
import app.korvel.store.SessionLogRepository;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.recording.LookedAt.Chosen;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Withdraws a recording that was kept, whole, with its log; and lets it stand again. */
public record WithdrawRecording(Studio studio) {
  /**
   * Withdraws it.
   *
   * @throws NotFoundException when there is none of that id that stands
   * @throws app.korvel.core.measure.RefusedException when the client is archived
   */
  public Brought by(Actor who, UUID id) {
    return studio.write(
        who,
        () -> {
          Brought brought = kept(id);
          if (brought.withdrawnAt().isPresent()) {
            throw InvalidValueException.of("recording", "is withdrawn already", "one that stands");
          }
          setStanding(brought, Optional.of(studio.now()));
          return kept(id);
        });
  }

  /**
   * Lets it stand again.
   *
   * @throws NotFoundException when there is none of that id
   * @throws InvalidValueException when the same recording was brought in again since
   */
  public Brought undone(Actor who, UUID id) {
    return studio.write(
        who,
        () -> {
          Brought brought = kept(id);
          if (brought.withdrawnAt().isEmpty()) {
            throw InvalidValueException.of("recording", "stands", "one that was withdrawn");
          }
          UUID own = brought.session().orElseThrow();
          boolean again =
              LookedAt.of(studio, brought, Chosen.NOTHING).alongside().stream()
                  .anyMatch(each -> !each.session().equals(own));
          if (again) {
            throw InvalidValueException.of(
                "recording", "the same session is on record by now", "one that is not");
          }
          setStanding(brought, Optional.empty());
          return kept(id);
        });
  }

  private Brought kept(UUID id) {
    Brought brought =
        studio
            .store()
            .recordings()
            .get(id)
            .filter(each -> each.keptAt().isPresent())
            .orElseThrow(() -> NotFoundException.of("There is no recording %s.", id));
    studio.open(brought.clientId());
    return brought;
  }

  /**
   * A session that was brought in stands as long as one of its recordings does; one that was
   * recorded here stands anyway.
   */
  private void setStanding(Brought brought, Optional<Instant> withdrawn) {
    UUID session = brought.session().orElseThrow();
    boolean broughtIn = new LiveSessions(studio).opened(session).broughtIn();
    boolean before = !studio.store().recordings().ofSession(session).isEmpty();
    studio.store().recordings().withdraw(brought.id(), withdrawn);
    boolean after = !studio.store().recordings().ofSession(session).isEmpty();
    if (broughtIn && before != after) {
      setStanding(brought.clientId(), session, withdrawn);
    }
    if (after || !broughtIn) {
      new StrongerRecording(studio).settle(session);
    }
  }

  private void setStanding(UUID client, UUID session, Optional<Instant> withdrawn) {
    studio.store().live().withdraw(session, withdrawn);
    SessionLogRepository logged = studio.store().logs();
    Ledger logs = studio.store().ledger(RecordKind.SESSION_LOGS);
    if (withdrawn.isPresent()) {
      logged
          .ofLive(session)
          .map(SessionLog::id)
          .ifPresent(log -> logs.withdraw(client, log, studio.nextId(), studio.now()));
    } else {
      logged
          .withdrawalOfLive(session)
          .ifPresent(by -> logs.undo(client, by, studio.nextId(), studio.now()));
    }
  }
}
