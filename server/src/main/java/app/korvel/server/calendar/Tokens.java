package app.korvel.server.calendar;

/** Words that nobody guesses: 256 bits of chance each, fit for an address. */
@FunctionalInterface
public interface Tokens {
  String next();
}
