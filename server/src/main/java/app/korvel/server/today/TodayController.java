package app.korvel.server.today;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Standing;
import app.korvel.core.progress.DueList;
import app.korvel.core.progress.DueList.Due;
import app.korvel.core.progress.DueList.Facts;
import app.korvel.core.progress.DueList.Held;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Screening;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.Words;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.ThresholdRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
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
  private static final int DAYS_BACK = 14;

  /** What decides about a week lies no further back. */
  private static final int WEEKS_BACK = 8;

  private static final String TALK_STEPS = "Talk-step test";

  /** Where what is due is done. */
  private static final Map<DueList.Kind, Leads> LEADS =
      Map.of(
          DueList.Kind.SCREENING, Leads.SCREENING,
          DueList.Kind.PULSE, Leads.PULSE,
          DueList.Kind.MAXIMUM, Leads.MAXIMUM,
          DueList.Kind.TEST, Leads.FIELD_TEST,
          DueList.Kind.PRESCRIPTION, Leads.PRESCRIPTION,
          DueList.Kind.WEEK, Leads.SESSIONS,
          DueList.Kind.LOG, Leads.SESSIONS);

  private final ClientRepository clients;
  private final PrescriptionRepository prescriptions;
  private final CheckInRepository checkIns;
  private final FieldTestRepository fieldTests;
  private final ThresholdRepository thresholds;
  private final ProgrammeRepository programmes;
  private final PlannedSessionRepository planned;
  private final SessionLogRepository logs;
  private final ClientRecords records;
  private final StudioClock clock;

  TodayController(
      ClientRepository clients,
      PrescriptionRepository prescriptions,
      CheckInRepository checkIns,
      FieldTestRepository fieldTests,
      ThresholdRepository thresholds,
      ProgrammeRepository programmes,
      PlannedSessionRepository planned,
      SessionLogRepository logs,
      ClientRecords records,
      StudioClock clock) {
    this.clients = clients;
    this.prescriptions = prescriptions;
    this.checkIns = checkIns;
    this.fieldTests = fieldTests;
    this.thresholds = thresholds;
    this.programmes = programmes;
    this.planned = planned;
    this.logs = logs;
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
    PRESCRIPTION,
    SESSIONS
  }

  /**
   * Someone, and why they are here.
   *
   * @param words why, in a few words
   * @param because why, in full
   * @param outcome what today's check-in came to, if there was one
   * @param also what else is due, less weighty
   */
  record TodayRow(
      UUID clientId,
      String name,
      int age,
      String words,
      String because,
      Leads leads,
      @Nullable Outcome outcome,
      @Nullable Integer pulseBpm,
      List<AlsoDue> also) {}

  /** One thing more that is due with someone. */
  record AlsoDue(String words, String because, Leads leads) {}

  /**
   * The page.
   *
   * @param pending those whose day it is and who have not been checked in, or are to be counted
   *     again
   * @param checked those who have, and may train
   * @param mustNot those who must not train, by their screening or today's check-in
   * @param due those due for something
   * @param toLog sessions of earlier days that nothing is logged of
   * @param clients how many there are
   */
  record TodayView(
      LocalDate date,
      List<TodayRow> pending,
      List<TodayRow> checked,
      List<TodayRow> mustNot,
      List<TodayRow> due,
      int toLog,
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
    Set<UUID> inCalendar =
        planned.between(today, today).stream()
            .filter(session -> session.state() == SavedSession.State.PLANNED)
            .map(SavedSession::clientId)
            .collect(Collectors.toSet());
    Done done = new Done(today);
    for (Client client : all) {
      Groundwork ground = everyone.groundwork(client);
      Screening screening = ground.screening();
      Optional<SavedCheckIn> kept = Optional.ofNullable(checkedIn.get(client.id()));
      Optional<Finding> stops = screening.stops().stream().findFirst();
      // One to be counted again is not also to be: they must not train, whatever it comes to.
      kept.filter(saved -> stops.isEmpty() || saved.outcome() != Outcome.COUNT_AGAIN)
          .ifPresent(
              saved -> {
                List<TodayRow> here =
                    switch (saved.outcome()) {
                      case GO, LIGHT_ONLY -> checked;
                      case COUNT_AGAIN -> pending;
                      case NOT_TODAY -> mustNot;
                    };
                here.add(checked(client, ground, saved));
              });
      boolean notToday =
          kept.map(SavedCheckIn::outcome).filter(Outcome.NOT_TODAY::equals).isPresent();
      if (stops.isPresent() && !notToday) {
        mustNot.add(
            row(client, ground, stops.get().message(), stops.get().because(), Leads.SCREENING));
      } else if (kept.isEmpty()
          && expected(screening, current.get(client.id()), inCalendar.contains(client.id()))) {
        pending.add(
            row(client, ground, pending(ground, everyone.usual(client)), "", Leads.CHECK_IN));
      }
      List<Due> list =
          DueList.of(
              done.facts(
                  client,
                  ground,
                  everyone,
                  Optional.ofNullable(current.get(client.id()))
                      .filter(saved -> standing(saved, screening).holds())));
      if (testing.contains(client.id())) {
        FindingKind on = FindingKind.FIELD_TEST_RUNNING;
        due.add(row(client, ground, on.of().message(), on.of().because(), Leads.FIELD_TEST, list));
      } else if (!list.isEmpty()) {
        Finding first = list.get(0).finding();
        due.add(
            row(
                client,
                ground,
                first.message(),
                first.because(),
                LEADS.get(list.get(0).kind()),
                list.subList(1, list.size())));
      }
    }
    long toLog =
        planned.toLog(today.minusDays(DAYS_BACK), today.minusDays(1)).stream()
            .filter(session -> all.stream().anyMatch(each -> each.id().equals(session.clientId())))
            .count();
    return new TodayView(today, pending, checked, mustNot, due, (int) toLog, all.size());
  }

  /** Today is one of their days, or a session is laid on it, and something has been issued. */
  private static boolean expected(
      Screening screening, @Nullable SavedPrescription saved, boolean inCalendar) {
    return saved != null
        && (inCalendar || screening.answers().days().contains(screening.date().getDayOfWeek()))
        && standing(saved, screening).holds();
  }

  /** What is at hand and what to ask for before a session. */
  private static String pending(Groundwork ground, Optional<UsualPulse> known) {
    Effects effects = ground.screening().effects();
    String usual = known.map(value -> "usual " + value.bpm()).orElse("no usual value yet");
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
        saved.checkIn().pulseBpm(),
        List.of());
  }

  /** What programmes and logs say, read at once. */
  private final class Done {
    private final LocalDate today;
    private final Map<UUID, SavedProgramme> programmesOf = programmes.current();
    private final Map<UUID, List<SessionLog>> logsOf;
    private final Map<UUID, LocalDate> lastDays = logs.lastDays();
    private final Map<UUID, Map<String, LocalDate>> tests = new HashMap<>();

    Done(LocalDate today) {
      this.today = today;
      this.logsOf = logs.since(today.minusWeeks(WEEKS_BACK));
      fieldTests
          .lastFinished()
          .forEach(
              test ->
                  of(test.clientId())
                      .put(
                          test.protocol().displayName(),
                          LocalDate.ofInstant(test.startedAt(), clock.zone())));
      thresholds.lastTalkSteps().forEach((client, day) -> of(client).put(TALK_STEPS, day));
    }

    private Map<String, LocalDate> of(UUID client) {
      return tests.computeIfAbsent(client, id -> new HashMap<>());
    }

    Facts facts(
        Client client,
        Groundwork ground,
        ClientRecords.Everyone everyone,
        Optional<SavedPrescription> held) {
      UUID id = client.id();
      return new Facts(
          ground,
          everyone
              .aboutMaximum(client, FindingKind.MAXIMUM_DUE)
              .or(() -> everyone.aboutMaximum(client, FindingKind.MAXIMUM_PROPOSED)),
          tests.getOrDefault(id, Map.of()),
          held.map(
              saved ->
                  new Held(
                      saved.version(),
                      saved.prescription().date(),
                      everyone.review(client, saved))),
          held.isEmpty()
              ? Optional.empty()
              : Optional.ofNullable(programmesOf.get(id))
                  .flatMap(
                      saved ->
                          WeekReview.due(
                              saved.programme(), logsOf.getOrDefault(id, List.of()), today)),
          Optional.ofNullable(lastDays.get(id))
              .or(() -> held.map(saved -> saved.prescription().date())));
    }
  }

  private static Standing standing(SavedPrescription saved, Screening screening) {
    return Standing.of(saved.prescription(), saved.recordedAt(), screening);
  }

  private static TodayRow row(
      Client client, Groundwork ground, String words, String because, Leads leads) {
    return row(client, ground, words, because, leads, List.of());
  }

  private static TodayRow row(
      Client client, Groundwork ground, String words, String because, Leads leads, List<Due> also) {
    return new TodayRow(
        client.id(),
        client.details().name(),
        ground.person().age(),
        words,
        because,
        leads,
        null,
        null,
        also.stream()
            .map(
                due ->
                    new AlsoDue(
                        due.finding().message(), due.finding().because(), LEADS.get(due.kind())))
            .toList());
  }
}
