package app.korvel.core.outline;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;

/**
 * How hard someone may be asked to work at most.
 *
 * @param percent of reserve
 * @param because why, as a clause
 */
public record Ceiling(int percent, String because) {
  private static final int HEART_HIGHEST_PERCENT = Threshold.HEART_HIGHEST_GOAL.whole();

  /** What holds for everyone. */
  public static final Ceiling FOR_ANYONE =
      new Ceiling(Limit.INTENSITY.highest(), "higher is for testing only");

  /** The lowest of those that hold. */
  public static Ceiling of(Person person, Permission permission) {
    if (!permission.vigorous()) {
      return new Ceiling(
          Permission.CEILING_PERCENT,
          "vigorous work is not allowed for this client. " + permission.notVigorousBecause());
    }
    if (person.health().heartDisease()) {
      return new Ceiling(
          HEART_HIGHEST_PERCENT, "with a heart condition work stays lower, cleared or not");
    }
    return FOR_ANYONE;
  }

  /** Where nothing at all may be prescribed: the screening stops it. */
  public static Ceiling nothing(Finding stop) {
    return new Ceiling(0, stop.message());
  }

  /** Whether nothing at all may be prescribed. */
  public boolean allowsNothing() {
    return percent == 0;
  }

  /** As a sentence, for example {@code Up to 90 %: higher is for testing only.} */
  public String words() {
    return allowsNothing()
        ? "Nothing is prescribed now: " + Texts.sentence(because)
        : "Up to " + percent + " %: " + Texts.sentence(because);
  }
}
