package app.korvel.store;

/** The database did not do what was asked; nothing was half written. */
public final class StoreException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  StoreException(String message, Throwable cause) {
    super(message, cause);
  }
}
