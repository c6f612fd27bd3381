package app.korvel.studio.checkin;

import app.korvel.core.checkin.CheckInContext;
import app.korvel.core.checkin.ClassCheck;
import app.korvel.core.pulse.BackToRest;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Entry;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.studio.ClientHead;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Somebody of a class that counts together, as far as they have been counted.
 *
 * @param first what was counted with the room
 * @param again the second count, of a first odd value
 * @param check what it comes to before a session
 * @param back what it comes to after one
 * @param checkedIn today's check-in, if there was one
 */
public record Counted(
    ClientHead head,
    Optional<PulseCount> first,
    Optional<PulseCount> again,
    Optional<ClassCheck> check,
    Optional<BackToRest> back,
    Optional<SavedCheckIn> checkedIn) {

  /**
   * As the entries say.
   *
   * @param countedAt when the first number of the class was entered, which was counted just before
   */
  static Counted of(
      SavedClassCount saved,
      ClientHead head,
      List<Entry> entries,
      Optional<SavedCheckIn> today,
      Instant countedAt) {
    Optional<PulseCount> first = count(entries, head, false);
    Optional<PulseCount> again = count(entries, head, true);
    Optional<PulseCount> latest = again.or(() -> first);
    boolean before = saved.moment() == Moment.BEFORE;
    return new Counted(
        head,
        first,
        again,
        latest
            .filter(count -> before)
            .map(
                count ->
                    ClassCheck.of(
                        count,
                        saved.posture(),
                        saved.settled(),
                        again.isPresent(),
                        CheckInContext.of(head.screening().date(), head.screening(), head.usual()),
                        today.map(SavedCheckIn::outcome))),
        latest
            .filter(count -> !before)
            .map(count -> BackToRest.of(count.bpm(), usual(head), minutesSince(saved, countedAt))),
        today);
  }

  private static Optional<PulseCount> count(List<Entry> entries, ClientHead head, boolean again) {
    return entries.stream()
        .filter(entry -> entry.clientId().equals(head.client().id()) && entry.again() == again)
        .map(Entry::count)
        .findFirst();
  }

  private static OptionalInt usual(ClientHead head) {
    return head.usual().stream().mapToInt(UsualPulse::bpm).findFirst();
  }

  private static long minutesSince(SavedClassCount saved, Instant countedAt) {
    Instant stopped = saved.stoppedAt().orElseThrow();
    return Math.max(0, Duration.between(stopped, countedAt).toMinutes());
  }

  /** Whether nothing speaks against checking them in as they are. */
  public boolean readyToCheckIn() {
    return check.filter(ClassCheck::nothingAgainst).isPresent()
        && checkedIn.isEmpty()
        && !head.client().archived();
  }
}
