package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.trace.Samples;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The samples of a session as they are known to be its own, and as they were thought to be before
 * straps were found to be swapped.
 *
 * @param before in the order of the moments until which they were thought so
 * @param device what is known of a recording that was made elsewhere; empty for one made here
 */
public record Recording(Samples samples, List<Before> before, Optional<Device> device) {
  /** What was thought to be its own until a moment. */
  public record Before(Instant until, Samples samples) {}

  /**
   * A device of somebody's own.
   *
   * @param sparse whether its points lie so far apart that they serve times and load only
   * @param steps the step rate by second less one; empty where it did not record steps
   * @param broughtIn whether nobody saw when the steps of the session began
   */
  public record Device(boolean sparse, int[] steps, boolean broughtIn) {}

  /**
   * How good a recording is beside others of the same session: of several the strongest is used,
   * and no other. One with all its points comes before a sparse one, then a strap before a wrist.
   *
   * @param sparse whether it has few points
   * @param source what read it
   */
  public record Strength(boolean sparse, RateSource source) implements Comparable<Strength> {
    private static final Comparator<Strength> STRONGEST_FIRST =
        Comparator.comparing(Strength::sparse)
            .thenComparing(each -> each.source != RateSource.STRAP);

    @Override
    public int compareTo(Strength other) {
      return STRONGEST_FIRST.compare(this, other);
    }
  }

  public Recording {
    before = List.copyOf(before);
  }

  /** Samples of straps that were swapped. */
  public Recording(Samples samples, List<Before> before) {
    this(samples, before, Optional.empty());
  }

  /** Samples that were never thought to be somebody else's. */
  public static Recording of(Samples samples) {
    return new Recording(samples, List.of());
  }

  /** Samples of somebody's own device; a sparse one holds each until the next. */
  public static Recording of(Samples samples, Device device) {
    return new Recording(device.sparse ? samples.held() : samples, List.of(), Optional.of(device));
  }

  /** Whether somebody saw when the steps of the session began. */
  public boolean seen() {
    return device.filter(Device::broughtIn).isEmpty();
  }

  /** Whether it is dense enough for a peak or a recovery. */
  public boolean dense() {
    return device.filter(Device::sparse).isEmpty();
  }

  /** The step rate by second less one; empty where it is not known. */
  int[] steps() {
    return device.map(Device::steps).orElse(new int[0]);
  }
}
