package app.korvel.core.pulse;

import java.util.Objects;
import java.util.Optional;

/**
 * What a hand notices besides the rate; each is empty where it was not noted.
 *
 * @param site where the pulse was felt
 * @param rhythm how the beats followed each other
 * @param strength how strong they were
 */
public record Palpation(
    Optional<PulseSite> site, Optional<Rhythm> rhythm, Optional<Strength> strength) {

  /** Nothing was noted. */
  public static final Palpation NOTHING =
      new Palpation(Optional.empty(), Optional.empty(), Optional.empty());

  public Palpation {
    Objects.requireNonNull(site);
    Objects.requireNonNull(rhythm);
    Objects.requireNonNull(strength);
  }

  boolean uneven() {
    return rhythm.filter(Rhythm.UNEVEN::equals).isPresent();
  }
}
