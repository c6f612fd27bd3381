package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Rates;
import app.korvel.core.outline.StepKind;
import app.korvel.core.run.Leg;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What one leg of a session came to, in seconds; what its clock stood for is in nothing else.
 *
 * @param row the step it was, from 0
 * @param kind what the step is for
 * @param rates its target, if it had one by rate
 * @param histogram seconds at each smoothed rate, by bpm from 0 to {@link Trace#HIGHEST}
 * @param noData seconds without a rate
 * @param paused seconds in which its clock stood
 * @param ran seconds by its clock: without pauses, and without waiting for the target
 */
public record Tally(
    int row,
    StepKind kind,
    Optional<Rates> rates,
    int[] histogram,
    int noData,
    int paused,
    int ran) {

  /** What the legs of a run came to. */
  static List<Tally> of(Trace trace, Run run, Course course, LivePlan plan) {
    List<Tally> all = new ArrayList<>();
    for (int n = 0; n < run.legs().size(); n++) {
      Leg leg = run.legs().get(n);
      int from = course.steps().get(n).fromSecond();
      int to =
          n + 1 < course.steps().size()
              ? course.steps().get(n + 1).fromSecond() - 1
              : (int) Duration.between(run.begunAt(), leg.endedAt().orElse(run.at())).toSeconds();
      int[] histogram = new int[Trace.HIGHEST + 1];
      int noData = 0;
      int paused = 0;
      for (int second = from; second <= Math.min(to, trace.seconds()); second++) {
        int bpm = trace.smoothed(second).orElse(0);
        if (course.paused().get(second)) {
          paused++;
        } else if (bpm == 0) {
          noData++;
        } else {
          histogram[bpm]++;
        }
      }
      LivePlan.PlanStep step = plan.steps().get(leg.row());
      all.add(
          new Tally(
              leg.row(),
              step.kind(),
              step.aim().flatMap(Aim::rates),
              histogram,
              noData,
              paused,
              (int) leg.ran(run.at()).toSeconds()));
    }
    return all;
  }

  /** Seconds with a rate. */
  public int data() {
    return Arrays.stream(histogram).sum();
  }

  /** Seconds with and without a rate, without pauses. */
  public int seconds() {
    return data() + noData;
  }

  /** Seconds under, within and over its target; none of it without one. */
  public int[] against() {
    int[] times = new int[3];
    rates.ifPresent(
        target -> {
          for (int bpm = 0; bpm < histogram.length; bpm++) {
            times[target.vote(bpm) + 1] += histogram[bpm];
          }
        });
    return times;
  }

  /** The seconds of several at each rate together. */
  public static int[] together(List<Tally> all) {
    int[] sum = new int[Trace.HIGHEST + 1];
    for (Tally tally : all) {
      for (int bpm = 0; bpm < sum.length; bpm++) {
        sum[bpm] += tally.histogram[bpm];
      }
    }
    return sum;
  }

  /** Seconds at a level, up to a rate. */
  static int secondsAt(List<Tally> all, Level level, Reserve reserve, int upTo) {
    int[] sum = together(all);
    int seconds = 0;
    for (int bpm = Trace.LOWEST; bpm <= Math.min(upTo, Trace.HIGHEST); bpm++) {
      seconds += sum[bpm] > 0 && Level.atRate(bpm, reserve) == level ? sum[bpm] : 0;
    }
    return seconds;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Tally that
        && row == that.row
        && kind == that.kind
        && rates.equals(that.rates)
        && Arrays.equals(histogram, that.histogram)
        && noData == that.noData
        && paused == that.paused
        && ran == that.ran;
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(histogram) * 31 + row;
  }
}
