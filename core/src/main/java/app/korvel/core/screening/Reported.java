package app.korvel.core.screening;

import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What check-ins and logged sessions have told since, that the screening has to know of.
 *
 * @param symptomsAt when symptoms were last reported at a check-in, or with a session
 * @param changeAt when a new condition, symptom or medicine was last reported there
 */
public record Reported(Optional<Instant> symptomsAt, Optional<Instant> changeAt) {
  /** Nothing was told. */
  public static final Reported NOTHING = new Reported(Optional.empty(), Optional.empty());

  /** The same, where symptoms were reported elsewhere too. */
  public Reported andSymptoms(Optional<Instant> at) {
    return new Reported(
        Stream.concat(symptomsAt.stream(), at.stream()).max(Comparator.naturalOrder()), changeAt);
  }
}
