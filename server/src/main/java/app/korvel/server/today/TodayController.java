package app.korvel.server.today;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Standing;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Screening;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.Words;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedPrescription;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Today: who is to be checked in, who must not train, who is due for what. */
@RestController
class TodayController {
  private final ClientRepository clients;
  private final PrescriptionRepository prescriptions;
  private final CheckInRepository checkIns;
  private final FieldTestRepository fieldTests;
  private final ClientRecords records;
  private final StudioClock clock;

  TodayController(
      ClientRepository clients,
      PrescriptionRepository prescriptions,
      CheckInRepository checkIns,
      FieldTestRepository fieldTests,
      ClientRecords records,
      StudioClock clock) {
    this.clients = clients;
    this.prescriptions = prescriptions;
    this.checkIns = checkIns;
    this.fieldTests = fieldTests;
    this.records = records;
    this.clock = clock;
  }

  /** Where a row of the page leads. */
  enum Leads {
    CHECK_IN,
    SCREENING,
    PULSE,
    MAXIMUM,
    FIELD_TEST,
    PRESCRIPTION
  }

  /**
   * Someone, and why they are here.
   *
   * @param words why, in a few words
   * @param because why, in full
   * @param outcome what today's check-in came to, if there was one
   */
  record TodayRow(
      UUID clientId,
      String name,
      int age,
      String words,
      String because,
      Leads leads,
      @Nullable Outcome outcome,
      @Nullable Integer pulseBpm) {}

  /**
   * The page.
   *
   * @param pending those whose day it is and who have not been checked in
   * @param checked those who have, and may train
   * @param mustNot those who must not train, by their screening or today's check-in
   * @param due those due for something
   * @param clients how many there are
   */
  record TodayView(
      LocalDate date,
      List<TodayRow> pending,
      List<TodayRow> checked,
      List<TodayRow> mustNot,
      List<TodayRow> due,
      int clients) {}

  @GetMapping("/api/today")
  TodayView today() {
    LocalDate today = clock.today();
    ClientRecords.Everyone everyone = records.everyone();
    Map<UUID, SavedPrescription> current = prescriptions.current();
    Map<UUID, SavedCheckIn> checkedIn = checkIns.on(today);
    List<TodayRow> pending = new ArrayList<>();
    List<TodayRow> checked = new ArrayList<>();
    List<TodayRow> mustNot = new ArrayList<>();
    List<TodayRow> due = new ArrayList<>();
    List<Client> all = clients.find("", false);
    Set<UUID> testing =
        fieldTests.running().stream().map(SavedFieldTest::clientId).collect(Collectors.toSet());
    for (Client client : all) {
      Groundwork ground = everyone.groundwork(client);
      Screening screening = ground.screening();
      Optional<SavedCheckIn> kept = Optional.ofNullable(checkedIn.get(client.id()));
      Optional<Finding> stops = screening.stops().stream().findFirst();
      kept.ifPresent(
          saved ->
              (saved.outcome() == Outcome.NOT_TODAY ? mustNot : checked)
                  .add(checked(client, ground, saved)));
      boolean notToday =
          kept.map(SavedCheckIn::outcome).filter(Outcome.NOT_TODAY::equals).isPresent();
      if (stops.isPresent() && !notToday) {
        mustNot.add(
            row(client, ground, stops.get().message(), stops.get().because(), Leads.SCREENING));
      } else if (kept.isEmpty() && expected(screening, current.get(client.id()), today)) {
        pending.add(row(client, ground, pending(ground), "", Leads.CHECK_IN));
      }
      if (testing.contains(client.id())) {
        FindingKind on = FindingKind.FIELD_TEST_RUNNING;
        due.add(row(client, ground, on.of().message(), on.of().because(), Leads.FIELD_TEST));
      } else {
        due(client, ground, stops.isPresent())
            .or(
                () ->
                    later(client, ground, everyone, Optional.ofNullable(current.get(client.id())))
                        .filter(row -> stops.isEmpty()))
            .ifPresent(due::add);
      }
    }
    return new TodayView(today, pending, checked, mustNot, due, all.size());
  }

  /** Today is one of their days, and something has been issued to them. */
  private boolean expected(
      Screening screening, @Nullable SavedPrescription saved, LocalDate today) {
    if (saved == null || !screening.answers().days().contains(today.getDayOfWeek())) {
      return false;
    }
    Standing.State state = standing(saved, screening);
    return state == Standing.State.ISSUED || state == Standing.State.RATE_SUSPENDED;
  }

  /** What is at hand and what to ask for before a session. */
  private static String pending(Groundwork ground) {
    Effects effects = ground.screening().effects();
    String usual =
        ground
            .resting()
            .filter(working -> !working.stale())
            .map(working -> "usual " + working.bpm())
            .orElse("no usual value yet");
    return Stream.of(
            Stream.of(usual),
            effects.ask().stream().map(measure -> "measure " + Words.of(measure).replace('-', ' ')),
            effects.carry().stream().map(thing -> "carries " + thing))
        .flatMap(words -> words)
        .collect(Collectors.joining(" · "));
  }

  private static TodayRow checked(Client client, Groundwork ground, SavedCheckIn saved) {
    String because =
        saved
            .decided()
            .map(own -> "Your decision: " + own.reason())
            .orElse(saved.verdict().findings().get(0).message());
    return new TodayRow(
        client.id(),
        client.details().name(),
        ground.person().age(),
        saved.words(),
        because,
        Leads.CHECK_IN,
        saved.outcome(),
        saved.checkIn().pulseBpm());
  }

  /** What of the screening is due, the weightiest only: one row for each client. */
  private static Optional<TodayRow> due(Client client, Groundwork ground, boolean stopped) {
    Screening screening = ground.screening();
    for (FindingKind kind :
        List.of(
            FindingKind.SCREENING_UNFINISHED,
            FindingKind.RESCREENING_DUE,
            FindingKind.CLEARANCE_LAPSING)) {
      for (Finding finding : screening.permission().findings()) {
        if (finding.code().equals(kind.code()) && !stopped) {
          return Optional.of(
              row(client, ground, finding.message(), finding.because(), Leads.SCREENING));
        }
      }
    }
    return ground
        .resting()
        .filter(working -> working.stale())
        .map(working -> working.findings().get(working.findings().size() - 1))
        .map(finding -> row(client, ground, finding.message(), finding.because(), Leads.PULSE));
  }

  /** What else is to be looked at: the maximum, then the prescription. */
  private static Optional<TodayRow> later(
      Client client,
      Groundwork ground,
      ClientRecords.Everyone everyone,
      Optional<SavedPrescription> saved) {
    return everyone
        .aboutMaximum(client, FindingKind.MAXIMUM_DUE)
        .or(() -> everyone.aboutMaximum(client, FindingKind.MAXIMUM_PROPOSED))
        .map(finding -> row(client, ground, finding.message(), finding.because(), Leads.MAXIMUM))
        .or(
            () ->
                saved
                    .filter(each -> standing(each, ground.screening()) == Standing.State.ISSUED)
                    .flatMap(each -> everyone.review(client, each))
                    .map(
                        finding ->
                            row(
                                client,
                                ground,
                                finding.message(),
                                finding.because(),
                                Leads.PRESCRIPTION)));
  }

  private static Standing.State standing(SavedPrescription saved, Screening screening) {
    return Standing.of(saved.prescription(), saved.recordedAt(), screening).state();
  }

  private static TodayRow row(
      Client client, Groundwork ground, String words, String because, Leads leads) {
    return new TodayRow(
        client.id(),
        client.details().name(),
        ground.person().age(),
        words,
        because,
        leads,
        null,
        null);
  }
}
