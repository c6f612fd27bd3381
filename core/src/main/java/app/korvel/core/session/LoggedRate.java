package app.korvel.core.session;

import app.korvel.core.measure.Limit;

/**
 * A heart rate of a session.
 *
 * @param bpm {@link Limit#SESSION_RATE}
 * @param kind how it came about
 */
public record LoggedRate(int bpm, Kind kind) {

  /** How a rate came about. */
  public enum Kind {
    /** Over the work, by a device. */
    AVERAGE,
    /** Counted during it. */
    COUNTED
  }
}
