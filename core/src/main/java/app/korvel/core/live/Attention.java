package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.live.LiveSession.PromptDue;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.StopSign;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What somebody in a room needs of whoever leads it.
 *
 * @param what the most urgent of it
 * @param sinceSecond since which second of their session
 * @param seen whether it was marked as seen, and is to come back later
 */
public record Attention(What what, int sinceSecond, boolean seen) {

  /** What it can be, the most urgent first. */
  public enum What {
    STOP("Stopped"),
    OVER_CAP("Over the cap"),
    OVER_MAXIMUM("Over the maximum: ask"),
    EASE_OFF("Ease off"),
    NO_SIGNAL("No signal"),
    IN_DOUBT("Whose strap?"),
    RATING_DUE("Rating due"),
    PICK_UP("Pick up"),
    HOLD("Hold");

    private final String words;

    What(String words) {
      this.words = words;
    }

    /** In words, as it is shown. */
    public String words() {
      return words;
    }

    /** Whether it leaves the top for a while when it is marked as seen. */
    public boolean canBeSeen() {
      return this != STOP && this != OVER_CAP;
    }
  }

  /** Somebody in a queue. */
  public record Queued(UUID session, Attention attention) {}

  /**
   * What somebody needs now; empty where they have not begun, or are done.
   *
   * @param asked whether it is asked if their strap was swapped with another's
   */
  public static Optional<Attention> of(LiveSession session, boolean asked) {
    Phase phase = session.phase();
    if (phase == Phase.ENDED) {
      return session
          .stopSign()
          .filter(StopSign::symptom)
          .map(sign -> new Attention(What.STOP, session.trace().seconds(), false));
    }
    if (phase == Phase.READY) {
      return Optional.empty();
    }
    What what = what(session, asked);
    int since = since(session, what);
    return Optional.of(new Attention(what, since, what.canBeSeen() && seen(session, since)));
  }

  private static What what(LiveSession session, boolean asked) {
    Cues.Standing standing = session.cues().standing();
    Optional<Cues.Given> cue = standing.cue();
    Optional<Cues.Kind> kind = cue.map(Cues.Given::kind);
    if (standing.stopped()) {
      return What.STOP;
    }
    boolean easeOff = kind.filter(Cues.Kind.EASE_OFF::equals).isPresent();
    if (easeOff && cue.get().overCap()) {
      return What.OVER_CAP;
    }
    if (overMaximumSince(session) > 0) {
      return What.OVER_MAXIMUM;
    }
    if (easeOff) {
      return What.EASE_OFF;
    }
    boolean ask = kind.filter(Cues.Kind.ASK::equals).isPresent();
    if (session.source() != RateSource.COUNT
        && session.phase() == Phase.RUNNING
        && standing.secondsWithoutSignal() >= Threshold.QUEUE_NO_SIGNAL.whole()) {
      return What.NO_SIGNAL;
    }
    if (session.inDoubt() || asked) {
      return What.IN_DOUBT;
    }
    if (ask || !session.prompts().isEmpty()) {
      return What.RATING_DUE;
    }
    return kind.filter(Cues.Kind.PICK_UP::equals).isPresent() ? What.PICK_UP : What.HOLD;
  }

  /** Since when: a cue that was given again has stood since it was given first. */
  private static int since(LiveSession session, What what) {
    int now = session.trace().seconds();
    return switch (what) {
      case NO_SIGNAL -> now - session.cues().standing().secondsWithoutSignal();
      case RATING_DUE ->
          session.prompts().stream()
              .map(PromptDue::since)
              .max(Comparator.naturalOrder())
              .map(Duration::toSeconds)
              .map(due -> now - due.intValue())
              .orElseGet(() -> cueSince(session));
      case IN_DOUBT -> doubtedSince(session);
      case OVER_MAXIMUM -> overMaximumSince(session);
      default -> cueSince(session);
    };
  }

  private static int cueSince(LiveSession session) {
    Optional<Cues.Given> stands = session.cues().standing().cue();
    if (stands.isEmpty()) {
      return 0;
    }
    int since = stands.get().second();
    List<Cues.Given> given = session.cues().given();
    for (int n = given.size() - 1; n >= 0; n--) {
      if (given.get(n).kind() != stands.get().kind()) {
        break;
      }
      since = given.get(n).second();
    }
    return since;
  }

  /** The second since which the rate has been over the maximum, long enough to ask; else 0. */
  private static int overMaximumSince(LiveSession session) {
    if (session.plan().mover().reserve().isEmpty()) {
      return 0;
    }
    int from = session.plan().mover().reserve().get().maximumBpm() + Threshold.MAXIMUM_OVER.whole();
    int now = session.trace().seconds();
    int second = now;
    while (second > 0 && session.trace().smoothed(second).orElse(0) >= from) {
      second--;
    }
    return now - second >= Threshold.VOTE_SETTLED.whole() ? second + 1 : 0;
  }

  private static int doubtedSince(LiveSession session) {
    return session.events().stream()
        .filter(
            event ->
                event instanceof LiveEvent.StrapGiven || event instanceof LiveEvent.StrapDoubted)
        .map(event -> second(session, event))
        .reduce((before, after) -> after)
        .orElse(0);
  }

  private static int second(LiveSession session, LiveEvent event) {
    return (int) Duration.between(session.begunAt().orElseThrow(), event.at()).toSeconds();
  }

  /** Only what was there when it was marked is seen. */
  private static boolean seen(LiveSession session, int since) {
    int now = session.trace().seconds();
    return session.events().stream()
        .filter(LiveEvent.Seen.class::isInstance)
        .map(event -> second(session, event))
        .anyMatch(at -> at >= since && now - at < Threshold.SEEN_FOR.whole());
  }

  /** Who needs somebody, in the order of the rules; what was seen after the rest, hold last. */
  public static List<Queued> inOrder(List<Queued> room) {
    return room.stream()
        .sorted(
            Comparator.<Queued>comparingInt(each -> each.attention.place())
                .thenComparing(each -> each.attention.what)
                .thenComparingInt(each -> each.attention.sinceSecond))
        .toList();
  }

  private int place() {
    return what == What.HOLD ? 2 : seen ? 1 : 0;
  }
}
