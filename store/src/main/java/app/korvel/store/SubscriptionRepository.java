package app.korvel.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Addresses at which calendar programs fetch sessions; of their tokens only digests are kept. */
public final class SubscriptionRepository {
  private final Database database;

  public SubscriptionRepository(Database database) {
    this.database = database;
  }

  /**
   * An address.
   *
   * @param clientId whose sessions; empty for the whole studio
   * @param name whom it was given to
   */
  public record Subscription(
      UUID id,
      Optional<UUID> clientId,
      String name,
      Instant createdAt,
      Optional<Instant> revokedAt) {}

  /** Adds one. */
  public void add(Subscription subscription, String digest) {
    Map<String, Object> row = new LinkedHashMap<>();
    row.put("id", subscription.id.toString());
    row.put("client_id", subscription.clientId.map(UUID::toString));
    row.put("name", subscription.name);
    row.put("digest", digest);
    row.put("created_at", subscription.createdAt);
    database.insert("calendar_subscription", row);
  }

  /** All that have not been revoked, the latest first. */
  public List<Subscription> open() {
    return database.list(
        SubscriptionRepository::saved,
        "select * from calendar_subscription where revoked_at is null"
            + " order by created_at desc, id desc");
  }

  /** The one of that digest, unless it has been revoked. */
  public Optional<Subscription> byDigest(String digest) {
    return database.first(
        SubscriptionRepository::saved,
        "select * from calendar_subscription where digest = ? and revoked_at is null",
        digest);
  }

  /**
   * Revokes one, or lets it hold again.
   *
   * @return whether there is such a one
   */
  public boolean revoke(UUID id, boolean revoked, Instant now) {
    return database.update(
        "calendar_subscription",
        id.toString(),
        Map.of("revoked_at", Optional.of(now).filter(at -> revoked)));
  }

  private static Subscription saved(ResultSet row) throws SQLException {
    return new Subscription(
        UUID.fromString(row.getString("id")),
        Optional.ofNullable(row.getString("client_id")).map(UUID::fromString),
        row.getString("name"),
        Instant.parse(row.getString("created_at")),
        Optional.ofNullable(row.getString("revoked_at")).map(Instant::parse));
  }
}
