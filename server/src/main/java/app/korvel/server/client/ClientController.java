package app.korvel.server.client;

import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.JobStep.SavedStatus;
import app.korvel.core.prescription.Standing;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.server.client.ClientViews.ArchiveRequest;
import app.korvel.server.client.ClientViews.ChangeRequest;
import app.korvel.server.client.ClientViews.CheckedToday;
import app.korvel.server.client.ClientViews.ClientList;
import app.korvel.server.client.ClientViews.ClientOverview;
import app.korvel.server.client.ClientViews.ClientRow;
import app.korvel.server.client.ClientViews.ClientView;
import app.korvel.server.client.ClientViews.DetailsRequest;
import app.korvel.server.client.ClientViews.EquationFacts;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.client.ClientViews.PrescriptionInUse;
import app.korvel.server.client.ClientViews.StandingView;
import app.korvel.server.client.ClientViews.StepView;
import app.korvel.server.client.ClientViews.WatchView;
import app.korvel.server.client.TargetInQuestion.AimView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.Problems;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.Ids;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.StaleVersionException;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Clients: the list, adding, changing, and the header of a client's page. */
@RestController
@RequestMapping("/api/clients")
class ClientController {
  /** What decides about a week lies no further back. */
  private static final int LOOKED_BACK = 8;

  private static final int MOST_WORDS = 20;
  private static final int LONGEST_SEARCH = 200;

  private final ClientRepository clients;
  private final PrescriptionRepository prescriptions;
  private final ProgrammeRepository programmes;
  private final SessionLogRepository logs;
  private final CheckInRepository checkIns;
  private final ClientRecords records;
  private final TargetInQuestion target;
  private final StudioClock clock;
  private final Ids ids;

  ClientController(
      ClientRepository clients,
      PrescriptionRepository prescriptions,
      ProgrammeRepository programmes,
      SessionLogRepository logs,
      CheckInRepository checkIns,
      ClientRecords records,
      TargetInQuestion target,
      StudioClock clock,
      Ids ids) {
    this.clients = clients;
    this.prescriptions = prescriptions;
    this.programmes = programmes;
    this.logs = logs;
    this.checkIns = checkIns;
    this.records = records;
    this.target = target;
    this.clock = clock;
    this.ids = ids;
  }

  @GetMapping
  ClientList list(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "false") boolean archived) {
    checkSearch(q);
    ClientRecords.Everyone everyone = records.everyone();
    Map<UUID, SavedPrescription> current = prescriptions.current();
    Map<UUID, SavedProgramme> planned = programmes.current();
    Map<UUID, List<SessionLog>> logged = logs.since(clock.today().minusWeeks(LOOKED_BACK));
    Map<UUID, LocalDate> lastDays = logs.lastDays();
    return new ClientList(
        clients.find(q, archived).stream()
            .map(
                client ->
                    row(
                        client,
                        everyone,
                        Optional.ofNullable(current.get(client.id())),
                        Training.of(
                            Optional.ofNullable(planned.get(client.id())),
                            logged.getOrDefault(client.id(), List.of()),
                            Optional.ofNullable(lastDays.get(client.id())),
                            clock.today())))
            .toList(),
        clients.count(false),
        clients.count(true));
  }

  private static void checkSearch(String typed) {
    if (typed.length() > LONGEST_SEARCH || typed.strip().split("\\s+").length > MOST_WORDS) {
      throw InvalidValueException.of(
          "q",
          "is too long to search for",
          "up to " + MOST_WORDS + " words and " + LONGEST_SEARCH + " characters");
    }
  }

  private static ClientRow row(
      Client client,
      ClientRecords.Everyone everyone,
      Optional<SavedPrescription> saved,
      Training done) {
    Groundwork ground = everyone.groundwork(client);
    return new ClientRow(
        client.id(),
        client.details().name(),
        client.details().note(),
        ground.person().age(),
        WatchView.of(ground.screening()),
        ground.resting().map(WorkingResting::bpm).orElse(null),
        ground.maximum().map(WorkingMaximum::bpm).orElse(null),
        ground.noRateBecause().isEmpty(),
        StepView.of(
            ground,
            status(ground, saved, saved.flatMap(each -> everyone.review(client, each)), done)));
  }

  /** The programme and the log in short. */
  private record Training(
      Optional<LocalDate> plannedUntil, Optional<Integer> weekDue, Optional<LocalDate> lastLogged) {
    static Training of(
        Optional<SavedProgramme> saved,
        List<SessionLog> logged,
        Optional<LocalDate> lastLogged,
        LocalDate today) {
      return new Training(
          saved.map(each -> each.programme().plan().endsOn()),
          saved.flatMap(each -> WeekReview.due(each.programme(), logged, today)),
          lastLogged);
    }
  }

  private static Optional<SavedStatus> status(
      Groundwork ground,
      Optional<SavedPrescription> saved,
      Optional<Finding> review,
      Training done) {
    return saved.map(
        each ->
            new SavedStatus(
                each.version(),
                standing(ground, each).state(),
                review.isPresent(),
                done.plannedUntil,
                done.weekDue,
                done.lastLogged));
  }

  private static Standing standing(Groundwork ground, SavedPrescription saved) {
    return Standing.of(saved.prescription(), saved.recordedAt(), ground.screening());
  }

  @OneWrite
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ClientView add(@RequestBody DetailsRequest request) {
    Client client = clients.add(ids.next(), request.details(clock.today()), clock.now());
    return ClientView.of(client, clock.today());
  }

  @OneWrite
  @PutMapping("/{id}")
  ClientView change(@PathVariable UUID id, @RequestBody ChangeRequest request) {
    records.open(id);
    Client.Details details = request.details().details(clock.today());
    return clients
        .change(id, request.version(), details, clock.now())
        .map(client -> ClientView.of(client, clock.today()))
        .orElseThrow(() -> ClientRecords.unknown(id));
  }

  /** Puts a client away, or brings one back; nothing is deleted. */
  @OneWrite
  @PutMapping("/{id}/archived")
  ClientView archive(@PathVariable UUID id, @RequestBody ArchiveRequest request) {
    return clients
        .archive(id, request.version(), request.archived(), clock.now())
        .map(client -> ClientView.of(client, clock.today()))
        .orElseThrow(() -> ClientRecords.unknown(id));
  }

  /** Nothing is lost: the answer carries the record as it is now, the asker still has theirs. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.stale(stale, ClientView.of(stale.current(Client.class), clock.today()));
  }

  @GetMapping("/{id}")
  ClientOverview overview(@PathVariable UUID id) {
    Client client = records.client(id);
    Groundwork ground = records.groundwork(client, Mode.RUN);
    AimView aim = target.of(client);
    Optional<SavedPrescription> saved = Optional.ofNullable(prescriptions.current().get(id));
    Optional<Finding> review = saved.flatMap(each -> records.review(client, each));
    return new ClientOverview(
        ClientView.of(client, clock.today()),
        EquationFacts.of(ground.person()),
        checkIns.of(id, 1).stream()
            .filter(checkIn -> checkIn.on().equals(clock.today()))
            .findFirst()
            .map(CheckedToday::of)
            .orElse(null),
        WatchView.of(ground.screening()),
        ground.mayIssue(),
        ground.permission().vigorous(),
        FindingView.of(ground.permission().findings()),
        ground.resting().map(WorkingResting::bpm).orElse(null),
        ground.maximum().map(MaximumInUse::of).orElse(null),
        SpanView.of(aim.mode() == Mode.RUN ? ground : records.groundwork(client, aim.mode())),
        aim,
        ground.screening().cap().map(Cap::bpm).orElse(null),
        saved
            .map(
                each ->
                    new PrescriptionInUse(
                        each.version(),
                        StandingView.of(standing(ground, each)),
                        each.prescription().date()))
            .orElse(null),
        StepView.of(ground, status(ground, saved, review, done(id))));
  }

  private Training done(UUID id) {
    List<SessionLog> logged = logs.of(id);
    return Training.of(
        programmes.current(id),
        logged,
        logged.stream().map(SessionLog::on).max(Comparator.naturalOrder()),
        clock.today());
  }
}
