package app.korvel.server.prescription;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Standing;
import app.korvel.core.prescription.Start;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Screening;
import app.korvel.server.client.ChangeViews.ChangeView;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.OutlineView;
import app.korvel.server.outline.OutlineViews.Runner;
import app.korvel.server.prescription.PrescriptionViews.CardView;
import app.korvel.server.prescription.PrescriptionViews.PartsRequest;
import app.korvel.server.prescription.PrescriptionViews.PrescriptionView;
import app.korvel.server.prescription.PrescriptionViews.PreviewView;
import app.korvel.server.prescription.PrescriptionViews.RenewalView;
import app.korvel.server.prescription.PrescriptionViews.SavedList;
import app.korvel.server.prescription.PrescriptionViews.SavedView;
import app.korvel.server.prescription.PrescriptionViews.StartView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.zone.SchemeShelf;
import app.korvel.store.Ids;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.SavedPrescription;
import java.util.List;
import java.util.Optional;
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
  private final PrescriptionRepository prescriptions;
  private final ClientRecords records;
  private final SchemeShelf shelf;
  private final StudioClock clock;
  private final Ids ids;

  PrescriptionController(
      PrescriptionRepository prescriptions,
      ClientRecords records,
      SchemeShelf shelf,
      StudioClock clock,
      Ids ids) {
    this.prescriptions = prescriptions;
    this.records = records;
    this.shelf = shelf;
    this.clock = clock;
    this.ids = ids;
  }

  @GetMapping("/start")
  StartView start(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Goal goal,
      @RequestParam(required = false) @Nullable Approach approach,
      @RequestParam(defaultValue = "run") Mode mode) {
    Client client = records.client(id);
    Screening screening = records.screening(client);
    Goal aim = goal == null ? screening.answers().goal().orElse(Goal.GENERAL_FITNESS) : goal;
    Start start = Start.of(screening, aim, Optional.ofNullable(approach), mode);
    return StartView.of(start, records.groundwork(client, mode));
  }

  /** Works the parts out without saving them. */
  @PostMapping("/preview")
  PreviewView preview(@PathVariable UUID id, @RequestBody PartsRequest request) {
    Client client = records.client(id);
    Prescription made = workOut(client, request);
    Groundwork ground = records.groundwork(client, made.parts().mode());
    return new PreviewView(
        PrescriptionView.of(made),
        OutlineView.of(made.outline(), Runner.of(ground, made.rpeFamily())));
  }

  /**
   * Saves the next version.
   *
   * @param after the version it follows, 0 where there was none: another one saved since is a
   *     conflict; null to follow whichever there is
   */
  @OneWrite
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  SavedView save(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Integer after,
      @RequestBody PartsRequest request) {
    Client client = records.open(id);
    Prescription made = workOut(client, request);
    UUID next = ids.next();
    return SavedView.of(
        after == null
            ? prescriptions.add(next, id, made, clock.now())
            : prescriptions.add(next, id, after, made, clock.now()),
        records.screening(client));
  }

  @GetMapping
  SavedList list(@PathVariable UUID id) {
    Client client = records.client(id);
    Screening screening = records.screening(client);
    List<SavedPrescription> versions = prescriptions.of(id);
    Optional<SavedPrescription> latest = versions.stream().findFirst();
    return new SavedList(
        versions.stream().map(saved -> SavedView.of(saved, screening)).toList(),
        ChangeView.of(latest.flatMap(saved -> records.change(client, saved.prescription()))),
        latest.flatMap(saved -> records.review(client, saved)).map(FindingView::of).orElse(null),
        latest
            .filter(
                saved -> Standing.of(saved.prescription(), saved.recordedAt(), screening).holds())
            .map(saved -> records.card(client, saved).renewal())
            .map(renewal -> RenewalView.of(renewal, clock.today()))
            .orElse(null));
  }

  /** The card of an issued version; a draft has none. */
  @GetMapping("/{version}/card")
  CardView card(@PathVariable UUID id, @PathVariable int version) {
    Client client = records.client(id);
    SavedPrescription saved =
        prescriptions
            .get(id, version)
            .orElseThrow(
                () -> new NotFoundException("This client has no prescription " + version + "."));
    int latest = prescriptions.of(id).get(0).version();
    return CardView.of(
        records.card(client, saved), latest, clock.today(), records.review(client, saved));
  }

  private Prescription workOut(Client client, PartsRequest request) {
    Parts parts = request.parts();
    return Prescription.of(records.groundwork(client, parts.mode()), parts, shelf.ways(client));
  }
}
