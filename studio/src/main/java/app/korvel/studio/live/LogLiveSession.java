package app.korvel.studio.live;

import app.korvel.core.live.LiveSummary;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.zone.Level;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.session.LogSessions;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/** Logs a session on the clock as it was recorded. */
public record LogLiveSession(Studio studio) {
  /**
   * What is added to what was recorded.
   *
   * @param rpe20 of the whole session, if it was asked
   * @param warnings stop signs besides the one at which it was stopped
   */
  public record Entered(OptionalInt rpe20, Collection<StopSign> warnings, String note) {}

  /**
   * Keeps its log.
   *
   * @throws InvalidValueException when it is still going on, or what was entered cannot be
   * @throws RefusedException when it was logged already, or the client is archived
   */
  public Logged by(Actor who, UUID session, Entered entered) {
    return studio.write(
        who,
        () -> {
          LiveNow stands = new LiveSessions(studio).get(session);
          if (stands.session().over().isEmpty()) {
            throw InvalidValueException.of("session", "is still going on", "one that was ended");
          }
          if (stands.log().isPresent()) {
            throw InvalidValueException.of("session", "is logged already", "once; edit its log");
          }
          return new LogSessions(studio).by(who, List.of(done(stands, entered))).get(0);
        });
  }

  /** The log that follows from a session; nothing is kept. */
  private LogSessions.Done done(LiveNow stands, Entered entered) {
    Opened opened = stands.opened();
    LiveSummary summary = LiveSummary.of(stands.session());
    boolean trained = summary.workMinutes() > 0;
    Set<StopSign> warnings = EnumSet.noneOf(StopSign.class);
    warnings.addAll(entered.warnings);
    stands.session().stopSign().ifPresent(warnings::add);
    return new LogSessions.Done(
        opened.clientId(),
        opened.number(),
        LocalDate.ofInstant(stands.session().begunAt().orElse(opened.openedAt()), studio.zone()),
        Optional.of(opened.plan().mode()),
        trained && summary.done(),
        Optional.of(summary.workMinutes()),
        trained ? rate(stands, summary) : Optional.empty(),
        trained ? boxed(entered.rpe20) : Optional.empty(),
        trained
            ? boxed(summary.voice()).map(number -> Level.values()[number - 1])
            : Optional.empty(),
        warnings,
        entered.note,
        Optional.of(opened.id()));
  }

  /** The rate that a log of a session has, by its recording; else the last that was counted. */
  public static Optional<LoggedRate> rate(LiveNow stands, LiveSummary summary) {
    List<Integer> seconds =
        summary
            .secondsByLevel(stands.session())
            .map(each -> Arrays.stream(each).boxed().toList())
            .orElse(List.of());
    return boxed(summary.averageBpm())
        .map(bpm -> new LoggedRate(bpm, LoggedRate.Kind.AVERAGE, seconds))
        .or(
            () ->
                boxed(summary.counted()).map(bpm -> new LoggedRate(bpm, LoggedRate.Kind.COUNTED)));
  }

  private static Optional<Integer> boxed(OptionalInt value) {
    return value.isPresent() ? Optional.of(value.getAsInt()) : Optional.empty();
  }
}
