package app.korvel.studio.fieldtest;

import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.UUID;

/** Adds what happened in a field test; sent twice, it is entered once. */
public record RecordTestEvent(Studio studio) {
  /**
   * Adds an event.
   *
   * @throws NotFoundException when there is no such test
   * @throws InvalidValueException when it cannot have happened as the test stands
   */
  public SavedFieldTest by(Actor who, UUID test, FieldTestEvent happened) {
    return studio.write(
        who,
        () -> {
          KeepTestMaximum maximum = new KeepTestMaximum(studio);
          SavedFieldTest before = maximum.test(test);
          studio.open(before.clientId());
          return studio
              .store()
              .fieldTests()
              .append(
                  test,
                  happened,
                  run -> {
                    if (maximum.keptAs(before).isPresent()) {
                      throw InvalidValueException.of(
                          "kind",
                          "its maximum is on record",
                          "nothing more; or take the maximum back");
                    }
                    run.check(happened, studio.now());
                  },
                  studio.now())
              .orElseThrow();
        });
  }
}
