package app.korvel.server.outline;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.zone.Reserve;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.ClientOutlineView;
import app.korvel.server.outline.OutlineViews.NamedOutlineChangeRequest;
import app.korvel.server.outline.OutlineViews.NamedOutlineRequest;
import app.korvel.server.outline.OutlineViews.NamedOutlineView;
import app.korvel.server.outline.OutlineViews.OutlineArchiveRequest;
import app.korvel.server.outline.OutlineViews.OutlineList;
import app.korvel.server.outline.OutlineViews.OutlineRequest;
import app.korvel.server.outline.OutlineViews.OutlineTrialRequest;
import app.korvel.server.outline.OutlineViews.OutlineView;
import app.korvel.server.outline.OutlineViews.Runner;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.studio.StudioSettings;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.Problems;
import app.korvel.store.Ids;
import app.korvel.store.OutlineRepository;
import app.korvel.store.SavedOutline;
import app.korvel.store.StaleVersionException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Session outlines: the studio's library, and one worked out for a client or on a span. */
@RestController
class OutlineController {
  private final OutlineRepository own;
  private final OutlineShelf shelf;
  private final StudioSettings settings;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  OutlineController(
      OutlineRepository own,
      OutlineShelf shelf,
      StudioSettings settings,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.own = own;
    this.shelf = shelf;
    this.settings = settings;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  private Runner anyone() {
    return Runner.anyone(Optional.empty(), settings.ways().family());
  }

  @GetMapping("/api/outlines")
  OutlineList list() {
    Runner anyone = anyone();
    List<NamedOutlineView> views = new ArrayList<>();
    Outlines.SHIPPED.forEach(named -> views.add(NamedOutlineView.of(named, null, anyone)));
    own.all().stream().map(this::view).forEach(views::add);
    return new OutlineList(views);
  }

  @GetMapping("/api/outlines/{id}")
  NamedOutlineView one(@PathVariable String id) {
    return OutlineShelf.shipped(id)
        .map(named -> NamedOutlineView.of(named, null, anyone()))
        .orElseGet(() -> view(own.get(id).orElseThrow(() -> OutlineShelf.unknown(id))));
  }

  @OneWrite
  @PostMapping("/api/outlines")
  @ResponseStatus(HttpStatus.CREATED)
  NamedOutlineView add(@RequestBody NamedOutlineRequest request) {
    return view(own.add(checked(ids.next().toString(), request), clock.now()));
  }

  @OneWrite
  @PutMapping("/api/outlines/{id}")
  NamedOutlineView change(@PathVariable String id, @RequestBody NamedOutlineChangeRequest request) {
    return own.change(request.version(), checked(id, request.outline()), clock.now())
        .map(this::view)
        .orElseThrow(() -> OutlineShelf.unknown(id));
  }

  /** Puts one away, or brings one back. Sessions that use it keep it as it was. */
  @OneWrite
  @PutMapping("/api/outlines/{id}/archived")
  NamedOutlineView archive(@PathVariable String id, @RequestBody OutlineArchiveRequest request) {
    if (!request.archived()) {
      checkFree(own.get(id).orElseThrow(() -> OutlineShelf.unknown(id)).named());
    }
    return own.archive(id, request.version(), request.archived(), clock.now())
        .map(this::view)
        .orElseThrow(() -> OutlineShelf.unknown(id));
  }

  /** Works an outline out on a span, or without one; nothing is kept. */
  @PostMapping("/api/calculator/outline")
  OutlineView tryOn(@RequestBody OutlineTrialRequest request) {
    Optional<Reserve> reserve =
        request.restingBpm() == null || request.maximumBpm() == null
            ? Optional.empty()
            : Optional.of(Reserve.of(request.restingBpm(), request.maximumBpm()));
    return OutlineView.of(
        request.outline().written(), Runner.anyone(reserve, settings.ways().family()));
  }

  /** Works an outline out for a client as of today; nothing is kept. */
  @PostMapping("/api/clients/{id}/outline")
  ClientOutlineView tryOn(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "run") Mode mode,
      @RequestBody OutlineRequest request) {
    return ClientOutlineView.of(
        request.written(),
        Runner.of(records.groundwork(records.client(id), mode), settings.ways().family()));
  }

  /** Nothing is lost: the answer carries the record as it is now, the asker still has theirs. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.stale(stale, view(stale.current(SavedOutline.class)));
  }

  private NamedOutlineView view(SavedOutline saved) {
    return NamedOutlineView.of(saved.named(), saved.version(), anyone());
  }

  private Named checked(String id, NamedOutlineRequest request) {
    Named named = request.checked(id);
    checkFree(named);
    return named;
  }

  /** Two of one name could not be told apart. */
  private void checkFree(Named named) {
    boolean taken =
        shelf.all().stream()
            .filter(other -> !other.id().equals(named.id()))
            .anyMatch(other -> other.name().equalsIgnoreCase(named.name()));
    if (taken) {
      throw InvalidValueException.of(
          "name", "is the name of another outline", "a name that no outline has yet");
    }
  }
}
