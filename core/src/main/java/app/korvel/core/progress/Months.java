package app.korvel.core.progress;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Rounding;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What has come of the training month by month, on one page. A change is named only where it is
 * more than chance, and nothing is compared across a change of medication.
 *
 * @param months the earliest first, up to this one
 * @param trends what was measured, each series alike
 * @param target the target that was met most often, with how hard it felt
 * @param medicineChanges days on which medication that touches the heart rate changed
 */
public record Months(
    List<Month> months,
    List<Trend> trends,
    Optional<SameTarget> target,
    List<LocalDate> medicineChanges) {

  /** How far back one can look, months. */
  public static final int MOST = 60;

  /** So far back one looks at first. */
  public static final int USUAL = 12;

  /**
   * The span as it was at the end of a month.
   *
   * @param maximumBy id of the equation, or of the kind it was measured as
   * @param estimated whether it was an equation's
   * @param lowerBpm where talking in sentences ended, measured or learned, if it was known
   * @param upperBpm where talking ended, likewise
   */
  public record Span(
      OptionalInt restingBpm,
      OptionalInt maximumBpm,
      String maximumBy,
      boolean estimated,
      OptionalInt lowerBpm,
      OptionalInt upperBpm) {}

  /**
   * A month.
   *
   * @param planned sessions that were due in it
   * @param done of those
   * @param extra sessions that were done and not planned
   * @param secondsByLevel from Sing to Silent: of recorded sessions by the second, of others all
   *     their minutes at their one level
   * @param restingBpm the median of its readings taken alike, the lower middle of an even number
   * @param meanRpe how hard the target that was met most often felt, to one decimal
   * @param span as it was at its end
   */
  public record Month(
      YearMonth month,
      int planned,
      int done,
      int extra,
      List<Integer> secondsByLevel,
      OptionalInt restingBpm,
      Optional<BigDecimal> meanRpe,
      Span span) {
    private static final int SECONDS_A_MINUTE = 60;

    public Month {
      secondsByLevel = List.copyOf(secondsByLevel);
    }

    /** Minutes at each level, half up. */
    public List<Integer> minutes() {
      return secondsByLevel.stream()
          .map(seconds -> Rounding.quotient(seconds, SECONDS_A_MINUTE))
          .toList();
    }

    /** The share of time below the level of phrases, whole percent half up; empty without any. */
    public OptionalInt easyPercent() {
      long all = secondsByLevel.stream().mapToLong(Integer::longValue).sum();
      long easy = 0;
      for (Level level : Level.values()) {
        easy += level.ordinal() < Level.PHRASES.ordinal() ? secondsByLevel.get(level.ordinal()) : 0;
      }
      return all == 0 ? OptionalInt.empty() : OptionalInt.of(Rounding.quotient(100 * easy, all));
    }

    /** Sessions done of those that were due, whole percent down; empty where none was. */
    public OptionalInt adherencePercent() {
      return planned == 0 ? OptionalInt.empty() : OptionalInt.of(100 * done / planned);
    }
  }

  /**
   * What is on record.
   *
   * @param planned every session that was to be done, of whichever programme
   * @param logs every log, in any order
   * @param readings every resting reading, in any order
   * @param measured trends of recoveries and tests
   * @param spans by month; one for every month that is looked at
   * @param medicineChanges days on which medication that touches the heart rate changed
   * @param medicineChangedAt the last such moment
   */
  public record Facts(
      Collection<TrainedWeek.Due> planned,
      Collection<SessionLog> logs,
      List<RestingReading> readings,
      List<Trend> measured,
      Map<YearMonth, Span> spans,
      List<LocalDate> medicineChanges,
      Optional<Instant> medicineChangedAt) {}

  public Months {
    months = List.copyOf(months);
    trends = List.copyOf(trends);
    medicineChanges = List.copyOf(medicineChanges);
  }

  /** The months that are looked at, the earliest first. */
  public static List<YearMonth> looked(int months, LocalDate today) {
    List<YearMonth> all = new ArrayList<>();
    for (int back = months - 1; back >= 0; back--) {
      all.add(YearMonth.from(today).minusMonths(back));
    }
    return all;
  }

  /** So many months up to this one. */
  public static Months of(Facts facts, int months, LocalDate today, ZoneId zone) {
    List<YearMonth> looked = looked(months, today);
    LocalDate since = looked.get(0).atDay(1);
    List<SessionLog> logs = facts.logs.stream().filter(log -> !log.on().isBefore(since)).toList();
    Optional<SameTarget> target =
        SameTarget.of(logs).stream().max(Comparator.comparingInt(each -> each.felt().size()));
    List<RestingReading> alike = alike(facts.readings, since, zone);
    List<Trend> trends = new ArrayList<>();
    if (!alike.isEmpty()) {
      trends.add(resting(alike, facts, since, zone));
    }
    trends.addAll(facts.measured);
    return new Months(
        new Counting(facts, logs, alike, target, today, zone).months(looked),
        trends,
        target,
        facts.medicineChanges.stream().filter(day -> !day.isBefore(since)).toList());
  }

  /** Those of the posture and source in which most were taken; the latest of two. */
  private static List<RestingReading> alike(
      List<RestingReading> all, LocalDate since, ZoneId zone) {
    Map<String, List<RestingReading>> groups = new HashMap<>();
    all.stream()
        .filter(reading -> !LocalDate.ofInstant(reading.takenAt(), zone).isBefore(since))
        .sorted(Comparator.comparing(RestingReading::takenAt))
        .forEach(
            reading ->
                groups
                    .computeIfAbsent(
                        reading.posture() + " " + reading.source(), key -> new ArrayList<>())
                    .add(reading));
    return groups.values().stream()
        .max(
            Comparator.<List<RestingReading>>comparingInt(List::size)
                .thenComparing(group -> group.get(group.size() - 1).takenAt()))
        .orElse(List.of());
  }

  private static Trend resting(
      List<RestingReading> alike, Facts facts, LocalDate since, ZoneId zone) {
    List<Trend.Value> values =
        alike.stream()
            .map(each -> new Trend.Value(LocalDate.ofInstant(each.takenAt(), zone), each.bpm()))
            .toList();
    return new Trend(
        Trend.Kind.RESTING,
        RestingChange.taken(alike.get(0)),
        Trend.points(values, facts.medicineChanges),
        RestingChange.since(alike, since, facts.medicineChangedAt, zone)
            .map(RestingChange::finding));
  }

  /** What is said, changes first. */
  public List<Finding> findings() {
    return trends.stream()
        .sorted(Comparator.comparing(trend -> !trend.changed()))
        .flatMap(trend -> trend.finding().stream())
        .toList();
  }

  /** Counts what belongs to a month, every record looked at once. */
  private static final class Counting {
    private final Map<YearMonth, int[]> seconds = new HashMap<>();
    private final Map<YearMonth, Integer> extra = new HashMap<>();
    private final Map<YearMonth, Integer> planned = new HashMap<>();
    private final Map<YearMonth, Integer> done = new HashMap<>();
    private final Map<YearMonth, List<Integer>> resting = new HashMap<>();
    private final Map<YearMonth, List<Integer>> rpe = new HashMap<>();
    private final Map<YearMonth, Span> spans;

    Counting(
        Facts facts,
        List<SessionLog> logs,
        List<RestingReading> readings,
        Optional<SameTarget> target,
        LocalDate today,
        ZoneId zone) {
      spans = facts.spans;
      Set<Integer> logged = new HashSet<>();
      Set<Integer> finished = new HashSet<>();
      facts.logs.forEach(log -> log.number().ifPresent(logged::add));
      facts.logs.stream()
          .filter(SessionLog::done)
          .forEach(log -> log.number().ifPresent(finished::add));
      logs.stream().filter(SessionLog::trained).forEach(this::train);
      for (TrainedWeek.Due due : facts.planned) {
        // Today's is owed once it has been logged, and not before the day is over.
        boolean owed =
            due.date().isBefore(today) || due.date().equals(today) && logged.contains(due.number());
        if (owed) {
          planned.merge(YearMonth.from(due.date()), 1, Integer::sum);
          done.merge(
              YearMonth.from(due.date()), finished.contains(due.number()) ? 1 : 0, Integer::sum);
        }
      }
      readings.forEach(
          reading ->
              resting
                  .computeIfAbsent(
                      YearMonth.from(LocalDate.ofInstant(reading.takenAt(), zone)),
                      month -> new ArrayList<>())
                  .add(reading.bpm()));
      target
          .map(SameTarget::felt)
          .orElse(List.of())
          .forEach(
              felt ->
                  rpe.computeIfAbsent(YearMonth.from(felt.on()), month -> new ArrayList<>())
                      .add(felt.rpe20()));
    }

    private void train(SessionLog log) {
      YearMonth month = YearMonth.from(log.on());
      int[] sum = seconds.computeIfAbsent(month, key -> new int[Level.values().length]);
      List<Integer> mine = log.secondsByLevel();
      for (int level = 0; level < sum.length; level++) {
        sum[level] += mine.get(level);
      }
      if (log.done() && log.number().isEmpty()) {
        extra.merge(month, 1, Integer::sum);
      }
    }

    List<Month> months(List<YearMonth> looked) {
      return looked.stream().map(this::month).toList();
    }

    private Month month(YearMonth month) {
      int[] sum = seconds.getOrDefault(month, new int[Level.values().length]);
      List<Integer> felt = rpe.getOrDefault(month, List.of());
      List<Integer> taken = resting.getOrDefault(month, List.of()).stream().sorted().toList();
      return new Month(
          month,
          planned.getOrDefault(month, 0),
          done.getOrDefault(month, 0),
          extra.getOrDefault(month, 0),
          Arrays.stream(sum).boxed().toList(),
          taken.isEmpty() ? OptionalInt.empty() : OptionalInt.of(taken.get((taken.size() - 1) / 2)),
          felt.isEmpty()
              ? Optional.empty()
              : Optional.of(
                  BigDecimal.valueOf(felt.stream().mapToInt(Integer::intValue).sum())
                      .divide(BigDecimal.valueOf(felt.size()), 1, RoundingMode.HALF_UP)),
          spans.get(month));
    }
  }
}
