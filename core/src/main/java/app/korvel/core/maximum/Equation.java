package app.korvel.core.maximum;

import app.korvel.core.maximum.Applicability.Requirement;
import app.korvel.core.measure.Source;
import java.math.BigDecimal;
import java.util.List;

/**
 * One equation: maximum = constant − perYear × age + perRestingBpm × resting.
 *
 * @param id stable id
 * @param name short name as it is shown
 * @param formula the equation in words
 * @param constant bpm
 * @param perYear bpm taken off for each year of age
 * @param perRestingBpm bpm added for each bpm at rest; 0 where the resting rate plays no part
 * @param cycleOffsetBpm what the equation itself takes off on a cycle; 0 where the general rule for
 *     modes holds
 * @param population whom it was made on
 * @param standardErrorBpm bpm
 * @param errorNote what to know about the error, or empty
 * @param requirements what must hold for it to apply
 * @param source where it was published
 */
public record Equation(
    String id,
    String name,
    String formula,
    BigDecimal constant,
    BigDecimal perYear,
    BigDecimal perRestingBpm,
    int cycleOffsetBpm,
    String population,
    int standardErrorBpm,
    String errorNote,
    List<Requirement> requirements,
    Source source) {

  public Equation {
    requirements = List.copyOf(requirements);
  }

  /** Whether the resting rate is needed to work it out. */
  public boolean needsResting() {
    return perRestingBpm.signum() != 0;
  }

  /**
   * The running value before rounding, bpm.
   *
   * @param restingBpm ignored unless {@link #needsResting}
   */
  BigDecimal exact(int age, int restingBpm) {
    return constant
        .subtract(perYear.multiply(BigDecimal.valueOf(age)))
        .add(perRestingBpm.multiply(BigDecimal.valueOf(restingBpm)));
  }
}
