package app.korvel.store;

/** Somebody else has changed the record since it was read; nothing was written. */
public final class StaleVersionException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient Object current;

  StaleVersionException(int version, Object current) {
    super("The record is at version " + version + " by now.");
    this.current = current;
  }

  /**
   * The record as it is now.
   *
   * @param type what the record is
   */
  public <T> T current(Class<T> type) {
    return type.cast(current);
  }
}
