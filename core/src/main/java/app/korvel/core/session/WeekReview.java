package app.korvel.core.session;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.programme.Dose;
import app.korvel.core.programme.LayOff;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.Progression.ProgressionVote;
import app.korvel.core.programme.Progression.Proposed;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.screening.Scope;
import app.korvel.core.zone.Level.RpeSpan;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A week of a programme compared with what was done of it, and what it asks of the next one.
 *
 * @param week its number, from 1
 * @param planned sessions that it was laid out with
 * @param done sessions that were done in it, planned or not
 * @param open planned sessions that nothing has been logged of
 * @param earned a step, a hold or a step back
 * @param next what the next week is to be
 * @param because why, the weightiest first
 */
public record WeekReview(
    int week,
    int planned,
    int done,
    int open,
    ProgressionVote earned,
    Proposed next,
    List<Finding> because) {

  private static final int TO_STEP = Threshold.SESSIONS_TO_STEP.whole();
  private static final int TO_HOLD = Threshold.SESSIONS_TO_HOLD.whole();
  private static final BigDecimal OVER = Threshold.EFFORT_OVER_TARGET.value();

  public WeekReview {
    because = List.copyOf(because);
  }

  /**
   * Looks at a week.
   *
   * @param week from 1 to the one before the last
   * @param logs of that client, in any order
   * @param scope what may be asked of them today, and how active they are
   */
  public static WeekReview of(
      Programme programme, int week, Collection<SessionLog> logs, Scope scope) {
    List<SessionLog> here = inWeek(programme, week, logs);
    List<PlannedSession> planned = programme.ofWeek(week);
    int done = (int) here.stream().filter(SessionLog::done).count();
    int open =
        (int)
            planned.stream()
                .filter(session -> !session.skipped())
                .filter(
                    session ->
                        logs.stream()
                            .noneMatch(log -> log.number().equals(Optional.of(session.number()))))
                .count();
    List<Finding> because = new ArrayList<>();
    List<ProgressionVote> votes =
        List.of(
            warned(here, because),
            sessions(done, planned.size(), because),
            effort(here.stream().filter(SessionLog::done).toList(), because));
    // The most cautious of the three.
    ProgressionVote earned = votes.stream().max(ProgressionVote::compareTo).orElseThrow();
    if (open > 0) {
      because.add(SessionFinding.SESSIONS_OPEN.of(open));
    }
    MinutesDone minutes = minutesDone(programme, week, logs);
    Optional<LayOff> layOff = done == 0 ? layOff(programme, week, logs) : Optional.empty();
    Proposed next =
        layOff
            .map(each -> programme.resumed(week, each, scope, minutes))
            .orElseGet(() -> programme.proposed(week, earned, minutes));
    ProgressionVote after =
        layOff
            .map(
                each ->
                    each.length() == LayOff.Length.SHORT
                        ? ProgressionVote.HOLD
                        : ProgressionVote.BACK)
            .orElse(earned);
    return new WeekReview(week, planned.size(), done, open, after, next, because);
  }

  /**
   * Whether the log of the week that a decision stands on has been changed since.
   *
   * @return what it was decided on, and what the log says now; nothing where that is the same
   */
  public static Optional<Finding> changedSince(
      Programme programme, WeekDecision decision, Collection<SessionLog> logs, Scope scope) {
    int week = decision.week() - 1;
    List<Finding> now = of(programme, week, logs, scope).because();
    return figures(now).equals(figures(decision.because()))
        ? Optional.empty()
        : Optional.of(
            SessionFinding.DECISION_LOG_CHANGED.of(
                week, decision.week(), words(decision.because()), words(now)));
  }

  /** What findings say apart from their wording: that may be another one by now. */
  private static List<String> figures(List<Finding> findings) {
    return findings.stream()
        .map(finding -> finding.code() + finding.message().replaceAll("[^0-9.]", " "))
        .toList();
  }

  private static String words(List<Finding> findings) {
    return findings.stream().map(Finding::message).collect(Collectors.joining(" "));
  }

  /** How long nothing was done by the end of a week; nothing where nothing was ever done. */
  private static Optional<LayOff> layOff(
      Programme programme, int week, Collection<SessionLog> logs) {
    LocalDate next = programme.plan().startsOn().plusWeeks(week);
    return logs.stream()
        .filter(SessionLog::trained)
        .map(SessionLog::on)
        .filter(day -> day.isBefore(next))
        .max(Comparator.naturalOrder())
        .map(
            last ->
                new LayOff(
                    (int) ChronoUnit.DAYS.between(last, next), lastDone(programme, week, logs)));
  }

  /** What the last week with a session asked for; the first one, where that was before it. */
  private static Dose lastDone(Programme programme, int week, Collection<SessionLog> logs) {
    for (int each = week; each >= 1; each--) {
      if (inWeek(programme, each, logs).stream().anyMatch(SessionLog::trained)) {
        return programme.weeks().get(each - 1).dose();
      }
    }
    return programme.weeks().get(0).dose();
  }

  /** Logs from further back decide nothing of what is {@link #due}. */
  public static final int WEEKS_LOOKED_AT = 8;

  /**
   * The latest week whose successor is to be decided: it is over, or all of it has been logged.
   *
   * @param today as of that day
   * @return empty where there is none, or it has been decided
   */
  public static Optional<Integer> due(
      Programme programme, Collection<SessionLog> logs, LocalDate today) {
    int weeks = programme.weeks().size();
    for (int week = weeks - 1; week >= 1; week--) {
      LocalDate first = programme.plan().startsOn().plusWeeks(week - 1L);
      boolean over = !today.isBefore(first.plusWeeks(1));
      if (over || (!today.isBefore(first) && allLogged(programme, week, logs))) {
        boolean nextOver = !today.isBefore(first.plusWeeks(2));
        return programme.decided(week + 1) || nextOver ? Optional.empty() : Optional.of(week);
      }
    }
    return Optional.empty();
  }

  private static boolean allLogged(Programme programme, int week, Collection<SessionLog> logs) {
    List<PlannedSession> left =
        programme.ofWeek(week).stream().filter(session -> !session.skipped()).toList();
    return !left.isEmpty()
        && left.stream()
            .allMatch(
                session ->
                    logs.stream()
                        .anyMatch(log -> log.number().equals(Optional.of(session.number()))));
  }

  /**
   * What counts for a week: the logs of its sessions, on whatever day they were done, and on its
   * days those of sessions that this programme does not know.
   */
  private static List<SessionLog> inWeek(
      Programme programme, int week, Collection<SessionLog> logs) {
    LocalDate first = programme.plan().startsOn().plusWeeks(week - 1L);
    Map<Integer, Integer> weekOf =
        programme.sessions().stream()
            .collect(Collectors.toMap(PlannedSession::number, PlannedSession::week));
    return logs.stream()
        .filter(
            log ->
                log.number()
                    .map(weekOf::get)
                    .map(own -> own == week)
                    .orElseGet(() -> within(first, log)))
        .toList();
  }

  private static boolean within(LocalDate first, SessionLog log) {
    return !log.on().isBefore(first) && log.on().isBefore(first.plusWeeks(1));
  }

  /** The minutes done in every week up to one, and in the weeks before the programme. */
  public static MinutesDone minutesDone(
      Programme programme, int week, Collection<SessionLog> logs) {
    List<Integer> weeks = new ArrayList<>();
    for (int each = 1; each <= week; each++) {
      weeks.add(inWeek(programme, each, logs).stream().mapToInt(SessionLog::minutes).sum());
    }
    return new MinutesDone(minutesBefore(programme.plan(), logs), weeks);
  }

  /**
   * The minutes done in the weeks before a plan, as many as growth looks back at. A week in which
   * they had not yet been prescribed anything holds nothing back.
   */
  public static List<Integer> minutesBefore(Plan plan, Collection<SessionLog> logs) {
    int weeks = Math.min(MinutesDone.WEEKS_BEFORE, plan.pace().weeksBefore());
    return IntStream.rangeClosed(1, weeks)
        .mapToObj(back -> plan.startsOn().minusWeeks(weeks + 1L - back))
        .map(
            first ->
                logs.stream().filter(log -> within(first, log)).mapToInt(SessionLog::minutes).sum())
        .toList();
  }

  private static ProgressionVote warned(List<SessionLog> logs, List<Finding> because) {
    List<SessionLog> warned = logs.stream().filter(log -> !log.warnings().isEmpty()).toList();
    warned.forEach(
        log ->
            because.add(SessionFinding.WARNING_LOGGED.of(Days.of(log.on()), log.warningWords())));
    return warned.isEmpty() ? ProgressionVote.STEP : ProgressionVote.BACK;
  }

  private static ProgressionVote sessions(int done, int planned, List<Finding> because) {
    if (100 * done >= TO_STEP * planned) {
      because.add(SessionFinding.SESSIONS_ENOUGH.of(done, planned));
      return ProgressionVote.STEP;
    }
    if (100 * done >= TO_HOLD * planned) {
      because.add(SessionFinding.SESSIONS_SOME.of(done, planned));
      return ProgressionVote.HOLD;
    }
    because.add(SessionFinding.SESSIONS_FEW.of(done, planned));
    return ProgressionVote.BACK;
  }

  /** The mean effort against the mean of what the same sessions asked for. */
  private static ProgressionVote effort(List<SessionLog> done, List<Finding> because) {
    List<SessionLog> felt = done.stream().filter(log -> log.rpe20().isPresent()).toList();
    if (felt.isEmpty()) {
      because.add(SessionFinding.EFFORT_UNKNOWN.of());
      return ProgressionVote.HOLD;
    }
    BigDecimal count = BigDecimal.valueOf(felt.size());
    BigDecimal mean = mean(felt.stream().mapToInt(log -> log.rpe20().orElseThrow()).sum(), count);
    BigDecimal high = mean(felt.stream().mapToInt(log -> log.asked().rpe20().high()).sum(), count);
    BigDecimal middle =
        felt.stream()
            .map(log -> middle(log.asked().rpe20()))
            .reduce(BigDecimal.ZERO, BigDecimal::add)
            .divide(count, MathContext.DECIMAL64);
    String said = tenth(mean);
    RpeSpan target = felt.get(felt.size() - 1).asked().rpe20();
    String asked =
        target.low() == Limit.EFFORT.lowest()
            ? "up to " + target.high()
            : target.low() + "–" + target.high();
    if (mean.compareTo(high.add(OVER)) >= 0) {
      because.add(SessionFinding.EFFORT_TOO_HIGH.of(said, asked, tenth(high)));
      return ProgressionVote.BACK;
    }
    if (mean.compareTo(middle) <= 0) {
      because.add(SessionFinding.EFFORT_AS_ASKED.of(said, asked, tenth(middle)));
      return ProgressionVote.STEP;
    }
    because.add(SessionFinding.EFFORT_IN_UPPER_HALF.of(said, asked, tenth(middle)));
    return ProgressionVote.HOLD;
  }

  /** A target that begins where the scale does has no middle of its own: its upper end stands. */
  private static BigDecimal middle(RpeSpan target) {
    return target.low() == Limit.EFFORT.lowest()
        ? BigDecimal.valueOf(target.high())
        : mean(target.low() + target.high(), BigDecimal.valueOf(2));
  }

  private static BigDecimal mean(int sum, BigDecimal count) {
    return BigDecimal.valueOf(sum).divide(count, MathContext.DECIMAL64);
  }

  private static String tenth(BigDecimal value) {
    BigDecimal rounded = value.setScale(1, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.toPlainString();
  }
}
