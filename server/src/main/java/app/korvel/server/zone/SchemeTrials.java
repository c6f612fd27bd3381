package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.zone.SchemeViews.SchemeTrial;
import app.korvel.server.zone.SchemeViews.SchemeTrialRequest;
import app.korvel.server.zone.SchemeViews.TrialRow;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ClientAnchors;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** A scheme as it is written, tried on several clients. */
record SchemeTrials(Studio studio) {
  /** The span on which a scheme is tried where no client is named. */
  private static final Anchors EXAMPLE =
      Anchors.of(Reserve.of(60, 180), Optional.of(ThresholdRates.of(126, 156)));

  /** A ruler each: more are not looked at together. */
  private static final int MOST_TRIED = 6;

  /** On everyone asked for; on an example where nobody is. */
  SchemeTrial of(SchemeTrialRequest request) {
    Scheme scheme = request.scheme().written().checked("trial");
    if (request.clients().size() > MOST_TRIED) {
      throw InvalidValueException.of(
          "clients",
          "names " + request.clients().size(),
          "up to " + MOST_TRIED + " clients at once");
    }
    if (request.clients().isEmpty()) {
      ZonesView zones = zones(scheme, EXAMPLE, Uncertainty.USUAL, OptionalInt.empty());
      return new SchemeTrial(List.of(new TrialRow(null, "Example", zones, "")));
    }
    return new SchemeTrial(
        request.clients().stream().map(client -> tryOn(scheme, studio.client(client))).toList());
  }

  private TrialRow tryOn(Scheme scheme, Client client) {
    String name = client.details().name();
    try {
      ClientBaseline baseline = studio.head(client.id()).baseline(Mode.RUN);
      Anchors from = new ClientAnchors(studio).of(client.id(), baseline, scheme);
      ZonesView zones = zones(scheme, from, baseline.uncertainty(), baseline.capBpm());
      return new TrialRow(client.id(), name, zones, "");
    } catch (RefusedException refused) {
      return new TrialRow(client.id(), name, null, refused.getMessage());
    }
  }

  private ZonesView zones(Scheme scheme, Anchors from, Uncertainty uncertainty, OptionalInt cap) {
    return ZonesView.of(
        Zones.of(scheme, from, uncertainty, cap), uncertainty, studio.settings().ways().family());
  }
}
