package app.korvel.studio.screening;

import app.korvel.core.screening.Consent;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.UUID;
import java.util.function.Function;

/** Puts a parent's or guardian's consent on record. */
public record RecordConsent(Studio studio) {
  /**
   * Puts one on record.
   *
   * @param entered the consent, as of the stamp it is given
   * @throws app.korvel.core.measure.InvalidValueException when something of it cannot be
   * @throws app.korvel.core.measure.RefusedException when the client is archived
   */
  public Consent by(Actor who, UUID client, Function<Stamp, Consent> entered) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          Consent made = entered.apply(studio.stamp());
          studio.store().consents().add(client, made);
          return made;
        });
  }
}
