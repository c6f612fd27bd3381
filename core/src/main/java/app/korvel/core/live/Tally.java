package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Rates;
import app.korvel.core.live.Course.Step;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.trace.Trace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * What one step of a session came to, in seconds. Those in which its clock stood are in nothing
 * else.
 *
 * @param use what the step is for
 * @param rates its target, if it had one by rate
 * @param histogram seconds at each smoothed rate, by bpm from 0 to {@link Trace#HIGHEST}
 * @param noData seconds without a rate
 * @param paused seconds in which its clock stood
 */
public record Tally(StepFor use, Optional<Rates> rates, int[] histogram, int noData, int paused) {

  /**
   * Seconds against a target.
   *
   * @param below under it
   * @param in within it, both edges included
   * @param above over it
   */
  public record Against(int below, int in, int above) {
    private Against plus(Against other) {
      return new Against(below + other.below, in + other.in, above + other.above);
    }
  }

  /** What the steps of a recording came to, in their order. */
  public static List<Tally> of(Trace trace, Course course) {
    List<Tally> all = new ArrayList<>();
    List<Step> steps = course.steps();
    int last = Math.min(course.lastSecond(), trace.seconds());
    for (int n = 0; n < steps.size(); n++) {
      int to = n + 1 < steps.size() ? Math.min(last, steps.get(n + 1).fromSecond() - 1) : last;
      int[] histogram = new int[Trace.HIGHEST + 1];
      int noData = 0;
      int paused = 0;
      for (int second = steps.get(n).fromSecond(); second <= to; second++) {
        int bpm = trace.smoothed(second).orElse(0);
        if (course.paused().get(second)) {
          paused++;
        } else if (bpm == 0) {
          noData++;
        } else {
          histogram[bpm]++;
        }
      }
      Optional<Rates> rates = steps.get(n).aim().flatMap(Aim::rates);
      all.add(new Tally(steps.get(n).use(), rates, histogram, noData, paused));
    }
    return all;
  }

  /** Seconds with and without a rate, without pauses. */
  public int seconds() {
    return Arrays.stream(histogram).sum() + noData;
  }

  private Against against() {
    int[] times = new int[3];
    rates.ifPresent(
        target -> {
          for (int bpm = 0; bpm < histogram.length; bpm++) {
            times[target.vote(bpm) + 1] += histogram[bpm];
          }
        });
    return new Against(times[0], times[1], times[2]);
  }

  /** The seconds of several against their targets; of a step without one, none. */
  public static Against against(Collection<Tally> all) {
    return all.stream().map(Tally::against).reduce(new Against(0, 0, 0), Against::plus);
  }

  /** The seconds of several at each rate together. */
  public static int[] together(Collection<Tally> all) {
    int[] sum = new int[Trace.HIGHEST + 1];
    for (Tally tally : all) {
      for (int bpm = 0; bpm < sum.length; bpm++) {
        sum[bpm] += tally.histogram[bpm];
      }
    }
    return sum;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Tally that
        && use == that.use
        && rates.equals(that.rates)
        && Arrays.equals(histogram, that.histogram)
        && noData == that.noData
        && paused == that.paused;
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(histogram) * 31 + use.hashCode();
  }
}
