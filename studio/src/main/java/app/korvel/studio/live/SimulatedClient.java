package app.korvel.studio.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.forecast.HeartModel;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.screening.StopSign;
import app.korvel.core.zone.Reserve;
import app.korvel.sensor.HeartRatePacket;
import app.korvel.sensor.SimulatedBody;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.TakeSamples.Handed;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Somebody who is not there and does what a session asks for: the middle of each step's range, and
 * nothing in a pause. Their strap sends what a strap sends.
 */
public final class SimulatedClient {
  /** Where nobody's reserve is known, one that could be anybody's. */
  private static final Reserve ANYBODY = Reserve.of(64, 176);

  private static final int MOST_SECONDS = 110;
  private static final double TOO_HARD = 0.45;
  private static final int SWAPPED_AFTER = 300;
  private static final int TROUBLE_AFTER = 420;

  private final Opened opened;
  private final SimulatedBody body;
  private final SimulatedStrap strap;
  private final SimulatedStrap.Fault fault;
  private Instant sent;
  private long sequence;

  /**
   * Begins, or goes on where the recording of a session stands.
   *
   * @param stands the session as it stands
   */
  public SimulatedClient(LiveNow stands) {
    this.opened = stands.opened();
    Mover mover = opened.plan().mover();
    Reserve reserve = mover.reserve().orElse(ANYBODY);
    boolean trained = !mover.contexts().contains(EffortContext.NEW_TO_EXERCISE);
    this.body =
        new SimulatedBody(
            reserve, Kinetics.usual(trained), stands.latestBpm().orElse(reserve.restingBpm() + 8));
    this.fault = opened.simulated().map(SimulatedStrap.Fault::valueOf).orElseThrow();
    this.strap = new SimulatedStrap(opened.id().getLeastSignificantBits(), fault);
    this.sent = stands.recordedUntil();
    this.sequence = Duration.between(opened.openedAt(), sent).toSeconds();
  }

  /** Samples with their number. */
  public record Sent(long sequence, Handed handed) {}

  /** What the strap has sent by now, since it was asked last; empty where nothing has come. */
  public Optional<Sent> until(LiveSession session) {
    return until(session, this);
  }

  /**
   * The same.
   *
   * @param other who wears this one's strap, and the other way round, once they are swapped
   */
  public Optional<Sent> until(LiveSession session, SimulatedClient other) {
    List<Instant> at = new ArrayList<>();
    List<Integer> bpm = new ArrayList<>();
    long number = sequence;
    Instant until = sent.plusSeconds(MOST_SECONDS);
    BitSet recovering = session.recovering();
    while (sent.isBefore(until) && !sent.plusSeconds(1).isAfter(session.at())) {
      sent = sent.plusSeconds(1);
      sequence++;
      body.work(share(session, sent, recovering) + more(session));
      boolean swapped = Duration.between(opened.openedAt(), sent).toSeconds() > SWAPPED_AFTER;
      strap
          .next(swapped ? other.body : body)
          .map(HeartRatePacket::bpmInContact)
          .ifPresent(
              rate -> {
                at.add(sent);
                bpm.add(rate);
              });
    }
    return at.isEmpty() ? Optional.empty() : Optional.of(new Sent(number, new Handed(at, bpm)));
  }

  /** What somebody does besides the session of itself: stops early, or tells of a symptom. */
  public Optional<LiveEvent> does(LiveSession session, UUID id) {
    boolean over =
        session.begunAt().isPresent()
            && session.over().isEmpty()
            && session.trace().seconds() > TROUBLE_AFTER;
    if (!over) {
      return Optional.empty();
    }
    return switch (fault) {
      case EARLY_STOP -> Optional.of(new LiveEvent.Ended(id, session.at(), LiveEvent.Reason.TIRED));
      case SYMPTOM -> Optional.of(new LiveEvent.Stopped(id, session.at(), StopSign.DIZZY));
      default -> Optional.empty();
    };
  }

  private double more(LiveSession session) {
    boolean work =
        session.phase() == Phase.RUNNING
            && session.step().filter(step -> step.use() == StepFor.WORK).isPresent();
    return fault == SimulatedStrap.Fault.TOO_HARD && work ? TOO_HARD : 0;
  }

  private static double share(LiveSession session, Instant at, BitSet recovering) {
    boolean resting = session.begunAt().isPresent() && recovering.get(session.secondOf(at));
    if (resting || session.phase() != Phase.RUNNING && session.phase() != Phase.COMPLETE) {
      return HeartModel.STANDING;
    }
    return session
        .run()
        .flatMap(run -> legAt(run, at))
        .map(leg -> session.plan().steps().get(leg.row()))
        .flatMap(PlanStep::range)
        .map(range -> (range.low() + range.high()) / 200.0)
        .orElse(HeartModel.STANDING);
  }

  private static Optional<Leg> legAt(Run run, Instant at) {
    return run.legs().stream()
        .filter(leg -> !leg.from().isAfter(at))
        .reduce((before, after) -> after);
  }
}
