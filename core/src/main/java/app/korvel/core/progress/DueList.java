package app.korvel.core.progress;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.ScreeningFinding;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is due with a client, the weightiest first. */
public final class DueList {
  private static final int TEST_AGAIN = Threshold.TEST_AGAIN.whole();
  private static final int REVIEW = Threshold.REVIEW_AFTER.whole();
  private static final int QUIET = Threshold.QUIET_AFTER.whole();

  private DueList() {}

  /** What it is about: where it is done. */
  public enum Kind {
    SCREENING,
    PULSE,
    MAXIMUM,
    TEST,
    /** A learned talk rate is offered, or contradicted. */
    TALK,
    PRESCRIPTION,
    WEEK,
    LOG
  }

  /** One thing that is due. */
  public record Due(Kind kind, Finding finding) {}

  /**
   * A prescription that holds.
   *
   * @param version its number
   * @param date of that version
   * @param review what new values would move of it, if they do
   */
  public record Held(int version, LocalDate date, Optional<Finding> review) {}

  /**
   * What is known.
   *
   * @param baseline screening and resting value
   * @param maximum what is to be said of a measured maximum, if anything
   * @param tests the last day of each test, by its name
   * @param held the prescription that holds, if there is one
   * @param talk what is to be decided about learned talk rates, if anything
   * @param week the week of a programme whose successor is to be decided
   * @param lastLog the day last logged; else the day from which logs are waited for
   */
  public record Facts(
      ClientBaseline baseline,
      Optional<Finding> maximum,
      Map<String, LocalDate> tests,
      Optional<Held> held,
      Optional<Finding> talk,
      Optional<Integer> week,
      Optional<LocalDate> lastLog) {}

  /** The whole list; of someone who must not train only what lifts that. */
  public static List<Due> of(Facts facts) {
    Screening screening = facts.baseline.screening();
    LocalDate today = screening.date();
    List<Due> due = new ArrayList<>();
    boolean stopped = !screening.stops().isEmpty();
    if (!stopped) {
      for (FindingKind kind :
          List.of(
              ScreeningFinding.SCREENING_UNFINISHED,
              ScreeningFinding.RESCREENING_DUE,
              ScreeningFinding.CLEARANCE_LAPSING,
              ScreeningFinding.LIMIT_LAPSED)) {
        screening.permission().findings().stream()
            .filter(finding -> finding.code().equals(kind.code()))
            .forEach(finding -> due.add(new Due(Kind.SCREENING, finding)));
      }
    }
    facts
        .baseline
        .resting()
        .filter(working -> working.stale() || working.due())
        .map(working -> working.findings().get(working.findings().size() - 1))
        .ifPresent(finding -> due.add(new Due(Kind.PULSE, finding)));
    if (stopped) {
      return due;
    }
    facts.maximum.ifPresent(finding -> due.add(new Due(Kind.MAXIMUM, finding)));
    facts.held.ifPresent(
        held ->
            held.review
                .or(
                    () ->
                        today.isBefore(held.date.plusWeeks(REVIEW))
                            ? Optional.empty()
                            : Optional.of(
                                ProgressFinding.REVIEW_DUE.of(held.version, Days.of(held.date))))
                .ifPresent(finding -> due.add(new Due(Kind.PRESCRIPTION, finding))));
    facts.talk.ifPresent(finding -> due.add(new Due(Kind.TALK, finding)));
    facts.week.ifPresent(week -> due.add(new Due(Kind.WEEK, ProgressFinding.STEP_DUE.of(week))));
    facts.tests.entrySet().stream()
        .filter(test -> !today.isBefore(test.getValue().plusWeeks(TEST_AGAIN)))
        .sorted(Map.Entry.comparingByValue())
        .forEach(
            test ->
                due.add(
                    new Due(
                        Kind.TEST,
                        ProgressFinding.TEST_DUE.of(test.getKey(), Days.of(test.getValue())))));
    facts
        .lastLog
        .filter(last -> facts.held.isPresent())
        .map(last -> ChronoUnit.DAYS.between(last, today))
        .filter(days -> days >= QUIET)
        .ifPresent(days -> due.add(new Due(Kind.LOG, ProgressFinding.GONE_QUIET.of(days))));
    return due;
  }
}
