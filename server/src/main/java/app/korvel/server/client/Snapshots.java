package app.korvel.server.client;

import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Client;
import app.korvel.server.studio.StudioClock;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClearanceRepository;
import app.korvel.store.ConsentRepository;
import app.korvel.store.Database;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.IntakeRepository;
import app.korvel.store.MaximumChoiceRepository;
import app.korvel.store.MeasuredMaximumRepository;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.ThresholdRepository;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Reads what is on record of several clients at once: in one transaction, in the same number of
 * statements for one as for all, and no further back than the rules look.
 */
@Component
class Snapshots {
  /** Readings count for eight weeks; whoever has one of the last seven needs no older one. */
  private static final int READINGS_DAYS = 58;

  private static final int SURELY_FRESH_DAYS = 49;

  /** What decides about a week lies no further back. */
  private static final int LOGS_WEEKS = 8;

  private final Database database;
  private final IntakeRepository intakes;
  private final ClearanceRepository clearances;
  private final ConsentRepository consents;
  private final CheckInRepository checkIns;
  private final ReadingRepository readings;
  private final MaximumChoiceRepository choices;
  private final MeasuredMaximumRepository maxima;
  private final PrescriptionRepository prescriptions;
  private final ProgrammeRepository programmes;
  private final SessionLogRepository logs;
  private final FieldTestRepository fieldTests;
  private final ThresholdRepository thresholds;
  private final StudioClock clock;

  Snapshots(
      Database database,
      IntakeRepository intakes,
      ClearanceRepository clearances,
      ConsentRepository consents,
      CheckInRepository checkIns,
      ReadingRepository readings,
      MaximumChoiceRepository choices,
      MeasuredMaximumRepository maxima,
      PrescriptionRepository prescriptions,
      ProgrammeRepository programmes,
      SessionLogRepository logs,
      FieldTestRepository fieldTests,
      ThresholdRepository thresholds,
      StudioClock clock) {
    this.database = database;
    this.intakes = intakes;
    this.clearances = clearances;
    this.consents = consents;
    this.checkIns = checkIns;
    this.readings = readings;
    this.choices = choices;
    this.maxima = maxima;
    this.prescriptions = prescriptions;
    this.programmes = programmes;
    this.logs = logs;
    this.fieldTests = fieldTests;
    this.thresholds = thresholds;
    this.clock = clock;
  }

  /** Of those clients, as of now. */
  Snapshot of(Collection<Client> clients) {
    List<UUID> ids = clients.stream().map(Client::id).toList();
    LocalDate today = clock.today();
    return database.inOneRead(
        () ->
            new Snapshot(
                today,
                clock.zone(),
                intakes.current(ids),
                clearances.of(ids),
                consents.of(ids),
                checkIns.reported(ids),
                logs.symptoms(ids),
                readings(clients, ids, today),
                choices.current(ids),
                maxima.of(ids),
                prescriptions.current(ids),
                programmes.current(ids),
                logs.since(ids, today.minusWeeks(LOGS_WEEKS)),
                logs.lastDays(ids),
                fieldTests.lastFinished(ids),
                thresholds.lastTalkSteps(ids),
                fieldTests.running(ids)));
  }

  /**
   * Readings as far back as they count. All of them where the latest do not decide: where there is
   * none of the last weeks, or where all are over the line, since it matters how long they have
   * been.
   */
  private Map<UUID, List<RestingReading>> readings(
      Collection<Client> clients, List<UUID> ids, LocalDate today) {
    Map<UUID, List<RestingReading>> recent =
        readings.since(ids, startOf(today.minusDays(READINGS_DAYS)));
    Instant fresh = startOf(today.minusDays(SURELY_FRESH_DAYS));
    List<UUID> olderToo =
        clients.stream()
            .filter(
                client -> {
                  int highest = UsualResting.at(client.ageOn(today)).highest();
                  List<RestingReading> taken = recent.getOrDefault(client.id(), List.of());
                  return taken.stream()
                          .filter(each -> each.source() != PulseSource.OVERNIGHT)
                          .noneMatch(each -> each.takenAt().isAfter(fresh))
                      || taken.stream().allMatch(each -> each.bpm() > highest);
                })
            .map(Client::id)
            .toList();
    recent.putAll(readings.since(olderToo, Instant.EPOCH));
    return recent;
  }

  private Instant startOf(LocalDate day) {
    return day.atStartOfDay(clock.zone()).toInstant();
  }
}
