package app.korvel.core.checkin;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a check-in is held against.
 *
 * @param date the day
 * @param person the client as the rules see them
 * @param usualBpm the working resting value of the same posture and source, if there is one
 * @param toldUsualBpm what the client has always had at rest, if told at intake
 * @param effects what their contexts ask for and have them carry
 * @param weights those measured before
 * @param screeningStops why the screening does not let them train; empty where it does
 */
public record Known(
    LocalDate date,
    Person person,
    OptionalInt usualBpm,
    OptionalInt toldUsualBpm,
    Effects effects,
    List<Weighed> weights,
    Optional<String> screeningStops) {

  /** A weight of a day. */
  public record Weighed(LocalDate on, BigDecimal kg) {}

  public Known {
    weights = List.copyOf(weights);
  }

  /** Without what their context asks for and has them carry: what a pulse alone is held against. */
  Known pulseAlone() {
    return new Known(date, person, usualBpm, toldUsualBpm, Effects.NONE, List.of(), screeningStops);
  }

  /**
   * What is known of a screened client.
   *
   * @param usualBpm the working resting value of the same posture and source, if there is one
   */
  public static Known of(
      LocalDate date, Screening screening, OptionalInt usualBpm, List<Weighed> weights) {
    return new Known(
        date,
        screening.person(),
        usualBpm,
        screening.answers().usualRestingBpm(),
        screening.effects(),
        weights,
        screening.stops().stream().map(Finding::message).findFirst());
  }

  /** Nothing but the person, and perhaps a usual value: what a calculator knows. */
  public static Known of(LocalDate date, Person person, OptionalInt usualBpm) {
    return new Known(
        date, person, usualBpm, OptionalInt.empty(), Effects.NONE, List.of(), Optional.empty());
  }
}
