package app.korvel.core.checkin;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import java.util.ArrayList;
import java.util.List;

/**
 * A blood pressure at rest.
 *
 * @param systolic the upper, {@link Limit#SYSTOLIC}, above the lower
 * @param diastolic the lower, {@link Limit#DIASTOLIC}
 */
public record BloodPressure(int systolic, int diastolic) {

  /**
   * Checks both.
   *
   * @throws InvalidValueException when one is out of range or they are the wrong way round
   */
  public BloodPressure {
    List<Fault> faults = new ArrayList<>();
    check(faults, "systolic", systolic, Limit.SYSTOLIC);
    check(faults, "diastolic", diastolic, Limit.DIASTOLIC);
    if (faults.isEmpty() && systolic <= diastolic) {
      faults.add(
          new Fault(
              "systolic",
              systolic + " is not above the diastolic pressure, " + diastolic,
              (diastolic + 1) + " to " + Limit.SYSTOLIC.highest() + " mmHg"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
  }

  private static void check(List<Fault> faults, String field, int value, Limit limit) {
    if (!limit.accepts(value)) {
      faults.add(new Fault(field, value + " is outside the accepted range", limit.accepted()));
    }
  }

  @Override
  public String toString() {
    return systolic + " over " + diastolic;
  }
}
