package app.korvel.studio.zone;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.ZoneFinding;
import app.korvel.store.SavedScheme;
import app.korvel.store.SchemeRepository;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.ArrayList;
import java.util.List;

/** Adds to the studio's own schemes, changes one, puts one away. */
public record OwnSchemes(Studio studio) {

  /**
   * Adds one.
   *
   * @throws InvalidValueException when it is no scheme, or its name is taken
   */
  public SavedScheme add(Actor who, OwnScheme written) {
    return studio.write(
        who, () -> own().add(checked(studio.nextId().toString(), written), studio.now()));
  }

  /**
   * Changes one.
   *
   * @param read the version that was read
   * @throws NotFoundException when the studio has none of that id
   * @throws InvalidValueException when it is no scheme, or its name is taken
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedScheme change(Actor who, String id, int read, OwnScheme written) {
    return studio.write(
        who,
        () -> {
          saved(id);
          return own().change(read, checked(id, written), studio.now()).orElseThrow();
        });
  }

  /**
   * Puts one away, or brings one back; one that is in use stays.
   *
   * @param read the version that was read
   * @throws NotFoundException when the studio has none of that id
   * @throws RefusedException when it is in use
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedScheme archive(Actor who, String id, int read, boolean archived) {
    return studio.write(
        who,
        () -> {
          SavedScheme saved = saved(id);
          if (archived) {
            refuseInUse(id);
          } else {
            checkFree(saved.scheme());
          }
          return own().archive(id, read, archived, studio.now()).orElseThrow();
        });
  }

  /**
   * The studio's own of that id, archived or not.
   *
   * @throws NotFoundException when there is none
   */
  public SavedScheme saved(String id) {
    return own()
        .get(id)
        .orElseThrow(() -> NotFoundException.of("No zone system has the id %s.", id));
  }

  private SchemeRepository own() {
    return studio.store().schemes();
  }

  private Scheme checked(String id, OwnScheme written) {
    Scheme scheme = written.checked(id);
    checkFree(scheme);
    return scheme;
  }

  /** Two of one name could not be told apart. */
  private void checkFree(Scheme scheme) {
    boolean taken =
        new SchemeCatalog(studio)
            .all().stream()
                .filter(other -> !other.id().equals(scheme.id()))
                .anyMatch(other -> other.name().equalsIgnoreCase(scheme.name()));
    if (taken) {
      throw InvalidValueException.of(
          "name", "is the name of another zone system", "a name that no zone system has yet");
    }
  }

  private void refuseInUse(String id) {
    List<String> uses = new ArrayList<>();
    if (studio.settings().ways().scheme().equals(id)) {
      uses.add("it is the studio's");
    }
    List<String> clients = own().chosenFor(id);
    if (!clients.isEmpty()) {
      uses.add("chosen for " + String.join(", ", clients));
    }
    if (!uses.isEmpty()) {
      throw RefusedException.because(ZoneFinding.SCHEME_IN_USE.of(String.join("; ", uses)));
    }
  }
}
