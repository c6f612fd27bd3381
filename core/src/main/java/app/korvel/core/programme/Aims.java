package app.korvel.core.programme;

import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Parts;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.GuidelineClass;
import java.math.BigDecimal;
import java.util.List;

/**
 * What a programme grows towards.
 *
 * @param highPercent the upper edge of intensity, percent of reserve: the goal's, within what the
 *     client and the type of work allow
 * @param minutes of work in a session, {@link Limit#SESSION_MINUTES}
 * @param days sessions in a week, {@link Limit#DAYS_A_WEEK}
 */
public record Aims(int highPercent, int minutes, int days) {
  private static final int USUAL_DAYS = 5;
  private static final int LONGEST_USUAL = 60;

  /**
   * Five days a week where there are as many, and so many minutes that the week comes to the
   * guideline's beginning; under 18 an hour every day there is.
   *
   * @param available how many days they have
   */
  public static Aims usual(Parts first, Person person, Ceiling ceiling, int available) {
    int high = highest(first, ceiling);
    if (person.under18()) {
      return new Aims(
          high, Math.max(first.minutes(), LONGEST_USUAL), Math.max(first.days(), available));
    }
    int days = Math.max(first.days(), Math.min(USUAL_DAYS, available));
    int worth =
        GuidelineClass.ofReserve(
                        BigDecimal.valueOf(2L * high - (first.highPercent() - first.lowPercent()))
                            .divide(BigDecimal.valueOf(2)))
                    .compareTo(GuidelineClass.VIGOROUS)
                >= 0
            ? Threshold.VIGOROUS_WORTH.whole()
            : 1;
    int share = Threshold.WEEK_MARK.whole() / worth;
    int fives = (share + 5 * days - 1) / (5 * days);
    return new Aims(high, Math.max(first.minutes(), Math.min(LONGEST_USUAL, 5 * fives)), days);
  }

  /** How high the intensity of those parts may grow. */
  public static int highest(Parts first, Ceiling ceiling) {
    int allowed = Math.min(ceiling.percent(), first.type().highestPercent());
    return Math.max(first.highPercent(), Math.min(first.goal().highPercent(), allowed));
  }

  void check(List<Fault> faults, Parts first, int available) {
    if (!Limit.SESSION_MINUTES.accepts(minutes) || minutes < first.minutes()) {
      faults.add(
          new Fault(
              "goalMinutes",
              Limit.SESSION_MINUTES.accepts(minutes)
                  ? minutes + " min is under the start's " + first.minutes()
                  : minutes + " is outside the accepted range",
              first.minutes() + " to " + Limit.SESSION_MINUTES.highest() + " minutes"));
    }
    if (!Limit.DAYS_A_WEEK.accepts(days) || days < first.days()) {
      faults.add(
          new Fault(
              "goalDays",
              days + " days a week, with a start of " + first.days(),
              first.days() + " to " + Limit.DAYS_A_WEEK.highest() + " days a week"));
    } else if (days > available) {
      faults.add(
          new Fault(
              "weekdays",
              "names " + available + " for " + days + " sessions a week",
              "at least as many as the sessions a week it grows to, or fewer sessions"));
    }
  }
}
