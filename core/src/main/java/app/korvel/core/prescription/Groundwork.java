package app.korvel.core.prescription;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.Estimate;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Steering;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Everything a prescription stands on, on one day and for one mode.
 *
 * @param screening what the screening allows, and what must be watched
 * @param resting the working resting value, if any reading is on record
 * @param maximumEstimates the maximum by every equation, in that mode, and which one is in use
 */
public record Groundwork(
    Screening screening, Optional<WorkingResting> resting, MaximumEstimates maximumEstimates) {

  /**
   * Gathers it by the rules.
   *
   * @param choice the instructor's own choice of an equation, if one was made; one made before a
   *     change of medicine is stale
   */
  public static Groundwork of(
      Screening screening, Optional<WorkingResting> resting, Mode mode, Optional<Choice> choice) {
    OptionalInt restingBpm =
        resting.map(value -> OptionalInt.of(value.bpm())).orElse(OptionalInt.empty());
    Optional<LocalDate> changedOn =
        screening.medicinesChangedAt().map(at -> LocalDate.ofInstant(at, screening.zone()));
    return new Groundwork(
        screening,
        resting,
        MaximumEstimates.of(screening.person(), restingBpm, mode, choice, changedOn));
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

  /** The estimate in use, if there is one. */
  public Optional<Estimate> maximum() {
    return maximumEstimates.inUse();
  }

  /** Whether medicine changed and the resting pulse has not been counted since. */
  public boolean stale() {
    return resting.map(WorkingResting::stale).orElse(false);
  }

  /** Why nothing may be steered by a rate; empty where it may, as far as is known. */
  public Optional<String> noRateBecause() {
    if (screening.effects().steering() == Steering.EFFORT_AND_TALK_ONLY) {
      return screening.noRateBecause();
    }
    if (stale()) {
      return Optional.of(
          "Medicine that touches the heart rate changed: count the resting pulse again first.");
    }
    return screening
        .cap()
        .filter(cap -> resting.filter(value -> cap.bpm() <= value.bpm()).isPresent())
        .map(
            cap ->
                "The cap of "
                    + cap.bpm()
                    + " does not lie above the resting rate of "
                    + resting.get().bpm()
                    + ": ask whoever gave it.");
  }
}
