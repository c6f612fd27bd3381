package app.korvel.core.assessment;

import app.korvel.core.checkin.BloodPressure;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Rate, pressure and RPE at one time, before or after the work.
 *
 * @param bpm empty where it was not read
 * @param pressure empty where it was not taken
 * @param rpe20 empty where it was not asked
 */
public record Vitals(OptionalInt bpm, Optional<BloodPressure> pressure, OptionalInt rpe20) {
  /** Nothing read. */
  public static final Vitals NONE =
      new Vitals(OptionalInt.empty(), Optional.empty(), OptionalInt.empty());

  /** Whether rate and pressure are both there. */
  public boolean complete() {
    return bpm.isPresent() && pressure.isPresent();
  }
}
