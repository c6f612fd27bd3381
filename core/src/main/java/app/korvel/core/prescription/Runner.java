package app.korvel.core.prescription;

import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Bounds;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Screening;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import java.util.Optional;

/**
 * Whoever an outline is worked out for.
 *
 * @param reserve empty where no rate may be used
 * @param highestEffort on 6–20
 */
public record Runner(
    Optional<Reserve> reserve,
    Optional<Cap> cap,
    int highestEffort,
    RpeFamily family,
    Bounds bounds) {

  /** Whoever comes, by the rules of everyone. */
  public static Runner anyone(Optional<Reserve> reserve, RpeFamily family) {
    return new Runner(reserve, Optional.empty(), Effects.TOP_EFFORT, family, Bounds.FOR_ANYONE);
  }

  /** Someone on the ground of today. */
  public static Runner of(Groundwork ground, RpeFamily family) {
    Screening screening = ground.screening();
    return new Runner(
        ground.noRateBecause().isPresent() ? Optional.empty() : ground.reserve(),
        screening.cap(),
        screening.effects().highestEffort(),
        family,
        Bounds.of(screening.scope()));
  }

  /** The same without a rate. */
  public Runner withoutRates() {
    return new Runner(Optional.empty(), cap, highestEffort, family, bounds);
  }

  /** How a range is to feel and, where it may be, at which rate. */
  public Aim aim(Percents range) {
    return Aim.of(range, reserve, cap, highestEffort, family);
  }
}
