package app.korvel.core.run;

import java.time.Instant;
import java.util.Optional;

/** Says when the body reached what a row asks for. */
@FunctionalInterface
public interface Reaching {
  /** Nothing is ever reached: no row waits, or nothing is measured. */
  Reaching NEVER = (row, from, to) -> Optional.empty();

  /**
   * The first moment of a stretch at which the row's target has been reached.
   *
   * @param row which, from 0
   * @param from when it came
   * @param to up to which moment is known
   */
  Optional<Instant> reached(int row, Instant from, Instant to);
}
