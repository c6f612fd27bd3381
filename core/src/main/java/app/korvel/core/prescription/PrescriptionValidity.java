package app.korvel.core.prescription;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Screening;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether a saved prescription still holds, on one day: worked out from what is on record, never
 * kept.
 *
 * @param state where it stands
 * @param findings why; empty where it holds
 */
public record PrescriptionValidity(State state, List<Finding> findings) {

  /** Where a saved prescription stands. */
  public enum State {
    ISSUED("version ", JobStep.State.DONE),
    /** RPE and talk hold; no rate of it may be used. */
    RATE_SUSPENDED("rates suspended, v", JobStep.State.DUE),
    /** Nothing of it may be used. */
    SUSPENDED("suspended, v", JobStep.State.BLOCKED),
    DRAFT("draft ", JobStep.State.DUE);

    private final String said;
    private final JobStep.State step;

    State(String said, JobStep.State step) {
      this.said = said;
      this.step = step;
    }

    /** Whether it may be worked by, with rates or without. */
    boolean holds() {
      return this == ISSUED || this == RATE_SUSPENDED;
    }

    /** How it begins in the path of the job, before the version. */
    String said() {
      return said;
    }

    /** Where the step of the job stands with it. */
    JobStep.State step() {
      return step;
    }
  }

  public PrescriptionValidity {
    findings = List.copyOf(findings);
  }

  /**
   * Where a prescription stands.
   *
   * @param madeAt when it was saved
   */
  public static PrescriptionValidity of(Prescription made, Instant madeAt, Screening screening) {
    if (made.status() == Prescription.Status.DRAFT) {
      return new PrescriptionValidity(State.DRAFT, List.of());
    }
    List<Finding> suspended = new ArrayList<>(screening.stops());
    if (suspended.isEmpty()
        && screening.decided()
        && made.parts().highPercent() > Permission.CEILING_PERCENT
        && !screening.permission().vigorous()) {
      suspended.add(
          PrescriptionFinding.SUSPENDED_INTENSITY.of(
              made.parts().highPercent(), screening.permission().notVigorousBecause()));
    }
    int highestEffort = screening.effects().highestEffort();
    if (made.rpe20().high() > highestEffort) {
      suspended.add(PrescriptionFinding.SUSPENDED_EFFORT.of(made.rpe20().high(), highestEffort));
    }
    if (!suspended.isEmpty()) {
      return new PrescriptionValidity(State.SUSPENDED, suspended);
    }
    List<Finding> rate = made.target().isPresent() ? rate(made, madeAt, screening) : List.of();
    return new PrescriptionValidity(rate.isEmpty() ? State.ISSUED : State.RATE_SUSPENDED, rate);
  }

  private static List<Finding> rate(Prescription made, Instant madeAt, Screening screening) {
    List<Finding> findings = new ArrayList<>();
    screening
        .medicinesChangedAt()
        .filter(madeAt::isBefore)
        .ifPresent(
            at ->
                findings.add(
                    PrescriptionFinding.RATE_SUSPENDED_MEDICINE.of(
                        Days.of(LocalDate.ofInstant(at, screening.zone())))));
    if (screening.effects().steering() == IntensityGuide.EFFORT_AND_TALK_ONLY) {
      findings.add(
          PrescriptionFinding.RATE_SUSPENDED_CONTEXT.of(screening.noRateBecause().orElseThrow()));
    }
    int highBpm = made.target().orElseThrow().highBpm();
    screening
        .cap()
        .filter(cap -> cap.bpm() < highBpm)
        .ifPresent(
            cap ->
                findings.add(
                    PrescriptionFinding.RATE_SUSPENDED_CAP.of(
                        highBpm, cap.bpm(), cap.because() + ".")));
    return findings;
  }

  /** Whether it may be worked by, with rates or without. */
  public boolean holds() {
    return state.holds();
  }

  /** Whether its rates may be used. */
  public boolean ratesHold() {
    return state == State.ISSUED || state == State.DRAFT;
  }
}
