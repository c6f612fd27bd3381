package app.korvel.studio.live;

import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LiveEvent.Kind;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.run.Run;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.SessionLog;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.RecordKind;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.talk.KeepTalkChecks;
import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/** Adds what happened in a session on the clock; sent twice, it is entered once. */
public record RecordLiveEvent(Studio studio) {
  /** What may happen before the clock has started. */
  private static final Set<Kind> BEFORE_IT_BEGINS =
      EnumSet.of(
          Kind.SOURCE_CHANGED,
          Kind.STRAP_GIVEN,
          Kind.STRAP_DOUBTED,
          Kind.STRAPS_SWAPPED,
          Kind.ENDED);

  /**
   * Adds an event. A stop sign that is a symptom is logged at once, so that it suspends as one that
   * was logged by hand does; undone, that log is withdrawn.
   *
   * @throws NotFoundException when there is no such session
   * @throws InvalidValueException when it cannot have happened as the session stands
   */
  public LiveNow by(Actor who, UUID session, LiveEvent event) {
    return studio.write(
        who,
        () -> {
          LiveSessions sessions = new LiveSessions(studio);
          Opened opened = sessions.opened(session);
          boolean known =
              studio.store().live().events(session).stream()
                  .anyMatch(each -> each.id().equals(event.id()));
          if (!known) {
            LiveEvent entered = new HandOutStraps(studio).judged(opened, event);
            check(opened, entered);
            studio.store().live().add(session, entered, studio.now());
            follow(who, opened, entered);
            new HandOutStraps(studio).follow(opened, entered);
          }
          LiveNow stands = sessions.get(session);
          if (!known && stands.session().phase() == Phase.ENDED) {
            new KeepTalkChecks(studio).of(opened, stands.session());
          }
          return stands;
        });
  }

  /** As the session stood when it happened: what was handed in late was not too late. */
  private void check(Opened opened, LiveEvent event) {
    LiveSessions sessions = new LiveSessions(studio);
    checkRecordedHere(opened);
    Run.checkNotAhead(event.at(), sessions.now(opened));
    if (event.at().isBefore(opened.openedAt())) {
      throw InvalidValueException.of(
          "at", "lies before the session", "a moment from when it was opened");
    }
    LiveNow stands = sessions.now(opened, event.at());
    Phase phase = stands.session().phase();
    if (event instanceof LiveEvent.Withdrawn undone) {
      checkUndo(stands, undone);
    } else if (phase == Phase.ENDED) {
      throw InvalidValueException.of("kind", "the session is over", "nothing more, or an undo");
    } else if (event instanceof LiveEvent.Begun) {
      if (phase != Phase.READY) {
        throw InvalidValueException.of("kind", "it has begun already", "once in a session");
      }
    } else if (phase == Phase.READY && !BEFORE_IT_BEGINS.contains(event.kind())) {
      throw InvalidValueException.of("kind", "it has not begun", "after it has begun");
    }
  }

  /** What was brought in is whole: it is withdrawn, and not added to. */
  static void checkRecordedHere(Opened opened) {
    if (opened.broughtIn()) {
      throw InvalidValueException.of(
          "session", "was brought in whole", "a session that is recorded here");
    }
  }

  private void checkUndo(LiveNow stands, LiveEvent.Withdrawn undone) {
    Optional<LiveEvent> of =
        stands.session().events().stream()
            .filter(each -> each.id().equals(undone.of()))
            .findFirst();
    if (of.isEmpty()) {
      throw InvalidValueException.of(
          "of", "no such event stands", "an event of this session that was not undone");
    }
    boolean logsItself = of.get() instanceof LiveEvent.Stopped stop && stop.sign().symptom();
    if (of.get().ends() && stands.log().isPresent() && !logsItself) {
      throw InvalidValueException.of(
          "of", "the session is logged", "another event; or delete the log first");
    }
  }

  /** What follows of an event besides where the session stands. */
  private void follow(Actor who, Opened opened, LiveEvent event) {
    if (event.ends()) {
      studio.store().live().setOpen(opened.id(), false);
      if (event instanceof LiveEvent.Stopped stopped && stopped.sign().symptom()) {
        logStop(who, opened, stopped.sign());
      }
    } else if (event instanceof LiveEvent.Withdrawn undone) {
      boolean ended =
          studio.store().live().events(opened.id()).stream()
              .anyMatch(each -> each.id().equals(undone.of()) && each.ends());
      if (ended) {
        studio.store().live().setOpen(opened.id(), true);
        studio
            .store()
            .logs()
            .ofLive(opened.id())
            .map(SessionLog::id)
            .ifPresent(log -> withdraw(opened, log));
      }
    }
  }

  /** Logs it with its sign; a log that there was already, of a stop handed in late, gets it too. */
  private void logStop(Actor who, Opened opened, StopSign sign) {
    Optional<SessionLog> before = studio.store().logs().ofLive(opened.id());
    Set<StopSign> signs = EnumSet.of(sign);
    before.ifPresent(
        log -> {
          signs.addAll(log.warnings());
          withdraw(opened, log.id());
        });
    new LogLiveSession(studio)
        .by(
            who,
            opened.id(),
            new LogLiveSession.Entered(
                before.flatMap(SessionLog::rpe20).map(OptionalInt::of).orElse(OptionalInt.empty()),
                signs,
                before.map(SessionLog::note).orElse("")));
  }

  private void withdraw(Opened opened, UUID log) {
    studio
        .store()
        .ledger(RecordKind.SESSION_LOGS)
        .withdraw(opened.clientId(), log, studio.nextId(), studio.now());
  }

  /**
   * Closes every session that nobody ended, at its last sample.
   *
   * @return those that were closed
   */
  public List<UUID> closeLeft(Actor who) {
    LiveSessions sessions = new LiveSessions(studio);
    Duration left = Duration.ofMinutes(Threshold.SESSION_LEFT_OPEN.whole());
    return studio.store().live().openNow().stream()
        .map(Opened::id)
        .filter(
            id -> {
              LiveNow stands = sessions.get(id);
              boolean over = stands.lastAt().plus(left).isBefore(stands.now());
              if (over) {
                by(
                    who,
                    id,
                    new LiveEvent.Ended(
                        studio.nextId(), stands.lastAt(), LiveEvent.Reason.LEFT_OPEN));
              }
              return over;
            })
        .toList();
  }
}
