package app.korvel.server.effort;

import app.korvel.core.effort.Effort;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.server.web.Within;
import app.korvel.studio.effort.RecordEffort;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Efforts as they are received and sent. */
final class EffortViews {
  private EffortViews() {}

  /** An effort by its average rate. */
  record EffortRequest(
      String name,
      Mode mode,
      Integer averageBpm,
      @Nullable @Within(Limit.EFFORT_MINUTES) Integer minutes,
      LocalDate doneOn) {

    RecordEffort.Entered entered() {
      return new RecordEffort.Entered(name, mode, averageBpm, Optional.ofNullable(minutes), doneOn);
    }
  }

  /**
   * An effort, and what share of the span it took.
   *
   * @param level the level of effort, 1 to 5
   * @param finding what is to be said of it; null for a plain one
   */
  record EffortView(
      UUID id,
      String name,
      Mode mode,
      int averageBpm,
      @Nullable Integer minutes,
      LocalDate doneOn,
      int restingBpm,
      int maximumBpm,
      String maximumMethod,
      BigDecimal reservePercent,
      BigDecimal maximumPercent,
      int level,
      String levelName,
      @Nullable Finding finding) {

    static EffortView of(Effort effort) {
      return new EffortView(
          effort.id(),
          effort.name(),
          effort.mode(),
          effort.averageBpm(),
          effort.minutes().orElse(null),
          effort.doneOn(),
          effort.reserve().restingBpm(),
          effort.reserve().maximumBpm(),
          effort.maximumMethod(),
          effort.percentOfReserve(),
          effort.percentOfMaximum(),
          effort.level().number(),
          effort.level().displayName(),
          effort.finding().orElse(null));
    }
  }

  record EffortList(List<EffortView> efforts) {}
}
