package app.korvel.store;

import app.korvel.core.outline.Outlines.Named;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The studio's own session outlines, editable heads with a version. */
public final class OutlineRepository {
  private final Database database;
  private final VersionedTable<SavedOutline> heads;

  public OutlineRepository(Database database) {
    this.database = database;
    heads =
        new VersionedTable<>(database, "outline", OutlineRepository::saved, SavedOutline::version);
  }

  /** Adds an outline at version 1; its id is the one it carries. */
  public SavedOutline add(Named named, Instant now) {
    heads.add(named.id(), columns(named), now);
    return new SavedOutline(1, named, false);
  }

  /**
   * Changes an outline.
   *
   * @param version the version that was read
   * @return the outline at its next version; nothing when there is no such outline
   * @throws StaleVersionException when it has been changed since
   */
  public Optional<SavedOutline> change(int version, Named named, Instant now) {
    return heads.change(named.id(), version, columns(named), now);
  }

  /** Puts an outline away, or brings one back; see {@link #change}. */
  public Optional<SavedOutline> archive(String id, int version, boolean archived, Instant now) {
    return heads.archive(id, version, archived, now);
  }

  /** Those in hand, in the order in which they were made. */
  public List<SavedOutline> all() {
    return database.list(
        OutlineRepository::saved, "select * from outline where archived_at is null order by id");
  }

  /** The outline of that id, archived or not, if there is one. */
  public Optional<SavedOutline> get(String id) {
    return heads.get(id);
  }

  private static Map<String, Object> columns(Named named) {
    Map<String, Object> columns = new LinkedHashMap<>();
    columns.put("name", named.name());
    columns.put("document", StoredForms.OUTLINE.write(named));
    return columns;
  }

  private static SavedOutline saved(ResultSet row) throws SQLException {
    return new SavedOutline(
        row.getInt("version"),
        StoredForms.OUTLINE.read(row.getString("document")),
        row.getString("archived_at") != null);
  }
}
