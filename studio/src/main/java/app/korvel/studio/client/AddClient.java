package app.korvel.studio.client;

import app.korvel.core.screening.Client;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;

/** Adds somebody new. */
public record AddClient(Studio studio) {
  /** Adds them, at version 1. */
  public Client by(Actor who, Client.Details details) {
    return studio.write(
        who, () -> studio.store().clients().add(studio.nextId(), details, studio.now()));
  }
}
