package app.korvel.core.assessment;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.util.OptionalInt;

/**
 * At what rate a graded test ends.
 *
 * @param kind how it was chosen
 * @param value percent, or bpm
 * @param bpm what governs: never over the cap
 * @param finding the same in words, with its reason
 */
public record TestTarget(Kind kind, int value, int bpm, Finding finding) {

  /** How a target is chosen. */
  public enum Kind {
    RESERVE,
    MAXIMUM,
    RATE
  }

  /** The targets that are offered, the usual one first. */
  public enum Usual {
    RESERVE_85(Kind.RESERVE, 85),
    RESERVE_70(Kind.RESERVE, 70),
    MAXIMUM_85(Kind.MAXIMUM, 85);

    private final Kind kind;
    private final int value;

    Usual(Kind kind, int value) {
      this.kind = kind;
      this.value = value;
    }

    /** Of what. */
    public Kind kind() {
      return kind;
    }

    /** Percent. */
    public int value() {
      return value;
    }
  }

  private static final int PERCENT_FROM = 40;
  private static final int PERCENT_TO = 100;

  /**
   * A target.
   *
   * @param value 40 to 100 % of reserve or maximum; a rate over rest and not over the maximum
   * @throws InvalidValueException when it is out of range, or a rate that was set is over the cap
   */
  public static TestTarget of(Kind kind, int value, Reserve reserve, OptionalInt capBpm) {
    int bpm =
        switch (kind) {
          case RESERVE -> reserve.rateAt(percent(value));
          case MAXIMUM ->
              Rounding.halfUp(
                  BigDecimal.valueOf((long) reserve.maximumBpm() * percent(value))
                      .movePointLeft(2));
          case RATE -> rate(value, reserve, capBpm);
        };
    String words =
        kind == Kind.RATE
            ? "a set rate"
            : value + " % of " + (kind == Kind.RESERVE ? "reserve" : "maximum");
    if (capBpm.isPresent() && capBpm.getAsInt() < bpm) {
      return new TestTarget(
          kind,
          value,
          capBpm.getAsInt(),
          AssessmentFinding.TARGET_CAPPED.of(capBpm.getAsInt(), capital(words), bpm));
    }
    return new TestTarget(kind, value, bpm, AssessmentFinding.TARGET_CHOSEN.of(bpm, words));
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static int percent(int value) {
    if (value < PERCENT_FROM || value > PERCENT_TO) {
      throw InvalidValueException.of(
          "target.value",
          value + " is outside the accepted range",
          PERCENT_FROM + " to " + PERCENT_TO + " %");
    }
    return value;
  }

  private static int rate(int value, Reserve reserve, OptionalInt capBpm) {
    Limit.MAXIMUM.check("target.value", value);
    int highest = Math.min(reserve.maximumBpm(), capBpm.orElse(Integer.MAX_VALUE));
    if (value > highest || value <= reserve.restingBpm()) {
      throw InvalidValueException.of(
          "target.value",
          value
              + (value <= reserve.restingBpm()
                  ? " is not over the resting rate"
                  : capBpm.isPresent() && value > capBpm.getAsInt()
                      ? " is over the cap"
                      : " is over the maximum"),
          (reserve.restingBpm() + 1) + " to " + highest + " bpm");
    }
    return value;
  }
}
