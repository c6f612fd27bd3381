package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Level;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The talk checks of one client in one mode, day by day, and what they come to today. Nothing of it
 * is kept: it is worked out from the checks whenever it is asked for.
 *
 * @param span what is known besides
 * @param today as of when
 * @param before what is believed before any check
 * @param days with a used check, the earliest first
 * @param belief what is believed today
 * @param notUsed checks that are kept and not used, the latest first
 */
public record TalkSeries(
    TalkSpan span,
    LocalDate today,
    TalkBelief before,
    List<Day> days,
    TalkBelief belief,
    List<LeftOut> notUsed) {

  /**
   * A day with checks.
   *
   * @param odd what made it unusual; nothing on a usual one
   * @param checks that were used, in the order of their times
   * @param lowerBefore what was believed of the lower rate when the day began
   * @param upperBefore and of the upper one
   * @param lower what is believed after it
   * @param upper and of the upper one
   */
  public record Day(
      LocalDate on,
      Set<OddDay> odd,
      List<Used> checks,
      Spread lowerBefore,
      Spread upperBefore,
      Spread lower,
      Spread upper) {

    /** In a line, for example {@code phrases at 136, sentences at 134, heard, strap: 137 → 136}. */
    public String words() {
      String said =
          checks.stream()
              .map(used -> used.check().said().words())
              .collect(Collectors.joining(", "));
      String how =
          checks.stream()
              .map(
                  used ->
                      used.check().said().hearing().words()
                          + ", "
                          + used.check().said().by().words())
              .distinct()
              .collect(Collectors.joining(" or "));
      String unusual =
          odd.isEmpty()
              ? ""
              : "; unusual day ("
                  + odd.stream().map(OddDay::displayName).collect(Collectors.joining(", "))
                  + "), so it counts less";
      return said + ", " + how + unusual + ": " + lowerBefore.shownBpm() + " → " + lower.shownBpm();
    }
  }

  /**
   * A check that was used.
   *
   * @param chanceBefore how likely it was by what was believed when its day began
   * @param surprise what it would mean, were it not a mistake; empty where it was to be expected
   */
  public record Used(TalkCheck check, double chanceBefore, Optional<Direction> surprise) {
    private boolean is(Direction way) {
      return surprise.filter(way::equals).isPresent();
    }
  }

  /** A check that was not used, and why. */
  public record LeftOut(TalkCheck check, NotUsed why) {}

  /** Which way checks contradict what is believed. */
  public enum Direction {
    /** The same rate is harder than it was. */
    HARDER,
    EASIER
  }

  /**
   * What decides which checks are used.
   *
   * @param takenOut ids of those taken out by hand
   * @param from earlier checks are not used: the day learning was started anew
   * @param medicineChangedAt earlier checks are not used
   */
  public record Choice(
      Set<UUID> takenOut, Optional<LocalDate> from, Optional<Instant> medicineChangedAt) {
    /** Every check. */
    public static final Choice ALL = new Choice(Set.of(), Optional.empty(), Optional.empty());
  }

  public TalkSeries {
    days = List.copyOf(days);
    notUsed = List.copyOf(notUsed);
  }

  /**
   * Works it out.
   *
   * @param checks of one mode, in any order; none after {@code today}
   */
  public static TalkSeries of(
      TalkSpan span, List<TalkCheck> checks, Choice choice, LocalDate today, ZoneId zone) {
    List<TalkCheck> ordered =
        checks.stream()
            .sorted(Comparator.comparing(TalkCheck::at).thenComparing(TalkCheck::id))
            .toList();
    List<LeftOut> leftOut = new ArrayList<>();
    List<TalkCheck> used = used(ordered, choice, today, zone, leftOut);
    leftOut.sort(Comparator.comparing((LeftOut each) -> each.check.at()).reversed());
    TalkBelief before = TalkBelief.before(span);
    TalkBelief belief = before;
    List<Day> days = new ArrayList<>();
    long weeks = 0;
    for (int n = 0; n < used.size(); ) {
      LocalDate on = used.get(n).day(zone);
      int from = n;
      while (n < used.size() && used.get(n).day(zone).equals(on)) {
        n++;
      }
      List<TalkCheck> ofDay = used.subList(from, n);
      long passed = ChronoUnit.DAYS.between(used.get(0).day(zone), on) / 7;
      belief = belief.afterWeeks((int) (passed - weeks));
      weeks = passed;
      Set<OddDay> odd = new TreeSet<>();
      ofDay.forEach(check -> odd.addAll(check.odd()));
      Spread lowerBefore = belief.lower();
      Spread upperBefore = belief.upper();
      TalkBelief.Day day =
          belief.day(
              ofDay.stream().map(check -> span.weighed(check.said())).toList(), !odd.isEmpty());
      belief = day.after();
      days.add(
          new Day(
              on,
              odd,
              IntStream.range(0, ofDay.size())
                  .mapToObj(at -> judged(ofDay.get(at), day.chances()[at], lowerBefore))
                  .toList(),
              lowerBefore,
              upperBefore,
              belief.lower(),
              belief.upper()));
    }
    if (!used.isEmpty()) {
      long passed = ChronoUnit.DAYS.between(used.get(0).day(zone), today) / 7;
      belief = belief.afterWeeks((int) (passed - weeks));
    }
    return new TalkSeries(span, today, before, days, belief, leftOut);
  }

  private static Used judged(TalkCheck check, double chance, Spread lower) {
    boolean surprise = chance < Threshold.LEARNED_SURPRISE.value().doubleValue() / 100;
    Speech speech = check.said().speech();
    boolean harder =
        speech == Speech.WORDS || speech == Speech.PHRASES && check.said().bpm() < lower.meanBpm();
    return new Used(
        check,
        chance,
        surprise ? Optional.of(harder ? Direction.HARDER : Direction.EASIER) : Optional.empty());
  }

  private static List<TalkCheck> used(
      List<TalkCheck> ordered, Choice choice, LocalDate today, ZoneId zone, List<LeftOut> leftOut) {
    List<TalkCheck> used = new ArrayList<>();
    Map<LocalDate, Integer> aDay = new HashMap<>();
    Optional<TalkCheck> last = Optional.empty();
    for (TalkCheck check : ordered) {
      Optional<NotUsed> why = byItself(check, choice, today, zone);
      if (why.isEmpty() && check.ofTest()) {
        used.add(check);
        continue;
      }
      if (why.isEmpty() && last.filter(other -> sameAgain(other, check)).isPresent()) {
        why = Optional.of(NotUsed.SAME_AGAIN);
      }
      if (why.isEmpty()) {
        last = Optional.of(check);
        int count = aDay.merge(check.day(zone), 1, Integer::sum);
        why =
            count > Threshold.TALK_A_DAY.whole()
                ? Optional.of(NotUsed.MORE_THAN_A_DAY)
                : Optional.empty();
      }
      if (why.isPresent()) {
        leftOut.add(new LeftOut(check, why.get()));
      } else {
        used.add(check);
      }
    }
    int beyond = Math.max(0, used.size() - Threshold.TALK_NEWEST.whole());
    used.subList(0, beyond)
        .forEach(check -> leftOut.add(new LeftOut(check, NotUsed.BEYOND_NEWEST)));
    return used.subList(beyond, used.size());
  }

  private static Optional<NotUsed> byItself(
      TalkCheck check, Choice choice, LocalDate today, ZoneId zone) {
    LocalDate on = check.day(zone);
    if (choice.takenOut.contains(check.id())) {
      return Optional.of(NotUsed.TAKEN_OUT);
    }
    if (!check.doubts().isEmpty()) {
      return check.doubts().stream().findFirst();
    }
    if (check.rpe20().filter(rpe -> apart(rpe, check.said().voice())).isPresent()) {
      return Optional.of(NotUsed.RPE_APART);
    }
    if (choice.medicineChangedAt.filter(check.at()::isBefore).isPresent()) {
      return Optional.of(NotUsed.BEFORE_MEDICINE);
    }
    if (choice.from.filter(on::isBefore).isPresent()) {
      return Optional.of(NotUsed.BEFORE_RESET);
    }
    return ChronoUnit.DAYS.between(on, today) >= Threshold.TALK_OLD.whole()
        ? Optional.of(NotUsed.OLD)
        : Optional.empty();
  }

  private static boolean apart(int rpe20, int voice) {
    return Math.abs(Level.atRpe20(rpe20).number() - voice) >= Threshold.TALK_RPE_APART.whole();
  }

  private static boolean sameAgain(TalkCheck before, TalkCheck check) {
    Duration soon = Duration.ofMinutes(Threshold.TALK_SAME_MINUTES.whole());
    return Duration.between(before.at(), check.at()).compareTo(soon) <= 0
        && Math.abs(before.said().bpm() - check.said().bpm()) <= Threshold.TALK_SAME_BPM.whole();
  }

  /** What is believed before any check, in words. */
  public String start() {
    Spread spread = before.lower();
    return "%d %% of a reserve of %d: %d, ± %d"
        .formatted(
            Threshold.TALK_LOWER_SHARE.whole(),
            span.reserve().bpm(),
            spread.shownBpm(),
            spread.shownPlusMinus());
  }

  /** Every check that is used, in the order of their times. */
  public List<Used> used() {
    return days.stream().flatMap(day -> day.checks.stream()).toList();
  }

  /** How likely a check would be by what is believed today, on a usual day. */
  public double chance(TalkCheck.Said said) {
    return belief.chance(span.weighed(said));
  }

  /**
   * The two surprises of one way, on different days, that contradict what is believed: the latest
   * two days of those that say it is harder, which nothing easier outweighs; else of those that say
   * it is easier.
   *
   * @param since surprises up to this day are settled
   */
  Optional<Contradiction> contradiction(Optional<LocalDate> since) {
    return Stream.of(Direction.HARDER, Direction.EASIER)
        .flatMap(way -> contradiction(way, since).stream())
        .findFirst();
  }

  private Optional<Contradiction> contradiction(Direction way, Optional<LocalDate> since) {
    List<LocalDate> on =
        days.stream()
            .filter(day -> since.filter(settled -> !day.on.isAfter(settled)).isEmpty())
            .filter(day -> day.checks.stream().anyMatch(each -> each.is(way)))
            .map(Day::on)
            .toList();
    return IntStream.range(1, on.size())
        .mapToObj(n -> new Contradiction(way, on.get(n - 1), on.get(n)))
        .filter(
            each ->
                ChronoUnit.DAYS.between(each.first, each.second)
                    <= Threshold.LEARNED_SURPRISE_DAYS.whole())
        .reduce((before, after) -> after);
  }

  /**
   * Two days whose checks do not fit what is believed.
   *
   * @param first the earlier one: starting anew from it settles the matter
   */
  public record Contradiction(Direction way, LocalDate first, LocalDate second) {}

  /**
   * A check step by step: how likely it is for someone whose sentences end at its rate and 5 bpm to
   * either side, and what it makes of the belief.
   *
   * @param chances by lower rates, the upper one as far above as is believed
   * @param underBefore how strongly it was believed when its day began that sentences end lower
   * @param underAfter how strongly it was believed after that day
   */
  public record LongHand(
      Used used, List<Chance> chances, int bpm, double underBefore, double underAfter) {}

  /** How likely a check is for someone whose sentences end there. */
  public record Chance(int lowerBpm, double chance) {}

  /** How one used check was weighed; empty where there is no such check among the used ones. */
  public Optional<LongHand> longHand(UUID check) {
    TalkBelief then = before;
    long weeks = 0;
    for (Day day : days) {
      long passed = ChronoUnit.DAYS.between(days.get(0).on, day.on) / 7;
      then = then.afterWeeks((int) (passed - weeks));
      weeks = passed;
      TalkBelief after =
          then.day(
                  day.checks.stream().map(each -> span.weighed(each.check.said())).toList(),
                  !day.odd.isEmpty())
              .after();
      for (Used used : day.checks) {
        if (used.check.id().equals(check)) {
          return Optional.of(longHand(used, day, then, after));
        }
      }
      then = after;
    }
    return Optional.empty();
  }

  private LongHand longHand(Used used, Day day, TalkBelief then, TalkBelief after) {
    int bpm = used.check.said().bpm();
    TalkBelief.Weighed weighed = span.weighed(used.check.said());
    double gap = day.upperBefore.meanBpm() - day.lowerBefore.meanBpm();
    int step = Threshold.LEVELS_APART.whole();
    List<Chance> chances = new ArrayList<>();
    for (int lower = bpm - step; lower <= bpm + step; lower += step) {
      chances.add(new Chance(lower, weighed.chance(lower, lower + gap)));
    }
    int at = bpm - step;
    return new LongHand(used, chances, at, then.lowerUnder(at), after.lowerUnder(at));
  }

  /** The newest day of a check near a rate, among the used ones. */
  public Optional<LocalDate> newestNear(int bpm) {
    return days.stream()
        .filter(day -> day.checks.stream().anyMatch(each -> near(each, bpm)))
        .map(Day::on)
        .max(Comparator.naturalOrder());
  }

  static boolean near(Used used, int bpm) {
    return Math.abs(used.check.said().bpm() - bpm) <= Threshold.LEARNED_NEAR.whole();
  }
}
