package app.korvel.core.trace;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What is to be known of a recording, each finding in this one place. */
public enum TraceFinding implements FindingKind {
  RECORDING_SPARSE(
      INFO,
      "Few points: it gives times in zones and load, no peak, no recovery and no comparison.",
      "Its points lie over {RECORDING_SPARSE} s apart; each holds until the next, for"
          + " {RECORDING_HELD} s at most.",
      Source.KORVEL),
  RECORDING_GAPS(
      INFO,
      "Gaps: %s, with %s s without a heart rate in all.",
      "A stretch of over {RECORDING_GAP} s without a rate is a gap; it counts in no zone.",
      Source.KORVEL),
  RECORDING_SAME_FILE(
      BLOCK,
      "This file is on record already: %s.",
      "Taken twice it would count twice. Undo the one that is kept to bring it in again.",
      Source.KORVEL),
  RECORDING_SAME(
      CAUTION,
      "The session of %s looks the same: keep this as its second recording, or leave it.",
      "It starts within {RECORDING_SAME_START} s of it and is as long within"
          + " {RECORDING_SAME_LENGTH} %%.",
      Source.KORVEL),
  RECORDING_LOGGED(
      CAUTION,
      "Something is logged on that day already: %s. If it is this session, delete that log first.",
      "A session that is logged by hand and brought in as well would count twice.",
      Source.KORVEL),
  RECORDING_UNKNOWN_SOURCE(
      INFO,
      "Nobody said what read the heart: it is taken as a wrist sensor.",
      "A strap reads the heart whatever the steps are; a wrist is sure in easy work only.",
      Source.KORVEL),
  RECORDING_SPAN_OF_TODAY(
      INFO,
      "Resting and maximum heart rate were not known that day: today's are used.",
      "A session is read with the span of its own day where there is one.",
      Source.KORVEL),
  RECORDING_STEPS_ASSUMED(
      INFO,
      "The first %s min count as warm-up and the last %s as cool-down, as planned.",
      "Nobody saw when its steps began and ended: no recovery is worked out from it.",
      Source.KORVEL),
  STEPS_DOUBLED(
      INFO,
      "The step rate was doubled: the device counts one foot.",
      "Most of its step rates are under {STEPS_ONE_FOOT} a minute.",
      Source.KORVEL),
  AGREEMENT_SHORT(
      CAUTION,
      "Only %s s are in both: whether one of them is late was not looked for.",
      "The lag is sought over {AGREEMENT_SECONDS} common seconds or more.",
      Source.KORVEL),
  AGREEMENT_LAG(
      INFO,
      "The second one is %2$s s %1$s; the comparison allows for it.",
      "At that lag they differ least, by {AGREEMENT_LAG_BETTER} bpm or more less than without.",
      Source.KORVEL),
  AGREEMENT_DROPPED(
      INFO,
      "%s s are in the reference only, %s s in the second one only.",
      "Seconds in which one of them had no data are not compared.",
      Source.KORVEL),
  AGREEMENT_STEP_LOCKED(
      CAUTION,
      "The second one followed the steps, not the heart, for %s s.",
      "It stayed within {STEP_LOCK_NEAR} of the step rate, or of half of it, for over"
          + " {STEP_LOCK_FOR} s, {AGREEMENT_STEP_LOCK_OFF} bpm or more off the reference.",
      Source.KORVEL);

  private final Wording wording;

  TraceFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
