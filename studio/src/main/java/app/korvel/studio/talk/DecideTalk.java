package app.korvel.studio.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.LearnedThresholds.Side;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkAct.Kind;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.Which;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * Decides about learned talk rates: nothing of them is ever used, refused, left out or begun anew
 * by itself.
 */
public record DecideTalk(Studio studio) {

  /**
   * Accepts or refuses a rate that is offered.
   *
   * @param seenBpm the rate that was offered when it was looked at
   * @param reason why; needed for a refusal
   * @throws InvalidValueException when that rate is not offered any more, or the reason is missing
   */
  public TalkAct offer(
      Actor who, UUID client, Mode mode, Which which, int seenBpm, boolean accept, String reason) {
    return studio.write(
        who,
        () -> {
          Side side = learned(client, mode).side(which);
          Frozen offer =
              side.offer()
                  .filter(each -> each.bpm() == seenBpm)
                  .orElseThrow(
                      () ->
                          InvalidValueException.of(
                              "bpm",
                              seenBpm + " is not offered",
                              side.offer()
                                  .map(each -> each.bpm() + " bpm, which is")
                                  .orElse("a rate that is offered; now none is")));
          return add(
              client,
              Optional.of(mode),
              accept ? Kind.ACCEPTED : Kind.REFUSED,
              Optional.of(offer),
              Optional.empty(),
              Optional.empty(),
              reason);
        });
  }

  /**
   * Takes a check out, or puts it back.
   *
   * @throws NotFoundException when the client has no such check
   */
  public TalkAct check(Actor who, UUID client, UUID check, boolean out, String reason) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          Mode mode =
              studio
                  .store()
                  .talk()
                  .check(client, check)
                  .map(TalkCheck::mode)
                  .orElseThrow(
                      () -> NotFoundException.of("This client has no talk check %s.", check));
          return add(
              client,
              Optional.of(mode),
              out ? Kind.TAKEN_OUT : Kind.PUT_BACK,
              Optional.empty(),
              Optional.of(check),
              Optional.empty(),
              reason);
        });
  }

  /**
   * Starts anew from a day: earlier checks stay on record, unused.
   *
   * @throws InvalidValueException for a day to come
   */
  public TalkAct reset(Actor who, UUID client, Mode mode, LocalDate from, String reason) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          if (from.isAfter(studio.today())) {
            throw InvalidValueException.of("from", "lies in the future", "today or before");
          }
          return add(
              client,
              Optional.of(mode),
              Kind.RESET,
              Optional.empty(),
              Optional.empty(),
              Optional.of(from),
              reason);
        });
  }

  /** Switches learning on or off for a client, in every mode. */
  public TalkAct learning(Actor who, UUID client, boolean on, String reason) {
    return studio.write(
        who,
        () -> {
          studio.open(client);
          return add(
              client,
              Optional.empty(),
              on ? Kind.SWITCHED_ON : Kind.SWITCHED_OFF,
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              reason);
        });
  }

  /**
   * Switches learning on or off for everyone.
   *
   * @param read the version of the studio's settings that was read
   * @throws app.korvel.store.StaleVersionException when something else was chosen since
   */
  public void learning(Actor who, int read, boolean on) {
    studio.write(who, () -> studio.store().studio().change(read, now -> now.learning(on)));
    studio.settings().reload();
    studio.heads().forget();
  }

  private LearnedThresholds learned(UUID client, Mode mode) {
    return studio
        .openHead(client)
        .learned(mode)
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "mode", "has no resting and maximum rate", "a mode in which both are known"));
  }

  private TalkAct add(
      UUID client,
      Optional<Mode> mode,
      Kind kind,
      Optional<Frozen> frozen,
      Optional<UUID> check,
      Optional<LocalDate> from,
      String reason) {
    Stamp stamp = studio.stamp();
    TalkAct act =
        new TalkAct(stamp.id(), mode, kind, frozen, check, from, reason.strip(), stamp.at())
            .checked();
    studio.store().talk().add(client, act);
    return act;
  }
}
