package app.korvel.sensor;

import app.korvel.core.zone.Reserve;

/**
 * The heart of somebody who is not there: towards the rate that work would settle at it moves
 * first-order, faster up than down, and in long hard work that rate drifts up. The figures are
 * typical of published kinetics.
 */
public final class SimulatedBody {
  private static final int TRAINED_UP = 35;
  private static final int TRAINED_DOWN = 55;
  private static final int UNTRAINED_UP = 50;
  private static final int UNTRAINED_DOWN = 75;
  private static final double HARD = 0.60;
  private static final int DRIFT_AFTER_SECONDS = 600;
  private static final double DRIFT_A_SECOND = 0.0025 / 60;
  private static final double DRIFT_MOST = 0.05;

  private final Reserve reserve;
  private final double up;
  private final double down;
  private double bpm;
  private int hardSeconds;

  /** At rest; see {@link #SimulatedBody(Reserve, boolean, double)}. */
  public SimulatedBody(Reserve reserve, boolean trained) {
    this(reserve, trained, reserve.restingBpm());
  }

  /**
   * A body.
   *
   * @param trained whether it reacts as fast as that of somebody who trains regularly
   * @param bpm the rate it begins at
   */
  public SimulatedBody(Reserve reserve, boolean trained, double bpm) {
    this.reserve = reserve;
    this.up = Math.exp(-1.0 / (trained ? TRAINED_UP : UNTRAINED_UP));
    this.down = Math.exp(-1.0 / (trained ? TRAINED_DOWN : UNTRAINED_DOWN));
    this.bpm = bpm;
  }

  /**
   * Works for a second.
   *
   * @param share of reserve, from 0
   */
  public void work(double share) {
    hardSeconds = share > HARD ? hardSeconds + 1 : 0;
    double drift =
        Math.min(DRIFT_MOST, Math.max(0, hardSeconds - DRIFT_AFTER_SECONDS) * DRIFT_A_SECOND);
    double settles = reserve.restingBpm() + (share + drift) * reserve.bpm();
    bpm = settles + (bpm - settles) * (settles > bpm ? up : down);
  }

  /** The rate, unrounded. */
  public double bpm() {
    return bpm;
  }
}
