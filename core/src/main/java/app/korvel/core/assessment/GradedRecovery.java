package app.korvel.core.assessment;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How somebody came back after a graded test.
 *
 * @param state where it stands
 * @param findings what is to be known of it
 */
public record GradedRecovery(State state, List<Finding> findings) {

  /** Where a recovery stands. */
  public enum State {
    GOES_ON,
    RECOVERED,
    NOT_RECOVERED
  }

  /**
   * A reading.
   *
   * @param after the end of the work
   * @param symptoms whether anything was complained of
   */
  public record Reading(Duration after, Vitals vitals, boolean symptoms) {}

  private static final Duration FROM = Duration.ofMinutes(Threshold.RECOVERED_FROM.whole());
  private static final Duration LONGEST = Duration.ofMinutes(Threshold.NOT_RECOVERED.whole());

  /** When the first readings are due; then one every two minutes. */
  private static final List<Duration> FIRST =
      Stream.of(30, 60, 120, 180, 300, 360).map(Duration::ofSeconds).toList();

  private static final Duration EVERY = Duration.ofMinutes(2);

  /** How far from its minute a pressure may be to be held against that at the end. */
  private static final Duration NEAR = Duration.ofSeconds(30);

  private static final int EARLY_MINUTES = 3;

  public GradedRecovery {
    findings = List.copyOf(findings);
  }

  /** When readings are due, from the end of the work, up to a moment and one further. */
  public static List<Duration> due(Duration until) {
    List<Duration> due = new ArrayList<>(FIRST);
    Duration last = FIRST.get(FIRST.size() - 1);
    while (last.compareTo(until) <= 0) {
      last = last.plus(EVERY);
      due.add(last);
    }
    return due;
  }

  /**
   * Judges it.
   *
   * @param readings in order
   * @param baseline what it is held against
   * @param systolicAtEnd of the last stage with a pressure, if there is one
   * @param now so long after the end of the work
   */
  public static GradedRecovery of(
      List<Reading> readings, Vitals baseline, Optional<Integer> systolicAtEnd, Duration now) {
    List<Finding> findings = new ArrayList<>();
    boolean before = false;
    boolean done = false;
    Optional<String> why = Optional.of("no reading yet at 6 min or later");
    for (Reading reading : readings) {
      if (reading.after.compareTo(FROM) < 0) {
        continue;
      }
      why = why(reading, baseline);
      done |= why.isEmpty() && before;
      before = why.isEmpty();
    }
    State state =
        done ? State.RECOVERED : now.compareTo(LONGEST) >= 0 ? State.NOT_RECOVERED : State.GOES_ON;
    String missing = why.orElse("one more reading like the last");
    findings.add(
        switch (state) {
          case RECOVERED -> AssessmentFinding.RECOVERY_DONE.of();
          case GOES_ON -> AssessmentFinding.RECOVERY_GOES_ON.of(missing);
          case NOT_RECOVERED ->
              AssessmentFinding.RECOVERY_NOT_DONE.of("The last reading: " + missing + ".");
        });
    systolicAtEnd.ifPresent(end -> high(readings, end, findings));
    return new GradedRecovery(state, findings);
  }

  /** Why a reading is not near the baseline; empty where it is. */
  private static Optional<String> why(Reading reading, Vitals baseline) {
    Vitals vitals = reading.vitals;
    if (reading.symptoms) {
      return Optional.of("symptoms");
    }
    if (!vitals.complete()) {
      return Optional.of("a reading without rate or pressure");
    }
    int bpm = vitals.bpm().getAsInt();
    int rest = baseline.bpm().orElseThrow();
    int highest =
        Math.min(
            rest + Threshold.RECOVERED_RATE.whole(),
            Math.max(Threshold.RECOVERED_FLOOR.whole(), rest + Threshold.RECOVERED_NEAR.whole()));
    if (bpm > highest) {
      return Optional.of("rate " + bpm + ", over " + highest);
    }
    int systolic = vitals.pressure().orElseThrow().systolic();
    int base = baseline.pressure().orElseThrow().systolic();
    int from = base - Threshold.RECOVERED_SYSTOLIC_UNDER.whole();
    int to = base + Threshold.RECOVERED_SYSTOLIC_OVER.whole();
    return systolic < from || systolic > to
        ? Optional.of("systolic " + systolic + ", outside of " + from + " to " + to)
        : Optional.empty();
  }

  private static void high(List<Reading> readings, int end, List<Finding> findings) {
    for (int minute = 1; minute <= EARLY_MINUTES; minute++) {
      Duration at = Duration.ofMinutes(minute);
      int shown = minute;
      readings.stream()
          .filter(reading -> reading.after.minus(at).abs().compareTo(NEAR) < 0)
          .flatMap(reading -> reading.vitals.pressure().stream())
          .filter(pressure -> pressure.systolic() > end)
          .findFirst()
          .ifPresent(
              pressure ->
                  findings.add(
                      AssessmentFinding.RECOVERY_SYSTOLIC_HIGH.of(
                          pressure.systolic(), shown, end)));
    }
  }
}
