package app.korvel.core.pulse;

import java.math.BigDecimal;

/** Where a rate came from; sources are never mixed in one trend without saying so. */
public enum PulseSource {
  /** Beats counted by hand; its error comes from the window. */
  COUNT("0"),
  TAP("1"),
  STRAP("0.5"),
  WRIST("2"),
  OVERNIGHT("2");

  private final BigDecimal errorBpm;

  PulseSource(String errorBpm) {
    this.errorBpm = new BigDecimal(errorBpm);
  }

  /** The error c of one sample, in bpm, beside the spread from day to day. */
  BigDecimal errorBpm() {
    return errorBpm;
  }
}
