package app.korvel.server.prescription;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Start;
import app.korvel.core.screening.Goal;
import app.korvel.server.outline.OutlineViews.OutlineView;
import app.korvel.server.prescription.PrescriptionViews.CardView;
import app.korvel.server.prescription.PrescriptionViews.FittRequest;
import app.korvel.server.prescription.PrescriptionViews.PrescriptionView;
import app.korvel.server.prescription.PrescriptionViews.PreviewView;
import app.korvel.server.prescription.PrescriptionViews.SavedList;
import app.korvel.server.prescription.PrescriptionViews.SavedView;
import app.korvel.server.prescription.PrescriptionViews.StartView;
import app.korvel.store.SavedPrescription;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.prescription.SavePrescription;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A client's prescriptions: where to start, what follows, saving, and the card. */
@RestController
@RequestMapping("/api/clients/{id}/prescriptions")
class PrescriptionController {
  private final Studio studio;

  PrescriptionController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping("/start")
  StartView start(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Goal goal,
      @RequestParam(required = false) @Nullable Approach approach,
      @RequestParam(defaultValue = "run") Mode mode) {
    ClientHead head = studio.head(id);
    Goal aim = goal == null ? head.screening().answers().goal().orElse(Goal.GENERAL_FITNESS) : goal;
    Start start = Start.of(head.screening(), aim, Optional.ofNullable(approach), mode);
    return StartView.of(start, head.baseline(mode));
  }

  /** Works the parts out without saving them. */
  @PostMapping("/preview")
  PreviewView preview(@PathVariable UUID id, @RequestBody FittRequest request) {
    ClientHead head = studio.head(id);
    Prescription made = new SavePrescription(studio).made(head, request.parts());
    ExertionLimits runner = ExertionLimits.of(head.baseline(made.parts().mode()), made.rpeFamily());
    return new PreviewView(PrescriptionView.of(made), OutlineView.of(made.outline(), runner));
  }

  /**
   * Saves the next version.
   *
   * @param after the version it follows, 0 where there was none: another one saved since is a
   *     conflict; null to follow whichever there is
   */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  SavedView save(
      Actor who,
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Integer after,
      @RequestBody FittRequest request) {
    OptionalInt read = after == null ? OptionalInt.empty() : OptionalInt.of(after);
    return SavedView.of(
        new SavePrescription(studio).by(who, id, read, request.parts()),
        studio.head(id).screening());
  }

  @GetMapping
  SavedList list(@PathVariable UUID id) {
    return SavedList.of(studio.head(id), studio.store().prescriptions().of(id));
  }

  /** The card of an issued version; a draft has none. */
  @GetMapping("/{version}/card")
  CardView card(@PathVariable UUID id, @PathVariable int version) {
    ClientHead head = studio.head(id);
    SavedPrescription saved =
        studio
            .store()
            .prescriptions()
            .get(id, version)
            .orElseThrow(
                () -> NotFoundException.of("This client has no prescription %s.", version));
    return CardView.of(
        head.card(saved),
        head.prescription().orElseThrow().version(),
        studio.today(),
        head.review(saved));
  }
}
