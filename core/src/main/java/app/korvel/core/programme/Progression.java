package app.korvel.core.programme;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Start;
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
  private static final int LEFT = Threshold.LAY_OFF_SHARE.whole();
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
    /** On from the last week done, after weeks without a session. */
    RESUMED(false),
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
  public record WeekPlan(Dose dose, Kind kind, Finding because) {}

  /** The doses of so many weeks, from the first one on, as if each were done. */
  public static List<WeekPlan> of(Dose first, ProgrammeGoal aims, Pace pace, int weeks) {
    return of(first, aims, pace, weeks, List.of());
  }

  /** The same after weeks of training in which so many minutes were done. */
  static List<WeekPlan> of(
      Dose first, ProgrammeGoal aims, Pace pace, int weeks, List<Integer> before) {
    WeekPlan start = start(first, pace, before);
    return replanFrom(new Proposed(start, start.dose), aims, pace, 1, weeks, before);
  }

  /** What is prescribed; after weeks of training, as much of it as they leave room for. */
  private static WeekPlan start(Dose first, Pace pace, List<Integer> before) {
    int best = Pace.best(before);
    int limit = best == 0 ? first.total() : pace.limit(1, before);
    return eased(first, limit)
        .map(WeekPlan::dose)
        .map(
            dose ->
                new WeekPlan(
                    dose,
                    Kind.START,
                    ProgrammeFinding.START_EASED.of(dose.minutes(), dose.days(), best, limit)))
        .orElseGet(
            () ->
                new WeekPlan(
                    first,
                    Kind.START,
                    ProgrammeFinding.WEEK_STARTS.of(
                        words(first.range()), first.minutes(), first.days())));
  }

  /**
   * A week that is proposed after the one before was looked at.
   *
   * @param stepped what it asks for
   * @param usual what the weeks after it grow from: the same, unless it is a lighter one
   */
  public record Proposed(WeekPlan stepped, Dose usual) {}

  /** What a week that was looked at asks of the next one. */
  public enum ProgressionVote {
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
  static List<WeekPlan> replanFrom(
      Proposed decided, ProgrammeGoal aims, Pace pace, int week, int weeks, List<Integer> before) {
    List<WeekPlan> laid = new ArrayList<>();
    List<Integer> totals = new ArrayList<>(before);
    laid.add(decided.stepped);
    totals.add(decided.stepped.dose.total());
    Dose usual = decided.usual;
    for (int next = week + 1; next <= weeks; next++) {
      WeekPlan stepped =
          pace.lighter(next) ? lighter(usual) : next(usual, aims, pace, next, totals);
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
      ProgressionVote earned,
      List<Dose> usual,
      ProgrammeGoal aims,
      Pace pace,
      int week,
      List<Integer> done) {
    Dose last = usual.get(usual.size() - 1);
    int limit = limit(pace, week, done, usual.get(0));
    WeekPlan stepped =
        switch (earned) {
          case STEP -> next(last, aims, pace, week, limit);
          case HOLD -> held(last, limit, "What was done earns no step up, and none down.");
          case BACK -> back(usual, limit);
        };
    if (!pace.lighter(week)) {
      return new Proposed(stepped, stepped.dose);
    }
    Dose kept = earned == ProgressionVote.STEP ? last : stepped.dose;
    return new Proposed(lighter(kept), kept);
  }

  /** The most minutes of a week; where nothing was done at all, those of the start. */
  private static int limit(Pace pace, int week, List<Integer> done, Dose start) {
    return Pace.best(done) == 0 ? start.total() : pace.limit(week, done);
  }

  /**
   * The next week after weeks without a session.
   *
   * @param layOff how long, and what was done before it
   * @param start a new start by present activity
   * @param week its number, from 2
   * @param done the minutes done in every week before it
   */
  static Proposed resumed(LayOff layOff, Dose start, Pace pace, int week, List<Integer> done) {
    Dose before = layOff.before();
    Dose dose =
        switch (layOff.length()) {
          case SHORT -> before;
          case CUT -> before.lasting(Math.max(fewest(before), before.minutes() * LEFT / 100));
          case NEW_START -> start;
        };
    // A new start is one: what was done long ago does not hold it.
    Dose fits =
        layOff.length() == LayOff.Length.NEW_START
            ? dose
            : eased(dose, limit(pace, week, done, start)).map(WeekPlan::dose).orElse(dose);
    return new Proposed(new WeekPlan(fits, Kind.RESUMED, layOff.finding(fits)), fits);
  }

  private static WeekPlan held(Dose last, int limit, String because) {
    return eased(last, limit)
        .orElseGet(() -> new WeekPlan(last, Kind.HELD, ProgrammeFinding.WEEK_HELD.of(because)));
  }

  /** The last step up undone; before any was made, shorter, then easier. */
  private static WeekPlan back(List<Dose> usual, int limit) {
    Dose last = usual.get(usual.size() - 1);
    Dose less = before(usual).or(() -> shorter(last)).or(() -> easier(last)).orElse(last);
    if (less.equals(last)) {
      return held(last, limit, "It is the least there is already.");
    }
    Dose fits = eased(less, limit).map(WeekPlan::dose).orElse(less);
    return new WeekPlan(
        fits,
        Kind.BACK,
        ProgrammeFinding.WEEK_BACK.of(words(fits.range()), fits.minutes(), fits.days()));
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
    return minutes >= fewest(last) ? Optional.of(last.lasting(minutes)) : Optional.empty();
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
  public static WeekPlan next(
      Dose last, ProgrammeGoal aims, Pace pace, int week, List<Integer> before) {
    return next(last, aims, pace, week, pace.limit(week, before));
  }

  private static WeekPlan next(Dose last, ProgrammeGoal aims, Pace pace, int week, int limit) {
    boolean light = week <= pace.lightWeeks() && last.range().high() + INTENSITY > LIGHT_UP_TO;
    return Stream.of(
            eased(last, limit),
            moderate(last, aims, pace, week),
            minutes(last, aims, limit),
            day(last, aims, limit),
            light ? Optional.<WeekPlan>empty() : intensity(last, aims, limit))
        .flatMap(Optional::stream)
        .findFirst()
        .orElseGet(() -> held(last, aims, light, pace, limit));
  }

  /** The shortest session of its type. */
  private static int fewest(Dose dose) {
    return Math.max(SHORTEST, dose.type().fewestMinutes());
  }

  /** As many days as the limit leaves room for; too little for the type makes it a steady one. */
  private static Optional<WeekPlan> eased(Dose last, int limit) {
    if (last.total() <= limit) {
      return Optional.empty();
    }
    WorkType type = limit < fewest(last) ? WorkType.STEADY : last.type();
    int fewest = Math.max(SHORTEST, type.fewestMinutes());
    int days = Math.max(1, Math.min(last.days(), limit / fewest));
    int minutes = Math.max(fewest, limit / days);
    return Optional.of(
        new WeekPlan(
            new Dose(last.range(), minutes, days, type),
            Kind.EASED,
            ProgrammeFinding.WEEK_EASED.of(minutes, days, limit)));
  }

  /**
   * A cautious start is light for so many weeks at most, whatever minutes and days have come to.
   */
  private static Optional<WeekPlan> moderate(Dose last, ProgrammeGoal aims, Pace pace, int week) {
    Percents range = Start.range(Approach.GUIDELINE);
    boolean over =
        pace.lightWeeks() > 0 && week > pace.lightWeeks() && last.range().high() <= LIGHT_UP_TO;
    return over && range.high() <= aims.highPercent()
        ? Optional.of(
            new WeekPlan(
                new Dose(range, last.minutes(), last.days(), last.type()),
                Kind.INTENSITY,
                ProgrammeFinding.STEP_TO_MODERATE.of(words(range), pace.lightWeeks())))
        : Optional.empty();
  }

  private static Optional<WeekPlan> minutes(Dose last, ProgrammeGoal aims, int limit) {
    int longer = Math.min(Math.min(aims.minutes(), last.minutes() + MINUTES), limit / last.days());
    return longer <= last.minutes()
        ? Optional.empty()
        : Optional.of(
            new WeekPlan(
                last.lasting(longer),
                Kind.MINUTES,
                ProgrammeFinding.STEP_MINUTES.of(longer, aims.minutes(), limit)));
  }

  private static Optional<WeekPlan> day(Dose last, ProgrammeGoal aims, int limit) {
    int days = last.days() + 1;
    int shared = Math.min(last.minutes(), limit / days);
    return days > aims.days() || shared < fewest(last) || shared * days < last.total()
        ? Optional.empty()
        : Optional.of(
            new WeekPlan(
                new Dose(last.range(), shared, days, last.type()),
                Kind.DAY,
                ProgrammeFinding.STEP_DAY.of(days, shared, limit, noMinutes(last, aims, limit))));
  }

  private static Optional<WeekPlan> intensity(Dose last, ProgrammeGoal aims, int limit) {
    Percents range = new Percents(last.range().low() + INTENSITY, last.range().high() + INTENSITY);
    if (range.high() > aims.highPercent()) {
      return Optional.empty();
    }
    // The step with which a range comes to ask for vigorous work.
    boolean past = !last.range().asksVigorous() && range.asksVigorous();
    int minutes =
        past ? Math.max(fewest(last), last.minutes() - last.minutes() / CUT) : last.minutes();
    return Optional.of(
        new WeekPlan(
            new Dose(range, minutes, last.days(), last.type()),
            Kind.INTENSITY,
            past
                ? ProgrammeFinding.STEP_PAST_MODERATE.of(words(range), minutes)
                : ProgrammeFinding.STEP_INTENSITY.of(words(range), noRoom(last, aims, limit))));
  }

  /** Why the minutes of a session do not grow, as a sentence. */
  private static String noMinutes(Dose last, ProgrammeGoal aims, int limit) {
    return last.minutes() >= aims.minutes()
        ? "The minutes have reached the goal."
        : "No longer session fits in the " + limit + " min the week may hold.";
  }

  /** Why neither minutes nor days grow, in sentences. */
  private static String noRoom(Dose last, ProgrammeGoal aims, int limit) {
    if (last.minutes() >= aims.minutes() && last.days() >= aims.days()) {
      return "Minutes and days have reached the goal.";
    }
    String shortest =
        fewest(last) > SHORTEST
            ? ", where “" + last.type().displayName() + "” takes " + fewest(last) + " min at least"
            : "";
    return noMinutes(last, aims, limit)
        + (last.days() >= aims.days()
            ? " The days have reached the goal."
            : " No further day fits in " + limit + " min" + shortest + ".");
  }

  /**
   * 60 to 70 % of the minutes: shorter sessions, a whole five minutes where there is one; where
   * they would be too short for their type, fewer of them, as near to it as there is.
   */
  private static WeekPlan lighter(Dose usual) {
    Dose best = usual;
    for (int days = usual.days(); days >= 1; days--) {
      for (int minutes = usual.minutes(); minutes >= fewest(usual); minutes--) {
        Dose dose = new Dose(usual.range(), minutes, days, usual.type());
        best = lighterFit(dose, usual) < lighterFit(best, usual) ? dose : best;
      }
    }
    FindingKind kind =
        outside(best, usual) == 0
            ? ProgrammeFinding.WEEK_LIGHTER
            : best.equals(usual)
                ? ProgrammeFinding.WEEK_NOT_LIGHTER
                : ProgrammeFinding.WEEK_LIGHTER_AS_FAR;
    return new WeekPlan(
        best,
        Kind.LIGHTER,
        kind.ofFirst(
            best.minutes(),
            best.days(),
            100 * best.total() / usual.total(),
            usual.type().displayName(),
            fewest(usual)));
  }

  /** The nearer to 60 to 70 %, the lower; then by days kept, then a whole five minutes. */
  private static int lighterFit(Dose dose, Dose usual) {
    int fromMiddle = Math.abs(200 * dose.total() - (LIGHTER_FROM + LIGHTER_TO) * usual.total());
    boolean five = dose.minutes() % 5 == 0;
    return 10_000_000 * outside(dose, usual)
        + 1_000_000 * (usual.days() - dose.days())
        + (five ? -dose.minutes() : 500_000 + fromMiddle / 100);
  }

  /** By how many percents of the usual minutes it lies outside 60 to 70 %. */
  private static int outside(Dose dose, Dose usual) {
    int under = LIGHTER_FROM * usual.total() - 100 * dose.total();
    int over = 100 * dose.total() - LIGHTER_TO * usual.total();
    return (Math.max(0, Math.max(under, over)) + usual.total() - 1) / usual.total();
  }

  private static WeekPlan held(Dose last, ProgrammeGoal aims, boolean light, Pace pace, int limit) {
    boolean waits = light && last.range().high() < aims.highPercent();
    return new WeekPlan(
        last,
        Kind.HELD,
        ProgrammeFinding.WEEK_HELD.of(
            waits
                ? "The cautious start stays light until week " + pace.lightWeeks() + "."
                : noRoom(last, aims, limit) + " Intensity has reached the goal."));
  }

  private static String words(Percents range) {
    return range.low() + "–" + range.high();
  }
}
