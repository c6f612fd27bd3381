package app.korvel.server.screening;

import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Decision;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Screening;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.screening.ScreeningViews.AnswersView;
import app.korvel.server.screening.ScreeningViews.ClearanceRequest;
import app.korvel.server.screening.ScreeningViews.ClearanceView;
import app.korvel.server.screening.ScreeningViews.ConsentRequest;
import app.korvel.server.screening.ScreeningViews.ConsentView;
import app.korvel.server.screening.ScreeningViews.DecisionView;
import app.korvel.server.screening.ScreeningViews.IntakeRequest;
import app.korvel.server.screening.ScreeningViews.IntakeView;
import app.korvel.server.screening.ScreeningViews.Questions;
import app.korvel.server.screening.ScreeningViews.ScreeningAnswer;
import app.korvel.server.screening.ScreeningViews.ScreeningRequest;
import app.korvel.server.screening.ScreeningViews.ScreeningView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.ProblemType;
import app.korvel.server.web.Problems;
import app.korvel.server.web.TakenBack;
import app.korvel.store.ClearanceRepository;
import app.korvel.store.ConsentRepository;
import app.korvel.store.Ids;
import app.korvel.store.IntakeRepository;
import app.korvel.store.IntakeRepository.StaleIntakeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The screening calculator, and a client's intake, decision and clearances. */
@RestController
class ScreeningController {
  private final IntakeRepository intakes;
  private final ClearanceRepository clearances;
  private final ConsentRepository consents;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  ScreeningController(
      IntakeRepository intakes,
      ClearanceRepository clearances,
      ConsentRepository consents,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.intakes = intakes;
    this.clearances = clearances;
    this.consents = consents;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  @PostMapping("/api/calculator/screening")
  ScreeningAnswer decide(@RequestBody ScreeningRequest request) {
    return ScreeningAnswer.of(
        Decision.of(request.activity(), request.knownDisease(), request.symptoms()));
  }

  /** What the intake asks, and what there is to choose from. */
  @GetMapping("/api/screening/questions")
  Questions questions() {
    return Questions.ALL;
  }

  @GetMapping("/api/clients/{id}/screening")
  ScreeningView screening(@PathVariable UUID id) {
    return view(records.client(id));
  }

  @GetMapping("/api/clients/{id}/screening/decision")
  DecisionView decision(@PathVariable UUID id) {
    return DecisionView.of(records.screening(records.client(id)));
  }

  /**
   * Keeps the answers as the next version. The same answers given again on a later day, or after a
   * change was told, are a version of their own: they confirm.
   */
  @OneWrite
  @PutMapping("/api/clients/{id}/screening")
  ScreeningView answer(@PathVariable UUID id, @RequestBody IntakeRequest request) {
    Client client = records.open(id);
    LocalDate today = clock.today();
    Answers answers = request.answers().answers().check(restingBpm(client), today);
    boolean due = records.screening(client).due();
    Instant now = clock.now();
    intakes.add(
        ids.next(),
        id,
        request.version(),
        before -> {
          boolean same =
              !before.isEmpty()
                  && before.get(0).answers().equals(answers)
                  && !due
                  && LocalDate.ofInstant(before.get(0).recordedAt(), clock.zone()).equals(today);
          return same
              ? Optional.empty()
              : Optional.of(Intake.following(before, answers, now, clock.zone()));
        });
    return view(client);
  }

  private OptionalInt restingBpm(Client client) {
    return records
        .head(client.id())
        .ground()
        .resting()
        .map(WorkingResting::bpm)
        .map(OptionalInt::of)
        .orElse(OptionalInt.empty());
  }

  /** Nothing is lost: the asker still has their answers, and is told that others came first. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleIntakeException stale) {
    return Problems.answer(
        ProblemType.STALE.problem(
            HttpStatus.CONFLICT, stale.getMessage() + " Look at theirs, then answer again."));
  }

  @OneWrite
  @PostMapping("/api/clients/{id}/clearances")
  @ResponseStatus(HttpStatus.CREATED)
  ClearanceView clear(@PathVariable UUID id, @RequestBody ClearanceRequest request) {
    records.open(id);
    Clearance clearance = request.clearance(ids.next(), clock.now(), clock.zone());
    clearances.add(id, clearance);
    return ClearanceView.of(clearance, clock.today());
  }

  /** Takes back a clearance that was put on record by mistake; what is answered can be undone. */
  @OneWrite
  @DeleteMapping("/api/clients/{id}/clearances/{clearance}")
  TakenBack takeBack(@PathVariable UUID id, @PathVariable UUID clearance) {
    return taken(
        id, "clearance", clearance, by -> clearances.withdraw(id, clearance, by, clock.now()));
  }

  /** Undoes a taking back. */
  @OneWrite
  @PostMapping("/api/clients/{id}/clearances/{clearance}/undo")
  TakenBack undo(@PathVariable UUID id, @PathVariable UUID clearance) {
    return taken(id, "clearance", clearance, by -> clearances.undo(id, clearance, by));
  }

  /** Puts a parent's or guardian's consent on record. */
  @OneWrite
  @PostMapping("/api/clients/{id}/consents")
  @ResponseStatus(HttpStatus.CREATED)
  ConsentView consent(@PathVariable UUID id, @RequestBody ConsentRequest request) {
    records.open(id);
    Consent consent = request.consent(ids.next(), clock.now(), clock.zone());
    consents.add(id, consent);
    return ConsentView.of(consent);
  }

  /** Takes back a consent that was put on record by mistake, or is given no more. */
  @OneWrite
  @DeleteMapping("/api/clients/{id}/consents/{consent}")
  TakenBack takeBackConsent(@PathVariable UUID id, @PathVariable UUID consent) {
    return taken(id, "consent", consent, by -> consents.withdraw(id, consent, by, clock.now()));
  }

  /** Undoes a taking back. */
  @OneWrite
  @PostMapping("/api/clients/{id}/consents/{consent}/undo")
  TakenBack undoConsent(@PathVariable UUID id, @PathVariable UUID consent) {
    return taken(id, "consent", consent, by -> consents.undo(id, consent, by));
  }

  /** Takes a record back, or undoes that, by another one that supersedes it. */
  private TakenBack taken(UUID client, String what, UUID record, Predicate<UUID> supersede) {
    records.open(client);
    UUID by = ids.next();
    if (!supersede.test(by)) {
      throw new NotFoundException("This client has no " + what + " " + record + ".");
    }
    return new TakenBack(by);
  }

  private ScreeningView view(Client client) {
    List<Intake> versions = intakes.of(client.id());
    Screening screening = records.screening(client);
    return new ScreeningView(
        versions.isEmpty() ? 0 : versions.get(0).version(),
        AnswersView.of(screening.answers()),
        versions.stream().map(IntakeView::of).toList(),
        clearances.of(client.id()).stream()
            .map(clearance -> ClearanceView.of(clearance, clock.today()))
            .toList(),
        screening.person().under18(),
        consents.of(client.id()).stream().map(ConsentView::of).toList(),
        DecisionView.of(screening));
  }
}
