package app.korvel.studio.assessment;

import app.korvel.core.assessment.LaboratoryUptake;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.UUID;
import java.util.function.Function;

/** Puts a VO₂max of a laboratory on record. */
public record RecordLaboratory(Studio studio) {
  /** Puts it on record. */
  public LaboratoryUptake by(Actor who, UUID client, Function<Stamp, LaboratoryUptake> entered) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          LaboratoryUptake result = entered.apply(studio.stamp()).checked(studio.zone());
          studio.store().laboratory().add(client, result);
          return result;
        });
  }
}
