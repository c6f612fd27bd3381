package app.korvel.studio.outline;

import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.store.SavedOutline;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Every outline there is: those that ship, and the studio's own. */
public record OutlineCatalog(Studio studio) {
  /** Those that ship, then the studio's own. */
  public List<Named> all() {
    return Stream.concat(
            Outlines.SHIPPED.stream(),
            studio.store().outlines().all().stream().map(SavedOutline::named))
        .toList();
  }

  /**
   * The outline of that id.
   *
   * @throws NotFoundException when there is none
   */
  public Named of(String id) {
    return shipped(id)
        .or(() -> studio.store().outlines().get(id).map(SavedOutline::named))
        .orElseThrow(() -> unknown(id));
  }

  /** The outline of that id among those that ship. */
  public static Optional<Named> shipped(String id) {
    return Outlines.SHIPPED.stream().filter(named -> named.id().equals(id)).findFirst();
  }

  /** What is said where there is none of that id. */
  public static NotFoundException unknown(String id) {
    return NotFoundException.of("No outline has the id %s.", id);
  }
}
