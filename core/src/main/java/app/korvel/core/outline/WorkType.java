package app.korvel.core.outline;

import app.korvel.core.measure.Limit;
import app.korvel.core.zone.Reserve.Percents;
import java.util.List;

/** How the minutes of work are laid out: a row each, with the rules that hold for it. */
public enum WorkType {
  STEADY("Steady", "One unbroken stretch at the target.", 5, 80, Shapes::oneStretch),
  LADDER(
      "Ladder",
      "Three steps, each a range harder; the last is the target.",
      15,
      80,
      Shapes::ladder),
  INTERVALS(
      "Intervals", "1 min at the target, 2 min easy, again and again.", 15, 90, Shapes::intervals),
  SHORT_BOUTS(
      "Short bouts", "Bouts of 5 to 10 min through the day; they add up.", 10, 80, Shapes::bouts),
  LONG_EASY("Long and easy", "Unhurried, whole sentences all the way.", 40, 60, Shapes::oneStretch);

  /** Lays minutes of work out around a target. */
  @FunctionalInterface
  interface Shape {
    List<Block> blocks(Percents target, int minutes);
  }

  private final String displayName;
  private final String how;
  private final int fewestMinutes;
  private final int highestPercent;
  private final Shape shape;

  WorkType(String displayName, String how, int fewestMinutes, int highestPercent, Shape shape) {
    this.displayName = displayName;
    this.how = how;
    this.fewestMinutes = fewestMinutes;
    this.highestPercent = highestPercent;
    this.shape = shape;
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

  /** The work, without what comes before and after. */
  List<Block> work(Percents target, int minutes) {
    return shape.blocks(target, minutes);
  }
}
