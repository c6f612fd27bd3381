package app.korvel.server.progress;

import app.korvel.core.live.RecordedSession;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.live.LiveSummaryViews;
import app.korvel.server.live.LiveSummaryViews.ZoneSeconds;
import app.korvel.server.progress.MonthsViews.AllSessions;
import app.korvel.server.progress.MonthsViews.SessionZones;
import app.korvel.server.progress.MonthsViews.SpanOf;
import app.korvel.store.SessionSummaryRepository.Summed;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.recording.RecordedSessions;
import app.korvel.studio.zone.SchemeCatalog;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Every recorded session of a client read in one zone system, by its own span or by today's. */
record SessionsByZone(Studio studio) {

  /**
   * All of them.
   *
   * @param since the first day that is looked at
   * @throws InvalidValueException when the zone system counts from thresholds, which were not kept
   *     with each session
   */
  AllSessions of(UUID client, Optional<String> asked, SpanOf span, LocalDate since) {
    ClientHead head = studio.head(client);
    SchemeCatalog schemes = new SchemeCatalog(studio);
    Scheme scheme = asked.map(schemes::of).orElseGet(() -> usual(schemes, client));
    if (scheme.basis() == Basis.THRESHOLD) {
      throw InvalidValueException.of(
          "scheme",
          scheme.id() + " counts from thresholds, and sessions are read by rest and maximum",
          "a zone system of reserve, of maximum or of percent");
    }
    Map<Reserve, Zones> worked = new HashMap<>();
    Map<Mode, Optional<Reserve>> today = new EnumMap<>(Mode.class);
    List<SessionZones> sessions = new ArrayList<>();
    Map<String, ZoneSeconds> sum = new LinkedHashMap<>();
    int without = 0;
    for (Summed summed : new RecordedSessions(studio).since(client, since)) {
      RecordedSession recorded = summed.recorded();
      Optional<Reserve> by =
          span == SpanOf.OWN
              ? recorded.reserve()
              : today.computeIfAbsent(recorded.mode(), mode -> head.baseline(mode).reserve());
      Optional<Zones> zones =
          by.map(
              each ->
                  worked.computeIfAbsent(
                      each, reserve -> Zones.of(scheme, reserve, Uncertainty.USUAL)));
      List<ZoneSeconds> seconds = LiveSummaryViews.zoneSeconds(zones, recorded.byBpm());
      seconds.forEach(each -> sum.merge(each.id(), each, SessionsByZone::plus));
      without += by.isEmpty() ? 1 : 0;
      sessions.add(
          new SessionZones(
              summed.session(),
              summed.on(),
              recorded.mode(),
              recorded.seconds(),
              recorded.noDataSeconds(),
              by.map(Reserve::restingBpm).orElse(null),
              by.map(Reserve::maximumBpm).orElse(null),
              seconds));
    }
    return new AllSessions(
        scheme.id(),
        span,
        span == SpanOf.OWN
            ? "Each session is read with the resting and maximum heart rate of its own day."
            : "Every session is read with today's resting and maximum heart rate.",
        List.copyOf(sum.values()),
        without,
        sessions);
  }

  private static Scheme usual(SchemeCatalog schemes, UUID client) {
    Scheme used = schemes.of(schemes.inUse(client));
    return used.basis() == Basis.THRESHOLD ? SchemeCatalog.usual() : used;
  }

  private static ZoneSeconds plus(ZoneSeconds one, ZoneSeconds other) {
    return new ZoneSeconds(
        other.id(),
        other.name(),
        other.level(),
        other.lowBpm(),
        other.highBpm(),
        one.seconds() + other.seconds());
  }
}
