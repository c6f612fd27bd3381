package app.korvel.core.maximum;

import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.math.MathContext;

/** What the body does; each mode has a maximum of its own. Running includes the treadmill. */
public enum Mode {
  RUN("Walk or run", 0),
  CYCLE("Cycle", 10),
  ROW("Row", 0),
  SWIM("Swim", 10),
  STAIRS("Stairs", 0),
  OTHER("Other", 0);

  private final String displayName;
  private final int lessBpm;

  Mode(String displayName, int lessBpm) {
    this.displayName = displayName;
    this.lessBpm = lessBpm;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What is taken off the running value where this mode has none of its own, bpm. */
  int lessBpm() {
    return lessBpm;
  }

  /** What joins the standard error of a borrowed running value, in quadrature, bpm. */
  BigDecimal extraErrorBpm() {
    return this == RUN ? BigDecimal.ZERO : Threshold.OTHER_MODE_ERROR.value();
  }

  /** How sure a running value of that error is when this mode borrows it, to one decimal, bpm. */
  BigDecimal borrowedErrorBpm(BigDecimal runningErrorBpm) {
    BigDecimal extra = extraErrorBpm();
    return Rounding.tenths(
        runningErrorBpm
            .multiply(runningErrorBpm)
            .add(extra.multiply(extra))
            .sqrt(MathContext.DECIMAL64));
  }
}
