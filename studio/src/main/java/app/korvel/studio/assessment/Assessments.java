package app.korvel.studio.assessment;

import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestOutcome;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.trace.Samples;
import app.korvel.core.trace.Trace;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Tests as they stand. */
public record Assessments(Studio studio) {

  /**
   * A test as it stands.
   *
   * @param now what time it is by its clock
   * @param events everything that was handed in, what was undone with it
   * @param trace the rate by the second since it was opened
   * @param graded its sheet, for a graded test
   * @param timed how it stands, for any other
   */
  public record TestNow(
      OpenedTest opened,
      Instant now,
      List<TestEvent> events,
      Trace trace,
      Optional<GradedSheet> graded,
      Optional<TimedTest> timed) {

    /** What it came to; empty while it goes on. */
    public Optional<TestOutcome> outcome() {
      return graded.flatMap(TestOutcome::of).or(() -> timed.flatMap(TestOutcome::of));
    }
  }

  /** What time it is by the clock of a test: faster for one that is simulated. */
  public Instant now(OpenedTest opened) {
    Instant now = studio.now();
    return opened.speed() == 1
        ? now
        : opened
            .openedAt()
            .plus(Duration.between(opened.openedAt(), now).multipliedBy(opened.speed()));
  }

  /**
   * The test of that id.
   *
   * @throws NotFoundException when there is none
   */
  public OpenedTest opened(UUID id) {
    return studio
        .store()
        .assessments()
        .get(id)
        .orElseThrow(() -> NotFoundException.of("There is no test %s.", id));
  }

  /**
   * The test of that id, as it stands now.
   *
   * @throws NotFoundException when there is none
   */
  public TestNow get(UUID id) {
    return studio.read(
        () -> {
          OpenedTest opened = opened(id);
          return at(opened, now(opened));
        });
  }

  /** A test as it stood or stands at a moment. */
  public TestNow at(OpenedTest opened, Instant now) {
    List<TestEvent> events = studio.store().assessments().events(opened.id());
    Instant closed =
        events.stream()
            .filter(TestEvent.Closed.class::isInstance)
            .map(TestEvent::at)
            .reduce((before, after) -> after)
            .filter(at -> !opened.open())
            .orElse(now);
    Samples samples = studio.store().assessments().samples(opened.id(), opened.openedAt());
    Trace trace = samples.trace(opened.openedAt(), closed.isBefore(now) ? closed : now);
    boolean graded = opened.plan().kind() == TestKind.GRADED;
    return new TestNow(
        opened,
        now,
        events,
        trace,
        graded
            ? Optional.of(GradedSheet.of(opened.plan(), opened.openedAt(), events, trace, now))
            : Optional.empty(),
        graded
            ? Optional.empty()
            : Optional.of(TimedTest.of(opened.plan(), opened.openedAt(), events, trace, now)));
  }

  /** A client's tests that are closed and were begun, latest first, so many at most. */
  public List<TestNow> done(UUID client, int most) {
    return studio.store().assessments().of(client, most).stream()
        .filter(opened -> !opened.open())
        .map(opened -> at(opened, now(opened)))
        .filter(stands -> stands.outcome().isPresent())
        .toList();
  }
}
