package app.korvel.server.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveRecovery;
import app.korvel.core.measure.Finding;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.recovery.RecoveryTrend;
import app.korvel.core.recovery.TwoWays;
import app.korvel.core.trace.Trace;
import app.korvel.server.live.RecoveryCalculatorViews.RecoveryAnswer;
import app.korvel.server.live.RoomViews.PostureOption;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Recoveries beside each other, as they are sent. */
final class RecoveryViews {
  private RecoveryViews() {}

  /** So much of it is drawn. */
  private static final int DRAWN = 180;

  /**
   * A recovery.
   *
   * @param line the smoothed rate, second by second from the end of the effort; 0 for none
   * @param answer null while there is no rate at its end
   */
  record SetView(
      UUID session,
      UUID clientId,
      String name,
      int number,
      UUID event,
      Instant endedAt,
      boolean on,
      RecoveryPosture posture,
      int[] line,
      @Nullable RecoveryAnswer answer) {
    static SetView of(UUID session, UUID client, String name, LiveRecovery recovery, Trace trace) {
      int last =
          Math.min(Math.min(recovery.untilSecond(), trace.seconds()), recovery.endSecond() + DRAWN);
      int[] line = new int[Math.max(0, last - recovery.endSecond() + 1)];
      for (int n = 0; n < line.length; n++) {
        line[n] = trace.smoothed(recovery.endSecond() + n).orElse(0);
      }
      return new SetView(
          session,
          client,
          name,
          recovery.number(),
          recovery.ended().id(),
          recovery.ended().at(),
          recovery.on(),
          recovery.ended().posture(),
          line,
          recovery.recovery().map(RecoveryAnswer::of).orElse(null));
    }
  }

  /** One of two ways. */
  record WayView(
      RecoveryPosture posture,
      String name,
      int sets,
      int people,
      @Nullable Integer endBpm,
      @Nullable Integer drop60,
      @Nullable Integer drop120) {
    static WayView of(TwoWays.Way way) {
      return new WayView(
          way.posture(),
          way.posture().displayName(),
          way.sets(),
          way.people(),
          LiveViews.number(way.endBpm()),
          LiveViews.number(way.drop60()),
          LiveViews.number(way.drop120()));
    }
  }

  /** Two ways beside each other. */
  record WaysView(
      RateSource source,
      WayView first,
      WayView second,
      @Nullable Integer more60,
      @Nullable Integer more120,
      List<Finding> findings) {
    static WaysView of(TwoWays ways) {
      return new WaysView(
          ways.source(),
          WayView.of(ways.first()),
          WayView.of(ways.second()),
          LiveViews.number(ways.more60()),
          LiveViews.number(ways.more120()),
          ways.findings());
    }
  }

  /** Who can be told that their effort ends, or that the next set begins. */
  record CanRecover(UUID session, UUID clientId, String name, boolean byStrap, boolean on) {}

  /**
   * Recoveries side by side.
   *
   * @param now by the clock of the sessions
   * @param countedAt when counts begin where there is no strap, in seconds from the end
   * @param enteredWithin so many seconds later a count is still taken
   * @param ways null where two ways are not there, or were not asked for
   */
  record RecoverySheet(
      Instant now,
      int speed,
      List<CanRecover> people,
      List<SetView> sets,
      List<PostureOption> postures,
      List<Integer> countedAt,
      int enteredWithin,
      @Nullable WaysView ways) {}

  /** A trend in one posture, by one source. */
  record TrendView(
      RecoveryPosture posture,
      String name,
      RateSource source,
      List<TrendPoint> points,
      @Nullable Integer change,
      boolean changed,
      int noise,
      String words) {
    static TrendView of(RecoveryTrend trend) {
      return new TrendView(
          trend.posture(),
          trend.posture().displayName(),
          trend.source(),
          trend.sets().stream()
              .map(
                  set ->
                      new TrendPoint(
                          set.session(),
                          set.endedAt(),
                          set.recovery().endBpm(),
                          set.recovery().drop60().getAsInt(),
                          LiveViews.number(set.recovery().drop120())))
              .toList(),
          LiveViews.number(trend.change()),
          trend.changed(),
          trend.noise(),
          trend.words());
    }
  }

  /** A recovery in a trend. */
  record TrendPoint(
      UUID session, Instant endedAt, int endBpm, int drop60, @Nullable Integer drop120) {}

  /** A client's recoveries. */
  record ClientRecoveries(
      String clientName,
      List<SetView> sets,
      List<TrendView> trends,
      List<PostureOption> postures) {}
}
