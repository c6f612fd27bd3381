package app.korvel.store;

import app.korvel.core.maximum.Mode;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.PlannedLoad;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/** Sessions as they were done: appended; one corrected or withdrawn is superseded. */
public final class SessionLogRepository {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final Database database;
  private final Ledger ledger;

  public SessionLogRepository(Database database) {
    this.database = database;
    this.ledger = new Ledger(database, RecordKind.SESSION_LOGS);
  }

  /**
   * A log and whose it is.
   *
   * @param clientId whose
   * @param log as it stands
   * @param live the recorded session it is of; empty where none was recorded
   */
  public record Logged(UUID clientId, SessionLog log, Optional<UUID> live) {
    /** One of a session that was not recorded. */
    public static Logged of(UUID clientId, SessionLog log) {
      return new Logged(clientId, log, Optional.empty());
    }
  }

  /**
   * Adds logs, all of them or none.
   *
   * @return those of planned sessions that have a log already; where there is one, none was added
   */
  public List<Logged> add(List<Logged> logs) {
    return database.write(
        connection -> {
          List<Logged> already = new ArrayList<>();
          for (Logged each : logs) {
            if (each.log.number().isPresent()) {
              already.addAll(logged(connection, each));
            }
          }
          if (already.isEmpty()) {
            for (Logged each : logs) {
              Map<String, Object> row = row(each.log, Optional.of(each.log.recordedAt()));
              row.put("live_session_id", each.live.map(UUID::toString));
              ledger.add(each.log.id(), each.clientId, row, each.log.recordedAt());
            }
          }
          return already;
        });
  }

  private static List<Logged> logged(Connection connection, Logged log) throws SQLException {
    return Database.list(
        connection,
        SessionLogRepository::logged,
        "select * from current_session_log where client_id = ? and number = ?",
        log.clientId.toString(),
        log.log.number());
  }

  /**
   * Puts a log right; see {@link Ledger#correct}. A symptom that it had counts from when it was
   * said then, one that it gets counts from now.
   *
   * @param by the log that is right
   * @param now when it is corrected
   */
  public boolean correct(UUID clientId, UUID id, SessionLog by, Instant now) {
    return database.write(
        connection -> {
          Optional<Instant> before =
              Database.first(
                      connection,
                      row -> symptomsAt(row, by),
                      "select * from session_log where client_id = ? and id = ?",
                      clientId.toString(),
                      id.toString())
                  .flatMap(at -> at);
          return ledger.correct(clientId, id, by.id(), row(by, before.or(() -> Optional.of(now))));
        });
  }

  /** When the symptoms of a row were said, unless what takes its place has others. */
  private static Optional<Instant> symptomsAt(ResultSet row, SessionLog by) throws SQLException {
    Set<StopSign> before = warnings(row.getString("warnings"));
    boolean noOther =
        by.warnings().stream().allMatch(sign -> !sign.symptom() || before.contains(sign));
    return Optional.ofNullable(row.getString("symptoms_at"))
        .filter(at -> noOther)
        .map(Instant::parse);
  }

  /** A client's, latest first. */
  public List<SessionLog> of(UUID clientId) {
    return database
        .list(
            SessionLogRepository::logged,
            "select * from current_session_log where client_id = ?"
                + " order by on_day desc, recorded_at desc, id desc",
            clientId.toString())
        .stream()
        .map(Logged::log)
        .toList();
  }

  /** Everyone's from a day to another, both included, earliest first. */
  public List<Logged> between(LocalDate from, LocalDate to) {
    return database.list(
        SessionLogRepository::logged,
        "select * from current_session_log where on_day between ? and ?"
            + " order by on_day, recorded_at, id",
        from.toString(),
        to.toString());
  }

  /**
   * That a session was logged, and nothing else of it.
   *
   * @param number of the planned session; empty where it was none
   */
  public record Entry(
      UUID id, UUID clientId, Optional<Integer> number, LocalDate on, boolean done) {}

  /** What everyone logged from a day to another, both included, in no order. */
  public List<Entry> entriesBetween(LocalDate from, LocalDate to) {
    return database.list(
        row ->
            new Entry(
                UUID.fromString(row.getString(1)),
                UUID.fromString(row.getString(2)),
                Database.wholeNumber(row, "number"),
                LocalDate.parse(row.getString(4)),
                row.getBoolean(5)),
        "select id, client_id, number, on_day, done from current_session_log"
            + " where on_day between ? and ?",
        from.toString(),
        to.toString());
  }

  /** The log of a recorded session, if it was logged. */
  public Optional<SessionLog> ofLive(UUID live) {
    return database
        .first(
            SessionLogRepository::logged,
            "select * from current_session_log where live_session_id = ?",
            live.toString())
        .map(Logged::log);
  }

  /** The record that withdrew the log of a recorded session, if it is the last word on it. */
  public Optional<UUID> withdrawalOfLive(UUID live) {
    return database.first(
        row -> UUID.fromString(row.getString("id")),
        "select id from session_log as mine where live_session_id = ? and withdrawn = 1"
            + " and not exists (select 1 from session_log as later where later.supersedes = mine.id)"
            + " order by recorded_at desc limit 1",
        live.toString());
  }

  /** The log of that id, whether or not it stands. */
  public Optional<SessionLog> get(UUID id) {
    return database
        .first(
            SessionLogRepository::logged, "select * from session_log where id = ?", id.toString())
        .map(Logged::log);
  }

  /** Those of several clients since a day, earliest first, by client. */
  public Map<UUID, List<SessionLog>> since(Collection<UUID> clients, LocalDate from) {
    return database.listsByClient(
        row -> logged(row).log(),
        "select mine.*"
            + Database.WANTED
            + "join current_session_log as mine on mine.client_id = wanted.client"
            + " where on_day >= ? order by on_day, recorded_at, id",
        clients,
        from.toString());
  }

  /** The last day of a session that was logged, by client. */
  public Map<UUID, LocalDate> lastDays(Collection<UUID> clients) {
    return database.byClient(
        row -> LocalDate.parse(row.getString("last")),
        """
        select client_id, last from (
          select wanted.client as client_id,
            (select on_day from current_session_log where client_id = wanted.client
             order by on_day desc limit 1) as last
          from (select value as client from json_each(?)) as wanted)
        where last is not null
        """,
        clients);
  }

  /** When a symptom was last logged, by client. */
  public Map<UUID, Instant> symptoms(Collection<UUID> clients) {
    return database.byClient(
        row -> Instant.parse(row.getString("last")),
        "select client_id, max(symptoms_at) as last"
            + Database.WANTED
            + "join current_session_log as mine on mine.client_id = wanted.client"
            + " where symptoms = 1 group by client_id",
        clients);
  }

  /**
   * @param symptomsAt when its symptoms were said, if it has any
   */
  private static Map<String, Object> row(SessionLog log, Optional<Instant> symptomsAt) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("number", log.number());
    row.put("on_day", log.on().toString());
    row.put("mode", log.mode());
    row.put("done", log.done());
    row.put("minutes", log.minutes());
    row.put("bpm", log.rate().map(LoggedRate::bpm));
    row.put("rate_kind", log.rate().map(LoggedRate::kind).map(Enum::name));
    // A correction says nothing of the recording: what was there stays.
    log.rate()
        .map(LoggedRate::secondsByLevel)
        .filter(seconds -> !seconds.isEmpty())
        .ifPresent(seconds -> row.put("level_seconds", JSON.writeValueAsString(seconds)));
    row.put("rpe", log.rpe20());
    row.put("voice", log.voice().map(Enum::name));
    row.put("warnings", JSON.writeValueAsString(log.warnings()));
    row.put("symptoms", log.symptoms());
    row.put("symptoms_at", symptomsAt.filter(at -> log.symptoms()));
    row.put("note", log.note());
    row.put("asked_low", log.asked().range().low());
    row.put("asked_high", log.asked().range().high());
    row.put("asked_minutes", log.asked().minutes());
    row.put("asked_rpe_low", log.asked().rpe20().low());
    row.put("asked_rpe_high", log.asked().rpe20().high());
    row.put("resting_bpm", log.asked().reserve().map(Reserve::restingBpm));
    row.put("maximum_bpm", log.asked().reserve().map(Reserve::maximumBpm));
    return row;
  }

  private static Logged logged(ResultSet row) throws SQLException {
    Optional<Integer> resting = Database.wholeNumber(row, "resting_bpm");
    Optional<Integer> maximum = Database.wholeNumber(row, "maximum_bpm");
    Optional<LoggedRate.Kind> kind = Database.word(row, "rate_kind", LoggedRate.Kind.class);
    PlannedLoad asked =
        new PlannedLoad(
            new Percents(row.getInt("asked_low"), row.getInt("asked_high")),
            row.getInt("asked_minutes"),
            new RpeSpan(row.getInt("asked_rpe_low"), row.getInt("asked_rpe_high")),
            resting.map(bpm -> Reserve.of(bpm, maximum.orElseThrow())));
    return new Logged(
        UUID.fromString(row.getString("client_id")),
        new SessionLog(
            UUID.fromString(row.getString("id")),
            Database.wholeNumber(row, "number"),
            LocalDate.parse(row.getString("on_day")),
            Mode.valueOf(row.getString("mode")),
            row.getBoolean("done"),
            row.getInt("minutes"),
            rate(row, kind),
            Database.wholeNumber(row, "rpe"),
            Database.word(row, "voice", Level.class),
            warnings(row.getString("warnings")),
            row.getString("note"),
            asked,
            Instant.parse(row.getString("recorded_at"))),
        Optional.ofNullable(row.getString("live_session_id")).map(UUID::fromString));
  }

  private static Optional<LoggedRate> rate(ResultSet row, Optional<LoggedRate.Kind> kind)
      throws SQLException {
    String seconds = row.getString("level_seconds");
    List<Integer> byLevel =
        seconds == null ? List.of() : List.of(JSON.readValue(seconds, Integer[].class));
    return Database.wholeNumber(row, "bpm")
        .map(bpm -> new LoggedRate(bpm, kind.orElseThrow(), byLevel));
  }

  private static Set<StopSign> warnings(String json) {
    // Hardly any session has one.
    return json.equals("[]")
        ? Set.of()
        : Arrays.stream(JSON.readValue(json, StopSign[].class)).collect(Collectors.toSet());
  }
}
