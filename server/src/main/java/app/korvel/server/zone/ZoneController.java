package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.screening.Permission;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.CountCard;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.Within;
import app.korvel.server.web.WrittenJson;
import app.korvel.server.zone.ZoneViews.ZonesView;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The zones and target calculators, and a client's bands. */
@RestController
class ZoneController {
  private final ClientRecords records;
  private final ZoneAnswers answers;

  ZoneController(ClientRecords records, ZoneAnswers answers) {
    this.records = records;
    this.answers = answers;
  }

  @PostMapping("/api/calculator/zones")
  WrittenJson zones(@RequestBody ZonesRequest request) {
    return answers.of(request);
  }

  /** One band of it long hand. */
  @PostMapping("/api/calculator/zones/working")
  WorkingView zones(@RequestBody ZonesWorkingRequest request) {
    return WorkingView.of(
        Zones.longHand(
            Scheme.of(request.of.scheme),
            request.band,
            request.of.reserve(),
            request.of.uncertainty()),
        request.figures);
  }

  @PostMapping("/api/calculator/target/working")
  WorkingView target(@RequestBody TargetWorkingRequest request) {
    TargetRequest of = request.of;
    return WorkingView.of(
        Target.longHand(of.reserve(), of.basis, of.low, of.high, optional(of.capBpm)),
        request.figures);
  }

  /** The rate at every whole percent of reserve, from 0 to 100. */
  @PostMapping("/api/calculator/rates")
  RatesAnswer rates(@RequestBody RatesRequest request) {
    Reserve reserve = Reserve.of(request.restingBpm, request.maximumBpm);
    return new RatesAnswer(IntStream.rangeClosed(0, 100).mapToObj(reserve::rateAt).toList());
  }

  /** A range of rates as beats to count. */
  @PostMapping("/api/calculator/counts")
  CountsAnswer counts(@RequestBody CountsRequest request) {
    return new CountsAnswer(
        ZoneViews.counts(CountCard.of(request.lowBpm, request.highBpm, request.capped)));
  }

  @PostMapping("/api/calculator/counts/working")
  WorkingView counts(@RequestBody CountsWorkingRequest request) {
    return WorkingView.of(
        CountCard.longHand(request.of.lowBpm, request.of.highBpm, request.of.capped),
        request.figures);
  }

  @PostMapping("/api/calculator/target")
  TargetAnswer target(@RequestBody TargetRequest request) {
    Target.UnderCap result =
        Target.of(
            request.reserve(), request.basis, request.low, request.high, optional(request.capBpm));
    Target target = result.target().orElseThrow(() -> RefusedException.because(result.findings()));
    return new TargetAnswer(
        target.lowBpm(),
        target.highBpm(),
        target.capped(),
        ZoneViews.counts(target.counts()),
        FindingView.of(result.findings()));
  }

  @GetMapping("/api/clients/{id}/bands")
  ClientBands bands(
      @PathVariable UUID id,
      @RequestParam(defaultValue = Scheme.DEFAULT_ID) String scheme,
      @RequestParam(defaultValue = "run") Mode mode) {
    Scheme chosen = Scheme.of(scheme);
    Groundwork ground = records.groundwork(records.client(id), mode);
    try {
      Reserve reserve = ground.reserveOrRefuse();
      Uncertainty uncertainty = ground.uncertainty();
      return new ClientBands(
          ZonesView.of(
              Zones.of(chosen, reserve, uncertainty, cap(ground)), uncertainty, RpeFamily.RATIO),
          ground.maximum().orElseThrow().method(),
          ground.permission().vigorous() ? null : reserve.rateAt(Permission.CEILING_PERCENT),
          FindingView.of(
              ground.screening().cap().stream()
                  .map(cap -> FindingKind.CAP_IN_FORCE.of(cap.bpm(), cap.because()))
                  .toList()));
    } catch (RefusedException refused) {
      return ClientBands.none(FindingView.of(refused.findings()));
    }
  }

  private static OptionalInt cap(Groundwork ground) {
    return ground
        .screening()
        .cap()
        .map(cap -> OptionalInt.of(cap.bpm()))
        .orElse(OptionalInt.empty());
  }

  private static OptionalInt optional(@Nullable Integer bpm) {
    return bpm == null ? OptionalInt.empty() : OptionalInt.of(bpm);
  }

  record RatesRequest(
      @Within(Limit.RESTING) Integer restingBpm, @Within(Limit.MAXIMUM) Integer maximumBpm) {}

  record RatesAnswer(List<Integer> rates) {}

  /** The span and the school; standard errors, cap and family of 0–10 scales may be left out. */
  record ZonesRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      String scheme,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal restingStandardErrorBpm,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal maximumStandardErrorBpm,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable RpeFamily rpeFamily) {

    Reserve reserve() {
      return Reserve.of(restingBpm, maximumBpm);
    }

    OptionalInt cap() {
      return optional(capBpm);
    }

    RpeFamily family() {
      return rpeFamily == null ? RpeFamily.RATIO : rpeFamily;
    }

    Uncertainty uncertainty() {
      return Uncertainty.of(
          maximumStandardErrorBpm == null
              ? Uncertainty.USUAL.maximumBpm()
              : maximumStandardErrorBpm,
          restingStandardErrorBpm == null
              ? Uncertainty.USUAL.restingBpm()
              : restingStandardErrorBpm);
    }
  }

  /** The sum of one band; with figures, one for each step or null, a check of them. */
  record ZonesWorkingRequest(
      ZonesRequest of, String band, @Nullable List<@Nullable BigDecimal> figures) {}

  record TargetRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      Basis basis,
      BigDecimal low,
      BigDecimal high,
      @Nullable @Within(Limit.CAP) Integer capBpm) {

    Reserve reserve() {
      return Reserve.of(restingBpm, maximumBpm);
    }
  }

  record TargetWorkingRequest(TargetRequest of, @Nullable List<@Nullable BigDecimal> figures) {}

  /** A range of rates; {@code capped} where the upper end is a cap, so that its counts go down. */
  record CountsRequest(
      @Within(Limit.PULSE) Integer lowBpm, @Within(Limit.PULSE) Integer highBpm, Boolean capped) {}

  record CountsWorkingRequest(CountsRequest of, @Nullable List<@Nullable BigDecimal> figures) {}

  record CountsAnswer(Map<String, List<Integer>> counts) {}

  record TargetAnswer(
      int lowBpm,
      int highBpm,
      boolean capped,
      Map<String, List<Integer>> counts,
      List<FindingView> findings) {}

  /**
   * A client's bands, or why there are none.
   *
   * @param ceilingBpm where vigorous work begins, if it is not allowed
   */
  record ClientBands(
      @Nullable ZonesView zones,
      @Nullable String maximumMethod,
      @Nullable Integer ceilingBpm,
      List<FindingView> findings) {

    static ClientBands none(List<FindingView> findings) {
      return new ClientBands(null, null, null, findings);
    }
  }
}
