package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.prescription.PrescriptionValidity;
import app.korvel.core.prescription.Renewal;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.Zones;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.zone.DeviceSheetViews.DeviceBand;
import app.korvel.server.zone.DeviceSheetViews.DeviceSheet;
import app.korvel.store.SavedPrescription;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ClientAnchors;
import app.korvel.studio.zone.ClientAnchors.InHand;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The values a client types into a watch or bike computer of their own. */
@RestController
class DeviceSheetController {
  private final Studio studio;

  DeviceSheetController(Studio studio) {
    this.studio = studio;
  }

  /** Refused, with the reason, for someone who may not be steered by a rate. */
  @GetMapping("/api/clients/{id}/device-sheet")
  DeviceSheet sheet(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable String scheme,
      @RequestParam(defaultValue = "run") Mode mode) {
    Client client = studio.client(id);
    ClientBaseline baseline = studio.head(client.id()).baseline(mode);
    if (!baseline.screening().stops().isEmpty()) {
      throw RefusedException.because(baseline.screening().stops());
    }
    Reserve reserve = baseline.reserveOrRefuse();
    InHand hand = new ClientAnchors(studio).inHand(id, baseline, Optional.ofNullable(scheme));
    Zones zones =
        Zones.of(hand.scheme(), hand.anchors(), baseline.uncertainty(), baseline.capBpm());
    int ceiling =
        baseline.permission().vigorous()
            ? reserve.maximumBpm()
            : reserve.rateAt(Permission.CEILING_PERCENT);
    List<Finding> findings = new ArrayList<>();
    hand.finding().ifPresent(findings::add);
    baseline
        .screening()
        .cap()
        .ifPresent(
            each -> findings.add(PrescriptionFinding.CAP_IN_FORCE.of(each.bpm(), each.because())));
    if (!baseline.permission().vigorous()) {
      findings.addAll(baseline.permission().findings());
    }
    findings.addAll(baseline.screening().cautions());
    return new DeviceSheet(
        client.details().name(),
        studio.today(),
        mode,
        hand.scheme().id(),
        hand.scheme().name(),
        reserve.restingBpm(),
        MaximumInUse.of(baseline.maximum().orElseThrow()),
        baseline.screening().cap().map(Cap::bpm).orElse(null),
        zones.bands().stream()
            .filter(band -> band.place() == Zones.Place.WITHIN)
            .map(band -> device(band, ceiling))
            .toList(),
        alarm(client, baseline, mode).orElse(null),
        Renewal.ofRates(baseline, client.nextBirthday(studio.today())).on(),
        findings,
        StopSigns.NOTICE);
  }

  private static DeviceBand device(Zones.BandRates band, int ceiling) {
    boolean under = band.allowedHighBpm().isPresent();
    return new DeviceBand(
        band.band().name(),
        band.level().number(),
        band.lowBpm(),
        under ? band.allowedHighBpm().getAsInt() : null,
        under && band.lowBpm() < ceiling);
  }

  /** The target in force, where it was made for that mode and its rates hold. */
  private Optional<List<Integer>> alarm(Client client, ClientBaseline baseline, Mode mode) {
    return studio.store().prescriptions().of(client.id()).stream()
        .findFirst()
        .filter(saved -> saved.prescription().parts().mode() == mode)
        .filter(saved -> holds(saved, baseline))
        .flatMap(saved -> saved.prescription().target())
        .map(DeviceSheetController::edges);
  }

  private static boolean holds(SavedPrescription saved, ClientBaseline baseline) {
    Prescription made = saved.prescription();
    return PrescriptionValidity.of(made, saved.recordedAt(), baseline.screening()).state()
        == PrescriptionValidity.State.ISSUED;
  }

  private static List<Integer> edges(Target target) {
    return List.of(target.lowBpm(), target.highBpm());
  }
}
