package app.korvel.core.session;

import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a session asked for, as of the day it was logged.
 *
 * @param range of its work, percent of reserve
 * @param minutes of work
 * @param rpe20 how it was to feel
 * @param reserve by which its rates are read; empty where no rate may be used
 */
public record PlannedLoad(Percents range, int minutes, RpeSpan rpe20, Optional<Reserve> reserve) {

  /** The level of the middle of its range. */
  public Level level() {
    return Level.atPercent(
        BigDecimal.valueOf(range.low() + range.high()).divide(BigDecimal.valueOf(2)));
  }
}
