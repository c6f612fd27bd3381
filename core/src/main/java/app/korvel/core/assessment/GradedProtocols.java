package app.korvel.core.assessment;

import app.korvel.core.assessment.GradedProtocol.Stage;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Source;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The protocols that ship: rows of data. */
public final class GradedProtocols {
  private GradedProtocols() {}

  private static final Duration TWO = Duration.ofMinutes(2);
  private static final Duration THREE = Duration.ofMinutes(3);

  private static final List<Stage> STANDARD =
      Stream.of("2.7 10", "4.0 12", "5.5 14", "6.8 16", "8.0 18", "8.9 20", "9.7 22")
          .map(row -> treadmill(row, THREE))
          .toList();

  /** All of them, in the order in which they are offered. */
  public static final List<GradedProtocol> ALL =
      List.of(
          new GradedProtocol(
              "bruce",
              "Treadmill, standard start",
              Mode.RUN,
              STANDARD,
              1,
              OptionalInt.of(0),
              Source.BRUCE),
          new GradedProtocol(
              "bruce-gentle",
              "Treadmill, gentle start",
              Mode.RUN,
              Stream.concat(
                      Stream.of("2.7 0", "2.7 5").map(row -> treadmill(row, THREE)),
                      STANDARD.stream())
                  .toList(),
              1,
              OptionalInt.of(2),
              Source.BRUCE),
          new GradedProtocol(
              "walk-rising",
              "Rising walk",
              Mode.RUN,
              stages(21, minute -> treadmill("5.3 " + minute, Duration.ofMinutes(1))),
              3,
              OptionalInt.empty(),
              Source.PRACTICE),
          new GradedProtocol(
              "cycle-2",
              "Cycle, 25 W every 2 min",
              Mode.CYCLE,
              stages(14, n -> cycle(n, TWO)),
              1,
              OptionalInt.empty(),
              Source.PRACTICE),
          new GradedProtocol(
              "cycle-3",
              "Cycle, 25 W every 3 min",
              Mode.CYCLE,
              stages(12, n -> cycle(n, THREE)),
              1,
              OptionalInt.empty(),
              Source.PRACTICE),
          new GradedProtocol(
              "stairs",
              "Step of 20 cm, faster every 3 min",
              Mode.STAIRS,
              stages(6, n -> new Stage(new StageWork.Steps(12 + 4 * n, 20), THREE)),
              1,
              OptionalInt.empty(),
              Source.PRACTICE));

  /** The one of that id, if it ships. */
  public static Optional<GradedProtocol> of(String id) {
    return ALL.stream().filter(protocol -> protocol.id().equals(id)).findFirst();
  }

  private static List<Stage> stages(int count, IntFunction<Stage> stage) {
    return IntStream.range(0, count).mapToObj(stage).toList();
  }

  private static Stage treadmill(String row, Duration length) {
    String[] parts = row.split(" ");
    return new Stage(
        new StageWork.Treadmill(new BigDecimal(parts[0]), new BigDecimal(parts[1])), length);
  }

  private static Stage cycle(int n, Duration length) {
    return new Stage(new StageWork.Cycle(25 * (n + 1)), length);
  }
}
