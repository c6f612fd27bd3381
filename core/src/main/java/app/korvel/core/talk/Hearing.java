package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;

/** How it is known what the voice could do, and how often that is wrong. */
public enum Hearing {
  /** The instructor listened. */
  HEARD(Threshold.TALK_MISREPORT_HEARD),
  /** The client says so. */
  TOLD(Threshold.TALK_MISREPORT_TOLD);

  private final double misreport;

  Hearing(Threshold percent) {
    this.misreport = percent.value().doubleValue() / 100;
  }

  /** The share of answers that are wrong. */
  double misreport() {
    return misreport;
  }

  /** As it stands in a sentence. */
  public String words() {
    return this == HEARD ? "heard" : "told";
  }
}
