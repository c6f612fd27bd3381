package app.korvel.studio.client;

import app.korvel.core.screening.Client;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.util.UUID;

/** Archives a client, or brings one back; nothing is deleted. */
public record ArchiveClient(Studio studio) {
  /**
   * Archives a client or brings one back.
   *
   * @param read the version that was read
   * @throws app.korvel.store.StaleVersionException when they have been changed since
   */
  public Client by(Actor who, UUID id, int read, boolean archived) {
    return studio.write(
        who,
        () -> {
          studio.client(id);
          return studio.store().clients().archive(id, read, archived, studio.now()).orElseThrow();
        });
  }
}
