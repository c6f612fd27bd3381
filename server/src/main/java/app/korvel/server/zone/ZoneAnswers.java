package app.korvel.server.zone;

import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.web.WrittenJson;
import app.korvel.server.zone.ZoneRequests.ZonesRequest;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeCatalog;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The latest answers of the zones calculator as they were written: one request has one answer, and
 * the same spans are asked for again and again.
 */
@Component
class ZoneAnswers {
  /** About 20 kB each. */
  private static final int KEPT = 256;

  /**
   * What decides an answer.
   *
   * @param scheme one of the studio's own may be changed: its bands are part of the question
   * @param family the studio's where the request names none
   */
  private record Question(ZonesRequest request, Scheme scheme, RpeFamily family) {}

  private final JsonMapper json;
  private final Studio studio;
  private final AnswerCache<Question, WrittenJson> latest = new AnswerCache<>(KEPT);

  ZoneAnswers(JsonMapper json, Studio studio) {
    this.json = json;
    this.studio = studio;
  }

  /** A {@link ZonesView}, written. */
  WrittenJson of(ZonesRequest request) {
    Question question =
        new Question(
            request,
            new SchemeCatalog(studio).of(request.scheme()),
            request.family(studio.settings().ways().family()));
    return latest.of(question, asked -> new WrittenJson(json.writeValueAsBytes(workOut(asked))));
  }

  private static ZonesView workOut(Question question) {
    ZonesRequest request = question.request;
    Uncertainty uncertainty = request.uncertainty();
    return ZonesView.of(
        Zones.of(question.scheme, request.anchors(), uncertainty, request.cap()),
        uncertainty,
        question.family);
  }
}
