package app.korvel.server.checkin;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Known;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ClientHead;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.store.CheckInRepository;
import app.korvel.store.Ids;
import app.korvel.store.SavedCheckIn;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Judges and keeps check-ins, for whichever page makes them. */
@Component
public class CheckInDesk {
  private final CheckInRepository checkIns;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  CheckInDesk(CheckInRepository checkIns, ClientRecords records, StudioClock clock, Ids ids) {
    this.checkIns = checkIns;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  /** What a check-in of that client is compared with. */
  public Known known(Client client) {
    ClientHead head = records.head(client.id());
    return Known.of(
        clock.today(),
        head.screening(),
        head.usual(),
        checkIns.weights(client.id(), clock.today().minusDays(Threshold.WEIGHT_GAIN_DAYS.whole())));
  }

  /**
   * Keeps a check-in of today.
   *
   * @param decide the instructor's own decision on the verdict, if there is one
   */
  public SavedCheckIn keep(
      Client client, CheckIn found, Function<Verdict, Optional<Verdict.OwnDecision>> decide) {
    Known known = known(client);
    Verdict verdict = Verdict.of(found, known);
    SavedCheckIn saved =
        new SavedCheckIn(
            ids.next(),
            clock.today(),
            clock.now(),
            found,
            known.usualBpm(found.posture()),
            verdict,
            decide.apply(verdict));
    checkIns.add(client.id(), saved);
    return saved;
  }
}
