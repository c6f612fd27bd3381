package app.korvel.core.assessment;

import app.korvel.core.assessment.GradedSheet.StageRow;
import app.korvel.core.assessment.TimedTest.TimedResult;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a test came to, in figures that can be set beside those of another.
 *
 * @param plan who, and how
 * @param at when it was opened
 * @param figures what was found, in the order in which it is read
 * @param repetitions of the two-minute test
 * @param findings what is to be known of it
 */
public record TestOutcome(
    TestPlan plan,
    Instant at,
    List<Figure> figures,
    OptionalInt repetitions,
    List<Finding> findings) {

  /**
   * One figure.
   *
   * @param name as it is shown, for example {@code Rise}
   * @param unit as it is shown
   * @param noise from so much on a difference is a change; empty where that is not known
   */
  public record Figure(String name, BigDecimal value, String unit, Optional<Integer> noise) {
    static Figure bpm(String name, int value, Optional<Integer> noise) {
      return new Figure(name, BigDecimal.valueOf(value), "bpm", noise);
    }
  }

  public TestOutcome {
    figures = List.copyOf(figures);
    findings = List.copyOf(findings);
  }

  /** That of a timed test; empty while it goes on. */
  public static Optional<TestOutcome> of(TimedTest test) {
    return test.result()
        .map(
            result ->
                new TestOutcome(
                    test.plan(),
                    test.openedAt(),
                    figures(test, result),
                    test.repetitions(),
                    result.findings()));
  }

  private static List<Figure> figures(TimedTest test, TimedResult result) {
    List<Figure> figures = new ArrayList<>();
    boolean strap = test.plan().source() != RateSource.COUNT;
    switch (test.plan().kind()) {
      case TWO_MINUTE -> {
        Optional<Integer> noise =
            noise(strap, Threshold.TWO_MINUTE_CHANGED_STRAP, Threshold.TWO_MINUTE_CHANGED_COUNT);
        add(figures, "Rise", result.rise(), noise);
        add(figures, "Fall in 1 min", result.fall60(), noise);
        add(figures, "Fall in 2 min", result.fall120(), noise);
      }
      case LOW_BENCH, HIGH_BENCH, MILE -> {
        add(figures, rateName(test.plan().kind()), result.bpm(), stageNoise(strap));
        if (test.plan().kind() == TestKind.MILE && test.whole()) {
          figures.add(
              new Figure(
                  "Time", BigDecimal.valueOf(test.work().toSeconds()), "s", Optional.empty()));
        }
        result.vo2max().single().ifPresent(value -> figures.add(uptake(value)));
      }
      case TALK_STEPS ->
          result
              .talk()
              .ifPresent(
                  talk -> {
                    Optional<Integer> noise =
                        Optional.of(
                            Math.max(
                                Threshold.LEARNED_DISAGREES.whole(), talk.widthBpm().orElse(0)));
                    add(figures, "Lower talk rate", talk.lowerBpm(), noise);
                    add(figures, "Upper talk rate", talk.upperBpm(), noise);
                  });
      case GRADED -> throw new IllegalArgumentException("A graded test has a sheet.");
    }
    return figures;
  }

  private static String rateName(TestKind kind) {
    return kind == TestKind.MILE ? "Rate of the last minute" : "Rate after it";
  }

  private static Figure uptake(BigDecimal value) {
    return new Figure("VO₂max", value, "ml/kg/min", Optional.empty());
  }

  private static void add(
      List<Figure> figures, String name, OptionalInt value, Optional<Integer> noise) {
    value.ifPresent(bpm -> figures.add(Figure.bpm(name, bpm, noise)));
  }

  private static Optional<Integer> stageNoise(boolean strap) {
    return noise(strap, Threshold.STAGE_CHANGED_STRAP, Threshold.STAGE_CHANGED_COUNT);
  }

  private static Optional<Integer> noise(boolean strap, Threshold byStrap, Threshold byCount) {
    return Optional.of((strap ? byStrap : byCount).whole());
  }

  /** That of a graded test; empty before the work has ended. */
  public static Optional<TestOutcome> of(GradedSheet sheet) {
    return sheet
        .result()
        .map(
            result -> {
              List<Figure> figures = new ArrayList<>();
              boolean strap = sheet.plan().source() != RateSource.COUNT;
              for (StageRow stage : sheet.stages()) {
                if (stage.whole()) {
                  add(
                      figures,
                      "Stage " + stage.number() + ", " + stage.work().words(),
                      stage.reading().bpm(),
                      stageNoise(strap));
                }
              }
              result
                  .met()
                  .ifPresent(
                      cost ->
                          figures.add(
                              new Figure(
                                  "MET of the last whole stage",
                                  cost.met(),
                                  "MET",
                                  Optional.empty())));
              result.vo2max().single().ifPresent(value -> figures.add(uptake(value)));
              List<Finding> findings = new ArrayList<>(result.findings());
              sheet.recovered().ifPresent(back -> findings.addAll(back.findings()));
              return new TestOutcome(
                  sheet.plan(), sheet.openedAt(), figures, OptionalInt.empty(), findings);
            });
  }
}
