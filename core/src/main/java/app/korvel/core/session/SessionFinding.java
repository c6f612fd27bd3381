package app.korvel.core.session;

import static app.korvel.core.measure.Severity.BLOCK;
import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What what was done of a programme says, each finding in this one place. */
public enum SessionFinding implements FindingKind {
  SESSIONS_ENOUGH(
      INFO, "%s of %s sessions done.", "Four of five earn the next step.", Source.PRACTICE),
  SESSIONS_SOME(
      INFO,
      "%s of %s sessions done: the week stays the same.",
      "Four of five earn a step; under half steps down.",
      Source.PRACTICE),
  SESSIONS_FEW(
      CAUTION,
      "%s of %s sessions done: under half.",
      "Half at least hold the week.",
      Source.PRACTICE),
  SESSIONS_OPEN(
      CAUTION,
      "%s of its sessions not logged yet; counted as not done.",
      "Log them first, and the proposal is made from all of the week.",
      Source.KORVEL),
  EFFORT_AS_ASKED(
      INFO,
      "Average RPE %s, target %s.",
      "At or under %3$s it leaves room for a step.",
      Source.BORG),
  EFFORT_IN_UPPER_HALF(
      INFO,
      "Average RPE %s, target %s: the week stays the same.",
      "A step needs %3$s or less, the middle of the target.",
      Source.BORG),
  EFFORT_TOO_HIGH(
      CAUTION,
      "Average RPE %s, target %s: too hard.",
      "{EFFORT_OVER_TARGET} or more over the target's upper end, %3$s, steps down.",
      Source.BORG),
  EFFORT_UNKNOWN(
      INFO,
      "No RPE was logged: the week stays the same.",
      "A step is earned by sessions that felt as planned; ask for the RPE next time.",
      Source.PRACTICE),
  WARNING_LOGGED(
      CAUTION,
      "Warning sign on %s: %s.",
      "Any warning in a week goes a step back; ask about it before the next session.",
      Source.PRACTICE),
  NOTHING_TO_DECIDE(
      BLOCK,
      "Week %s is not due for a decision.",
      "A week is decided once the one before it is over or all of it is logged, and once.",
      Source.KORVEL),
  SESSION_LOGGED(
      BLOCK,
      "This session is logged: %s.",
      "What was done stays as it was. Edit or delete the log first.",
      Source.KORVEL),
  DECISION_LOG_CHANGED(
      CAUTION,
      "The log of week %s has changed since: review week %s.",
      "Decided on: %3$s Now it says: %4$s",
      Source.KORVEL);

  private final Wording wording;

  SessionFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
