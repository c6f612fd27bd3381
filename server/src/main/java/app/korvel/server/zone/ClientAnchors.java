package app.korvel.server.zone;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.WorkingThresholds;
import app.korvel.store.ThresholdRepository;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The scheme a client's bands are shown in, and the rates they are counted from. */
@Component
class ClientAnchors {
  private final ThresholdRepository thresholds;
  private final SchemeShelf shelf;

  ClientAnchors(ThresholdRepository thresholds, SchemeShelf shelf) {
    this.thresholds = thresholds;
    this.shelf = shelf;
  }

  /**
   * A scheme with all that it counts from.
   *
   * @param finding why it is not the one in use; empty where it is
   */
  record InHand(Scheme scheme, Anchors anchors, Optional<Finding> finding) {}

  /**
   * The scheme that was asked for; else the one in use for the client, or the default where that
   * one counts from thresholds and there are none in this mode.
   *
   * @throws RefusedException when the one asked for counts from thresholds and there are none; when
   *     there is no span, see {@link Groundwork#reserveOrRefuse}
   */
  InHand inHand(Client client, Groundwork ground, @Nullable String asked) {
    Scheme scheme = shelf.of(client, asked);
    Reserve span = ground.reserveOrRefuse();
    WorkingThresholds working = thresholds(client, ground, span);
    Optional<Finding> missing = working.finding().filter(why -> scheme.basis().needsThresholds());
    if (missing.isPresent() && asked != null) {
      throw RefusedException.because(missing.get());
    }
    return new InHand(
        missing.isPresent() ? SchemeShelf.usual() : scheme,
        Anchors.of(span, working.rates()),
        missing);
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
