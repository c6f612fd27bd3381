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
    MMOL_L(
        "mmol/L",
        Limit.GLUCOSE_MMOL,
        Threshold.GLUCOSE_LOW_MMOL,
        Threshold.GLUCOSE_HIGH_MMOL,
        Threshold.GLUCOSE_LIGHT_MMOL,
        Threshold.GLUCOSE_STOP_MMOL),
    MG_DL(
        "mg/dL",
        Limit.GLUCOSE_MG,
        Threshold.GLUCOSE_LOW_MG,
        Threshold.GLUCOSE_HIGH_MG,
        Threshold.GLUCOSE_LIGHT_MG,
        Threshold.GLUCOSE_STOP_MG);

    private final String displayName;
    private final Limit limit;
    private final Threshold low;
    private final Threshold high;
    private final Threshold light;
    private final Threshold stop;

    Unit(
        String displayName,
        Limit limit,
        Threshold low,
        Threshold high,
        Threshold light,
        Threshold stop) {
      this.displayName = displayName;
      this.limit = limit;
      this.low = low;
      this.high = high;
      this.light = light;
      this.stop = stop;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }

    /** What is accepted. */
    public Limit limit() {
      return limit;
    }

    private String line(Threshold line) {
      return line.value().toPlainString() + " " + displayName;
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

  /** Over the line from which ketones are asked for. */
  boolean high() {
    return over(unit.high);
  }

  /** Over the line up to which more than light work may be done. */
  boolean lightOnly() {
    return over(unit.light);
  }

  /** Over the line at which there is no session. */
  boolean tooHigh() {
    return over(unit.stop);
  }

  private boolean over(Threshold line) {
    return value.compareTo(line.value()) > 0;
  }

  String lowLine() {
    return unit.line(unit.low);
  }

  String highLine() {
    return unit.line(unit.high);
  }

  String lightLine() {
    return unit.line(unit.light);
  }

  String stopLine() {
    return unit.line(unit.stop);
  }

  @Override
  public String toString() {
    return value.toPlainString() + " " + unit.displayName;
  }
}
