package app.korvel.core.outline;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Texts;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve.Percents;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The outlines that ship, and how a studio's own are named. */
public final class Outlines {
  private Outlines() {}

  public static final int NAME_LENGTH = 60;
  public static final int NOTE_LENGTH = 160;

  /**
   * An outline of a library.
   *
   * @param id stable
   * @param name 1 to {@value #NAME_LENGTH} characters
   * @param note when it serves, up to {@value #NOTE_LENGTH} characters; may be empty
   * @param outline keeps what every session keeps to
   */
  public record Named(String id, String name, String note, Outline outline) {

    /**
     * An outline under a name.
     *
     * @throws InvalidValueException with every fault at once
     * @throws RefusedException when it breaks a rule that holds for everyone
     */
    public static Named checked(String id, String name, String note, Outline outline) {
      List<Fault> faults = new ArrayList<>();
      Texts.check(faults, "name", name.strip(), 1, NAME_LENGTH);
      Texts.check(faults, "note", note.strip(), 0, NOTE_LENGTH);
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
      refuse(outline.checked().broken(Bounds.FOR_ANYONE));
      return new Named(id, name.strip(), note.strip(), outline);
    }
  }

  /**
   * Refuses what breaks a rule.
   *
   * @throws RefusedException with each rule once
   */
  public static void refuse(List<Outline.Violation> broken) {
    if (!broken.isEmpty()) {
      throw RefusedException.because(
          broken.stream().map(Outline.Violation::finding).distinct().toList());
    }
  }

  private static Named ship(String id, String name, String note, Block... work) {
    List<Block> blocks = new ArrayList<>();
    Outline margins = Outline.of(WorkType.STEADY, new Percents(40, 50), 10, Bounds.FOR_ANYONE);
    for (Block block : margins.blocks()) {
      if (block.steps().get(0).kind().exercise()) {
        blocks.addAll(List.of(work));
      } else {
        blocks.add(block);
      }
    }
    return new Named(id, name, note, new Outline(blocks, Optional.empty()));
  }

  private static Step work(int minutes, int low, int high) {
    return Step.work(60 * minutes, new Percents(low, high));
  }

  private static Step easy(int minutes) {
    return Step.easy(60 * minutes, new Percents(30, 40));
  }

  /** Each shape of session once, in percent of reserve. */
  public static final List<Named> SHIPPED =
      List.of(
          ship(
              "first-walks",
              "First walks",
              "For the first weeks: light, and long enough to count.",
              Block.once(work(15, 30, 40).waiting())),
          ship(
              "steady-talk",
              "Steady at Talk",
              "One stretch in whole sentences.",
              Block.once(work(30, 40, 55).waiting())),
          ship(
              "three-rungs",
              "Three rungs",
              "A zone harder every ten minutes.",
              Block.once(work(10, 30, 40)),
              Block.once(work(10, 40, 60)),
              Block.once(work(10, 60, 75))),
          ship(
              "three-rungs-bursts",
              "Three rungs with bursts",
              "The last rung carries 20 s bursts, one every 3 min.",
              Block.once(work(10, 30, 40)),
              Block.once(work(10, 40, 60)),
              Block.times(
                  3, Step.work(160, new Percents(60, 75)), Step.burst(20, new Percents(75, 90))),
              Block.once(work(1, 60, 75))),
          withGoal(
              ship(
                  "short-and-hard",
                  "Short and hard",
                  "For those who may: a minute near the top, two to come back.",
                  Block.times(8, work(1, 80, 90), easy(2))),
              new Outline.BandGoal(Level.WORDS, 6)),
          ship(
              "two-and-two",
              "Two and two",
              "Two minutes of work, two easy.",
              Block.times(6, work(2, 60, 75), easy(2))),
          ship(
              "through-the-day",
              "Three through the day",
              "Ten minutes morning, noon and evening.",
              Block.times(3, work(10, 40, 55)).throughTheDay()),
          ship(
              "long-way",
              "The long way round",
              "Unhurried; what most of the week is made of.",
              Block.once(work(60, 40, 55).waiting())));

  private static Named withGoal(Named named, Outline.BandGoal goal) {
    return new Named(
        named.id, named.name, named.note, new Outline(named.outline.blocks(), Optional.of(goal)));
  }
}
