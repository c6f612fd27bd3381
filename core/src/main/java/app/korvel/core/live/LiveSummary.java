package app.korvel.core.live;

import app.korvel.core.effort.Witnesses;
import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Moment;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.effort.Witnesses.Said;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.live.Tally.Against;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.StepKind;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Fall;
import app.korvel.core.zone.Ladder;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What a session came to.
 *
 * @param tallies what each leg came to
 * @param seconds with warm-up and cool-down, without pauses
 * @param workSeconds of work by its clock: without waiting for the target
 * @param askedWorkSeconds of work that was asked for
 * @param belowSeconds of the work under its target
 * @param inSeconds of the work within it
 * @param aboveSeconds of the work over it
 * @param noDataSeconds of the work without a rate
 * @param averageBpm of the work, half up
 * @param counted the last rate of the work that was taken by hand
 * @param peak the highest rate that held, if any did
 * @param drop how far the rate fell in the minute after the work, where its end was caught
 * @param rpe20 the highest rating that was given
 * @param voice the highest level that the voice said, 1 to 5
 * @param cooledDown whether a cool-down was done
 */
public record LiveSummary(
    List<Tally> tallies,
    int seconds,
    int workSeconds,
    int askedWorkSeconds,
    int belowSeconds,
    int inSeconds,
    int aboveSeconds,
    int noDataSeconds,
    OptionalInt averageBpm,
    OptionalInt counted,
    Optional<Peak> peak,
    Optional<Drop> drop,
    OptionalInt rpe20,
    OptionalInt voice,
    boolean cooledDown) {

  /** A peak and its second. */
  public record Peak(int bpm, int second) {}

  /**
   * How far the rate fell in a minute.
   *
   * @param endBpm the middle of the last 5 s of the work
   * @param after60Bpm the middle of the 5 s about 60 s after it
   */
  public record Drop(int endBpm, int after60Bpm) {
    /** The fall. */
    public int bpm() {
      return endBpm - after60Bpm;
    }
  }

  private static final int MINUTE = 60;

  public LiveSummary {
    tallies = List.copyOf(tallies);
  }

  /** What a session came to, as far as it has come. */
  public static LiveSummary of(LiveSession session) {
    List<Tally> work = session.tallies().stream().filter(each -> each.use().exercise()).toList();
    Against against = Tally.against(work);
    return new LiveSummary(
        session.tallies(),
        session.tallies().stream().mapToInt(Tally::seconds).sum(),
        ran(session, StepKind::exercise),
        session.plan().workSeconds(),
        against.below(),
        against.in(),
        against.above(),
        work.stream().mapToInt(Tally::noData).sum(),
        SessionLoad.averageBpm(Tally.together(work)),
        lastCounted(session),
        recordedPeak(session)
            .filter(peak -> peak.bpm().isPresent())
            .map(peak -> new Peak(peak.bpm().getAsInt(), peak.atSecond())),
        drop(session),
        highest(session, rated -> rated.rpe20()),
        highest(session, rated -> rated.voice()),
        ran(session, StepKind.COOL_DOWN::equals) >= MINUTE);
  }

  /**
   * The highest rate that held. Whose it was is not sure once straps were swapped, and few points
   * show none; only a strap reads the heart whatever the steps are.
   */
  public static Optional<RecordedPeak> recordedPeak(LiveSession session) {
    if (session.swapped() || !session.recording().dense()) {
      return Optional.empty();
    }
    return Optional.of(
        session.source() == RateSource.STRAP
            ? RecordedPeak.of(session.trace())
            : RecordedPeak.of(session.trace(), session.recording().steps()));
  }

  /** Seconds by the clock of the steps of a kind. */
  private static int ran(LiveSession session, Predicate<StepKind> kind) {
    return session.run().stream()
        .flatMap(run -> run.legs().stream())
        .filter(leg -> kind.test(session.plan().steps().get(leg.row()).kind()))
        .mapToInt(leg -> (int) leg.ran(session.at()).toSeconds())
        .sum();
  }

  private static OptionalInt lastCounted(LiveSession session) {
    return session.events().stream()
        .filter(LiveEvent.Counted.class::isInstance)
        .mapToInt(event -> ((LiveEvent.Counted) event).bpm())
        .reduce((before, after) -> after);
  }

  private static OptionalInt highest(
      LiveSession session, Function<LiveEvent.Rated, OptionalInt> part) {
    return session.events().stream()
        .filter(LiveEvent.Rated.class::isInstance)
        .map(event -> part.apply((LiveEvent.Rated) event))
        .filter(OptionalInt::isPresent)
        .mapToInt(OptionalInt::getAsInt)
        .max();
  }

  /**
   * The work ends with its last leg; by strap only, and only where the recording goes on. When it
   * ended elsewhere nobody saw.
   */
  private static Optional<Drop> drop(LiveSession session) {
    Optional<Run> run =
        session
            .run()
            .filter(any -> session.source() == RateSource.STRAP)
            .filter(any -> session.recording().seen() && session.recording().dense());
    Optional<Leg> last =
        run.flatMap(
            on ->
                on.legs().stream()
                    .filter(leg -> exercise(session, leg))
                    .filter(leg -> leg.endedAt().isPresent())
                    .reduce((before, after) -> after));
    boolean more = run.flatMap(Run::current).filter(leg -> exercise(session, leg)).isPresent();
    if (last.isEmpty() || more) {
      return Optional.empty();
    }
    int end =
        (int) Duration.between(run.get().begunAt(), last.get().endedAt().orElseThrow()).toSeconds();
    return Fall.of(session.trace(), end)
        .filter(fall -> fall.drop60().isPresent())
        .map(fall -> new Drop(fall.endBpm(), fall.endBpm() - fall.drop60().getAsInt()));
  }

  private static boolean exercise(LiveSession session, Leg leg) {
    return session.plan().steps().get(leg.row()).kind().exercise();
  }

  /** Whether so much of the work was done that the session counts as done. */
  public boolean done() {
    return workSeconds > 0
        && 100L * workSeconds >= (long) Threshold.SESSION_DONE.whole() * askedWorkSeconds;
  }

  /** Minutes of work, half up. */
  public int workMinutes() {
    return Rounding.quotient(workSeconds, MINUTE);
  }

  /** Minutes with warm-up and cool-down, half up. */
  public int minutes() {
    return Rounding.quotient(seconds, MINUTE);
  }

  /** Seconds at each rate, of the whole session. */
  public int[] histogram() {
    return Tally.together(tallies);
  }

  /** Whether the recording holds so much of the work that it can be judged by it. */
  public boolean recorded() {
    int data =
        tallies.stream()
            .filter(each -> each.use().exercise())
            .mapToInt(each -> Arrays.stream(each.histogram()).sum())
            .sum();
    return data > 0
        && 100L * data >= (long) Threshold.RECORDED_SHARE.whole() * (data + noDataSeconds);
  }

  /**
   * Seconds at each level, from Sing to Silent, where the session is judged by them: the recording
   * holds enough of the work, and the rate is worth at least half for this person.
   */
  public Optional<int[]> secondsByLevel(LiveSession session) {
    Mover mover = session.plan().mover();
    return mover
        .ladder()
        .filter(ladder -> recorded() && averageBpm.isPresent())
        .filter(ladder -> weight(session, ladder) >= Threshold.RECORDED_WEIGHT.whole())
        .map(ladder -> SessionLoad.secondsByLevel(histogram(), ladder));
  }

  /** Moderate-equivalent minutes, where the session is judged by its seconds; half up. */
  public OptionalInt moderateEquivalentMinutes(LiveSession session) {
    return secondsByLevel(session).isEmpty()
        ? OptionalInt.empty()
        : OptionalInt.of(
            Rounding.quotient(
                SessionLoad.moderateEquivalentSeconds(
                    histogram(), session.plan().mover().reserve().orElseThrow()),
                MINUTE));
  }

  private int weight(LiveSession session, Ladder ladder) {
    int bpm = averageBpm.getAsInt();
    OptionalInt none = OptionalInt.empty();
    return Witnesses.of(
            new Moment(averageBpm, session.source(), false, none, none, false),
            Aim.byRate(bpm, bpm, Optional.empty(), ladder),
            session.plan().mover())
        .rate()
        .map(Said::weight)
        .orElse(0);
  }

  /** Whether the work was cut short without a cool-down. */
  public boolean endedWarm(LiveSession session) {
    return workSeconds > 0
        && !cooledDown
        && session.plan().steps().stream().anyMatch(step -> step.use() == StepFor.COOL_DOWN);
  }
}
