package app.korvel.store;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.checkin.Verdict;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * A check-in as it was kept.
 *
 * @param id UUIDv7
 * @param on the studio's day
 * @param recordedAt when it was kept
 * @param checkIn what was found
 * @param usualBpm what the pulse was compared with
 * @param verdict what it came to by the rules of that day
 * @param decided what the instructor decided otherwise, if they did
 */
public record SavedCheckIn(
    UUID id,
    LocalDate on,
    Instant recordedAt,
    CheckIn checkIn,
    OptionalInt usualBpm,
    Verdict verdict,
    Optional<Verdict.OwnDecision> decided) {

  /** What holds: the instructor's decision, else the rules'. */
  public Outcome outcome() {
    return decided.map(Verdict.OwnDecision::outcome).orElse(verdict.outcome());
  }

  /** What holds, in words. */
  public String words() {
    return decided.map(own -> own.outcome().displayName()).orElse(verdict.words());
  }
}
