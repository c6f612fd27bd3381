package app.korvel.server.forecast;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.zone.Ladder;
import app.korvel.server.forecast.ForecastViews.ClientForecast;
import app.korvel.server.forecast.ForecastViews.ClientForecastRequest;
import app.korvel.server.forecast.ForecastViews.ForecastAnswer;
import app.korvel.server.forecast.ForecastViews.ForecastRecordView;
import app.korvel.server.forecast.ForecastViews.ForecastRequest;
import app.korvel.server.forecast.ForecastViews.ForecastReviewView;
import app.korvel.server.forecast.ForecastViews.ForecastView;
import app.korvel.server.forecast.ForecastViews.OutlineForecastRequest;
import app.korvel.server.forecast.ForecastViews.SessionForecastView;
import app.korvel.server.live.LivePages;
import app.korvel.studio.Studio;
import app.korvel.studio.forecast.ForeseeOutline;
import app.korvel.studio.forecast.ForeseenSessions;
import app.korvel.studio.zone.SchemeCatalog;
import java.time.LocalDate;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sessions before they are done; nothing is kept, and nothing is decided by it. */
@RestController
class ForecastController {
  private final Studio studio;

  ForecastController(Studio studio) {
    this.studio = studio;
  }

  @PostMapping("/api/calculator/forecast")
  ForecastAnswer forecast(@RequestBody ForecastRequest request) {
    return ForecastAnswer.of(request.forecast());
  }

  /** An outline for somebody made up. */
  @PostMapping("/api/calculator/outline-forecast")
  ForecastView outline(@RequestBody OutlineForecastRequest request) {
    return ForecastView.of(
        new ForeseeOutline(studio)
            .of(
                request.outline().written(),
                request.reserve(),
                request.uncertainty(),
                request.trained()),
        SchemeCatalog.usual(),
        Ladder.of(request.reserve()),
        OptionalInt.empty());
  }

  /** An outline for a client, as of a day. */
  @PostMapping("/api/clients/{id}/forecast")
  ClientForecast forClient(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "run") Mode mode,
      @RequestBody ClientForecastRequest request) {
    LocalDate today = studio.today();
    LocalDate on = request.on() == null ? today : request.on();
    if (on.isAfter(today)) {
      throw InvalidValueException.of("on", "lies in the future", "today or a day in the past");
    }
    return ClientForecast.of(
        new ForeseeOutline(studio).of(id, request.outline().written(), mode, on),
        new LivePages(studio).scheme(id));
  }

  /** How well a client's last sessions were foreseen. */
  @GetMapping("/api/clients/{id}/forecasts")
  ForecastRecordView ofClient(@PathVariable UUID id) {
    return ForecastRecordView.of(new ForeseenSessions(studio).of(id));
  }

  /** A session on the clock, as it came and is to come. */
  @GetMapping("/api/live/{id}/forecast")
  SessionForecastView ofSession(@PathVariable UUID id) {
    ForeseenSessions.OfSession made = new ForeseenSessions(studio).ofSession(id);
    return new SessionForecastView(
        made.forecast()
            .map(
                each ->
                    ForecastView.of(
                        each,
                        new LivePages(studio).scheme(made.stands().opened().clientId()),
                        made.stands().opened().plan().mover().ladder().orElseThrow(),
                        made.stands().opened().plan().mover().capBpm()))
            .orElse(null),
        made.review().map(ForecastReviewView::of).orElse(null));
  }
}
