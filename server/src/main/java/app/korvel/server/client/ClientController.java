package app.korvel.server.client;

import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
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
import app.korvel.server.client.ClientViews.NameList;
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
import app.korvel.store.StaleVersionException;
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
  private static final int MOST_WORDS = 20;
  private static final int LONGEST_SEARCH = 200;

  private final ClientRepository clients;
  private final CheckInRepository checkIns;
  private final ClientRecords records;
  private final ClientHeads heads;
  private final TargetInQuestion target;
  private final StudioClock clock;
  private final Ids ids;

  ClientController(
      ClientRepository clients,
      CheckInRepository checkIns,
      ClientRecords records,
      ClientHeads heads,
      TargetInQuestion target,
      StudioClock clock,
      Ids ids) {
    this.clients = clients;
    this.checkIns = checkIns;
    this.records = records;
    this.heads = heads;
    this.target = target;
    this.clock = clock;
    this.ids = ids;
  }

  @GetMapping
  ClientList list(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "false") boolean archived) {
    checkSearch(q);
    return new ClientList(
        heads.find(q, archived).stream().map(ClientController::row).toList(),
        clients.count(false),
        clients.count(true));
  }

  /** Names alone, to pick from. */
  @GetMapping("/names")
  NameList names() {
    return new NameList(ClientName.of(clients.find("", false)));
  }

  private static void checkSearch(String typed) {
    if (typed.length() > LONGEST_SEARCH || typed.strip().split("\\s+").length > MOST_WORDS) {
      throw InvalidValueException.of(
          "q",
          "is too long to search for",
          "up to " + MOST_WORDS + " words and " + LONGEST_SEARCH + " characters");
    }
  }

  private static ClientRow row(ClientHead head) {
    Groundwork ground = head.ground();
    return new ClientRow(
        head.client().id(),
        head.client().details().name(),
        head.client().details().note(),
        ground.person().age(),
        WatchView.of(head.screening()),
        ground.resting().map(WorkingResting::bpm).orElse(null),
        ground.maximum().map(WorkingMaximum::bpm).orElse(null),
        ground.noRateBecause().isEmpty(),
        StepView.of(ground, head.status()));
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
    ClientHead head = records.head(id);
    Client client = head.client();
    Groundwork ground = head.ground();
    AimView aim = target.of(client);
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
        SpanView.of(head.ground(aim.mode())),
        aim,
        ground.screening().cap().map(Cap::bpm).orElse(null),
        head.prescription()
            .map(
                saved ->
                    new PrescriptionInUse(
                        saved.version(),
                        StandingView.of(head.standing().orElseThrow()),
                        saved.prescription().date()))
            .orElse(null),
        StepView.of(ground, head.status()));
  }
}
