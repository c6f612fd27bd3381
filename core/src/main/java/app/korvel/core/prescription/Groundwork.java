package app.korvel.core.prescription;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.Estimate;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.Person;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Everything a prescription stands on, on one day and for one mode.
 *
 * @param date the day
 * @param person the client as the rules see them
 * @param permission what the screening allows
 * @param resting the working resting value, if any reading is on record
 * @param maximumEstimates the maximum by every equation, in that mode, and which one is in use
 */
public record Groundwork(
    LocalDate date,
    Person person,
    Permission permission,
    Optional<WorkingResting> resting,
    MaximumEstimates maximumEstimates) {

  /** Gathers it by the rules; the default equation is in use. */
  public static Groundwork of(
      Client client, Optional<WorkingResting> resting, Mode mode, LocalDate date) {
    return of(client, resting, mode, Optional.empty(), date);
  }

  /**
   * Gathers it by the rules.
   *
   * @param choice the instructor's own choice of an equation, if one was made
   */
  public static Groundwork of(
      Client client,
      Optional<WorkingResting> resting,
      Mode mode,
      Optional<Choice> choice,
      LocalDate date) {
    Person person = client.on(date);
    OptionalInt restingBpm =
        resting.map(value -> OptionalInt.of(value.bpm())).orElse(OptionalInt.empty());
    return new Groundwork(
        date,
        person,
        Permission.of(person, client.details().guardianConsent()),
        resting,
        MaximumEstimates.of(person, restingBpm, mode, choice));
  }

  /** The estimate in use, if there is one. */
  public Optional<Estimate> maximum() {
    return maximumEstimates.inUse();
  }
}
