package app.korvel.core.talk;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * How rate, RPE and voice agreed at the last talk checks at which all three were known: each as a
 * level from 1 to 5, the rate by percent of reserve. One that differs from both others, most of the
 * time and always to the same side, is named with what to check.
 *
 * @param rows the latest first
 * @param agree how many of them have all three within one level
 * @param findings which one is off; what is missing where there is too little to tell
 */
public record WitnessReview(List<Row> rows, int agree, List<Finding> findings) {

  /**
   * A check.
   *
   * @param rate level of the rate
   * @param rpe level of the RPE
   * @param voice level of the voice
   */
  public record Row(LocalDate on, int bpm, int rpe20, int rate, int rpe, int voice) {
    private boolean together() {
      int high = Math.max(rate, Math.max(rpe, voice));
      int low = Math.min(rate, Math.min(rpe, voice));
      return high - low <= 1;
    }
  }

  /** One witness against the two others. */
  private record Against(
      Function<Row, Integer> one,
      Function<Row, Integer> other,
      Function<Row, Integer> another,
      FindingKind high,
      FindingKind low) {
    boolean over(Row row) {
      return one.apply(row) - Math.max(other.apply(row), another.apply(row)) > gap(row);
    }

    boolean under(Row row) {
      return Math.min(other.apply(row), another.apply(row)) - one.apply(row) > gap(row);
    }

    /** How far the two others are from each other: it has to be further from both. */
    private int gap(Row row) {
      return Math.abs(other.apply(row) - another.apply(row));
    }
  }

  private static final List<Against> WITNESSES =
      List.of(
          new Against(
              Row::rate,
              Row::rpe,
              Row::voice,
              LearnedFinding.WITNESS_RATE_HIGH,
              LearnedFinding.WITNESS_RATE_LOW),
          new Against(
              Row::rpe,
              Row::rate,
              Row::voice,
              LearnedFinding.WITNESS_RPE_HIGH,
              LearnedFinding.WITNESS_RPE_LOW),
          new Against(
              Row::voice,
              Row::rate,
              Row::rpe,
              LearnedFinding.WITNESS_VOICE_HIGH,
              LearnedFinding.WITNESS_VOICE_LOW));

  public WitnessReview {
    rows = List.copyOf(rows);
    findings = List.copyOf(findings);
  }

  /**
   * Reviews them.
   *
   * @param checks of one mode, in any order; those without a rate or an RPE say nothing here
   * @param equation where the levels begin by percent of reserve
   */
  public static WitnessReview of(List<TalkCheck> checks, Ladder equation, ZoneId zone) {
    List<Row> rows =
        checks.stream()
            .filter(check -> check.rpe20().isPresent() && check.said().bpm() > 0)
            .filter(check -> !check.doubts().contains(NotUsed.SOURCE_IN_DOUBT))
            .sorted(Comparator.comparing(TalkCheck::at).reversed())
            .limit(Threshold.WITNESSES_LOOKED_AT.whole())
            .map(check -> row(check, equation, zone))
            .toList();
    int agree = (int) rows.stream().filter(Row::together).count();
    if (rows.size() < Threshold.WITNESSES_FEWEST.whole()) {
      return new WitnessReview(
          rows, agree, List.of(LearnedFinding.WITNESSES_TOO_FEW.of(rows.size())));
    }
    List<Finding> found =
        WITNESSES.stream()
            .flatMap(
                each ->
                    Stream.of(off(rows, each::over, each.high), off(rows, each::under, each.low))
                        .flatMap(Optional::stream))
            .toList();
    return new WitnessReview(
        rows,
        agree,
        found.isEmpty() ? List.of(LearnedFinding.WITNESSES_AGREE.of(agree, rows.size())) : found);
  }

  private static Row row(TalkCheck check, Ladder equation, ZoneId zone) {
    int rpe = check.rpe20().orElseThrow();
    return new Row(
        check.day(zone),
        check.said().bpm(),
        rpe,
        equation.at(check.said().bpm()).number(),
        Level.atRpe20(rpe).number(),
        check.said().voice());
  }

  private static Optional<Finding> off(List<Row> rows, Predicate<Row> holds, FindingKind kind) {
    int count = (int) rows.stream().filter(holds).count();
    return 100 * count >= Threshold.WITNESS_OFF_SHARE.whole() * rows.size()
        ? Optional.of(kind.of(count, rows.size()))
        : Optional.empty();
  }
}
