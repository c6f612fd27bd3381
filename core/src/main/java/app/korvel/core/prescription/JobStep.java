package app.korvel.core.prescription;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.zone.Reserve;
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
    PRESCRIPTION
  }

  /** What keeps a resting value from being settled, and how it is said. */
  private static final Map<FindingKind, String> ASK_FIRST =
      Map.of(
          FindingKind.RESTING_HIGH, ", ask a doctor",
          FindingKind.RESTING_HIGH_RECOUNT, ", count again",
          FindingKind.RESTING_UNDER_40, ", ask a doctor");

  /** Where a step stands. */
  public enum State {
    DONE,
    DUE,
    BLOCKED
  }

  /**
   * The whole path.
   *
   * @param saved the status of the current prescription, if one is saved
   */
  public static List<JobStep> path(Groundwork ground, Optional<SavedStatus> saved) {
    return List.of(
        screening(ground),
        pulse(ground),
        maximum(ground),
        bands(ground),
        prescribed(ground, saved));
  }

  /**
   * The current prescription in short.
   *
   * @param version its number
   * @param status issued or draft
   */
  public record SavedStatus(int version, Prescription.Status status) {}

  private static JobStep screening(Groundwork ground) {
    return ground.permission().findings().stream()
        .filter(finding -> finding.severity() == Severity.BLOCK)
        .findFirst()
        .map(
            finding ->
                new JobStep(
                    Step.SCREENING,
                    State.BLOCKED,
                    finding.code().equals(FindingKind.CONSENT_FIRST.code())
                        ? "consent missing"
                        : "clearance first"))
        .orElse(new JobStep(Step.SCREENING, State.DONE, "nothing known against"));
  }

  private static JobStep pulse(Groundwork ground) {
    if (ground.resting().isEmpty()) {
      return new JobStep(Step.PULSE, State.DUE, "none counted yet");
    }
    WorkingResting resting = ground.resting().get();
    FindingKind usual = UsualResting.kindOf(resting.bpm(), ground.person(), resting.settled());
    if (ASK_FIRST.containsKey(usual)) {
      return new JobStep(Step.PULSE, State.DUE, resting.bpm() + ASK_FIRST.get(usual));
    }
    return new JobStep(
        Step.PULSE,
        resting.due() ? State.DUE : State.DONE,
        resting.due() ? "due again" : resting.bpm() + " at rest");
  }

  private static JobStep maximum(Groundwork ground) {
    return ground
        .maximum()
        .map(
            maximum ->
                new JobStep(
                    Step.MAXIMUM,
                    State.DONE,
                    "about "
                        + maximum.bpm().orElseThrow()
                        + (ground.maximumEstimates().chosen() ? ", your choice" : "")))
        .orElse(new JobStep(Step.MAXIMUM, State.BLOCKED, "cardiac team"));
  }

  private static JobStep bands(Groundwork ground) {
    if (ground.maximum().isEmpty()) {
      return new JobStep(Step.BANDS, State.BLOCKED, "effort and talk");
    }
    if (ground.resting().isEmpty()) {
      return new JobStep(Step.BANDS, State.BLOCKED, "pulse first");
    }
    int reserve = ground.maximum().get().bpm().orElseThrow() - ground.resting().get().bpm();
    return reserve < Reserve.SMALLEST
        ? new JobStep(Step.BANDS, State.BLOCKED, "reserve too small")
        : new JobStep(Step.BANDS, State.DONE, "reserve " + reserve);
  }

  private static JobStep prescribed(Groundwork ground, Optional<SavedStatus> saved) {
    if (saved.isPresent()) {
      boolean issued = saved.get().status() == Prescription.Status.ISSUED;
      return new JobStep(
          Step.PRESCRIPTION,
          issued ? State.DONE : State.DUE,
          (issued ? "version " : "draft ") + saved.get().version());
    }
    return ground.resting().isEmpty()
        ? new JobStep(Step.PRESCRIPTION, State.BLOCKED, "pulse first")
        : new JobStep(Step.PRESCRIPTION, State.DUE, "none yet");
  }
}
