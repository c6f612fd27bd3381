package app.korvel.server.measure;

import app.korvel.core.measure.Working;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Sums worked out step by step, and what a check of somebody's figures found. */
public final class WorkingViews {
  private WorkingViews() {}

  /**
   * One step of a sum.
   *
   * @param method id of its entry among the methods
   */
  public record LineView(
      String method,
      String label,
      String sum,
      BigDecimal exact,
      BigDecimal answer,
      String unit,
      boolean rounded) {

    /** Every step. */
    public static List<LineView> of(Working sum) {
      return sum.lines().stream().map(LineView::of).toList();
    }

    static LineView of(Working.Line line) {
      return new LineView(
          line.method(),
          line.label(),
          line.sum(),
          line.exact(),
          line.answer(),
          line.unit(),
          line.exact().compareTo(line.answer()) != 0);
    }
  }

  public record WorkingView(List<LineView> lines, Working.@Nullable Check check) {

    /**
     * The sum, and a check of figures where some are given.
     *
     * @param figures one for each step, null where none is written; null for no check
     */
    public static WorkingView of(Working sum, @Nullable List<@Nullable BigDecimal> figures) {
      return new WorkingView(
          LineView.of(sum),
          figures == null ? null : sum.check(figures.stream().map(Optional::ofNullable).toList()));
    }
  }
}
