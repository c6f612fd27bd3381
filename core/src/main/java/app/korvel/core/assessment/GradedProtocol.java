package app.korvel.core.assessment;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Texts;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The stages of a graded test, as data.
 *
 * @param id stable; of a studio's own protocol, its UUID
 * @param name as it is shown
 * @param mode what the body does
 * @param stages in order, none easier than the one before
 * @param pressureEvery in each stage of so many a pressure is due, {@link Limit#PRESSURE_EVERY}
 * @param standardFrom the stage, from 0, with which the standard treadmill stages begin; empty for
 *     other protocols
 * @param source where it comes from
 */
public record GradedProtocol(
    String id,
    String name,
    Mode mode,
    List<Stage> stages,
    int pressureEvery,
    OptionalInt standardFrom,
    Source source) {

  public static final int NAME_LENGTH = 60;

  /** Heaviest client whose work is compared when a protocol is checked, and any other would do. */
  private static final Optional<BigDecimal> SOMEBODY = Optional.of(BigDecimal.valueOf(70));

  /** What is done, and for how long. */
  public record Stage(StageWork work, Duration length) {}

  public GradedProtocol {
    stages = List.copyOf(stages);
  }

  /**
   * A studio's own.
   *
   * @throws InvalidValueException with every fault at once
   */
  public static GradedProtocol own(
      String id, String name, Mode mode, List<Stage> stages, int pressureEvery) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "name", name.strip(), 1, NAME_LENGTH);
    Limit.PROTOCOL_STAGES.check(faults, "stages", stages.size());
    Limit.PRESSURE_EVERY.check(faults, "pressureEvery", pressureEvery);
    for (int n = 0; n < stages.size(); n++) {
      Limit.STAGE_SECONDS.check(
          faults, "stages[" + n + "].seconds", Math.toIntExact(stages.get(n).length.toSeconds()));
      if (n > 0 && easier(stages.get(n).work, stages.get(n - 1).work)) {
        faults.add(
            new Fault(
                "stages[" + n + "]",
                stages.get(n).work.words() + " is easier than the stage before it",
                "stages that never get easier"));
      }
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new GradedProtocol(
        id, name.strip(), mode, stages, pressureEvery, OptionalInt.empty(), Source.STUDIO);
  }

  private static boolean easier(StageWork work, StageWork before) {
    return work.cost(SOMEBODY, Optional.of(true))
            .orElseThrow()
            .vo2()
            .compareTo(before.cost(SOMEBODY, Optional.of(true)).orElseThrow().vo2())
        < 0;
  }

  /** Whether a pressure is due in a stage. */
  public boolean pressureDue(int stage) {
    return (stage + 1) % pressureEvery == 0;
  }

  /** How many stages are whole after so much work. */
  public int wholeAfter(Duration work) {
    Duration sum = Duration.ZERO;
    int whole = 0;
    for (Stage stage : stages) {
      sum = sum.plus(stage.length);
      if (sum.compareTo(work) > 0) {
        break;
      }
      whole++;
    }
    return whole;
  }

  /** How many have begun after so much work; the last one goes on when it is over. */
  public int begunAfter(Duration work) {
    return Math.min(stages.size(), wholeAfter(work) + 1);
  }

  /** How long until the standard first stage begins; empty for another protocol. */
  public Optional<Duration> standardAfter() {
    return standardFrom.isEmpty()
        ? Optional.empty()
        : Optional.of(
            stages.stream()
                .limit(standardFrom.getAsInt())
                .map(Stage::length)
                .reduce(Duration.ZERO, Duration::plus));
  }
}
