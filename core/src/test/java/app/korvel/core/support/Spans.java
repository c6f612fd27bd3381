package app.korvel.core.support;

import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.ThresholdRates;
import java.util.Optional;

/** Spans with thresholds, where a test goes through every scheme. */
public final class Spans {
  private Spans() {}

  /** With thresholds at 55 and 80 % of reserve. */
  public static Anchors measured(Reserve reserve) {
    return Anchors.of(
        reserve, Optional.of(ThresholdRates.of(reserve.rateAt(55), reserve.rateAt(80))));
  }
}
