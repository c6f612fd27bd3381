package app.korvel.server.progress;

import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Week;
import app.korvel.core.progress.Progress;
import app.korvel.core.progress.RestingChange;
import app.korvel.core.progress.TrainedWeek;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Screening;
import app.korvel.server.progress.ProgressViews.ProgressView;
import app.korvel.server.progress.ProgressViews.RestingChangeView;
import app.korvel.server.progress.ProgressViews.SameTargetView;
import app.korvel.server.progress.ProgressViews.TakenReading;
import app.korvel.server.progress.ProgressViews.TrainedWeekView;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedSession;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What has come of a client's training. */
@RestController
class ProgressController {
  private final Studio studio;

  ProgressController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping("/api/clients/{id}/progress")
  ProgressView progress(@PathVariable UUID id) {
    Client client = studio.client(id);
    Screening screening = studio.head(client.id()).screening();
    var logged = studio.store().logs().of(id);
    Progress progress =
        Progress.of(
            studio.store().planned().of(id).stream()
                .filter(session -> session.state() == SavedSession.State.PLANNED)
                .map(session -> new TrainedWeek.Due(session.number(), session.on()))
                .toList(),
            logged,
            studio.store().readings().of(id),
            screening.medicinesChangedAt(),
            studio.settings().regional().weekOf(studio.today()),
            studio.today(),
            studio.zone());
    Optional<Prescription> made =
        studio.store().prescriptions().of(id).stream()
            .findFirst()
            .map(SavedPrescription::prescription);
    return new ProgressView(
        progress.weeks().stream().map(TrainedWeekView::of).toList(),
        made.map(each -> each.parts().minutes() * each.parts().days()).orElse(null),
        made.map(Prescription::week).map(Week::markMinutes).orElse(null),
        progress.planned(),
        progress.done(),
        progress.lately(),
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
                        LocalDate.ofInstant(reading.takenAt(), studio.zone()), reading.bpm()))
            .toList(),
        change.thenBpm(),
        change.nowBpm(),
        change.changed(),
        change.finding());
  }
}
