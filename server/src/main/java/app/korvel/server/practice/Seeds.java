package app.korvel.server.practice;

/** Where the chance of a practice pulse comes from; passed in, so that tests are exact. */
@FunctionalInterface
public interface Seeds {
  /** A new seed, 0 or more, small enough for any JSON reader. */
  long next();
}
