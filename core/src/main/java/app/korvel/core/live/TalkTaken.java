package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Threshold;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.trace.Trace;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/**
 * The talk checks of a session on the clock: every voice that was given, with the rate before the
 * passage, since the passage itself is at fault for some beats.
 */
public final class TalkTaken {
  private static final int RATE_SECONDS = 30;
  private static final int MINUTE = 60;

  /** An RPE that was given so soon before or after the voice belongs to it. */
  private static final Duration WITH_IT = Duration.ofMinutes(1);

  /** A count that was taken so soon after the passage belongs to it. */
  private static final Duration COUNTED_AFTER = Duration.ofMinutes(2);

  private TalkTaken() {}

  /**
   * Those of a session.
   *
   * @param id of it
   * @param odd what made its day unusual
   * @param recordedAt when they are put on record
   */
  public static List<TalkCheck> of(
      LiveSession session, UUID id, Set<OddDay> odd, Instant recordedAt) {
    if (session.begunAt().isEmpty()) {
      return List.of();
    }
    return session.events().stream()
        .filter(LiveEvent.Rated.class::isInstance)
        .map(LiveEvent.Rated.class::cast)
        .filter(rated -> rated.voice().isPresent())
        .filter(rated -> !rated.at().isBefore(session.begunAt().get()))
        .map(rated -> check(session, id, rated, odd, recordedAt))
        .toList();
  }

  private static TalkCheck check(
      LiveSession session, UUID id, LiveEvent.Rated rated, Set<OddDay> odd, Instant recordedAt) {
    Instant passage =
        rated
            .passageAt()
            .orElseGet(() -> rated.at().minusSeconds(Threshold.TALK_PASSAGE_SECONDS.whole()));
    int second = session.secondOf(passage);
    int voice = rated.voice().getAsInt();
    Optional<LiveEvent.Counted> counted = counted(session, passage);
    boolean byCount = session.source() == RateSource.COUNT && counted.isPresent();
    OptionalInt sampled =
        session
            .trace()
            .median(second - RATE_SECONDS + 1, second, Threshold.TALK_SETTLED_SAMPLES.whole());
    Set<NotUsed> doubts = EnumSet.noneOf(NotUsed.class);
    if (!byCount) {
      if (sampled.isEmpty()) {
        doubts.add(NotUsed.NO_RATE);
      } else {
        doubts.addAll(ofTrace(session, second, sampled.getAsInt()));
      }
    }
    add(doubts, NotUsed.TOO_EARLY, second < MINUTE * Threshold.TALK_AFTER_START.whole());
    add(doubts, NotUsed.STOP_SIGN, session.stopSign().isPresent());
    RateBy by =
        byCount
            ? RateBy.count(counted.get().window())
            : session.source() == RateSource.WRIST ? RateBy.WRIST : RateBy.STRAP;
    int bpm = byCount ? counted.get().bpm() : sampled.orElse(0);
    return new TalkCheck(
        rated.id(),
        session.plan().mode(),
        passage,
        new Said(bpm, by, voice, Hearing.HEARD),
        rpe(session, rated),
        odd,
        doubts,
        Optional.of(new TalkCheck.TakenIn(id, false)),
        "",
        recordedAt);
  }

  private static void add(Set<NotUsed> doubts, NotUsed why, boolean holds) {
    if (holds) {
      doubts.add(why);
    }
  }

  private static Set<NotUsed> ofTrace(LiveSession session, int second, int bpm) {
    Trace trace = session.trace();
    Set<NotUsed> doubts = EnumSet.noneOf(NotUsed.class);
    add(doubts, NotUsed.NOT_STEADY, !steady(trace, second));
    boolean lost = false;
    int signal = Threshold.TALK_AFTER_SIGNAL.whole();
    for (int at = Math.max(1, second - signal + 1); at <= second; at++) {
      lost |= trace.value(at).isEmpty();
    }
    add(doubts, NotUsed.SOURCE_IN_DOUBT, lost || session.doubtedAt(second));
    session
        .plan()
        .mover()
        .reserve()
        .ifPresent(
            span -> {
              int hard = span.rateAt(Threshold.HARD_WORK.whole());
              boolean after = false;
              int from = second - MINUTE * Threshold.TALK_AFTER_HARD.whole();
              for (int at = Math.max(1, from); at <= second; at++) {
                after |= trace.smoothed(at).orElse(0) > hard;
              }
              // While it is hard is not after it.
              add(doubts, NotUsed.AFTER_HARD_WORK, after && bpm <= hard);
            });
    return doubts;
  }

  private static boolean steady(Trace trace, int second) {
    int low = Integer.MAX_VALUE;
    int high = 0;
    int from = second - Threshold.TALK_STEADY_SECONDS.whole() + 1;
    for (int at = Math.max(1, from); at <= second; at++) {
      OptionalInt bpm = trace.smoothed(at);
      if (bpm.isPresent()) {
        low = Math.min(low, bpm.getAsInt());
        high = Math.max(high, bpm.getAsInt());
      }
    }
    return high - low <= Threshold.TALK_STEADY_WITHIN.whole();
  }

  private static Optional<LiveEvent.Counted> counted(LiveSession session, Instant passage) {
    return session.events().stream()
        .filter(LiveEvent.Counted.class::isInstance)
        .map(LiveEvent.Counted.class::cast)
        .filter(each -> each.window().seconds() > 6)
        .filter(each -> !each.at().isBefore(passage))
        .filter(each -> !each.at().isAfter(passage.plus(COUNTED_AFTER)))
        .findFirst();
  }

  private static Optional<Integer> rpe(LiveSession session, LiveEvent.Rated rated) {
    return session.events().stream()
        .filter(LiveEvent.Rated.class::isInstance)
        .map(LiveEvent.Rated.class::cast)
        .filter(each -> each.rpe20().isPresent())
        .filter(each -> Duration.between(each.at(), rated.at()).abs().compareTo(WITH_IT) <= 0)
        .min(
            (one, other) ->
                Duration.between(one.at(), rated.at())
                    .abs()
                    .compareTo(Duration.between(other.at(), rated.at()).abs()))
        .map(each -> each.rpe20().getAsInt());
  }
}
