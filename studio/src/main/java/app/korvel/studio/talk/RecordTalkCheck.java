package app.korvel.studio.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.store.SupersededException;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Puts a talk check on record that was taken by hand, or corrects one. */
public record RecordTalkCheck(Studio studio) {

  /** Of a day that is over the time is not always told. */
  private static final LocalTime SOME_TIME = LocalTime.NOON;

  /**
   * What was entered.
   *
   * @param id given by whoever enters it, so that sending it twice enters it once
   * @param on the day; empty for today
   * @param time when the passage was begun; empty for now, or for some time of another day
   * @param steady whether the pace was held for two minutes before
   * @param odd what made the day unusual, besides what its check-in says
   */
  public record Entered(
      UUID id,
      Mode mode,
      Optional<LocalDate> on,
      Optional<LocalTime> time,
      Said said,
      Optional<Integer> rpe20,
      boolean steady,
      Set<OddDay> odd,
      String note) {}

  /**
   * Puts it on record.
   *
   * @throws InvalidValueException with every fault of what was entered
   */
  public TalkCheck by(Actor who, UUID client, Entered entered) {
    return studio.write(
        who,
        () -> {
          ClientHead head = studio.openHead(client);
          Optional<TalkCheck> known = studio.store().talk().check(client, entered.id);
          if (known.isPresent()) {
            return known.get();
          }
          TalkCheck check = check(head, entered, at(entered), studio.stamp());
          studio.store().talk().add(client, check);
          return check;
        });
  }

  /**
   * Corrects one; one of a session is from then on as it was entered here. Where its day and minute
   * stay, so does its moment.
   *
   * @throws NotFoundException when the client has no such check
   * @throws SupersededException when somebody has corrected it meanwhile
   */
  public TalkCheck correct(Actor who, UUID client, Entered entered) {
    return studio.write(
        who,
        () -> {
          ClientHead head = studio.openHead(client);
          Instant before =
              studio
                  .store()
                  .talk()
                  .check(client, entered.id)
                  .map(TalkCheck::at)
                  .orElseThrow(
                      () -> NotFoundException.of("This client has no talk check %s.", entered.id));
          Instant at = at(entered);
          boolean same = before.truncatedTo(ChronoUnit.MINUTES).equals(at);
          TalkCheck check = check(head, entered, same ? before : at, studio.stamp());
          studio.store().talk().correct(client, studio.nextId(), check);
          return check;
        });
  }

  private Instant at(Entered entered) {
    LocalDate today = studio.today();
    LocalDate on = entered.on.orElse(today);
    return on.equals(today) && entered.time.isEmpty()
        ? studio.now()
        : on.atTime(entered.time.orElse(SOME_TIME)).atZone(studio.zone()).toInstant();
  }

  private TalkCheck check(ClientHead head, Entered entered, Instant at, Stamp stamp) {
    LocalDate day = LocalDate.ofInstant(at, studio.zone());
    Circumstances of = Circumstances.of(studio, head.client().id(), head.screening().person(), day);
    Set<OddDay> odd = EnumSet.noneOf(OddDay.class);
    odd.addAll(entered.odd);
    odd.addAll(of.odd());
    Set<NotUsed> doubts = EnumSet.noneOf(NotUsed.class);
    doubts.addAll(of.doubts());
    if (!entered.steady) {
      doubts.add(NotUsed.NOT_STEADY);
    }
    return new TalkCheck(
            entered.id,
            entered.mode,
            at,
            entered.said,
            entered.rpe20,
            odd,
            doubts,
            Optional.empty(),
            entered.note.strip(),
            stamp.at())
        .checked(studio.zone());
  }
}
