package app.korvel.core.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import java.util.List;

/**
 * What is usual at rest, by age: 60 to 100 bpm from 12 years on, 70 to 120 under 12.
 *
 * @param fromAge the youngest age it holds for
 * @param lowest lowest usual rate, bpm
 * @param highest highest usual rate, bpm
 * @param rareUnder below it no training, unless it is known as usual, bpm
 */
public record UsualResting(int fromAge, int lowest, int highest, int rareUnder) {
  private static final UsualResting CHILD =
      new UsualResting(0, 70, 120, Threshold.RESTING_RARE_CHILD.whole());
  private static final UsualResting FROM_TWELVE =
      new UsualResting(12, 60, 100, Threshold.RESTING_RARE.whole());

  /** Every row, the youngest first. */
  public static final List<UsualResting> ALL = List.of(CHILD, FROM_TWELVE);

  /** The range for that age in whole years. */
  public static UsualResting at(int age) {
    return age >= FROM_TWELVE.fromAge ? FROM_TWELVE : CHILD;
  }

  /**
   * A span of rates at rest, and what to do about it.
   *
   * @param rates which, in words
   * @param usual whether it is the usual span
   * @param advice what it may mean and what to do
   */
  public record Span(String rates, boolean usual, String advice) {}

  /** What each rate at rest asks for at this age, the highest first. */
  public List<Span> spans() {
    return List.of(
        new Span(
            "over " + highest,
            false,
            "Sit quietly for 5 minutes, count again for 60 s. If it stays: a doctor before"
                + " training."),
        new Span(lowest + " to " + highest, true, "Usual."),
        new Span(
            rareUnder + " to " + (lowest - 1),
            false,
            "Common in the well trained and with rate-lowering medication; otherwise ask."),
        new Span(
            "under " + rareUnder,
            false,
            "Rare even in the trained: no training unless known as usual."));
  }

  /**
   * Whether {@code bpm} is usual for rest for this person, and what to do if not.
   *
   * @param settled whether the rate was taken after sitting or lying still for 5 minutes
   */
  public static Finding judge(int bpm, Person person, boolean settled) {
    UsualResting usual = at(person.age());
    return kindOf(bpm, person, settled)
        .ofFirst(bpm, person.age() + " years", usual.lowest, usual.highest, usual.rareUnder);
  }

  /** The same for a reading, and what an uneven rhythm asks for. */
  public static List<Finding> judge(RestingReading reading, Person person) {
    Finding rate = judge(reading.bpm(), person, reading.settled());
    return reading.felt().uneven() && !person.has(Condition.IRREGULAR_RHYTHM)
        ? List.of(PulseFinding.READING_UNEVEN.of(), rate)
        : List.of(rate);
  }

  /** What to do about a reading that departs far from one taken earlier that day. */
  public static Finding departs(int bpm, int fromBpm) {
    return PulseFinding.READING_DEPARTS.of(bpm, Math.abs(bpm - fromBpm), fromBpm);
  }

  /** What {@link #judge} finds, without its words. */
  public static FindingKind kindOf(int bpm, Person person, boolean settled) {
    UsualResting usual = at(person.age());
    if (bpm > usual.highest) {
      return settled ? PulseFinding.RESTING_HIGH : PulseFinding.RESTING_HIGH_RECOUNT;
    }
    if (bpm >= usual.lowest) {
      return PulseFinding.RESTING_USUAL;
    }
    if (bpm < usual.rareUnder) {
      return PulseFinding.RESTING_UNDER_40;
    }
    if (person.health().betaBlocker()) {
      return PulseFinding.RESTING_LOW_MEDICINE;
    }
    return person.activity().regularlyActive()
        ? PulseFinding.RESTING_LOW_TRAINED
        : PulseFinding.RESTING_LOW_ASK;
  }
}
