package app.korvel.core.progress;

import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What what has come of training says, each finding in this one place. */
public enum ProgressFinding implements FindingKind {
  TEST_DUE(
      INFO,
      "Test due again: the last one, %s, was on %s.",
      "A test is repeated every {TEST_AGAIN} weeks, alike, so that two can be compared.",
      Source.KORVEL),
  REVIEW_DUE(
      INFO,
      "Review the prescription: version %s dates from %s.",
      "Every {REVIEW_AFTER} weeks, whatever has been measured.",
      Source.KORVEL),
  GONE_QUIET(
      CAUTION,
      "Nothing logged for %s days.",
      "After {QUIET_AFTER} days without a log they are asked how it goes.",
      Source.KORVEL),
  STEP_DUE(
      INFO,
      "Week %s is over: decide the next one.",
      "What was done earns a step, a hold, or a step down; you accept, change or refuse it.",
      Source.PRACTICE),
  RESTING_CHANGED(
      INFO,
      "Resting %3$s by %4$s bpm: from %1$s to %2$s.",
      "{RESTING_CHANGE} bpm or more between two medians of three is a change; taken %5$s.",
      Source.KORVEL),
  RESTING_PERHAPS(
      INFO,
      "Resting perhaps %3$s: %1$s then, %2$s now. Measure again.",
      "{RESTING_PERHAPS} bpm or more between two medians of three may be chance,"
          + " {RESTING_CHANGE} hardly; taken %5$s.",
      Source.KORVEL),
  RESTING_UNCHANGED(
      INFO,
      "Resting not changed: %1$s then, %2$s now.",
      "Under {RESTING_PERHAPS} bpm between two medians of three is noise; taken %5$s.",
      Source.KORVEL),
  TREND_CHANGED(
      INFO,
      "%s: %s by %s bpm, from %s to %s.",
      "%6$s bpm or more between two taken alike is a change; less is within chance.",
      Source.KORVEL),
  TREND_UNCHANGED(
      INFO,
      "%s: not changed, %s then, %s now.",
      "Under %4$s bpm between two taken alike is within chance.",
      Source.KORVEL);

  private final Wording wording;

  ProgressFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
