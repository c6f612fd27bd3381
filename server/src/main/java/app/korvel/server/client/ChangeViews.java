package app.korvel.server.client;

import app.korvel.core.measure.Finding;
import app.korvel.core.prescription.Change;
import app.korvel.core.prescription.ClientBaseline;
import java.math.BigDecimal;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Spans from rest to maximum, and what moves between two of them, as they are sent. */
public final class ChangeViews {
  private ChangeViews() {}

  /** From rest to maximum, and how sure both ends are. */
  public record SpanView(
      int restingBpm,
      BigDecimal restingStandardErrorBpm,
      int maximumBpm,
      BigDecimal maximumStandardErrorBpm) {

    public static SpanView of(Change.Span span) {
      return new SpanView(
          span.restingBpm(),
          span.restingStandardErrorBpm(),
          span.maximumBpm(),
          span.maximumStandardErrorBpm());
    }

    /** Someone's span today; null where there is none to steer by. */
    public static @Nullable SpanView of(ClientBaseline baseline) {
      return baseline.noRateBecause().isPresent()
          ? null
          : Change.Span.of(baseline).map(SpanView::of).orElse(null);
    }
  }

  /**
   * What has moved.
   *
   * @param review why the prescription is to be looked at again; null where it is not
   */
  public record ChangeView(
      SpanView before, SpanView after, int lowPercent, int highPercent, @Nullable Finding review) {

    public static @Nullable ChangeView of(Optional<Change> change) {
      return change
          .filter(Change::moved)
          .map(
              moved ->
                  new ChangeView(
                      SpanView.of(moved.before()),
                      SpanView.of(moved.after()),
                      moved.lowPercent(),
                      moved.highPercent(),
                      moved.review().orElse(null)))
          .orElse(null);
    }
  }
}
