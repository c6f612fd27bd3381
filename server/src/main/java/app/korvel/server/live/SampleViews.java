package app.korvel.server.live;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.StopSign;
import app.korvel.core.trace.Trace;
import app.korvel.studio.live.TakeSamples;
import app.korvel.studio.live.TakeSamples.Decoded;
import app.korvel.studio.live.TakeSamples.Handed;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What sessions on the clock and tests have in common: heart rates as they come, and stop signs.
 */
public final class SampleViews {
  private SampleViews() {}

  /**
   * Samples.
   *
   * @param at when each was taken, in milliseconds since 1970, not falling
   * @param bpm its rate; null where packets are handed on
   * @param contact whether each had skin contact; null where all had
   * @param packets as the strap sent them, in hexadecimal figures; null where rates are given
   */
  public record SamplesRequest(
      List<Long> at,
      @Nullable List<Integer> bpm,
      @Nullable List<Boolean> contact,
      @Nullable List<String> packets) {

    public Decoded decoded() {
      List<Instant> times = at.stream().map(Instant::ofEpochMilli).toList();
      if ((bpm == null) == (packets == null)) {
        throw InvalidValueException.of("bpm", "is missing or one too many", "rates, or packets");
      }
      if (packets != null) {
        if (packets.size() != at.size()) {
          throw InvalidValueException.of(
              "packets", "are " + packets.size() + " for " + at.size() + " times", "one for each");
        }
        return Handed.ofPackets(times, packets);
      }
      return new Decoded(new Handed(times, inContact()), List.of());
    }

    private List<Integer> inContact() {
      if (contact != null && contact.size() != bpm.size()) {
        throw InvalidValueException.of(
            "contact", "is told " + contact.size() + " times", "once for each sample");
      }
      List<Integer> rates = new ArrayList<>(bpm);
      for (int n = 0; contact != null && n < rates.size(); n++) {
        rates.set(n, contact.get(n) ? rates.get(n) : 0);
      }
      return rates;
    }
  }

  /** A packet that could not be read. */
  public record BrokenPacket(String field, String message, String accepted) {}

  /**
   * What became of samples, now that they are on disk.
   *
   * @param isNew false where they had been handed in before
   * @param withoutRate how many had no rate that counts: no contact, or outside 25 to 240
   * @param broken packets that could not be read; the others were taken
   */
  public record SamplesTaken(
      long sequence, boolean isNew, int withoutRate, List<BrokenPacket> broken) {
    public static SamplesTaken of(long sequence, TakeSamples.Taken taken, Decoded decoded) {
      return new SamplesTaken(
          sequence,
          taken.isNew(),
          taken.withoutRate(),
          decoded.broken().stream()
              .map(each -> new BrokenPacket(each.field(), each.message(), each.accepted()))
              .toList());
    }
  }

  /** A sign to stop at. */
  public record StopSignOption(StopSign sign, String words) {
    /** All of them. */
    public static final List<StopSignOption> ALL =
        Arrays.stream(StopSign.values())
            .map(each -> new StopSignOption(each, each.words()))
            .toList();
  }

  /**
   * Seconds of the smoothed rate.
   *
   * @param from the second of the first
   * @param bpm 0 where there is none
   */
  public record TraceView(int from, int[] bpm) {
    public static TraceView of(Trace trace, int from) {
      int[] bpm = new int[Math.max(0, trace.seconds() - from + 1)];
      for (int n = 0; n < bpm.length; n++) {
        bpm[n] = trace.smoothed(from + n).orElse(0);
      }
      return new TraceView(from, bpm);
    }
  }
}
