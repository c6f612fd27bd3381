package app.korvel.core.prescription;

import app.korvel.core.measure.Limit;

/** How the minutes of work are laid out: a row each, with the rules that hold for it. */
public enum WorkType {
  STEADY("Steady", "One unbroken stretch at the target.", 5, 80, 1),
  SHORT_BOUTS("Short bouts", "Bouts of 5 to 10 min through the day; they add up.", 10, 80, 1),
  LONG_EASY("Long and easy", "Unhurried, whole sentences all the way.", 40, 60, 1),
  INTERVALS("Intervals", "1 min at the target, 2 min easy, again and again.", 15, 90, 3);

  private final String displayName;
  private final String how;
  private final int fewestMinutes;
  private final int highestPercent;
  private final int partsForOneAtTarget;

  WorkType(
      String displayName,
      String how,
      int fewestMinutes,
      int highestPercent,
      int partsForOneAtTarget) {
    this.displayName = displayName;
    this.how = how;
    this.fewestMinutes = fewestMinutes;
    this.highestPercent = highestPercent;
    this.partsForOneAtTarget = partsForOneAtTarget;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** How it is done. */
  public String how() {
    return how;
  }

  /** The fewest minutes of work that make it, within {@link Limit#SESSION_MINUTES}. */
  public int fewestMinutes() {
    return fewestMinutes;
  }

  /** The highest upper edge it may have, percent of reserve. */
  public int highestPercent() {
    return highestPercent;
  }

  /** Of so many minutes of work, one is at the target. */
  int partsForOneAtTarget() {
    return partsForOneAtTarget;
  }

  /** Of {@code minutes} of work, those spent at the target; the rest is easy. */
  int minutesAtTarget(int minutes) {
    return minutes / partsForOneAtTarget;
  }
}
