package app.korvel.studio.settings;

import app.korvel.core.measure.RegionalSettings;
import app.korvel.store.StudioRepository.Settings;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;

/** Chooses the units and customs that everyone in the studio reads and enters. */
public record ChooseRegionalSettings(Studio studio) {
  /**
   * Those are used from now on.
   *
   * @param read the version that was read
   * @throws app.korvel.store.StaleVersionException when something else was chosen since
   */
  public Settings by(Actor who, int read, RegionalSettings regional) {
    Settings chosen =
        studio.write(who, () -> studio.store().studio().change(read, now -> now.with(regional)));
    studio.settings().reload();
    return chosen;
  }
}
