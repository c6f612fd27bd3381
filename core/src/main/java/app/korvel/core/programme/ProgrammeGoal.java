package app.korvel.core.programme;

import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.OtherDays;
import app.korvel.core.prescription.Week;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.Reserve.Percents;
import java.util.List;

/**
 * What a programme grows towards.
 *
 * @param highPercent the upper edge of intensity, percent of reserve: the goal's, within what the
 *     client and the type of work allow
 * @param minutes of work in a session, {@link Limit#SESSION_MINUTES}
 * @param days sessions in a week, {@link Limit#DAYS_A_WEEK}
 */
public record ProgrammeGoal(int highPercent, int minutes, int days) {
  private static final int USUAL_DAYS = 5;
  private static final int LONGEST_USUAL = 60;
  private static final int STEP = 5;
  private static final int MARK = Threshold.WEEK_MARK.whole();

  /**
   * Five days a week where there are as many, and so many minutes that the week comes to the
   * guideline's beginning; under 18 an hour every day there is.
   *
   * @param available how many days they have
   */
  public static ProgrammeGoal usual(Fitt first, Person person, Ceiling ceiling, int available) {
    int high = highest(first, ceiling);
    if (person.under18()) {
      return new ProgrammeGoal(
          high, Math.max(first.minutes(), LONGEST_USUAL), Math.max(first.days(), available));
    }
    int days = Math.max(first.days(), Math.min(USUAL_DAYS, available));
    Percents range = new Percents(high - (first.highPercent() - first.lowPercent()), high);
    int minutes = STEP;
    while (minutes < LONGEST_USUAL
        && equivalent(first.type(), range, minutes, days, person) < MARK) {
      minutes += STEP;
    }
    return new ProgrammeGoal(high, Math.max(first.minutes(), minutes), days);
  }

  private static int equivalent(
      WorkType type, Percents range, int minutes, int days, Person person) {
    return Week.of(
            OtherDays.week(
                Outline.of(type, range, minutes, Bounds.FOR_ANYONE),
                OtherDays.outline(minutes, Bounds.FOR_ANYONE),
                range,
                days),
            range.asks(),
            person)
        .moderateEquivalentMinutes();
  }

  /** How high the intensity of those parts may grow. */
  public static int highest(Fitt first, Ceiling ceiling) {
    int allowed = Math.min(ceiling.percent(), first.type().highestPercent());
    return Math.max(first.highPercent(), Math.min(first.goal().highPercent(), allowed));
  }

  void check(List<Fault> faults, Fitt first, int available) {
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
