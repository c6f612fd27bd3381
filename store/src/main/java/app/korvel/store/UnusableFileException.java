package app.korvel.store;

/** The data file cannot be used by this version; it was left as it is. The message is one line. */
public final class UnusableFileException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  UnusableFileException(String line) {
    super(line);
  }

  UnusableFileException(String line, Throwable cause) {
    super(line, cause);
  }
}
