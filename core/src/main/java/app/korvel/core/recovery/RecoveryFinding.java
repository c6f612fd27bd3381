package app.korvel.core.recovery;

import static app.korvel.core.measure.Severity.CAUTION;
import static app.korvel.core.measure.Severity.INFO;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Wording;

/** What a recovery, or two ways to recover beside each other, say of themselves. */
public enum RecoveryFinding implements FindingKind {
  SLOW_MOVING(
      CAUTION,
      "A slow recovery: %s down in the first minute, moving on. Tell a doctor at the next visit.",
      "{SLOW_MOVING_60} or less after hard work, upright and moving, is slow. It is no alarm.",
      Source.COLE),
  SLOW_LYING(
      CAUTION,
      "A slow recovery: %s down in the first minute, lying. Tell a doctor at the next visit.",
      "{SLOW_LYING_60} or less after hard work, lying at once, is slow. It is no alarm.",
      Source.WATANABE),
  SLOW_LYING_LONGER(
      CAUTION,
      "A slow recovery: %s down in two minutes, lying. Tell a doctor at the next visit.",
      "Under {SLOW_LYING_120} after hard work, lying, is slow. It is no alarm.",
      Source.SHETLER),
  NOT_JUDGED(
      INFO,
      "Not judged slow or not: %s.",
      "It is kept, and compared with this person's own in the same posture.",
      Source.KORVEL),
  BY_COUNT(
      INFO,
      "Counted by hand: a trend of its own.",
      "The rate falls on while it is counted: it is compared with counts only.",
      Source.KORVEL),
  HIGHER_BEFORE(
      CAUTION,
      "The rate was %s higher shortly before: did the work stop sooner?",
      "The fall is measured from the moment the work stops; set late, it looks smaller.",
      Source.PRACTICE),
  TOO_FEW_SAMPLES(
      INFO,
      "Too few samples at the end, after one minute or after two: no drop there.",
      "Each is the middle of a few seconds, of three samples at least.",
      Source.KORVEL),
  KEEP_MOVING(
      CAUTION,
      "Keep the feet moving: no standing still from %s on.",
      "At {RECOVERY_JUDGED_FROM} %% of maximum and more, blood pools in legs that stand still.",
      Source.PRACTICE),
  ENDS_APART(
      CAUTION,
      "Weak: the ends differ by %s.",
      "A higher rate has further to fall: over {RECOVERY_END_APART} bpm apart, the two are not"
          + " alike.",
      Source.KORVEL),
  FEW_SETS(
      CAUTION,
      "Weak: %s has fewer than {RECOVERY_SETS} sets.",
      "One set is chance as much as anything.",
      Source.KORVEL),
  ONE_AFTER_THE_OTHER(
      CAUTION,
      "Weak: all sets of one way come before all of the other.",
      "Later sets are done more tired, and warmer: take turns.",
      Source.PRACTICE),
  NOT_BOTH(
      INFO,
      "%s left out: only one of the two ways is there.",
      "People are compared with themselves.",
      Source.KORVEL);

  private final Wording wording;

  RecoveryFinding(Severity severity, String message, String because, Source source) {
    this.wording = new Wording(severity, message, because, source);
  }

  @Override
  public Wording wording() {
    return wording;
  }
}
