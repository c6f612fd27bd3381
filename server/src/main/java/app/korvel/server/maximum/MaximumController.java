package app.korvel.server.maximum;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.server.maximum.MaximumViews.ChoiceList;
import app.korvel.server.maximum.MaximumViews.ChoiceRequest;
import app.korvel.server.maximum.MaximumViews.ChoiceView;
import app.korvel.server.maximum.MaximumViews.MaximumRequest;
import app.korvel.server.maximum.MaximumViews.MaximumSheet;
import app.korvel.server.maximum.MaximumViews.MaximumView;
import app.korvel.server.maximum.MaximumViews.MaximumWorkingRequest;
import app.korvel.server.maximum.MaximumViews.PeakRequest;
import app.korvel.server.maximum.MaximumViews.PeakView;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.maximum.ChooseEquation;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The maximum by every equation, for a client or for figures given. */
@RestController
class MaximumController {
  private final Studio studio;

  MaximumController(Studio studio) {
    this.studio = studio;
  }

  @PostMapping("/api/calculator/maximum")
  MaximumView maximum(@RequestBody MaximumRequest request) {
    return MaximumView.of(
        MaximumEstimates.of(request.person(), request.resting(), request.modeOrRun()));
  }

  /** The peak of a recording; nothing is kept. */
  @PostMapping("/api/calculator/peak")
  PeakView peak(@RequestBody PeakRequest request) {
    return PeakView.of(request.peak());
  }

  /** One equation step by step. */
  @PostMapping("/api/calculator/maximum/working")
  WorkingView working(@RequestBody MaximumWorkingRequest request) {
    MaximumRequest of = request.of();
    return WorkingView.of(
        MaximumEstimates.longHand(request.method(), of.person(), of.resting(), of.modeOrRun()),
        request.figures());
  }

  @GetMapping("/api/clients/{id}/maximum")
  MaximumSheet maximum(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    return MaximumSheet.of(
        studio.head(id),
        mode,
        studio.store().maximumChoices().of(id),
        studio.store().fieldTests().of(id));
  }

  /** Every choice ever made for a client, latest first. */
  @GetMapping("/api/clients/{id}/maximum/choices")
  ChoiceList choices(@PathVariable UUID id) {
    studio.client(id);
    return new ChoiceList(
        studio.store().maximumChoices().of(id).stream()
            .map(
                kept ->
                    new ChoiceView(
                        kept.id(),
                        kept.choice().map(Choice::method).orElse(null),
                        kept.choice().map(Choice::reason).orElse(null),
                        kept.on()))
            .toList());
  }

  /** Another equation than the default is used from now on, in every mode. */
  @PutMapping("/api/clients/{id}/maximum/choice")
  MaximumSheet choose(Actor who, @PathVariable UUID id, @RequestBody ChoiceRequest request) {
    new ChooseEquation(studio).by(who, id, request.method(), request.reason());
    return maximum(id, Mode.RUN);
  }

  /** Back to the default; nothing is kept where it is in use already. */
  @DeleteMapping("/api/clients/{id}/maximum/choice")
  MaximumSheet backToDefault(Actor who, @PathVariable UUID id) {
    new ChooseEquation(studio).none(who, id);
    return maximum(id, Mode.RUN);
  }
}
