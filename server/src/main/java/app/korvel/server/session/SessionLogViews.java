package app.korvel.server.session;

import app.korvel.core.maximum.Mode;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.server.outline.OutlineViews.StepAim;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
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
      @Nullable String note) {}

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
      StepAim aim) {}

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
      List<StopSignView> warnings) {}

  /** Logs, and the stop signs there are to log. */
  record SessionLogList(List<SessionLogView> logs, List<StopSignView> warnings) {
    static SessionLogList of(List<SessionLogView> logs) {
      return new SessionLogList(logs, StopSignView.all());
    }
  }

  /** What stands instead: its id undoes it. */
  record KeptLog(UUID id) {}
}
