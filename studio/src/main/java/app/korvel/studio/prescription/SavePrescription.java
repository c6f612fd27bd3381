package app.korvel.studio.prescription;

import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Prescription;
import app.korvel.store.SavedPrescription;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeCatalog;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * Saves what is prescribed to a client as the next version: issued where that may be, else a draft.
 */
public record SavePrescription(Studio studio) {
  /**
   * Works it out on what is on record today, and saves it.
   *
   * @param read the version it follows, 0 where there was none; empty to follow whichever there is
   * @throws app.korvel.core.measure.InvalidValueException when a part of it is not allowed
   * @throws app.korvel.store.StaleVersionException when another one was saved since
   */
  public SavedPrescription by(Actor who, UUID client, OptionalInt read, Fitt parts) {
    return studio.write(
        who,
        () -> {
          Prescription made = made(studio.openHead(client), parts);
          return studio
              .store()
              .prescriptions()
              .add(studio.nextId(), client, read, made, studio.now());
        });
  }

  /** The same without saving it. */
  public Prescription made(ClientHead head, Fitt parts) {
    return Prescription.of(
        head.baseline(parts.mode()), parts, new SchemeCatalog(studio).ways(head.client().id()));
  }
}
