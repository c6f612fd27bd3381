package app.korvel.studio.screening;

import app.korvel.core.screening.Clearance;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.UUID;
import java.util.function.Function;

/** Puts a clinician's clearance on record. */
public record RecordClearance(Studio studio) {
  /**
   * Puts one on record.
   *
   * @param entered the clearance, as of the stamp it is given
   * @throws app.korvel.core.measure.InvalidValueException when something of it cannot be
   * @throws app.korvel.core.measure.RefusedException when the client is archived
   */
  public Clearance by(Actor who, UUID client, Function<Stamp, Clearance> entered) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          Clearance made = entered.apply(studio.stamp());
          studio.store().clearances().add(client, made);
          return made;
        });
  }
}
