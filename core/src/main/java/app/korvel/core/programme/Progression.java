package app.korvel.core.programme;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Permission;
import app.korvel.core.zone.Reserve.Percents;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How the weeks grow: one variable a week, minutes first, then a day, then intensity, each as far
 * as the limit of the week allows.
 */
public final class Progression {
  private static final int MINUTES = Threshold.STEP_UP_MINUTES.whole();
  private static final int INTENSITY = Threshold.STEP_UP_INTENSITY.whole();
  private static final int CUT = Threshold.STEP_UP_CUT.whole();
  private static final int LIGHT_UP_TO = Threshold.WARM_UP_TO.whole();
  private static final int LIGHTER_FROM = Threshold.LIGHTER_FROM.whole();
  private static final int LIGHTER_TO = Threshold.LIGHTER_TO.whole();
  private static final int SHORTEST = Limit.SESSION_MINUTES.lowest();

  private Progression() {}

  /** What a week does to the one before it. */
  public enum Kind {
    START(false),
    MINUTES(true),
    DAY(true),
    INTENSITY(true),
    LIGHTER(false),
    /** Cut to what the weeks before it, as they were done, allow. */
    EASED(false),
    HELD(false);

    private final boolean stepsUp;

    Kind(boolean stepsUp) {
      this.stepsUp = stepsUp;
    }

    /** Whether it has to be earned. */
    public boolean stepsUp() {
      return stepsUp;
    }
  }

  /**
   * One week as it is laid out.
   *
   * @param dose what it asks for
   * @param kind what it does to the week before
   * @param because which step it is, and why
   */
  public record Stepped(Dose dose, Kind kind, Finding because) {}

  /** The doses of so many weeks, from the first one on, as if each were done. */
  public static List<Stepped> of(Dose first, Aims aims, Pace pace, int weeks) {
    List<Stepped> laid = new ArrayList<>();
    List<Integer> totals = new ArrayList<>();
    Dose usual = first;
    for (int week = 1; week <= weeks; week++) {
      Stepped stepped;
      if (week == 1) {
        stepped =
            new Stepped(
                first,
                Kind.START,
                FindingKind.WEEK_STARTS.of(words(first.range()), first.minutes(), first.days()));
      } else if (pace.lighter(week)) {
        stepped = lighter(usual);
      } else {
        stepped = next(usual, aims, pace, week, totals);
        usual = stepped.dose();
      }
      laid.add(stepped);
      totals.add(stepped.dose().total());
    }
    return laid;
  }

  /**
   * The step after a usual week, earned by doing it.
   *
   * @param last the week before it that was no lighter one
   * @param week its number, from 1
   * @param before the minutes of every week before it; at least one
   */
  public static Stepped next(Dose last, Aims aims, Pace pace, int week, List<Integer> before) {
    int limit = pace.limit(week, before);
    boolean light = week <= pace.lightWeeks() && last.range().high() + INTENSITY > LIGHT_UP_TO;
    return Stream.of(
            eased(last, limit),
            minutes(last, aims, limit),
            day(last, aims, limit),
            light ? Optional.<Stepped>empty() : intensity(last, aims))
        .flatMap(Optional::stream)
        .findFirst()
        .orElseGet(() -> held(last, light && last.range().high() < aims.highPercent(), pace));
  }

  private static Optional<Stepped> eased(Dose last, int limit) {
    if (last.total() <= limit) {
      return Optional.empty();
    }
    int days = Math.max(1, Math.min(last.days(), limit / SHORTEST));
    int minutes = Math.max(SHORTEST, limit / days);
    return Optional.of(
        new Stepped(
            new Dose(last.range(), minutes, days, last.type()),
            Kind.EASED,
            FindingKind.WEEK_EASED.of(minutes, days, limit)));
  }

  private static Optional<Stepped> minutes(Dose last, Aims aims, int limit) {
    int longer = Math.min(Math.min(aims.minutes(), last.minutes() + MINUTES), limit / last.days());
    return longer <= last.minutes()
        ? Optional.empty()
        : Optional.of(
            new Stepped(
                last.lasting(longer),
                Kind.MINUTES,
                FindingKind.STEP_MINUTES.of(longer, aims.minutes(), limit)));
  }

  private static Optional<Stepped> day(Dose last, Aims aims, int limit) {
    int days = last.days() + 1;
    int shared = Math.min(last.minutes(), limit / days);
    return days > aims.days()
            || shared < last.type().fewestMinutes()
            || shared * days < last.total()
        ? Optional.empty()
        : Optional.of(
            new Stepped(
                new Dose(last.range(), shared, days, last.type()),
                Kind.DAY,
                FindingKind.STEP_DAY.of(days, shared, limit)));
  }

  private static Optional<Stepped> intensity(Dose last, Aims aims) {
    Percents range = new Percents(last.range().low() + INTENSITY, last.range().high() + INTENSITY);
    if (range.high() > aims.highPercent()) {
      return Optional.empty();
    }
    boolean past =
        last.range().high() <= Permission.CEILING_PERCENT
            && range.high() > Permission.CEILING_PERCENT;
    int minutes = past ? Math.max(SHORTEST, last.minutes() - last.minutes() / CUT) : last.minutes();
    return Optional.of(
        new Stepped(
            new Dose(range, minutes, last.days(), last.type()),
            Kind.INTENSITY,
            past
                ? FindingKind.STEP_PAST_MODERATE.of(words(range), minutes)
                : FindingKind.STEP_INTENSITY.of(words(range))));
  }

  /** A whole five minutes where there is one between the two shares, else their middle. */
  private static Stepped lighter(Dose usual) {
    int least = (usual.minutes() * LIGHTER_FROM + 99) / 100;
    int most = usual.minutes() * LIGHTER_TO / 100;
    int five = most / 5 * 5;
    int minutes = Math.max(SHORTEST, five >= least ? five : (least + most) / 2);
    return new Stepped(
        usual.lasting(minutes),
        Kind.LIGHTER,
        FindingKind.WEEK_LIGHTER.of(minutes, 100 * minutes / usual.minutes()));
  }

  private static Stepped held(Dose last, boolean light, Pace pace) {
    return new Stepped(
        last,
        Kind.HELD,
        FindingKind.WEEK_HELD.of(
            light
                ? "The cautious start stays light until week " + pace.lightWeeks() + "."
                : "Minutes, days and intensity have come as far as the goal."));
  }

  private static String words(Percents range) {
    return range.low() + "–" + range.high();
  }
}
