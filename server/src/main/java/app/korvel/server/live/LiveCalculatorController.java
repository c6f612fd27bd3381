package app.korvel.server.live;

import app.korvel.core.effort.Witnesses;
import app.korvel.core.live.Course;
import app.korvel.core.live.Cues;
import app.korvel.core.live.Tally;
import app.korvel.core.trace.Trace;
import app.korvel.server.live.LiveCalculatorViews.StrapSampleAnswer;
import app.korvel.server.live.LiveCalculatorViews.StrapSampleRequest;
import app.korvel.server.live.LiveCalculatorViews.TraceAnswer;
import app.korvel.server.live.LiveCalculatorViews.TraceRequest;
import app.korvel.server.live.LiveCalculatorViews.WitnessesAnswer;
import app.korvel.server.live.LiveCalculatorViews.WitnessesRequest;
import app.korvel.server.live.RecoveryCalculatorViews.RecoveryAnswer;
import app.korvel.server.live.RecoveryCalculatorViews.RecoveryRequest;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeCatalog;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is said while a heart rate comes in, worked out for a moment or for a recording. */
@RestController
class LiveCalculatorController {
  private final Studio studio;

  LiveCalculatorController(Studio studio) {
    this.studio = studio;
  }

  /** What rate, RPE and voice say together of one moment; the rate as if it had settled. */
  @PostMapping("/api/calculator/witnesses")
  WitnessesAnswer witnesses(@RequestBody WitnessesRequest request) {
    return WitnessesAnswer.of(Witnesses.of(request.moment(), request.aim(), request.mover()));
  }

  /** What a minute of a strap at rest comes to; nothing is kept. */
  @PostMapping("/api/calculator/strap-sample")
  StrapSampleAnswer strapSample(@RequestBody StrapSampleRequest request) {
    return request.sample();
  }

  /** What a recovery comes to: drops, edges, time constant, and whether it is slow. */
  @PostMapping("/api/calculator/recovery")
  RecoveryAnswer recovery(@RequestBody RecoveryRequest request) {
    SchemeCatalog schemes = new SchemeCatalog(studio);
    return request.answer(
        request.scheme() == null ? SchemeCatalog.usual() : schemes.of(request.scheme()));
  }

  /** What would have been said over a recording by the rate alone, and what it amounts to. */
  @PostMapping("/api/calculator/trace")
  TraceAnswer trace(@RequestBody TraceRequest request) {
    Trace trace = request.trace();
    Course course = request.course();
    return TraceAnswer.of(
        trace,
        Cues.of(trace, course, request.mover()),
        Tally.of(trace, course),
        request.reserve(),
        new SchemeCatalog(studio).of(request.scheme()));
  }
}
