package app.korvel.studio.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Texts;
import app.korvel.core.trace.TraceFinding;
import app.korvel.exchange.recording.CsvColumns;
import app.korvel.exchange.recording.RecordingFile;
import app.korvel.exchange.recording.RecordingFile.Said;
import app.korvel.store.DeviceRecordingRepository;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.DeviceRecordingRepository.Csv;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HexFormat;
import java.util.Optional;
import java.util.UUID;

/** Reads a file of a client's own device, to be looked at; it is kept by {@link KeepRecording}. */
public record BringRecording(Studio studio) {
  private static final int NAME_LENGTH = 200;

  /** So long a recording that was never kept can be looked at. */
  private static final Duration LOOKED_AT = Duration.ofDays(1);

  /**
   * A file.
   *
   * @param name as it is called; empty where it was pasted
   * @param content read as it streams in
   * @param columns how a CSV is read; empty to guess
   * @param startedAt when it began, where the file counts from its beginning only
   */
  public record File(
      String name,
      InputStream content,
      Optional<CsvColumns.Choice> columns,
      Optional<Instant> startedAt) {}

  /**
   * What came of it.
   *
   * @param looked the recording that can be looked at; empty while something has to be asked first
   */
  public record Read(RecordingFile file, Optional<Brought> looked) {}

  /**
   * Reads a file.
   *
   * @throws InvalidValueException where it is no recording, with the place of the fault
   * @throws RefusedException where the same file is on record, or the client is archived
   * @throws IOException where the file cannot be got at
   */
  public Read by(Actor who, UUID client, File file) throws IOException {
    studio.open(client);
    DeviceRecordingRepository recordings = studio.store().recordings();
    MessageDigest digest = sha256();
    DigestInputStream content = new DigestInputStream(file.content, digest);
    RecordingFile read =
        RecordingFile.of(
            content,
            new Said(
                studio.zone(),
                file.columns,
                signature -> recordings.columns(signature).map(CsvColumns.Choice::of),
                file.startedAt));
    content.transferTo(OutputStream.nullOutputStream());
    String known = HexFormat.of().formatHex(digest.digest());
    return studio.write(
        who,
        () -> {
          studio.open(client);
          recordings.discardBefore(studio.now().minus(LOOKED_AT));
          Optional<Brought> same = recordings.sameFile(client, known);
          if (same.isPresent()) {
            throw RefusedException.because(
                TraceFinding.RECORDING_SAME_FILE.of("the session of " + day(same.get())));
          }
          Optional<Brought> looked =
              read.recording().map(each -> brought(client, file, known, read));
          looked.ifPresent(recordings::add);
          return new Read(read, looked);
        });
  }

  private Brought brought(UUID client, File file, String digest, RecordingFile read) {
    Stamp stamp = studio.stamp();
    if (read.recording().orElseThrow().endedAt().isAfter(stamp.at().plusSeconds(60))) {
      throw InvalidValueException.of(
          "file", "lies in the future", "a recording up to now; look at the clock of the device");
    }
    return new Brought(
        stamp.id(),
        client,
        Optional.empty(),
        false,
        name(file.name),
        read.format().name(),
        digest,
        read.mode(),
        read.strap().map(strap -> strap ? RateSource.STRAP : RateSource.WRIST),
        read.recording().orElseThrow(),
        read.csv().map(each -> new Csv(each.signature(), each.choice().document())),
        stamp.at(),
        Optional.empty(),
        Optional.empty());
  }

  /** A name as it can be shown: what cannot be shown of it is left out. */
  private static String name(String written) {
    String plain =
        written
            .codePoints()
            .filter(point -> !Character.isISOControl(point))
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString()
            .strip();
    String short_ = plain.length() <= NAME_LENGTH ? plain : plain.substring(0, NAME_LENGTH);
    return Texts.checked("name", short_.isEmpty() ? "Pasted" : short_, 1, NAME_LENGTH);
  }

  String day(Brought brought) {
    return Days.of(LocalDate.ofInstant(brought.recording().startedAt(), studio.zone()));
  }

  private static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
