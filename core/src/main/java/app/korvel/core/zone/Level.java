package app.korvel.core.zone;

import java.math.BigDecimal;
import java.util.function.Predicate;

/**
 * The five levels of effort and their crosswalk: the one table that says how a share of reserve
 * feels and sounds. Every other scheme is translated through it.
 */
public enum Level {
  SING(
      0,
      "0",
      "Sing",
      "could sing a verse",
      span(6, 11),
      span(0, 2),
      span(0, 4),
      "hardly changed",
      "slow walk, light housework"),
  TALK(
      40,
      "64",
      "Talk",
      "whole sentences, no singing",
      span(12, 13),
      span(3, 4),
      span(5, 6),
      "deeper and steady; many still breathe through the nose",
      "brisk walk, easy cycle"),
  PHRASES(
      60,
      "77",
      "Phrases",
      "a few words, a breath, a few words",
      span(14, 15),
      span(5, 6),
      span(7, 7),
      "through the mouth",
      "jog, hill walk"),
  // Half way from 60 to 90 % of reserve, so half way from 77 to 96 % of maximum.
  WORDS(
      75,
      "86.5",
      "Words",
      "a word or two at a time",
      span(16, 17),
      span(7, 8),
      span(8, 8),
      "hard",
      "fast run, hard rowing"),
  SILENT(
      90,
      "96",
      "Silent",
      "no talking at all",
      span(18, 20),
      span(9, 10),
      span(9, 10),
      "all out",
      "sprint, the end of a test");

  private final int fromPercent;
  private final BigDecimal fromPercentOfMaximum;
  private final String displayName;
  private final String voice;
  private final RpeSpan rpe20;
  private final RpeSpan rpe10Ratio;
  private final RpeSpan rpe10Linear;
  private final String breathing;
  private final String like;

  /**
   * A span on a scale of perceived exertion, both ends included.
   *
   * @param low lowest rating
   * @param high highest rating
   */
  public record RpeSpan(int low, int high) {
    /** From the low end of this span to the high end of {@code upper}. */
    public RpeSpan to(RpeSpan upper) {
      return new RpeSpan(low, upper.high);
    }
  }

  Level(
      int fromPercent,
      String fromPercentOfMaximum,
      String displayName,
      String voice,
      RpeSpan rpe20,
      RpeSpan rpe10Ratio,
      RpeSpan rpe10Linear,
      String breathing,
      String like) {
    this.fromPercent = fromPercent;
    this.fromPercentOfMaximum = new BigDecimal(fromPercentOfMaximum);
    this.displayName = displayName;
    this.voice = voice;
    this.rpe20 = rpe20;
    this.rpe10Ratio = rpe10Ratio;
    this.rpe10Linear = rpe10Linear;
    this.breathing = breathing;
    this.like = like;
  }

  /** 1 to 5. */
  public int number() {
    return ordinal() + 1;
  }

  /** Where it begins, in percent of reserve. */
  public int fromPercent() {
    return fromPercent;
  }

  /** The name a person sees: what the voice can do. */
  public String displayName() {
    return displayName;
  }

  /** What the voice can do, in words. */
  public String voice() {
    return voice;
  }

  /** Perceived exertion on 6–20. */
  public RpeSpan rpe20() {
    return rpe20;
  }

  /** Perceived exertion on a 0–10 scale of that family. */
  public RpeSpan rpe10(RpeFamily family) {
    return family == RpeFamily.RATIO ? rpe10Ratio : rpe10Linear;
  }

  /** How breathing is. */
  public String breathing() {
    return breathing;
  }

  /** Work that commonly feels so. */
  public String like() {
    return like;
  }

  /** The level of a share of reserve; at an edge, the upper one. */
  public static Level atPercent(BigDecimal percentOfReserve) {
    return highest(level -> BigDecimal.valueOf(level.fromPercent).compareTo(percentOfReserve) <= 0);
  }

  /**
   * The level of a share of maximum, by the guideline's edges in percent of maximum (Garber et al.,
   * Med Sci Sports Exerc 2011); at an edge, the upper one.
   */
  public static Level atPercentOfMaximum(BigDecimal percentOfMaximum) {
    return highest(level -> level.fromPercentOfMaximum.compareTo(percentOfMaximum) <= 0);
  }

  /** The level of a rating on 6–20. */
  public static Level atRpe20(int rating) {
    return highest(level -> level.rpe20.low <= rating);
  }

  /** The level of a whole rate by percent of reserve, decided on the rounded edges. */
  public static Level atRate(int bpm, Reserve reserve) {
    return Ladder.of(reserve).at(bpm);
  }

  private static Level highest(Predicate<Level> reached) {
    Level found = SING;
    for (Level level : values()) {
      if (reached.test(level)) {
        found = level;
      }
    }
    return found;
  }

  private static RpeSpan span(int low, int high) {
    return new RpeSpan(low, high);
  }
}
