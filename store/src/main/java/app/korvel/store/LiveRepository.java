package app.korvel.store;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveEvent.Kind;
import app.korvel.core.live.LivePlan;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.screening.StopSign;
import app.korvel.core.trace.Samples;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.UUID;

/**
 * Sessions on the clock: events and samples are appended as they come, each once however often it
 * is sent.
 */
public final class LiveRepository {
  /** So many pieces of a recording are put together into one. */
  private static final int PIECES = 120;

  private final Database database;

  public LiveRepository(Database database) {
    this.database = database;
  }

  /**
   * A session that was opened.
   *
   * @param number of the planned session; empty for one that was not planned
   * @param source what reads the rate at first
   * @param speed how much faster its clock goes than the studio's
   * @param simulated the fault of a simulated strap; empty where a person wears one
   * @param open whether it is still to be ended
   */
  public record Opened(
      UUID id,
      UUID clientId,
      Optional<Integer> number,
      RateSource source,
      int speed,
      Optional<String> simulated,
      Instant openedAt,
      LivePlan plan,
      boolean open) {}

  /** Keeps a session that is opened. */
  public void open(Opened session) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", session.id.toString());
    row.put("client_id", session.clientId.toString());
    row.put("number", session.number);
    row.put("source", session.source);
    row.put("speed", session.speed);
    row.put("simulated", session.simulated);
    row.put("opened_at", session.openedAt);
    row.put("plan", StoredForms.LIVE_PLAN.write(session.plan));
    row.put("is_open", session.open);
    database.insert("live_session", row);
  }

  /** The session of that id. */
  public Optional<Opened> get(UUID id) {
    return database.first(
        LiveRepository::opened, "select * from live_session where id = ?", id.toString());
  }

  /** Those that are still to be ended, the first opened first. */
  public List<Opened> openNow() {
    return database.list(
        LiveRepository::opened,
        "select * from live_session where is_open = 1 order by opened_at, id");
  }

  /** A client's last ones, so many at most, latest first. */
  public List<Opened> of(UUID clientId, int most) {
    return database.list(
        LiveRepository::opened,
        "select * from live_session where client_id = ? order by opened_at desc, id desc limit ?",
        clientId.toString(),
        most);
  }

  private static Opened opened(ResultSet row) throws SQLException {
    return new Opened(
        UUID.fromString(row.getString("id")),
        UUID.fromString(row.getString("client_id")),
        Database.wholeNumber(row, "number"),
        RateSource.valueOf(row.getString("source")),
        row.getInt("speed"),
        Optional.ofNullable(row.getString("simulated")),
        Instant.parse(row.getString("opened_at")),
        StoredForms.LIVE_PLAN.read(row.getString("plan")),
        row.getBoolean("is_open"));
  }

  /** Says whether a session is still to be ended. */
  public void setOpen(UUID id, boolean open) {
    database.write(
        connection ->
            Database.change(
                connection,
                "update live_session set is_open = ? where id = ?",
                open,
                id.toString()));
  }

  /**
   * Adds an event.
   *
   * @return whether it was new; one that is there already is not added again
   * @throws InvalidValueException when another session has an event of that id
   */
  public boolean add(UUID session, LiveEvent event, Instant now) {
    return database.write(
        connection -> {
          Optional<String> known =
              Database.first(
                  connection,
                  row -> row.getString(1),
                  "select live_session_id from live_event where id = ?",
                  event.id().toString());
          if (known.isPresent()) {
            if (known.get().equals(session.toString())) {
              return false;
            }
            throw InvalidValueException.of(
                "id", "is that of an event in another session", "an id of its own for each event");
          }
          Map<String, Object> row = row(event);
          row.put("live_session_id", session.toString());
          row.put("place", places(connection, session) + 1);
          row.put("recorded_at", now);
          database.insert("live_event", row);
          return true;
        });
  }

  private static int places(Connection connection, UUID session) throws SQLException {
    return Database.first(
            connection,
            row -> row.getInt(1),
            "select coalesce(max(place), 0) from live_event where live_session_id = ?",
            session.toString())
        .orElse(0);
  }

  /** Everything that happened in a session, in the order in which it was handed in. */
  public List<LiveEvent> events(UUID session) {
    return database.list(
        LiveRepository::event,
        "select * from live_event where live_session_id = ? order by place",
        session.toString());
  }

  /**
   * Adds samples.
   *
   * @param sequence a number that no other samples of the session have; sent twice, they are added
   *     once
   * @param samples in the order of their times
   * @return whether they were new
   */
  public boolean add(UUID session, long sequence, Samples samples) {
    return database.write(
        connection -> {
          List<Long> pieces = pieces(connection, session);
          if (pieces.contains(sequence) || taken(connection, session).contains(sequence)) {
            return false;
          }
          Database.change(
              connection,
              "insert into live_chunk (live_session_id, sequence, samples) values (?, ?, ?)",
              session.toString(),
              sequence,
              SampleCodec.encode(samples.at(), samples.bpm()));
          if (pieces.size() + 1 >= PIECES) {
            putTogether(session);
          }
          return true;
        });
  }

  private static List<Long> pieces(Connection connection, UUID session) throws SQLException {
    return Database.list(
        connection,
        row -> row.getLong(1),
        "select sequence from live_chunk where live_session_id = ? order by sequence",
        session.toString());
  }

  private static List<Long> taken(Connection connection, UUID session) throws SQLException {
    return Database.first(
            connection,
            row -> SampleCodec.decodeRuns(row.getBytes("taken")),
            "select taken from live_recording where live_session_id = ?",
            session.toString())
        .orElse(List.of());
  }

  /** Puts the pieces of a recording together: what is on disk is small then, and read at once. */
  public void putTogether(UUID session) {
    database.write(
        connection -> {
          List<Long> pieces = pieces(connection, session);
          if (pieces.isEmpty()) {
            return 0;
          }
          TreeSet<Long> all = new TreeSet<>(taken(connection, session));
          all.addAll(pieces);
          Samples samples = samples(connection, session, Instant.EPOCH);
          Database.change(
              connection, "delete from live_chunk where live_session_id = ?", session.toString());
          return Database.change(
              connection,
              """
              insert into live_recording (live_session_id, taken, samples) values (?, ?, ?)
              on conflict (live_session_id) do update set
                taken = excluded.taken, samples = excluded.samples
              """,
              session.toString(),
              SampleCodec.encodeRuns(all),
              SampleCodec.encode(samples.at(), samples.bpm()));
        });
  }

  /**
   * All samples of a session.
   *
   * @param since from when on their times count
   */
  public Samples samples(UUID session, Instant since) {
    return database.read(connection -> samples(connection, session, since));
  }

  private static Samples samples(Connection connection, UUID session, Instant since)
      throws SQLException {
    List<Samples> parts = new ArrayList<>();
    String id = session.toString();
    parts.addAll(
        Database.list(
            connection,
            row -> SampleCodec.decode(row.getBytes("samples"), since),
            "select samples from live_recording where live_session_id = ?",
            id));
    parts.addAll(
        Database.list(
            connection,
            row -> SampleCodec.decode(row.getBytes("samples"), since),
            "select samples from live_chunk where live_session_id = ? order by sequence",
            id));
    Samples all = Samples.none(since);
    for (Samples part : parts) {
      all = all.with(part.at(), part.bpm());
    }
    return all;
  }

  private static Map<String, Object> row(LiveEvent event) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", event.id().toString());
    row.put("at", event.at());
    Kind kind = event.kind();
    row.put("kind", kind);
    switch (kind) {
      case STEP_ENDED -> row.put("leg", ((LiveEvent.StepEnded) event).leg());
      case STEP_BACK -> row.put("leg", ((LiveEvent.StepBack) event).leg());
      case LENGTHENED -> {
        row.put("leg", ((LiveEvent.Lengthened) event).leg());
        row.put("seconds", ((LiveEvent.Lengthened) event).seconds());
      }
      case RATED -> {
        row.put("rpe", boxed(((LiveEvent.Rated) event).rpe20()));
        row.put("voice", boxed(((LiveEvent.Rated) event).voice()));
      }
      case COUNTED -> {
        row.put("beats", ((LiveEvent.Counted) event).beats());
        row.put("window_seconds", ((LiveEvent.Counted) event).window().seconds());
      }
      case READ_OFF -> row.put("bpm", ((LiveEvent.ReadOff) event).bpm());
      case SOURCE_CHANGED -> row.put("word", ((LiveEvent.SourceChanged) event).source());
      case STOPPED -> row.put("word", ((LiveEvent.Stopped) event).sign());
      case ENDED -> row.put("word", ((LiveEvent.Ended) event).reason());
      case WITHDRAWN -> row.put("of_event_id", ((LiveEvent.Withdrawn) event).of().toString());
      case BEGUN, STEP_STARTED, PAUSED, RESUMED, WORK_RESUMED -> {}
    }
    return row;
  }

  private static Optional<Integer> boxed(OptionalInt value) {
    return value.isPresent() ? Optional.of(value.getAsInt()) : Optional.empty();
  }

  private static LiveEvent event(ResultSet row) throws SQLException {
    UUID id = UUID.fromString(row.getString("id"));
    Instant at = Instant.parse(row.getString("at"));
    String word = row.getString("word");
    int leg = row.getInt("leg");
    return switch (Kind.valueOf(row.getString("kind"))) {
      case BEGUN -> new LiveEvent.Begun(id, at);
      case STEP_STARTED -> new LiveEvent.StepStarted(id, at);
      case STEP_ENDED -> new LiveEvent.StepEnded(id, at, leg);
      case STEP_BACK -> new LiveEvent.StepBack(id, at, leg);
      case LENGTHENED -> new LiveEvent.Lengthened(id, at, leg, row.getInt("seconds"));
      case PAUSED -> new LiveEvent.Paused(id, at);
      case RESUMED -> new LiveEvent.Resumed(id, at);
      case RATED -> new LiveEvent.Rated(id, at, number(row, "rpe"), number(row, "voice"));
      case COUNTED ->
          new LiveEvent.Counted(
              id, at, row.getInt("beats"), CountWindow.of(row.getInt("window_seconds")));
      case READ_OFF -> new LiveEvent.ReadOff(id, at, row.getInt("bpm"));
      case SOURCE_CHANGED -> new LiveEvent.SourceChanged(id, at, RateSource.valueOf(word));
      case WORK_RESUMED -> new LiveEvent.WorkResumed(id, at);
      case STOPPED -> new LiveEvent.Stopped(id, at, StopSign.valueOf(word));
      case ENDED -> new LiveEvent.Ended(id, at, LiveEvent.Reason.valueOf(word));
      case WITHDRAWN ->
          new LiveEvent.Withdrawn(id, at, UUID.fromString(row.getString("of_event_id")));
    };
  }

  private static OptionalInt number(ResultSet row, String column) throws SQLException {
    return Database.wholeNumber(row, column).map(OptionalInt::of).orElse(OptionalInt.empty());
  }
}
