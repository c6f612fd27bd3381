package app.korvel.server.assessment;

import app.korvel.core.assessment.GradedProtocol;
import app.korvel.core.assessment.GradedProtocol.Stage;
import app.korvel.core.assessment.StageWork;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.store.ProtocolRepository.SavedProtocol;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Protocols of a graded test as they are received and sent. */
final class ProtocolViews {
  private ProtocolViews() {}

  /**
   * A stage: on a treadmill, a cycle or a step; what does not belong to it is null.
   *
   * @param words as it is read out
   */
  record StageView(
      int seconds,
      @Nullable BigDecimal kmh,
      @Nullable BigDecimal gradePercent,
      @Nullable Integer watts,
      @Nullable Integer cycles,
      @Nullable Integer heightCm,
      String words) {
    static StageView of(Stage stage) {
      StageWork work = stage.work();
      StageWork.Treadmill belt = work instanceof StageWork.Treadmill on ? on : null;
      StageWork.Cycle wheel = work instanceof StageWork.Cycle on ? on : null;
      StageWork.Steps step = work instanceof StageWork.Steps on ? on : null;
      return new StageView(
          Math.toIntExact(stage.length().toSeconds()),
          belt == null ? null : belt.kmh(),
          belt == null ? null : belt.gradePercent(),
          wheel == null ? null : wheel.watts(),
          step == null ? null : step.cycles(),
          step == null ? null : step.heightCm(),
          work.words());
    }
  }

  /**
   * A protocol.
   *
   * @param version null for one that ships
   */
  record ProtocolView(
      String id,
      String name,
      Mode mode,
      int pressureEvery,
      List<StageView> stages,
      @Nullable Integer version,
      boolean archived) {
    static ProtocolView of(GradedProtocol protocol) {
      return of(protocol, null, false);
    }

    static ProtocolView of(SavedProtocol saved) {
      return of(saved.protocol(), saved.version(), saved.archived());
    }

    private static ProtocolView of(
        GradedProtocol protocol, @Nullable Integer version, boolean archived) {
      return new ProtocolView(
          protocol.id(),
          protocol.name(),
          protocol.mode(),
          protocol.pressureEvery(),
          protocol.stages().stream().map(StageView::of).toList(),
          version,
          archived);
    }
  }

  /** A stage as it is written: speed and grade, or watts, or steps and their height. */
  record WrittenStage(
      Integer seconds,
      @Nullable BigDecimal kmh,
      @Nullable BigDecimal gradePercent,
      @Nullable Integer watts,
      @Nullable Integer cycles,
      @Nullable Integer heightCm) {
    Stage stage(String at) {
      return new Stage(work(at), Duration.ofSeconds(seconds));
    }

    private StageWork work(String at) {
      if (kmh != null && gradePercent != null) {
        return new StageWork.Treadmill(
            Limit.TREADMILL_SPEED.check(at + ".kmh", kmh),
            Limit.TREADMILL_GRADE.check(at + ".gradePercent", gradePercent));
      }
      if (watts != null) {
        return new StageWork.Cycle(Limit.WATTS.check(at + ".watts", watts));
      }
      if (cycles != null && heightCm != null) {
        return new StageWork.Steps(
            Limit.STEP_CYCLES.check(at + ".cycles", cycles),
            Limit.STEP_HEIGHT.check(at + ".heightCm", heightCm));
      }
      throw InvalidValueException.of(
          at, "says no work", "speed and grade, or watts, or times a minute and height");
    }
  }

  /** A protocol as it is written. */
  record ProtocolRequest(String name, Mode mode, Integer pressureEvery, List<WrittenStage> stages) {
    GradedProtocol protocol(String id) {
      List<Stage> rows = new ArrayList<>();
      for (int n = 0; n < stages.size(); n++) {
        rows.add(stages.get(n).stage("stages[" + n + "]"));
      }
      return GradedProtocol.own(id, name, mode, rows, pressureEvery);
    }
  }

  record ProtocolChangeRequest(Integer version, ProtocolRequest protocol) {}

  record ProtocolArchiveRequest(Integer version, Boolean archived) {}
}
