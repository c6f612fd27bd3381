package app.korvel.core.prescription;

import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.WorkType;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Target;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The easier days of a week: of four days or more at most three are vigorous, the others lie at 40
 * to 60 % of reserve.
 *
 * @param days how many of the week
 * @param range {@link #RANGE}
 * @param target by rate; empty where no rate may be used
 * @param rpe20 perceived exertion on 6–20
 * @param rpe10 perceived exertion on a 0–10 scale
 */
public record OtherDays(
    int days, Percents range, Optional<Target> target, RpeSpan rpe20, RpeSpan rpe10) {
  private static final int MOST_VIGOROUS = Threshold.VIGOROUS_DAYS.whole();
  private static final int FROM = Threshold.VIGOROUS_DAYS_FROM.whole();

  /** What is asked for on them. */
  public static final Percents RANGE =
      new Percents(Threshold.OTHER_DAYS_FROM.whole(), Threshold.OTHER_DAYS_TO.whole());

  /** How many of so many days of that range may be done as they are asked for. */
  public static int asAsked(Percents range, int days) {
    return range.asksVigorous() && days >= FROM ? MOST_VIGOROUS : days;
  }

  /** What is done on one of them. */
  public static Outline outline(int minutes, Bounds bounds) {
    return Outline.of(WorkType.STEADY, RANGE, minutes, bounds);
  }

  /** The sessions of a week: as many as may be as they are asked for, the others easier. */
  public static List<Outline> week(Outline asked, Outline easier, Percents range, int days) {
    int asAsked = asAsked(range, days);
    return Stream.concat(
            Collections.nCopies(asAsked, asked).stream(),
            Collections.nCopies(days - asAsked, easier).stream())
        .toList();
  }

  /** Those of a week, as they are told. */
  static OtherDays of(int days, Aim aim) {
    return new OtherDays(days, RANGE, aim.target(), aim.rpe20(), aim.rpe10());
  }

  OtherDays withoutRates() {
    return new OtherDays(days, range, Optional.empty(), rpe20, rpe10);
  }
}
