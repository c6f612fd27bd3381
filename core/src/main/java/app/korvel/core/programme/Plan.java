package app.korvel.core.programme;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.OtherDays;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a programme is laid out from.
 *
 * @param first the first week, as it is prescribed
 * @param aims what it grows towards
 * @param pace how fast
 * @param bounds what every session keeps to
 * @param startsOn its first day; weeks are counted from it
 * @param endsOn its last day; {@link Limit#PROGRAMME_WEEKS} from the first
 * @param weekdays the days they have
 * @param time when a session begins, where that is the same every day
 */
public record Plan(
    Fitt first,
    ProgrammeGoal aims,
    Pace pace,
    Bounds bounds,
    LocalDate startsOn,
    LocalDate endsOn,
    Set<DayOfWeek> weekdays,
    Optional<LocalTime> time) {

  /** Years in which a programme begins: what lies outside is a typing error. */
  private static final int EARLIEST = 2000;

  private static final int LATEST = 2199;

  public Plan {
    weekdays = new TreeSet<>(weekdays);
  }

  /** Of sessions at no fixed time. */
  public Plan(
      Fitt first,
      ProgrammeGoal aims,
      Pace pace,
      Bounds bounds,
      LocalDate startsOn,
      LocalDate endsOn,
      Set<DayOfWeek> weekdays) {
    this(first, aims, pace, bounds, startsOn, endsOn, weekdays, Optional.empty());
  }

  /**
   * This plan, once it can be laid out.
   *
   * @throws InvalidValueException with every fault at once
   */
  public Plan checked() {
    List<Fault> faults = new ArrayList<>();
    if (weekdays.isEmpty()) {
      faults.add(
          new Fault("weekdays", "names no day", "at least " + first.days() + " days of the week"));
    } else if (weekdays.size() < first.days()) {
      faults.add(
          new Fault(
              "weekdays",
              "names " + weekdays.size() + " for " + first.days() + " sessions a week",
              "at least " + first.days() + " days of the week"));
    } else {
      aims.check(faults, first, weekdays.size());
    }
    if (!Limit.LIGHT_WEEKS.accepts(pace.lightWeeks())) {
      faults.add(
          new Fault(
              "lightWeeks",
              pace.lightWeeks() + " is outside the accepted range",
              Limit.LIGHT_WEEKS.accepted()));
    }
    if (startsOn.getYear() < EARLIEST || startsOn.getYear() > LATEST) {
      faults.add(
          new Fault("startsOn", "lies too far away", "a day from " + EARLIEST + " to " + LATEST));
    } else if (endsOn.isBefore(startsOn)) {
      faults.add(new Fault("endsOn", "lies before the start", spanAccepted()));
    } else if (ChronoUnit.DAYS.between(startsOn, endsOn) > 7L * Limit.PROGRAMME_WEEKS.highest() - 1
        || weeks() < Limit.PROGRAMME_WEEKS.lowest()) {
      faults.add(
          new Fault(
              "endsOn",
              "makes " + (ChronoUnit.DAYS.between(startsOn, endsOn) / 7 + 1) + " weeks",
              spanAccepted()));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return this;
  }

  private String spanAccepted() {
    return Limit.PROGRAMME_WEEKS.accepted()
        + ": "
        + startsOn.plusWeeks(Limit.PROGRAMME_WEEKS.lowest()).minusDays(1)
        + " to "
        + startsOn.plusWeeks(Limit.PROGRAMME_WEEKS.highest()).minusDays(1);
  }

  /** How many weeks, the last one perhaps not whole. */
  public int weeks() {
    return (int) (ChronoUnit.DAYS.between(startsOn, endsOn) / 7) + 1;
  }

  /** The number of the week a day of the programme lies in, from 1. */
  public int weekOf(LocalDate day) {
    return (int) (ChronoUnit.DAYS.between(startsOn, day) / 7) + 1;
  }

  /** The usual session of a dose. */
  Outline outline(Dose dose) {
    return Outline.of(dose.type(), dose.range(), dose.minutes(), bounds);
  }

  /** What is done in a session of a week of that dose. */
  Outline outline(PlannedSession session, Dose dose) {
    return session
        .own()
        .map(Outlines.Named::outline)
        .orElseGet(
            () -> session.easier() ? OtherDays.outline(dose.minutes(), bounds) : outline(dose));
  }
}
