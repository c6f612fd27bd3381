package app.korvel.core.zone;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a zone says, each finding in this one place. */
public enum ZoneFinding implements FindingKind {
  RESERVE_TOO_SMALL(
      BLOCK,
      "A reserve of %s bpm is too small to prescribe from.",
      "Under {SMALLEST_RESERVE} bpm the zones are narrower than the error of a count. "
          + "Measure again, or use RPE and talk.",
      Source.KORVEL),
  CAP_CUTS(
      CAUTION,
      "The cap cuts the target at %s bpm.",
      "A cap overrides every target; counts under it are rounded down.",
      Source.PRACTICE),
  CAP_BELOW_TARGET(
      CAUTION,
      "No target by rate: the cap of %s is below it.",
      "Use RPE and talk.",
      Source.PRACTICE),
  THRESHOLDS_MISSING(
      INFO,
      "No thresholds have been measured for this activity.",
      "Zones that count from thresholds need two measured rates: the last one of comfortable talk,"
          + " and the first one without talk.",
      Source.TALK),
  THRESHOLDS_STALE(
      CAUTION,
      "Medication that affects the heart rate changed since the thresholds were measured.",
      "Measure them again before zones count from them.",
      Source.PRACTICE),
  THRESHOLDS_OUTSIDE(
      CAUTION,
      "The thresholds, %s and %s, fall outside the current range.",
      "The span is %3$s to %4$s by now: one of the two was measured wrong, or has changed.",
      Source.KORVEL),
  SCHEME_IN_USE(
      BLOCK,
      "This zone system is in use: %s.",
      "Choose another there first; then it can be archived.",
      Source.KORVEL);

  private final Wording wording;

  ZoneFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
