package app.korvel.server.web;

/** There is no such record. */
public final class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NotFoundException(String detail) {
    super(detail);
  }
}
