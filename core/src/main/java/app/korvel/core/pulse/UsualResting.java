package app.korvel.core.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Person;
import java.util.List;

/**
 * What is usual at rest, by age: 60 to 100 bpm from 12 years on, 70 to 120 under 12.
 *
 * @param fromAge the youngest age it holds for
 * @param lowest lowest usual rate, bpm
 * @param highest highest usual rate, bpm
 */
public record UsualResting(int fromAge, int lowest, int highest) {
  private static final UsualResting CHILD = new UsualResting(0, 70, 120);
  private static final UsualResting FROM_TWELVE = new UsualResting(12, 60, 100);

  /** Every row, the youngest first. */
  public static final List<UsualResting> ALL = List.of(CHILD, FROM_TWELVE);

  /** The range for that age in whole years. */
  public static UsualResting at(int age) {
    return age >= FROM_TWELVE.fromAge ? FROM_TWELVE : CHILD;
  }

  /**
   * Whether {@code bpm} is usual for rest for this person, and what to do if not.
   *
   * @param settled whether the rate was taken after sitting or lying still for 5 minutes
   */
  public static Finding judge(int bpm, Person person, boolean settled) {
    UsualResting usual = at(person.age());
    return kindOf(bpm, person, settled)
        .of(bpm, person.age() + " years", usual.lowest, usual.highest);
  }

  /** What {@link #judge} finds, without its words. */
  public static FindingKind kindOf(int bpm, Person person, boolean settled) {
    UsualResting usual = at(person.age());
    if (bpm > usual.highest) {
      return settled ? FindingKind.RESTING_HIGH : FindingKind.RESTING_HIGH_RECOUNT;
    }
    if (bpm >= usual.lowest) {
      return FindingKind.RESTING_USUAL;
    }
    if (bpm < Threshold.RESTING_RARE.whole()) {
      return FindingKind.RESTING_UNDER_40;
    }
    if (person.health().betaBlocker()) {
      return FindingKind.RESTING_LOW_MEDICINE;
    }
    return person.activity().regularlyActive()
        ? FindingKind.RESTING_LOW_TRAINED
        : FindingKind.RESTING_LOW_ASK;
  }
}
