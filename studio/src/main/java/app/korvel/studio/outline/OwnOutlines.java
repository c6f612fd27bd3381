package app.korvel.studio.outline;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.store.OutlineRepository;
import app.korvel.store.SavedOutline;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.function.Function;

/** Adds to the studio's own outlines, changes one, puts one away. */
public record OwnOutlines(Studio studio) {

  /**
   * Adds one.
   *
   * @param written the outline, given its id
   * @throws InvalidValueException when its name is taken
   */
  public SavedOutline add(Actor who, Function<String, Named> written) {
    return studio.write(
        who, () -> own().add(checked(written.apply(studio.nextId().toString())), studio.now()));
  }

  /**
   * Changes one.
   *
   * @param read the version that was read
   * @throws NotFoundException when the studio has none of that id
   * @throws InvalidValueException when its name is taken
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedOutline change(Actor who, int read, Named written) {
    return studio.write(
        who,
        () ->
            own()
                .change(read, checked(written), studio.now())
                .orElseThrow(() -> OutlineCatalog.unknown(written.id())));
  }

  /**
   * Puts one away, or brings one back. Sessions that use it keep it as it was.
   *
   * @param read the version that was read
   * @throws NotFoundException when the studio has none of that id
   * @throws app.korvel.store.StaleVersionException when it has been changed since
   */
  public SavedOutline archive(Actor who, String id, int read, boolean archived) {
    return studio.write(
        who,
        () -> {
          SavedOutline saved = own().get(id).orElseThrow(() -> OutlineCatalog.unknown(id));
          if (!archived) {
            checked(saved.named());
          }
          return own().archive(id, read, archived, studio.now()).orElseThrow();
        });
  }

  private OutlineRepository own() {
    return studio.store().outlines();
  }

  /** Two of one name could not be told apart. */
  private Named checked(Named named) {
    boolean taken =
        new OutlineCatalog(studio)
            .all().stream()
                .filter(other -> !other.id().equals(named.id()))
                .anyMatch(other -> other.name().equalsIgnoreCase(named.name()));
    if (taken) {
      throw InvalidValueException.of(
          "name", "is the name of another outline", "a name that no outline has yet");
    }
    return named;
  }
}
