package app.korvel.studio.fieldtest;

import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEligibility;
import app.korvel.core.fieldtest.FieldTestFinding;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestRun;
import app.korvel.core.measure.RefusedException;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;

/** Begins a field test: one at a time, and only where the rules allow it today. */
public record BeginFieldTest(Studio studio) {
  /**
   * Begins a test.
   *
   * @param entered the test, all that is to be made sure of made sure of
   * @throws RefusedException when the rules forbid it today, or another one is going on
   */
  public SavedFieldTest by(
      Actor who, UUID client, FieldTestProtocol protocol, Function<Stamp, FieldTest> entered) {
    return studio.write(
        who,
        () -> {
          FieldTestEligibility eligibility = eligibility(studio.openHead(client), protocol);
          if (!eligibility.open()) {
            throw RefusedException.because(eligibility.findings());
          }
          FieldTestRepository tests = studio.store().fieldTests();
          if (tests.of(client).stream().anyMatch(SavedFieldTest::running)) {
            throw RefusedException.because(FieldTestFinding.FIELD_TEST_RUNNING.of());
          }
          FieldTest test = entered.apply(studio.stamp());
          tests.begin(client, test);
          return new SavedFieldTest(client, FieldTestRun.of(test, List.of()));
        });
  }

  /**
   * Whether someone may do it today: by what the rules said at check-in, since an instructor's own
   * decision is for training, not for a test.
   */
  public FieldTestEligibility eligibility(ClientHead head, FieldTestProtocol protocol) {
    return FieldTestEligibility.of(
        protocol,
        head.screening(),
        studio.store().checkIns().of(head.client().id(), 1).stream()
            .filter(checkIn -> checkIn.on().equals(head.screening().date()))
            .map(checkIn -> checkIn.verdict().outcome())
            .findFirst());
  }
}
