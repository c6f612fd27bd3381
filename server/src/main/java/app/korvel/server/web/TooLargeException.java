package app.korvel.server.web;

/** What was sent is longer than this address takes. */
public final class TooLargeException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * Too large.
   *
   * @param message how large it is, and what is accepted
   */
  public TooLargeException(String message) {
    super(message);
  }
}
