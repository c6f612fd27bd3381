package app.korvel.core.pulse;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/**
 * What is usual for someone at rest: the value that a pulse before or after a session is compared
 * with, the same on every page.
 *
 * <p>Their working resting value, without overnight readings, which run lower than anything counted
 * before a session. One from before a change of medicine is none.
 *
 * @param bpm the value
 * @param posture in which it was taken
 * @param source where it came from
 */
public record UsualPulse(int bpm, Posture posture, PulseSource source) {

  /**
   * The usual value on {@code today}.
   *
   * @param readings in any order; none may lie after today
   * @param medicinesChangedAt since when the medicines that touch the heart rate are what they are
   * @param zone the studio's time zone, in which days are counted
   */
  public static Optional<UsualPulse> of(
      List<RestingReading> readings,
      Optional<Instant> medicinesChangedAt,
      LocalDate today,
      ZoneId zone) {
    List<RestingReading> awake =
        readings.stream().filter(reading -> reading.source() != PulseSource.OVERNIGHT).toList();
    return WorkingResting.of(awake, medicinesChangedAt, today, zone)
        .filter(working -> !working.stale())
        .map(
            working -> {
              RestingReading first = working.basis().get(0);
              return new UsualPulse(working.bpm(), first.posture(), first.source());
            });
  }
}
