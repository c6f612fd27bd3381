package app.korvel.studio.zone;

import app.korvel.core.prescription.Prescription.DisplaySettings;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import app.korvel.store.SavedScheme;
import app.korvel.store.SchemeRepository;
import app.korvel.store.SchemeRepository.Chosen;
import app.korvel.studio.Studio;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/** Every scheme there is, those that ship and the studio's own; and which one is shown to whom. */
public record SchemeCatalog(Studio studio) {
  private SchemeRepository own() {
    return studio.store().schemes();
  }

  /** Those that ship, then the studio's own. */
  public List<Scheme> all() {
    return Stream.concat(Schemes.ALL.stream(), own().all().stream().map(SavedScheme::scheme))
        .toList();
  }

  /**
   * The scheme of that id.
   *
   * @throws app.korvel.core.measure.InvalidValueException when there is none
   */
  public Scheme of(String id) {
    return shipped(id).orElseGet(() -> Scheme.of(id, all()));
  }

  /** The scheme of that id among those that ship. */
  public static Optional<Scheme> shipped(String id) {
    return Schemes.ALL.stream().filter(scheme -> scheme.id().equals(id)).findFirst();
  }

  /** The one taken where nothing else can be. */
  public static Scheme usual() {
    return shipped(Scheme.DEFAULT_ID).orElseThrow();
  }

  /** The scheme that was asked for; else the one chosen for the client; else the studio's. */
  public Scheme of(UUID client, Optional<String> asked) {
    return of(asked.orElseGet(() -> inUse(client)));
  }

  /** The latest choice for the client, if one was ever made. */
  public Optional<Chosen> latestChoice(UUID client) {
    return own().latestChoice(client);
  }

  /** The id of the scheme chosen for the client, if one was. */
  public Optional<String> chosen(UUID client) {
    return own().chosen(client);
  }

  /** The id of the scheme chosen for the client; else the studio's. */
  public String inUse(UUID client) {
    return chosen(client).orElseGet(() -> studio.settings().ways().scheme());
  }

  /** How the studio shows to that client what it prescribes. */
  public DisplaySettings ways(UUID client) {
    return new DisplaySettings(studio.settings().ways().family(), inUse(client));
  }
}
