package app.korvel.core.assessment;

import app.korvel.core.assessment.GradedSheet.RecoveryRow;
import app.korvel.core.assessment.GradedSheet.StageRow;
import app.korvel.core.assessment.TestPrompt.What;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Threshold;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What is to be done next on the sheet of a graded test. */
final class GradedPrompts {
  private GradedPrompts() {}

  private static final Duration LYING = Duration.ofMinutes(3);
  private static final Duration UPRIGHT = Duration.ofMinutes(1);

  static List<TestPrompt> baseline(GradedSheet sheet) {
    List<TestPrompt> prompts = new ArrayList<>();
    Baseline baseline = sheet.baseline();
    if (sheet.posture().isEmpty()) {
      prompts.add(new TestPrompt(What.POSTURE, sheet.at(), "Lie down for 3 to 5 min, then read"));
      return prompts;
    }
    TestPosture posture = sheet.posture().get();
    Vitals vitals = baseline.readings().getOrDefault(posture, Vitals.NONE);
    Instant due =
        sheet.postureAt().orElseThrow().plus(posture == TestPosture.STANDING ? UPRIGHT : LYING);
    String place = ", " + posture.displayName().toLowerCase(Locale.ROOT);
    add(prompts, vitals, due, place, sheet.plan().source(), sheet.at());
    if (baseline.inTheWay().isEmpty()) {
      prompts.add(new TestPrompt(What.BEGIN, sheet.at(), "Begin stage 1"));
    } else if (prompts.isEmpty() && posture != TestPosture.STANDING) {
      prompts.add(new TestPrompt(What.POSTURE, sheet.at(), "Stand up for 1 min, then read"));
    }
    return prompts;
  }

  private static void add(
      List<TestPrompt> prompts,
      Vitals vitals,
      Instant due,
      String place,
      RateSource source,
      Instant now) {
    boolean sampled = source != RateSource.COUNT && due.isAfter(now);
    if (vitals.bpm().isEmpty() || sampled) {
      prompts.add(new TestPrompt(What.RATE, due, "Rate" + place));
    }
    if (vitals.pressure().isEmpty()) {
      prompts.add(new TestPrompt(What.PRESSURE, due, "Pressure" + place));
    }
    if (vitals.rpe20().isEmpty()) {
      prompts.add(new TestPrompt(What.RPE, due, "RPE" + place));
    }
  }

  static List<TestPrompt> work(GradedSheet sheet) {
    List<TestPrompt> prompts = new ArrayList<>();
    if (!sheet.ends().isEmpty()) {
      prompts.add(new TestPrompt(What.END, sheet.at(), "End the work"));
      return prompts;
    }
    boolean pressureAgain = has(sheet, AssessmentFinding.SYSTOLIC_AGAIN);
    boolean countAgain = has(sheet, AssessmentFinding.RATE_AGAIN);
    if (pressureAgain) {
      prompts.add(new TestPrompt(What.PRESSURE, sheet.at(), "Pressure again, at once"));
    }
    if (countAgain) {
      prompts.add(new TestPrompt(What.COUNT, sheet.at(), "Count the pulse"));
    }
    if (has(sheet, AssessmentFinding.END_PROTOCOL)) {
      prompts.add(new TestPrompt(What.END, sheet.at(), "End the work"));
    }
    for (StageRow stage : sheet.stages()) {
      if (stage.work().asksHow() && stage.reading().walked().isEmpty()) {
        prompts.add(
            new TestPrompt(What.HOW, stage.from(), "Stage " + stage.number() + ": walked or run?"));
      }
    }
    sheet.stages().stream()
        .reduce((before, after) -> after)
        .filter(stage -> stage.endedAt().isEmpty() && stage.until().isPresent())
        .ifPresent(stage -> prompts.addAll(stage(sheet, stage)));
    prompts.sort(Comparator.comparing(TestPrompt::at));
    return prompts;
  }

  private static List<TestPrompt> stage(GradedSheet sheet, StageRow stage) {
    List<TestPrompt> prompts = new ArrayList<>();
    Instant until = stage.until().orElseThrow();
    String place = ", stage " + stage.number();
    if (sheet.setup().protocol().pressureDue(stage.number() - 1)
        && stage.reading().pressure().isEmpty()) {
      prompts.add(
          new TestPrompt(
              What.PRESSURE,
              until.minusSeconds(Threshold.GRADED_PRESSURE_DUE.whole()),
              "Pressure" + place));
    }
    Instant last = until.minusSeconds(Threshold.GRADED_RATE_DUE.whole());
    if (sheet.plan().source() == RateSource.COUNT && stage.reading().bpm().isEmpty()) {
      prompts.add(new TestPrompt(What.RATE, last, "Rate" + place));
    }
    if (stage.reading().rpe20().isEmpty()) {
      prompts.add(new TestPrompt(What.RPE, last, "RPE" + place));
    }
    return prompts;
  }

  private static boolean has(GradedSheet sheet, AssessmentFinding kind) {
    return sheet.waits().stream().anyMatch(finding -> finding.code().equals(kind.code()));
  }

  static List<TestPrompt> recovery(GradedSheet sheet) {
    List<TestPrompt> prompts = new ArrayList<>();
    Instant end = sheet.end().orElseThrow().at();
    boolean mayClose = sheet.notClosedBecause(true).isEmpty();
    if (mayClose) {
      prompts.add(new TestPrompt(What.CLOSE, sheet.at(), "Close the sheet"));
    }
    Optional<RecoveryRow> next =
        sheet.recovery().stream()
            .filter(row -> !passed(sheet, end, row))
            .filter(row -> !full(row))
            .findFirst();
    next.ifPresent(
        row -> {
          String place = ", " + words(row.due());
          Instant due = end.plus(row.due());
          add(prompts, row.vitals(), due, place, sheet.plan().source(), sheet.at());
          if (row.symptoms().isEmpty()) {
            prompts.add(new TestPrompt(What.SYMPTOMS, due, "Any symptoms" + place));
          }
        });
    return prompts;
  }

  private static boolean full(RecoveryRow row) {
    return row.vitals().complete()
        && row.vitals().rpe20().isPresent()
        && row.symptoms().isPresent();
  }

  /** Whether its time has passed: what is entered now belongs to the next one. */
  private static boolean passed(GradedSheet sheet, Instant end, RecoveryRow row) {
    int n = sheet.recovery().indexOf(row);
    if (n + 1 >= sheet.recovery().size()) {
      return false;
    }
    Duration next = sheet.recovery().get(n + 1).due();
    return !sheet.at().isBefore(end.plus(row.due().plus(next).dividedBy(2)));
  }

  /** A time after the end, as it is read. */
  static String words(Duration after) {
    return after.toMinutes() == 0 ? after.toSeconds() + " s" : after.toMinutes() + " min";
  }
}
