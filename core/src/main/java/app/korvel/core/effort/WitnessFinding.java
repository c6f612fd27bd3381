package app.korvel.core.effort;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** Why a cue is given, and what the three witnesses of effort say of each other. */
public enum WitnessFinding implements FindingKind {
  CUE_STOP(
      BLOCK,
      "Stop: a stop sign is there.",
      "A stop sign comes before every number.",
      Source.PRACTICE),
  CUE_OVER_CAP(
      CAUTION,
      "Ease off: %s is over the cap of %s.",
      "A cap is never exceeded, however the effort feels.",
      Source.PRACTICE),
  CUE_OVER_RPE_LIMIT(
      CAUTION,
      "Ease off: RPE %s is over the limit of %s.",
      "A condition or a written limit sets it, whatever the rate says.",
      Source.PRACTICE),
  CUE_BODY_OVER(
      CAUTION,
      "Ease off: %s says level %s, and the target ends at level %s.",
      "The body comes before the number: nobody is pushed past how it feels or sounds.",
      Source.KORVEL),
  CUE_VOTED(
      INFO,
      "%s: %s the target.",
      "The weighted median of what rate, RPE and voice say, as far as they are known.",
      Source.KORVEL),
  CUE_HELD_BACK(
      INFO,
      "Hold: the rate is low, but %s is already over the target.",
      "A low rate is no reason to push someone who feels or sounds over the target.",
      Source.KORVEL),
  CUE_ASK(
      INFO,
      "Ask how it feels.",
      "The rate alone is not enough here to ask for more.",
      Source.KORVEL),
  RATE_DISAGREES(
      CAUTION,
      "The rate says level %s, RPE %s and voice %s: count the pulse by hand.",
      "Likely causes: a wrong maximum, a slipping strap or a wrist sensor locked to the steps,"
          + " medication, heat, dehydration, caffeine, poor sleep, or oncoming illness.",
      Source.KORVEL);

  private final Wording wording;

  WitnessFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
