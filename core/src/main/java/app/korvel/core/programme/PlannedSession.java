package app.korvel.core.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Outlines.Named;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;

/**
 * One session of a programme.
 *
 * @param number the same for good, and no other session of this client has it, in whichever
 *     programme
 * @param week whose dose it has, from 1
 * @param date the day it is on
 * @param laidOn the day it was laid out on
 * @param time when it begins, where that is fixed
 * @param mode what the body does
 * @param skipped whether it is left out
 * @param own an outline of its own; empty where it is the usual one of its week
 * @param easier whether it is one of the other days of a vigorous week, at 40 to 60 % of reserve
 */
public record PlannedSession(
    int number,
    int week,
    LocalDate date,
    LocalDate laidOn,
    Optional<LocalTime> time,
    Mode mode,
    boolean skipped,
    Optional<Named> own,
    boolean easier) {

  /** As it is laid out. */
  static PlannedSession laid(int number, int week, LocalDate date, Plan plan) {
    return new PlannedSession(
        number, week, date, date, plan.time(), plan.first().mode(), false, Optional.empty(), false);
  }

  /** Whether it is as it was laid out. */
  boolean untouched(Plan plan) {
    return equals(laid(number, week, date, plan).easier(easier));
  }

  PlannedSession on(LocalDate other, Optional<LocalTime> at) {
    return new PlannedSession(number, week, other, laidOn, at, mode, skipped, own, easier);
  }

  PlannedSession by(Mode other) {
    return new PlannedSession(number, week, date, laidOn, time, other, skipped, own, easier);
  }

  PlannedSession skipping(boolean skip) {
    return new PlannedSession(number, week, date, laidOn, time, mode, skip, own, easier);
  }

  PlannedSession with(Optional<Named> outline) {
    return new PlannedSession(number, week, date, laidOn, time, mode, skipped, outline, easier);
  }

  PlannedSession easier(boolean other) {
    return new PlannedSession(number, week, date, laidOn, time, mode, skipped, own, other);
  }
}
