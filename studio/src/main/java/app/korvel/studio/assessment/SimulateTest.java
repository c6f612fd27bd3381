package app.korvel.studio.assessment;

import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.time.Instant;
import java.util.UUID;

/** Lets the simulated strap of a test send all that it would have sent by a moment. */
public record SimulateTest(Studio studio) {
  private static final int AT_ONCE_SECONDS = 60;

  /** Hands in what has not been, minute by minute. */
  public void by(Actor who, UUID test, Instant until) {
    Assessments tests = new Assessments(studio);
    OpenedTest opened = tests.opened(test);
    SimulatedSubject subject = SimulatedTests.subject(opened, tests.at(opened, until));
    Instant now = subject.recordedUntil();
    while (now.isBefore(until)) {
      Instant next = now.plusSeconds(AT_ONCE_SECONDS);
      now = next.isBefore(until) ? next : until;
      subject
          .until(tests.at(opened, now))
          .ifPresent(
              sent -> new TakeTestSamples(studio).by(who, test, sent.sequence(), sent.handed()));
    }
  }
}
