package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.zone.CountCard;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.Zones;
import app.korvel.server.measure.WorkingViews.WorkingView;
import app.korvel.server.web.WrittenJson;
import app.korvel.server.zone.ZoneRequests.ClientBands;
import app.korvel.server.zone.ZoneRequests.CountsAnswer;
import app.korvel.server.zone.ZoneRequests.CountsRequest;
import app.korvel.server.zone.ZoneRequests.CountsWorkingRequest;
import app.korvel.server.zone.ZoneRequests.RatesAnswer;
import app.korvel.server.zone.ZoneRequests.RatesRequest;
import app.korvel.server.zone.ZoneRequests.TargetAnswer;
import app.korvel.server.zone.ZoneRequests.TargetRequest;
import app.korvel.server.zone.ZoneRequests.TargetWorkingRequest;
import app.korvel.server.zone.ZoneRequests.ZonesRequest;
import app.korvel.server.zone.ZoneRequests.ZonesWorkingRequest;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeCatalog;
import java.util.Optional;
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
  private final Studio studio;
  private final ZoneAnswers answers;

  ZoneController(Studio studio, ZoneAnswers answers) {
    this.studio = studio;
    this.answers = answers;
  }

  @PostMapping("/api/calculator/zones")
  WrittenJson zones(@RequestBody ZonesRequest request) {
    return answers.of(request);
  }

  /** One band of it step by step. */
  @PostMapping("/api/calculator/zones/working")
  WorkingView zones(@RequestBody ZonesWorkingRequest request) {
    return WorkingView.of(
        Zones.longHand(
            new SchemeCatalog(studio).of(request.of().scheme()),
            request.band(),
            request.of().anchors(),
            request.of().uncertainty()),
        request.figures());
  }

  @PostMapping("/api/calculator/target/working")
  WorkingView target(@RequestBody TargetWorkingRequest request) {
    TargetRequest of = request.of();
    return WorkingView.of(
        Target.longHand(
            of.anchors(), of.basis(), of.low(), of.high(), ZoneRequests.optional(of.capBpm())),
        request.figures());
  }

  /** The rate at every whole percent of reserve, from 0 to 100. */
  @PostMapping("/api/calculator/rates")
  RatesAnswer rates(@RequestBody RatesRequest request) {
    Reserve reserve = Reserve.of(request.restingBpm(), request.maximumBpm());
    return new RatesAnswer(IntStream.rangeClosed(0, 100).mapToObj(reserve::rateAt).toList());
  }

  /** A range of rates as beats to count. */
  @PostMapping("/api/calculator/counts")
  CountsAnswer counts(@RequestBody CountsRequest request) {
    return new CountsAnswer(
        ZoneViews.counts(CountCard.of(request.lowBpm(), request.highBpm(), request.cap())));
  }

  @PostMapping("/api/calculator/counts/working")
  WorkingView counts(@RequestBody CountsWorkingRequest request) {
    return WorkingView.of(
        CountCard.longHand(request.of().lowBpm(), request.of().highBpm(), request.of().cap()),
        request.figures());
  }

  @PostMapping("/api/calculator/target")
  TargetAnswer target(@RequestBody TargetRequest request) {
    Target.UnderCap result =
        Target.of(
            request.anchors(),
            request.basis(),
            request.low(),
            request.high(),
            ZoneRequests.optional(request.capBpm()));
    Target target = result.target().orElseThrow(() -> RefusedException.because(result.findings()));
    return new TargetAnswer(
        target.lowBpm(),
        target.highBpm(),
        target.capped(),
        ZoneViews.counts(target.counts()),
        result.findings());
  }

  /** In the scheme asked for; else in the one chosen for the client, else in the studio's. */
  @GetMapping("/api/clients/{id}/bands")
  ClientBands bands(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable String scheme,
      @RequestParam(defaultValue = "run") Mode mode) {
    Optional<String> asked = Optional.ofNullable(scheme);
    asked.ifPresent(new SchemeCatalog(studio)::of);
    return ClientBands.of(studio, studio.head(id), mode, asked);
  }
}
