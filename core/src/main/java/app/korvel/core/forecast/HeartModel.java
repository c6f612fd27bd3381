package app.korvel.core.forecast;

import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Reserve;

/**
 * How a heart answers work, second by second: towards the rate that the work would settle at it
 * moves first-order, faster up than down, and in long hard work that rate drifts up. The figures
 * are typical of published kinetics, and Korvel's own.
 *
 * <p>What a session is foreseen by and what a simulated client does is this one model.
 */
public final class HeartModel {
  private static final double HARD = share(Threshold.FORECAST_DRIFT_FROM);
  private static final int DRIFT_AFTER = 60 * Threshold.FORECAST_DRIFT_AFTER.whole();
  private static final double DRIFT_A_SECOND = share(Threshold.FORECAST_DRIFT_A_MINUTE) / 60;
  private static final double DRIFT_MOST = share(Threshold.FORECAST_DRIFT_MOST);

  /** What somebody does who stands, as a share of reserve. */
  public static final double STANDING = share(Threshold.FORECAST_STANDING);

  private final Reserve reserve;
  private final double up;
  private final double down;

  private HeartModel(Reserve reserve, double upSeconds, double downSeconds) {
    this.reserve = reserve;
    this.up = Math.exp(-1 / upSeconds);
    this.down = Math.exp(-1 / downSeconds);
  }

  /** The heart of somebody. */
  public static HeartModel of(Reserve reserve, Kinetics kinetics) {
    return of(reserve, kinetics, 1);
  }

  /** The same with both time constants so many times as long. */
  static HeartModel of(Reserve reserve, Kinetics kinetics, double times) {
    return new HeartModel(
        reserve, times * kinetics.up().seconds(), times * kinetics.down().seconds());
  }

  private static double share(Threshold percent) {
    return percent.value().doubleValue() / 100;
  }

  /**
   * How long work has been hard without a break, one second later.
   *
   * @param before how long it had been, in seconds
   * @param share of reserve, of that second
   */
  public static int hardSeconds(int before, double share) {
    return share > HARD ? before + 1 : 0;
  }

  /**
   * The rate that work would settle at, unrounded.
   *
   * @param share of reserve, from 0
   * @param hardSeconds how long it has been hard without a break
   */
  public double settles(double share, int hardSeconds) {
    double drift = Math.min(DRIFT_MOST, Math.max(0, hardSeconds - DRIFT_AFTER) * DRIFT_A_SECOND);
    return reserve.restingBpm() + (share + drift) * reserve.bpm();
  }

  /** The rate a second later, unrounded. */
  public double after(double bpm, double settles) {
    return settles + (bpm - settles) * kept(bpm, settles);
  }

  /** The share of the way that is still to go after a second. */
  double kept(double bpm, double settles) {
    return settles > bpm ? up : down;
  }
}
