package app.korvel.studio.client;

import app.korvel.core.screening.Client;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.util.UUID;

/** Changes what is noted of a client. */
public record ChangeClient(Studio studio) {
  /**
   * Changes a client.
   *
   * @param read the version that was read
   * @throws app.korvel.store.StaleVersionException when they have been changed since
   */
  public Client by(Actor who, UUID id, int read, Client.Details details) {
    return studio.write(
        who,
        () -> {
          studio.open(id);
          return studio.store().clients().change(id, read, details, studio.now()).orElseThrow();
        });
  }
}
