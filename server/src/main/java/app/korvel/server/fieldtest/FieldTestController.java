package app.korvel.server.fieldtest;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEligibility;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestResult;
import app.korvel.core.fieldtest.FieldTestRun;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.StopSigns;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.fieldtest.FieldTestViews.AssuranceOption;
import app.korvel.server.fieldtest.FieldTestViews.BoutView;
import app.korvel.server.fieldtest.FieldTestViews.EventRequest;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestOption;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestRequest;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestRow;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestSheet;
import app.korvel.server.fieldtest.FieldTestViews.FieldTestView;
import app.korvel.server.fieldtest.FieldTestViews.ResultView;
import app.korvel.server.fieldtest.FieldTestViews.StandView;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.CheckInRepository;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.store.Ids;
import app.korvel.store.MeasuredMaximumRepository;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Field tests: who may, the run event by event, and the maximum it proposes. */
@RestController
class FieldTestController {
  private final FieldTestRepository tests;
  private final MeasuredMaximumRepository maxima;
  private final CheckInRepository checkIns;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  FieldTestController(
      FieldTestRepository tests,
      MeasuredMaximumRepository maxima,
      CheckInRepository checkIns,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.tests = tests;
    this.maxima = maxima;
    this.checkIns = checkIns;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  @GetMapping("/api/clients/{id}/field-tests")
  FieldTestSheet sheet(@PathVariable UUID id) {
    Client client = records.client(id);
    Screening screening = records.screening(client);
    return new FieldTestSheet(
        Arrays.stream(FieldTestProtocol.values())
            .map(protocol -> FieldTestEligibility.of(protocol, screening, today(id)))
            .map(FieldTestOption::of)
            .toList(),
        AssuranceOption.ALL,
        Threshold.FIELD_TEST_WARM_UP.whole(),
        tests.of(id).stream().map(FieldTestController::row).toList());
  }

  /** What the rules said today: an instructor's own decision is for training, not for a test. */
  private Optional<Outcome> today(UUID clientId) {
    return checkIns.of(clientId, 1).stream()
        .filter(checkIn -> checkIn.on().equals(clock.today()))
        .map(checkIn -> checkIn.verdict().outcome())
        .findFirst();
  }

  private static FieldTestRow row(SavedFieldTest saved) {
    FieldTestRun run = saved.run();
    FieldTestResult result = FieldTestResult.of(run);
    Optional<FieldTestRun.Reading> peak = saved.running() ? Optional.empty() : result.peak();
    return new FieldTestRow(
        run.test().id(),
        run.test().protocol().displayName(),
        run.test().mode(),
        run.test().startedAt(),
        saved.running(),
        peak.map(FieldTestRun.Reading::bpm).orElse(null),
        peak.isPresent() ? result.grade() : null,
        saved.running() ? "Going on" : result.finding().message());
  }

  /** Begins a test; one at a time, and only where the rules allow it today. */
  @OneWrite
  @PostMapping("/api/clients/{id}/field-tests")
  @ResponseStatus(HttpStatus.CREATED)
  FieldTestView begin(@PathVariable UUID id, @RequestBody FieldTestRequest request) {
    Client client = records.open(id);
    FieldTestEligibility eligibility =
        FieldTestEligibility.of(request.protocol(), records.screening(client), today(id));
    if (!eligibility.open()) {
      throw RefusedException.because(eligibility.findings());
    }
    if (tests.of(id).stream().anyMatch(SavedFieldTest::running)) {
      throw RefusedException.because(FindingKind.FIELD_TEST_RUNNING.of());
    }
    FieldTest test = request.test(ids.next(), clock.now());
    tests.begin(id, test);
    return view(new SavedFieldTest(id, FieldTestRun.of(test, List.of())));
  }

  @GetMapping("/api/field-tests/{test}")
  FieldTestView get(@PathVariable UUID test) {
    return view(saved(test));
  }

  /** Adds what happened; sent twice, it is entered once. */
  @OneWrite
  @PutMapping("/api/field-tests/{test}/events/{event}")
  FieldTestView add(
      @PathVariable UUID test, @PathVariable UUID event, @RequestBody EventRequest request) {
    FieldTestEvent happened = request.event(event);
    SavedFieldTest before = saved(test);
    records.open(before.clientId());
    return tests
        .append(
            test,
            happened,
            run -> {
              if (keptAs(before).isPresent()) {
                throw InvalidValueException.of(
                    "kind", "its maximum is on record", "nothing more; or take the maximum back");
              }
              run.check(happened, clock.now());
            },
            clock.now())
        .map(this::view)
        .orElseThrow(() -> unknown(test));
  }

  /** Keeps the maximum a finished test proposes; asked twice, it is kept once. */
  @OneWrite
  @PostMapping("/api/field-tests/{test}/maximum")
  FieldTestView keep(@PathVariable UUID test) {
    SavedFieldTest saved = saved(test);
    Client client = records.open(saved.clientId());
    FieldTestRun run = saved.run();
    if (saved.running()) {
      throw RefusedException.because(FindingKind.FIELD_TEST_RUNNING.of());
    }
    FieldTestResult result = FieldTestResult.of(run);
    if (result.peak().isEmpty()) {
      throw RefusedException.because(result.finding());
    }
    if (keptAs(saved).isEmpty()) {
      maxima.add(
          client.id(),
          MeasuredMaximum.of(
              ids.next(),
              run.test().mode(),
              MaximumKind.FIELD_TEST,
              run.test().protocol().displayName(),
              Optional.of(result.grade()),
              result.peak().get().bpm(),
              day(run.test()),
              String.join("; ", result.departures()).transform(FieldTestController::shortened),
              Optional.of(test),
              records.groundwork(client, Mode.RUN).maximumRecord().restingBpm(),
              clock.now(),
              clock.zone()));
    }
    return view(saved);
  }

  private static String shortened(String note) {
    int most = MeasuredMaximum.NOTE_LENGTH;
    return note.length() <= most ? note : note.substring(0, most - 1) + "…";
  }

  private LocalDate day(FieldTest test) {
    return LocalDate.ofInstant(test.startedAt(), clock.zone());
  }

  private Optional<UUID> keptAs(SavedFieldTest saved) {
    return maxima.of(saved.clientId()).stream()
        .filter(value -> value.fieldTest().filter(saved.run().test().id()::equals).isPresent())
        .map(MeasuredMaximum::id)
        .findFirst();
  }

  private SavedFieldTest saved(UUID test) {
    return tests.get(test).orElseThrow(() -> unknown(test));
  }

  private FieldTestView view(SavedFieldTest saved) {
    Client client = records.client(saved.clientId());
    FieldTestRun run = saved.run();
    FieldTest test = run.test();
    FieldTestProtocol protocol = test.protocol();
    return new FieldTestView(
        test.id(),
        client.id(),
        client.details().name(),
        protocol,
        protocol.displayName(),
        protocol.summary(),
        protocol.question(),
        protocol.work(),
        protocol.rest(),
        protocol.fewestBouts(),
        protocol.mostBouts(),
        (int) protocol.bout().toSeconds(),
        (int) protocol.countsFrom().toSeconds(),
        test.mode(),
        day(test),
        test.startedAt(),
        clock.now(),
        StandView.of(run.at(clock.now())),
        run.bouts().stream().map(bout -> BoutView.of(bout, protocol)).toList(),
        ResultView.of(FieldTestResult.of(run)),
        run.overBy().orElse(null),
        keptAs(saved).orElse(null),
        Stream.concat(
                records.screening(client).effects().stopAlso().stream(), StopSigns.SIGNS.stream())
            .toList(),
        StopSigns.ACTION);
  }

  private static NotFoundException unknown(UUID test) {
    return new NotFoundException("There is no field test " + test + ".");
  }
}
