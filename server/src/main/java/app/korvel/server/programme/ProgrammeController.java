package app.korvel.server.programme;

import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.programme.Programme;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineShelf;
import app.korvel.server.programme.ProgrammeDesk.Led;
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
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.Ids;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedProgramme;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A client's programme: laid out, changed session by session, taken back; and one for nobody. */
@RestController
class ProgrammeController {
  private final ProgrammeRepository programmes;
  private final ProgrammeDesk desk;
  private final OutlineShelf outlines;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  ProgrammeController(
      ProgrammeRepository programmes,
      ProgrammeDesk desk,
      OutlineShelf outlines,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.programmes = programmes;
    this.desk = desk;
    this.outlines = outlines;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  /** Lays a programme out with no client; nothing is kept. */
  @PostMapping("/api/calculator/programme")
  ProgrammeView layOut(@RequestBody ProgrammeTrialRequest request) {
    return desk.layOut(request);
  }

  @GetMapping("/api/clients/{id}/programme")
  ProgrammeSheet sheet(@PathVariable UUID id) {
    return desk.sheet(records.client(id));
  }

  /** Lays one out without saving it. */
  @PostMapping("/api/clients/{id}/programme/preview")
  ProgrammeView preview(@PathVariable UUID id, @RequestBody PlanRequest request) {
    Led led = desk.led(records.client(id));
    return desk.view(led, desk.layOut(led, request));
  }

  /** Lays one out and saves it, in the place of the one before. */
  @OneWrite
  @PutMapping("/api/clients/{id}/programme")
  ProgrammeView save(@PathVariable UUID id, @RequestBody ProgrammeRequest request) {
    Led led = desk.led(records.open(id));
    Programme programme = desk.layOut(led, request.plan());
    return save(led, request.version(), led.leading().id(), programme);
  }

  @OneWrite
  @PutMapping("/api/clients/{id}/programme/sessions/{number}/date")
  ProgrammeView move(
      @PathVariable UUID id, @PathVariable int number, @RequestBody SessionDateRequest request) {
    desk.checkOpen(id, number);
    return change(
        id,
        request.version(),
        programme ->
            request.time() == null && !Boolean.TRUE.equals(request.untimed())
                ? programme.move(number, request.date())
                : programme.move(number, request.date(), Optional.ofNullable(request.time())));
  }

  @OneWrite
  @PutMapping("/api/clients/{id}/programme/sessions/{number}/skipped")
  ProgrammeView skip(
      @PathVariable UUID id, @PathVariable int number, @RequestBody SessionSkipRequest request) {
    desk.checkOpen(id, number);
    return change(id, request.version(), programme -> programme.skip(number, request.skipped()));
  }

  @OneWrite
  @PutMapping("/api/clients/{id}/programme/sessions/{number}/mode")
  ProgrammeView swap(
      @PathVariable UUID id, @PathVariable int number, @RequestBody SessionModeRequest request) {
    desk.checkOpen(id, number);
    Client client = records.client(id);
    return change(
        id,
        request.version(),
        programme -> programme.swap(number, request.mode(), records.screening(client).person()));
  }

  @OneWrite
  @PutMapping("/api/clients/{id}/programme/sessions/{number}/outline")
  ProgrammeView use(
      @PathVariable UUID id, @PathVariable int number, @RequestBody SessionOutlineRequest request) {
    desk.checkOpen(id, number);
    Optional<Named> named = Optional.ofNullable(request.outline()).map(outlines::of);
    return change(id, request.version(), programme -> programme.use(number, named));
  }

  /** What the next week is to be: as proposed, otherwise, or the same again. */
  @OneWrite
  @PutMapping("/api/clients/{id}/programme/weeks/{week}/decision")
  ProgrammeView decide(
      @PathVariable UUID id, @PathVariable int week, @RequestBody WeekDecisionRequest request) {
    Led led = desk.led(records.open(id));
    return change(id, request.version(), programme -> desk.decide(led, programme, week, request));
  }

  /** As it was at an earlier version; that is a version of its own. */
  @OneWrite
  @PutMapping("/api/clients/{id}/programme/version")
  ProgrammeView takeBack(@PathVariable UUID id, @RequestBody TakeBackRequest request) {
    Led led = desk.led(records.open(id));
    SavedProgramme before =
        programmes
            .get(id, request.to())
            .orElseThrow(
                () ->
                    new NotFoundException(
                        "This client's programme has no version " + request.to() + "."));
    return save(led, request.version(), before.prescriptionId(), before.programme());
  }

  /** Changes the version that was read; one changed since is left as it is. */
  private ProgrammeView change(UUID id, int version, UnaryOperator<Programme> how) {
    Led led = desk.led(records.open(id));
    SavedProgramme read =
        programmes
            .get(id, version)
            .orElseThrow(
                () ->
                    new NotFoundException(
                        "This client's programme has no version " + version + "."));
    return save(led, version, read.prescriptionId(), how.apply(read.programme()));
  }

  private ProgrammeView save(Led led, int version, UUID prescriptionId, Programme programme) {
    return desk.view(
        led,
        programmes.save(
            ids.next(),
            led.client().id(),
            version,
            prescriptionId,
            programme,
            clock.now(),
            clock.today()));
  }
}
