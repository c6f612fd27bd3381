package app.korvel.studio.zone;

import app.korvel.core.prescription.Prescription.DisplaySettings;
import app.korvel.store.StudioRepository.Settings;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;

/** Chooses the scheme and the scale of effort that the studio shows to everyone. */
public record ChooseDisplaySettings(Studio studio) {
  /**
   * Those are shown from now on.
   *
   * @param read the version that was read
   * @throws app.korvel.core.measure.InvalidValueException when there is no such scheme
   * @throws app.korvel.store.StaleVersionException when something else was chosen since
   */
  public Settings by(Actor who, int read, DisplaySettings ways) {
    Settings chosen =
        studio.write(
            who,
            () -> {
              new SchemeCatalog(studio).of(ways.scheme());
              return studio.store().studio().change(read, now -> now.with(ways));
            });
    studio.settings().reload();
    return chosen;
  }
}
