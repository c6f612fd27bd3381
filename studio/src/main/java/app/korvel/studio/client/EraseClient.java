package app.korvel.studio.client;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Client;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.util.UUID;

/** Erases a client for good, with everything that was recorded of them; it cannot be undone. */
public record EraseClient(Studio studio) {
  /**
   * Erases them.
   *
   * @param read the version that was read
   * @param written the client's name, written out to confirm it
   * @throws app.korvel.core.measure.InvalidValueException when another name was written
   * @throws app.korvel.store.StaleVersionException when they have been changed since
   */
  public Client by(Actor who, UUID id, int read, String written) {
    Client erased =
        studio.write(
            who,
            () -> {
              Client client = studio.client(id);
              if (!written.strip().equalsIgnoreCase(client.details().name())) {
                throw InvalidValueException.of(
                    "name", "is not this client's name", client.details().name());
              }
              studio.store().clients().erase(id, read);
              return client;
            });
    studio.store().database().rewrite();
    return erased;
  }
}
