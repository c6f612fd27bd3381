package app.korvel.core.assessment;

import app.korvel.core.assessment.TestOutcome.Figure;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The same test twice: what differs, and whether that is more than chance.
 *
 * @param before the earlier one
 * @param now the later one
 * @param pairs each figure that both have; empty where they are not alike
 * @param unlike why they are not compared; empty where they are
 */
public record Retest(
    TestOutcome before, TestOutcome now, List<Pair> pairs, Optional<Finding> unlike) {

  /**
   * A figure of both.
   *
   * @param change from the earlier one to the later one
   * @param changed whether that is more than chance; empty where that is not known
   */
  public record Pair(Figure before, Figure now, BigDecimal change, Optional<Boolean> changed) {}

  public Retest {
    pairs = List.copyOf(pairs);
  }

  /**
   * Sets them beside each other.
   *
   * @param on the day of the earlier one, as it is read
   * @param medicinesChangedAt when medication that touches the rate was changed last
   */
  public static Retest of(
      TestOutcome before, TestOutcome now, String on, Optional<Instant> medicinesChangedAt) {
    Optional<Finding> unlike =
        unlike(before, now, medicinesChangedAt)
            .map(why -> AssessmentFinding.RETEST_UNLIKE.of("that of " + on, why));
    List<Pair> pairs = new ArrayList<>();
    if (unlike.isEmpty()) {
      for (Figure mine : now.figures()) {
        before.figures().stream()
            .filter(other -> other.name().equals(mine.name()))
            .findFirst()
            .ifPresent(other -> pairs.add(pair(other, mine)));
      }
    }
    return new Retest(before, now, pairs, unlike);
  }

  private static Pair pair(Figure before, Figure now) {
    BigDecimal change = now.value().subtract(before.value());
    return new Pair(
        before,
        now,
        change,
        now.noise()
            .flatMap(
                mine ->
                    before
                        .noise()
                        .map(
                            other ->
                                change.abs().compareTo(BigDecimal.valueOf(Math.max(mine, other)))
                                    >= 0)));
  }

  private static Optional<String> unlike(
      TestOutcome before, TestOutcome now, Optional<Instant> medicinesChangedAt) {
    TestPlan one = before.plan();
    TestPlan other = now.plan();
    if (medicinesChangedAt
        .filter(at -> at.isAfter(before.at()) && !at.isAfter(now.at()))
        .isPresent()) {
      return Optional.of("medication that touches the heart rate was changed in between");
    }
    if (one.source() != other.source()) {
      return Optional.of("another source of the rate");
    }
    if (!alike(one.setup(), other.setup())) {
      return Optional.of("it was done as “" + one.setup().words() + "”");
    }
    if (before.repetitions().isPresent() && now.repetitions().isPresent()) {
      int then = before.repetitions().getAsInt();
      int later = now.repetitions().getAsInt();
      if (100 * Math.abs(later - then) > Threshold.TWO_MINUTE_REPETITIONS.whole() * then) {
        return Optional.of(
            then
                + " repetitions then and "
                + later
                + " now, over "
                + Threshold.TWO_MINUTE_REPETITIONS.whole()
                + " % apart");
      }
    }
    return Optional.empty();
  }

  private static boolean alike(TestPlan.Setup one, TestPlan.Setup other) {
    if (one instanceof TestPlan.Graded before && other instanceof TestPlan.Graded now) {
      return before.protocol().stages().equals(now.protocol().stages());
    }
    if (one instanceof TestPlan.TalkLadder before && other instanceof TestPlan.TalkLadder now) {
      return before.mode() == now.mode();
    }
    return one.equals(other);
  }
}
