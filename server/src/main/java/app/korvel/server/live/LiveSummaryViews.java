package app.korvel.server.live;

import app.korvel.core.live.LiveFinding;
import app.korvel.core.live.LiveSummary;
import app.korvel.core.live.SessionLoad;
import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Zones;
import app.korvel.server.live.LiveCalculatorViews.ReserveWeightedView;
import app.korvel.studio.live.LiveSessions.LiveNow;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** What a session came to, as it is sent. */
public final class LiveSummaryViews {
  private LiveSummaryViews() {}

  /**
   * Seconds in a zone.
   *
   * @param level 1 to 5, the level its middle falls into
   */
  public record ZoneSeconds(
      String id, String name, int level, int lowBpm, int highBpm, int seconds) {}

  /** Seconds at each rate by zone, in the order of the system; none without one. */
  public static List<ZoneSeconds> zoneSeconds(Optional<Zones> zones, int[] byBpm) {
    return zones.map(Zones::bands).orElse(List.of()).stream()
        .map(
            band ->
                new ZoneSeconds(
                    band.band().id(),
                    band.band().name(),
                    band.level().number(),
                    band.lowBpm(),
                    band.highBpm(),
                    band.seconds(byBpm)))
        .toList();
  }

  record LivePeak(int bpm, int second) {}

  /** How far the rate fell in the minute after the work. */
  record LiveDrop(int endBpm, int after60Bpm, int bpm) {}

  /**
   * What a session came to.
   *
   * @param done whether so much of the work was done that it counts as done
   * @param minutes with warm-up and cool-down, without pauses
   * @param peak null where no rate held
   * @param drop null where the end of the work was not caught
   * @param rpe20 the highest that was given; null without any
   * @param spanRestingBpm the span of its day that the zones are worked out on; null without one
   * @param zones of the zone system, in its order; empty where no rate leads
   * @param loadByRating session RPE times minutes; null before it is logged with one
   */
  record LiveSummaryView(
      boolean done,
      int minutes,
      int workSeconds,
      int askedWorkSeconds,
      int belowSeconds,
      int inSeconds,
      int aboveSeconds,
      int noDataSeconds,
      @Nullable Integer averageBpm,
      @Nullable LivePeak peak,
      @Nullable LiveDrop drop,
      @Nullable Integer rpe20,
      @Nullable Integer voice,
      boolean recorded,
      String scheme,
      @Nullable Integer spanRestingBpm,
      @Nullable Integer spanMaximumBpm,
      List<ZoneSeconds> zones,
      @Nullable Integer moderateEquivalentMinutes,
      @Nullable ReserveWeightedView reserveWeighted,
      @Nullable Integer loadByRating,
      List<Finding> findings) {

    static LiveSummaryView of(LiveNow stands, Sex sex, Optional<Zones> zones) {
      LiveSummary summary = LiveSummary.of(stands.session());
      int[] seconds = summary.histogram();
      Optional<Reserve> reserve = stands.opened().plan().mover().reserve();
      boolean warm = stands.session().over().isPresent() && summary.endedWarm(stands.session());
      return new LiveSummaryView(
          summary.done(),
          summary.minutes(),
          summary.workSeconds(),
          summary.askedWorkSeconds(),
          summary.belowSeconds(),
          summary.inSeconds(),
          summary.aboveSeconds(),
          summary.noDataSeconds(),
          number(summary.averageBpm()),
          summary.peak().map(peak -> new LivePeak(peak.bpm(), peak.second())).orElse(null),
          summary
              .drop()
              .map(drop -> new LiveDrop(drop.endBpm(), drop.after60Bpm(), drop.bpm()))
              .orElse(null),
          number(summary.rpe20()),
          number(summary.voice()),
          summary.recorded(),
          zones.map(each -> each.scheme().id()).orElse(""),
          reserve.map(Reserve::restingBpm).orElse(null),
          reserve.map(Reserve::maximumBpm).orElse(null),
          zoneSeconds(zones, seconds),
          number(summary.moderateEquivalentMinutes(stands.session())),
          reserve
              .filter(span -> summary.recorded())
              .map(span -> weighted(seconds, span, sex))
              .orElse(null),
          stands
              .log()
              .flatMap(log -> log.rpe20())
              .map(rpe -> SessionLoad.byRating(rpe, summary.minutes()))
              .orElse(null),
          warm ? List.of(LiveFinding.NO_COOL_DOWN.of()) : List.of());
    }

    /** Of a man, of a woman, or where it is not given of both. */
    private static ReserveWeightedView weighted(int[] seconds, Reserve span, Sex sex) {
      return new ReserveWeightedView(
          sex == Sex.FEMALE ? null : SessionLoad.reserveWeightedMinutes(seconds, span, Sex.MALE),
          sex == Sex.MALE ? null : SessionLoad.reserveWeightedMinutes(seconds, span, Sex.FEMALE));
    }
  }

  private static @Nullable Integer number(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }
}
