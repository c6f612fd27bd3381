package app.korvel.store;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.trace.DeviceRecording;
import app.korvel.core.trace.Samples;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Recordings of clients' own devices: looked at first, then kept whole, and withdrawn whole. */
public final class DeviceRecordingRepository {
  private static final int MS = 1000;

  private final Database database;

  public DeviceRecordingRepository(Database database) {
    this.database = database;
  }

  /**
   * How the columns of a CSV were read.
   *
   * @param signature of its headings
   * @param columns as a document
   */
  public record Csv(String signature, String columns) {}

  /**
   * A recording as it was brought in.
   *
   * @param session that it is of; empty while it is looked at
   * @param second whether that session was recorded otherwise too
   * @param digest of the file
   * @param mode what the body did, where that is known
   * @param source what read it; empty where nobody said: taken as a wrist
   * @param csv how it was read; empty for other formats
   * @param keptAt empty while it is looked at
   * @param withdrawnAt empty while it stands
   */
  public record Brought(
      UUID id,
      UUID clientId,
      Optional<UUID> session,
      boolean second,
      String fileName,
      String format,
      String digest,
      Optional<Mode> mode,
      Optional<RateSource> source,
      DeviceRecording recording,
      Optional<Csv> csv,
      Instant recordedAt,
      Optional<Instant> keptAt,
      Optional<Instant> withdrawnAt) {

    /** What it is taken as having read it. */
    public RateSource readBy() {
      return source.orElse(RateSource.WRIST);
    }

    /** Whether it is kept and stands. */
    public boolean stands() {
      return keptAt.isPresent() && withdrawnAt.isEmpty();
    }
  }

  /** Adds one that is looked at. */
  public void add(Brought brought) {
    DeviceRecording recording = brought.recording;
    int[] at = Arrays.stream(recording.seconds()).map(second -> second * MS).toArray();
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", brought.id.toString());
    row.put("client_id", brought.clientId.toString());
    row.put("second", brought.second);
    row.put("file_name", brought.fileName);
    row.put("format", brought.format);
    row.put("digest", brought.digest);
    row.put("mode", brought.mode.map(Enum::name));
    row.put("source", brought.source.map(Enum::name));
    row.put("started_at", recording.startedAt());
    row.put("seconds", recording.length());
    row.put("samples", SampleCodec.encode(at, recording.bpm()));
    row.put(
        "steps",
        recording.steps().length == 0 ? new byte[0] : SampleCodec.encode(at, recording.steps()));
    row.put("one_foot", recording.stepsDoubled());
    row.put("csv_signature", brought.csv.map(Csv::signature));
    row.put("csv_columns", brought.csv.map(Csv::columns));
    row.put("recorded_at", brought.recordedAt);
    database.insert("device_recording", row);
  }

  /** The recording of that id. */
  public Optional<Brought> get(UUID id) {
    return database.first(
        DeviceRecordingRepository::brought,
        "select * from device_recording where id = ?",
        id.toString());
  }

  /** A client's that are kept, those that were withdrawn too, the latest first. */
  public List<Brought> of(UUID clientId) {
    return database.list(
        DeviceRecordingRepository::brought,
        "select * from device_recording where client_id = ? and kept_at is not null"
            + " order by started_at desc, id desc",
        clientId.toString());
  }

  /** Those that stand of a session. */
  public List<Brought> ofSession(UUID session) {
    return database.list(
        DeviceRecordingRepository::brought,
        "select * from device_recording where live_session_id = ? and withdrawn_at is null"
            + " order by kept_at, id",
        session.toString());
  }

  /** The kept recording of a client that was read from the same file, if one stands. */
  public Optional<Brought> sameFile(UUID clientId, String digest) {
    return database.first(
        DeviceRecordingRepository::brought,
        "select * from device_recording where client_id = ? and digest = ? and kept_at is not null"
            + " and withdrawn_at is null",
        clientId.toString(),
        digest);
  }

  /** How a file with the same headings was read last, as a document. */
  public Optional<String> columns(String signature) {
    return database.first(
        row -> row.getString("csv_columns"),
        "select csv_columns from device_recording where csv_signature = ? and kept_at is not null"
            + " order by kept_at desc limit 1",
        signature);
  }

  /**
   * Keeps one that was looked at.
   *
   * @param source what read it; empty where nobody knows
   */
  public void keep(
      UUID id, UUID session, boolean second, Mode mode, Optional<RateSource> source, Instant now) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("live_session_id", session.toString());
    row.put("second", second);
    row.put("mode", mode);
    row.put("source", source.map(Enum::name));
    row.put("kept_at", now);
    database.update("device_recording", id.toString(), row);
  }

  /** Withdraws one, or lets it stand again. */
  public void withdraw(UUID id, Optional<Instant> at) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("withdrawn_at", at);
    database.update("device_recording", id.toString(), row);
  }

  /** Forgets one that is looked at and will not be kept. */
  public boolean discard(UUID id) {
    return database.write(
        connection ->
            Database.change(
                    connection,
                    "delete from device_recording where id = ? and kept_at is null",
                    id.toString())
                > 0);
  }

  /** Forgets those that were looked at and never kept. */
  public void discardBefore(Instant moment) {
    database.write(
        connection ->
            Database.change(
                connection,
                "delete from device_recording where kept_at is null and recorded_at < ?",
                moment));
  }

  private static Brought brought(ResultSet row) throws SQLException {
    Instant startedAt = Instant.parse(row.getString("started_at"));
    Samples samples = SampleCodec.decode(row.getBytes("samples"), startedAt);
    byte[] steps = row.getBytes("steps");
    Optional<String> signature = Optional.ofNullable(row.getString("csv_signature"));
    String columns = row.getString("csv_columns");
    return new Brought(
        UUID.fromString(row.getString("id")),
        UUID.fromString(row.getString("client_id")),
        Optional.ofNullable(row.getString("live_session_id")).map(UUID::fromString),
        row.getBoolean("second"),
        row.getString("file_name"),
        row.getString("format"),
        row.getString("digest"),
        Database.word(row, "mode", Mode.class),
        Database.word(row, "source", RateSource.class),
        new DeviceRecording(
            startedAt,
            Arrays.stream(samples.at()).map(at -> at / MS).toArray(),
            samples.bpm(),
            steps.length == 0 ? new int[0] : SampleCodec.decode(steps, startedAt).bpm(),
            row.getBoolean("one_foot")),
        signature.map(each -> new Csv(each, columns)),
        Instant.parse(row.getString("recorded_at")),
        Optional.ofNullable(row.getString("kept_at")).map(Instant::parse),
        Optional.ofNullable(row.getString("withdrawn_at")).map(Instant::parse));
  }
}
