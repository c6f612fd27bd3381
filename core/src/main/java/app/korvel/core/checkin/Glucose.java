package app.korvel.core.checkin;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;

/**
 * A blood glucose, in the unit it was read in.
 *
 * @param value as the unit's limit accepts
 * @param unit the unit, which is kept
 */
public record Glucose(BigDecimal value, Unit unit) {

  /** The two units, each with its own round lines. */
  public enum Unit {
    MMOL_L("mmol/L", Limit.GLUCOSE_MMOL, Threshold.GLUCOSE_LOW_MMOL, Threshold.GLUCOSE_HIGH_MMOL),
    MG_DL("mg/dL", Limit.GLUCOSE_MG, Threshold.GLUCOSE_LOW_MG, Threshold.GLUCOSE_HIGH_MG);

    private final String displayName;
    private final Limit limit;
    private final Threshold low;
    private final Threshold high;

    Unit(String displayName, Limit limit, Threshold low, Threshold high) {
      this.displayName = displayName;
      this.limit = limit;
      this.low = low;
      this.high = high;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }

    /** What is accepted. */
    public Limit limit() {
      return limit;
    }
  }

  /**
   * Checks the value.
   *
   * @throws InvalidValueException when it is outside the unit's limit
   */
  public Glucose {
    unit.limit.check("glucose", value);
  }

  /** Under the line at which to eat first. */
  boolean low() {
    return value.compareTo(unit.low.value()) < 0;
  }

  /** Over the line at which ketones or feeling unwell end the day. */
  boolean high() {
    return value.compareTo(unit.high.value()) > 0;
  }

  String lowLine() {
    return unit.low.value().toPlainString() + " " + unit.displayName;
  }

  String highLine() {
    return unit.high.value().toPlainString() + " " + unit.displayName;
  }

  @Override
  public String toString() {
    return value.toPlainString() + " " + unit.displayName;
  }
}
