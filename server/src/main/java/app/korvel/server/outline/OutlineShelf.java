package app.korvel.server.outline;

import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.OutlineRepository;
import app.korvel.store.SavedOutline;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Every outline there is: those that ship, and the studio's own. */
@Component
public class OutlineShelf {
  private final OutlineRepository own;

  public OutlineShelf(OutlineRepository own) {
    this.own = own;
  }

  /** Those that ship, then the studio's own. */
  List<Named> all() {
    return Stream.concat(Outlines.SHIPPED.stream(), own.all().stream().map(SavedOutline::named))
        .toList();
  }

  /**
   * The outline of that id.
   *
   * @throws NotFoundException when there is none
   */
  public Named of(String id) {
    return shipped(id)
        .or(() -> own.get(id).map(SavedOutline::named))
        .orElseThrow(() -> unknown(id));
  }

  static Optional<Named> shipped(String id) {
    return Outlines.SHIPPED.stream().filter(named -> named.id().equals(id)).findFirst();
  }

  static NotFoundException unknown(String id) {
    return new NotFoundException("No outline has the id " + id + ".");
  }
}
