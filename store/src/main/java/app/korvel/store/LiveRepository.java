package app.korvel.store;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.Samples;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * Sessions on the clock: events and samples are appended as they come, each once however often it
 * is sent.
 */
public final class LiveRepository {
  /** So many plans are kept, of the sessions that were read last. */
  private static final int PLANS = 256;

  private final Database database;
  private final EventSeries events;
  private final SampleSeries samples;

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
    this.events = new EventSeries(database, "live_event", "live_session_id", "session");
    this.samples = new SampleSeries(database, "live_chunk", "live_recording", "live_session_id");
  }

  /**
   * A session that was opened.
   *
   * @param number of the planned session; empty for one that was not planned
   * @param source what reads the rate at first
   * @param speed how much faster its clock goes than the studio's
   * @param simulated the fault of a simulated strap; empty where a person wears one
   * @param open whether it is still to be ended
   * @param device the recording of somebody's own device that it is judged by; empty where its own
   *     samples are
   * @param broughtIn whether it was brought in whole: nobody saw when its steps began
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
      boolean open,
      Optional<UUID> device,
      boolean broughtIn) {
    /** One that is recorded here. */
    public Opened(
        UUID id,
        UUID clientId,
        Optional<Integer> number,
        RateSource source,
        int speed,
        Optional<String> simulated,
        Instant openedAt,
        LivePlan plan,
        boolean open) {
      this(
          id,
          clientId,
          number,
          source,
          speed,
          simulated,
          openedAt,
          plan,
          open,
          Optional.empty(),
          false);
    }
  }

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
    row.put("device_recording_id", session.device.map(UUID::toString));
    row.put("brought_in", session.broughtIn);
    database.insert("live_session", row);
  }

  /** The session of that id. */
  public Optional<Opened> get(UUID id) {
    return database.first(this::opened, "select * from live_session where id = ?", id.toString());
  }

  /** Those of a client that stand and were opened between two moments, the earliest first. */
  public List<Opened> about(UUID clientId, Instant from, Instant to) {
    return database.list(
        this::opened,
        "select * from live_session where client_id = ? and opened_at between ? and ?"
            + " and withdrawn_at is null order by opened_at, id",
        clientId.toString(),
        from,
        to);
  }

  /** Says by which recording of a device a session is judged; empty for its own samples. */
  public void judgeBy(UUID id, Optional<UUID> device) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("device_recording_id", device.map(UUID::toString));
    database.update("live_session", id.toString(), row);
  }

  /** Withdraws a session that was brought in, or lets it stand again. */
  public void withdraw(UUID id, Optional<Instant> at) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("withdrawn_at", at);
    database.update("live_session", id.toString(), row);
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
        "select * from live_session where client_id = ? and withdrawn_at is null"
            + " order by opened_at desc, id desc limit ?",
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
        row.getBoolean("is_open"),
        Optional.ofNullable(row.getString("device_recording_id")).map(UUID::fromString),
        row.getBoolean("brought_in"));
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
    return events.add(session, LiveEventRow.of(event), now);
  }

  /** Everything that happened in a session, in the order in which it was handed in. */
  public List<LiveEvent> events(UUID session) {
    return events.of(session, LiveEventRow::read);
  }

  /**
   * Adds samples.
   *
   * @param sequence a number that no other samples of the session have; sent twice, they are added
   *     once
   * @param recorded in the order of their times
   * @return whether they were new
   */
  public boolean add(UUID session, long sequence, Samples recorded) {
    return samples.add(session, sequence, recorded);
  }

  /** Puts the pieces of a recording together: what is on disk is small then, and read at once. */
  public void putTogether(UUID session) {
    samples.putTogether(session);
  }

  /**
   * All samples of a session.
   *
   * @param since from when on their times count
   */
  public Samples samples(UUID session, Instant since) {
    return samples.samples(session, since);
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
