package app.korvel.core.assessment;

import app.korvel.core.assessment.GradedSheet.StageRow;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.measure.Finding;
import app.korvel.core.trace.Trace;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What was done well and what was missed in a graded test that was practised, and by which rule.
 *
 * @param trouble what there was
 * @param items in the order of the test
 */
public record PracticeReview(PracticeSubject.Trouble trouble, List<Item> items) {

  /**
   * One thing.
   *
   * @param done whether it was done in time
   * @param words what, and when
   * @param rule the rule that asks for it
   */
  public record Item(boolean done, String words, String rule) {}

  /** A pressure by ear may be so far off, mmHg. */
  private static final int BY_EAR = 8;

  /** The sheet is looked at again every so many seconds. */
  private static final int EVERY = 5;

  /** So soon after a rule said so the work should have ended, seconds. */
  private static final int SOON = 30;

  public PracticeReview {
    items = List.copyOf(items);
  }

  /**
   * Looks back.
   *
   * @param sheet as it was closed
   * @param events everything that was entered
   * @param truth the pressure that the cuff had at a moment
   */
  public static PracticeReview of(
      PracticeSubject subject,
      GradedSheet sheet,
      List<TestEvent> events,
      Function<Instant, BloodPressure> truth) {
    List<Item> items = new ArrayList<>();
    boolean both =
        sheet.baseline().at(TestPosture.LYING).isPresent()
            && sheet.baseline().at(TestPosture.STANDING).isPresent();
    items.add(
        new Item(
            both,
            both
                ? "Baseline read lying and standing"
                : "The baseline was not read in both postures",
            "Lying 3 to 5 min, then standing 1 min: rate, pressure, RPE"));
    TestEvents standing = TestEvents.standing(events, sheet.at());
    sheet.stages().stream()
        .filter(StageRow::whole)
        .forEach(stage -> stage(subject, stage, standing, items));
    pressures(standing, truth, items);
    ending(sheet, events, items);
    recovery(sheet, items);
    return new PracticeReview(subject.trouble(), items);
  }

  private static void stage(
      PracticeSubject subject, StageRow stage, TestEvents standing, List<Item> items) {
    StageReading reading = stage.reading();
    List<String> missing = new ArrayList<>();
    if (reading.pressure().isEmpty()) {
      missing.add("no pressure");
    }
    if (reading.rpe20().isEmpty()) {
      missing.add("no RPE");
    }
    items.add(
        new Item(
            missing.isEmpty(),
            "Stage "
                + stage.number()
                + ": "
                + (missing.isEmpty() ? "pressure and RPE read" : String.join(", ", missing)),
            "Pressure from the last minute of a stage on, rate and RPE in its last 10 s"));
    boolean tells = subject.tellsFrom().filter(from -> stage.number() >= from).isPresent();
    boolean asked =
        standing
            .between(stage.from(), stage.endedAt().orElseThrow())
            .first(TestEvent.Symptoms.class)
            .isPresent();
    if (!asked) {
      items.add(
          new Item(
              false,
              "Stage " + stage.number() + ": nobody asked how they were",
              tells
                  ? "A tight chest is a stop sign, and was told only when asked"
                  : "Ask in every stage: not everybody says it by themselves"));
    }
  }

  private static void pressures(
      TestEvents standing, Function<Instant, BloodPressure> truth, List<Item> items) {
    standing
        .of(TestEvent.Pressure.class)
        .filter(
            taken ->
                Math.abs(taken.pressure().systolic() - truth.apply(taken.cuffAt()).systolic())
                    > BY_EAR)
        .forEach(
            taken ->
                items.add(
                    new Item(
                        false,
                        taken.pressure() + " entered, " + truth.apply(taken.cuffAt()) + " it was",
                        "The first sound is the systolic pressure, the last one the diastolic")));
  }

  /** When a rule first said that the work has to end, and when it ended. */
  private static void ending(GradedSheet sheet, List<TestEvent> events, List<Item> items) {
    Optional<Instant> began = sheet.run().map(run -> run.begunAt());
    if (began.isEmpty() || sheet.end().isEmpty()) {
      items.add(new Item(false, "The work was not done", "The target, or a rule, ends the test"));
      return;
    }
    TestEvent.Ended end = sheet.end().get();
    Optional<Instant> said = Optional.empty();
    Optional<Finding> rule = Optional.empty();
    for (Instant moment = began.get();
        said.isEmpty() && moment.isBefore(end.at());
        moment = moment.plusSeconds(EVERY)) {
      List<Finding> ends = as(sheet, events, moment).ends();
      if (!ends.isEmpty()) {
        said = Optional.of(moment);
        rule = Optional.of(ends.get(0));
      }
    }
    if (said.isPresent()) {
      long late = Duration.between(said.get(), end.at()).toSeconds();
      items.add(
          new Item(
              late <= SOON,
              "Ended " + late + " s after the sheet said so: " + rule.get().message(),
              rule.get().because()));
    } else {
      boolean sign = end.reason() == TestEvent.Reason.SIGN;
      items.add(
          new Item(
              sign,
              sign
                  ? "Ended at a stop sign: " + end.sign().map(each -> each.words()).orElse("")
                  : "Ended before the target, and before any rule said so",
              "The target, a rule, a stop sign or the client ends the test"));
    }
  }

  private static GradedSheet as(GradedSheet sheet, List<TestEvent> events, Instant moment) {
    Trace trace =
        sheet.trace().upTo(Math.toIntExact(Duration.between(sheet.openedAt(), moment).toSeconds()));
    return GradedSheet.of(sheet.plan(), sheet.openedAt(), events, trace, moment);
  }

  private static void recovery(GradedSheet sheet, List<Item> items) {
    boolean recovered =
        sheet
            .recovered()
            .filter(stands -> stands.state() != GradedRecovery.State.GOES_ON)
            .isPresent();
    items.add(
        new Item(
            recovered,
            recovered ? "Recovery watched to its end" : "The recovery was not watched to its end",
            "Until two readings in a row are near the baseline, at 6 min or later"));
  }
}
