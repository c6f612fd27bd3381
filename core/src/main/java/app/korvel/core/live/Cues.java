package app.korvel.core.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.WitnessFinding;
import app.korvel.core.effort.Witnesses;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Cue;
import app.korvel.core.effort.Witnesses.Moment;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.Course.Step;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.live.Course.Told;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What is said, and when, while the heart rate of a session comes in. The rate votes below, within
 * or above once it has been there for {@link Threshold#VOTE_SETTLED} in a row; what is cued is the
 * vote of all witnesses. The cap is heard past every waiting time.
 *
 * @param given every cue, in order
 * @param standing what is to be shown at the end of the recording
 */
public record Cues(List<Given> given, Standing standing) {

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
   * @param because why
   */
  public record Given(int second, Kind kind, boolean overCap, Finding because) {}

  /**
   * What holds at the end of the recording.
   *
   * @param cue the one that stands; empty where nothing is to be said
   * @param rpe20 the rating in force, if one is
   * @param voice what the voice could do, if it is in force
   * @param counted a rate taken by hand, if it is in force
   * @param witnesses what they say now; empty before the rate has settled and without ratings
   * @param stopped whether the work waits for the instructor
   * @param secondsWithoutSignal since the last sample lapsed; 0 while there is a rate
   */
  public record Standing(
      Optional<Given> cue,
      OptionalInt rpe20,
      OptionalInt voice,
      OptionalInt counted,
      Optional<Witnesses> witnesses,
      boolean stopped,
      int secondsWithoutSignal) {}

  private static final int SETTLED = Threshold.VOTE_SETTLED.whole();
  private static final int SETTLED_AFTER_GAP = Threshold.VOTE_AFTER_GAP.whole();
  private static final int STEP_BEGINS = Threshold.CUE_STEP_BEGINS.whole();
  private static final int BETWEEN_CUES = Threshold.CUE_BETWEEN.whole();
  private static final int SAME_AGAIN = Threshold.CUE_SAME_AGAIN.whole();
  private static final int OVER_CAP = Threshold.CAP_OVER_FOR.whole();
  private static final int OVER_CAP_TOO_LONG = Threshold.CAP_OVER_TOO_LONG.whole();
  private static final int FAR_OVER_CAP = Threshold.CAP_FAR_OVER.whole();
  private static final int FAR_WITH_DEFIBRILLATOR = Threshold.CAP_FAR_DEFIBRILLATOR.whole();
  private static final int OVER_MAXIMUM = Threshold.MAXIMUM_OVER.whole();
  private static final int SUDDEN_FALL = Threshold.SUDDEN_FALL.whole();
  private static final int FALL_SECONDS = Threshold.SUDDEN_FALL_WITHIN.whole();
  private static final int LONG_PAUSE = Threshold.PAUSE_BEGINS_ANEW.whole();

  private static final Set<String> BY_BODY =
      Set.of(WitnessFinding.CUE_BODY_OVER.code(), WitnessFinding.CUE_OVER_RPE_LIMIT.code());

  public Cues {
    given = List.copyOf(given);
  }

  /** What is said over a recording. */
  public static Cues of(Trace trace, Course course, Mover mover) {
    Listening listening = new Listening(trace, course, mover);
    for (int second = 1; second <= Math.min(course.lastSecond(), trace.seconds()); second++) {
      listening.hear(second);
    }
    return listening.cues();
  }

  /** One pass over the seconds. */
  private static final class Listening {
    private final Trace trace;
    private final Course course;
    private final Mover mover;
    private final List<Given> given = new ArrayList<>();

    private final InForce rpe = new InForce(Told::rpe20);
    private final InForce voice = new InForce(Told::voice);
    private final InForce counted = new InForce(Told::bpm);
    private RateSource countedBy = RateSource.COUNT;

    /** What the witnesses say at each rate, as long as nothing else changes. */
    private Witnesses[] said = new Witnesses[Trace.HIGHEST + 1];

    private int at;
    private int nextTold;
    private int inStep = -1;
    private int pausedFor;
    private int vote;
    private int voting;
    private int overCap;
    private int farOver;
    private int overMaximum;
    private int silentFor;
    private boolean afterGap;
    private boolean stopped;
    private boolean askedAboutMaximum;

    /** Whether something was said since the rate was last said to be right. */
    private boolean away;

    private Optional<Given> standing = Optional.empty();
    private Optional<Witnesses> last = Optional.empty();
    private int capCuedAt = -BETWEEN_CUES;

    Listening(Trace trace, Course course, Mover mover) {
      this.trace = trace;
      this.course = course;
      this.mover = mover;
    }

    Cues cues() {
      return new Cues(
          given,
          new Standing(
              standing, rpe.value(), voice.value(), counted.value(), last, stopped, silentFor));
    }

    private Step step() {
      return course.steps().get(at);
    }

    void hear(int second) {
      boolean paused = course.paused().get(second);
      enter(second);
      signal(second, paused);
      OptionalInt smoothed = trace.smoothed(second);
      boolean heard = listen(second, smoothed);
      if (course.resumed().contains(second)) {
        goOn();
      }
      if (course.doubted().get(second) != course.doubted().get(second - 1)) {
        forget();
      }
      if (course.recovering().get(second - 1) && !course.recovering().get(second)) {
        // The next set begins like a step.
        inStep = -1;
        voting = 0;
      }
      watch(second, smoothed);
      if (paused) {
        pausedFor++;
        return;
      }
      if (pausedFor >= LONG_PAUSE) {
        inStep = -1;
        voting = 0;
      }
      pausedFor = 0;
      inStep++;
      if (smoothed.isEmpty()) {
        voting = 0;
      } else {
        count(second, smoothed.getAsInt());
      }
      speak(second, smoothed, heard);
    }

    private void enter(int second) {
      while (at + 1 < course.steps().size() && course.steps().get(at + 1).fromSecond() <= second) {
        at++;
        voting = 0;
        inStep = -1;
        rpe.stepEnds();
        voice.stepEnds();
        counted.stepEnds();
        standing = standing.filter(each -> each.kind() == Kind.STOP_WORK || each.overCap());
        forget();
      }
    }

    private void forget() {
      said = new Witnesses[Trace.HIGHEST + 1];
    }

    /** “No signal” is said once, when the last value has lapsed. */
    private void signal(int second, boolean paused) {
      boolean gone = trace.value(second).isEmpty();
      silentFor = gone ? silentFor + 1 : 0;
      // Before the first sample nothing has been lost; in a pause nobody waits for a rate.
      if (silentFor == 1 && second > Trace.HELD_SECONDS && !stopped && !paused) {
        say(new Given(second, Kind.NO_SIGNAL, false, LiveFinding.NO_SIGNAL.of()));
        away = true;
      }
      afterGap |= gone && second > 1;
      if (!gone) {
        standing = standing.filter(each -> each.kind() != Kind.NO_SIGNAL);
      }
    }

    /** Takes what was told by now, and lets what was told before lapse. */
    private boolean listen(int second, OptionalInt rate) {
      boolean heard = false;
      boolean lapsed = rpe.lapse(second, rate) | voice.lapse(second, rate);
      lapsed |= counted.lapse(second, rate);
      while (nextTold < course.told().size() && course.told().get(nextTold).second() <= second) {
        Told told = course.told().get(nextTold++);
        Optional<Aim> aim = step().aim();
        OptionalInt none = OptionalInt.empty();
        heard |=
            rpe.take(told, rate, aim.filter(each -> each.isUnder(told.rpe20(), none)).isPresent());
        heard |=
            voice.take(
                told, rate, aim.filter(each -> each.isUnder(none, told.voice())).isPresent());
        if (counted.take(told, rate, false)) {
          countedBy = told.source();
          heard = true;
        }
      }
      if (heard || lapsed) {
        forget();
      }
      return heard;
    }

    /** The instructor has asked, and lets the work go on. */
    private void goOn() {
      stopped = false;
      overCap = 0;
      farOver = 0;
      standing = Optional.empty();
    }

    /** The cap and the maximum are watched in a pause as well. */
    private void watch(int second, OptionalInt smoothed) {
      if (smoothed.isEmpty()) {
        overCap = 0;
        farOver = 0;
        overMaximum = 0;
        return;
      }
      int bpm = smoothed.getAsInt();
      int cap = mover.capBpm().orElse(Integer.MAX_VALUE);
      overCap = bpm > cap ? overCap + 1 : 0;
      farOver = bpm - far() >= cap ? farOver + 1 : 0;
      int maximum = mover.reserve().map(Reserve::maximumBpm).orElse(Integer.MAX_VALUE);
      overMaximum = bpm - OVER_MAXIMUM >= maximum ? overMaximum + 1 : 0;
      if (stopped) {
        return;
      }
      if (overCap >= OVER_CAP_TOO_LONG || farOver >= OVER_CAP) {
        stop(second, bpm);
      } else if (overCap >= OVER_CAP && second - capCuedAt >= BETWEEN_CUES) {
        easeUnderCap(second, bpm);
      } else if (overCap < OVER_CAP && overMaximum >= SETTLED && !askedAboutMaximum) {
        askedAboutMaximum = true;
        say(new Given(second, Kind.ASK, false, LiveFinding.OVER_MAXIMUM.of(bpm, maximum)));
      }
      if (overCap == 0) {
        standing = standing.filter(each -> !each.overCap());
      }
    }

    private int far() {
      return mover.contexts().contains(EffortContext.DEFIBRILLATOR)
          ? FAR_WITH_DEFIBRILLATOR
          : FAR_OVER_CAP;
    }

    private void stop(int second, int bpm) {
      stopped = true;
      say(
          new Given(
              second,
              Kind.STOP_WORK,
              true,
              LiveFinding.STOP_WORK.of(bpm, mover.capBpm().orElseThrow())));
    }

    private void easeUnderCap(int second, int bpm) {
      capCuedAt = second;
      say(
          new Given(
              second,
              Kind.EASE_OFF,
              true,
              WitnessFinding.CUE_OVER_CAP.of(bpm, mover.capBpm().orElseThrow())));
      away = true;
    }

    private void say(Given cue) {
      given.add(cue);
      standing = Optional.of(cue);
    }

    /** A value that is only held over is never counted as below. */
    private void count(int second, int bpm) {
      OptionalInt before = trace.smoothed(second - FALL_SECONDS);
      afterGap |= before.isPresent() && before.getAsInt() - bpm > SUDDEN_FALL;
      if (step().aim().flatMap(Aim::rates).isEmpty()) {
        return;
      }
      int now = step().aim().flatMap(Aim::rates).orElseThrow().vote(bpm);
      if (now != vote) {
        vote = now;
        voting = 0;
      }
      voting += now >= 0 || trace.sampledAt(second) ? 1 : 0;
      if (now >= 0 && voting >= SETTLED) {
        afterGap = false;
      }
    }

    /**
     * @param heard whether something was told in this second
     */
    private void speak(int second, OptionalInt smoothed, boolean heard) {
      last = Optional.empty();
      Optional<Aim> aim = step().aim();
      if (stopped || overCap > 0 || aim.isEmpty()) {
        return;
      }
      boolean told =
          rpe.value().isPresent() || voice.value().isPresent() || counted.value().isPresent();
      boolean settled = smoothed.isPresent() && voting >= SETTLED;
      if (!settled && !told) {
        return;
      }
      if (heard && counted.value().isPresent() && tooHighByCount(second)) {
        return;
      }
      Witnesses now =
          witnesses(
              aim.get(), settled ? smoothed : OptionalInt.empty(), course.doubted().get(second));
      last = Optional.of(now);
      Kind kind = kind(now.cue());
      boolean byBody = BY_BODY.contains(now.findings().get(0).code());
      boolean due =
          switch (kind) {
            case PICK_UP, ASK -> mayPickUp(second, settled, now);
            case EASE_OFF -> byBody || mayEaseOff();
            default -> true;
          };
      if (kind == Kind.HOLD && !away && settled && standing.isEmpty()) {
        // Nothing is said of what is right from the start; it is shown.
        standing = Optional.of(new Given(second, Kind.HOLD, false, now.findings().get(0)));
      }
      if (due && sayable(kind, second)) {
        say(new Given(second, kind, false, now.findings().get(0)));
        away = kind != Kind.HOLD;
        afterGap = false;
      }
    }

    /** A count over the cap is heard at once: there is nothing to wait for. */
    private boolean tooHighByCount(int second) {
      int bpm = counted.value().getAsInt();
      int cap = mover.capBpm().orElse(Integer.MAX_VALUE);
      if (bpm <= cap) {
        return false;
      }
      if (bpm - far() >= cap) {
        stop(second, bpm);
      } else {
        easeUnderCap(second, bpm);
      }
      return true;
    }

    private Witnesses witnesses(Aim aim, OptionalInt settled, boolean doubted) {
      boolean byHand = counted.value().isPresent() && (settled.isEmpty() || doubted);
      OptionalInt rate = byHand ? counted.value() : settled;
      int place = rate.isPresent() ? Math.min(rate.getAsInt(), Trace.HIGHEST) : 0;
      if (said[place] == null) {
        said[place] =
            Witnesses.of(
                new Moment(
                    rate,
                    byHand ? countedBy : course.source(),
                    doubted && !byHand,
                    rpe.value(),
                    voice.value(),
                    false),
                aim,
                mover);
      }
      return said[place];
    }

    private boolean mayPickUp(int second, boolean settled, Witnesses now) {
      boolean below = now.rate().filter(rate -> rate.vote() < 0).isPresent();
      boolean longEnough = !settled || voting >= (afterGap ? SETTLED_AFTER_GAP : SETTLED);
      boolean rateSpeaks = now.rate().isPresent();
      return (below || !rateSpeaks)
          && longEnough
          // While a rate comes in, nobody is asked for more before it has settled.
          && (settled || silentFor > 0)
          && step().use() == StepFor.WORK
          && !course.recovering().get(second)
          && inStep >= STEP_BEGINS
          && second < step().byItself().orElse(Integer.MAX_VALUE);
    }

    private boolean mayEaseOff() {
      return !lighter() || inStep >= STEP_BEGINS;
    }

    /** Whether the step asks for less than the one before. */
    private boolean lighter() {
      if (at == 0) {
        return false;
      }
      Optional<Aim> before = course.steps().get(at - 1).aim();
      Optional<Aim> now = step().aim();
      return before.isPresent() && now.isPresent() && top(now.get()) < top(before.get());
    }

    private static int top(Aim aim) {
      return aim.rates()
          .map(Witnesses.Rates::highBpm)
          .orElseGet(() -> aim.levels().get(aim.levels().size() - 1).number());
    }

    /** “Hold” once, when the rate is back; anything else again while it lasts. */
    private boolean sayable(Kind kind, int second) {
      if (kind == Kind.HOLD && !away) {
        return false;
      }
      if (given.isEmpty()) {
        return true;
      }
      Given before = given.get(given.size() - 1);
      return second - before.second() >= (before.kind() == kind ? SAME_AGAIN : BETWEEN_CUES);
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
