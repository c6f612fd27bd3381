package app.korvel.sensor;

import app.korvel.core.forecast.HeartModel;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.Deque;

/** The heart of somebody who is not there: it does what {@link HeartModel} foresees. */
public final class SimulatedBody {
  private static final int LAG = Threshold.FORECAST_SAID_LAG.whole();

  private final Reserve reserve;
  private final HeartModel heart;
  private final Deque<Double> before = new ArrayDeque<>();
  private double bpm;
  private int hardSeconds;

  /** At rest; see {@link #SimulatedBody(Reserve, Kinetics, double)}. */
  public SimulatedBody(Reserve reserve, boolean trained) {
    this(reserve, Kinetics.usual(trained), reserve.restingBpm());
  }

  /**
   * A body.
   *
   * @param kinetics how fast its heart follows
   * @param bpm the rate it begins at
   */
  public SimulatedBody(Reserve reserve, Kinetics kinetics, double bpm) {
    this.reserve = reserve;
    this.heart = HeartModel.of(reserve, kinetics);
    this.bpm = bpm;
  }

  /**
   * Works for a second.
   *
   * @param share of reserve, from 0
   */
  public void work(double share) {
    before.addLast(bpm);
    if (before.size() > LAG) {
      before.removeFirst();
    }
    hardSeconds = HeartModel.hardSeconds(hardSeconds, share);
    bpm = heart.after(bpm, heart.settles(share, hardSeconds));
  }

  /** The rate, unrounded. */
  public double bpm() {
    return bpm;
  }

  /**
   * What they would say of it, on 6–20: RPE and voice follow the rate with a lag, by their own
   * reserve and no other.
   */
  public int rpe20() {
    double percent = percentBefore();
    Level level = level(percent);
    int next = level == Level.SILENT ? 100 : Level.values()[level.ordinal() + 1].fromPercent();
    double into = (percent - level.fromPercent()) / (next - level.fromPercent());
    int span = level.rpe20().high() - level.rpe20().low() + 1;
    return level.rpe20().low() + Math.max(0, Math.min(span - 1, (int) (into * span)));
  }

  /** What their voice could do, 1 to 5. */
  public int voice() {
    return level(percentBefore()).number();
  }

  private double percentBefore() {
    double then = before.isEmpty() ? bpm : before.getFirst();
    return Math.max(0, 100 * (then - reserve.restingBpm()) / reserve.bpm());
  }

  private static Level level(double percent) {
    return Level.atPercent(BigDecimal.valueOf(percent));
  }
}
