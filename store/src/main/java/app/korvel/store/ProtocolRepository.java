package app.korvel.store;

import app.korvel.core.assessment.GradedProtocol;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The studio's own protocols of a graded test: editable heads with a version. */
public final class ProtocolRepository {
  private final Database database;
  private final VersionedTable<SavedProtocol> heads;

  public ProtocolRepository(Database database) {
    this.database = database;
    this.heads =
        new VersionedTable<>(
            database, "graded_protocol", ProtocolRepository::saved, SavedProtocol::version);
  }

  /**
   * One of the studio's own protocols.
   *
   * @param version goes up with every change
   * @param archived whether it was archived
   */
  public record SavedProtocol(int version, GradedProtocol protocol, boolean archived) {}

  /** Adds a protocol at version 1; its id is the one it carries. */
  public SavedProtocol add(GradedProtocol protocol, Instant now) {
    heads.add(protocol.id(), columns(protocol), now);
    return new SavedProtocol(1, protocol, false);
  }

  /**
   * Changes a protocol; tests that were done by it keep what they had.
   *
   * @param version the version that was read
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<SavedProtocol> change(int version, GradedProtocol protocol, Instant now) {
    return heads.change(protocol.id(), version, columns(protocol), now);
  }

  /**
   * Archives a protocol, or brings one back.
   *
   * @param version the version that was read
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<SavedProtocol> archive(String id, int version, boolean archived, Instant now) {
    return heads.archive(id, version, archived, now);
  }

  /** Those that are not archived, in the order in which they were made. */
  public List<SavedProtocol> all() {
    return database.list(
        ProtocolRepository::saved,
        "select * from graded_protocol where archived_at is null order by id");
  }

  /** The protocol of that id, archived or not, if there is one. */
  public Optional<SavedProtocol> get(String id) {
    return heads.get(id);
  }

  private static Map<String, Object> columns(GradedProtocol protocol) {
    Map<String, Object> columns = new LinkedHashMap<>();
    columns.put("name", protocol.name());
    columns.put("document", StoredForms.PROTOCOL.write(protocol));
    return columns;
  }

  private static SavedProtocol saved(ResultSet row) throws SQLException {
    return new SavedProtocol(
        row.getInt("version"),
        StoredForms.PROTOCOL.read(row.getString("document")),
        row.getString("archived_at") != null);
  }
}
