package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.Reserve;
import app.korvel.server.web.Within;
import app.korvel.studio.Stamp;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Thresholds as they are received and sent. */
final class ThresholdViews {
  private ThresholdViews() {}

  record ThresholdsRequest(
      Mode mode,
      MeasuredThresholds.Kind kind,
      @Within(Limit.PULSE) Integer lowerThresholdBpm,
      @Within(Limit.PULSE) Integer upperThresholdBpm,
      LocalDate measuredOn,
      @Nullable String note) {

    MeasuredThresholds measured(Stamp stamp, Reserve span) {
      return MeasuredThresholds.of(
          stamp.id(),
          mode,
          kind,
          lowerThresholdBpm,
          upperThresholdBpm,
          measuredOn,
          note == null ? "" : note,
          span,
          stamp.at(),
          stamp.zone());
    }
  }

  record ThresholdsView(
      UUID id,
      Mode mode,
      MeasuredThresholds.Kind kind,
      String kindName,
      int lowerBpm,
      int upperBpm,
      LocalDate measuredOn,
      String note) {

    static ThresholdsView of(MeasuredThresholds measured) {
      return new ThresholdsView(
          measured.id(),
          measured.mode(),
          measured.kind(),
          measured.kind().displayName(),
          measured.rates().lowerBpm(),
          measured.rates().upperBpm(),
          measured.measuredOn(),
          measured.note());
    }
  }

  /**
   * Those on record, of every mode, latest first.
   *
   * @param inUse id of those that bands in the asked mode count from; null where there are none
   * @param learned whether both learned talk rates are in use instead
   * @param finding why there are none; null where there are
   */
  record ThresholdList(
      List<ThresholdsView> thresholds,
      @Nullable UUID inUse,
      boolean learned,
      @Nullable Finding finding) {}
}
