package app.korvel.studio.recording;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.BroughtIn;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.session.SessionLog;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LogLiveSession;
import app.korvel.studio.recording.LookedAt.Chosen;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Keeps a recording that was looked at: whole, with its log, or not at all. */
public record KeepRecording(Studio studio) {
  /**
   * How it is kept.
   *
   * @param chosen what the body did, what read it, and which planned session it is of
   * @param secondOf the session whose second recording it is; empty for one of its own
   * @param rpe20 how hard it felt, if it was asked
   */
  public record Kept(Chosen chosen, Optional<UUID> secondOf, OptionalInt rpe20) {}

  /**
   * Keeps it.
   *
   * @return the session that it is of
   * @throws NotFoundException when there is no such recording to look at
   * @throws InvalidValueException when it was kept already, or looks like a session on record and
   *     it was not said that it is its second recording
   * @throws RefusedException when the client is archived, or the planned session was logged since
   */
  public UUID by(Actor who, UUID id, Kept kept) {
    return studio.write(
        who,
        () -> {
          Brought brought = looked(id);
          studio.open(brought.clientId());
          LookedAt looked = LookedAt.of(studio, brought, kept.chosen);
          if (kept.secondOf.isPresent()) {
            return keepSecond(looked, kept);
          }
          if (!looked.alongside().isEmpty()) {
            throw InvalidValueException.of(
                "secondOf",
                "a session on record starts and lasts as this one does",
                "the id of that session, or discard this recording");
          }
          return keepOwn(who, looked, kept);
        });
  }

  /** The recording of that id, to be looked at. */
  public Brought looked(UUID id) {
    Brought brought =
        studio
            .store()
            .recordings()
            .get(id)
            .orElseThrow(() -> NotFoundException.of("There is no recording %s.", id));
    if (brought.keptAt().isPresent()) {
      throw InvalidValueException.of("recording", "is kept already", "one that is looked at");
    }
    return brought;
  }

  /**
   * Forgets one that was looked at and is not kept.
   *
   * @throws NotFoundException when there is no such recording
   * @throws InvalidValueException when it was kept
   */
  public void discard(UUID id) {
    studio.store().recordings().discard(looked(id).id());
  }

  private UUID keepOwn(Actor who, LookedAt looked, Kept kept) {
    Brought brought = looked.brought();
    boolean chosenPlanned = kept.chosen.planned().filter(number -> number > 0).isPresent();
    if (chosenPlanned && looked.joins().isEmpty()) {
      throw InvalidValueException.of(
          "planned",
          kept.chosen.planned().get() + " is no session of that day to be logged",
          "a planned session of the day in the same activity, or 0 for none");
    }
    if (kept.chosen.planned().isEmpty() && looked.planned().size() > 1) {
      throw InvalidValueException.of(
          "planned",
          "several sessions of that day could be it",
          "the number of one, or 0 for none");
    }
    UUID session = studio.nextId();
    studio
        .store()
        .live()
        .open(
            new Opened(
                session,
                brought.clientId(),
                looked.joins().map(each -> each.number()),
                looked.source(),
                1,
                Optional.empty(),
                brought.recording().startedAt(),
                looked.session().plan(),
                false,
                Optional.of(brought.id()),
                true));
    for (LiveEvent event :
        BroughtIn.events(brought.recording(), looked.session().plan(), LookedAt.ids(brought))) {
      studio.store().live().add(session, event, studio.now());
    }
    studio
        .store()
        .recordings()
        .keep(
            brought.id(),
            session,
            false,
            looked.mode(),
            kept.chosen.source().or(brought::source),
            studio.now());
    if (logged(looked)) {
      new LogLiveSession(studio)
          .by(who, session, new LogLiveSession.Entered(kept.rpe20, List.of(), ""));
    }
    return session;
  }

  /** Whether there is a prescription to log it against, and it lies not too far back. */
  private boolean logged(LookedAt looked) {
    Brought brought = looked.brought();
    LocalDate day = LocalDate.ofInstant(brought.recording().startedAt(), studio.zone());
    return studio.head(brought.clientId()).prescription().isPresent()
        && !day.isBefore(studio.today().minusYears(SessionLog.YEARS_BACK));
  }

  private UUID keepSecond(LookedAt looked, Kept kept) {
    UUID session = kept.secondOf.orElseThrow();
    Brought brought = looked.brought();
    boolean fits = looked.alongside().stream().anyMatch(each -> each.session().equals(session));
    if (!fits) {
      throw InvalidValueException.of(
          "secondOf",
          "no such session starts and lasts as this recording does",
          "a session that looks the same, or none");
    }
    Opened opened = new LiveSessions(studio).opened(session);
    Optional<RateSource> source = kept.chosen.source().or(brought::source);
    studio
        .store()
        .recordings()
        .keep(brought.id(), session, true, opened.plan().mode(), source, studio.now());
    new StrongerRecording(studio).settle(session);
    return session;
  }
}
