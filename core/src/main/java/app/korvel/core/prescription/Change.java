package app.korvel.core.prescription;

import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Cap;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Target;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a new maximum or resting value moves: the span and a target on it. Nothing is moved by it; a
 * prescription is proposed to be looked at again.
 *
 * @param before the span until now
 * @param after the span from now on
 * @param lowPercent lower edge of the target, percent of reserve
 * @param highPercent upper edge of the target, percent of reserve
 * @param targetBefore the target until now; empty where a cap lies below it
 * @param targetAfter the target from now on; empty where a cap lies below it
 */
public record Change(
    Span before,
    Span after,
    int lowPercent,
    int highPercent,
    Optional<Target> targetBefore,
    Optional<Target> targetAfter) {

  /**
   * From rest to maximum, and how sure both ends are.
   *
   * @param restingBpm resting rate
   * @param restingStandardErrorBpm to one decimal
   * @param maximumBpm maximum
   * @param maximumStandardErrorBpm to one decimal
   */
  public record Span(
      int restingBpm,
      BigDecimal restingStandardErrorBpm,
      int maximumBpm,
      BigDecimal maximumStandardErrorBpm) {

    /** The span of someone today; empty where there is none, or it is too small to steer by. */
    public static Optional<Span> of(ClientBaseline baseline) {
      if (baseline.reserve().isEmpty()) {
        return Optional.empty();
      }
      WorkingResting resting = baseline.resting().orElseThrow();
      WorkingMaximum maximum = baseline.maximum().orElseThrow();
      return Optional.of(
          new Span(
              resting.bpm(),
              Rounding.tenths(resting.standardErrorBpm()),
              maximum.bpm(),
              maximum.standardErrorBpm()));
    }

    private static Span of(Prescription.RateBasis basis) {
      return new Span(
          basis.restingBpm(),
          basis.restingStandardErrorBpm(),
          basis.maximumBpm(),
          basis.maximumStandardErrorBpm());
    }
  }

  private static Change of(
      Span before, Span after, int lowPercent, int highPercent, Optional<Cap> cap) {
    return new Change(
        before,
        after,
        lowPercent,
        highPercent,
        target(before, lowPercent, highPercent, cap),
        target(after, lowPercent, highPercent, cap));
  }

  private static Optional<Target> target(Span span, int low, int high, Optional<Cap> cap) {
    return Target.of(
            Anchors.of(Reserve.of(span.restingBpm, span.maximumBpm)),
            Basis.RESERVE,
            BigDecimal.valueOf(low),
            BigDecimal.valueOf(high),
            cap.map(each -> OptionalInt.of(each.bpm())).orElse(OptionalInt.empty()))
        .target();
  }

  /**
   * From one state of the records to another.
   *
   * @return nothing where one of them has no span to steer by
   */
  public static Optional<Change> between(
      ClientBaseline before, ClientBaseline after, int lowPercent, int highPercent) {
    return Span.of(before)
        .flatMap(
            was ->
                Span.of(after)
                    .map(is -> of(was, is, lowPercent, highPercent, after.screening().cap())));
  }

  /**
   * What has moved since a prescription was made.
   *
   * @param now the groundwork of its mode
   * @return nothing where it has no rates, or today has none to compare them with
   */
  public static Optional<Change> since(Prescription made, ClientBaseline now) {
    if (made.basis().isEmpty() || now.noRateBecause().isPresent()) {
      return Optional.empty();
    }
    return Span.of(now)
        .map(
            is ->
                of(
                    Span.of(made.basis().get()),
                    is,
                    made.parts().lowPercent(),
                    made.parts().highPercent(),
                    now.screening().cap()));
  }

  /** Whether anything at all has moved. */
  public boolean moved() {
    return before.restingBpm != after.restingBpm || before.maximumBpm != after.maximumBpm;
  }

  /** What is to be looked at again; nothing where an edge moves by under 3 bpm. */
  public Optional<Finding> review() {
    boolean far =
        targetBefore.isPresent() != targetAfter.isPresent()
            || targetBefore
                .filter(
                    was ->
                        far(was.lowBpm(), targetAfter.get().lowBpm())
                            || far(was.highBpm(), targetAfter.get().highBpm()))
                .isPresent();
    return far
        ? Optional.of(
            PrescriptionFinding.PRESCRIPTION_REVIEW.of(
                words(targetBefore),
                words(targetAfter),
                before.restingBpm,
                before.maximumBpm,
                after.restingBpm,
                after.maximumBpm))
        : Optional.empty();
  }

  private static boolean far(int was, int is) {
    return Math.abs(is - was) >= Threshold.REVIEW_MOVE.whole();
  }

  private static String words(Optional<Target> target) {
    return target.map(each -> each.lowBpm() + "–" + each.highBpm()).orElse("none by rate");
  }
}
