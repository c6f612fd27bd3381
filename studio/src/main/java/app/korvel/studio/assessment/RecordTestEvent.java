package app.korvel.studio.assessment;

import app.korvel.core.assessment.AssessmentFinding;
import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestEvents;
import app.korvel.core.assessment.TimedTest;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.run.Run;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.Assessments.TestNow;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Adds what happened in a test; sent twice, it is entered once. */
public record RecordTestEvent(Studio studio) {
  /**
   * Adds an event.
   *
   * @throws NotFoundException when there is no such test
   * @throws InvalidValueException when it cannot have happened as the test stands
   * @throws RefusedException when the work may not begin, or the test is over
   */
  public TestNow by(Actor who, UUID test, TestEvent event) {
    return studio.write(
        who,
        () -> {
          Assessments tests = new Assessments(studio);
          OpenedTest opened = tests.opened(test);
          opened.clientId().ifPresent(studio::open);
          boolean known =
              studio.store().assessments().events(test).stream()
                  .anyMatch(each -> each.id().equals(event.id()));
          if (!known) {
            check(tests, opened, event);
          }
          if (studio.store().assessments().add(test, event, studio.now())) {
            follow(opened, event);
          }
          return tests.get(test);
        });
  }

  /** As the test stood when it happened: what was handed in late was not too late. */
  private void check(Assessments tests, OpenedTest opened, TestEvent event) {
    Run.checkNotAhead(event.at(), tests.now(opened));
    if (event.at().isBefore(opened.openedAt())) {
      throw InvalidValueException.of(
          "at", "lies before the test", "a moment from when it was opened");
    }
    if (event instanceof TestEvent.Withdrawn undone) {
      checkUndo(tests, opened, undone);
      return;
    }
    if (!opened.open()) {
      throw RefusedException.because(AssessmentFinding.TEST_FINISHED.of());
    }
    TestNow stands = tests.at(opened, event.at());
    stands.graded().ifPresent(sheet -> check(sheet, event));
    stands.timed().ifPresent(timed -> check(timed, event));
  }

  private static void check(GradedSheet sheet, TestEvent event) {
    if (event instanceof TestEvent.Begun) {
      notBegun(sheet.run().isPresent());
      if (!sheet.baseline().inTheWay().isEmpty()) {
        throw RefusedException.because(sheet.baseline().inTheWay());
      }
    } else if (event instanceof TestEvent.Ended) {
      inWork(sheet.phase() == GradedSheet.Phase.WORK);
    } else if (event instanceof TestEvent.Walked walked) {
      if (walked.stage() < 1 || walked.stage() > sheet.stages().size()) {
        throw InvalidValueException.of(
            "stage",
            walked.stage() + " has not begun",
            "1 to " + Math.max(1, sheet.stages().size()));
      }
    } else if (event instanceof TestEvent.Closed closed) {
      sheet
          .notClosedBecause(closed.clinicianTold())
          .ifPresent(
              why -> {
                throw InvalidValueException.of("kind", why, "when they have recovered");
              });
    }
  }

  private static void check(TimedTest timed, TestEvent event) {
    if (event instanceof TestEvent.Begun) {
      notBegun(timed.begunAt().isPresent());
    } else if (event instanceof TestEvent.Ended) {
      inWork(timed.phase() == TimedTest.Phase.WORK);
    } else if (event instanceof TestEvent.Closed
        && timed.phase() != TimedTest.Phase.READY
        && timed.phase() != TimedTest.Phase.AFTER) {
      throw InvalidValueException.of("kind", "the work goes on", "after it has ended");
    }
  }

  private static void notBegun(boolean begun) {
    if (begun) {
      throw InvalidValueException.of("kind", "it has begun already", "once in a test");
    }
  }

  private static void inWork(boolean working) {
    if (!working) {
      throw InvalidValueException.of("kind", "no work goes on", "while the work goes on");
    }
  }

  private static void checkUndo(Assessments tests, OpenedTest opened, TestEvent.Withdrawn undone) {
    Optional<TestEvent> of =
        TestEvents.standing(tests.at(opened, undone.at()).events(), Instant.MAX).all().stream()
            .filter(each -> each.id().equals(undone.of()))
            .findFirst();
    if (of.isEmpty()) {
      throw InvalidValueException.of(
          "of", "no such entry stands", "an entry of this test that was not undone");
    }
    if (!opened.open() && !(of.get() instanceof TestEvent.Closed)) {
      throw RefusedException.because(AssessmentFinding.TEST_FINISHED.of());
    }
  }

  /** What follows of an event besides where the test stands. */
  private void follow(OpenedTest opened, TestEvent event) {
    if (event instanceof TestEvent.Closed) {
      studio.store().assessments().putTogether(opened.id());
      studio.store().assessments().setOpen(opened.id(), false);
      new KeepTestResult(studio).of(opened);
    } else if (event instanceof TestEvent.Withdrawn && !opened.open()) {
      studio.store().assessments().setOpen(opened.id(), true);
      new KeepTestResult(studio).withdraw(opened);
    }
  }
}
