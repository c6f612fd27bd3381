package app.korvel.core.pulse;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Threshold;
import app.korvel.core.measure.Working;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/**
 * The resting value that everything else starts from, and what it stands on.
 *
 * <p>The median of the latest three readings of one posture and source, graded fair or better,
 * within 56 days; with fewer, the latest good one, else the latest. Readings within 56 days come
 * before older ones; where only older ones are left, the value stands and is due again. A reading
 * that departs far from those before it on the same day counts only if somebody said so.
 *
 * @param bpm the value
 * @param standardErrorBpm σ of the value: spread from day to day and the error of the counting
 * @param basis the readings it stands on, latest first
 * @param due whether it is to be measured again
 * @param dueOn the first day on which it is due, if nothing is measured until then
 * @param stale whether it was taken before a change of medicine, and no rate may be built on it
 * @param readings all that were looked at, latest first
 * @param findings how it was chosen, and whether it is due
 */
public record WorkingResting(
    int bpm,
    BigDecimal standardErrorBpm,
    List<RestingReading> basis,
    boolean due,
    LocalDate dueOn,
    boolean stale,
    List<RestingReading> readings,
    List<Finding> findings) {

  /** Days after which a resting value is measured again. */
  public static final int DUE_AFTER_DAYS = Threshold.RESTING_DUE.whole();

  private static final int MEDIAN_OF = Threshold.RESTING_MEDIAN.whole();

  public WorkingResting {
    basis = List.copyOf(basis);
    readings = List.copyOf(readings);
    findings = List.copyOf(findings);
  }

  /**
   * The working value on {@code today}.
   *
   * @param readings in any order; none may lie after today
   * @param zone the studio's time zone, in which days are counted
   * @return nothing when there is no reading
   */
  public static Optional<WorkingResting> of(
      List<RestingReading> readings, LocalDate today, ZoneId zone) {
    return of(readings, Optional.empty(), today, zone);
  }

  /**
   * The working value on {@code today}, of someone whose medicines may have changed.
   *
   * @param medicinesChangedAt readings before it are out of date: they count only while there is
   *     none since, and then the value says so
   */
  public static Optional<WorkingResting> of(
      List<RestingReading> readings,
      Optional<Instant> medicinesChangedAt,
      LocalDate today,
      ZoneId zone) {
    List<RestingReading> since =
        readings.stream()
            .filter(
                reading ->
                    medicinesChangedAt.map(at -> !reading.takenAt().isBefore(at)).orElse(true))
            .toList();
    return since.isEmpty()
        ? ofAll(readings, today, zone)
            .map(value -> value.staleSince(LocalDate.ofInstant(medicinesChangedAt.get(), zone)))
        : ofAll(since, today, zone);
  }

  /** Readings taken since that day decide, unless {@link #olderMatter}. */
  public static LocalDate lookedAtSince(LocalDate today) {
    return today.minusDays(DUE_AFTER_DAYS);
  }

  /**
   * Whether older readings matter beside the recent ones: where none of those was taken awake, so
   * that there is no fresh one to compare a pulse with; and where all are over a rate, since then
   * it matters since when they are.
   *
   * @param recent readings since {@link #lookedAtSince}
   * @param highestBpm that rate
   */
  public static boolean olderMatter(List<RestingReading> recent, int highestBpm) {
    return recent.stream().allMatch(reading -> reading.source() == PulseSource.OVERNIGHT)
        || recent.stream().anyMatch(reading -> reading.bpm() > highestBpm);
  }

  private WorkingResting staleSince(LocalDate changedOn) {
    List<Finding> said = new ArrayList<>(findings);
    said.add(PulseFinding.RESTING_STALE.of(Days.of(changedOn)));
    return new WorkingResting(bpm, standardErrorBpm, basis, due, dueOn, true, readings, said);
  }

  private static Optional<WorkingResting> ofAll(
      List<RestingReading> readings, LocalDate today, ZoneId zone) {
    List<RestingReading> latestFirst = new ArrayList<>(SameDay.counting(readings, zone));
    Collections.reverse(latestFirst);
    if (latestFirst.isEmpty()) {
      return Optional.empty();
    }
    List<RestingReading> fresh =
        latestFirst.stream()
            .filter(reading -> daysOld(reading, today, zone) <= DUE_AFTER_DAYS)
            .toList();
    Optional<List<RestingReading>> three = latestThreeAlike(fresh);
    LocalDate dueOn =
        LocalDate.ofInstant(latestFirst.get(0).takenAt(), zone).plusDays(DUE_AFTER_DAYS + 1L);
    if (three.isPresent()) {
      return Optional.of(median(three.get(), dueOn, latestFirst));
    }
    List<RestingReading> candidates = fresh.isEmpty() ? latestFirst : fresh;
    Optional<RestingReading> good =
        candidates.stream().filter(reading -> reading.grade() == Grade.GOOD).findFirst();
    RestingReading chosen = good.orElse(candidates.get(0));
    List<Finding> findings = new ArrayList<>();
    FindingKind kind =
        good.isPresent() ? PulseFinding.WORKING_LATEST_GOOD : PulseFinding.WORKING_LATEST;
    findings.add(kind.of(chosen.bpm(), circumstances(chosen)));
    if (fresh.isEmpty()) {
      findings.add(PulseFinding.RESTING_DUE.of(daysOld(chosen, today, zone)));
    }
    return Optional.of(
        new WorkingResting(
            chosen.bpm(),
            sigma(Threshold.DAY_TO_DAY, chosen.errorBpm()),
            List.of(chosen),
            fresh.isEmpty(),
            dueOn,
            false,
            latestFirst,
            findings));
  }

  /**
   * The rate taken earlier that day from which a reading departs so far that it does not count,
   * unless it is said to be usual.
   *
   * @param others the client's other readings, in any order
   */
  public static OptionalInt departure(
      RestingReading reading, List<RestingReading> others, ZoneId zone) {
    LocalDate day = LocalDate.ofInstant(reading.takenAt(), zone);
    Instant begins = day.atStartOfDay(zone).toInstant();
    Instant ends = day.plusDays(1).atStartOfDay(zone).toInstant();
    List<RestingReading> before =
        others.stream()
            .filter(each -> !each.id().equals(reading.id()))
            .filter(each -> !each.takenAt().isBefore(begins) && each.takenAt().isBefore(ends))
            .toList();
    return SameDay.departure(reading, SameDay.counting(before, zone), zone);
  }

  /** The first group of one posture and source to reach three, going back from the latest. */
  private static Optional<List<RestingReading>> latestThreeAlike(List<RestingReading> latestFirst) {
    Map<String, List<RestingReading>> alike = new LinkedHashMap<>();
    for (RestingReading reading : latestFirst) {
      if (reading.grade() != Grade.POOR) {
        alike.computeIfAbsent(circumstances(reading), key -> new ArrayList<>()).add(reading);
      }
    }
    return alike.values().stream()
        .filter(group -> group.size() >= MEDIAN_OF)
        .findFirst()
        .map(group -> group.subList(0, MEDIAN_OF));
  }

  /** Whether the readings it stands on were all taken settled. */
  public boolean settled() {
    return basis.stream().allMatch(RestingReading::settled);
  }

  /**
   * Since when the readings have been over a rate without a break, up to the latest that is.
   *
   * @return nothing where none of them is
   */
  public Optional<Instant> overSince(int highestBpm) {
    Optional<Instant> since = Optional.empty();
    for (RestingReading reading : readings) {
      boolean over = reading.bpm() > highestBpm;
      if (!over && since.isPresent()) {
        break;
      }
      since = over ? Optional.of(reading.takenAt()) : since;
    }
    return since;
  }

  private static WorkingResting median(
      List<RestingReading> three, LocalDate dueOn, List<RestingReading> latestFirst) {
    RestingReading middle =
        three.stream().sorted(Comparator.comparingInt(RestingReading::bpm)).toList().get(1);
    return new WorkingResting(
        middle.bpm(),
        sigma(Threshold.DAY_TO_DAY_MEDIAN, countingError(three)),
        three,
        false,
        dueOn,
        false,
        latestFirst,
        List.of(PulseFinding.WORKING_MEDIAN.of(middle.bpm(), circumstances(middle))));
  }

  /** The value and its σ, worked out step by step. */
  public Working longHand() {
    boolean median = basis.size() == MEDIAN_OF;
    Threshold dayToDay = median ? Threshold.DAY_TO_DAY_MEDIAN : Threshold.DAY_TO_DAY;
    String counting = Working.written(countingError(basis));
    return Working.of(
        List.of(
            Working.Line.of(
                Formula.WORKING_RESTING,
                median ? "The median of three" : "The latest one",
                basis.stream()
                    .map(RestingReading::bpm)
                    .sorted()
                    .map(String::valueOf)
                    .collect(Collectors.joining(", ")),
                BigDecimal.valueOf(bpm),
                "bpm",
                Working.Finish.EXACT),
            Working.Line.of(
                Formula.RESTING_ERROR,
                "Its error, ±",
                "√(" + Working.written(dayToDay.value()) + "² + " + counting + "²)",
                standardErrorBpm,
                "bpm",
                Working.Finish.TENTH)));
  }

  private static BigDecimal countingError(List<RestingReading> readings) {
    return readings.stream()
        .map(RestingReading::errorBpm)
        .max(Comparator.naturalOrder())
        .orElseThrow();
  }

  private static BigDecimal sigma(Threshold dayToDay, BigDecimal counting) {
    return dayToDay.value().pow(2).add(counting.multiply(counting)).sqrt(MathContext.DECIMAL64);
  }

  private static long daysOld(RestingReading reading, LocalDate today, ZoneId zone) {
    return ChronoUnit.DAYS.between(reading.takenAt().atZone(zone).toLocalDate(), today);
  }

  private static String circumstances(RestingReading reading) {
    return reading.posture().name().toLowerCase(Locale.ROOT)
        + ", by "
        + reading.source().name().toLowerCase(Locale.ROOT);
  }
}
