package app.korvel.core.zone;

import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.LearnedRates.Rate;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * Where the five levels of effort begin for one person in one activity, in whole bpm: by percent of
 * reserve, or where talk has shown it for this person, by that.
 *
 * @param reserve their resting and maximum rate
 * @param learned the learned rates in use; where they leave no room under the maximum they are not
 *     used, see {@link #fits}
 */
public record Ladder(Reserve reserve, LearnedRates learned) {
  private static final int APART = Threshold.LEVELS_APART.whole();

  public Ladder {
    if (!learned.none() && !fits(reserve, learned)) {
      learned = LearnedRates.NONE;
    }
  }

  /** By percent of reserve alone. */
  public static Ladder of(Reserve reserve) {
    return new Ladder(reserve, LearnedRates.NONE);
  }

  /** See {@link Ladder#Ladder}. */
  public static Ladder of(Reserve reserve, LearnedRates learned) {
    return new Ladder(reserve, learned);
  }

  /** Whether the highest level still begins far enough under the maximum. */
  public static boolean fits(Reserve reserve, LearnedRates learned) {
    return edge(Level.SILENT, reserve, learned)
        <= reserve.maximumBpm() - Threshold.LEARNED_UNDER_MAXIMUM.whole();
  }

  /** The rate at which a level begins; that of the first is the resting rate. */
  public int from(Level level) {
    return edge(level, reserve, learned);
  }

  /**
   * In this order: Phrases where sentences end; Words where words begin, some way over Phrases;
   * Talk some way under Phrases; Silent some way over Words.
   */
  private static int edge(Level level, Reserve reserve, LearnedRates learned) {
    int equation = reserve.rateAt(level.fromPercent());
    return switch (level) {
      case SING -> equation;
      case TALK ->
          learned.none()
              ? equation
              : Math.min(equation, edge(Level.PHRASES, reserve, learned) - APART);
      case PHRASES -> learned.lower().map(Rate::bpm).orElse(equation);
      case WORDS ->
          learned.none()
              ? equation
              : Math.max(
                  learned.upper().map(Rate::bpm).orElse(equation),
                  edge(Level.PHRASES, reserve, learned) + APART);
      case SILENT ->
          learned.none()
              ? equation
              : Math.max(equation, edge(Level.WORDS, reserve, learned) + APART);
    };
  }

  /** The level of a whole rate. */
  public Level at(int bpm) {
    return levels().apply(bpm);
  }

  /** The level of each of many rates: where they begin is worked out once. */
  public IntFunction<Level> levels() {
    List<Integer> edges = edges();
    return bpm -> {
      int reached = 0;
      while (reached < edges.size() && edges.get(reached) <= bpm) {
        reached++;
      }
      return Level.values()[reached];
    };
  }

  /** The four rates at which Talk, Phrases, Words and Silent begin. */
  public List<Integer> edges() {
    return List.of(from(Level.TALK), from(Level.PHRASES), from(Level.WORDS), from(Level.SILENT));
  }

  /** The learned rate that a level begins at, if it does. */
  public Optional<Rate> learnedAt(Level level) {
    return switch (level) {
      case PHRASES -> learned.lower();
      case WORDS -> learned.upper().filter(rate -> rate.bpm() == from(Level.WORDS));
      default -> Optional.empty();
    };
  }

  /** The level that begins at that share of reserve, if one does. */
  static Optional<Level> beginningAt(BigDecimal percent) {
    for (Level level : Level.values()) {
      if (level != Level.SING && BigDecimal.valueOf(level.fromPercent()).compareTo(percent) == 0) {
        return Optional.of(level);
      }
    }
    return Optional.empty();
  }
}
