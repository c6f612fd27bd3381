package app.korvel.core.assessment;

import app.korvel.core.screening.Sex;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * A predicted VO₂max, ml·kg⁻¹·min⁻¹ to one decimal: that of a man, of a woman, or where the sex is
 * not given, both. The two are never set in one ranking.
 *
 * @param men empty for a woman, or where there is none
 * @param women empty for a man, or where there is none
 */
public record UptakeBySex(Optional<BigDecimal> men, Optional<BigDecimal> women) {
  /** None. */
  public static final UptakeBySex NONE = new UptakeBySex(Optional.empty(), Optional.empty());

  static UptakeBySex of(Optional<BigDecimal> men, Optional<BigDecimal> women, Sex sex) {
    return new UptakeBySex(
        sex == Sex.FEMALE ? Optional.empty() : men, sex == Sex.MALE ? Optional.empty() : women);
  }

  /** Whether there is none. */
  public boolean isEmpty() {
    return men.isEmpty() && women.isEmpty();
  }

  /** The one figure where there is just one. */
  public Optional<BigDecimal> single() {
    return men.isPresent() && women.isPresent() ? Optional.empty() : men.or(() -> women);
  }

  /** As it is read, for example {@code 39.7} or {@code 42.9 (men), 36.6 (women)}. */
  public String words() {
    return single()
        .map(BigDecimal::toPlainString)
        .orElseGet(
            () ->
                men.map(BigDecimal::toPlainString).orElse("")
                    + " (men), "
                    + women.map(BigDecimal::toPlainString).orElse("")
                    + " (women)");
  }
}
