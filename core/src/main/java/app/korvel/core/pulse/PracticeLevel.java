package app.korvel.core.pulse;

import java.util.Optional;

/** What a learner's hand and ear are given to count, the easiest first. */
public enum PracticeLevel {
  SLOW_AND_STRONG("Slow and strong", 54, 76, false, Strength.STRONG, CountWindow.S30),
  ANY_AT_REST("Anyone at rest", 46, 98, false, Strength.NORMAL, CountWindow.S30),
  AFTER_A_WALK("After a brisk walk", 92, 132, false, Strength.STRONG, CountWindow.S15),
  FAINT("Faint", 50, 96, false, Strength.WEAK, CountWindow.S30),
  EVEN_OR_UNEVEN("Even or uneven?", 58, 104, true, Strength.NORMAL, CountWindow.S60),
  FAST("Fast", 134, 178, false, Strength.STRONG, CountWindow.S15),
  FAST_AND_FAINT("Fast, faint, perhaps uneven", 112, 188, true, Strength.WEAK, CountWindow.S15);

  private final String displayName;
  private final int lowestBpm;
  private final int highestBpm;
  private final boolean asksRhythm;
  private final Strength strength;
  private final CountWindow window;

  PracticeLevel(
      String displayName,
      int lowestBpm,
      int highestBpm,
      boolean asksRhythm,
      Strength strength,
      CountWindow window) {
    this.displayName = displayName;
    this.lowestBpm = lowestBpm;
    this.highestBpm = highestBpm;
    this.asksRhythm = asksRhythm;
    this.strength = strength;
    this.window = window;
  }

  /** From 1. */
  public int number() {
    return ordinal() + 1;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** The slowest pulse it plays, bpm. */
  public int lowestBpm() {
    return lowestBpm;
  }

  /** The fastest pulse it plays, bpm. */
  public int highestBpm() {
    return highestBpm;
  }

  /** Whether the pulse may be uneven, and the learner says whether it was. */
  public boolean asksRhythm() {
    return asksRhythm;
  }

  /** How strongly it is felt and heard. */
  public Strength strength() {
    return strength;
  }

  /** The window to begin with. */
  public CountWindow window() {
    return window;
  }

  /** The level after this one. */
  public Optional<PracticeLevel> next() {
    return this == FAST_AND_FAINT ? Optional.empty() : Optional.of(values()[ordinal() + 1]);
  }
}
