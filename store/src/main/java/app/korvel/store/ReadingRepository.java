package app.korvel.store;

import app.korvel.core.pulse.Confounder;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Palpation;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** Resting readings: appended, never changed; a correction is a new row that supersedes one. */
public final class ReadingRepository {
  private final Database database;
  private final Ledger ledger;

  public ReadingRepository(Database database) {
    this.database = database;
    this.ledger = new Ledger(database, RecordKind.READINGS);
  }

  /** Adds a reading. */
  public void add(UUID clientId, RestingReading reading, Instant now) {
    addAll(clientId, List.of(reading), now);
  }

  /** Adds several readings in one transaction. */
  public void addAll(UUID clientId, List<RestingReading> readings, Instant now) {
    database.write(
        connection -> {
          readings.forEach(
              reading -> {
                Map<String, Object> row = row(reading);
                row.put("taken_at", reading.takenAt());
                ledger.add(reading.id(), clientId, row, now);
              });
          return null;
        });
  }

  /**
   * Corrects a reading: {@code corrected} stands in its place from now on, as taken at the same
   * moment; see {@link Ledger#correct}.
   */
  public boolean correct(UUID clientId, UUID id, RestingReading corrected) {
    return ledger.correct(clientId, id, corrected.id(), row(corrected));
  }

  /** The reading of that id, whether or not it stands. */
  public Optional<RestingReading> get(UUID clientId, UUID id) {
    return database.first(
        ReadingRepository::reading,
        "select * from resting_reading where client_id = ? and id = ?",
        clientId.toString(),
        id.toString());
  }

  /**
   * What corrected readings said before.
   *
   * @return for each reading that stands and was corrected, the rates before, latest first
   */
  public Map<UUID, List<Integer>> ratesBefore(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                    connection,
                    row -> Map.entry(UUID.fromString(row.getString("head")), row.getInt("bpm")),
                    """
                    with recursive trail (head, id, steps) as (
                      select id, supersedes, 1 from current_resting_reading where client_id = ?
                      union all
                      select trail.head, r.supersedes, trail.steps + 1
                      from trail join resting_reading r on r.id = trail.id
                      where trail.id is not null)
                    select trail.head, r.bpm
                    from trail join resting_reading r on r.id = trail.id
                    where r.withdrawn = 0
                    order by trail.steps
                    """,
                    clientId.toString())
                .stream()
                .collect(
                    Collectors.groupingBy(
                        Map.Entry::getKey,
                        Collectors.mapping(Map.Entry::getValue, Collectors.toList()))));
  }

  /** What was counted; when it was taken is told on its own. */
  private static Map<String, Object> row(RestingReading reading) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("bpm", reading.bpm());
    row.put("beats", reading.count().map(PulseCount::beats));
    row.put("window_seconds", reading.count().map(count -> count.window().seconds()));
    row.put("tapped_seconds", reading.tappedSeconds());
    row.put("posture", reading.posture());
    row.put("source", reading.source());
    row.put("minutes_rested", reading.minutesRested());
    row.put("site", reading.felt().site().map(Enum::name));
    row.put("rhythm", reading.felt().rhythm().map(Enum::name));
    row.put("strength", reading.felt().strength().map(Enum::name));
    row.put("as_usual", reading.asUsual());
    row.put(
        "disturbances",
        reading.disturbances().stream().map(Enum::name).sorted().collect(Collectors.joining(",")));
    return row;
  }

  /** A client's readings, latest first. */
  public List<RestingReading> of(UUID clientId) {
    return ledger.of(clientId, ReadingRepository::reading, "taken_at desc, id desc");
  }

  /** The readings of several clients that were taken since a moment, latest first, by client. */
  public Map<UUID, List<RestingReading>> since(Collection<UUID> clients, Instant from) {
    return database.listsByClient(
        ReadingRepository::reading,
        "select r.*"
            + Database.WANTED
            + "join current_resting_reading r on r.client_id = wanted.client"
            + " where r.taken_at >= ? order by r.taken_at desc, r.id desc",
        clients,
        from);
  }

  private static RestingReading reading(ResultSet row) throws SQLException {
    Optional<Integer> beats = Database.wholeNumber(row, "beats");
    Optional<Integer> seconds = Database.wholeNumber(row, "window_seconds");
    return new RestingReading(
        UUID.fromString(row.getString("id")),
        Instant.parse(row.getString("taken_at")),
        row.getInt("bpm"),
        beats.map(counted -> PulseCount.of(counted, CountWindow.of(seconds.orElseThrow()))),
        Database.wholeNumber(row, "tapped_seconds"),
        Posture.valueOf(row.getString("posture")),
        PulseSource.valueOf(row.getString("source")),
        row.getInt("minutes_rested"),
        disturbances(row.getString("disturbances")),
        new Palpation(
            Database.word(row, "site", PulseSite.class),
            Database.word(row, "rhythm", Rhythm.class),
            Database.word(row, "strength", Strength.class)),
        row.getBoolean("as_usual"));
  }

  private static Set<Confounder> disturbances(String words) {
    return words.isEmpty()
        ? Set.of()
        : Arrays.stream(words.split(",")).map(Confounder::valueOf).collect(Collectors.toSet());
  }
}
