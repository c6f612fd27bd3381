package app.korvel.studio.live;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
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
import java.util.List;
import java.util.Optional;

/**
 * Somebody who is not there and does what a session asks for: the middle of each step's range, and
 * nothing in a pause. Their strap sends what a strap sends.
 */
public final class SimulatedClient {
  /** Where nobody's reserve is known, one that could be anybody's. */
  private static final Reserve ANYBODY = Reserve.of(64, 176);

  private static final double STANDING = 0.12;
  private static final int MOST_SECONDS = 110;

  private final Opened opened;
  private final SimulatedBody body;
  private final SimulatedStrap strap;
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
        new SimulatedBody(reserve, trained, stands.latestBpm().orElse(reserve.restingBpm() + 8));
    this.strap =
        new SimulatedStrap(
            opened.id().getLeastSignificantBits(),
            opened.simulated().map(SimulatedStrap.Fault::valueOf).orElseThrow());
    this.sent = stands.recordedUntil();
    this.sequence = Duration.between(opened.openedAt(), sent).toSeconds();
  }

  /** Samples with their number. */
  public record Sent(long sequence, Handed handed) {}

  /** What the strap has sent by now, since it was asked last; empty where nothing has come. */
  public Optional<Sent> until(LiveSession session) {
    List<Instant> at = new ArrayList<>();
    List<Integer> bpm = new ArrayList<>();
    long number = sequence;
    Instant until = sent.plusSeconds(MOST_SECONDS);
    while (sent.isBefore(until) && !sent.plusSeconds(1).isAfter(session.at())) {
      sent = sent.plusSeconds(1);
      sequence++;
      body.work(share(session, sent));
      strap
          .next(body)
          .map(HeartRatePacket::bpmInContact)
          .ifPresent(
              rate -> {
                at.add(sent);
                bpm.add(rate);
              });
    }
    return at.isEmpty() ? Optional.empty() : Optional.of(new Sent(number, new Handed(at, bpm)));
  }

  private static double share(LiveSession session, Instant at) {
    if (session.phase() != Phase.RUNNING && session.phase() != Phase.COMPLETE) {
      return STANDING;
    }
    return session
        .run()
        .flatMap(run -> legAt(run, at))
        .map(leg -> session.plan().steps().get(leg.row()))
        .flatMap(PlanStep::range)
        .map(range -> (range.low() + range.high()) / 200.0)
        .orElse(STANDING);
  }

  private static Optional<Leg> legAt(Run run, Instant at) {
    return run.legs().stream()
        .filter(leg -> !leg.from().isAfter(at))
        .reduce((before, after) -> after);
  }
}
