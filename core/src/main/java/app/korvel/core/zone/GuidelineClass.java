package app.korvel.core.zone;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;

/**
 * The guideline's classes of intensity, by which zone systems are compared (Garber et al. 2011).
 */
public enum GuidelineClass {
  LIGHT(0, 0),
  MODERATE(40, 64),
  VIGOROUS(60, 77),
  NEAR_MAXIMAL(90, 96);

  private final int fromReservePercent;
  private final int fromMaximumPercent;
  private final String words = name().toLowerCase(Locale.ROOT).replace('_', ' ');

  GuidelineClass(int fromReservePercent, int fromMaximumPercent) {
    this.fromReservePercent = fromReservePercent;
    this.fromMaximumPercent = fromMaximumPercent;
  }

  /**
   * How much of something that is spread over a range of reserve lies in this class.
   *
   * @param seconds spread evenly over the range
   * @param low percent of reserve
   * @param high percent of reserve, not under {@code low}; where they are equal all of it lies in
   *     one class
   */
  public BigDecimal shareOf(long seconds, int low, int high) {
    if (low == high) {
      return BigDecimal.valueOf(ofReserve(BigDecimal.valueOf(low)) == this ? seconds : 0);
    }
    int ends =
        this == NEAR_MAXIMAL ? Integer.MAX_VALUE : values()[ordinal() + 1].fromReservePercent;
    int within = Math.max(0, Math.min(high, ends) - Math.max(low, fromReservePercent));
    return BigDecimal.valueOf(seconds * within)
        .divide(BigDecimal.valueOf((long) high - low), MathContext.DECIMAL64);
  }

  /** As it is said in a sentence. */
  public String words() {
    return words;
  }

  /** The class of a percent of reserve; on an edge, the upper one. */
  public static GuidelineClass ofReserve(BigDecimal percent) {
    GuidelineClass found = LIGHT;
    for (GuidelineClass each : values()) {
      if (BigDecimal.valueOf(each.fromReservePercent).compareTo(percent) <= 0) {
        found = each;
      }
    }
    return found;
  }

  /** The class of a percent of maximum; on an edge, the upper one. */
  public static GuidelineClass ofMaximum(BigDecimal percent) {
    GuidelineClass found = LIGHT;
    for (GuidelineClass each : values()) {
      if (BigDecimal.valueOf(each.fromMaximumPercent).compareTo(percent) <= 0) {
        found = each;
      }
    }
    return found;
  }
}
