package app.korvel.studio.talk;

import app.korvel.core.live.LiveSession;
import app.korvel.core.live.TalkTaken;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.TalkCheck;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Keeps the talk checks of a session that is over. Kept again after something came in late, each is
 * corrected where it changed, and one whose rating was undone is withdrawn; one that was corrected
 * by hand stays as it is.
 */
public record KeepTalkChecks(Studio studio) {
  /** A passage may have begun a moment before its session was opened. */
  private static final Duration BEFORE = Duration.ofMinutes(5);

  /** Keeps them, within the unit of work of a task. */
  public void of(Opened opened, LiveSession session) {
    ClientHead head = studio.head(opened.clientId());
    Instant begun = session.begunAt().orElse(opened.openedAt());
    Set<OddDay> odd =
        Circumstances.of(
                studio,
                opened.clientId(),
                head.screening().person(),
                LocalDate.ofInstant(begun, studio.zone()))
            .odd();
    Map<UUID, TalkCheck> before =
        studio.store().talk().checks(opened.clientId(), opened.openedAt().minus(BEFORE)).stream()
            .collect(Collectors.toMap(TalkCheck::id, Function.identity()));
    Set<UUID> gone =
        before.values().stream()
            .filter(
                check ->
                    check
                        .in()
                        .filter(new TalkCheck.TakenIn(opened.id(), false)::equals)
                        .isPresent())
            .map(TalkCheck::id)
            .collect(Collectors.toCollection(HashSet::new));
    for (TalkCheck check : TalkTaken.of(session, opened.id(), odd, studio.now())) {
      gone.remove(check.id());
      TalkCheck known = before.get(check.id());
      if (known == null) {
        studio.store().talk().add(opened.clientId(), check);
      } else if (known.in().isPresent() && !same(known, check)) {
        studio.store().talk().correct(opened.clientId(), studio.nextId(), check);
      }
    }
    gone.forEach(
        id -> studio.store().talk().withdraw(opened.clientId(), id, studio.nextId(), studio.now()));
  }

  private static boolean same(TalkCheck known, TalkCheck check) {
    return known.at().equals(check.at())
        && known.said().equals(check.said())
        && known.rpe20().equals(check.rpe20())
        && known.doubts().equals(check.doubts());
  }
}
