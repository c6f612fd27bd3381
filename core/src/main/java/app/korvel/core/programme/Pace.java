package app.korvel.core.programme;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Start;
import app.korvel.core.screening.Person;
import java.util.List;

/**
 * How fast someone's weeks may grow.
 *
 * @param careful at 65 and over, or with heart disease: by a tenth at most, always
 * @param weeksBefore weeks trained before the first one; until the twelfth growth is careful
 * @param lighterWeeks whether every fourth week is lighter: for the regular and the high
 * @param lightWeeks for so many weeks the intensity stays light, {@link Limit#LIGHT_WEEKS}; in the
 *     one after them it becomes moderate
 */
public record Pace(boolean careful, int weeksBefore, boolean lighterWeeks, int lightWeeks) {
  private static final int FIRST_WEEKS = Threshold.FIRST_WEEKS.whole();
  private static final int GROWTH = Threshold.WEEK_GROWTH.whole();
  private static final int GROWTH_CAREFUL = Threshold.WEEK_GROWTH_CAREFUL.whole();
  private static final int ALWAYS = Threshold.WEEK_GROWTH_ALWAYS.whole();
  private static final int LOOKED_BACK = Threshold.WEEKS_LOOKED_BACK.whole();
  private static final int LIGHTER_EVERY = Threshold.LIGHTER_EVERY.whole();

  /**
   * The pace of one person.
   *
   * @param lightWeeks how long a cautious start stays light; of no weight for any other
   */
  public static Pace of(Person person, Fitt first, int weeksBefore, int lightWeeks) {
    return new Pace(
        person.over65() || person.health().heartDisease(),
        weeksBefore,
        person.activity().regularlyActive(),
        staysLight(person, first) ? lightLeft(lightWeeks, weeksBefore) : 0);
  }

  /** Weeks trained before count; the first week is as it is prescribed, however many they were. */
  private static int lightLeft(int lightWeeks, int weeksBefore) {
    int left = Math.min(lightWeeks, Threshold.CAUTIOUS_WEEKS.whole() - weeksBefore);
    return lightWeeks == 0 ? 0 : Math.max(1, left);
  }

  /** Whether those parts are a cautious start, that stays light for weeks. */
  public static boolean staysLight(Person person, Fitt first) {
    return first.approach() == Approach.CAUTIOUS
        && Start.offersApproach(person.activity())
        && first.highPercent() <= Threshold.WARM_UP_TO.whole();
  }

  /** Whether a week is one of care: always, or in the first twelve. */
  public boolean carefulIn(int week) {
    return careful || weeksBefore + week <= FIRST_WEEKS;
  }

  /** By how many percent a week may exceed the best before it. */
  public int growthPercent(int week) {
    return carefulIn(week) ? GROWTH_CAREFUL : GROWTH;
  }

  /** The best of the four weeks before; 0 for a first one. */
  public static int best(List<Integer> before) {
    return before.subList(Math.max(0, before.size() - LOOKED_BACK), before.size()).stream()
        .mapToInt(Integer::intValue)
        .max()
        .orElse(0);
  }

  /**
   * The most minutes a week may have.
   *
   * @param week its number, from 1
   * @param before the minutes of every week before it; at least one
   */
  public int limit(int week, List<Integer> before) {
    int best = best(before);
    return Math.max(best * (100 + growthPercent(week)) / 100, best + ALWAYS);
  }

  /** Whether that week is a lighter one. */
  boolean lighter(int week) {
    return lighterWeeks && week % LIGHTER_EVERY == 0;
  }
}
