package app.korvel.store;

/** The record was corrected or withdrawn since it was read; nothing was written. */
public final class SupersededException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  SupersededException() {
    super("This record has been corrected or taken back since.");
  }
}
