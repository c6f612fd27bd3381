package app.korvel.core.assessment;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.pulse.Grade;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A rate that a graded test to exhaustion proposes as a maximum. A person decides whether it is
 * kept.
 *
 * @param bpm the highest that was held, or read in a stage
 * @param grade good by a strap, fair where it was counted or read
 */
public record ProposedMaximum(int bpm, Grade grade) {

  /** What a test proposes; empty for one that was not to exhaustion, and where no rate was read. */
  public static Optional<ProposedMaximum> of(GradedSheet sheet) {
    if (sheet.end().filter(end -> end.reason() == TestEvent.Reason.EXHAUSTION).isEmpty()
        || sheet.stages().isEmpty()) {
      return Optional.empty();
    }
    int held =
        IntStream.rangeClosed(1, sheet.trace().seconds())
            .flatMap(second -> sheet.trace().smoothed(second).stream())
            .max()
            .orElse(0);
    if (held > 0 && sheet.plan().source() == RateSource.STRAP) {
      return Optional.of(new ProposedMaximum(held, Grade.GOOD));
    }
    return sheet.stages().stream()
        .flatMapToInt(stage -> stage.reading().bpm().stream())
        .max()
        .stream()
        .mapToObj(bpm -> new ProposedMaximum(bpm, Grade.FAIR))
        .findFirst();
  }
}
