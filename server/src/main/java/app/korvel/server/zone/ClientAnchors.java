package app.korvel.server.zone;

import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.WorkingThresholds;
import app.korvel.store.ThresholdRepository;
import org.springframework.stereotype.Component;

/** The rates that a client's bands are counted from. */
@Component
class ClientAnchors {
  private final ThresholdRepository thresholds;

  ClientAnchors(ThresholdRepository thresholds) {
    this.thresholds = thresholds;
  }

  /**
   * The thresholds in use today, in the mode of that groundwork.
   *
   * @param span rest and maximum in that mode
   */
  WorkingThresholds thresholds(Client client, Groundwork ground, Reserve span) {
    return WorkingThresholds.of(
        thresholds.of(client.id()),
        ground.maximumRecord().estimates().mode(),
        ground.screening().medicinesChangedAt(),
        span);
  }

  /**
   * All of them, for that scheme.
   *
   * @throws RefusedException when the scheme counts from thresholds and none are in use; when there
   *     is no span, see {@link Groundwork#reserveOrRefuse}
   */
  Anchors of(Client client, Groundwork ground, Scheme scheme) {
    Reserve span = ground.reserveOrRefuse();
    WorkingThresholds working = thresholds(client, ground, span);
    if (scheme.basis().needsThresholds()) {
      working
          .finding()
          .ifPresent(
              why -> {
                throw RefusedException.because(why);
              });
    }
    return Anchors.of(span, working.rates());
  }
}
