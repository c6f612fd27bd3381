package app.korvel.core.screening;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import java.util.Objects;

/**
 * What the rules need to know of someone, on one day.
 *
 * @param age whole years, {@link Limit#AGE}
 * @param sex used only where an equation needs it
 * @param activity present activity
 * @param health what is known of their health
 */
public record Person(int age, Sex sex, Activity activity, Health health) {

  /**
   * Health as ticked by the instructor.
   *
   * @param heartCondition a known heart condition or cardiac event
   * @param heartFailure heart failure
   * @param betaBlocker takes a beta-blocker or another rate-lowering medicine
   */
  public record Health(boolean heartCondition, boolean heartFailure, boolean betaBlocker) {
    /** Nothing ticked. */
    public static final Health NOTHING_KNOWN = new Health(false, false, false);

    /** A heart condition or heart failure. */
    public boolean heartDisease() {
      return heartCondition || heartFailure;
    }
  }

  public Person {
    Limit.AGE.check("age", age);
    Objects.requireNonNull(sex);
    Objects.requireNonNull(activity);
    Objects.requireNonNull(health);
  }

  public static Person of(int age, Sex sex, Activity activity, Health health) {
    return new Person(age, sex, activity, health);
  }

  public boolean under18() {
    return age < Threshold.UNDER_18.whole();
  }

  public boolean over65() {
    return age >= Threshold.OVER_65.whole();
  }
}
