package app.korvel.core.progress;

import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.Level;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;

/**
 * A week as it was trained.
 *
 * @param startsOn its Monday
 * @param planned sessions that were to be done on its days, as far as those days are over
 * @param done sessions of them that were done
 * @param extra sessions that were done and not planned
 * @param minutes at each level, from Sing to Silent: of recorded sessions by the second, summed and
 *     then rounded half up
 */
public record TrainedWeek(
    LocalDate startsOn, int planned, int done, int extra, List<Integer> minutes) {
  private static final int VIGOROUS_WORTH = Threshold.VIGOROUS_WORTH.whole();

  public TrainedWeek {
    minutes = List.copyOf(minutes);
  }

  /**
   * A session that was to be done.
   *
   * @param number by which its log is found
   * @param date the day it was on
   */
  public record Due(int number, LocalDate date) {}

  /**
   * So many weeks up to this one, the earliest first.
   *
   * @param planned the client's sessions that were not left out, of whichever programme
   * @param logs the client's, in any order
   * @param thisWeek its first day
   */
  static List<TrainedWeek> of(
      Collection<Due> planned,
      Collection<SessionLog> logs,
      int weeks,
      LocalDate thisWeek,
      LocalDate today) {
    List<TrainedWeek> all = new ArrayList<>();
    for (int back = weeks - 1; back >= 0; back--) {
      all.add(of(thisWeek.minusWeeks(back), planned, logs, today));
    }
    return all;
  }

  private static TrainedWeek of(
      LocalDate first, Collection<Due> planned, Collection<SessionLog> logs, LocalDate today) {
    List<Due> due =
        planned.stream()
            .filter(each -> within(first, each.date) && each.date.isBefore(today.plusDays(1)))
            // Today's is owed once it has been logged, and not before the day is over.
            .filter(each -> each.date.isBefore(today) || logged(each, logs))
            .toList();
    int done = (int) due.stream().filter(each -> done(each, logs)).count();
    int[] seconds = new int[Level.values().length];
    int extra = 0;
    for (SessionLog log : logs) {
      if (log.trained() && within(first, log.on())) {
        List<Integer> mine = log.secondsByLevel();
        for (int level = 0; level < seconds.length; level++) {
          seconds[level] += mine.get(level);
        }
        extra += log.done() && log.number().isEmpty() ? 1 : 0;
      }
    }
    return new TrainedWeek(
        first,
        due.size(),
        done,
        extra,
        Arrays.stream(seconds).map(each -> Rounding.quotient(each, 60)).boxed().toList());
  }

  private static boolean within(LocalDate first, LocalDate day) {
    return !day.isBefore(first) && day.isBefore(first.plusWeeks(1));
  }

  private static boolean logged(Due session, Collection<SessionLog> logs) {
    return logs.stream().anyMatch(log -> log.number().filter(n -> n == session.number).isPresent());
  }

  private static boolean done(Due session, Collection<SessionLog> logs) {
    return logs.stream()
        .anyMatch(log -> log.done() && log.number().filter(n -> n == session.number).isPresent());
  }

  /** All its minutes. */
  public int allMinutes() {
    return minutes.stream().mapToInt(Integer::intValue).sum();
  }

  /** Moderate minutes, and vigorous ones twice (WHO 2020); light ones are worth 0. */
  public int moderateEquivalentMinutes() {
    int sum = 0;
    for (Level level : Level.values()) {
      int worth =
          switch (GuidelineClass.ofReserve(BigDecimal.valueOf(level.fromPercent()))) {
            case LIGHT -> 0;
            case MODERATE -> 1;
            case VIGOROUS, NEAR_MAXIMAL -> VIGOROUS_WORTH;
          };
      sum += worth * minutes.get(level.ordinal());
    }
    return sum;
  }
}
