package app.korvel.store;

import app.korvel.core.screening.Client;

/** Somebody else has changed the record since it was read; nothing was written. */
public final class StaleVersionException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Client current;

  StaleVersionException(Client current) {
    super("The record is at version " + current.version() + " by now.");
    this.current = current;
  }

  /** The record as it is now. */
  public Client current() {
    return current;
  }
}
