package app.korvel.server.zone;

import app.korvel.core.prescription.Prescription.Ways;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import app.korvel.server.studio.StudioSettings;
import app.korvel.store.SavedScheme;
import app.korvel.store.SchemeRepository;
import app.korvel.store.SchemeRepository.Chosen;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Every scheme there is, those that ship and the studio's own; and which one is shown to whom. */
@Component
public class SchemeShelf {
  private final SchemeRepository own;
  private final StudioSettings settings;

  SchemeShelf(SchemeRepository own, StudioSettings settings) {
    this.own = own;
    this.settings = settings;
  }

  /** Those that ship, then the studio's own. */
  public List<Scheme> all() {
    return Stream.concat(Schemes.ALL.stream(), own.all().stream().map(SavedScheme::scheme))
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
  static Optional<Scheme> shipped(String id) {
    return Schemes.ALL.stream().filter(scheme -> scheme.id().equals(id)).findFirst();
  }

  /** The one taken where nothing else can be. */
  static Scheme usual() {
    return shipped(Scheme.DEFAULT_ID).orElseThrow();
  }

  /** The scheme that was asked for; else the one chosen for the client; else the studio's. */
  Scheme of(Client client, @Nullable String asked) {
    return of(asked == null ? inUse(client) : asked);
  }

  /** The latest choice for the client, if one was ever made. */
  Optional<Chosen> latestChoice(Client client) {
    return own.latestChoice(client.id());
  }

  /** The id of the scheme chosen for the client, if one was. */
  Optional<String> chosen(Client client) {
    return own.chosen(client.id());
  }

  /** The id of the scheme chosen for the client; else the studio's. */
  String inUse(Client client) {
    return chosen(client).orElseGet(() -> settings.ways().scheme());
  }

  /** How the studio shows to that client what it prescribes. */
  public Ways ways(Client client) {
    return new Ways(settings.ways().family(), inUse(client));
  }
}
