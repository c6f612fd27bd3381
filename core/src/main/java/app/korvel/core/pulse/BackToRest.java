package app.korvel.core.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import java.util.OptionalInt;

/**
 * Whether a pulse after a session is back to rest: within 10 bpm or 10 %, the larger, of the
 * resting value.
 *
 * @param state what it comes to
 * @param finding the same in words, with the reason
 */
public record BackToRest(State state, Finding finding) {

  private static final int PERCENT = 100;

  /** What it comes to, the ones to talk to first. */
  public enum State {
    /** Not back ten minutes after: ease the next session. */
    EASE_NEXT("Ease the next session"),
    /** Not back yet: count again in five minutes. */
    AGAIN("Again in 5 min"),
    /** There is no resting value. */
    UNKNOWN("No resting value"),
    BACK("Back to rest");

    private final String displayName;

    State(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }

    /** Whether to look at them before they go. */
    public boolean talk() {
      return this != BACK;
    }
  }

  /**
   * Judges a pulse after a session.
   *
   * @param bpm the pulse now, {@link Limit#PULSE}
   * @param resting the resting value, if there is one
   * @param minutesSince whole minutes since the work ended, 0 or more
   */
  public static BackToRest of(int bpm, OptionalInt resting, long minutesSince) {
    Limit.PULSE.check("bpm", bpm);
    if (minutesSince < 0) {
      throw new IllegalArgumentException("the work ended before: " + minutesSince + " minutes");
    }
    if (resting.isEmpty()) {
      return new BackToRest(State.UNKNOWN, PulseFinding.NO_REST_TO_COME_BACK_TO.of(bpm));
    }
    int rest = resting.getAsInt();
    int highest = highest(rest);
    if (bpm <= highest) {
      return new BackToRest(State.BACK, PulseFinding.CAME_BACK_TO_REST.of(bpm, rest, highest));
    }
    return minutesSince < Threshold.BACK_TO_REST_WITHIN.whole()
        ? new BackToRest(State.AGAIN, PulseFinding.NOT_BACK_YET.of(bpm, rest, highest))
        : new BackToRest(State.EASE_NEXT, PulseFinding.NOT_BACK_IN_TEN.of(bpm, rest, highest));
  }

  /** The highest whole rate that is back: a tenth that is no whole bpm is rounded down. */
  private static int highest(int resting) {
    return resting
        + Math.max(
            Threshold.BACK_TO_REST_BPM.whole(),
            resting * Threshold.BACK_TO_REST_PERCENT.whole() / PERCENT);
  }
}
