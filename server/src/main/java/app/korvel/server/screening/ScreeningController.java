package app.korvel.server.screening;

import app.korvel.core.screening.Decision;
import app.korvel.server.screening.ScreeningViews.ClearanceRequest;
import app.korvel.server.screening.ScreeningViews.ClearanceView;
import app.korvel.server.screening.ScreeningViews.ConsentRequest;
import app.korvel.server.screening.ScreeningViews.ConsentView;
import app.korvel.server.screening.ScreeningViews.DecisionView;
import app.korvel.server.screening.ScreeningViews.IntakeRequest;
import app.korvel.server.screening.ScreeningViews.Questions;
import app.korvel.server.screening.ScreeningViews.ScreeningAnswer;
import app.korvel.server.screening.ScreeningViews.ScreeningRequest;
import app.korvel.server.screening.ScreeningViews.ScreeningView;
import app.korvel.server.web.ProblemType;
import app.korvel.server.web.Problems;
import app.korvel.store.StaleVersionException;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.screening.AnswerIntake;
import app.korvel.studio.screening.RecordClearance;
import app.korvel.studio.screening.RecordConsent;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The screening calculator, and a client's intake, decision, clearances and consents. */
@RestController
class ScreeningController {
  private final Studio studio;

  ScreeningController(Studio studio) {
    this.studio = studio;
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
    return ScreeningView.of(
        studio.head(id).screening(),
        studio.store().intakes().of(id),
        studio.store().clearances().of(id),
        studio.store().consents().of(id));
  }

  @GetMapping("/api/clients/{id}/screening/decision")
  DecisionView decision(@PathVariable UUID id) {
    return DecisionView.of(studio.head(id).screening());
  }

  @PutMapping("/api/clients/{id}/screening")
  ScreeningView answer(Actor who, @PathVariable UUID id, @RequestBody IntakeRequest request) {
    new AnswerIntake(studio).by(who, id, request.version(), request.answers().answers());
    return screening(id);
  }

  /** Nothing is lost: the asker still has their answers, and is told that others came first. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.answer(
        ProblemType.STALE.problem(
            HttpStatus.CONFLICT,
            "Someone else saved answers meanwhile. Review theirs, then save yours again."));
  }

  @PostMapping("/api/clients/{id}/clearances")
  @ResponseStatus(HttpStatus.CREATED)
  ClearanceView clear(Actor who, @PathVariable UUID id, @RequestBody ClearanceRequest request) {
    return ClearanceView.of(
        new RecordClearance(studio).by(who, id, request::clearance), studio.today());
  }

  @PostMapping("/api/clients/{id}/consents")
  @ResponseStatus(HttpStatus.CREATED)
  ConsentView consent(Actor who, @PathVariable UUID id, @RequestBody ConsentRequest request) {
    return ConsentView.of(new RecordConsent(studio).by(who, id, request::consent));
  }
}
