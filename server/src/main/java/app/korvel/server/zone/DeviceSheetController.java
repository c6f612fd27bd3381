package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.prescription.Renewal;
import app.korvel.core.prescription.Standing;
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
    Groundwork ground = studio.head(client.id()).ground(mode);
    if (!ground.screening().stops().isEmpty()) {
      throw RefusedException.because(ground.screening().stops());
    }
    Reserve reserve = ground.reserveOrRefuse();
    InHand hand = new ClientAnchors(studio).inHand(id, ground, Optional.ofNullable(scheme));
    Zones zones = Zones.of(hand.scheme(), hand.anchors(), ground.uncertainty(), ground.capBpm());
    int ceiling =
        ground.permission().vigorous()
            ? reserve.maximumBpm()
            : reserve.rateAt(Permission.CEILING_PERCENT);
    List<Finding> findings = new ArrayList<>();
    hand.finding().ifPresent(findings::add);
    ground
        .screening()
        .cap()
        .ifPresent(
            each -> findings.add(PrescriptionFinding.CAP_IN_FORCE.of(each.bpm(), each.because())));
    if (!ground.permission().vigorous()) {
      findings.addAll(ground.permission().findings());
    }
    findings.addAll(ground.screening().cautions());
    return new DeviceSheet(
        client.details().name(),
        studio.today(),
        mode,
        hand.scheme().id(),
        hand.scheme().name(),
        reserve.restingBpm(),
        MaximumInUse.of(ground.maximum().orElseThrow()),
        ground.screening().cap().map(Cap::bpm).orElse(null),
        zones.bands().stream()
            .filter(band -> band.place() == Zones.Place.WITHIN)
            .map(band -> device(band, ceiling))
            .toList(),
        alarm(client, ground, mode).orElse(null),
        Renewal.ofRates(ground, client.nextBirthday(studio.today())).on(),
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
  private Optional<List<Integer>> alarm(Client client, Groundwork ground, Mode mode) {
    return studio.store().prescriptions().of(client.id()).stream()
        .findFirst()
        .filter(saved -> saved.prescription().parts().mode() == mode)
        .filter(saved -> holds(saved, ground))
        .flatMap(saved -> saved.prescription().target())
        .map(DeviceSheetController::edges);
  }

  private static boolean holds(SavedPrescription saved, Groundwork ground) {
    Prescription made = saved.prescription();
    return Standing.of(made, saved.recordedAt(), ground.screening()).state()
        == Standing.State.ISSUED;
  }

  private static List<Integer> edges(Target target) {
    return List.of(target.lowBpm(), target.highBpm());
  }
}
