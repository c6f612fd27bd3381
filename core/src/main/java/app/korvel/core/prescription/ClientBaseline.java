package app.korvel.core.prescription;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MaximumFinding;
import app.korvel.core.maximum.MaximumRecord;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.LearnedRates;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Uncertainty;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Everything a prescription stands on, on one day and for one mode.
 *
 * @param screening what the screening allows, and what must be watched
 * @param resting the working resting value, if any reading is on record
 * @param maximumRecord every equation and every measured maximum in that mode, and the working one
 * @param learned the rates in use in that mode that were learned from the client's talk
 */
public record ClientBaseline(
    Screening screening,
    Optional<WorkingResting> resting,
    MaximumRecord maximumRecord,
    LearnedRates learned) {

  /** Gathers it for someone of whom no maximum has been measured. */
  public static ClientBaseline of(
      Screening screening, Optional<WorkingResting> resting, Mode mode, Optional<Choice> choice) {
    return of(screening, resting, mode, choice, List.of());
  }

  /**
   * Gathers it by the rules.
   *
   * @param choice the instructor's own choice of an equation, if one was made; one made before a
   *     change of medicine is out of date
   * @param measured the measured maxima of every mode
   */
  public static ClientBaseline of(
      Screening screening,
      Optional<WorkingResting> resting,
      Mode mode,
      Optional<Choice> choice,
      List<MeasuredMaximum> measured) {
    OptionalInt restingBpm =
        resting.map(value -> OptionalInt.of(value.bpm())).orElse(OptionalInt.empty());
    return new ClientBaseline(
        screening,
        resting,
        MaximumRecord.of(
            screening.person(),
            restingBpm,
            mode,
            choice,
            measured,
            screening.medicinesChangedAt(),
            screening.date(),
            screening.zone()),
        LearnedRates.NONE);
  }

  /** The same with those learned rates in use. */
  public ClientBaseline with(LearnedRates rates) {
    return new ClientBaseline(screening, resting, maximumRecord, rates);
  }

  /** Where the levels of effort begin; empty where there is no span. */
  public Optional<Ladder> ladder() {
    return reserve().map(span -> Ladder.of(span, learned));
  }

  /** The day it holds for. */
  public LocalDate date() {
    return screening.date();
  }

  /** The client as the rules see them. */
  public Person person() {
    return screening.person();
  }

  /** What the screening allows. */
  public Permission permission() {
    return screening.permission();
  }

  /** How hard they may be asked to work at most; nothing where the screening stops them. */
  public Ceiling ceiling() {
    return screening.stops().stream()
        .findFirst()
        .map(Ceiling::nothing)
        .orElseGet(() -> Ceiling.of(person(), permission()));
  }

  /** Whether a prescription may be issued; if not it can be kept as a draft. */
  public boolean mayIssue() {
    return permission().mayIssue() && whyNotIssued().isEmpty();
  }

  /**
   * Why nothing is issued although the screening allows it: a resting value over the top of the
   * range at this age, until a clearance given since answers it.
   */
  public List<Finding> whyNotIssued() {
    int highest = UsualResting.at(person().age()).highest();
    return resting
        .filter(value -> value.bpm() > highest)
        .filter(
            value ->
                value.overSince(highest).map(since -> !screening.answeredSince(since)).orElse(true))
        .map(value -> List.of(PrescriptionFinding.RESTING_OVER_STOPS.of(value.bpm(), highest)))
        .orElse(List.of());
  }

  /** The maximum everything starts from, if there is one. */
  public Optional<WorkingMaximum> maximum() {
    return maximumRecord.working();
  }

  /** The span from rest to maximum; empty where either is missing or it is too small. */
  public Optional<Reserve> reserve() {
    return resting.flatMap(
        low ->
            maximum()
                .filter(high -> high.bpm() - low.bpm() >= Reserve.SMALLEST)
                .map(high -> Reserve.of(low.bpm(), high.bpm())));
  }

  /**
   * The span from rest to maximum, to work with.
   *
   * @throws RefusedException when a rate may not be used, or one of its ends is missing, or it is
   *     too small; it says why
   */
  public Reserve reserveOrRefuse() {
    if (resting.isEmpty()) {
      throw RefusedException.because(PrescriptionFinding.RESTING_MISSING.of());
    }
    noRateBecause()
        .ifPresent(
            why -> {
              throw RefusedException.because(PrescriptionFinding.RATE_NOT_USED.of(why));
            });
    WorkingMaximum maximum =
        maximum()
            .orElseThrow(
                () -> RefusedException.because(MaximumFinding.NO_DEFAULT_HEART_FAILURE.of()));
    return Reserve.of(resting.get().bpm(), maximum.bpm());
  }

  /** How sure both ends of the span are; both are known. */
  public Uncertainty uncertainty() {
    return Uncertainty.of(
        maximum().orElseThrow().standardErrorBpm(),
        Rounding.tenths(resting.orElseThrow().standardErrorBpm()));
  }

  /** A clinician's cap, as a rate. */
  public OptionalInt capBpm() {
    return screening.cap().map(cap -> OptionalInt.of(cap.bpm())).orElse(OptionalInt.empty());
  }

  /** Whether medicine changed and the resting pulse has not been counted since. */
  public boolean stale() {
    return resting.map(WorkingResting::stale).orElse(false);
  }

  /** Why nothing may be steered by a rate; empty where it may, as far as is known. */
  public Optional<String> noRateBecause() {
    if (screening.effects().steering() == IntensityGuide.EFFORT_AND_TALK_ONLY) {
      return screening.noRateBecause();
    }
    if (stale()) {
      return Optional.of(
          "Medication that affects the heart rate changed: count the resting pulse again first.");
    }
    return screening
        .cap()
        .filter(cap -> resting.filter(value -> cap.bpm() <= value.bpm()).isPresent())
        .map(
            cap ->
                "The cap of "
                    + cap.bpm()
                    + " is not above the resting rate of "
                    + resting.get().bpm()
                    + ": ask the clinician who set it.");
  }

  /** The rate below which work is light; empty where no rate may be used. */
  public Optional<Integer> lightBelowBpm() {
    return reserve()
        .filter(span -> noRateBecause().isEmpty())
        .map(
            span ->
                Math.min(
                    span.rateAt(Threshold.WARM_UP_TO.whole()),
                    screening().cap().map(Cap::bpm).orElse(span.maximumBpm())));
  }
}
