package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.server.client.ClientViews.MaximumInUse;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is typed into a device, as it is sent. */
final class DeviceSheetViews {
  private DeviceSheetViews() {}

  /**
   * A band as it is typed in.
   *
   * @param highBpm its upper edge, cut by a cap; null where the cap lies below the band
   * @param allowed whether it may be trained in; a zone system's band that is not is shown as such
   */
  record DeviceBand(
      String name, int level, int lowBpm, @Nullable Integer highBpm, boolean allowed) {}

  /**
   * The sheet.
   *
   * @param alarm lower and upper alarm, from the prescription in force; null where there is none
   * @param again the day from which these values are measured again
   */
  record DeviceSheet(
      String clientName,
      LocalDate date,
      Mode mode,
      String scheme,
      String schemeName,
      int restingBpm,
      MaximumInUse maximum,
      @Nullable Integer capBpm,
      List<DeviceBand> bands,
      @Nullable List<Integer> alarm,
      LocalDate again,
      List<Finding> findings,
      String notice) {}
}
