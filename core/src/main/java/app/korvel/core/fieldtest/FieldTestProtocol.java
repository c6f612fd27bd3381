package app.korvel.core.fieldtest;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import java.time.Duration;
import java.util.List;
import java.util.Locale;

/** The field tests of the maximum: a row each. */
public enum FieldTestProtocol {
  HILL_REPEATS(
      "Hill repeats",
      "3 × 2 min uphill, hard and even; 3 to 4 min easy between. The best reading counts.",
      List.of(Mode.RUN, Mode.CYCLE),
      Duration.ofMinutes(2),
      3,
      3,
      Duration.ofMinutes(3),
      Duration.ofMinutes(4),
      Duration.ZERO,
      1,
      true,
      Needs.EVERY_BOUT,
      "Second half no slower than the first",
      "Uphill, hard and even: hold back a little at first, and let the last half minute be the"
          + " hardest.",
      "Walk or roll back down, and keep moving. Read the rate at once."),
  RAMP(
      "Rope or step ramp",
      "2 min bouts, each a little harder, until two in a row give the same peak within 2 bpm.",
      List.of(Mode.STAIRS, Mode.OTHER),
      Duration.ofMinutes(2),
      2,
      12,
      Duration.ZERO,
      Duration.ofMinutes(2),
      Duration.ZERO,
      1,
      true,
      Needs.PLATEAU,
      "A little harder than the bout before",
      "One step harder than the bout before: faster, or a higher step. Two minutes, no longer.",
      "Read the rate at once, set the next bout a little harder, and go on within two minutes."),
  HARD_HALF_HOUR(
      "Hard half hour",
      "30 min as hard as can be held to the end. The peak of the last ten minutes counts.",
      List.of(Mode.RUN, Mode.CYCLE, Mode.ROW),
      Duration.ofMinutes(30),
      1,
      1,
      Duration.ZERO,
      Duration.ZERO,
      Duration.ofMinutes(30L - Threshold.HALF_HOUR_LAST.whole()),
      2,
      false,
      Needs.EVERY_BOUT,
      "Second half no slower than the first",
      "As hard as can be held for the whole half hour. From minute 20 on read the rate every two"
          + " minutes, and let the last two be the hardest.",
      "Keep moving, easier and easier.");

  /** What must be met besides single departures. */
  enum Needs {
    EVERY_BOUT,
    PLATEAU
  }

  private final String displayName;
  private final String summary;
  private final List<Mode> modes;
  private final Duration bout;
  private final int fewestBouts;
  private final int mostBouts;
  private final Duration restAtLeast;
  private final Duration restAtMost;
  private final Duration countsFrom;
  private final int fewestReadings;
  private final boolean onFeet;
  private final Needs needs;
  private final String question;
  private final String work;
  private final String rest;

  FieldTestProtocol(
      String displayName,
      String summary,
      List<Mode> modes,
      Duration bout,
      int fewestBouts,
      int mostBouts,
      Duration restAtLeast,
      Duration restAtMost,
      Duration countsFrom,
      int fewestReadings,
      boolean onFeet,
      Needs needs,
      String question,
      String work,
      String rest) {
    this.displayName = displayName;
    this.summary = summary;
    this.modes = modes;
    this.bout = bout;
    this.fewestBouts = fewestBouts;
    this.mostBouts = mostBouts;
    this.restAtLeast = restAtLeast;
    this.restAtMost = restAtMost;
    this.countsFrom = countsFrom;
    this.fewestReadings = fewestReadings;
    this.onFeet = onFeet;
    this.needs = needs;
    this.question = question;
    this.work = work;
    this.rest = rest;
  }

  /** The stable id: lower case, words joined by hyphens. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What is done, in a sentence or two. */
  public String summary() {
    return summary;
  }

  /** The modes it can be done in, the usual one first. */
  public List<Mode> modes() {
    return modes;
  }

  /** How long a bout lasts. */
  public Duration bout() {
    return bout;
  }

  /** How many bouts it takes, at least. */
  public int fewestBouts() {
    return fewestBouts;
  }

  /** How many bouts there are, at most. */
  public int mostBouts() {
    return mostBouts;
  }

  /** Easy time before the next bout, at least. */
  public Duration restAtLeast() {
    return restAtLeast;
  }

  /** Easy time before the next bout, at most. */
  public Duration restAtMost() {
    return restAtMost;
  }

  /** From when on in a bout a reading counts. */
  public Duration countsFrom() {
    return countsFrom;
  }

  /** Readings that count, in each bout at least. */
  int fewestReadings() {
    return fewestReadings;
  }

  /** Whether it asks for sure feet: steps, a rope, a slope. */
  boolean onFeet() {
    return onFeet;
  }

  Needs needs() {
    return needs;
  }

  /** What is asked of each bout; yes is what makes it good. */
  public String question() {
    return question;
  }

  /** Whether the question is asked of that bout: the first of a ramp has none before it. */
  public boolean asks(int bout) {
    return needs == Needs.EVERY_BOUT || bout > 1;
  }

  /** What to do in a bout. */
  public String work() {
    return work;
  }

  /** What to do between bouts. */
  public String rest() {
    return rest;
  }
}
