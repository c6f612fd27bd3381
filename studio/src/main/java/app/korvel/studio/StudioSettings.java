package app.korvel.studio;

import app.korvel.core.measure.RegionalSettings;
import app.korvel.core.prescription.Prescription.DisplaySettings;
import app.korvel.store.StudioRepository;
import app.korvel.store.StudioRepository.Settings;

/** What the studio has chosen for everyone; asked for at nearly every request, so held in hand. */
public final class StudioSettings {
  private final StudioRepository studio;
  private volatile Settings now;

  StudioSettings(StudioRepository studio) {
    this.studio = studio;
    this.now = studio.settings();
  }

  public Settings now() {
    return now;
  }

  /** Its units and customs. */
  public RegionalSettings regional() {
    return now.regional();
  }

  /** Its zone system and its 0–10 scale. */
  public DisplaySettings ways() {
    return now.ways();
  }

  /** Reads what has been chosen since. */
  public void reload() {
    now = studio.settings();
  }
}
