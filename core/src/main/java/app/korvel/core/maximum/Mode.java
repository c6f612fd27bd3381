package app.korvel.core.maximum;

import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;

/** What the body does; each mode has a maximum of its own. Running includes the treadmill. */
public enum Mode {
  RUN(0),
  CYCLE(10),
  ROW(0),
  SWIM(10),
  STAIRS(0),
  OTHER(0);

  private final int lessBpm;

  Mode(int lessBpm) {
    this.lessBpm = lessBpm;
  }

  /** What is taken off the running value where this mode has none of its own, bpm. */
  int lessBpm() {
    return lessBpm;
  }

  /** What joins the standard error of a borrowed running value, in quadrature, bpm. */
  BigDecimal extraErrorBpm() {
    return this == RUN ? BigDecimal.ZERO : Threshold.OTHER_MODE_ERROR.value();
  }
}
