package app.korvel.core.screening;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Set;

/**
 * What the rules need to know of someone, on one day.
 *
 * @param age whole years, {@link Limit#AGE}
 * @param sex used only where an equation needs it
 * @param activity present activity, as the rules class it
 * @param health what is known of their health
 */
public record Person(int age, Sex sex, Activity activity, Health health) {

  /**
   * What is known of someone's health.
   *
   * @param conditions known conditions
   * @param medicines the classes of the medicines they take
   */
  public record Health(Set<Condition> conditions, Set<MedicineClass> medicines) {
    /** Nothing known. */
    public static final Health NOTHING_KNOWN = new Health(Set.of(), Set.of());

    public Health {
      conditions = Set.copyOf(conditions);
      medicines = Set.copyOf(medicines);
    }

    /**
     * The three facts an equation asks for.
     *
     * @param heartCondition a known heart condition or cardiac event
     * @param heartFailure heart failure
     * @param betaBlocker takes a beta-blocker or another rate-lowering medicine
     */
    public static Health of(boolean heartCondition, boolean heartFailure, boolean betaBlocker) {
      Set<Condition> conditions = EnumSet.noneOf(Condition.class);
      if (heartCondition) {
        conditions.add(Condition.HEART_CONDITION);
      }
      if (heartFailure) {
        conditions.add(Condition.HEART_FAILURE);
      }
      return new Health(conditions, betaBlocker ? Set.of(MedicineClass.BETA_BLOCKER) : Set.of());
    }

    /** A disease of the heart other than failure. */
    public boolean heartCondition() {
      return conditions.stream()
          .anyMatch(condition -> condition.heart() && condition != Condition.HEART_FAILURE);
    }

    public boolean heartFailure() {
      return conditions.contains(Condition.HEART_FAILURE);
    }

    /** Takes a beta-blocker or another rate-lowering medicine. */
    public boolean betaBlocker() {
      return medicines.stream().anyMatch(MedicineClass::lowersRate);
    }

    /** A heart condition or heart failure. */
    public boolean heartDisease() {
      return conditions.stream().anyMatch(Condition::heart);
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

  /** Whether that condition is known. */
  public boolean has(Condition condition) {
    return health.conditions.contains(condition);
  }

  /** Whether a medicine of that class is taken. */
  public boolean takes(MedicineClass medicine) {
    return health.medicines.contains(medicine);
  }

  public boolean under18() {
    return age < Threshold.UNDER_18.whole();
  }

  public boolean over65() {
    return age >= Threshold.OVER_65.whole();
  }
}
