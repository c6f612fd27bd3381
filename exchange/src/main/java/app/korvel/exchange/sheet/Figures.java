package app.korvel.exchange.sheet;

import app.korvel.core.zone.CountCard.Beats;
import app.korvel.core.zone.Level.RpeSpan;
import java.math.BigDecimal;

/** Figures as sheets write them. */
final class Figures {
  private Figures() {}

  /** For example {@code 109–131}; a single figure stands once. */
  static String span(int low, int high) {
    return low == high ? String.valueOf(low) : low + "–" + high;
  }

  /** Counts of a range. */
  static String beats(Beats beats) {
    return span(beats.low(), beats.high());
  }

  /** Effort on 6–20. */
  static String effort20(RpeSpan span) {
    return effort(span, 6);
  }

  /** Effort on a 0–10 scale. */
  static String effort10(RpeSpan span) {
    return effort(span, 0);
  }

  /** Where it begins at the bottom of its scale, “up to” says more. */
  private static String effort(RpeSpan span, int bottom) {
    return span.low() <= bottom ? "up to " + span.high() : span(span.low(), span.high());
  }

  /** Hundredths as a stylesheet writes them, for example {@code 0.35em}. */
  static String hundredths(int figure, String unit) {
    return BigDecimal.valueOf(figure, 2).toPlainString() + unit;
  }
}
