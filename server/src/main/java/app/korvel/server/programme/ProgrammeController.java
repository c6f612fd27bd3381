package app.korvel.server.programme;

import app.korvel.server.programme.ProgrammeViews.PlanRequest;
import app.korvel.server.programme.ProgrammeViews.ProgrammeRequest;
import app.korvel.server.programme.ProgrammeViews.ProgrammeSheet;
import app.korvel.server.programme.ProgrammeViews.ProgrammeTrialRequest;
import app.korvel.server.programme.ProgrammeViews.ProgrammeView;
import app.korvel.server.programme.ProgrammeViews.SessionDateRequest;
import app.korvel.server.programme.ProgrammeViews.SessionModeRequest;
import app.korvel.server.programme.ProgrammeViews.SessionOutlineRequest;
import app.korvel.server.programme.ProgrammeViews.SessionSkipRequest;
import app.korvel.server.programme.ProgrammeViews.TakeBackRequest;
import app.korvel.server.programme.ProgrammeViews.WeekDecisionRequest;
import app.korvel.store.SavedProgramme;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.outline.OutlineCatalog;
import app.korvel.studio.programme.ChangeProgramme;
import app.korvel.studio.programme.ChangeProgramme.Change;
import app.korvel.studio.programme.DecideWeek;
import app.korvel.studio.programme.LayOutProgramme;
import app.korvel.studio.programme.Programmes;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A client's programme: laid out, changed session by session, withdrawn; and one for nobody. */
@RestController
class ProgrammeController {
  private static final String SESSION = "/api/clients/{id}/programme/sessions/{number}";

  private final Studio studio;
  private final ProgrammePages pages;
  private final ChangeProgramme change;

  ProgrammeController(Studio studio) {
    this.studio = studio;
    this.pages = new ProgrammePages(studio);
    this.change = new ChangeProgramme(studio);
  }

  /** Lays a programme out with no client; nothing is kept. */
  @PostMapping("/api/calculator/programme")
  ProgrammeView layOut(@RequestBody ProgrammeTrialRequest request) {
    return ProgrammeTrial.layOut(request, studio.settings().ways().family());
  }

  @GetMapping("/api/clients/{id}/programme")
  ProgrammeSheet sheet(@PathVariable UUID id) {
    return pages.sheet(studio.head(id));
  }

  /** Lays one out without saving it. */
  @PostMapping("/api/clients/{id}/programme/preview")
  ProgrammeView preview(@PathVariable UUID id, @RequestBody PlanRequest request) {
    ClientHead head = studio.head(id);
    return pages.view(head, new Programmes(studio).laidOut(head, request.wanted()));
  }

  /** Lays one out and saves it, in the place of the one before. */
  @PutMapping("/api/clients/{id}/programme")
  ProgrammeView save(Actor who, @PathVariable UUID id, @RequestBody ProgrammeRequest request) {
    return view(
        id, new LayOutProgramme(studio).by(who, id, request.version(), request.plan().wanted()));
  }

  @PutMapping(SESSION + "/date")
  ProgrammeView move(
      Actor who,
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestBody SessionDateRequest request) {
    return view(id, change.session(who, id, request.version(), number, request.change(number)));
  }

  @PutMapping(SESSION + "/skipped")
  ProgrammeView skip(
      Actor who,
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestBody SessionSkipRequest request) {
    Change skip = (head, programme) -> programme.skip(number, request.skipped());
    return view(id, change.session(who, id, request.version(), number, skip));
  }

  @PutMapping(SESSION + "/mode")
  ProgrammeView swap(
      Actor who,
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestBody SessionModeRequest request) {
    Change swap =
        (head, programme) -> programme.swap(number, request.mode(), head.screening().person());
    return view(id, change.session(who, id, request.version(), number, swap));
  }

  @PutMapping(SESSION + "/outline")
  ProgrammeView use(
      Actor who,
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestBody SessionOutlineRequest request) {
    Change use =
        (head, programme) ->
            programme.use(
                number, Optional.ofNullable(request.outline()).map(new OutlineCatalog(studio)::of));
    return view(id, change.session(who, id, request.version(), number, use));
  }

  /** What the next week is to be: as proposed, otherwise, or the same again. */
  @PutMapping("/api/clients/{id}/programme/weeks/{week}/decision")
  ProgrammeView decide(
      Actor who,
      @PathVariable UUID id,
      @PathVariable int week,
      @RequestBody WeekDecisionRequest request) {
    return view(id, new DecideWeek(studio).by(who, id, request.version(), week, request.decided()));
  }

  /** As it was at an earlier version; that is a version of its own. */
  @PutMapping("/api/clients/{id}/programme/version")
  ProgrammeView takeBack(Actor who, @PathVariable UUID id, @RequestBody TakeBackRequest request) {
    return view(id, change.backTo(who, id, request.version(), request.to()));
  }

  private ProgrammeView view(UUID id, SavedProgramme saved) {
    return pages.view(studio.head(id), saved);
  }
}
