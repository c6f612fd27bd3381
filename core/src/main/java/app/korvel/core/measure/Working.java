package app.korvel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A number worked out step by step: each step as a person would write it, and a check of the
 * figures that a person wrote.
 *
 * @param lines the steps in order, at least one; the last one is the number
 */
public record Working(List<Line> lines) {

  /** How a step is brought to the figure that is written down. */
  public enum Finish {
    /** Kept as it comes out; the sum goes on from there. */
    EXACT(
        "Keep every decimal here: %3$s. Rounding comes at the end of the sum.",
        RoundingMode.UNNECESSARY, "1"),
    /** A rate or a count that a person sees: whole, half up. */
    WHOLE("A half goes up, less than a half goes down: %2$s is %3$s.", RoundingMode.HALF_UP, "1"),
    /** Whole, down: a count under a cap, minutes that may not be more than they are. */
    DOWN("This one is rounded down: %2$s is %3$s.", RoundingMode.DOWN, "1"),
    /** An error: to one decimal, half up. */
    TENTH("To one decimal: %3$s.", RoundingMode.HALF_UP, "0.1");

    private final String reminder;
    private final RoundingMode rounding;

    /** A figure nearer than this to what the sum comes to was rounded some other way. */
    private final BigDecimal slip;

    Finish(String reminder, RoundingMode rounding, String slip) {
      this.reminder = reminder;
      this.rounding = rounding;
      this.slip = new BigDecimal(slip);
    }
  }

  /**
   * One step.
   *
   * @param method id of the {@link Formula}, equation or scheme it applies
   * @param label what is worked out
   * @param sum the sum as it is written, for example {@code 64 + 78.4}
   * @param exact what the sum comes to; a fraction without end to two decimals
   * @param answer the figure that is written down
   * @param unit of the answer
   * @param finish how the answer came from what the sum comes to
   */
  public record Line(
      String method,
      String label,
      String sum,
      BigDecimal exact,
      BigDecimal answer,
      String unit,
      Finish finish) {

    /** A step of one of the formulas. */
    public static Line of(
        Formula formula, String label, String sum, BigDecimal exact, String unit, Finish finish) {
      return of(formula.id(), label, sum, exact, unit, finish);
    }

    /** A step of whatever stands in the list of methods under that id. */
    public static Line of(
        String method, String label, String sum, BigDecimal exact, String unit, Finish finish) {
      BigDecimal answer =
          switch (finish) {
            case EXACT -> exact;
            case TENTH -> exact.setScale(1, finish.rounding);
            case WHOLE, DOWN -> exact.setScale(0, finish.rounding);
          };
      return new Line(
          method,
          label,
          sum,
          plain(finish == Finish.TENTH ? answer : exact.setScale(2, RoundingMode.HALF_UP), exact),
          plain(answer, answer),
          unit,
          finish);
    }

    /** {@code exact} without idle zeros, or {@code shortened} where its decimals do not end. */
    private static BigDecimal plain(BigDecimal shortened, BigDecimal exact) {
      BigDecimal bare = exact.stripTrailingZeros();
      BigDecimal chosen = bare.scale() > 4 ? shortened.stripTrailingZeros() : bare;
      return chosen.scale() < 0 ? chosen.setScale(0) : chosen;
    }
  }

  /**
   * The first figure that is off.
   *
   * @param line which step, from 0
   * @param figure what was written
   * @param hint what went wrong, as far as it shows
   */
  public record Off(int line, BigDecimal figure, String hint) {}

  /**
   * What a check found.
   *
   * @param right the steps found right, from 0; none after the first that is off
   * @param firstOff the first that is off, if any
   * @param complete whether every step was written and is right
   */
  public record Check(List<Integer> right, Optional<Off> firstOff, boolean complete) {
    public Check {
      right = List.copyOf(right);
    }
  }

  public Working {
    lines = List.copyOf(lines);
  }

  /** The number it all comes to. */
  public BigDecimal answer() {
    return lines.get(lines.size() - 1).answer();
  }

  /**
   * Goes through the figures a person wrote until the first that is off; steps left out are passed
   * over.
   *
   * @param figures one for each step, empty where nothing was written
   * @throws InvalidValueException when there are more or fewer figures than steps
   */
  public Check check(List<Optional<BigDecimal>> figures) {
    if (figures.size() != lines.size()) {
      throw InvalidValueException.of(
          "figures",
          figures.size() + " figures for " + lines.size() + " steps",
          "one figure for each of the " + lines.size() + " steps, null where none is written");
    }
    List<Integer> right = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      if (figures.get(i).isEmpty()) {
        continue;
      }
      BigDecimal figure = figures.get(i).get();
      if (figure.compareTo(lines.get(i).answer()) != 0) {
        return new Check(right, Optional.of(new Off(i, figure, hint(lines.get(i), figure))), false);
      }
      right.add(i);
    }
    return new Check(right, Optional.empty(), right.size() == lines.size());
  }

  /** A figure that is the sum rounded some other way gets the reminder; any other gets the sum. */
  private static String hint(Line line, BigDecimal figure) {
    boolean roundedOtherwise =
        figure.subtract(line.exact()).abs().compareTo(line.finish().slip) < 0
            && (line.exact().compareTo(line.answer()) != 0
                || line.exact().stripTrailingZeros().scale() > 0);
    return String.format(
        roundedOtherwise ? line.finish().reminder : "%1$s comes to %3$s.",
        line.sum(),
        line.exact().toPlainString(),
        line.answer().toPlainString());
  }

  /** {@code figure} as it is written in a sum. */
  public static String written(BigDecimal figure) {
    return Line.plain(figure, figure).toPlainString();
  }

  /** Steps taken together, as one sum. */
  public static Working of(List<Line> lines) {
    return new Working(lines);
  }
}
