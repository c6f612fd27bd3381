package app.korvel.studio.assessment;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.trace.Samples;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.TakeSamples;
import app.korvel.studio.live.TakeSamples.Handed;
import app.korvel.studio.live.TakeSamples.Taken;
import java.util.UUID;

/** Takes samples of a heart rate in a test, each once; answered when they are on disk. */
public record TakeTestSamples(Studio studio) {
  /**
   * Takes samples.
   *
   * @param sequence a number that no others of the test have
   * @throws NotFoundException when there is no such test
   * @throws InvalidValueException when they are too many, out of order, or from the future; or the
   *     test is closed
   */
  public Taken by(Actor who, UUID test, long sequence, Handed handed) {
    return studio.write(
        who,
        () -> {
          Assessments tests = new Assessments(studio);
          OpenedTest opened = tests.opened(test);
          if (!opened.open()) {
            throw InvalidValueException.of("at", "lies after the end of the test", "none");
          }
          TakeSamples.checkTimes(opened.openedAt(), tests.now(opened), sequence, handed);
          Samples samples = handed.since(opened.openedAt());
          boolean isNew =
              samples.size() > 0 && studio.store().assessments().add(test, sequence, samples);
          return new Taken(isNew, TakeSamples.withoutRate(samples));
        });
  }
}
