package app.korvel.core.outline;

import app.korvel.core.measure.Limit;
import java.util.List;

/**
 * Steps that are done one after the other, once or again and again.
 *
 * @param times how often, {@link Limit#BLOCK_TIMES}
 * @param apart whether hours lie between: bouts through the day
 * @param steps at least one
 */
public record Block(int times, boolean apart, List<Step> steps) {
  public Block {
    steps = List.copyOf(steps);
  }

  static Block once(Step step) {
    return new Block(1, false, List.of(step));
  }

  static Block times(int times, Step... steps) {
    return new Block(times, false, List.of(steps));
  }

  Block throughTheDay() {
    return new Block(times, true, steps);
  }

  /** The same with other steps. */
  Block with(List<Step> others) {
    return new Block(times, apart, others);
  }
}
