package app.korvel.server.studio;

import app.korvel.core.prescription.Prescription.Ways;
import app.korvel.store.StudioRepository;
import app.korvel.store.StudioRepository.Settings;
import org.springframework.stereotype.Component;

/** What the studio has chosen for everyone; asked for at nearly every request, so held in hand. */
@Component
public class StudioSettings {
  private final StudioRepository studio;
  private volatile Settings now;

  public StudioSettings(StudioRepository studio) {
    this.studio = studio;
    this.now = studio.settings();
  }

  public Settings now() {
    return now;
  }

  /** Its scheme and its 0–10 scale. */
  public Ways ways() {
    return now.ways();
  }

  /**
   * Changes them.
   *
   * @param version the version that was read
   * @throws app.korvel.store.StaleVersionException when they have been changed since
   */
  public synchronized Settings change(int version, Ways ways) {
    now = studio.change(version, ways);
    return now;
  }
}
