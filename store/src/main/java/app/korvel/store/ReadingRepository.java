package app.korvel.store;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Disturbance;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** Resting readings: appended, never changed. */
public final class ReadingRepository {
  private static final String SELECT =
      """
      select r.*, (select group_concat(disturbance) from resting_reading_disturbance d
                   where d.reading_id = r.id) as disturbances
      from current_resting_reading r
      """;

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
            Database.change(
                connection,
                """
                insert into resting_reading (id, client_id, taken_at, bpm, beats, window_seconds,
                  posture, source, minutes_rested, recorded_at)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                """,
                reading.id().toString(),
                clientId.toString(),
                reading.takenAt().toString(),
                reading.bpm(),
                reading.count().map(PulseCount::beats),
                reading.count().map(count -> count.window().seconds()),
                reading.posture(),
                reading.source(),
                reading.minutesRested(),
                now.toString());
            for (Disturbance disturbance : reading.disturbances()) {
              Database.change(
                  connection,
                  "insert into resting_reading_disturbance (reading_id, disturbance) values (?, ?)",
                  reading.id().toString(),
                  disturbance);
            }
          }
          return null;
        });
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

  /** Everyone's readings, latest first, by client. */
  public Map<UUID, List<RestingReading>> byClient() {
    record Owned(UUID clientId, RestingReading reading) {}
    return database.read(
        connection ->
            Database.list(
                    connection,
                    row -> new Owned(UUID.fromString(row.getString("client_id")), reading(row)),
                    SELECT + " order by r.taken_at desc, r.id desc")
                .stream()
                .collect(
                    Collectors.groupingBy(
                        Owned::clientId,
                        LinkedHashMap::new,
                        Collectors.mapping(Owned::reading, Collectors.toList()))));
  }

  private static RestingReading reading(ResultSet row) throws SQLException {
    Optional<Integer> beats = Database.wholeNumber(row, "beats");
    Optional<Integer> seconds = Database.wholeNumber(row, "window_seconds");
    return new RestingReading(
        UUID.fromString(row.getString("id")),
        Instant.parse(row.getString("taken_at")),
        row.getInt("bpm"),
        beats.map(counted -> PulseCount.of(counted, CountWindow.of(seconds.orElseThrow()))),
        Posture.valueOf(row.getString("posture")),
        PulseSource.valueOf(row.getString("source")),
        row.getInt("minutes_rested"),
        disturbances(row.getString("disturbances")));
  }

  private static Set<Disturbance> disturbances(String words) {
    return words == null
        ? Set.of()
        : Arrays.stream(words.split(",")).map(Disturbance::valueOf).collect(Collectors.toSet());
  }
}
