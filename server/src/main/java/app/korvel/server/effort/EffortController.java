package app.korvel.server.effort;

import app.korvel.server.effort.EffortViews.EffortList;
import app.korvel.server.effort.EffortViews.EffortRequest;
import app.korvel.server.effort.EffortViews.EffortView;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.effort.RecordEffort;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Races and other efforts by their average rate, made comparable as a share of reserve. */
@RestController
@RequestMapping("/api/clients/{id}/efforts")
class EffortController {
  private final Studio studio;

  EffortController(Studio studio) {
    this.studio = studio;
  }

  /** A client's efforts, latest first. */
  @GetMapping
  EffortList list(@PathVariable UUID id) {
    studio.client(id);
    return new EffortList(studio.store().efforts().of(id).stream().map(EffortView::of).toList());
  }

  /** What share of the span it takes; nothing is kept. */
  @PostMapping("/preview")
  EffortView preview(@PathVariable UUID id, @RequestBody EffortRequest request) {
    return EffortView.of(new RecordEffort(studio).made(studio.head(id), request.entered()));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  EffortView add(Actor who, @PathVariable UUID id, @RequestBody EffortRequest request) {
    return EffortView.of(new RecordEffort(studio).by(who, id, request.entered()));
  }
}
