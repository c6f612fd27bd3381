package app.korvel.server.checkin;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.CheckInContext;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import app.korvel.server.checkin.CheckInViews.CheckInAnswer;
import app.korvel.server.checkin.CheckInViews.CheckInOfAnyoneRequest;
import app.korvel.server.checkin.CheckInViews.CheckInRequest;
import app.korvel.server.checkin.CheckInViews.CheckInSheet;
import app.korvel.server.checkin.CheckInViews.CheckInView;
import app.korvel.server.checkin.CheckInViews.VerdictView;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.checkin.CheckInClient;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The check-in calculator, and a client's check-ins before a session. */
@RestController
class CheckInController {
  private static final int RECENT = 8;

  private final Studio studio;

  CheckInController(Studio studio) {
    this.studio = studio;
  }

  @PostMapping("/api/calculator/checkin")
  CheckInAnswer judge(@RequestBody CheckInOfAnyoneRequest request) {
    Person person =
        Person.of(request.age(), Sex.NOT_GIVEN, Activity.SOME, Person.Health.NOTHING_KNOWN);
    return CheckInAnswer.of(
        Verdict.of(request.checkIn(), CheckInContext.of(studio.today(), person, request.usual())));
  }

  @GetMapping("/api/clients/{id}/checkins")
  CheckInSheet sheet(@PathVariable UUID id) {
    return CheckInSheet.of(
        studio.head(id),
        studio.store().readings().of(id),
        studio.store().checkIns().of(id, RECENT));
  }

  /** Judges what was found without keeping it. */
  @PostMapping("/api/clients/{id}/checkins/preview")
  VerdictView preview(@PathVariable UUID id, @RequestBody CheckInRequest request) {
    ClientHead head = studio.head(id);
    CheckIn found = request.checkIn();
    CheckInContext known = new CheckInClient(studio).known(head);
    return VerdictView.of(
        found,
        Verdict.of(found, known),
        known.usualBpm(found.posture()),
        head.baseline().lightBelowBpm());
  }

  @PostMapping("/api/clients/{id}/checkins")
  @ResponseStatus(HttpStatus.CREATED)
  CheckInView keep(Actor who, @PathVariable UUID id, @RequestBody CheckInRequest request) {
    return CheckInView.of(
        new CheckInClient(studio).by(who, id, request.checkIn(), request::ownDecision));
  }
}
