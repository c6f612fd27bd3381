package app.korvel.studio.session;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.screening.StopSign;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.PlannedLoad;
import app.korvel.core.session.SessionFinding;
import app.korvel.core.session.SessionLog;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Logs sessions as they were done: one, or a class at once. */
public record LogSessions(Studio studio) {
  private static final int LARGEST_CLASS = 200;

  /**
   * What was done.
   *
   * @param number of the planned session; empty where it was none
   * @param mode empty for the one that was planned
   * @param minutes empty for as many as were asked for
   * @param live the recorded session it is of; empty where none was recorded
   */
  public record Done(
      UUID client,
      Optional<Integer> number,
      LocalDate on,
      Optional<Mode> mode,
      boolean done,
      Optional<Integer> minutes,
      Optional<LoggedRate> rate,
      Optional<Integer> rpe20,
      Optional<Level> voice,
      Set<StopSign> warnings,
      String note,
      Optional<UUID> live) {}

  /**
   * Keeps logs, all of them or none.
   *
   * @throws InvalidValueException with every fault of one at once
   * @throws RefusedException when one was logged already, a client is archived, or has no
   *     prescription to log against
   */
  public List<Logged> by(Actor who, List<Done> all) {
    if (all.isEmpty() || all.size() > LARGEST_CLASS) {
      throw InvalidValueException.of(
          "logs", "has " + all.size(), "1 to " + LARGEST_CLASS + " logs");
    }
    checkEachOnce(all);
    return studio.write(
        who,
        () -> {
          List<Logged> logs = new ArrayList<>();
          for (Done each : all) {
            logs.add(
                new Logged(
                    each.client,
                    all.size() == 1 ? logged(each) : logged(logs.size(), each),
                    each.live));
          }
          List<Logged> already = studio.store().logs().add(logs);
          if (!already.isEmpty()) {
            Logged first = already.get(0);
            String name = studio.client(first.clientId()).details().name();
            throw RefusedException.because(
                SessionFinding.SESSION_LOGGED.of(name + ", " + first.log().words()));
          }
          return logs;
        });
  }

  private static void checkEachOnce(List<Done> all) {
    Set<List<Object>> seen = new HashSet<>();
    for (Done each : all) {
      if (each.number.isPresent() && !seen.add(List.of(each.client, each.number.get()))) {
        throw InvalidValueException.of("logs", "names a session twice", "each session once");
      }
    }
  }

  /** The same with the place of each fault in a list. */
  private SessionLog logged(int place, Done done) {
    try {
      return logged(done);
    } catch (InvalidValueException faulty) {
      throw InvalidValueException.of(
          faulty.faults().stream()
              .map(
                  fault ->
                      new Fault(
                          "logs[" + place + "]." + fault.field(),
                          fault.message(),
                          fault.accepted()))
              .toList());
    }
  }

  /** A log of what was done, with what was asked for beside it; nothing is kept. */
  SessionLog logged(Done done) {
    ClientHead head = studio.openHead(done.client);
    Optional<SavedSession> session =
        done.number.map(number -> new Programmes(studio).planned("number", done.client, number));
    Fitt parts =
        head.prescription()
            .orElseThrow(() -> RefusedException.because(PrescriptionFinding.NO_PRESCRIPTION.of()))
            .prescription()
            .parts();
    Mode mode = done.mode.or(() -> session.map(SavedSession::mode)).orElse(parts.mode());
    Percents range = session.map(SavedSession::range).orElse(parts.range());
    ExertionLimits runner = new Programmes(studio).runner(head, mode);
    PlannedLoad asked =
        new PlannedLoad(
            range,
            session.map(SavedSession::minutes).orElse(parts.minutes()),
            runner.aim(range).rpe20(),
            runner.reserve());
    Stamp stamp = studio.stamp();
    return new SessionLog(
            stamp.id(),
            done.number,
            done.on,
            mode,
            done.done,
            done.minutes.orElse(done.done ? asked.minutes() : 0),
            done.rate,
            done.rpe20,
            done.voice,
            done.warnings,
            done.note.strip(),
            asked,
            stamp.at())
        .checked(stamp.zone());
  }
}
