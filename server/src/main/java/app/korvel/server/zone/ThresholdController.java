package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.WorkingThresholds;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.Within;
import app.korvel.store.Ids;
import app.korvel.store.ThresholdRepository;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A client's measured thresholds. */
@RestController
@RequestMapping("/api/clients/{id}/thresholds")
class ThresholdController {
  private final ThresholdRepository thresholds;
  private final ClientRecords records;
  private final ClientAnchors anchors;
  private final StudioClock clock;
  private final Ids ids;

  ThresholdController(
      ThresholdRepository thresholds,
      ClientRecords records,
      ClientAnchors anchors,
      StudioClock clock,
      Ids ids) {
    this.thresholds = thresholds;
    this.records = records;
    this.anchors = anchors;
    this.clock = clock;
    this.ids = ids;
  }

  record ThresholdsRequest(
      Mode mode,
      MeasuredThresholds.Kind kind,
      @Within(Limit.PULSE) Integer lowerThresholdBpm,
      @Within(Limit.PULSE) Integer upperThresholdBpm,
      LocalDate measuredOn,
      @Nullable String note) {}

  record ThresholdsView(
      UUID id,
      Mode mode,
      MeasuredThresholds.Kind kind,
      String kindName,
      int lowerBpm,
      int upperBpm,
      LocalDate measuredOn,
      String note) {

    private static ThresholdsView of(MeasuredThresholds measured) {
      return new ThresholdsView(
          measured.id(),
          measured.mode(),
          measured.kind(),
          measured.kind().displayName(),
          measured.rates().lowerBpm(),
          measured.rates().upperBpm(),
          measured.measuredOn(),
          measured.note());
    }
  }

  /**
   * Those on record, of every mode, latest first.
   *
   * @param inUse id of those that bands in the asked mode count from; null where there are none
   * @param finding why there are none; null where there are
   */
  record ThresholdList(
      List<ThresholdsView> thresholds, @Nullable UUID inUse, @Nullable FindingView finding) {}

  record KeptThresholds(UUID id) {}

  @GetMapping
  ThresholdList list(@PathVariable UUID id, @RequestParam(defaultValue = "run") Mode mode) {
    Client client = records.client(id);
    Groundwork ground = records.groundwork(client, mode);
    Optional<WorkingThresholds> working =
        ground.reserve().map(span -> anchors.thresholds(client, ground, span));
    return new ThresholdList(
        thresholds.of(id).stream().map(ThresholdsView::of).toList(),
        working
            .filter(each -> each.rates().isPresent())
            .flatMap(WorkingThresholds::measured)
            .map(MeasuredThresholds::id)
            .orElse(null),
        working.flatMap(WorkingThresholds::finding).map(FindingView::of).orElse(null));
  }

  @OneWrite
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ThresholdsView add(@PathVariable UUID id, @RequestBody ThresholdsRequest request) {
    Client client = records.open(id);
    Reserve span = records.groundwork(client, request.mode).reserveOrRefuse();
    MeasuredThresholds measured =
        MeasuredThresholds.of(
            ids.next(),
            request.mode,
            request.kind,
            request.lowerThresholdBpm,
            request.upperThresholdBpm,
            request.measuredOn,
            request.note == null ? "" : request.note,
            span,
            clock.now(),
            clock.zone());
    thresholds.add(id, measured);
    return ThresholdsView.of(measured);
  }

  /** Takes some back; what is answered can be undone. */
  @OneWrite
  @DeleteMapping("/{thresholds}")
  KeptThresholds takeBack(@PathVariable UUID id, @PathVariable("thresholds") UUID taken) {
    records.open(id);
    UUID withdrawal = ids.next();
    if (!thresholds.withdraw(id, taken, withdrawal, clock.now())) {
      throw unknown(taken);
    }
    return new KeptThresholds(withdrawal);
  }

  /** Undoes a taking back. */
  @OneWrite
  @PostMapping("/{thresholds}/undo")
  KeptThresholds undo(@PathVariable UUID id, @PathVariable("thresholds") UUID taken) {
    records.open(id);
    UUID restored = ids.next();
    if (!thresholds.undo(id, taken, restored)) {
      throw unknown(taken);
    }
    return new KeptThresholds(restored);
  }

  private static NotFoundException unknown(UUID taken) {
    return new NotFoundException("This client has no thresholds " + taken + ".");
  }
}
