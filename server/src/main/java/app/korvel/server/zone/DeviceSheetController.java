package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Renewal;
import app.korvel.core.prescription.Standing;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Permission;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.Zones;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.zone.ClientAnchors.InHand;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.SavedPrescription;
import java.time.LocalDate;
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
  private final ClientRecords records;
  private final ClientAnchors anchors;
  private final PrescriptionRepository prescriptions;
  private final StudioClock clock;

  DeviceSheetController(
      ClientRecords records,
      ClientAnchors anchors,
      PrescriptionRepository prescriptions,
      StudioClock clock) {
    this.records = records;
    this.anchors = anchors;
    this.prescriptions = prescriptions;
    this.clock = clock;
  }

  /**
   * A band as it is typed in.
   *
   * @param highBpm its upper edge, cut by a cap; null where the cap lies below the band
   * @param allowed whether it may be trained in; a school's band that is not is shown as such
   */
  record DeviceBand(
      String name, int level, int lowBpm, @Nullable Integer highBpm, boolean allowed) {}

  /**
   * The sheet.
   *
   * @param alarm lower and upper alarm, from the prescription in force; null where there is none
   * @param again the day from which these values are measured again
   */
  record DeviceSheet(
      String clientName,
      LocalDate date,
      Mode mode,
      String scheme,
      String schemeName,
      int restingBpm,
      MaximumInUse maximum,
      @Nullable Integer capBpm,
      List<DeviceBand> bands,
      @Nullable List<Integer> alarm,
      LocalDate again,
      List<FindingView> findings,
      String notice) {}

  /** Refused, with the reason, for someone who may not be steered by a rate. */
  @GetMapping("/api/clients/{id}/device-sheet")
  DeviceSheet sheet(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable String scheme,
      @RequestParam(defaultValue = "run") Mode mode) {
    Client client = records.client(id);
    Groundwork ground = records.groundwork(client, mode);
    if (!ground.screening().stops().isEmpty()) {
      throw RefusedException.because(ground.screening().stops());
    }
    Reserve reserve = ground.reserveOrRefuse();
    InHand hand = anchors.inHand(client, ground, scheme);
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
        .ifPresent(each -> findings.add(FindingKind.CAP_IN_FORCE.of(each.bpm(), each.because())));
    if (!ground.permission().vigorous()) {
      findings.addAll(ground.permission().findings());
    }
    findings.addAll(ground.screening().cautions());
    return new DeviceSheet(
        client.details().name(),
        clock.today(),
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
        Renewal.ofRates(ground, client.nextBirthday(clock.today())).on(),
        FindingView.of(findings),
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
    return prescriptions.of(client.id()).stream()
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
