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
public record ExertionLimits(
    Optional<Reserve> reserve,
    Optional<Cap> cap,
    int highestEffort,
    RpeFamily family,
    Bounds bounds) {

  /** Whoever comes, by the rules of everyone. */
  public static ExertionLimits anyone(Optional<Reserve> reserve, RpeFamily family) {
    return new ExertionLimits(
        reserve, Optional.empty(), Effects.TOP_EFFORT, family, Bounds.FOR_ANYONE);
  }

  /** Someone on the ground of today. */
  public static ExertionLimits of(ClientBaseline baseline, RpeFamily family) {
    Screening screening = baseline.screening();
    return new ExertionLimits(
        baseline.noRateBecause().isPresent() ? Optional.empty() : baseline.reserve(),
        screening.cap(),
        screening.effects().highestEffort(),
        family,
        Bounds.of(screening.scope()));
  }

  /** The same without a rate. */
  public ExertionLimits withoutRates() {
    return new ExertionLimits(Optional.empty(), cap, highestEffort, family, bounds);
  }

  /** How a range is to feel and, where it may be, at which rate. */
  public Aim aim(Percents range) {
    return Aim.of(range, reserve, cap, highestEffort, family);
  }
}
