package app.korvel.core.maximum;

import app.korvel.core.maximum.Applicability.Requirement;
import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Working;
import app.korvel.core.measure.Working.Line;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/**
 * One equation: maximum = constant − perYear × age + perRestingBpm × resting − lessBpm.
 *
 * @param id stable id
 * @param name short name as it is shown
 * @param formula the equation in words
 * @param constant bpm
 * @param perYear bpm taken off for each year of age
 * @param perRestingBpm bpm added for each bpm at rest; 0 where the resting rate plays no part
 * @param lessBpm bpm taken off at the end by a rule of thumb; 0 for a plain equation
 * @param cycleLessBpm what the equation itself takes off on a cycle; 0 where the general rule for
 *     modes holds
 * @param population whom it was made on
 * @param standardErrorBpm bpm
 * @param errorNote what to know about the error, or empty
 * @param serves when it serves
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
    int lessBpm,
    int cycleLessBpm,
    String population,
    int standardErrorBpm,
    String errorNote,
    String serves,
    List<Requirement> requirements,
    Source source) {

  public Equation {
    requirements = List.copyOf(requirements);
  }

  /** Whether the resting rate is needed to work it out. */
  public boolean needsResting() {
    return perRestingBpm.signum() != 0;
  }

  /** Whether it is shown for information and never prescribed from. */
  public boolean forInformationOnly() {
    return requirements.contains(Requirement.HEART_FAILURE);
  }

  /**
   * The maximum in that mode, bpm: the running value rounded half up, then what the mode takes off.
   *
   * @param restingBpm ignored unless {@link #needsResting}
   */
  int bpm(int age, int restingBpm, Mode mode) {
    return Rounding.halfUp(exact(age, restingBpm)) - takenOff(mode);
  }

  /**
   * The maximum in that mode from the age alone, bpm.
   *
   * @param age whole years
   * @throws IllegalStateException when the resting rate is needed as well
   */
  public int bpmByAge(int age, Mode mode) {
    if (needsResting()) {
      throw new IllegalStateException(id + " asks for the resting rate");
    }
    return bpm(age, 0, mode);
  }

  /** Its standard error in that mode, bpm. */
  public BigDecimal standardErrorBpm(Mode mode) {
    BigDecimal error = BigDecimal.valueOf(standardErrorBpm);
    return borrows(mode) ? mode.borrowedErrorBpm(error) : error;
  }

  /**
   * The maximum in that mode, worked out step by step.
   *
   * @param restingBpm ignored unless {@link #needsResting}
   */
  Working longHand(int age, int restingBpm, Mode mode) {
    List<Line> lines = new ArrayList<>();
    BigDecimal forAge = perYear.multiply(BigDecimal.valueOf(age));
    StringBuilder sum = new StringBuilder(Working.written(constant));
    if (needsResting()) {
      BigDecimal forResting = perRestingBpm.multiply(BigDecimal.valueOf(restingBpm));
      lines.add(step("For the resting rate", times(perRestingBpm, restingBpm), forResting));
      sum.append(" + ").append(Working.written(forResting));
    }
    if (perYear.compareTo(BigDecimal.ONE) != 0) {
      lines.add(step("For the age", times(perYear, age), forAge));
    }
    sum.append(" − ").append(Working.written(forAge));
    if (lessBpm != 0) {
      sum.append(" − ").append(lessBpm);
    }
    BigDecimal exact = exact(age, restingBpm);
    lines.add(Line.of(id, "Maximum, running", sum.toString(), exact, "bpm", Working.Finish.WHOLE));
    if (takenOff(mode) != 0) {
      lines.add(
          step(
              "Less on this mode",
              Rounding.halfUp(exact) + " − " + takenOff(mode),
              BigDecimal.valueOf(bpm(age, restingBpm, mode))));
    }
    if (borrows(mode)) {
      lines.add(
          Line.of(
              Formula.MODE_ERROR,
              "Its error, ±",
              "√(" + standardErrorBpm + "² + " + Working.written(mode.extraErrorBpm()) + "²)",
              standardErrorBpm(mode),
              "bpm",
              Working.Finish.TENTH));
    }
    return Working.of(lines);
  }

  /** The running value before rounding, bpm. */
  private BigDecimal exact(int age, int restingBpm) {
    return constant
        .subtract(perYear.multiply(BigDecimal.valueOf(age)))
        .add(perRestingBpm.multiply(BigDecimal.valueOf(restingBpm)))
        .subtract(BigDecimal.valueOf(lessBpm));
  }

  /** Its own rule for the cycle, if it has one, comes before the general rule for modes. */
  private int takenOff(Mode mode) {
    return ownRule(mode) ? cycleLessBpm : mode.lessBpm();
  }

  private boolean borrows(Mode mode) {
    return mode != Mode.RUN && !ownRule(mode);
  }

  private boolean ownRule(Mode mode) {
    return mode == Mode.CYCLE && cycleLessBpm != 0;
  }

  private Line step(String label, String sum, BigDecimal exact) {
    return Line.of(id, label, sum, exact, "bpm", Working.Finish.EXACT);
  }

  private static String times(BigDecimal factor, int figure) {
    return Working.written(factor) + " × " + figure;
  }
}
