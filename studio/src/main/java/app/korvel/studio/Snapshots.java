package app.korvel.studio;

import app.korvel.core.assessment.TestEligibility;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.programme.Programme;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Screening;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.store.AssessmentRepository;
import app.korvel.store.FieldTestRepository.LastTest;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import app.korvel.store.Store;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Reads what is on record of several clients at once: in one transaction, in the same number of
 * statements for one as for all, and no further back than the rules look.
 */
class Snapshots {

  private final Store store;
  private final StudioClock clock;

  Snapshots(Store store, StudioClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The heads of those clients, as of now, in their order. */
  List<ClientHead> heads(List<Client> clients) {
    return store
        .database()
        .inOneRead(
            () -> {
              Snapshot records = new Snapshot(clients);
              return clients.stream().map(records::head).toList();
            });
  }

  /** What the screening of a client comes to as of now, and nothing else. */
  Screening screening(Client client) {
    return store.database().inOneRead(() -> new Screenings(List.of(client.id())).of(client));
  }

  /** What the screenings of some clients stand on, by client. */
  private final class Screenings {
    private final LocalDate today = clock.today();
    private final Map<UUID, Intake> intakeOf;
    private final Map<UUID, List<Clearance>> clearancesOf;
    private final Map<UUID, List<Consent>> consentsOf;
    private final Map<UUID, Reported> reportedOf;
    private final Map<UUID, Instant> symptomsOf;

    Screenings(List<UUID> ids) {
      intakeOf = store.intakes().current(ids);
      clearancesOf = store.clearances().of(ids);
      consentsOf = store.consents().of(ids);
      reportedOf = store.checkIns().reported(ids);
      symptomsOf = store.logs().symptoms(ids);
    }

    Screening of(Client client) {
      UUID id = client.id();
      return Screening.of(
          client,
          Optional.ofNullable(intakeOf.get(id)),
          new OnRecord(
              clearancesOf.getOrDefault(id, List.of()),
              consentsOf.getOrDefault(id, List.of()),
              reportedOf
                  .getOrDefault(id, Reported.NOTHING)
                  .andSymptoms(Optional.ofNullable(symptomsOf.get(id)))),
          today,
          clock.zone());
    }
  }

  /** What is on record of them at one moment, by client. */
  private final class Snapshot {
    private final LocalDate today = clock.today();
    private final ZoneId zone = clock.zone();
    private final Screenings screenings;
    private final Map<UUID, List<RestingReading>> readingsOf;
    private final Map<UUID, Choice> choiceOf;
    private final Map<UUID, List<MeasuredMaximum>> maximaOf;
    private final Map<UUID, SavedPrescription> prescriptionOf;
    private final Map<UUID, SavedProgramme> programmeOf;
    private final Map<UUID, List<SessionLog>> logsOf;
    private final Map<UUID, LocalDate> lastLogged;
    private final Map<UUID, List<LastTest>> testsOf;
    private final Map<UUID, List<MeasuredThresholds>> thresholdsOf;
    private final Map<UUID, List<TalkCheck>> talkOf;
    private final Map<UUID, List<TalkAct>> talkActsOf;
    private final Map<UUID, LocalDate> firstIssued;
    private final boolean learns;
    private final Map<UUID, List<AssessmentRepository.LastTest>> doneOf;
    private final Set<UUID> testing;

    Snapshot(List<Client> clients) {
      List<UUID> ids = clients.stream().map(Client::id).toList();
      screenings = new Screenings(ids);
      readingsOf = readings(clients, ids);
      choiceOf = store.maximumChoices().current(ids);
      maximaOf = store.maxima().of(ids);
      prescriptionOf = store.prescriptions().current(ids);
      programmeOf = store.programmes().current(ids);
      logsOf = store.logs().since(ids, today.minusWeeks(WeekReview.WEEKS_LOOKED_AT));
      lastLogged = store.logs().lastDays(ids);
      testsOf = store.fieldTests().lastFinished(ids);
      thresholdsOf = store.thresholds().of(ids);
      talkOf =
          store
              .talk()
              .checks(
                  ids, today.minusDays(Threshold.TALK_OLD.whole()).atStartOfDay(zone).toInstant());
      talkActsOf = store.talk().acts(ids);
      firstIssued = store.prescriptions().firstIssued(ids);
      learns = store.studio().settings().learnsFromTalk();
      doneOf = store.assessments().lastDone(ids);
      testing = new HashSet<>(store.fieldTests().running(ids));
      testing.addAll(store.assessments().running(ids));
    }

    /** As far back as they decide. */
    private Map<UUID, List<RestingReading>> readings(List<Client> clients, List<UUID> ids) {
      Map<UUID, List<RestingReading>> recent =
          store
              .readings()
              .since(ids, WorkingResting.lookedAtSince(today).atStartOfDay(zone).toInstant());
      List<UUID> olderToo =
          clients.stream()
              .filter(
                  client ->
                      WorkingResting.olderMatter(
                          recent.getOrDefault(client.id(), List.of()),
                          UsualResting.at(client.ageOn(today)).highest()))
              .map(Client::id)
              .toList();
      recent.putAll(store.readings().since(olderToo, Instant.EPOCH));
      return recent;
    }

    /** What the records of one of them come to. */
    ClientHead head(Client client) {
      UUID id = client.id();
      Screening screening = screenings.of(client);
      List<RestingReading> taken = readingsOf.getOrDefault(id, List.of());
      Optional<Choice> choice = Optional.ofNullable(choiceOf.get(id));
      List<MeasuredMaximum> measured = maximaOf.getOrDefault(id, List.of());
      Optional<Programme> programme =
          Optional.ofNullable(programmeOf.get(id)).map(SavedProgramme::programme);
      return new ClientHead(
          client,
          ClientBaseline.of(
              screening,
              WorkingResting.of(taken, screening.medicinesChangedAt(), today, zone),
              Mode.RUN,
              choice,
              measured),
          choice,
          measured,
          UsualPulse.of(taken, screening.medicinesChangedAt(), today, zone),
          Optional.ofNullable(prescriptionOf.get(id)),
          programme.map(laid -> laid.plan().endsOn()),
          programme.flatMap(
              laid -> WeekReview.due(laid, logsOf.getOrDefault(id, List.of()), today)),
          Optional.ofNullable(lastLogged.get(id)),
          tests(id, screening),
          testing.contains(id),
          new TalkRecords(
              talkOf.getOrDefault(id, List.of()),
              talkActsOf.getOrDefault(id, List.of()),
              thresholdsOf.getOrDefault(id, List.of()),
              Optional.ofNullable(firstIssued.get(id)),
              learns));
    }

    /** The last day of each test that they have had and may have. */
    private Map<String, LocalDate> tests(UUID id, Screening screening) {
      Map<String, LocalDate> last = new HashMap<>();
      for (LastTest test : testsOf.getOrDefault(id, List.of())) {
        last.put(test.protocol().displayName(), LocalDate.ofInstant(test.startedAt(), zone));
      }
      thresholdsOf.getOrDefault(id, List.of()).stream()
          .filter(each -> each.kind() == MeasuredThresholds.Kind.TALK_STEPS)
          .map(MeasuredThresholds::measuredOn)
          .max(Comparator.naturalOrder())
          .ifPresent(day -> last.put(TestKind.TALK_STEPS.displayName(), day));
      for (AssessmentRepository.LastTest test : doneOf.getOrDefault(id, List.of())) {
        TestEligibility may =
            TestEligibility.of(test.kind(), screening, Optional.of(Outcome.GO), Optional.empty());
        if (may.open()) {
          last.merge(
              test.kind().displayName(),
              LocalDate.ofInstant(test.openedAt(), zone),
              (one, other) -> one.isAfter(other) ? one : other);
        }
      }
      return last;
    }
  }
}
