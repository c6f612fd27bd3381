package app.korvel.server.progress;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Week;
import app.korvel.core.progress.Progress;
import app.korvel.core.progress.RestingChange;
import app.korvel.core.progress.SameTarget;
import app.korvel.core.progress.TrainedWeek;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Screening;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What has come of a client's training. */
@RestController
class ProgressController {
  private final SessionLogRepository logs;
  private final PlannedSessionRepository planned;
  private final ReadingRepository readings;
  private final PrescriptionRepository prescriptions;
  private final ClientRecords records;
  private final StudioClock clock;

  ProgressController(
      SessionLogRepository logs,
      PlannedSessionRepository planned,
      ReadingRepository readings,
      PrescriptionRepository prescriptions,
      ClientRecords records,
      StudioClock clock) {
    this.logs = logs;
    this.planned = planned;
    this.readings = readings;
    this.prescriptions = prescriptions;
    this.records = records;
    this.clock = clock;
  }

  /**
   * A week as it was trained.
   *
   * @param minutes at each level, 1 to 5
   */
  record TrainedWeekView(
      LocalDate startsOn,
      int planned,
      int done,
      int extra,
      List<Integer> minutes,
      int allMinutes,
      int moderateEquivalentMinutes) {
    static TrainedWeekView of(TrainedWeek week) {
      return new TrainedWeekView(
          week.startsOn(),
          week.planned(),
          week.done(),
          week.extra(),
          week.minutes(),
          week.allMinutes(),
          week.moderateEquivalentMinutes());
    }
  }

  record TakenReading(LocalDate on, int bpm) {}

  record RestingChangeView(
      Posture posture,
      PulseSource source,
      List<TakenReading> readings,
      int thenBpm,
      int nowBpm,
      boolean changed,
      FindingView finding) {}

  record FeltView(LocalDate on, int rpe) {}

  record SameTargetView(
      Mode mode,
      int lowPercent,
      int highPercent,
      List<Integer> rpe,
      List<FeltView> felt,
      BigDecimal mean) {
    static SameTargetView of(SameTarget target) {
      return new SameTargetView(
          target.mode(),
          target.range().low(),
          target.range().high(),
          List.of(target.rpe20().low(), target.rpe20().high()),
          target.felt().stream().map(felt -> new FeltView(felt.on(), felt.rpe20())).toList(),
          target.mean());
    }
  }

  /** The last four weeks together; the minutes are a week's on average. */
  record LatelyView(int planned, int done, int extra, int moderateEquivalentMinutes) {
    static LatelyView of(Progress.Lately lately) {
      return new LatelyView(
          lately.planned(), lately.done(), lately.extra(), lately.moderateEquivalentMinutes());
    }
  }

  /**
   * The page.
   *
   * @param goalMinutes the week's minutes as they are prescribed now; null without a prescription
   * @param markMinutes where the guideline begins, moderate-equivalent
   * @param adherencePercent null where no session was due
   */
  record ProgressView(
      List<TrainedWeekView> weeks,
      @Nullable Integer goalMinutes,
      @Nullable Integer markMinutes,
      int planned,
      int done,
      LatelyView lately,
      @Nullable Integer adherencePercent,
      @Nullable RestingChangeView resting,
      List<SameTargetView> targets,
      int logs) {}

  @GetMapping("/api/clients/{id}/progress")
  ProgressView progress(@PathVariable UUID id) {
    Client client = records.client(id);
    Screening screening = records.screening(client);
    var logged = logs.of(id);
    Progress progress =
        Progress.of(
            planned.of(id).stream()
                .filter(session -> session.state() == SavedSession.State.PLANNED)
                .map(session -> new TrainedWeek.Due(session.number(), session.on()))
                .toList(),
            logged,
            readings.of(id),
            screening.medicinesChangedAt(),
            clock.today(),
            clock.zone());
    Optional<Prescription> made =
        prescriptions.of(id).stream().findFirst().map(SavedPrescription::prescription);
    return new ProgressView(
        progress.weeks().stream().map(TrainedWeekView::of).toList(),
        made.map(each -> each.parts().minutes() * each.parts().days()).orElse(null),
        made.map(Prescription::week).map(Week::markMinutes).orElse(null),
        progress.planned(),
        progress.done(),
        LatelyView.of(progress.lately()),
        progress.adherencePercent().orElse(null),
        progress.resting().map(this::view).orElse(null),
        progress.targets().stream().map(SameTargetView::of).toList(),
        logged.size());
  }

  private RestingChangeView view(RestingChange change) {
    return new RestingChangeView(
        change.posture(),
        change.source(),
        change.readings().stream()
            .map(
                reading ->
                    new TakenReading(
                        LocalDate.ofInstant(reading.takenAt(), clock.zone()), reading.bpm()))
            .toList(),
        change.thenBpm(),
        change.nowBpm(),
        change.changed(),
        FindingView.of(change.finding()));
  }
}
