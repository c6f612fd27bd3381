package app.korvel.server.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.exchange.recording.CsvColumns;
import app.korvel.server.recording.RecordingViews.ComparedView;
import app.korvel.server.recording.RecordingViews.KeepRequest;
import app.korvel.server.recording.RecordingViews.KeptRecording;
import app.korvel.server.recording.RecordingViews.PeakSaid;
import app.korvel.server.recording.RecordingViews.RecordingPreview;
import app.korvel.server.recording.RecordingViews.RecordingRead;
import app.korvel.server.recording.RecordingViews.RecordingRow;
import app.korvel.server.recording.RecordingViews.SavedPeak;
import app.korvel.server.recording.RecordingViews.SensorRequest;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.recording.BringRecording;
import app.korvel.studio.recording.CompareRecordings;
import app.korvel.studio.recording.CompareRecordings.Compared;
import app.korvel.studio.recording.KeepRecording;
import app.korvel.studio.recording.ProposePeak;
import app.korvel.studio.recording.WithdrawRecording;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Recordings of clients' own devices: brought in, looked at, kept, compared, removed. */
@RestController
class RecordingController {
  private final Studio studio;
  private final RecordingPages pages;

  RecordingController(Studio studio) {
    this.studio = studio;
    this.pages = new RecordingPages(studio);
  }

  /** Those that were kept, those that were withdrawn too, the latest first. */
  @GetMapping("/api/clients/{id}/recordings")
  List<RecordingRow> kept(@PathVariable UUID id) {
    return pages.kept(id);
  }

  /**
   * Reads a file, which is the body as it is; it is looked at, and not kept yet. Columns of a CSV
   * are counted from 0.
   */
  @PostMapping("/api/clients/{id}/recordings")
  RecordingRead bring(
      Actor who,
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable String name,
      @RequestParam(required = false) @Nullable Integer rate,
      @RequestParam(required = false) @Nullable Integer time,
      @RequestParam(required = false) @Nullable Integer date,
      @RequestParam(required = false) @Nullable Integer steps,
      @RequestParam(required = false) CsvColumns.@Nullable DateOrder order,
      @RequestParam(required = false) @Nullable Instant startedAt,
      HttpServletRequest request)
      throws IOException {
    Optional<CsvColumns.Choice> columns =
        rate == null
            ? Optional.empty()
            : Optional.of(
                new CsvColumns.Choice(
                    rate, column(time), column(date), column(steps), Optional.ofNullable(order)));
    BringRecording.Read read =
        new BringRecording(studio)
            .by(
                who,
                id,
                new BringRecording.File(
                    name == null ? "" : name,
                    request.getInputStream(),
                    columns,
                    Optional.ofNullable(startedAt)));
    return RecordingRead.of(
        read.file(),
        read.looked().map(each -> pages.preview(each, RecordingViews.chosen(null, null, null))));
  }

  private static int column(@Nullable Integer column) {
    return column == null ? CsvColumns.NONE : column;
  }

  /** The same with what was chosen; nothing is kept. */
  @GetMapping("/api/recordings/{recording}")
  RecordingPreview look(
      @PathVariable UUID recording,
      @RequestParam(required = false) @Nullable Mode mode,
      @RequestParam(required = false) @Nullable RateSource source,
      @RequestParam(required = false) @Nullable Integer planned) {
    return pages.preview(
        new KeepRecording(studio).looked(recording), RecordingViews.chosen(mode, source, planned));
  }

  @PostMapping("/api/recordings/{recording}/keep")
  KeptRecording keep(Actor who, @PathVariable UUID recording, @RequestBody KeepRequest request) {
    return new KeptRecording(
        recording, new KeepRecording(studio).by(who, recording, request.kept()));
  }

  /** Forgets one that was looked at and is not kept. */
  @DeleteMapping("/api/recordings/{recording}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void discard(@PathVariable UUID recording) {
    new KeepRecording(studio).discard(recording);
  }

  @PostMapping("/api/recordings/{recording}/withdraw")
  RecordingRow withdraw(Actor who, @PathVariable UUID recording) {
    return pages.row(new WithdrawRecording(studio).by(who, recording));
  }

  @PostMapping("/api/recordings/{recording}/restore")
  RecordingRow restore(Actor who, @PathVariable UUID recording) {
    return pages.row(new WithdrawRecording(studio).undone(who, recording));
  }

  /** Two recordings of a session over each other. */
  @GetMapping("/api/live/{id}/agreement")
  ComparedView compare(@PathVariable UUID id) {
    Compared compared =
        new CompareRecordings(studio)
            .of(id)
            .orElseThrow(() -> NotFoundException.of("Session %s has no second recording.", id));
    return ComparedView.of(
        compared,
        studio.client(compared.client()).details().name(),
        LocalDate.ofInstant(compared.begunAt(), studio.zone()));
  }

  /** What a session's peak says about the maximum. */
  @GetMapping("/api/live/{id}/peak")
  @Nullable PeakSaid peak(@PathVariable UUID id) {
    return new ProposePeak(studio)
        .of(new LiveSessions(studio).get(id))
        .map(PeakSaid::of)
        .orElse(null);
  }

  /** Saves it as seen once, after the sensor was asked about. */
  @PostMapping("/api/live/{id}/peak")
  @ResponseStatus(HttpStatus.CREATED)
  SavedPeak savePeak(Actor who, @PathVariable UUID id, @RequestBody SensorRequest request) {
    return new SavedPeak(new ProposePeak(studio).by(who, id, request.sensorSat()).id());
  }
}
