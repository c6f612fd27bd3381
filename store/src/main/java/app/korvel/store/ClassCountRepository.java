package app.korvel.store;

import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.store.SavedClassCount.Entry;
import app.korvel.store.SavedClassCount.Moment;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Classes counted together: every number is kept as it is entered, so that nothing is lost. */
public final class ClassCountRepository {
  private final Database database;

  public ClassCountRepository(Database database) {
    this.database = database;
  }

  /** Keeps a class that is going to be counted. */
  public void add(SavedClassCount saved) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", saved.id().toString());
    row.put("moment", saved.moment());
    row.put("window_seconds", saved.window().seconds());
    row.put("posture", saved.posture());
    row.put("settled", saved.settled());
    row.put("stopped_at", saved.stoppedAt());
    row.put("follows", saved.follows().map(UUID::toString));
    row.put("recorded_at", saved.startedAt());
    database.write(
        connection -> {
          database.insert("class_count", row);
          int place = 0;
          for (UUID member : saved.members()) {
            Database.change(
                connection,
                "insert into class_count_member (class_count_id, client_id, place)"
                    + " values (?, ?, ?)",
                saved.id().toString(),
                member.toString(),
                place++);
          }
          return null;
        });
  }

  /** The class count of that id. */
  public Optional<SavedClassCount> get(UUID id) {
    return database.read(
        connection -> first(connection, "select * from class_count where id = ?", id.toString()));
  }

  /** The latest class that was put together whole, not a later round of some of it. */
  public Optional<SavedClassCount> latest() {
    return database.read(
        connection ->
            first(
                connection,
                "select * from class_count where follows is null"
                    + " order by recorded_at desc, id desc limit 1"));
  }

  private static Optional<SavedClassCount> first(
      Connection connection, String sql, Object... values) throws SQLException {
    return Database.first(connection, row -> saved(connection, row), sql, values);
  }

  private static SavedClassCount saved(Connection connection, ResultSet row) throws SQLException {
    String id = row.getString("id");
    return new SavedClassCount(
        UUID.fromString(id),
        Moment.valueOf(row.getString("moment")),
        CountWindow.of(row.getInt("window_seconds")),
        Posture.valueOf(row.getString("posture")),
        row.getBoolean("settled"),
        Instant.parse(row.getString("recorded_at")),
        Optional.ofNullable(row.getString("stopped_at")).map(Instant::parse),
        Optional.ofNullable(row.getString("follows")).map(UUID::fromString),
        Database.list(
            connection,
            member -> UUID.fromString(member.getString("client_id")),
            "select client_id from class_count_member where class_count_id = ? order by place",
            id));
  }

  /** What has been entered, in the order of entering. */
  public List<Entry> entries(UUID classCountId) {
    return database.list(
        row ->
            new Entry(
                UUID.fromString(row.getString("client_id")),
                row.getBoolean("again"),
                PulseCount.of(row.getInt("beats"), CountWindow.of(row.getInt("window_seconds"))),
                Instant.parse(row.getString("recorded_at"))),
        "select * from current_class_count_entry where class_count_id = ?"
            + " order by recorded_at, id",
        classCountId.toString());
  }

  /** Enters a count; it takes the place of one entered before for that person. */
  public void enter(UUID id, UUID classCountId, Entry entry) {
    database.write(
        connection -> {
          Map<String, Object> row = new LinkedHashMap<>();
          row.put("id", id.toString());
          row.put("class_count_id", classCountId.toString());
          row.put("client_id", entry.clientId().toString());
          row.put(
              "supersedes",
              head(classCountId, entry.clientId(), entry.again()).map(head -> head.get("id")));
          row.put("again", entry.again());
          row.put("beats", entry.count().beats());
          row.put("window_seconds", entry.count().window().seconds());
          row.put("recorded_at", entry.at());
          return database.insert("class_count_entry", row);
        });
  }

  /**
   * Withdraws what was entered for a person.
   *
   * @param id of the row that says so
   * @return whether there was anything
   */
  public boolean withdraw(UUID id, UUID classCountId, UUID clientId, boolean again, Instant now) {
    return database.write(
        connection -> {
          Optional<Map<String, Object>> head = head(classCountId, clientId, again);
          head.ifPresent(
              row -> {
                row.put("supersedes", row.put("id", id.toString()));
                row.put("withdrawn", true);
                row.put("recorded_at", now);
                database.insert("class_count_entry", row);
              });
          return head.isPresent();
        });
  }

  private Optional<Map<String, Object>> head(UUID classCountId, UUID clientId, boolean again) {
    return database.first(
        Database::columns,
        "select * from current_class_count_entry"
            + " where class_count_id = ? and client_id = ? and again = ?",
        classCountId.toString(),
        clientId.toString(),
        again);
  }
}
