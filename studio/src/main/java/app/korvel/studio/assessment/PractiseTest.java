package app.korvel.studio.assessment;

import app.korvel.core.assessment.GradedSheet;
import app.korvel.core.assessment.PracticeReview;
import app.korvel.core.assessment.PracticeSubject;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.Assessments.TestNow;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** A graded test practised on somebody who is not there, who answers when asked. */
public record PractiseTest(Studio studio) {
  /**
   * Opens one.
   *
   * @param speed how much faster its clock goes, one of {@link OpenTest#SPEEDS}
   */
  public OpenedTest by(Actor who, PracticeSubject subject, int speed) {
    OpenTest.checkSpeed(speed, true);
    return studio.write(
        who,
        () -> {
          Stamp stamp = studio.stamp();
          OpenedTest opened =
              new OpenedTest(
                  stamp.id(),
                  Optional.empty(),
                  speed,
                  Optional.of(subject.written()),
                  stamp.at(),
                  subject.plan(),
                  true);
          studio.store().assessments().open(opened);
          return opened;
        });
  }

  /** Who is practised on; empty for a test of a client. */
  public static Optional<PracticeSubject> subject(OpenedTest opened) {
    return opened.simulated().flatMap(PracticeSubject::parse);
  }

  /**
   * What they answer now.
   *
   * @param pressure as the cuff has it
   * @param rpe20 how hard it feels
   * @param beats in 15 s
   * @param symptoms empty where nothing is wrong
   */
  public record Answers(BloodPressure pressure, int rpe20, int beats, Optional<String> symptoms) {}

  /**
   * Asks them.
   *
   * @throws NotFoundException when there is no such test
   * @throws InvalidValueException when it is none that is practised
   */
  public Answers ask(UUID test) {
    TestNow stands = new Assessments(studio).get(test);
    PracticeSubject subject =
        subject(stands.opened())
            .orElseThrow(
                () ->
                    InvalidValueException.of(
                        "test", "is no practice", "a test on somebody who is not there"));
    double share = share(stands, stands.now());
    int stage = stage(stands, stands.now());
    return new Answers(
        subject.pressure(share, stage),
        subject.rpe20(share),
        subject.beats(share),
        subject.symptoms(stage));
  }

  private static double share(TestNow stands, Instant moment) {
    return SimulatedTests.subject(stands.opened(), stands).share(stands, moment);
  }

  private static int stage(TestNow stands, Instant moment) {
    GradedSheet sheet = stands.graded().orElseThrow();
    boolean over = sheet.end().filter(end -> !moment.isBefore(end.at())).isPresent();
    return over
        ? 0
        : (int) sheet.stages().stream().filter(row -> !row.from().isAfter(moment)).count();
  }

  /** What was missed, when, and by which rule; empty while it goes on. */
  public Optional<PracticeReview> review(TestNow stands) {
    return subject(stands.opened())
        .filter(subject -> !stands.opened().open())
        .map(
            subject ->
                PracticeReview.of(
                    subject,
                    stands.graded().orElseThrow(),
                    stands.events(),
                    moment -> subject.pressure(share(stands, moment), stage(stands, moment))));
  }
}
