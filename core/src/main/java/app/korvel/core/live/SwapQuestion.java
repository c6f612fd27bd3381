package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.measure.Threshold;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Trace;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * Two who may wear each other's straps: each rate has jumped away from where it was in this step,
 * and changed over both are about where they were.
 *
 * @param from since when it would be
 */
public record SwapQuestion(UUID one, UUID other, Instant from) {
  private static final int OFF = Threshold.SWAPPED_OFF.whole();
  private static final int FITS = Threshold.SWAPPED_FITS.whole();

  /** A rate changes no faster than this in so many seconds by itself. */
  private static final int JUMP_SECONDS = 5;

  /** A jump: the last rate before it, the rate now, and when it was. */
  private record Jump(UUID session, int before, int now, Instant at) {}

  /** Everybody who is to be asked about, each at most once. */
  public static List<SwapQuestion> among(Map<UUID, LiveSession> room) {
    List<Jump> jumps = new ArrayList<>();
    room.forEach((id, session) -> jump(id, session).ifPresent(jumps::add));
    List<SwapQuestion> questions = new ArrayList<>();
    List<UUID> asked = new ArrayList<>();
    for (int n = 0; n < jumps.size(); n++) {
      for (int m = n + 1; m < jumps.size(); m++) {
        Jump one = jumps.get(n);
        Jump other = jumps.get(m);
        boolean fits =
            Math.abs(one.now - other.before) <= FITS && Math.abs(other.now - one.before) <= FITS;
        if (fits && !asked.contains(one.session) && !asked.contains(other.session)) {
          asked.add(one.session);
          asked.add(other.session);
          questions.add(
              new SwapQuestion(
                  one.session, other.session, one.at.isBefore(other.at) ? one.at : other.at));
        }
      }
    }
    return questions;
  }

  /** The last jump of the step that is on, if the rate is still far off and nobody has answered. */
  private static Optional<Jump> jump(UUID id, LiveSession session) {
    Optional<Leg> leg = session.run().flatMap(Run::current);
    boolean on = session.phase() == Phase.RUNNING || session.phase() == Phase.PAUSED;
    if (leg.isEmpty() || !on || session.source() != RateSource.STRAP) {
      return Optional.empty();
    }
    Trace trace = session.trace();
    Instant begun = session.begunAt().orElseThrow();
    int first = (int) Duration.between(begun, leg.get().from()).toSeconds() + 1;
    OptionalInt now = trace.smoothed(trace.seconds());
    if (now.isEmpty()) {
      return Optional.empty();
    }
    for (int second = trace.seconds(); second > first; second--) {
      OptionalInt here = trace.smoothed(second);
      OptionalInt before = lastBefore(trace, second, first);
      if (here.isPresent()
          && before.isPresent()
          && Math.abs(here.getAsInt() - before.getAsInt()) > OFF) {
        Instant at = begun.plusSeconds(second - JUMP_SECONDS);
        boolean far = Math.abs(now.getAsInt() - before.getAsInt()) > OFF;
        return far && !answered(session, at)
            ? Optional.of(new Jump(id, before.getAsInt(), now.getAsInt(), at))
            : Optional.empty();
      }
    }
    return Optional.empty();
  }

  /** The last rate that is some seconds older, over a gap as well. */
  private static OptionalInt lastBefore(Trace trace, int second, int first) {
    int back = second - JUMP_SECONDS;
    while (back >= first && trace.smoothed(back).isEmpty()) {
      back--;
    }
    return back < first ? OptionalInt.empty() : trace.smoothed(back);
  }

  private static boolean answered(LiveSession session, Instant since) {
    return session.events().stream()
        .filter(
            event ->
                event instanceof LiveEvent.Seen
                    || event instanceof LiveEvent.StrapsSwapped
                    || event instanceof LiveEvent.StrapGiven)
        .anyMatch(event -> !event.at().isBefore(since));
  }
}
