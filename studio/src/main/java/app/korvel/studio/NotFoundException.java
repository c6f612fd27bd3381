package app.korvel.studio;

/** There is nothing of that id. */
public final class NotFoundException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NotFoundException(String message) {
    super(message);
  }

  /** The same with a message in which {@code %s} stands for the id. */
  public static NotFoundException of(String message, Object id) {
    return new NotFoundException(message.formatted(id));
  }
}
