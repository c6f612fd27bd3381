package app.korvel.core.screening;

import java.time.Instant;
import java.util.Optional;

/**
 * What check-ins have told since, that the screening has to know of.
 *
 * @param symptomsAt when symptoms were last reported at a check-in
 * @param changeAt when a new condition, symptom or medicine was last reported there
 */
public record Reported(Optional<Instant> symptomsAt, Optional<Instant> changeAt) {
  /** Nothing was told. */
  public static final Reported NOTHING = new Reported(Optional.empty(), Optional.empty());
}
