package app.korvel.core.programme;

import app.korvel.core.measure.Limit;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.zone.Reserve.Percents;

/**
 * What one week asks for.
 *
 * @param range intensity, percent of reserve, {@link Limit#INTENSITY}
 * @param minutes of work in a session, {@link Limit#SESSION_MINUTES}
 * @param days sessions in the week, {@link Limit#DAYS_A_WEEK}
 * @param type how the minutes are laid out
 */
public record Dose(Percents range, int minutes, int days, WorkType type) {

  /** What is prescribed. */
  public static Dose of(Fitt parts) {
    return new Dose(parts.range(), parts.minutes(), parts.days(), parts.type());
  }

  /** Minutes of work in the week. */
  public int total() {
    return minutes * days;
  }

  Dose lasting(int other) {
    return new Dose(range, other, days, type);
  }
}
