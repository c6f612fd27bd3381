package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;

/** Why a talk check is kept and not used, the first that holds. */
public enum NotUsed {
  TAKEN_OUT("taken out by hand"),
  NO_RATE("no rate was known before the passage"),
  NOT_STEADY(
      "the rate was not steady: it strayed by over %d bpm in the 2 minutes before",
      Threshold.TALK_STEADY_WITHIN),
  TOO_EARLY("in the first %d minutes of a session", Threshold.TALK_AFTER_START),
  AFTER_HARD_WORK("within %d minutes after work above 80 %% of reserve", Threshold.TALK_AFTER_HARD),
  SOURCE_IN_DOUBT("whose rate it was, or the rate itself, was in doubt"),
  STOP_SIGN("a stop sign came in that session"),
  NOT_TODAY("the check-in of that day said “not today”"),
  RPE_APART("the RPE is %d levels or more from the voice", Threshold.TALK_RPE_APART),
  BEFORE_MEDICINE("from before medication that touches the heart rate changed"),
  BEFORE_RESET("from before learning was restarted"),
  OLD("%d days old or more", Threshold.TALK_OLD),
  SAME_AGAIN("the same rate as in the check just before it"),
  MORE_THAN_A_DAY("more than %d that day", Threshold.TALK_A_DAY),
  BEYOND_NEWEST("not among the newest %d", Threshold.TALK_NEWEST);

  private final String words;

  NotUsed(String words) {
    this.words = words;
  }

  NotUsed(String words, Threshold figure) {
    this.words = words.formatted(figure.whole());
  }

  /** As it stands in a sentence. */
  public String words() {
    return words;
  }
}
