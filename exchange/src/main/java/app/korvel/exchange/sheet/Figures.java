package app.korvel.exchange.sheet;

import app.korvel.core.zone.CountCard.Beats;
import app.korvel.core.zone.Level;
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

  /** Whether effort begins at the bottom of its scale: then “up to” says more. */
  static boolean upTo(RpeSpan rpe20) {
    return rpe20.low() <= Level.SING.rpe20().low();
  }

  /** Effort on either scale; its top alone where it is “up to”. */
  static String effort(RpeSpan span, boolean upTo) {
    return upTo ? String.valueOf(span.high()) : span(span.low(), span.high());
  }

  /** Hundredths as a stylesheet writes them, for example {@code 0.35em}. */
  static String hundredths(int figure, String unit) {
    return BigDecimal.valueOf(figure, 2).toPlainString() + unit;
  }
}
