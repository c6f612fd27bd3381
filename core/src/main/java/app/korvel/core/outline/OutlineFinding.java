package app.korvel.core.outline;

import static app.korvel.core.measure.Severity.BLOCK;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a session outline says, each finding in this one place. */
public enum OutlineFinding implements FindingKind {
  OUTLINE_EMPTY(
      BLOCK,
      "There is no work in it yet.",
      "A session is warm-up, work, cool-down and stretching; add a step of work.",
      Source.PRACTICE),
  OUTLINE_MINUTES(
      BLOCK,
      "%s min of work; a session has %s of it.",
      "Shorter is not a session; longer is not planned for anyone.",
      Source.KORVEL),
  WARM_UP_SHORT(
      BLOCK,
      "%s min of warm-up; at least %s.",
      "At least {WARM_UP} min; {LONGER_WARM_UP} at {OVER_65} and over or on "
          + "rate-lowering medication, {HEART_WARM_UP} with a heart condition.",
      Source.PRACTICE),
  COOL_DOWN_SHORT(
      BLOCK,
      "%s min of cool-down; at least %s.",
      "Never under {WARM_UP} min: stopping suddenly lets blood pool in the legs. "
          + "{LONGER_WARM_UP} at {OVER_65} and over, on rate-lowering"
          + " medication or with a heart condition.",
      Source.PRACTICE),
  MARGIN_HARD(
      BLOCK,
      "%s goes up to %s %% of reserve at most.",
      "{WARM_UP_FROM} to {WARM_UP_TO} %% of reserve: anything harder is work.",
      Source.PRACTICE),
  STEP_OVER_CEILING(
      BLOCK, "%s %% of reserve is too hard here: at most %s.", "%3$s", Source.ACSM_SCREENING),
  HARD_TOO_LONG(
      BLOCK,
      "%2$s min above %1$s %% at a stretch; 1 to 2 min are the most.",
      "Work this hard cannot be held longer; put easy time between.",
      Source.PRACTICE),
  HARD_TOO_SOON(
      BLOCK,
      "%s s of easy time after %s s above %s %%; at least %s s.",
      "Between two stretches of hard work lies easy time: half as long as the work, and never under"
          + " {HARD_EASY_SHORTEST} s. Easy is up to {CEILING} %% of reserve.",
      Source.PRACTICE),
  BURST_LENGTH(
      BLOCK,
      "This burst is %s s; bursts last %s to %s s.",
      "Shorter is over before it begins; longer is a work step, timed once the target is reached.",
      Source.PRACTICE),
  BURST_TOO_SOON(
      BLOCK,
      "%s min from one burst to the next; 3 at least.",
      "Talking must be possible again between two bursts.",
      Source.PRACTICE),
  BAND_GOAL_TOO_LONG(
      BLOCK,
      "%s min at %s cannot be reached: the work holds %s min of it.",
      "Only steps whose range reaches that level count.",
      Source.KORVEL);

  private final Wording wording;

  OutlineFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
