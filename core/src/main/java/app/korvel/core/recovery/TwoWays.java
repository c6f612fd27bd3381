package app.korvel.core.recovery;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Two ways to recover beside each other, of one person or of several: everybody is compared with
 * themselves, and counts with counts.
 *
 * @param source whose sets are compared
 * @param first one way
 * @param second the other
 * @param more60 by how much further the rate falls in 60 s the second way, on average, half up
 * @param more120 the same in 120 s
 * @param findings what makes the comparison weak
 */
public record TwoWays(
    RateSource source,
    Way first,
    Way second,
    OptionalInt more60,
    OptionalInt more120,
    List<Finding> findings) {

  /**
   * One way, over everybody who did both: means of each person's means, half up.
   *
   * @param sets how many
   * @param people of how many
   */
  public record Way(
      RecoveryPosture posture,
      int sets,
      int people,
      OptionalInt endBpm,
      OptionalInt drop60,
      OptionalInt drop120) {}

  public TwoWays {
    findings = List.copyOf(findings);
  }

  /**
   * Compares them.
   *
   * @throws InvalidValueException when both are the same
   */
  public static TwoWays of(List<RecoverySet> all, RecoveryPosture first, RecoveryPosture second) {
    if (first == second) {
      throw InvalidValueException.of("second", "is the first way again", "another way to recover");
    }
    List<RecoverySet> sets =
        all.stream()
            .filter(set -> posture(set) == first || posture(set) == second)
            .filter(set -> set.recovery().drop60().isPresent())
            .toList();
    boolean straps = both(sets, first, second, RateSource.STRAP).size() > 0;
    RateSource source = straps ? RateSource.STRAP : RateSource.COUNT;
    TreeSet<UUID> people = both(sets, first, second, source);
    List<RecoverySet> compared =
        sets.stream()
            .filter(set -> people.contains(set.person()) && set.recovery().source() == source)
            .toList();
    List<RecoverySet> one = compared.stream().filter(set -> posture(set) == first).toList();
    List<RecoverySet> other = compared.stream().filter(set -> posture(set) == second).toList();
    return new TwoWays(
        source,
        way(first, one),
        way(second, other),
        apart(one, other, set -> set.recovery().drop60()),
        apart(one, other, set -> set.recovery().drop120()),
        findings(sets, people, first, one, second, other));
  }

  private static RecoveryPosture posture(RecoverySet set) {
    return set.recovery().posture();
  }

  /** Who did both. */
  private static TreeSet<UUID> both(
      List<RecoverySet> sets, RecoveryPosture first, RecoveryPosture second, RateSource source) {
    TreeSet<UUID> people = people(sets, first, source);
    people.retainAll(people(sets, second, source));
    return people;
  }

  private static TreeSet<UUID> people(
      List<RecoverySet> sets, RecoveryPosture posture, RateSource source) {
    return sets.stream()
        .filter(set -> posture(set) == posture && set.recovery().source() == source)
        .map(RecoverySet::person)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static Way way(RecoveryPosture posture, List<RecoverySet> sets) {
    return new Way(
        posture,
        sets.size(),
        (int) sets.stream().map(RecoverySet::person).distinct().count(),
        mean(means(sets, set -> OptionalInt.of(set.recovery().endBpm()))),
        mean(means(sets, set -> set.recovery().drop60())),
        mean(means(sets, set -> set.recovery().drop120())));
  }

  private static Map<UUID, Double> means(
      List<RecoverySet> sets, Function<RecoverySet, OptionalInt> of) {
    return sets.stream()
        .filter(set -> of.apply(set).isPresent())
        .collect(
            Collectors.groupingBy(
                RecoverySet::person, Collectors.averagingInt(set -> of.apply(set).getAsInt())));
  }

  private static OptionalInt mean(Map<UUID, Double> means) {
    return means.isEmpty() ? OptionalInt.empty() : OptionalInt.of(rounded(means.values().stream()));
  }

  private static int rounded(Stream<Double> values) {
    double mean = values.mapToDouble(Double::doubleValue).average().orElseThrow();
    return Rounding.halfUp(BigDecimal.valueOf(mean));
  }

  private static OptionalInt apart(
      List<RecoverySet> one, List<RecoverySet> other, Function<RecoverySet, OptionalInt> of) {
    Map<UUID, Double> before = means(one, of);
    Map<UUID, Double> after = means(other, of);
    before.keySet().retainAll(after.keySet());
    return before.isEmpty()
        ? OptionalInt.empty()
        : OptionalInt.of(
            rounded(before.keySet().stream().map(each -> after.get(each) - before.get(each))));
  }

  private static List<Finding> findings(
      List<RecoverySet> sets,
      TreeSet<UUID> people,
      RecoveryPosture first,
      List<RecoverySet> one,
      RecoveryPosture second,
      List<RecoverySet> other) {
    List<Finding> findings = new ArrayList<>();
    int fewest = Threshold.RECOVERY_SETS.whole();
    if (one.size() < fewest) {
      findings.add(RecoveryFinding.FEW_SETS.of(named(first)));
    }
    if (other.size() < fewest) {
      findings.add(RecoveryFinding.FEW_SETS.of(named(second)));
    }
    Map<UUID, Double> ends = means(one, set -> OptionalInt.of(set.recovery().endBpm()));
    Map<UUID, Double> otherEnds = means(other, set -> OptionalInt.of(set.recovery().endBpm()));
    double furthest =
        people.stream()
            .mapToDouble(each -> Math.abs(ends.get(each) - otherEnds.get(each)))
            .max()
            .orElse(0);
    if (furthest > Threshold.RECOVERY_END_APART.whole()) {
      findings.add(RecoveryFinding.ENDS_APART.of(Rounding.halfUp(BigDecimal.valueOf(furthest))));
    }
    if (!one.isEmpty()
        && !other.isEmpty()
        && (last(one).isBefore(first(other)) || last(other).isBefore(first(one)))) {
      findings.add(RecoveryFinding.ONE_AFTER_THE_OTHER.of());
    }
    sets.stream()
        .filter(set -> !people.contains(set.person()))
        .map(RecoverySet::name)
        .distinct()
        .sorted()
        .forEach(name -> findings.add(RecoveryFinding.NOT_BOTH.of(name)));
    return findings;
  }

  private static String named(RecoveryPosture posture) {
    return "“" + posture.displayName() + "”";
  }

  private static Instant first(List<RecoverySet> sets) {
    return sets.stream().map(RecoverySet::endedAt).min(Comparator.naturalOrder()).orElseThrow();
  }

  private static Instant last(List<RecoverySet> sets) {
    return sets.stream().map(RecoverySet::endedAt).max(Comparator.naturalOrder()).orElseThrow();
  }
}
