package app.korvel.core.live;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a session on the clock says of itself. */
public enum LiveFinding implements FindingKind {
  NOT_CHECKED_IN(
      BLOCK,
      "No session without a check-in today.",
      "What was right yesterday may be wrong today: check in first.",
      Source.PRACTICE),
  NOT_TODAY(
      BLOCK,
      "No session: today's check-in says %s.",
      "The check-in decides whether there is a session; check in again if something has changed.",
      Source.PRACTICE),
  LIGHT_ONLY(
      CAUTION,
      "Light only: every target ends at {WARM_UP_TO} %% of reserve.",
      "Today's check-in allows easy work and no more.",
      Source.PRACTICE),
  NO_SPAN(
      BLOCK,
      "No session by rate: resting and maximum heart rate are not both known, or lie too close.",
      "Take a resting pulse, and look at the maximum; or prescribe by RPE and talk.",
      Source.KORVEL),
  SESSION_ON(
      BLOCK,
      "%s is in a session already.",
      "One session at a time: open it, or end it first.",
      Source.KORVEL),
  STOP_WORK(
      BLOCK,
      "Stop the work, keep moving, ask: %s, and the cap is %s.",
      "Over the cap for {CAP_OVER_TOO_LONG} s, or far over it for {CAP_OVER_FOR} s. Nothing else is"
          + " said until you let the work go on.",
      Source.KORVEL),
  OVER_MAXIMUM(
      CAUTION,
      "%s is over the maximum of %s: ask for symptoms first.",
      "Then question the sensor, then the maximum: many people's true maximum lies above an"
          + " estimate.",
      Source.KORVEL),
  NO_SIGNAL(
      INFO,
      "No signal: the strap sends nothing.",
      "Wet it, press it on, see that it sits; the step goes on.",
      Source.KORVEL),
  GO_BY_HAND(
      CAUTION,
      "No signal for a minute: count by hand, or go by talk.",
      "The step goes on; what is counted and said leads until the strap is back.",
      Source.KORVEL),
  WARM_UP_AGAIN(
      INFO,
      "The pause was long: the warm-up comes first again.",
      "After {PAUSE_WARM_UP_AGAIN} min the body has cooled down.",
      Source.PRACTICE),
  STRAP_UNCONFIRMED(
      CAUTION,
      "Not sure whose strap this is: count for a quarter of a minute.",
      "Somebody else wore it last, or two were put on within {STRAPS_AT_ONCE} min. Within"
          + " {STRAP_CONFIRMED} of a count it is this person's; until then it is shown and has no"
          + " vote.",
      Source.KORVEL),
  SWAPPED_QUESTION(
      CAUTION,
      "Swapped? %s and %s may wear each other's straps.",
      "Both are over {SWAPPED_OFF} bpm off, and changed over each comes within {SWAPPED_FITS} bpm of"
          + " its last rate.",
      Source.KORVEL),
  STRAP_WORN(
      BLOCK,
      "Strap %s is on %s.",
      "A strap serves one person at a time: take it off there first, or say that the two were"
          + " swapped.",
      Source.KORVEL),
  PEAKS_SET_ASIDE(
      INFO,
      "Straps were swapped: peaks of this session are set aside.",
      "Times, load and drops were worked out anew; what was said at the time stays on record.",
      Source.KORVEL),
  NO_COOL_DOWN(
      CAUTION,
      "No cool-down: keep moving, and take the rate after {BACK_TO_REST_AGAIN} and {BACK_TO_REST_WITHIN} minutes.",
      "Blood pools in the legs when work ends at once.",
      Source.PRACTICE);

  private final Wording wording;

  LiveFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
