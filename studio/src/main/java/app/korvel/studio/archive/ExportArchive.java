package app.korvel.studio.archive;

import app.korvel.core.live.LiveSession;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.progress.Months;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Client;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.Trace;
import app.korvel.exchange.archive.ArchiveWriter;
import app.korvel.exchange.archive.FhirBundle;
import app.korvel.exchange.archive.Manifest;
import app.korvel.exchange.archive.Manifest.Scope;
import app.korvel.exchange.recording.RecordingText;
import app.korvel.exchange.sheet.MonthsSheet;
import app.korvel.exchange.sheet.Paper;
import app.korvel.exchange.sheet.SheetPdf;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.WholeTables;
import app.korvel.store.WholeTables.Table;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.progress.ClientMonths;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * Everything of a client in open formats, in one ZIP file: every table as CSV, from which all of it
 * comes in again; measurements as FHIR R4; each recorded session as CSV and GPX; a page to read.
 * And everything of the studio, as tables.
 */
public record ExportArchive(Studio studio) {
  private static final int MOST_SESSIONS = 100_000;

  /**
   * Writes a client's as it streams out, as everything stands at one moment.
   *
   * @throws app.korvel.studio.NotFoundException when there is none of that id
   * @throws IOException where it cannot be written
   */
  public void ofClient(UUID id, OutputStream out) throws IOException {
    Client client = studio.client(id);
    // What is worked out once is worked out before, since nothing is written while it is read.
    Months months = new ClientMonths(studio).of(id, Months.USUAL, Mode.RUN);
    consistent(
        () -> {
          try (ArchiveWriter archive = new ArchiveWriter(out, studio.now())) {
            tables(archive, Optional.of(id));
            archive.file(
                "summary.pdf",
                to ->
                    to.write(
                        SheetPdf.of(
                            MonthsSheet.of(
                                client.details().name(), months, studio.today(), Paper.A4))));
            archive.file("fhir.json", to -> fhir(client, to));
            recordings(id, archive);
          }
        });
  }

  /** Writes everybody's, as tables. */
  public void ofStudio(OutputStream out) throws IOException {
    consistent(
        () -> {
          try (ArchiveWriter archive = new ArchiveWriter(out, studio.now())) {
            tables(archive, Optional.empty());
          }
        });
  }

  /** Writes something. */
  private interface Writing {
    void run() throws IOException;
  }

  private void consistent(Writing writing) throws IOException {
    try {
      studio.read(
          () -> {
            try {
              writing.run();
              return null;
            } catch (IOException broken) {
              throw new UncheckedIOException(broken);
            }
          });
    } catch (UncheckedIOException broken) {
      throw broken.getCause();
    }
  }

  private void tables(ArchiveWriter archive, Optional<UUID> client) throws IOException {
    WholeTables tables = new WholeTables(studio.store().database());
    List<Table> written =
        client.isPresent() ? tables.ofClient() : List.copyOf(tables.tables().values());
    Map<String, Long> rows = new HashMap<>();
    for (Table table : written) {
      long[] count = {0};
      tables.rows(table, client, values -> count[0]++);
      rows.put(table.name(), count[0]);
    }
    archive.manifest(
        Manifest.of(
            tables.version(),
            client.isPresent() ? Scope.CLIENT : Scope.STUDIO,
            client.map(UUID::toString),
            studio.now(),
            rows));
    for (Table table : written) {
      archive.table(
          table.name(), table.columns(), to -> tables.<IOException>rows(table, client, to::add));
    }
  }

  private void fhir(Client client, OutputStream out) throws IOException {
    FhirBundle.write(
        out,
        client.id(),
        client.details().name(),
        client.details().sex(),
        client.details().birthDate(),
        bundle -> {
          for (RestingReading reading : studio.store().readings().of(client.id())) {
            bundle.resting(reading.id(), reading.takenAt(), reading.bpm());
          }
          for (MeasuredMaximum value : studio.store().maxima().of(client.id())) {
            bundle.maximum(value.id(), value.measuredOn(), value.bpm(), value.kind().displayName());
          }
          for (SavedCheckIn saved : studio.store().checkIns().of(client.id(), MOST_SESSIONS)) {
            if (saved.checkIn().pressure().isPresent()) {
              bundle.pressure(
                  UUID.nameUUIDFromBytes(
                      (saved.id() + "/pressure").getBytes(StandardCharsets.UTF_8)),
                  saved.recordedAt(),
                  saved.checkIn().pressure().get().systolic(),
                  saved.checkIn().pressure().get().diastolic());
            }
            if (saved.checkIn().weightKg().isPresent()) {
              bundle.weight(
                  UUID.nameUUIDFromBytes((saved.id() + "/weight").getBytes(StandardCharsets.UTF_8)),
                  saved.recordedAt(),
                  saved.checkIn().weightKg().get());
            }
          }
          for (Opened opened : studio.store().live().of(client.id(), MOST_SESSIONS)) {
            Optional<DeviceRecording> recording = recording(opened);
            if (recording.isPresent()) {
              bundle.session(
                  opened.id(), recording.get().startedAt(), bySecond(recording.get().trace()));
            }
          }
        });
  }

  private static int[] bySecond(Trace trace) {
    int[] bpm = new int[trace.seconds()];
    for (int second = 1; second <= bpm.length; second++) {
      bpm[second - 1] = trace.sampledAt(second) ? trace.value(second).orElse(0) : 0;
    }
    return bpm;
  }

  private void recordings(UUID client, ArchiveWriter archive) throws IOException {
    for (Opened opened : studio.store().live().of(client, MOST_SESSIONS)) {
      Optional<DeviceRecording> recording = recording(opened);
      if (recording.isPresent()) {
        String name =
            "recordings/"
                + recording.get().startedAt().toString().substring(0, 10)
                + "-"
                + opened.id();
        archive.file(
            name + ".csv", to -> write(to, text -> RecordingText.csv(recording.get(), text)));
        archive.file(
            name + ".gpx",
            to ->
                write(to, text -> RecordingText.gpx(recording.get(), opened.plan().mode(), text)));
      }
    }
  }

  /** Writes text. */
  private interface Text {
    void to(Writer out) throws IOException;
  }

  private static void write(OutputStream out, Text text) throws IOException {
    Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
    text.to(writer);
    writer.flush();
  }

  /** The heart rate of a session, a point a second; empty where there is none. */
  public Optional<DeviceRecording> recording(Opened opened) {
    Optional<DeviceRecording> device =
        opened
            .device()
            .flatMap(studio.store().recordings()::get)
            .map(brought -> brought.recording());
    if (device.isPresent()) {
      return device;
    }
    LiveSession session = new LiveSessions(studio).get(opened.id()).session();
    DeviceRecording.Builder points = new DeviceRecording.Builder();
    Trace trace = session.trace();
    Instant begun = session.begunAt().orElse(opened.openedAt());
    for (int second = 1; second <= trace.seconds(); second++) {
      OptionalInt bpm = trace.sampledAt(second) ? trace.value(second) : OptionalInt.empty();
      if (bpm.isPresent()) {
        String place = "second " + second;
        points.add(begun.plusSeconds(second - 1L), bpm.getAsInt(), -1, () -> place);
      }
    }
    return points.recordable() ? Optional.of(points.build()) : Optional.empty();
  }
}
