package app.korvel.core.session;

import app.korvel.core.measure.Limit;
import java.util.List;

/**
 * A heart rate of a session.
 *
 * @param bpm {@link Limit#SESSION_RATE}
 * @param kind how it came about
 * @param secondsByLevel of a recording that the session is judged by, from Sing to Silent; empty
 *     for any other
 */
public record LoggedRate(int bpm, Kind kind, List<Integer> secondsByLevel) {

  /** How a rate came about. */
  public enum Kind {
    /** Over the work, by a device. */
    AVERAGE,
    /** Counted during it. */
    COUNTED
  }

  public LoggedRate {
    secondsByLevel = List.copyOf(secondsByLevel);
  }

  /** One without a recording. */
  public LoggedRate(int bpm, Kind kind) {
    this(bpm, kind, List.of());
  }
}
