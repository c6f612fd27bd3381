package app.korvel.core.trace;

import app.korvel.core.measure.Threshold;

/**
 * A sensor that counts steps for beats: its rate stays at the step rate, or at half of it. Wrists
 * do it, and so may what is not known; a strap reads the heart.
 */
public final class StepLock {
  private StepLock() {}

  /**
   * Whether a rate is that of the steps, or of every other step.
   *
   * @param bpm the rate; 0 where there is none
   * @param steps both feet, a minute; 0 where there are none
   */
  public static boolean at(int bpm, int steps) {
    int near = Threshold.STEP_LOCK_NEAR.whole();
    return bpm > 0
        && steps > 0
        && (Math.abs(bpm - steps) <= near || Math.abs(2 * bpm - steps) <= 2 * near);
  }

  /** Whether a stretch between two seconds, both included, is long enough to be one. */
  public static boolean longEnough(int fromSecond, int toSecond) {
    return toSecond - fromSecond > Threshold.STEP_LOCK_FOR.whole();
  }
}
