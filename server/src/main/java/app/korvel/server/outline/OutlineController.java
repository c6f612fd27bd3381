package app.korvel.server.outline;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Outlines;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.zone.Reserve;
import app.korvel.server.outline.OutlineViews.ClientOutlineView;
import app.korvel.server.outline.OutlineViews.NamedOutlineChangeRequest;
import app.korvel.server.outline.OutlineViews.NamedOutlineRequest;
import app.korvel.server.outline.OutlineViews.NamedOutlineView;
import app.korvel.server.outline.OutlineViews.OutlineArchiveRequest;
import app.korvel.server.outline.OutlineViews.OutlineList;
import app.korvel.server.outline.OutlineViews.OutlineRequest;
import app.korvel.server.outline.OutlineViews.OutlineTrialRequest;
import app.korvel.server.outline.OutlineViews.OutlineView;
import app.korvel.server.web.Problems;
import app.korvel.store.SavedOutline;
import app.korvel.store.StaleVersionException;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.outline.OutlineCatalog;
import app.korvel.studio.outline.OwnOutlines;
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
  private final Studio studio;

  OutlineController(Studio studio) {
    this.studio = studio;
  }

  private ExertionLimits anyone() {
    return ExertionLimits.anyone(Optional.empty(), studio.settings().ways().family());
  }

  @GetMapping("/api/outlines")
  OutlineList list() {
    ExertionLimits anyone = anyone();
    List<NamedOutlineView> views = new ArrayList<>();
    Outlines.SHIPPED.forEach(named -> views.add(NamedOutlineView.of(named, null, anyone)));
    studio.store().outlines().all().stream().map(this::view).forEach(views::add);
    return new OutlineList(views);
  }

  @GetMapping("/api/outlines/{id}")
  NamedOutlineView one(@PathVariable String id) {
    return OutlineCatalog.shipped(id)
        .map(named -> NamedOutlineView.of(named, null, anyone()))
        .orElseGet(
            () ->
                view(
                    studio
                        .store()
                        .outlines()
                        .get(id)
                        .orElseThrow(() -> OutlineCatalog.unknown(id))));
  }

  @PostMapping("/api/outlines")
  @ResponseStatus(HttpStatus.CREATED)
  NamedOutlineView add(Actor who, @RequestBody NamedOutlineRequest request) {
    return view(new OwnOutlines(studio).add(who, request::checked));
  }

  @PutMapping("/api/outlines/{id}")
  NamedOutlineView change(
      Actor who, @PathVariable String id, @RequestBody NamedOutlineChangeRequest request) {
    return view(
        new OwnOutlines(studio).change(who, request.version(), request.outline().checked(id)));
  }

  @PutMapping("/api/outlines/{id}/archived")
  NamedOutlineView archive(
      Actor who, @PathVariable String id, @RequestBody OutlineArchiveRequest request) {
    return view(new OwnOutlines(studio).archive(who, id, request.version(), request.archived()));
  }

  /** Works an outline out on a span, or without one; nothing is kept. */
  @PostMapping("/api/calculator/outline")
  OutlineView tryOn(@RequestBody OutlineTrialRequest request) {
    Optional<Reserve> reserve =
        request.restingBpm() == null || request.maximumBpm() == null
            ? Optional.empty()
            : Optional.of(Reserve.of(request.restingBpm(), request.maximumBpm()));
    return OutlineView.of(
        request.outline().written(),
        ExertionLimits.anyone(reserve, studio.settings().ways().family()));
  }

  /** Works an outline out for a client as of today; nothing is kept. */
  @PostMapping("/api/clients/{id}/outline")
  ClientOutlineView tryOn(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "run") Mode mode,
      @RequestBody OutlineRequest request) {
    return ClientOutlineView.of(
        request.written(),
        ExertionLimits.of(studio.head(id).baseline(mode), studio.settings().ways().family()));
  }

  /** Nothing is lost: the answer carries the record as it is now, the asker still has theirs. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.stale(stale, view(stale.current(SavedOutline.class)));
  }

  private NamedOutlineView view(SavedOutline saved) {
    return NamedOutlineView.of(saved.named(), saved.version(), anyone());
  }
}
