package app.korvel.core.prescription;

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
 * @param mode what the body does
 * @param maximum the estimate taken by rule, if there is one
 */
public record Groundwork(
    LocalDate date,
    Person person,
    Permission permission,
    Optional<WorkingResting> resting,
    Mode mode,
    Optional<Estimate> maximum) {

  /** Gathers it by the rules. */
  public static Groundwork of(
      Client client, Optional<WorkingResting> resting, Mode mode, LocalDate date) {
    Person person = client.on(date);
    OptionalInt restingBpm =
        resting.map(value -> OptionalInt.of(value.bpm())).orElse(OptionalInt.empty());
    return new Groundwork(
        date,
        person,
        Permission.of(person, client.details().guardianConsent()),
        resting,
        mode,
        MaximumEstimates.of(person, restingBpm, mode).recommended());
  }
}
