package app.korvel.server.sheet;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.screening.Client;
import app.korvel.exchange.sheet.HandOutSheet;
import app.korvel.exchange.sheet.HandOutSheet.HandOutSession;
import app.korvel.exchange.sheet.HandOutSheet.HandOutWeek;
import app.korvel.exchange.sheet.Paper;
import app.korvel.exchange.sheet.Sheet;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.server.programme.ProgrammeDesk;
import app.korvel.server.programme.ProgrammeDesk.Led;
import app.korvel.server.session.SessionDesk;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.studio.StudioSettings;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SavedSession;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a client takes home for the next four weeks: as a page, and as a PDF. */
@RestController
class HandOutController {
  private final PlannedSessionRepository planned;
  private final ProgrammeRepository programmes;
  private final ProgrammeDesk desk;
  private final SessionDesk sessions;
  private final ClientRecords records;
  private final StudioSettings settings;
  private final StudioClock clock;

  HandOutController(
      PlannedSessionRepository planned,
      ProgrammeRepository programmes,
      ProgrammeDesk desk,
      SessionDesk sessions,
      ClientRecords records,
      StudioSettings settings,
      StudioClock clock) {
    this.planned = planned;
    this.programmes = programmes;
    this.desk = desk;
    this.sessions = sessions;
    this.records = records;
    this.settings = settings;
    this.clock = clock;
  }

  record HandOutRequest(UUID clientId, Paper paper) {}

  @PostMapping(value = "/api/sheets/hand-out/page", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> page(@RequestBody HandOutRequest request) {
    return SheetAnswer.page(sheet(request));
  }

  @PostMapping(value = "/api/sheets/hand-out/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(@RequestBody HandOutRequest request) {
    return SheetAnswer.pdf(sheet(request));
  }

  private Sheet sheet(HandOutRequest request) {
    if (!Paper.FOR_CARDS.contains(request.paper)) {
      throw InvalidValueException.of("paper", "is none for a hand-out", "a4 or letter");
    }
    Client client = records.open(request.clientId);
    Led led = desk.led(client);
    Card card = records.card(client, led.leading());
    SavedProgramme saved =
        programmes
            .current(client.id())
            .orElseThrow(() -> RefusedException.because(FindingKind.NO_PROGRAMME_LAID_OUT.of()));
    LocalDate today = clock.today();
    if (saved.programme().plan().endsOn().isBefore(today)) {
      throw RefusedException.because(FindingKind.NO_PROGRAMME_LAID_OUT.of());
    }
    return HandOutSheet.of(
        card, weeks(led, saved, today), settings.ways().family(), request.paper, today);
  }

  private List<HandOutWeek> weeks(Led led, SavedProgramme saved, LocalDate today) {
    LocalDate first = saved.programme().plan().startsOn();
    int now = today.isBefore(first) ? 1 : saved.programme().plan().weekOf(today);
    int last = Math.min(saved.programme().weeks().size(), now + HandOutSheet.WEEKS - 1);
    List<SavedSession> all = planned.of(led.client().id());
    List<HandOutWeek> weeks = new ArrayList<>();
    for (int week = now; week <= last; week++) {
      LocalDate begins = first.plusWeeks(week - 1L);
      var dose = saved.programme().weeks().get(week - 1).dose();
      weeks.add(
          new HandOutWeek(
              week,
              begins,
              dose.range().low()
                  + "–"
                  + dose.range().high()
                  + " % of reserve, "
                  + dose.minutes()
                  + " min of work, "
                  + (dose.days() == 1 ? "once." : dose.days() + " times."),
              all.stream()
                  .filter(session -> session.state() == SavedSession.State.PLANNED)
                  .filter(session -> !session.on().isBefore(begins))
                  .filter(session -> session.on().isBefore(begins.plusWeeks(1)))
                  .filter(session -> !session.on().isBefore(today))
                  .map(session -> session(led, session))
                  .toList()));
    }
    return weeks;
  }

  private HandOutSession session(Led led, SavedSession session) {
    StepAim aim = sessions.aim(led, session.mode(), session.range());
    boolean rates = aim.lowBpm() != null && aim.highBpm() != null;
    String effort =
        (aim.rpe20().get(0) <= 6 ? "up to " : aim.rpe20().get(0) + "–") + aim.rpe20().get(1);
    return new HandOutSession(
        session.on(),
        session.at(),
        session.mode().displayName() + ", " + session.minutes() + " min",
        rates
            ? aim.lowBpm() + "–" + aim.highBpm() + " bpm, effort " + effort
            : "effort " + effort + ", " + aim.name());
  }
}
