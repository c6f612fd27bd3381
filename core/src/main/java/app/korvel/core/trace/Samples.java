package app.korvel.core.trace;

import app.korvel.core.measure.Threshold;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;

/**
 * Samples as they came from a sensor, in the order of their times: arrays of one length.
 *
 * @param since from when on their times count
 * @param at milliseconds since then, not falling
 * @param bpm the rate; 0 where the sensor had no contact or told none
 */
public record Samples(Instant since, int[] at, int[] bpm) {
  private static final int MS = 1000;

  public Samples {
    if (at.length != bpm.length) {
      throw new IllegalArgumentException("Each sample has a time and a rate.");
    }
  }

  /** None yet. */
  public static Samples none(Instant since) {
    return new Samples(since, new int[0], new int[0]);
  }

  /** How many there are. */
  public int size() {
    return at.length;
  }

  /** These and others, in the order of their times; of equal times those that came later last. */
  public Samples with(int[] otherAt, int[] otherBpm) {
    int[] allAt = new int[at.length + otherAt.length];
    int[] allBpm = new int[allAt.length];
    int mine = 0;
    int other = 0;
    for (int n = 0; n < allAt.length; n++) {
      boolean take = other == otherAt.length || mine < at.length && at[mine] <= otherAt[other];
      allAt[n] = take ? at[mine] : otherAt[other];
      allBpm[n] = take ? bpm[mine++] : otherBpm[other++];
    }
    return new Samples(since, allAt, allBpm);
  }

  /**
   * Those of a stretch of time.
   *
   * @param from the first moment of it
   * @param to the first moment after it; empty where it does not end
   */
  public Samples between(Instant from, Optional<Instant> to) {
    int first = place(from);
    int last = to.map(this::place).orElse(at.length);
    return new Samples(
        since,
        Arrays.copyOfRange(at, first, Math.max(first, last)),
        Arrays.copyOfRange(bpm, first, Math.max(first, last)));
  }

  /** How many were taken before a moment. */
  private int place(Instant moment) {
    int place = 0;
    while (place < at.length && since.plusMillis(at[place]).isBefore(moment)) {
      place++;
    }
    return place;
  }

  /**
   * The same with times that count from another moment; what lies before it is at its beginning.
   */
  public Samples countedFrom(Instant other) {
    long shift = Duration.between(other, since).toMillis();
    return new Samples(
        other, Arrays.stream(at).map(each -> (int) Math.max(0, each + shift)).toArray(), bpm);
  }

  /**
   * The same where each rate holds until the next, for ten seconds at most: a sample every second
   * in between, as far as a trace does not hold it by itself.
   */
  public Samples held() {
    int most = Threshold.RECORDING_HELD.whole() - Trace.HELD_SECONDS;
    int[] allAt = new int[at.length * (most + 1)];
    int[] allBpm = new int[allAt.length];
    int count = 0;
    for (int n = 0; n < at.length; n++) {
      int next = n + 1 < at.length ? at[n + 1] : at[n];
      for (int later = 0; later == 0 || later <= most && at[n] + later * MS < next; later++) {
        allAt[count] = at[n] + later * MS;
        allBpm[count++] = bpm[n];
      }
    }
    return new Samples(since, Arrays.copyOf(allAt, count), Arrays.copyOf(allBpm, count));
  }

  /** When the last sample was taken; {@link #since} where there is none. */
  public Instant lastAt() {
    return at.length == 0 ? since : since.plusMillis(at[at.length - 1]);
  }

  /**
   * The seconds of a recording that begins at a moment.
   *
   * @param begun a sample belongs to the first full second at or after it; those before are left
   *     out
   * @param until the last moment that is looked at
   */
  public Trace trace(Instant begun, Instant until) {
    int shift = Math.toIntExact(Duration.between(since, begun).toMillis());
    int first = 0;
    while (first < at.length && at[first] <= shift) {
      first++;
    }
    int[] seconds = new int[at.length - first];
    for (int n = 0; n < seconds.length; n++) {
      seconds[n] = (at[first + n] - shift + MS - 1) / MS;
    }
    int length = (int) Math.max(0, Duration.between(begun, until).toSeconds());
    return Trace.of(seconds, Arrays.copyOfRange(bpm, first, at.length), length);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Samples that
        && since.equals(that.since)
        && Arrays.equals(at, that.at)
        && Arrays.equals(bpm, that.bpm);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(at) * 31 + Arrays.hashCode(bpm);
  }
}
