package app.korvel.store;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Disturbance;
import app.korvel.core.pulse.Felt;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import java.sql.Connection;
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
  private static final String DISTURBANCES =
      "(select group_concat(disturbance) from resting_reading_disturbance d"
          + " where d.reading_id = r.id) as disturbances";

  private static final String SELECT =
      "select r.*, " + DISTURBANCES + " from current_resting_reading r";

  private final Database database;

  public ReadingRepository(Database database) {
    this.database = database;
  }

  /** Adds a reading. */
  public void add(UUID clientId, RestingReading reading, Instant now) {
    addAll(clientId, List.of(reading), now);
  }

  /** Adds several readings in one transaction. */
  public void addAll(UUID clientId, List<RestingReading> readings, Instant now) {
    database.write(
        connection -> {
          for (RestingReading reading : readings) {
            insert(connection, clientId, reading, Optional.empty(), false, now);
          }
          return null;
        });
  }

  /**
   * Corrects a reading: {@code corrected} stands in its place from now on, as taken at the same
   * moment.
   *
   * @param id the reading as it stands now
   * @return nothing when this client has no such reading
   * @throws SupersededException when it has been corrected or taken back since
   */
  public Optional<RestingReading> correct(
      UUID clientId, UUID id, RestingReading corrected, Instant now) {
    return database.write(
        connection -> {
          Optional<Kept> kept = head(connection, clientId, id);
          if (kept.isEmpty()) {
            return Optional.empty();
          }
          RestingReading standing = corrected.withTakenAt(kept.get().reading().takenAt());
          insert(connection, clientId, standing, Optional.of(id), false, now);
          return Optional.of(standing);
        });
  }

  /**
   * Takes a reading back: it stands for nothing from now on.
   *
   * @param id the reading as it stands now
   * @param withdrawalId id of the record of taking it back
   * @return whether this client has such a reading
   * @throws SupersededException when it has been corrected or taken back since
   */
  public boolean withdraw(UUID clientId, UUID id, UUID withdrawalId, Instant now) {
    return database.write(
        connection -> {
          Optional<Kept> kept = head(connection, clientId, id);
          if (kept.isPresent()) {
            RestingReading same = kept.get().reading().withId(withdrawalId);
            insert(connection, clientId, same, Optional.of(id), true, now);
          }
          return kept.isPresent();
        });
  }

  /**
   * Undoes a correction or a taking back: the reading stands again as it did before.
   *
   * @param id the correction, or the record of taking it back
   * @param restoredId id of the reading that stands again
   * @return nothing when this client has no such record, or it superseded nothing
   * @throws SupersededException when something else has superseded it since
   */
  public Optional<RestingReading> undo(UUID clientId, UUID id, UUID restoredId, Instant now) {
    return database.write(
        connection -> {
          Optional<UUID> before = head(connection, clientId, id).flatMap(Kept::supersedes);
          if (before.isEmpty()) {
            return Optional.empty();
          }
          RestingReading again =
              kept(connection, clientId, before.get()).orElseThrow().reading().withId(restoredId);
          insert(connection, clientId, again, Optional.of(id), false, now);
          return Optional.of(again);
        });
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

  private record Kept(RestingReading reading, Optional<UUID> supersedes, boolean superseded) {}

  /** The record of that id, if nothing has superseded it yet. */
  private static Optional<Kept> head(Connection connection, UUID clientId, UUID id)
      throws SQLException {
    Optional<Kept> found = kept(connection, clientId, id);
    if (found.isPresent() && found.get().superseded()) {
      throw new SupersededException();
    }
    return found;
  }

  private static Optional<Kept> kept(Connection connection, UUID clientId, UUID id)
      throws SQLException {
    return Database.first(
        connection,
        row ->
            new Kept(
                reading(row),
                Optional.ofNullable(row.getString("supersedes")).map(UUID::fromString),
                row.getBoolean("superseded")),
        "select r.*, exists (select 1 from resting_reading s where s.supersedes = r.id)"
            + " as superseded, "
            + DISTURBANCES
            + " from resting_reading r where r.client_id = ? and r.id = ?",
        clientId.toString(),
        id.toString());
  }

  private static void insert(
      Connection connection,
      UUID clientId,
      RestingReading reading,
      Optional<UUID> supersedes,
      boolean withdrawn,
      Instant now)
      throws SQLException {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", reading.id().toString());
    row.put("client_id", clientId.toString());
    row.put("supersedes", supersedes.map(UUID::toString));
    row.put("withdrawn", withdrawn);
    row.put("taken_at", reading.takenAt());
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
    row.put("recorded_at", now);
    Database.insert(connection, "resting_reading", row);
    for (Disturbance disturbance : reading.disturbances()) {
      Database.change(
          connection,
          "insert into resting_reading_disturbance (reading_id, disturbance) values (?, ?)",
          reading.id().toString(),
          disturbance);
    }
  }

  /** A client's readings, latest first. */
  public List<RestingReading> of(UUID clientId) {
    return database.read(
        connection ->
            Database.list(
                connection,
                ReadingRepository::reading,
                SELECT + " where r.client_id = ? order by r.taken_at desc, r.id desc",
                clientId.toString()));
  }

  /** The readings of several clients that were taken since a moment, latest first, by client. */
  public Map<UUID, List<RestingReading>> since(Collection<UUID> clients, Instant from) {
    return database.listsByClient(
        ReadingRepository::reading,
        "select r.*, "
            + DISTURBANCES
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
        new Felt(
            Database.word(row, "site", PulseSite.class),
            Database.word(row, "rhythm", Rhythm.class),
            Database.word(row, "strength", Strength.class)),
        row.getBoolean("as_usual"));
  }

  private static Set<Disturbance> disturbances(String words) {
    return words == null
        ? Set.of()
        : Arrays.stream(words.split(",")).map(Disturbance::valueOf).collect(Collectors.toSet());
  }
}
