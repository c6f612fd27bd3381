package app.korvel.core.maximum;

import java.math.BigDecimal;

/** What the body does; each mode has a maximum of its own. Running includes the treadmill. */
public enum Mode {
  RUN(0, "0"),
  CYCLE(-10, "8"),
  ROW(0, "8"),
  SWIM(-10, "8"),
  STAIRS(0, "8"),
  OTHER(0, "8");

  private final int offsetBpm;
  private final BigDecimal extraErrorBpm;

  Mode(int offsetBpm, String extraErrorBpm) {
    this.offsetBpm = offsetBpm;
    this.extraErrorBpm = new BigDecimal(extraErrorBpm);
  }

  /** What is added to the running value where this mode has none of its own, bpm. */
  int offsetBpm() {
    return offsetBpm;
  }

  /** What joins the standard error of a borrowed running value, in quadrature, bpm. */
  BigDecimal extraErrorBpm() {
    return extraErrorBpm;
  }
}
