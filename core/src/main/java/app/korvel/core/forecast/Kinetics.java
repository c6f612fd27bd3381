package app.korvel.core.forecast;

import app.korvel.core.measure.Threshold;
import java.util.List;

/**
 * How fast a heart follows the work: the time in which it covers 63 % of the way to the rate that
 * the work would settle at.
 *
 * @param up where the rate rises
 * @param down where it falls
 */
public record Kinetics(TimeConstant up, TimeConstant down) {

  /**
   * A time constant.
   *
   * @param seconds of it
   * @param fits of how many stretches of the client's own recordings it is the middle; 0 where it
   *     is the usual one
   */
  public record TimeConstant(int seconds, int fits) {
    private static TimeConstant usual(Threshold figure) {
      return new TimeConstant(figure.whole(), 0);
    }

    /** Whether it is the client's own. */
    public boolean own() {
      return fits > 0;
    }

    /** The middle one, the lower of two, where there are enough. */
    private TimeConstant orOwn(List<Integer> fits) {
      if (fits.size() < Threshold.FORECAST_FITS.whole()) {
        return this;
      }
      int middle = fits.stream().sorted().toList().get((fits.size() - 1) / 2);
      return new TimeConstant(
          Math.max(
              Threshold.FORECAST_TIME_SHORTEST.whole(),
              Math.min(Threshold.FORECAST_TIME_LONGEST.whole(), middle)),
          fits.size());
    }
  }

  private static final Kinetics TRAINED =
      new Kinetics(
          TimeConstant.usual(Threshold.FORECAST_UP_TRAINED),
          TimeConstant.usual(Threshold.FORECAST_DOWN_TRAINED));
  private static final Kinetics ANYBODY =
      new Kinetics(
          TimeConstant.usual(Threshold.FORECAST_UP), TimeConstant.usual(Threshold.FORECAST_DOWN));

  /**
   * The usual ones.
   *
   * @param trained whether somebody is regularly active
   */
  public static Kinetics usual(boolean trained) {
    return trained ? TRAINED : ANYBODY;
  }

  /**
   * A client's own, each where {@link Threshold#FORECAST_FITS} or more stretches of their
   * recordings tell it, else the usual one.
   *
   * @param trained whether they are regularly active
   * @param sessions what their latest sessions told, {@link Threshold#FORECAST_SESSIONS} at most
   */
  public static Kinetics of(boolean trained, List<ForeseenSession> sessions) {
    Kinetics usual = usual(trained);
    return new Kinetics(
        usual.up.orOwn(sessions.stream().flatMap(each -> each.rises().stream()).toList()),
        usual.down.orOwn(sessions.stream().flatMap(each -> each.falls().stream()).toList()));
  }
}
