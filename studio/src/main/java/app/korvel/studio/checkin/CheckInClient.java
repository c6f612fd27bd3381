package app.korvel.studio.checkin;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.CheckInContext;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.measure.Threshold;
import app.korvel.store.SavedCheckIn;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/** Checks a client in before a session. */
public record CheckInClient(Studio studio) {
  /**
   * Judges what was found and keeps it as today's check-in.
   *
   * @param decide the instructor's own decision on the verdict, if there is one
   */
  public SavedCheckIn by(
      Actor who,
      UUID client,
      CheckIn found,
      Function<Verdict, Optional<Verdict.OwnDecision>> decide) {
    return studio.write(
        who,
        () -> {
          CheckInContext known = known(studio.openHead(client));
          Verdict verdict = Verdict.of(found, known);
          Stamp stamp = studio.stamp();
          SavedCheckIn saved =
              new SavedCheckIn(
                  stamp.id(),
                  stamp.day(),
                  stamp.at(),
                  found,
                  known.usualBpm(found.posture()),
                  verdict,
                  decide.apply(verdict));
          studio.store().checkIns().add(client, saved);
          return saved;
        });
  }

  /** What a check-in of that client is compared with. */
  public CheckInContext known(ClientHead head) {
    LocalDate today = head.screening().date();
    return CheckInContext.of(
        today,
        head.screening(),
        head.usual(),
        studio
            .store()
            .checkIns()
            .weights(head.client().id(), today.minusDays(Threshold.WEIGHT_GAIN_DAYS.whole())),
        studio.settings().regional().weight());
  }
}
