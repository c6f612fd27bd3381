package app.korvel.core.prescription;

import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.pulse.PulseFinding;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.ScreeningFinding;
import app.korvel.core.zone.Reserve;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One step of the job with one client, and where it stands.
 *
 * @param step which
 * @param state where it stands
 * @param detail why, in a few words
 */
public record JobStep(Step step, State state, String detail) {

  /** The path of the job, in order. */
  public enum Step {
    SCREENING,
    PULSE,
    MAXIMUM,
    BANDS,
    PRESCRIPTION,
    SESSIONS,
    PROGRESS
  }

  /** What keeps a resting value from being settled, and how it is said. */
  private static final Map<FindingKind, String> ASK_FIRST =
      Map.of(
          PulseFinding.RESTING_HIGH, ", ask a doctor",
          PulseFinding.RESTING_HIGH_RECOUNT, ", count again",
          PulseFinding.RESTING_UNDER_40, ", ask a doctor");

  /** Where a step stands. */
  public enum State {
    DONE,
    DUE,
    /** Waits for an earlier step; nothing is wrong. */
    LATER,
    /** A rule stops it. */
    BLOCKED
  }

  /**
   * The whole path.
   *
   * @param saved where the current prescription stands, if one is saved
   */
  public static List<JobStep> path(ClientBaseline baseline, Optional<SavedStatus> saved) {
    return List.of(
        screening(baseline),
        pulse(baseline),
        maximum(baseline),
        bands(baseline),
        prescribed(baseline, saved),
        sessions(baseline, saved),
        progress(saved));
  }

  /**
   * What is to be done next: the first step that is due, or a screening that stops everything after
   * it; empty where all is in place.
   */
  public static Optional<JobStep> next(List<JobStep> path) {
    return path.stream()
        .filter(
            each ->
                each.state == State.DUE
                    || each.state == State.BLOCKED && each.step == Step.SCREENING)
        .findFirst();
  }

  /**
   * The current prescription in short.
   *
   * @param version its number
   * @param review whether new values would move its target
   * @param standing whether it holds
   * @param plannedUntil the last day of the programme, if one is laid out
   * @param weekDue the week of it that is over, where the next one is to be decided
   * @param lastLogged the day of the session that was logged last
   */
  public record SavedStatus(
      int version,
      PrescriptionValidity.State standing,
      boolean review,
      Optional<LocalDate> plannedUntil,
      Optional<Integer> weekDue,
      Optional<LocalDate> lastLogged) {}

  /** What keeps a screening from being settled, and how it is said. */
  private static final Map<FindingKind, String> SCREENING_BLOCKS =
      Map.of(
          ScreeningFinding.SYMPTOMS_STOP, "symptoms: doctor first",
          ScreeningFinding.SYMPTOMS_FIRST, "symptoms: doctor first",
          ScreeningFinding.CLEARANCE_FIRST, "clearance first",
          ScreeningFinding.CLEARANCE_LAPSED, "clearance lapsed",
          ScreeningFinding.CONSENT_FIRST, "consent missing",
          ScreeningFinding.SCREENING_UNFINISHED, "not finished");

  private static JobStep screening(ClientBaseline baseline) {
    Screening screening = baseline.screening();
    if (!screening.decided() && screening.answers().untouched()) {
      return new JobStep(Step.SCREENING, State.DUE, "not asked yet");
    }
    for (Finding finding : screening.permission().findings()) {
      Optional<String> said =
          SCREENING_BLOCKS.entrySet().stream()
              .filter(entry -> entry.getKey().code().equals(finding.code()))
              .map(Map.Entry::getValue)
              .findFirst();
      if (said.isPresent()) {
        boolean unasked = finding.code().equals(ScreeningFinding.SCREENING_UNFINISHED.code());
        return new JobStep(Step.SCREENING, unasked ? State.DUE : State.BLOCKED, said.get());
      }
    }
    if (screening.due()) {
      return new JobStep(Step.SCREENING, State.DUE, "due again");
    }
    if (screening.clearanceLapsing()) {
      return new JobStep(Step.SCREENING, State.DUE, "clearance lapsing");
    }
    if (screening.limitLapsed()) {
      return new JobStep(Step.SCREENING, State.DUE, "written limit lapsed");
    }
    return new JobStep(
        Step.SCREENING,
        State.DONE,
        screening.permission().vigorous() ? "vigorous too" : "light to moderate");
  }

  private static JobStep pulse(ClientBaseline baseline) {
    if (baseline.resting().isEmpty()) {
      return new JobStep(Step.PULSE, State.DUE, "none counted yet");
    }
    WorkingResting resting = baseline.resting().get();
    FindingKind usual = UsualResting.kindOf(resting.bpm(), baseline.person(), resting.settled());
    if (ASK_FIRST.containsKey(usual)) {
      return new JobStep(Step.PULSE, State.DUE, resting.bpm() + ASK_FIRST.get(usual));
    }
    if (resting.stale()) {
      return new JobStep(Step.PULSE, State.DUE, "out of date: medication changed");
    }
    return new JobStep(
        Step.PULSE,
        resting.due() ? State.DUE : State.DONE,
        resting.due() ? "due again" : resting.bpm() + " at rest");
  }

  private static JobStep maximum(ClientBaseline baseline) {
    Optional<WorkingMaximum> working = baseline.maximum();
    if (working.isEmpty()) {
      return new JobStep(Step.MAXIMUM, State.BLOCKED, "cardiac team");
    }
    if (baseline.stale()) {
      return new JobStep(Step.MAXIMUM, State.DUE, "out of date: medication changed");
    }
    if (baseline.maximumRecord().due()) {
      return new JobStep(Step.MAXIMUM, State.DUE, "due again");
    }
    int bpm = working.get().bpm();
    return new JobStep(
        Step.MAXIMUM,
        State.DONE,
        switch (working.get().origin()) {
          case MEASURED -> bpm + ", measured";
          case CHOSEN -> "about " + bpm + ", your choice";
          case BORROWED, ESTIMATED -> "about " + bpm;
        });
  }

  private static JobStep bands(ClientBaseline baseline) {
    if (baseline.maximum().isEmpty()
        || baseline.screening().effects().steering() == IntensityGuide.EFFORT_AND_TALK_ONLY) {
      return new JobStep(Step.BANDS, State.BLOCKED, "RPE and talk");
    }
    if (baseline.stale()) {
      return new JobStep(Step.BANDS, State.LATER, "pulse again first");
    }
    if (baseline.resting().isEmpty()) {
      return new JobStep(Step.BANDS, State.LATER, "pulse first");
    }
    int reserve = baseline.maximum().get().bpm() - baseline.resting().get().bpm();
    return reserve < Reserve.SMALLEST
        ? new JobStep(Step.BANDS, State.BLOCKED, "reserve too small")
        : new JobStep(Step.BANDS, State.DONE, "reserve " + reserve);
  }

  private static JobStep prescribed(ClientBaseline baseline, Optional<SavedStatus> saved) {
    if (saved.isPresent()) {
      PrescriptionValidity.State standing = saved.get().standing();
      if (standing == PrescriptionValidity.State.ISSUED && saved.get().review()) {
        return new JobStep(Step.PRESCRIPTION, State.DUE, "new values, v" + saved.get().version());
      }
      return new JobStep(
          Step.PRESCRIPTION, standing.step(), standing.said() + saved.get().version());
    }
    return baseline.resting().isEmpty()
        ? new JobStep(Step.PRESCRIPTION, State.LATER, "pulse first")
        : new JobStep(Step.PRESCRIPTION, State.DUE, "none yet");
  }

  private static JobStep sessions(ClientBaseline baseline, Optional<SavedStatus> saved) {
    if (saved.filter(each -> each.standing().holds()).isEmpty()) {
      return new JobStep(Step.SESSIONS, State.LATER, "prescription first");
    }
    if (saved.get().weekDue().isPresent()) {
      return new JobStep(
          Step.SESSIONS, State.DUE, "decide week " + (saved.get().weekDue().get() + 1));
    }
    return saved
        .get()
        .plannedUntil()
        .map(
            last ->
                last.isBefore(baseline.date())
                    ? new JobStep(Step.SESSIONS, State.DUE, "programme ended")
                    : new JobStep(Step.SESSIONS, State.DONE, "until " + Days.ofTheYear(last)))
        .orElseGet(() -> new JobStep(Step.SESSIONS, State.DUE, "no programme"));
  }

  private static JobStep progress(Optional<SavedStatus> saved) {
    return saved
        .flatMap(SavedStatus::lastLogged)
        .map(day -> new JobStep(Step.PROGRESS, State.DONE, "logged " + Days.ofTheYear(day)))
        .orElseGet(() -> new JobStep(Step.PROGRESS, State.LATER, "nothing logged yet"));
  }
}
