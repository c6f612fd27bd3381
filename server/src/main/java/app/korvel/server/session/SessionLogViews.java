package app.korvel.server.session;

import app.korvel.core.maximum.Mode;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.studio.ClientHead;
import app.korvel.studio.programme.Programmes;
import app.korvel.studio.session.LogSessions;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Logs of sessions as they are received and sent. */
public final class SessionLogViews {
  private SessionLogViews() {}

  /**
   * What is logged of a session.
   *
   * @param number of the planned session; null for one that was not planned
   * @param mode null for that of the planned session, or of the prescription
   * @param minutes of work; null for as many as were asked for
   * @param rateKind null for a counted one
   * @param rpe on 6–20
   * @param voice what the voice could do, as its level
   */
  record SessionLogRequest(
      UUID clientId,
      @Nullable Integer number,
      LocalDate on,
      @Nullable Mode mode,
      Boolean done,
      @Nullable Integer minutes,
      @Nullable Integer bpm,
      LoggedRate.@Nullable Kind rateKind,
      @Nullable Integer rpe,
      @Nullable Level voice,
      @Nullable List<StopSign> warnings,
      @Nullable String note) {
    LogSessions.Done entry() {
      return new LogSessions.Done(
          clientId,
          Optional.ofNullable(number),
          on,
          Optional.ofNullable(mode),
          done,
          Optional.ofNullable(minutes),
          Optional.ofNullable(bpm)
              .map(
                  rate ->
                      new LoggedRate(rate, rateKind == null ? LoggedRate.Kind.COUNTED : rateKind)),
          Optional.ofNullable(rpe),
          Optional.ofNullable(voice),
          warnings == null ? Set.of() : Set.copyOf(warnings),
          note == null ? "" : note,
          Optional.empty());
    }
  }

  record SessionLogsRequest(List<SessionLogRequest> logs) {}

  /**
   * A log as it stands.
   *
   * @param level 1 to 5, at which its minutes count
   * @param symptoms whether a doctor has to clear something up first
   * @param words all of it in a few words
   */
  public record SessionLogView(
      UUID id,
      UUID clientId,
      String clientName,
      @Nullable Integer number,
      LocalDate on,
      Mode mode,
      boolean done,
      int minutes,
      @Nullable Integer bpm,
      LoggedRate.@Nullable Kind rateKind,
      @Nullable Integer rpe,
      @Nullable Level voice,
      List<StopSign> warnings,
      String note,
      int level,
      boolean symptoms,
      String words,
      Instant recordedAt) {

    public static SessionLogView of(Client client, SessionLog log) {
      return new SessionLogView(
          log.id(),
          client.id(),
          client.details().name(),
          log.number().orElse(null),
          log.on(),
          log.mode(),
          log.done(),
          log.minutes(),
          log.rate().map(LoggedRate::bpm).orElse(null),
          log.rate().map(LoggedRate::kind).orElse(null),
          log.rpe20().orElse(null),
          log.voice().orElse(null),
          List.copyOf(log.warnings()),
          log.note(),
          log.level().number(),
          log.symptoms(),
          log.words(),
          log.recordedAt());
    }
  }

  /**
   * A session that was to be done, and nothing is logged of.
   *
   * @param wholeMinutes with warm-up and cool-down
   * @param aim how it was to feel, and by which rate
   */
  record OpenSession(
      UUID clientId,
      String name,
      int number,
      LocalDate on,
      @Nullable LocalTime time,
      Mode mode,
      int minutes,
      int wholeMinutes,
      StepAim aim) {
    static OpenSession of(ClientHead head, SavedSession session, StepAim aim) {
      return new OpenSession(
          head.client().id(),
          head.client().details().name(),
          session.number(),
          session.on(),
          session.at().orElse(null),
          session.mode(),
          session.minutes(),
          session.wholeMinutes(),
          aim);
    }
  }

  /** A stop sign there is to choose. */
  record StopSignView(StopSign id, String words, boolean symptom) {
    static List<StopSignView> all() {
      return Arrays.stream(StopSign.values())
          .map(sign -> new StopSignView(sign, sign.words(), sign.symptom()))
          .toList();
    }
  }

  /**
   * What is to be logged.
   *
   * @param sessions of the last two weeks, the latest day first
   * @param latest what was logged last, the latest first
   * @param warnings the stop signs there are
   */
  record ToLog(
      LocalDate today,
      List<OpenSession> sessions,
      List<SessionLogView> latest,
      List<StopSignView> warnings) {
    private static final int LATEST = 30;

    static ToLog of(
        LocalDate today,
        List<ClientHead> heads,
        List<SavedSession> open,
        List<Logged> logged,
        Programmes programmes) {
      Map<UUID, ClientHead> present = new HashMap<>();
      heads.forEach(head -> present.put(head.client().id(), head));
      Map<Alike, StepAim> aims = new HashMap<>();
      return new ToLog(
          today,
          open.stream()
              .filter(session -> present.containsKey(session.clientId()))
              .map(
                  session -> {
                    ClientHead head = present.get(session.clientId());
                    Alike alike = new Alike(session.clientId(), session.mode(), session.range());
                    return OpenSession.of(
                        head,
                        session,
                        aims.computeIfAbsent(
                            alike,
                            same ->
                                StepAim.of(programmes.runner(head, same.mode).aim(same.range))));
                  })
              .toList(),
          logged.stream()
              .filter(each -> present.containsKey(each.clientId()))
              .sorted(Comparator.comparing((Logged each) -> each.log().recordedAt()).reversed())
              .limit(LATEST)
              .map(each -> SessionLogView.of(present.get(each.clientId()).client(), each.log()))
              .toList(),
          StopSignView.all());
    }

    /** Sessions of someone that ask for the same. */
    private record Alike(UUID clientId, Mode mode, Percents range) {}
  }

  /** Logs, and the stop signs there are to log. */
  record SessionLogList(List<SessionLogView> logs, List<StopSignView> warnings) {
    static SessionLogList of(List<SessionLogView> logs) {
      return new SessionLogList(logs, StopSignView.all());
    }
  }
}
