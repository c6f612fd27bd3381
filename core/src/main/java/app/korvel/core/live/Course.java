package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.trace.Trace;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What was asked for and told while a heart rate came in, by the second from 1 on.
 *
 * @param steps in their order, the first from second 1 on
 * @param lastSecond of the last step; what is measured after it counts in nothing
 * @param paused the seconds in which the clock stood
 * @param told ratings and counts, in order
 * @param resumed the seconds in which the instructor let the work go on after it was stopped
 * @param source what reads the rate
 * @param doubted the seconds in which it is not sure whose rate it is: shown, without a vote
 * @param recovering the seconds after an effort has ended: nobody is asked to pick up
 */
public record Course(
    List<Step> steps,
    int lastSecond,
    BitSet paused,
    List<Told> told,
    Set<Integer> resumed,
    RateSource source,
    BitSet doubted,
    BitSet recovering) {

  /** What a step of the session is for. */
  public enum StepFor {
    WARM_UP,
    WORK,
    BURST,
    EASY,
    COOL_DOWN;

    /** Whether its minutes are minutes of work. */
    boolean exercise() {
      return this == WORK || this == BURST || this == EASY;
    }
  }

  /**
   * A step as it came.
   *
   * @param fromSecond the first second of it
   * @param aim what it asks for; empty where it has no intensity
   * @param byItself the second in which it began after waiting in vain; nobody is asked to pick up
   *     from then on
   */
  public record Step(int fromSecond, Optional<Aim> aim, StepFor use, OptionalInt byItself) {
    /** One that does not wait. */
    public static Step of(int fromSecond, Aim aim, StepFor use) {
      return new Step(fromSecond, Optional.of(aim), use, OptionalInt.empty());
    }
  }

  /**
   * What somebody said of the effort, or a rate taken by hand.
   *
   * @param second in which
   * @param rpe20 6 to 20, if it was said
   * @param voice 1 to 5, if it was tried
   * @param bpm a rate counted or read off, if it was
   * @param source of that rate
   */
  public record Told(
      int second, OptionalInt rpe20, OptionalInt voice, OptionalInt bpm, RateSource source) {}

  public Course {
    steps = List.copyOf(steps);
    paused = (BitSet) paused.clone();
    told = List.copyOf(told);
    resumed = Set.copyOf(resumed);
    doubted = (BitSet) doubted.clone();
    recovering = (BitSet) recovering.clone();
  }

  /** Steps alone: nothing told, no pause. */
  public static Course of(List<Step> steps, RateSource source) {
    BitSet never = new BitSet();
    return new Course(steps, Trace.MOST_SECONDS, never, List.of(), Set.of(), source, never, never);
  }
}
