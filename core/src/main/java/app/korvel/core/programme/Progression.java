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
    HELD(false),
    /** A step back, after a week that asked for one. */
    BACK(false),
    /** What the instructor decided instead. */
    OWN(false);

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
    Stepped start =
        new Stepped(
            first,
            Kind.START,
            FindingKind.WEEK_STARTS.of(words(first.range()), first.minutes(), first.days()));
    return ahead(new Proposed(start, first), aims, pace, 1, weeks, List.of());
  }

  /**
   * A week that is proposed after the one before was looked at.
   *
   * @param stepped what it asks for
   * @param usual what the weeks after it grow from: the same, unless it is a lighter one
   */
  public record Proposed(Stepped stepped, Dose usual) {}

  /** What a week that was looked at asks of the next one. */
  public enum Earned {
    STEP,
    HOLD,
    BACK
  }

  /**
   * The weeks from a decided one on, as if each of them were done.
   *
   * @param week the number of the decided one, from 1
   * @param weeks the number of the last one
   * @param before the minutes of every week before the decided one
   */
  static List<Stepped> ahead(
      Proposed decided, Aims aims, Pace pace, int week, int weeks, List<Integer> before) {
    List<Stepped> laid = new ArrayList<>();
    List<Integer> totals = new ArrayList<>(before);
    laid.add(decided.stepped);
    totals.add(decided.stepped.dose.total());
    Dose usual = decided.usual;
    for (int next = week + 1; next <= weeks; next++) {
      Stepped stepped = pace.lighter(next) ? lighter(usual) : next(usual, aims, pace, next, totals);
      usual = stepped.kind == Kind.LIGHTER ? usual : stepped.dose;
      laid.add(stepped);
      totals.add(stepped.dose.total());
    }
    return laid;
  }

  /**
   * The next week, from what was done.
   *
   * @param earned what the week before it earned
   * @param usual the doses of every week before it that was no lighter one, the latest last; at
   *     least one
   * @param week its number, from 2
   * @param done the minutes done in every week before it
   */
  static Proposed propose(
      Earned earned, List<Dose> usual, Aims aims, Pace pace, int week, List<Integer> done) {
    Dose last = usual.get(usual.size() - 1);
    // A start that was prescribed may be done again, however little of it was done.
    int limit = Math.max(pace.limit(week, done), usual.get(0).total());
    Stepped stepped =
        switch (earned) {
          case STEP ->
              last.total() <= pace.limit(week, done)
                  ? next(last, aims, pace, week, done)
                  : held(last, limit, "The minutes that were done leave no room for a step.");
          case HOLD -> held(last, limit, "What was done earns no step, and asks for none back.");
          case BACK -> back(usual, limit);
        };
    if (!pace.lighter(week)) {
      return new Proposed(stepped, stepped.dose);
    }
    Dose kept = earned == Earned.STEP ? last : stepped.dose;
    return new Proposed(lighter(kept), kept);
  }

  private static Stepped held(Dose last, int limit, String because) {
    return eased(last, limit)
        .orElseGet(() -> new Stepped(last, Kind.HELD, FindingKind.WEEK_HELD.of(because)));
  }

  /** The last step up undone; before any was made, shorter, then easier. */
  private static Stepped back(List<Dose> usual, int limit) {
    Dose last = usual.get(usual.size() - 1);
    Dose less = before(usual).or(() -> shorter(last)).or(() -> easier(last)).orElse(last);
    if (less.equals(last)) {
      return held(last, limit, "It is the least there is already.");
    }
    Dose fits = eased(less, limit).map(Stepped::dose).orElse(less);
    return new Stepped(
        fits,
        Kind.BACK,
        FindingKind.WEEK_BACK.of(words(fits.range()), fits.minutes(), fits.days()));
  }

  private static Optional<Dose> before(List<Dose> usual) {
    Dose last = usual.get(usual.size() - 1);
    for (int at = usual.size() - 2; at >= 0; at--) {
      Dose earlier = usual.get(at);
      if (earlier.range().high() < last.range().high()) {
        return Optional.of(
            new Dose(
                earlier.range(),
                Math.min(earlier.minutes(), last.minutes()),
                Math.min(earlier.days(), last.days()),
                last.type()));
      }
      if (earlier.range().equals(last.range()) && earlier.total() < last.total()) {
        return Optional.of(earlier);
      }
    }
    return Optional.empty();
  }

  private static Optional<Dose> shorter(Dose last) {
    int minutes = last.minutes() - MINUTES;
    return minutes >= Math.max(SHORTEST, last.type().fewestMinutes())
        ? Optional.of(last.lasting(minutes))
        : Optional.empty();
  }

  private static Optional<Dose> easier(Dose last) {
    int low = last.range().low() - INTENSITY;
    return low >= Limit.INTENSITY.lowest()
        ? Optional.of(
            new Dose(
                new Percents(low, last.range().high() - INTENSITY),
                last.minutes(),
                last.days(),
                last.type()))
        : Optional.empty();
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
