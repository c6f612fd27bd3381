package app.korvel.core.trace;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * A recording as a device of somebody's own made it. Nothing of the person is in it.
 *
 * @param startedAt the time of its first point
 * @param seconds the second of each point, from 1, rising
 * @param bpm its rate; 0 without contact
 * @param steps both feet, a minute, for each point, 0 where none was told; empty where the device
 *     did not record them
 * @param stepsDoubled whether the device counted one foot
 */
public record DeviceRecording(
    Instant startedAt, int[] seconds, int[] bpm, int[] steps, boolean stepsDoubled) {

  /** A stretch without a rate, both seconds included. */
  public record Gap(int fromSecond, int toSecond) {}

  private static final int MS = 1000;

  /** Within the second that it belongs to. */
  private static final int INTO_SECOND = 10;

  private static final int BOTH_FEET = 2;

  /** How many points it has. */
  public int points() {
    return seconds.length;
  }

  /** Its last second. */
  public int length() {
    return seconds[seconds.length - 1];
  }

  /** When its last point was recorded. */
  public Instant endedAt() {
    return startedAt.plusSeconds(length());
  }

  /**
   * Whether it has so few points that it serves times and load only: no peak, no drop, no step rate
   * and no comparison.
   */
  public boolean sparse() {
    int[] apart =
        IntStream.range(1, seconds.length).map(n -> seconds[n] - seconds[n - 1]).sorted().toArray();
    return apart.length > 0 && apart[(apart.length - 1) / 2] > Threshold.RECORDING_SPARSE.whole();
  }

  /** Its rates as samples; those of a sparse one are not held yet. */
  public Samples samples() {
    return new Samples(
        startedAt,
        Arrays.stream(seconds).map(each -> (each - 1) * MS + INTO_SECOND).toArray(),
        bpm);
  }

  /** Second by second; a sparse one holds each rate until the next. */
  public Trace trace() {
    Samples held = sparse() ? samples().held() : samples();
    return held.trace(startedAt, endedAt());
  }

  /** The step rate by second less one; empty where the device did not record steps. */
  public int[] stepsBySecond() {
    if (steps.length == 0) {
      return steps;
    }
    int[] bySecond = new int[length()];
    for (int n = 0; n < seconds.length; n++) {
      int until = n + 1 < seconds.length ? seconds[n + 1] : seconds[n] + 1;
      int last = Math.min(until, seconds[n] + Trace.HELD_SECONDS + 1);
      Arrays.fill(bySecond, seconds[n] - 1, Math.min(bySecond.length, last - 1), steps[n]);
    }
    return bySecond;
  }

  /** Stretches of over 10 s in which nothing is known. */
  public List<Gap> gaps() {
    Trace trace = trace();
    List<Gap> gaps = new ArrayList<>();
    int from = 1;
    for (int second = 1; second <= trace.seconds() + 1; second++) {
      if (second > trace.seconds() || trace.value(second).isPresent()) {
        if (second - from > Threshold.RECORDING_GAP.whole()) {
          gaps.add(new Gap(from, second - 1));
        }
        from = second + 1;
      }
    }
    return gaps;
  }

  /**
   * Whether it is the same as another, or a second sensor of the same session: it starts within 60
   * s and is as long within 5 %.
   *
   * @param length of the other, in seconds
   */
  public boolean alongside(Instant otherStartedAt, int length) {
    return Duration.between(startedAt, otherStartedAt).abs().toSeconds()
            <= Threshold.RECORDING_SAME_START.whole()
        && 100L * Math.abs(length() - length)
            <= (long) Threshold.RECORDING_SAME_LENGTH.whole() * length;
  }

  /** What is to be known of it. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (sparse()) {
      findings.add(TraceFinding.RECORDING_SPARSE.of());
    }
    if (stepsDoubled) {
      findings.add(TraceFinding.STEPS_DOUBLED.of());
    }
    List<Gap> gaps = gaps();
    if (!gaps.isEmpty()) {
      int lost = gaps.stream().mapToInt(gap -> gap.toSecond - gap.fromSecond + 1).sum();
      findings.add(TraceFinding.RECORDING_GAPS.of(gaps.size(), lost));
    }
    return findings;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof DeviceRecording that
        && startedAt.equals(that.startedAt)
        && stepsDoubled == that.stepsDoubled
        && Arrays.equals(seconds, that.seconds)
        && Arrays.equals(bpm, that.bpm)
        && Arrays.equals(steps, that.steps);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(bpm) * 31 + startedAt.hashCode();
  }

  /** Takes points one by one, so that no file has to be held whole. */
  public static final class Builder {
    private static final int FIRST_SIZE = 4096;
    private static final int UNKNOWN = -1;

    private Instant startedAt = Instant.EPOCH;
    private int[] seconds = new int[FIRST_SIZE];
    private int[] bpm = new int[FIRST_SIZE];
    private int[] steps = new int[FIRST_SIZE];
    private int size;
    private boolean stepped;
    private long lastMs;

    /**
     * Adds a point. A rate outside 25 to 240, of 0 or 255 too, is one without contact. Of one
     * second the last counts.
     *
     * @param steps as the device counts them; negative where it told none
     * @param place where in the file it stands, for example {@code line 12}
     * @throws InvalidValueException when it lies before the one before it, or over twelve hours
     *     after the first
     */
    public void add(Instant at, int rate, int stepRate, Supplier<String> place) {
      if (size == 0) {
        startedAt = at;
      }
      long ms = at.toEpochMilli() - startedAt.toEpochMilli();
      if (ms < lastMs) {
        throw InvalidValueException.of(
            "file", place.get() + ": its time lies before the one before it", "times that rise");
      }
      if (ms >= (long) MS * Trace.MOST_SECONDS) {
        throw InvalidValueException.of(
            "file",
            place.get() + ": lies over 12 h after the start",
            "a recording of up to 12 h; cut it and bring in the parts");
      }
      lastMs = ms;
      int second = (int) (ms / MS) + 1;
      boolean again = size > 0 && seconds[size - 1] == second;
      int index = again ? size - 1 : size;
      if (index == seconds.length) {
        seconds = Arrays.copyOf(seconds, 2 * index);
        bpm = Arrays.copyOf(bpm, 2 * index);
        steps = Arrays.copyOf(steps, 2 * index);
      }
      seconds[index] = second;
      bpm[index] = rate >= Trace.LOWEST && rate <= Trace.HIGHEST ? rate : 0;
      steps[index] = Math.max(UNKNOWN, stepRate);
      stepped |= stepRate > 0;
      size = index + 1;
    }

    /** Whether it is long enough to be a recording, with a rate in it. */
    public boolean recordable() {
      return size > 0
          && seconds[size - 1] >= Threshold.RECORDING_SHORTEST.whole()
          && Arrays.stream(bpm, 0, size).anyMatch(each -> each > 0);
    }

    /**
     * The recording.
     *
     * @throws InvalidValueException when no rate is in it, or it is shorter than a minute
     */
    public DeviceRecording build() {
      int[] rates = Arrays.copyOf(bpm, size);
      if (Arrays.stream(rates).allMatch(each -> each == 0)) {
        throw InvalidValueException.of(
            "file",
            size == 0 ? "holds no recording" : "holds no heart rate in " + size + " points",
            "a recording with heart rates of 25 to 240 bpm");
      }
      int least = Threshold.RECORDING_SHORTEST.whole();
      if (seconds[size - 1] < least) {
        throw InvalidValueException.of(
            "file", "lasts " + seconds[size - 1] + " s", "a recording of " + least + " s or more");
      }
      int[] told = stepped ? Arrays.copyOf(steps, size) : new int[0];
      boolean oneFoot = oneFoot(told);
      return new DeviceRecording(
          startedAt,
          Arrays.copyOf(seconds, size),
          rates,
          Arrays.stream(told).map(each -> Math.max(0, each) * (oneFoot ? BOTH_FEET : 1)).toArray(),
          oneFoot);
    }

    /** Whether most step rates are too low for both feet. */
    private static boolean oneFoot(int[] told) {
      long all = Arrays.stream(told).filter(each -> each > 0).count();
      long low =
          Arrays.stream(told)
              .filter(each -> each > 0 && each < Threshold.STEPS_ONE_FOOT.whole())
              .count();
      return BOTH_FEET * low > all;
    }
  }
}
