package app.korvel.core.maximum;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import java.util.Optional;

/**
 * What a peak over the working maximum says, that was seen in a recorded session.
 *
 * @param bpm the peak
 * @param offered whether it may be saved as seen once
 * @param finding what to do
 */
public record PeakProposal(int bpm, boolean offered, Finding finding) {
  /** What it says; nothing where it does not go past the working maximum. */
  public static Optional<PeakProposal> of(int bpm, MaximumRecord record) {
    Optional<WorkingMaximum> under = record.working().filter(working -> bpm > working.bpm());
    return under.map(
        working ->
            offered(record.person())
                ? new PeakProposal(bpm, true, MaximumFinding.PEAK_SEEN.of(bpm, bpm - working.bpm()))
                : new PeakProposal(bpm, false, MaximumFinding.PEAK_NOT_TAKEN.of(bpm)));
  }

  private static boolean offered(Person person) {
    return !neverProposed(person) && !person.health().heartDisease();
  }

  /** Of whom a peak is kept, and never taken for a maximum. */
  static boolean neverProposed(Person person) {
    return person.under18()
        || person.has(Condition.PREGNANCY)
        || person.has(Condition.IRREGULAR_RHYTHM);
  }
}
