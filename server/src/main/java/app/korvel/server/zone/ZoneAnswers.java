package app.korvel.server.zone;

import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.web.WrittenJson;
import app.korvel.server.zone.ZoneController.ZonesRequest;
import app.korvel.server.zone.ZoneViews.ZonesView;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
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

  private final JsonMapper json;
  private final Map<ZonesRequest, WrittenJson> latest =
      Collections.synchronizedMap(
          new LinkedHashMap<>(KEPT * 2, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<ZonesRequest, WrittenJson> eldest) {
              return size() > KEPT;
            }
          });

  ZoneAnswers(JsonMapper json) {
    this.json = json;
  }

  /** A {@link ZonesView}, written. */
  WrittenJson of(ZonesRequest request) {
    WrittenJson known = latest.get(request);
    if (known == null) {
      known = new WrittenJson(json.writeValueAsBytes(workOut(request)));
      latest.put(request, known);
    }
    return known;
  }

  private static ZonesView workOut(ZonesRequest request) {
    Uncertainty uncertainty = request.uncertainty();
    return ZonesView.of(
        Zones.of(Scheme.of(request.scheme()), request.reserve(), uncertainty, request.cap()),
        uncertainty,
        request.family());
  }
}
