package app.korvel.store;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.Samples;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;

/**
 * Sessions on the clock: events and samples are appended as they come, each once however often it
 * is sent.
 */
public final class LiveRepository {
  /** So many pieces of a recording are put together into one. */
  private static final int PIECES = 30;

  private static final LiveEventRow.Place EVENTS =
      new LiveEventRow.Place("live_event", "live_session_id", "session");

  /** So many plans are kept, of the sessions that were read last. */
  private static final int PLANS = 256;

  private final Database database;

  /** A plan never changes, and is long to read: sixty straps ask for it each second. */
  private final Map<String, LivePlan> plans =
      Collections.synchronizedMap(
          new LinkedHashMap<>(PLANS, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<String, LivePlan> eldest) {
              return size() > PLANS;
            }
          });

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
    return database.first(this::opened, "select * from live_session where id = ?", id.toString());
  }

  /** Those that are still to be ended, the first opened first. */
  public List<Opened> openNow() {
    return database.list(
        this::opened, "select * from live_session where is_open = 1 order by opened_at, id");
  }

  /** A client's last ones, so many at most, latest first. */
  public List<Opened> of(UUID clientId, int most) {
    return database.list(
        this::opened,
        "select * from live_session where client_id = ? order by opened_at desc, id desc limit ?",
        clientId.toString(),
        most);
  }

  private Opened opened(ResultSet row) throws SQLException {
    return new Opened(
        UUID.fromString(row.getString("id")),
        UUID.fromString(row.getString("client_id")),
        Database.wholeNumber(row, "number"),
        RateSource.valueOf(row.getString("source")),
        row.getInt("speed"),
        Optional.ofNullable(row.getString("simulated")),
        Instant.parse(row.getString("opened_at")),
        plan(row.getString("id"), row.getString("plan")),
        row.getBoolean("is_open"));
  }

  private LivePlan plan(String session, String written) {
    return plans.computeIfAbsent(session, id -> StoredForms.LIVE_PLAN.read(written));
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
    return LiveEventRow.add(database, EVENTS, session, event, now);
  }

  /** Everything that happened in a session, in the order in which it was handed in. */
  public List<LiveEvent> events(UUID session) {
    return database.list(
        LiveEventRow::read,
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

  /**
   * A strap that is known.
   *
   * @param strap what it is known by
   * @param lastSession the session in which it was put on last
   * @param lastClient who wore it then
   * @param lastAt when it was put on
   */
  public record KnownStrap(String strap, UUID lastSession, UUID lastClient, Instant lastAt) {}

  /** Every strap that was ever put on, the latest first; so many at most. */
  public List<KnownStrap> straps(int most) {
    return database.list(
        row ->
            new KnownStrap(
                row.getString("strap"),
                UUID.fromString(row.getString("session_id")),
                UUID.fromString(row.getString("client_id")),
                Instant.parse(row.getString("last_at"))),
        """
        select e.word as strap, max(e.at) as last_at, s.id as session_id, s.client_id
        from live_event e join live_session s on s.id = e.live_session_id
        where e.kind = 'STRAP_GIVEN'
          and not exists (
            select 1 from live_event w
            where w.live_session_id = e.live_session_id and w.of_event_id = e.id)
        group by e.word order by last_at desc limit ?
        """,
        most);
  }

  /** A client's last sessions in which a recovery was measured, so many at most, latest first. */
  public List<Opened> withRecoveries(UUID clientId, int most) {
    return database.list(
        this::opened,
        """
        select s.* from live_session s
        where s.client_id = ? and exists (
          select 1 from live_event e
          where e.live_session_id = s.id and e.kind = 'EFFORT_ENDED')
        order by s.opened_at desc, s.id desc limit ?
        """,
        clientId.toString(),
        most);
  }
}
