package app.korvel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;

/**
 * The units and customs of a studio: what people read and enter. Everything is stored and computed
 * in kilograms, centimetres and metres whatever is chosen here.
 *
 * @param weekStart the first day of the week
 */
public record RegionalSettings(
    Weight weight,
    Height height,
    Glucose glucose,
    Distance distance,
    Clock clock,
    DayOfWeek weekStart,
    Paper paper) {

  /** Where nothing was chosen. */
  public static final RegionalSettings METRIC =
      new RegionalSettings(
          Weight.KG, Height.CM, Glucose.MMOL_L, Distance.KM, Clock.H24, DayOfWeek.MONDAY, Paper.A4);

  /**
   * Checks that the week begins on a day that weeks begin on somewhere.
   *
   * @throws InvalidValueException for any day but Monday, Saturday or Sunday
   */
  public RegionalSettings {
    if (weekStart.getValue() > 1 && weekStart.getValue() < 6) {
      throw InvalidValueException.of(
          "weekStart", "is no first day of a week", "Monday, Saturday or Sunday");
    }
  }

  /** The unit of weight. */
  public enum Weight {
    KG,
    /** The pound of 0.45359237 kg. */
    LB;

    private static final BigDecimal KG_IN_A_POUND = new BigDecimal("0.45359237");

    /** For example {@code 2.3 kg} or {@code 5.1 lb}: to a tenth, without a needless zero. */
    public String text(BigDecimal kilograms) {
      BigDecimal value =
          this == KG ? kilograms : kilograms.divide(KG_IN_A_POUND, 1, RoundingMode.HALF_UP);
      BigDecimal tenths = value.setScale(1, RoundingMode.HALF_UP);
      return (tenths.signum() == 0 ? "0" : tenths.stripTrailingZeros().toPlainString())
          + (this == KG ? " kg" : " lb");
    }
  }

  /** The unit of height. */
  public enum Height {
    CM,
    FT_IN
  }

  /** The unit a blood glucose is entered in unless another is chosen for the reading. */
  public enum Glucose {
    MMOL_L,
    MG_DL
  }

  /** The unit of distance. */
  public enum Distance {
    KM,
    MILES
  }

  /** How a time of day is written. */
  public enum Clock {
    H24("HH:mm"),
    H12("h:mm a");

    private final DateTimeFormatter format;

    Clock(String pattern) {
      format = DateTimeFormatter.ofPattern(pattern, Locale.US);
    }

    /** For example {@code 18:30} or {@code 6:30 pm}. */
    public String text(LocalTime time) {
      return format.format(time).toLowerCase(Locale.ROOT);
    }
  }

  /** The paper that sheets are laid out for unless another is chosen. */
  public enum Paper {
    A4,
    LETTER
  }

  /** The first day of the week a day lies in. */
  public LocalDate weekOf(LocalDate day) {
    return day.with(TemporalAdjusters.previousOrSame(weekStart));
  }
}
