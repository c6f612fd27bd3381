package app.korvel.core.fieldtest;

import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.PulseSource;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * Something that happened in a field test. A run is the series of them; where it stands follows
 * from the series and the time.
 *
 * @param id given by whoever saw it happen, so that sending it twice enters it once
 * @param at when it happened
 * @param kind what happened
 * @param bout which bout, for {@link Kind#ANSWERED}
 * @param bpm the rate, {@link Limit#TEST_READING}, for {@link Kind#READING}
 * @param source where the rate came from, for {@link Kind#READING}: counted, strap or wrist
 * @param yes the answer to the question about a bout, for {@link Kind#ANSWERED}
 * @param of the reading, the finish or the stop that is withdrawn, for {@link Kind#TAKEN_BACK}
 * @param words why, for {@link Kind#STOPPED}; otherwise empty
 */
public record FieldTestEvent(
    UUID id,
    Instant at,
    Kind kind,
    Optional<Integer> bout,
    Optional<Integer> bpm,
    Optional<PulseSource> source,
    Optional<Boolean> yes,
    Optional<UUID> of,
    String words) {

  /** What can happen. */
  public enum Kind {
    BOUT_STARTED,
    /** Before its time was over. */
    BOUT_ENDED,
    READING,
    TAKEN_BACK,
    ANSWERED,
    FINISHED,
    STOPPED
  }

  public FieldTestEvent {
    Objects.requireNonNull(id);
    Objects.requireNonNull(at);
    Objects.requireNonNull(kind);
    Objects.requireNonNull(bout);
    Objects.requireNonNull(bpm);
    Objects.requireNonNull(source);
    Objects.requireNonNull(yes);
    Objects.requireNonNull(of);
    Objects.requireNonNull(words);
  }

  /** One that needs nothing but its moment. */
  public static FieldTestEvent of(UUID id, Instant at, Kind kind) {
    return new FieldTestEvent(
        id,
        at,
        kind,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        "");
  }

  /** A rate that was read off. */
  public static FieldTestEvent reading(UUID id, Instant at, int bpm, PulseSource source) {
    return new FieldTestEvent(
        id,
        at,
        Kind.READING,
        Optional.empty(),
        Optional.of(bpm),
        Optional.of(source),
        Optional.empty(),
        Optional.empty(),
        "");
  }

  /** The answer to the question about a bout; a later one takes the place of an earlier one. */
  public static FieldTestEvent answered(UUID id, Instant at, int bout, boolean yes) {
    return new FieldTestEvent(
        id,
        at,
        Kind.ANSWERED,
        Optional.of(bout),
        Optional.empty(),
        Optional.empty(),
        Optional.of(yes),
        Optional.empty(),
        "");
  }

  /** A reading, the finish or the stop is withdrawn. */
  public static FieldTestEvent takenBack(UUID id, Instant at, UUID event) {
    return new FieldTestEvent(
        id,
        at,
        Kind.TAKEN_BACK,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.of(event),
        "");
  }

  /** Stopped at a sign. */
  public static FieldTestEvent stopped(UUID id, Instant at, String why) {
    return new FieldTestEvent(
        id,
        at,
        Kind.STOPPED,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        why);
  }
}
