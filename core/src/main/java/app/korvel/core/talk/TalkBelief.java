package app.korvel.core.talk;

import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Reserve;
import java.util.Arrays;
import java.util.List;

/**
 * What is believed of the two talk rates of one person: a weight for each pair of a lower rate, at
 * which whole sentences come half of the time, and a gap up to the upper one, at which no more than
 * a word or two does half of the time. Weights are together 1. Immutable.
 */
public final class TalkBelief {
  private static final int ABOVE_REST = 10;
  private static final int HIGHEST_LOWER = 220;
  private static final int LEAST_GAP = 5;
  private static final int MOST_GAP = 60;
  private static final double NEGLIGIBLE = 1e-6;

  private static final double LOWER_SHARE = share(Threshold.TALK_LOWER_SHARE);
  private static final double LOWER_SPREAD = share(Threshold.TALK_LOWER_SPREAD);
  private static final double GAP_SHARE = share(Threshold.TALK_GAP_SHARE);
  private static final double GAP_SPREAD = share(Threshold.TALK_GAP_SPREAD);
  private static final double VOICE = Threshold.TALK_VOICE_SCALE.value().doubleValue();

  /** A day's offset in its spreads, and how likely each is: their deviation is exactly one. */
  private static final int[] OFFSETS = {-2, -1, 0, 1, 2};

  private static final int MOST = 2;

  private static final double[] LIKELY = {1 / 16.0, 4 / 16.0, 6 / 16.0, 4 / 16.0, 1 / 16.0};

  private final int firstLower;
  private final int rows;
  private final int columns;

  /** Row by row: those of the lowest lower rate first. */
  private final double[] weights;

  /** Worked out when first asked for; whoever else works them out finds the same. */
  private volatile double[] byLower;

  private volatile double[] byUpper;

  private TalkBelief(int firstLower, int rows, int columns, double[] weights) {
    this.firstLower = firstLower;
    this.rows = rows;
    this.columns = columns;
    this.weights = weights;
  }

  private static double share(Threshold percent) {
    return percent.value().doubleValue() / 100;
  }

  /**
   * A check as it is weighed.
   *
   * @param scale how gradually talk changes around a rate, bpm
   * @param misreport the share of answers that are wrong
   */
  record Weighed(int bpm, Speech speech, double scale, double misreport) {
    static Weighed of(int bpm, Speech speech, double errorBpm, double misreport) {
      double scale = Math.sqrt(VOICE * VOICE + 3 * errorBpm * errorBpm / (Math.PI * Math.PI));
      return new Weighed(bpm, speech, scale, misreport);
    }

    /** How likely whole sentences are, if they end at {@code lower}. */
    private double sentences(double lower) {
      return 1 / (1 + Math.exp((bpm - lower) / scale));
    }

    /** How likely no more than a word or two is, if that begins at {@code upper}. */
    private double words(double upper) {
      return 1 / (1 + Math.exp((upper - bpm) / scale));
    }

    private double told(double chance) {
      return (1 - misreport) * chance + misreport / 3;
    }

    /** How likely this is for someone with those rates. */
    double chance(double lower, double upper) {
      return told(
          switch (speech) {
            case SENTENCES -> sentences(lower);
            case WORDS -> words(upper);
            case PHRASES -> 1 - sentences(lower) - words(upper);
          });
    }
  }

  /** What is believed before any check. */
  public static TalkBelief before(TalkSpan span) {
    Reserve reserve = span.reserve();
    MaximumBelief maximum = span.maximum();
    int resting = reserve.restingBpm();
    int first = resting + ABOVE_REST;
    int rows = HIGHEST_LOWER - first + 1;
    int columns = MOST_GAP - LEAST_GAP + 1;
    double[] weights = new double[rows * columns];
    for (int n = 0; n < maximum.weights().length; n++) {
      int high = maximum.from() + n;
      double room = high - resting;
      double[] lower = bell(first, rows, resting + LOWER_SHARE * room, LOWER_SPREAD * room);
      double[] gap = bell(LEAST_GAP, columns, GAP_SHARE * room, GAP_SPREAD * room);
      for (int row = 0; row < rows; row++) {
        double both = maximum.weights()[n] * lower[row];
        int most = Math.min(columns, high - (first + row) - LEAST_GAP);
        for (int column = 0; column < most; column++) {
          weights[row * columns + column] += both * gap[column];
        }
      }
    }
    return new TalkBelief(first, rows, columns, scaled(weights)).trimmed();
  }

  private static double[] bell(int from, int length, double mean, double spread) {
    double[] weights = new double[length];
    double sum = 0;
    for (int n = 0; n < length; n++) {
      double off = (from + n - mean) / spread;
      weights[n] = Math.exp(-off * off / 2);
      sum += weights[n];
    }
    for (int n = 0; n < length; n++) {
      weights[n] /= sum;
    }
    return weights;
  }

  private static double[] scaled(double[] weights) {
    double sum = 0;
    for (double weight : weights) {
      sum += weight;
    }
    double scale = 1 / sum;
    for (int n = 0; n < weights.length; n++) {
      weights[n] *= scale;
    }
    return weights;
  }

  /** Without the outermost rates that nobody has. */
  private TalkBelief trimmed() {
    double[] byLower = byLower();
    double[] byGap = new double[columns];
    for (int n = 0; n < weights.length; n++) {
      byGap[n % columns] += weights[n];
    }
    int low = 0;
    while (byLower[low] <= NEGLIGIBLE) {
      low++;
    }
    int high = rows - 1;
    while (byLower[high] <= NEGLIGIBLE) {
      high--;
    }
    int wide = columns;
    while (byGap[wide - 1] <= NEGLIGIBLE) {
      wide--;
    }
    int tall = high - low + 1;
    double[] left = new double[tall * wide];
    for (int row = 0; row < tall; row++) {
      System.arraycopy(weights, (low + row) * columns, left, row * wide, wide);
    }
    return new TalkBelief(firstLower + low, tall, wide, scaled(left));
  }

  /**
   * A day.
   *
   * @param after what is believed after it
   * @param chances how likely each of its checks was before it, on a day of its own
   */
  record Day(TalkBelief after, double[] chances) {}

  /**
   * What is believed after a day. All its checks share one offset, and their order does not matter.
   *
   * @param odd whether it was an unusual day
   */
  Day day(List<Weighed> checks, boolean odd) {
    int spread = spread(odd);
    List<Told> told = checks.stream().map(check -> told(check, MOST * spread)).toList();
    double[] byLower = byLower();
    double[] byUpper = byUpper();
    return new Day(
        after(told, spread),
        told.stream().mapToDouble(each -> each.chance(byLower, byUpper, spread)).toArray());
  }

  private TalkBelief after(List<Told> told, int spread) {
    List<Told> both = told.stream().filter(each -> each.of.speech == Speech.PHRASES).toList();
    double[] after = new double[weights.length];
    double[] chances = new double[weights.length];
    double[] byLower = new double[rows];
    double[] byUpper = new double[rows + columns - 1];
    for (int n = 0; n < OFFSETS.length; n++) {
      int shift = (MOST + OFFSETS[n]) * spread;
      Arrays.fill(byLower, LIKELY[n]);
      Arrays.fill(byUpper, 1);
      for (Told each : told) {
        each.oneRate(byLower, byUpper, shift);
      }
      // The last of them adds up: without phrases one pass is enough.
      double[] first = both.isEmpty() ? after : chances;
      Arrays.fill(chances, 0);
      for (int row = 0; row < rows; row++) {
        int at = row * columns;
        double lower = byLower[row];
        for (int column = 0; column < columns; column++) {
          first[at + column] += lower * byUpper[row + column];
        }
      }
      for (int each = 0; each < both.size(); each++) {
        both.get(each)
            .bothRates(chances, each == both.size() - 1 ? after : null, rows, columns, shift);
      }
    }
    for (int n = 0; n < after.length; n++) {
      after[n] *= weights[n];
    }
    return new TalkBelief(firstLower, rows, columns, scaled(after));
  }

  private static int spread(boolean odd) {
    return (odd ? Threshold.TALK_ODD_DAY_SPREAD : Threshold.TALK_DAY_SPREAD).whole();
  }

  /**
   * A check with how likely sentences and words are at every rate that the two may have, whatever
   * the day: worked out once, and read at an offset.
   *
   * @param sentences by lower rates, from the lowest less {@code most} on
   * @param words by upper rates, likewise
   */
  private record Told(Weighed of, double[] sentences, double[] words) {
    /** Sentences need the lower rate alone, and words the upper one. */
    void oneRate(double[] byLower, double[] byUpper, int shift) {
      for (int n = 0; of.speech == Speech.SENTENCES && n < byLower.length; n++) {
        byLower[n] *= of.told(sentences[n + shift]);
      }
      for (int n = 0; of.speech == Speech.WORDS && n < byUpper.length; n++) {
        byUpper[n] *= of.told(words[n + shift]);
      }
    }

    /**
     * Phrases need both; what of it needs one rate only is worked out once a row.
     *
     * @param sum what the chances are added to in the same pass; null for none
     */
    void bothRates(double[] chances, double[] sum, int rows, int columns, int shift) {
      double sure = 1 - of.misreport;
      double[] more = new double[rows + columns - 1];
      for (int n = 0; n < more.length; n++) {
        more[n] = sure * words[n + shift];
      }
      for (int row = 0; row < rows; row++) {
        double fewer = of.told(1 - sentences[row + shift]);
        int at = row * columns;
        if (sum == null) {
          for (int column = 0; column < columns; column++) {
            chances[at + column] *= fewer - more[row + column];
          }
        } else {
          for (int column = 0; column < columns; column++) {
            sum[at + column] += chances[at + column] * (fewer - more[row + column]);
          }
        }
      }
    }

    /**
     * How likely it is by what is believed, on a day of its own: phrases are what is neither
     * sentences nor words, so that each rate is needed by itself only.
     */
    double chance(double[] byLower, double[] byUpper, int spread) {
      double likelySentences = 0;
      double likelyWords = 0;
      for (int n = 0; n < OFFSETS.length; n++) {
        int shift = (MOST + OFFSETS[n]) * spread;
        for (int row = 0; row < byLower.length; row++) {
          likelySentences += LIKELY[n] * byLower[row] * sentences[row + shift];
        }
        for (int at = 0; at < byUpper.length; at++) {
          likelyWords += LIKELY[n] * byUpper[at] * words[at + shift];
        }
      }
      return of.told(
          switch (of.speech) {
            case SENTENCES -> likelySentences;
            case WORDS -> likelyWords;
            case PHRASES -> 1 - likelySentences - likelyWords;
          });
    }
  }

  private Told told(Weighed check, int most) {
    double[] sentences = new double[rows + 2 * most];
    double[] words = new double[rows + columns - 1 + 2 * most];
    Arrays.setAll(sentences, n -> check.sentences(firstLower - most + n));
    Arrays.setAll(words, n -> check.words(firstLower + LEAST_GAP - most + n));
    return new Told(check, sentences, words);
  }

  /** How likely a check is by what is believed now, on a usual day of its own. */
  double chance(Weighed check) {
    int spread = spread(false);
    return told(check, MOST * spread).chance(byLower(), byUpper(), spread);
  }

  /** What is believed so many weeks later: nobody stays quite as they are. */
  TalkBelief afterWeeks(int weeks) {
    double[] now = weights;
    for (int week = 0; week < weeks; week++) {
      double[] next = new double[now.length];
      for (int row = 0; row < rows; row++) {
        int here = row * columns;
        // What would leave at either end stays in the outermost row.
        int under = Math.max(0, row - 1) * columns;
        int over = Math.min(rows - 1, row + 1) * columns;
        for (int column = 0; column < columns; column++) {
          next[here + column] =
              now[here + column] / 2 + (now[under + column] + now[over + column]) / 4;
        }
      }
      now = next;
    }
    return weeks == 0 ? this : new TalkBelief(firstLower, rows, columns, now);
  }

  /** The weights of each lower rate; asked for several times a day. */
  private double[] byLower() {
    if (byLower == null) {
      double[] sums = new double[rows];
      for (int row = 0; row < rows; row++) {
        double sum = 0;
        for (int at = row * columns; at < (row + 1) * columns; at++) {
          sum += weights[at];
        }
        sums[row] = sum;
      }
      byLower = sums;
    }
    return byLower;
  }

  private double[] byUpper() {
    if (byUpper == null) {
      double[] sums = new double[rows + columns - 1];
      for (int row = 0; row < rows; row++) {
        int at = row * columns;
        for (int column = 0; column < columns; column++) {
          sums[row + column] += weights[at + column];
        }
      }
      byUpper = sums;
    }
    return byUpper;
  }

  /** What is believed of the lower talk rate. */
  public Spread lower() {
    return Spread.of(firstLower, byLower());
  }

  /** What is believed of the upper talk rate. */
  public Spread upper() {
    return Spread.of(firstLower + LEAST_GAP, byUpper());
  }

  /** How strongly it is believed that the lower talk rate is under a rate. */
  public double lowerUnder(int bpm) {
    double sum = 0;
    double[] byLower = byLower();
    for (int row = 0; row < rows && firstLower + row < bpm; row++) {
      sum += byLower[row];
    }
    return sum;
  }

  /** The most that is believed of the lowest or the highest rate, of the lower talk rate. */
  double outermostLower() {
    double[] sums = byLower();
    return Math.max(sums[0], sums[sums.length - 1]);
  }

  /** The same of the upper talk rate. */
  double outermostUpper() {
    double[] sums = byUpper();
    return Math.max(sums[0], sums[sums.length - 1]);
  }
}
