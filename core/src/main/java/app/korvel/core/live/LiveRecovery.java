package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.recovery.Recovery;
import app.korvel.core.recovery.Recovery.Who;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Zones;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A recovery within a session: from the end of an effort to the next set, ten minutes at most.
 *
 * @param number of the set, from 1
 * @param ended the end of the effort
 * @param endSecond in which second of the session that was
 * @param untilSecond the last second that belongs to it
 * @param on whether it is still going on
 * @param recovery what it comes to; empty where there is no rate at its end
 */
public record LiveRecovery(
    int number,
    LiveEvent.EffortEnded ended,
    int endSecond,
    int untilSecond,
    boolean on,
    Optional<Recovery> recovery) {

  /** It is not followed longer than this. */
  public static final int LONGEST = 600;

  /** Within so many seconds after its moment a count of 15 s is entered. */
  public static final int ENTERED_WITHIN = 45;

  /** When counts begin where there is no strap, in seconds from the end of the effort. */
  public static final List<Integer> COUNTED_AT = List.of(0, 60, 120);

  /** Those of a session, in order. */
  public static List<LiveRecovery> of(LiveSession session, Optional<Zones> zones) {
    List<LiveRecovery> all = new ArrayList<>();
    if (session.begunAt().isEmpty()) {
      return all;
    }
    Instant begun = session.begunAt().get();
    List<LiveEvent> events = session.events();
    for (LiveEvent event : events) {
      if (event instanceof LiveEvent.EffortEnded ended && !ended.at().isBefore(begun)) {
        int end = second(begun, ended.at());
        Optional<Integer> next =
            events.stream()
                .filter(
                    each ->
                        each instanceof LiveEvent.EffortResumed
                            || each instanceof LiveEvent.EffortEnded && each != ended)
                .filter(each -> each.at().isAfter(ended.at()))
                .map(each -> second(begun, each.at()))
                .findFirst();
        int until = Math.min(next.orElse(Integer.MAX_VALUE), end + LONGEST);
        boolean on =
            next.isEmpty() && session.over().isEmpty() && session.trace().seconds() < until;
        all.add(
            new LiveRecovery(
                all.size() + 1,
                ended,
                end,
                until,
                on,
                recovery(session, ended, end, until, zones)));
      }
    }
    return all;
  }

  private static int second(Instant begun, Instant at) {
    return (int) Math.max(1, Duration.between(begun, at).toSeconds());
  }

  private static Optional<Recovery> recovery(
      LiveSession session, LiveEvent.EffortEnded ended, int end, int until, Optional<Zones> zones) {
    Optional<Reserve> reserve = session.plan().mover().reserve();
    Who who =
        new Who(
            ended.posture(),
            reserve.map(span -> OptionalInt.of(span.maximumBpm())).orElse(OptionalInt.empty()),
            session.plan().mover().contexts());
    if (session.source() == RateSource.STRAP) {
      Trace trace = session.trace();
      return Recovery.of(trace, end, until, who, zones);
    }
    OptionalInt first = counted(session, ended, COUNTED_AT.get(0), until - end);
    return first.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Recovery.counted(
                first.getAsInt(),
                counted(session, ended, COUNTED_AT.get(1), until - end),
                counted(session, ended, COUNTED_AT.get(2), until - end),
                who));
  }

  /** The first count that was entered soon after a moment. */
  private static OptionalInt counted(
      LiveSession session, LiveEvent.EffortEnded ended, int after, int until) {
    return session.events().stream()
        .filter(LiveEvent.Counted.class::isInstance)
        .filter(
            event -> {
              long seconds = Duration.between(ended.at(), event.at()).toSeconds();
              return seconds >= after && seconds < Math.min(until, after + ENTERED_WITHIN);
            })
        .mapToInt(event -> ((LiveEvent.Counted) event).bpm())
        .findFirst();
  }
}
