package app.korvel.core.support;

import app.korvel.core.maximum.Mode;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.PlannedLoad;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Made-up logs for the tests: 20 min at 40 to 50 % were asked for, effort 12 to 13. */
public final class Logs {
  private Logs() {}

  public static final LocalDate TODAY = LocalDate.of(2026, 6, 30);
  public static final PlannedLoad ASKED =
      new PlannedLoad(
          new Percents(40, 50), 20, new RpeSpan(12, 13), Optional.of(Reserve.of(64, 176)));
  private static final Instant NOW = TODAY.atTime(20, 0).toInstant(ZoneOffset.UTC);

  private static SessionLog log(
      Optional<Integer> number,
      LocalDate on,
      int minutes,
      Integer bpm,
      Integer rpe,
      Level voice,
      Set<StopSign> warnings,
      String note,
      PlannedLoad asked) {
    return new SessionLog(
        new UUID(1, on.toEpochDay()),
        number,
        on,
        Mode.RUN,
        minutes != 0 || rpe != null,
        minutes,
        Optional.ofNullable(bpm).map(rate -> new LoggedRate(rate, LoggedRate.Kind.COUNTED)),
        Optional.ofNullable(rpe),
        Optional.ofNullable(voice),
        warnings,
        note,
        asked,
        NOW);
  }

  public static SessionLog done(LocalDate on, int minutes, int rpe, int bpm) {
    return log(Optional.empty(), on, minutes, bpm, rpe, null, Set.of(), "", ASKED);
  }

  /** One that is judged by its recording: seconds at each level. */
  public static SessionLog recorded(LocalDate on, int minutes, boolean done, Integer... seconds) {
    SessionLog plain = done(on, minutes, 12, 120);
    return new SessionLog(
        plain.id(),
        plain.number(),
        on,
        plain.mode(),
        done,
        minutes,
        Optional.of(new LoggedRate(120, LoggedRate.Kind.AVERAGE, List.of(seconds))),
        plain.rpe20(),
        plain.voice(),
        plain.warnings(),
        "",
        plain.asked(),
        plain.recordedAt());
  }

  /** A planned session, done as asked for. */
  public static SessionLog planned(int number, LocalDate on, int minutes, Integer rpe) {
    return log(Optional.of(number), on, minutes, null, rpe, null, Set.of(), "", ASKED);
  }

  /** A planned session that had its own target of effort. */
  public static SessionLog planned(int number, LocalDate on, int minutes, int rpe, RpeSpan asked) {
    return log(
        Optional.of(number),
        on,
        minutes,
        null,
        rpe,
        null,
        Set.of(),
        "",
        new PlannedLoad(ASKED.range(), minutes, asked, ASKED.reserve()));
  }

  public static SessionLog missed(int number, LocalDate on) {
    return log(Optional.of(number), on, 0, null, null, null, Set.of(), "", ASKED);
  }

  public static SessionLog missed(LocalDate on) {
    return log(Optional.empty(), on, 0, null, null, null, Set.of(), "", ASKED);
  }

  public static SessionLog noted(String note) {
    return log(Optional.empty(), TODAY, 20, null, 12, null, Set.of(), note, ASKED);
  }

  public static SessionLog felt(Integer bpm, Integer rpe, Level voice) {
    return log(Optional.empty(), TODAY, 20, bpm, rpe, voice, Set.of(), "", ASKED);
  }

  public static SessionLog withoutReserve(int bpm, Integer rpe) {
    return log(
        Optional.empty(),
        TODAY,
        20,
        bpm,
        rpe,
        null,
        Set.of(),
        "",
        new PlannedLoad(ASKED.range(), 20, ASKED.rpe20(), Optional.empty()));
  }

  public static SessionLog warned(LocalDate on, StopSign sign) {
    return log(Optional.empty(), on, 20, null, 12, null, Set.of(sign), "", ASKED);
  }
}
