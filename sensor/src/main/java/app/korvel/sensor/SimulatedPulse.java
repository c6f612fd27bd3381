package app.korvel.sensor;

import app.korvel.core.measure.Rounding;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Arrays;
import java.util.Random;

/**
 * A pulse that is nobody's: when each beat comes and how strong it is, the same for the same seed.
 *
 * <p>A steady pulse swings with the breath, widely when it is slow and hardly when it is fast, and
 * a little by chance. An uneven one comes as if by chance. Times are milliseconds; 0 is where the
 * counting starts, and beats before it lead in.
 */
public final class SimulatedPulse {
  private static final int MINUTE = 60_000;

  private final int[] millis;
  private final int[] loudness;

  private SimulatedPulse(int[] millis, int[] loudness) {
    this.millis = millis;
    this.loudness = loudness;
  }

  /**
   * Makes a pulse.
   *
   * @param bpm the rate it goes at, more or less: {@link #bpmOver} tells the rate it came to
   * @param rhythm steady or uneven
   * @param strength how strong its beats are
   * @param fromMillis where it begins, 0 or less
   * @param untilMillis where it ends; the last beat comes after it
   * @throws IllegalArgumentException for a rhythm that is neither, or a time that is none
   */
  public static SimulatedPulse of(
      int bpm, Rhythm rhythm, Strength strength, long seed, int fromMillis, int untilMillis) {
    if (rhythm == Rhythm.TOO_SHORT || fromMillis > 0 || untilMillis <= 0) {
      throw new IllegalArgumentException("a rhythm, from before 0 to after it");
    }
    Random chance = new Random(seed);
    double mean = (double) MINUTE / bpm;
    double breathMillis = 3_600 + 1_600 * chance.nextDouble();
    double inBreath = chance.nextDouble();
    // Some 8 % either way at 50 bpm, under 1 % at 180.
    double swing = 0.08 * Math.min(1, Math.pow(50.0 / bpm, 1.8));

    int[] beats = new int[(untilMillis - fromMillis) * bpm / MINUTE * 2 + 16];
    int[] loud = new int[beats.length];
    double at = fromMillis - chance.nextDouble() * mean;
    int count = 0;
    boolean over = false;
    while (!over && count < beats.length) {
      double breath = Math.sin(2 * Math.PI * (at / breathMillis + inBreath));
      beats[count] = (int) Math.round(at);
      loud[count] = loudness(strength, breath, chance);
      over = beats[count] > untilMillis;
      count++;
      double apart =
          rhythm == Rhythm.UNEVEN
              ? 0.65 + 0.7 * chance.nextDouble()
              : 1 + swing * breath + 0.008 * chance.nextGaussian();
      at += mean * apart;
    }
    return new SimulatedPulse(Arrays.copyOf(beats, count), Arrays.copyOf(loud, count));
  }

  /** In percent of the strongest beat there is. */
  private static int loudness(Strength strength, double breath, Random chance) {
    int middle =
        switch (strength) {
          case WEAK -> 20;
          case NORMAL -> 55;
          case STRONG -> 80;
          case BOUNDING -> 95;
        };
    double wander = 0.1 * breath + 0.1 * (chance.nextDouble() - 0.5);
    return (int) Math.max(8, Math.min(100, Math.round(middle * (1 + wander))));
  }

  /** When each beat comes. */
  public int[] millis() {
    return millis.clone();
  }

  /** How strong each is, 8 to 100 %. */
  public int[] loudness() {
    return loudness.clone();
  }

  /** How many beats come from {@code from} on and before {@code until}. */
  public int beatsIn(int from, int until) {
    return (int) Arrays.stream(millis).filter(beat -> beat >= from && beat < until).count();
  }

  /**
   * The rate between two moments: of the whole intervals that reach from the last beat before the
   * first to the first beat after the second.
   *
   * @throws IllegalArgumentException when the pulse does not reach that far
   */
  public int bpmOver(int from, int until) {
    int first = -1;
    int last = -1;
    for (int i = 0; i < millis.length; i++) {
      if (millis[i] <= from) {
        first = i;
      }
      if (millis[i] >= until && last < 0) {
        last = i;
      }
    }
    if (first < 0 || last <= first) {
      throw new IllegalArgumentException("no pulse from " + from + " to " + until);
    }
    return Rounding.halfUp(
        BigDecimal.valueOf((long) MINUTE * (last - first))
            .divide(BigDecimal.valueOf(millis[last] - millis[first]), MathContext.DECIMAL64));
  }
}
