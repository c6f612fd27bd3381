package app.korvel.studio.calendar;

import app.korvel.core.measure.Texts;
import app.korvel.store.SubscriptionRepository.Subscription;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import java.util.UUID;

/** Addresses at which calendar programs fetch sessions. */
public record Subscriptions(Studio studio) {
  private static final int NAME_LENGTH = 60;

  /** Makes an address of that token, which is kept as a digest alone. */
  public Subscription add(Actor who, Optional<UUID> client, String name, String token) {
    String given = Texts.checked("name", name, 1, NAME_LENGTH);
    return studio.write(
        who,
        () -> {
          client.ifPresent(studio::open);
          Subscription made =
              new Subscription(studio.nextId(), client, given, studio.now(), Optional.empty());
          studio.store().subscriptions().add(made, digest(token));
          return made;
        });
  }

  /**
   * From now on nothing is at that address; or it is again.
   *
   * @throws NotFoundException when there is no such address
   */
  public void revoke(Actor who, UUID id, boolean revoked) {
    studio.write(
        who,
        () -> {
          if (!studio.store().subscriptions().revoke(id, revoked, studio.now())) {
            throw NotFoundException.of("There is no subscription %s.", id);
          }
          return null;
        });
  }

  /**
   * The address of that token.
   *
   * @throws NotFoundException when there is none, or it was revoked
   */
  public Subscription of(String token) {
    return studio
        .store()
        .subscriptions()
        .byDigest(digest(token))
        .orElseThrow(() -> new NotFoundException("No calendar is at this address."));
  }

  private static String digest(String token) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException missing) {
      throw new IllegalStateException("Every Java has SHA-256", missing);
    }
  }
}
