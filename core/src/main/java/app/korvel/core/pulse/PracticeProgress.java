package app.korvel.core.pulse;

import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How a learner's counting comes along.
 *
 * @param passed the levels with three right tries in a row, each counted for as long as the level
 *     begins with: a shorter window holds too few beats to miss
 * @param next the first level not passed yet; empty when all are
 * @param lately mean size of the error of the latest five tries, bpm to a tenth
 * @param before the same of the five before those
 */
public record PracticeProgress(
    Set<PracticeLevel> passed,
    Optional<PracticeLevel> next,
    Optional<BigDecimal> lately,
    Optional<BigDecimal> before) {

  /** A try and what it was tried on. */
  public record Tried(PracticeLevel level, PracticeTry tried) {}

  public PracticeProgress {
    passed =
        Set.copyOf(passed.isEmpty() ? EnumSet.noneOf(PracticeLevel.class) : EnumSet.copyOf(passed));
  }

  /**
   * From all tries.
   *
   * @param tries in the order in which they were made
   */
  public static PracticeProgress of(List<Tried> tries) {
    Set<PracticeLevel> passed = EnumSet.noneOf(PracticeLevel.class);
    for (PracticeLevel level : PracticeLevel.values()) {
      if (longestRun(tries, level) >= Threshold.PRACTICE_RUN.whole()) {
        passed.add(level);
      }
    }
    int many = Threshold.PRACTICE_TREND.whole();
    int end = tries.size();
    return new PracticeProgress(
        passed,
        EnumSet.complementOf(copy(passed)).stream().findFirst(),
        meanError(tries, end - many, end),
        meanError(tries, end - 2 * many, end - many));
  }

  private static EnumSet<PracticeLevel> copy(Set<PracticeLevel> levels) {
    return levels.isEmpty() ? EnumSet.noneOf(PracticeLevel.class) : EnumSet.copyOf(levels);
  }

  private static int longestRun(List<Tried> tries, PracticeLevel level) {
    int run = 0;
    int longest = 0;
    for (Tried each : tries) {
      boolean longEnough = each.tried.count().window().compareTo(level.window()) >= 0;
      if (each.level == level && longEnough) {
        run = each.tried.right() ? run + 1 : 0;
        longest = Math.max(longest, run);
      }
    }
    return longest;
  }

  private static Optional<BigDecimal> meanError(List<Tried> tries, int from, int to) {
    if (from < 0) {
      return Optional.empty();
    }
    int sum =
        tries.subList(from, to).stream().mapToInt(each -> Math.abs(each.tried.errorBpm())).sum();
    return Optional.of(
        Rounding.tenths(
            BigDecimal.valueOf(sum).divide(BigDecimal.valueOf(to - from), MathContext.DECIMAL64)));
  }
}
