package app.korvel.core.checkin;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RegionalSettings.Weight;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a check-in is compared with.
 *
 * @param date the day
 * @param person the client as the rules see them
 * @param usual what is usual for them at rest, if it is known
 * @param toldUsualBpm what the client has always had at rest, if told at intake
 * @param effects what their contexts ask for and have them carry
 * @param weights those measured before
 * @param screening why the screening does not let them train; empty where it does
 * @param weightUnit in which a weight is written
 */
public record CheckInContext(
    LocalDate date,
    Person person,
    Optional<UsualPulse> usual,
    OptionalInt toldUsualBpm,
    Effects effects,
    List<Weighed> weights,
    Optional<Finding> screening,
    Weight weightUnit) {

  /** A weight of a day. */
  public record Weighed(LocalDate on, BigDecimal kg) {}

  public CheckInContext {
    weights = List.copyOf(weights);
  }

  /**
   * Without what their context asks for and has them carry: what a pulse alone is compared with.
   */
  CheckInContext pulseAlone() {
    return new CheckInContext(
        date, person, usual, toldUsualBpm, Effects.NONE, List.of(), screening, weightUnit);
  }

  /** What a pulse in that posture is compared with: only a usual value of the same posture. */
  public OptionalInt usualBpm(Posture posture) {
    return usual
        .filter(value -> value.posture() == posture)
        .map(value -> OptionalInt.of(value.bpm()))
        .orElse(OptionalInt.empty());
  }

  /** Whether the screening has been decided, and lets them train or not. */
  public boolean decided() {
    return screening
        .filter(finding -> finding.code().equals(CheckInFinding.SCREENING_OPEN.code()))
        .isEmpty();
  }

  /** What is known of a screened client. */
  public static CheckInContext of(
      LocalDate date,
      Screening screening,
      Optional<UsualPulse> usual,
      List<Weighed> weights,
      Weight unit) {
    return new CheckInContext(
        date,
        screening.person(),
        usual,
        screening.answers().usualRestingBpm(),
        screening.effects(),
        weights,
        screening(screening),
        unit);
  }

  /** What is known of a screened client whose weight is not looked at. */
  public static CheckInContext of(LocalDate date, Screening screening, Optional<UsualPulse> usual) {
    return of(date, screening, usual, List.of(), Weight.KG);
  }

  private static Optional<Finding> screening(Screening screening) {
    return screening.decided()
        ? screening.stops().stream()
            .findFirst()
            .map(stop -> CheckInFinding.SCREENING_STOPS.of(stop.message()))
        : Optional.of(CheckInFinding.SCREENING_OPEN.of());
  }

  /** Nothing but the person, and perhaps a usual value: what a calculator knows. */
  public static CheckInContext of(LocalDate date, Person person, Optional<UsualPulse> usual) {
    return new CheckInContext(
        date,
        person,
        usual,
        OptionalInt.empty(),
        Effects.NONE,
        List.of(),
        Optional.empty(),
        Weight.KG);
  }
}
