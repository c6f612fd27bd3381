package app.korvel.core.zone;

import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A target by reserve if the maximum were another one: how far it would move.
 *
 * @param maximumBpm the other maximum
 * @param target the target with it, under the cap; empty where the reserve would be too small to
 *     steer by, or the cap lies below it
 * @param lowMoves how far its lower edge moves, bpm; 0 without a target
 * @param highMoves how far its upper edge moves, bpm; 0 without a target
 */
public record TargetSensitivity(
    int maximumBpm, Optional<Target> target, int lowMoves, int highMoves) {

  /**
   * The target with that maximum, against the one in use.
   *
   * @param inUse the span in use
   * @param maximumBpm the other maximum
   * @param percents of the target
   * @param cap a clinician's cap
   */
  public static TargetSensitivity of(
      Reserve inUse, int maximumBpm, Reserve.Percents percents, OptionalInt cap) {
    Optional<Target> now = target(inUse, percents, cap);
    if (maximumBpm - inUse.restingBpm() < Reserve.SMALLEST) {
      return new TargetSensitivity(maximumBpm, Optional.empty(), 0, 0);
    }
    Optional<Target> then = target(Reserve.of(inUse.restingBpm(), maximumBpm), percents, cap);
    boolean both = now.isPresent() && then.isPresent();
    return new TargetSensitivity(
        maximumBpm,
        then,
        both ? then.get().lowBpm() - now.get().lowBpm() : 0,
        both ? then.get().highBpm() - now.get().highBpm() : 0);
  }

  /** One standard error lower, and one higher. */
  public static List<TargetSensitivity> byItsError(
      Reserve inUse, Uncertainty uncertainty, Reserve.Percents percents, OptionalInt cap) {
    int error = Rounding.halfUp(uncertainty.maximumBpm());
    return List.of(
        of(inUse, inUse.maximumBpm() - error, percents, cap),
        of(inUse, inUse.maximumBpm() + error, percents, cap));
  }

  private static Optional<Target> target(
      Reserve reserve, Reserve.Percents percents, OptionalInt cap) {
    return Target.of(
            Anchors.of(reserve),
            Basis.RESERVE,
            BigDecimal.valueOf(percents.low()),
            BigDecimal.valueOf(percents.high()),
            cap)
        .target();
  }
}
