package app.korvel.studio.programme;

import app.korvel.core.programme.Programme;
import app.korvel.store.SavedProgramme;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes.Wanted;
import java.util.UUID;

/** Lays a programme out from the prescription that leads, in the place of the one before. */
public record LayOutProgramme(Studio studio) {
  /**
   * Lays it out and saves it.
   *
   * @param read the version that was read, 0 where there was none
   * @throws app.korvel.core.measure.InvalidValueException when it cannot be laid out
   * @throws app.korvel.core.measure.RefusedException when nothing can be, as things stand
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedProgramme by(Actor who, UUID client, int read, Wanted wanted) {
    return studio.write(
        who,
        () -> {
          ClientHead head = studio.openHead(client);
          Programme programme = new Programmes(studio).laidOut(head, wanted);
          Stamp stamp = studio.stamp();
          return studio
              .store()
              .programmes()
              .save(
                  stamp.id(),
                  client,
                  read,
                  head.leading().id(),
                  programme,
                  stamp.at(),
                  stamp.day());
        });
  }
}
