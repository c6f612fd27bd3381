package app.korvel.core.talk;

import static app.korvel.core.talk.Speech.SENTENCES;
import static app.korvel.core.talk.Speech.WORDS;

import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Level;

/** Which of the two talk rates. */
public enum Which {
  /** Where whole sentences end. */
  LOWER(
      "whole sentences",
      Level.PHRASES,
      SENTENCES,
      Threshold.LEARNED_LOWER_SD,
      Threshold.LEARNED_LOWER_FROM,
      Threshold.LEARNED_LOWER_TO),
  /** Where no more than a word or two comes. */
  UPPER(
      "more than a word or two",
      Level.WORDS,
      WORDS,
      Threshold.LEARNED_UPPER_SD,
      Threshold.LEARNED_UPPER_FROM,
      Threshold.LEARNED_UPPER_TO);

  private final String words;
  private final Level begins;
  private final Speech oneSide;
  private final Threshold spread;
  private final Threshold from;
  private final Threshold to;

  Which(
      String words, Level begins, Speech oneSide, Threshold spread, Threshold from, Threshold to) {
    this.words = words;
    this.begins = begins;
    this.oneSide = oneSide;
    this.spread = spread;
    this.from = from;
    this.to = to;
  }

  /** What comes up to there. */
  public String words() {
    return words;
  }

  /** The same at the beginning of a sentence. */
  public String sentence() {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** The level that begins there. */
  public Level begins() {
    return begins;
  }

  Speech oneSide() {
    return oneSide;
  }

  /** The level up to it. */
  Level under() {
    return this == LOWER ? Level.TALK : Level.PHRASES;
  }

  /** Whether somebody who speaks so is under this rate. */
  boolean under(Speech speech) {
    return this == LOWER ? speech == SENTENCES : speech != WORDS;
  }

  double mostErrorBpm() {
    return spread.value().doubleValue();
  }

  /** Whether a rate lies where it may: between those shares of reserve. */
  boolean inRange(double bpm, TalkSpan span) {
    double percent = 100 * (bpm - span.reserve().restingBpm()) / span.reserve().bpm();
    return percent >= from.whole() && percent <= to.whole();
  }

  Spread of(TalkBelief belief) {
    return this == LOWER ? belief.lower() : belief.upper();
  }

  double outermost(TalkBelief belief) {
    return this == LOWER ? belief.outermostLower() : belief.outermostUpper();
  }
}
