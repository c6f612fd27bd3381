package app.korvel.core.maximum;

import app.korvel.core.pulse.Grade;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** How a maximum came to be measured, and how sure it is on the day: a row each. */
public enum MaximumKind {
  LABORATORY(
      "Laboratory test",
      3,
      3,
      9,
      true,
      "A test to exhaustion in a laboratory, by the report.",
      "to exhaustion"),
  GRADED_TEST(
      "Supervised graded test",
      3,
      3,
      9,
      true,
      "Stage by stage to exhaustion, a qualified person supervising.",
      "to exhaustion"),
  FIELD_TEST(
      "Field test",
      5,
      7,
      9,
      true,
      "Hill repeats, a ramp on rope or step, or a hard half hour; graded as it is run.",
      "even effort or a plateau, warmed up, read by a strap"),
  /** Never entered: two peaks of two days that agree make it. */
  CONFIRMED_PEAK(
      "Confirmed peak",
      5,
      5,
      5,
      false,
      "A peak over the working maximum, within 3 bpm of another of a different day.",
      ""),
  PEAK(
      "Peak seen once",
      8,
      8,
      8,
      false,
      "From a watch, a recording or a hard session: a proposal until another day confirms it.",
      "");

  private final String displayName;
  private final int good;
  private final int fair;
  private final int poor;
  private final boolean test;
  private final String meaning;
  private final String whenGood;

  MaximumKind(
      String displayName,
      int good,
      int fair,
      int poor,
      boolean test,
      String meaning,
      String whenGood) {
    this.displayName = displayName;
    this.good = good;
    this.fair = fair;
    this.poor = poor;
    this.test = test;
    this.meaning = meaning;
    this.whenGood = whenGood;
  }

  /** Those that are entered, in the order in which they are offered. */
  public static final List<MaximumKind> ENTERED =
      Arrays.stream(values()).filter(kind -> kind != CONFIRMED_PEAK).toList();

  /** The stable id: lower case, words joined by hyphens. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What it is. */
  public String meaning() {
    return meaning;
  }

  /** Whether it was a test, which has a grade; a peak has none. */
  public boolean test() {
    return test;
  }

  /** Whether it was watched by those who may test people with a heart condition. */
  public boolean clinical() {
    return this == LABORATORY || this == GRADED_TEST;
  }

  /** What a good one takes; empty for a peak. */
  public String whenGood() {
    return whenGood;
  }

  /** Its standard error on the day it was measured, bpm. */
  public int standardErrorBpm(Grade grade) {
    return switch (grade) {
      case GOOD -> good;
      case FAIR -> fair;
      case POOR -> poor;
    };
  }
}
