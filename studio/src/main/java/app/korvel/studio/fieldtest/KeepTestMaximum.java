package app.korvel.studio.fieldtest;

import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestFinding;
import app.korvel.core.fieldtest.FieldTestResult;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.measure.RefusedException;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** Keeps the maximum that a finished field test proposes; asked twice, it is kept once. */
public record KeepTestMaximum(Studio studio) {
  /**
   * Keeps it.
   *
   * @throws NotFoundException when there is no such test
   * @throws RefusedException when it is still going on, or came to nothing
   */
  public SavedFieldTest by(Actor who, UUID test) {
    return studio.write(
        who,
        () -> {
          SavedFieldTest saved = test(test);
          ClientHead head = studio.openHead(saved.clientId());
          if (saved.running()) {
            throw RefusedException.because(FieldTestFinding.FIELD_TEST_RUNNING.of());
          }
          FieldTestResult result = FieldTestResult.of(saved.run());
          if (result.peak().isEmpty()) {
            throw RefusedException.because(result.finding());
          }
          if (keptAs(saved).isEmpty()) {
            studio.store().maxima().add(saved.clientId(), value(saved.run().test(), result, head));
          }
          return saved;
        });
  }

  private MeasuredMaximum value(FieldTest test, FieldTestResult result, ClientHead head) {
    Stamp stamp = studio.stamp();
    String departures = String.join("; ", result.departures());
    int most = MeasuredMaximum.NOTE_LENGTH;
    return MeasuredMaximum.of(
        stamp.id(),
        test.mode(),
        MaximumKind.FIELD_TEST,
        test.protocol().displayName(),
        Optional.of(result.grade()),
        result.peak().orElseThrow().bpm(),
        LocalDate.ofInstant(test.startedAt(), stamp.zone()),
        departures.length() <= most ? departures : departures.substring(0, most - 1) + "…",
        Optional.of(test.id()),
        head.baseline().maximumRecord().restingBpm(),
        stamp.at(),
        stamp.zone());
  }

  /** The maximum on record that came of a test, if one did. */
  public Optional<UUID> keptAs(SavedFieldTest saved) {
    return studio.store().maxima().of(saved.clientId()).stream()
        .filter(value -> value.test().equals(Optional.of(saved.run().test().id())))
        .map(MeasuredMaximum::id)
        .findFirst();
  }

  /**
   * The test of that id.
   *
   * @throws NotFoundException when there is none
   */
  public SavedFieldTest test(UUID test) {
    return studio
        .store()
        .fieldTests()
        .get(test)
        .orElseThrow(() -> NotFoundException.of("There is no field test %s.", test));
  }
}
