package app.korvel.core.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Cue;
import app.korvel.core.effort.Witnesses.Moment;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.trace.Trace;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * What is said, and when, while the heart rate of a session comes in. The rate votes below, within
 * or above once it has been there for {@value #SETTLED} s in a row; what is cued is the vote of all
 * witnesses. The cap is heard past every waiting time.
 *
 * @param given every cue, in order
 * @param belowSeconds seconds of the smoothed rate under the target of their step
 * @param inSeconds within it, both edges included
 * @param aboveSeconds over it
 * @param noDataSeconds without a smoothed rate
 */
public record Cues(
    List<Given> given, int belowSeconds, int inSeconds, int aboveSeconds, int noDataSeconds) {

  /** What is said. */
  public enum Kind {
    PICK_UP,
    HOLD,
    EASE_OFF,
    /** Over the cap too long or too far: nothing else is said until the instructor resumes. */
    STOP_WORK,
    NO_SIGNAL,
    /** How it feels, or with a rate over the maximum, whether there are symptoms. */
    ASK
  }

  /**
   * A cue.
   *
   * @param second in which it is given
   * @param overCap whether a cap is the reason
   */
  public record Given(int second, Kind kind, boolean overCap) {}

  /** What a step of the session is for. */
  public enum StepFor {
    WARM_UP,
    WORK,
    BURST,
    EASY,
    COOL_DOWN
  }

  /**
   * A step.
   *
   * @param fromSecond the first second of it
   */
  public record Step(int fromSecond, Aim aim, StepFor use) {}

  /** So long in a row before the rate votes. */
  private static final int SETTLED = 10;

  /** The same for picking up, after a gap or a sudden fall. */
  private static final int SETTLED_AFTER_GAP = 30;

  /** So long after a step began nobody is asked to pick up, or to ease off into a lighter one. */
  private static final int STEP_BEGINS = 90;

  private static final int BETWEEN_CUES = 20;
  private static final int SAME_AGAIN = 60;
  private static final int OVER_CAP = 5;
  private static final int OVER_CAP_TOO_LONG = 60;
  private static final int FAR_OVER_CAP = 10;
  private static final int FAR_OVER_WITH_DEFIBRILLATOR = 5;
  private static final int OVER_MAXIMUM = 3;
  private static final int SUDDEN_FALL = 15;
  private static final int FALL_SECONDS = 2;

  public Cues {
    given = List.copyOf(given);
  }

  /**
   * What would have been said by the rate alone, without ratings.
   *
   * @param steps in their order, the first from the first second on
   */
  public static Cues of(Trace trace, List<Step> steps, RateSource source, Mover mover) {
    Listening listening = new Listening(steps, source, mover);
    for (int second = 1; second <= trace.seconds(); second++) {
      listening.hear(trace, second);
    }
    return new Cues(
        listening.given,
        listening.times[0],
        listening.times[1],
        listening.times[2],
        trace.secondsWithoutData());
  }

  /** One pass over the seconds. */
  private static final class Listening {
    private final List<Step> steps;
    private final RateSource source;
    private final Mover mover;
    private final List<Given> given = new ArrayList<>();

    /** Seconds below, within and above. */
    private final int[] times = new int[3];

    private int at;
    private int vote;
    private int voting;
    private int overCap;
    private int farOver;
    private int overMaximum;
    private boolean afterGap;
    private boolean silent;
    private boolean stopped;
    private boolean askedAboutMaximum;

    /** Whether something was said since the rate was last said to be right. */
    private boolean away;

    private int capCuedAt = -BETWEEN_CUES;

    Listening(List<Step> steps, RateSource source, Mover mover) {
      this.steps = steps;
      this.source = source;
      this.mover = mover;
    }

    void hear(Trace trace, int second) {
      if (at + 1 < steps.size() && steps.get(at + 1).fromSecond() <= second) {
        at++;
        voting = 0;
      }
      signal(trace, second);
      OptionalInt smoothed = trace.smoothed(second);
      if (smoothed.isEmpty()) {
        voting = 0;
        overCap = 0;
        farOver = 0;
        overMaximum = 0;
        return;
      }
      int bpm = smoothed.getAsInt();
      Aim aim = steps.get(at).aim();
      int now = bpm < aim.lowBpm() ? -1 : bpm > aim.highBpm() ? 1 : 0;
      times[now + 1]++;
      OptionalInt before = trace.smoothed(second - FALL_SECONDS);
      afterGap |= before.isPresent() && before.getAsInt() - bpm > SUDDEN_FALL;
      count(now, now >= 0 || trace.sampledAt(second));
      watch(bpm);
      if (!stopped) {
        speak(second, bpm);
      }
    }

    /** “No signal” is said once, when the last value has lapsed. */
    private void signal(Trace trace, int second) {
      boolean gone = trace.value(second).isEmpty();
      if (gone && !silent && second > Trace.HELD_SECONDS && !stopped) {
        given.add(new Given(second, Kind.NO_SIGNAL, false));
        away = true;
      }
      afterGap |= gone && second > 1;
      silent = gone;
    }

    /** A value that is only held over is never counted as below. */
    private void count(int now, boolean counts) {
      if (now != vote) {
        vote = now;
        voting = 0;
      }
      voting += counts ? 1 : 0;
      if (now >= 0 && voting >= SETTLED) {
        afterGap = false;
      }
    }

    private void watch(int bpm) {
      int cap = mover.capBpm().orElse(Integer.MAX_VALUE);
      int far =
          mover.contexts().contains(EffortContext.DEFIBRILLATOR)
              ? FAR_OVER_WITH_DEFIBRILLATOR
              : FAR_OVER_CAP;
      overCap = bpm > cap ? overCap + 1 : 0;
      farOver = bpm - far >= cap ? farOver + 1 : 0;
      overMaximum = bpm >= mover.reserve().maximumBpm() + OVER_MAXIMUM ? overMaximum + 1 : 0;
    }

    private void speak(int second, int bpm) {
      if (overCap >= OVER_CAP_TOO_LONG || farOver >= OVER_CAP) {
        stopped = true;
        given.add(new Given(second, Kind.STOP_WORK, true));
      } else if (overCap >= OVER_CAP) {
        if (second - capCuedAt >= BETWEEN_CUES) {
          capCuedAt = second;
          given.add(new Given(second, Kind.EASE_OFF, true));
          away = true;
        }
      } else if (overMaximum >= SETTLED && !askedAboutMaximum) {
        askedAboutMaximum = true;
        given.add(new Given(second, Kind.ASK, false));
      } else if (overCap == 0 && voting >= SETTLED) {
        say(second, bpm);
      }
    }

    private void say(int second, int bpm) {
      Step step = steps.get(at);
      Moment moment =
          new Moment(
              OptionalInt.of(bpm), source, false, OptionalInt.empty(), OptionalInt.empty(), false);
      Kind kind = kind(Witnesses.of(moment, step.aim(), mover).cue());
      boolean due =
          switch (kind) {
            case PICK_UP, ASK -> mayPickUp(step, second);
            case EASE_OFF -> mayEaseOff(step, second);
            default -> true;
          };
      if (due && sayable(kind, second)) {
        given.add(new Given(second, kind, false));
        away = kind != Kind.HOLD;
        afterGap = false;
      }
    }

    private boolean mayPickUp(Step step, int second) {
      return vote < 0
          && step.use() == StepFor.WORK
          && second - step.fromSecond() >= STEP_BEGINS
          && voting >= (afterGap ? SETTLED_AFTER_GAP : SETTLED);
    }

    private boolean mayEaseOff(Step step, int second) {
      boolean lighter = at > 0 && step.aim().highBpm() < steps.get(at - 1).aim().highBpm();
      return !lighter || second - step.fromSecond() >= STEP_BEGINS;
    }

    /** “Hold” once, when the rate is back; anything else again while it lasts. */
    private boolean sayable(Kind kind, int second) {
      if (kind == Kind.HOLD && !away) {
        return false;
      }
      if (given.isEmpty()) {
        return true;
      }
      Given last = given.get(given.size() - 1);
      return second - last.second() >= (last.kind() == kind ? SAME_AGAIN : BETWEEN_CUES);
    }

    private static Kind kind(Cue cue) {
      return switch (cue) {
        case PICK_UP -> Kind.PICK_UP;
        case HOLD -> Kind.HOLD;
        case EASE_OFF -> Kind.EASE_OFF;
        case STOP -> Kind.STOP_WORK;
        case ASK -> Kind.ASK;
      };
    }
  }
}
