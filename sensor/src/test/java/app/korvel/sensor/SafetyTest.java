package app.korvel.sensor;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.Course;
import app.korvel.core.live.Course.Step;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.live.Course.Told;
import app.korvel.core.live.Cues;
import app.korvel.core.live.Cues.Given;
import app.korvel.core.live.Cues.Kind;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import app.korvel.sensor.SimulatedStrap.Fault;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Ten thousand sessions of simulated people of every context, with every fault of a strap and
 * ratings that fit or do not: nobody is pushed past RPE or voice, and the cap always wins.
 */
class SafetyTest {
  private static final int SESSIONS = 10_000;
  private static final int SECONDS = 300;
  private static final int STEP = 150;

  /** A rating over the target holds so long at least. */
  private static final int HOLDS = 120;

  /** Over the cap so long, and “ease off” or “stop work” has been said. */
  private static final int CAP_HEARD = 5;

  private static final int CAP_AGAIN = 20;

  private record Made(Trace trace, Course course, Mover mover) {}

  private static Made session(Random random) {
    Reserve reserve = Reserve.of(48 + random.nextInt(35), 140 + random.nextInt(55));
    Set<EffortContext> contexts = EnumSet.noneOf(EffortContext.class);
    for (EffortContext context : EffortContext.values()) {
      if (random.nextInt(6) == 0) {
        contexts.add(context);
      }
    }
    OptionalInt cap =
        random.nextBoolean()
            ? OptionalInt.of(reserve.rateAt(40 + random.nextInt(50)))
            : OptionalInt.empty();
    Mover mover =
        new Mover(
            Optional.of(Ladder.of(reserve)),
            random.nextBoolean(),
            contexts,
            IntensityGuide.values()[random.nextInt(4)],
            cap,
            random.nextInt(4) == 0 ? OptionalInt.of(11 + random.nextInt(6)) : OptionalInt.empty());
    List<Step> steps = new ArrayList<>();
    for (int from = 1; from <= SECONDS; from += STEP) {
      int low = 30 + random.nextInt(50);
      steps.add(
          Step.of(
              from,
              Aim.byRate(
                  reserve.rateAt(low),
                  reserve.rateAt(low + 15),
                  Optional.empty(),
                  Ladder.of(reserve)),
              StepFor.values()[random.nextInt(StepFor.values().length)]));
    }
    return new Made(
        trace(random, reserve),
        new Course(
            steps,
            SECONDS,
            sometimes(random),
            told(random),
            Set.of(),
            source(random),
            sometimes(random),
            sometimes(random)),
        mover);
  }

  private static RateSource source(Random random) {
    return RateSource.values()[random.nextInt(RateSource.values().length)];
  }

  /** A stretch, in one of three sessions. */
  private static BitSet sometimes(Random random) {
    BitSet paused = new BitSet();
    if (random.nextInt(3) == 0) {
      int from = 1 + random.nextInt(SECONDS);
      paused.set(from, from + random.nextInt(100));
    }
    return paused;
  }

  private static List<Told> told(Random random) {
    List<Told> told = new ArrayList<>();
    for (int second = 30; second < SECONDS; second += 1 + random.nextInt(120)) {
      told.add(
          new Told(
              second,
              random.nextBoolean() ? OptionalInt.of(6 + random.nextInt(15)) : OptionalInt.empty(),
              random.nextBoolean() ? OptionalInt.of(1 + random.nextInt(5)) : OptionalInt.empty(),
              OptionalInt.empty(),
              RateSource.COUNT));
    }
    return told;
  }

  private static Trace trace(Random random, Reserve reserve) {
    SimulatedBody body = new SimulatedBody(reserve, random.nextBoolean());
    SimulatedStrap strap =
        new SimulatedStrap(
            random.nextLong(), Fault.values()[random.nextInt(Fault.values().length)]);
    double share = 0.2 + random.nextDouble();
    int[] at = new int[SECONDS];
    int[] bpm = new int[SECONDS];
    for (int second = 1; second <= SECONDS; second++) {
      if (random.nextInt(100) == 0) {
        share = 0.2 + 0.9 * random.nextDouble();
      }
      body.work(share);
      at[second - 1] = second;
      bpm[second - 1] = strap.next(body).map(HeartRatePacket::bpmInContact).orElse(0);
    }
    return Trace.of(at, bpm);
  }

  @Test
  void nobodyIsPushedPastTheBodyAndTheCapAlwaysWins() {
    Random random = new Random(20_260_528);
    int pushed = 0;
    int capped = 0;
    for (int n = 0; n < SESSIONS; n++) {
      Made made = session(random);
      Cues cues = Cues.of(made.trace, made.course, made.mover);
      for (Given cue : cues.given()) {
        if (cue.kind() == Kind.PICK_UP) {
          pushed++;
          assertThat(overTheTarget(made.course, cue.second()))
              .as("session %d, %s", n, cue)
              .isFalse();
          assertThat(overCapFor(made, cue.second())).as("session %d, %s", n, cue).isZero();
        }
      }
      capped += capIsHeard(n, made, cues);
    }
    // Both were put to the test often enough.
    assertThat(pushed).isGreaterThan(300);
    assertThat(capped).isGreaterThan(500);
  }

  /** Whether somebody said within two minutes, in this step, that it is over the target. */
  private static boolean overTheTarget(Course course, int second) {
    Step step =
        course.steps().stream()
            .filter(each -> each.fromSecond() <= second)
            .reduce((before, after) -> after)
            .orElseThrow();
    Aim aim = step.aim().orElseThrow();
    OptionalInt rpe = latest(course, step.fromSecond(), second, true);
    OptionalInt voice = latest(course, step.fromSecond(), second, false);
    int top = aim.levels().get(aim.levels().size() - 1).number();
    return rpe.isPresent() && Level.atRpe20(rpe.getAsInt()).number() > top
        || voice.isPresent() && voice.getAsInt() > top;
  }

  private static OptionalInt latest(Course course, int from, int second, boolean rpe) {
    OptionalInt latest = OptionalInt.empty();
    for (Told told : course.told()) {
      OptionalInt said = rpe ? told.rpe20() : told.voice();
      if (said.isPresent()
          && told.second() >= from
          && told.second() <= second
          && second - told.second() < HOLDS) {
        latest = said;
      }
    }
    return latest;
  }

  private static int overCapFor(Made made, int second) {
    int over = 0;
    int cap = made.mover.capBpm().orElse(Integer.MAX_VALUE);
    while (made.trace.smoothed(second - over).orElse(0) > cap) {
      over++;
    }
    return over;
  }

  /** Over the cap for 5 s: said at once, and again until it is under, or the work was stopped. */
  private static int capIsHeard(int n, Made made, Cues cues) {
    if (made.mover.capBpm().isEmpty()) {
      return 0;
    }
    int cap = made.mover.capBpm().getAsInt();
    int heard = 0;
    int over = 0;
    int next = 0;
    int lastCap = -CAP_AGAIN;
    boolean stopped = false;
    for (int second = 1; second <= made.trace.seconds(); second++) {
      while (next < cues.given().size() && cues.given().get(next).second() <= second) {
        Given cue = cues.given().get(next++);
        stopped |= cue.kind() == Kind.STOP_WORK;
        lastCap = cue.overCap() ? cue.second() : lastCap;
      }
      over = made.trace.smoothed(second).orElse(0) > cap ? over + 1 : 0;
      if (over >= CAP_HEARD) {
        heard++;
        assertThat(stopped || second - lastCap < CAP_AGAIN)
            .as("session %d, second %d", n, second)
            .isTrue();
      }
    }
    return heard;
  }
}
