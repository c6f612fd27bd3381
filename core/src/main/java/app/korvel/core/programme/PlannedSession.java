package app.korvel.core.programme;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Outlines.Named;
import java.time.LocalDate;
import java.util.Optional;

/**
 * One session of a programme.
 *
 * @param number from 1, the same for good
 * @param week whose dose it has, from 1
 * @param date the day it is on
 * @param laidOn the day it was laid out on
 * @param mode what the body does
 * @param skipped whether it is left out
 * @param own an outline of its own; empty where it is the usual one of its week
 */
public record PlannedSession(
    int number,
    int week,
    LocalDate date,
    LocalDate laidOn,
    Mode mode,
    boolean skipped,
    Optional<Named> own) {

  PlannedSession on(LocalDate other) {
    return new PlannedSession(number, week, other, laidOn, mode, skipped, own);
  }

  PlannedSession by(Mode other) {
    return new PlannedSession(number, week, date, laidOn, other, skipped, own);
  }

  PlannedSession skipping(boolean skip) {
    return new PlannedSession(number, week, date, laidOn, mode, skip, own);
  }

  PlannedSession with(Optional<Named> outline) {
    return new PlannedSession(number, week, date, laidOn, mode, skipped, outline);
  }
}
