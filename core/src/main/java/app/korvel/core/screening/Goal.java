package app.korvel.core.screening;

import app.korvel.core.measure.Threshold;
import java.util.Arrays;
import java.util.List;

/** What the client trains for, with the intensity it is reached at, percent of reserve. */
public enum Goal {
  DAILY_ACTIVITY("Everyday activity", 30, 40, "Stairs and shopping without a rest."),
  GENERAL_FITNESS("Weight and general fitness", 50, 70, "More in reserve, day to day."),
  ENDURANCE("Endurance", 70, 80, "Go on for longer, and faster."),
  COMPETITION("Competition", 80, 90, "Intervals of 1 to 2 min on top of endurance.");

  private static final int HEART_HIGHEST_PERCENT = Threshold.HEART_HIGHEST_GOAL.whole();

  private final String displayName;
  private final int lowPercent;
  private final int highPercent;
  private final String meaning;

  Goal(String displayName, int lowPercent, int highPercent, String meaning) {
    this.displayName = displayName;
    this.lowPercent = lowPercent;
    this.highPercent = highPercent;
    this.meaning = meaning;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** Lower edge of the goal's range, percent of reserve. */
  public int lowPercent() {
    return lowPercent;
  }

  /** Upper edge of the goal's range, percent of reserve. */
  public int highPercent() {
    return highPercent;
  }

  /**
   * The goals that are open to someone: with known heart disease none that is reached above 70 % of
   * reserve, the upper end of cleared heart work.
   */
  public static List<Goal> openTo(Person person) {
    return Arrays.stream(values())
        .filter(
            goal -> !person.health().heartDisease() || goal.highPercent <= HEART_HIGHEST_PERCENT)
        .toList();
  }

  /** What it means to the client. */
  public String meaning() {
    return meaning;
  }
}
