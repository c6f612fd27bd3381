package app.korvel.core.effort;

import static app.korvel.core.measure.Severity.CAUTION;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What an effort says, each finding in this one place. */
public enum EffortFinding implements FindingKind {
  EFFORT_OVER_MAXIMUM(
      CAUTION,
      "An average of %s over a maximum of %s: one of the two is wrong.",
      "Nobody averages more than their maximum. Check the sensor, or note the peak and measure.",
      Source.KORVEL);

  private final Wording wording;

  EffortFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
