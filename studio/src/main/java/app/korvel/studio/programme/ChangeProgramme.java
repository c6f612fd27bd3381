package app.korvel.studio.programme;

import app.korvel.core.measure.RefusedException;
import app.korvel.core.programme.Programme;
import app.korvel.core.session.SessionFinding;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedProgramme;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;

/** Changes a client's programme; every change is a version of its own. */
public record ChangeProgramme(Studio studio) {

  /** What becomes of a programme. */
  @FunctionalInterface
  public interface Change {
    Programme of(ClientHead head, Programme programme);
  }

  /**
   * Changes a session that has not been logged.
   *
   * @param read the version that was read
   * @throws RefusedException when it has been logged
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedProgramme session(Actor who, UUID client, int read, int number, Change change) {
    return studio.write(
        who,
        () -> {
          studio.store().logs().of(client).stream()
              .filter(log -> log.number().equals(Optional.of(number)))
              .findFirst()
              .ifPresent(
                  log -> {
                    throw RefusedException.because(SessionFinding.SESSION_LOGGED.of(log.words()));
                  });
          return by(who, client, read, change);
        });
  }

  /**
   * Changes the version that was read; one changed since is left as it is.
   *
   * @throws NotFoundException when there is no such version
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedProgramme by(Actor who, UUID client, int read, Change change) {
    return save(who, client, read, read, (head, saved) -> change.of(head, saved.programme()));
  }

  /**
   * It stands again as it was at an earlier version; that is a version of its own.
   *
   * @throws NotFoundException when there is no such version
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedProgramme backTo(Actor who, UUID client, int read, int earlier) {
    return save(who, client, read, earlier, (head, saved) -> saved.programme());
  }

  private SavedProgramme save(
      Actor who,
      UUID client,
      int read,
      int from,
      BiFunction<ClientHead, SavedProgramme, Programme> next) {
    return studio.write(
        who,
        () -> {
          ClientHead head = studio.openHead(client);
          ProgrammeRepository programmes = studio.store().programmes();
          SavedProgramme saved =
              programmes
                  .get(client, from)
                  .orElseThrow(
                      () ->
                          NotFoundException.of("This client's programme has no version %s.", from));
          Stamp stamp = studio.stamp();
          return programmes.save(
              stamp.id(),
              client,
              read,
              saved.prescriptionId(),
              next.apply(head, saved),
              stamp.at(),
              stamp.day());
        });
  }
}
