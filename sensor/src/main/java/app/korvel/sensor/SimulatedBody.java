package app.korvel.sensor;

import app.korvel.core.forecast.HeartModel;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.zone.Reserve;

/** The heart of somebody who is not there: it does what {@link HeartModel} foresees. */
public final class SimulatedBody {
  private final HeartModel heart;
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
    this.heart = HeartModel.of(reserve, kinetics);
    this.bpm = bpm;
  }

  /**
   * Works for a second.
   *
   * @param share of reserve, from 0
   */
  public void work(double share) {
    hardSeconds = HeartModel.hardSeconds(hardSeconds, share);
    bpm = heart.after(bpm, heart.settles(share, hardSeconds));
  }

  /** The rate, unrounded. */
  public double bpm() {
    return bpm;
  }
}
