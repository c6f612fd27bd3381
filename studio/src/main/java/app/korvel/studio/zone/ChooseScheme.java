package app.korvel.studio.zone;

import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.Optional;
import java.util.UUID;

/** Chooses in which scheme a client's bands are shown. */
public record ChooseScheme(Studio studio) {
  /**
   * That one is shown from now on.
   *
   * @param scheme its id; empty for the studio's
   * @throws app.korvel.core.measure.InvalidValueException when there is no such scheme
   */
  public void by(Actor who, UUID client, Optional<String> scheme) {
    studio.write(
        who,
        () -> {
          studio.open(client);
          SchemeCatalog shelf = new SchemeCatalog(studio);
          scheme.ifPresent(shelf::of);
          if (!scheme.equals(shelf.chosen(client))) {
            Stamp stamp = studio.stamp();
            studio.store().schemes().choose(stamp.id(), client, scheme, stamp.day(), stamp.at());
          }
          return null;
        });
  }
}
