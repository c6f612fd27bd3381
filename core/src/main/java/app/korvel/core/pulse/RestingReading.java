package app.korvel.core.pulse;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * One resting pulse with its circumstances.
 *
 * @param id UUIDv7
 * @param takenAt when
 * @param bpm {@link Limit#RESTING}
 * @param count the count behind it, for {@link PulseSource#COUNT}
 * @param tappedSeconds how long was tapped along, for {@link PulseSource#TAP}
 * @param posture how the client was placed
 * @param source where the rate came from
 * @param minutesRested quiet minutes beforehand, {@link Limit#MINUTES_RESTED}
 * @param disturbances what may have disturbed it
 * @param felt what the hand noticed besides the rate
 * @param asUsual whether it is to count although it departs far from what was taken earlier that
 *     day
 */
public record RestingReading(
    UUID id,
    Instant takenAt,
    int bpm,
    Optional<PulseCount> count,
    Optional<Integer> tappedSeconds,
    Posture posture,
    PulseSource source,
    int minutesRested,
    Set<Confounder> disturbances,
    Palpation felt,
    boolean asUsual) {

  /** Quiet minutes that the standard protocol asks for, at least. */
  public static final int STANDARD_MINUTES = Threshold.RESTING_QUIET.whole();

  /** Quiet minutes to choose from, the standard first. */
  public static final List<Integer> QUIET_TIMES =
      List.of(
          STANDARD_MINUTES,
          Threshold.RESTING_QUIET_BETTER.whole(),
          Threshold.RESTING_QUIET_LONG.whole());

  private static final int FULL_MINUTE = 60;

  /** The shortest count that can be graded good, in seconds. */
  public static final int STANDARD_SECONDS = Threshold.RESTING_COUNT.whole();

  /**
   * A reading.
   *
   * @throws InvalidValueException when rate or minutes are outside their limits
   */
  public RestingReading {
    Objects.requireNonNull(id);
    Objects.requireNonNull(takenAt);
    Objects.requireNonNull(count);
    Objects.requireNonNull(posture);
    Objects.requireNonNull(source);
    Objects.requireNonNull(felt);
    if (count.isPresent() != (source == PulseSource.COUNT)) {
      throw new IllegalArgumentException("a count belongs to the source COUNT, and to no other");
    }
    if (tappedSeconds.isPresent() != (source == PulseSource.TAP)) {
      throw new IllegalArgumentException(
          "tapped seconds belong to the source TAP, and to no other");
    }
    tappedSeconds.ifPresent(seconds -> Limit.TAPPED.check("tappedSeconds", seconds));
    disturbances =
        Set.copyOf(
            disturbances.isEmpty()
                ? EnumSet.noneOf(Confounder.class)
                : EnumSet.copyOf(disturbances));
    Limit.RESTING.check(count.isPresent() ? "beats" : "bpm", bpm);
    Limit.MINUTES_RESTED.check("minutesRested", minutesRested);
  }

  /**
   * A reading counted by hand.
   *
   * @throws InvalidValueException when the rate is outside {@link Limit#RESTING}, naming the beats
   *     that are accepted
   */
  public static RestingReading counted(
      UUID id,
      Instant takenAt,
      PulseCount count,
      Posture posture,
      int minutesRested,
      Set<Confounder> disturbances) {
    if (!Limit.RESTING.accepts(count.bpm())) {
      throw InvalidValueException.of(
          "beats",
          count.bpm()
              + " bpm is not kept as a resting pulse; count again for 60 s, and if it "
              + "stays, no training before a medical review",
          "beats that make " + Limit.RESTING.accepted());
    }
    return new RestingReading(
        id,
        takenAt,
        count.bpm(),
        Optional.of(count),
        Optional.empty(),
        posture,
        PulseSource.COUNT,
        minutesRested,
        disturbances,
        Palpation.NOTHING,
        false);
  }

  /**
   * A reading tapped along.
   *
   * @param seconds how long was tapped, {@link Limit#TAPPED}
   */
  public static RestingReading tapped(
      UUID id,
      Instant takenAt,
      int bpm,
      int seconds,
      Posture posture,
      int minutesRested,
      Set<Confounder> disturbances) {
    return new RestingReading(
        id,
        takenAt,
        bpm,
        Optional.empty(),
        Optional.of(seconds),
        posture,
        PulseSource.TAP,
        minutesRested,
        disturbances,
        Palpation.NOTHING,
        false);
  }

  /** Read off a device: strap, wrist or overnight. */
  public static RestingReading sampled(
      UUID id,
      Instant takenAt,
      int bpm,
      Posture posture,
      PulseSource source,
      int minutesRested,
      Set<Confounder> disturbances) {
    return new RestingReading(
        id,
        takenAt,
        bpm,
        Optional.empty(),
        Optional.empty(),
        posture,
        source,
        minutesRested,
        disturbances,
        Palpation.NOTHING,
        false);
  }

  /** The same reading, with what the hand noticed. */
  public RestingReading withFelt(Palpation noticed) {
    return with(id, takenAt, noticed, asUsual);
  }

  /** The same reading, to be taken as usual although it departs far, or not. */
  public RestingReading takenAsUsual(boolean usual) {
    return with(id, takenAt, felt, usual);
  }

  /** The same reading under another id: what a correction or its undoing puts in its place. */
  public RestingReading withId(UUID other) {
    return with(other, takenAt, felt, asUsual);
  }

  /** The same reading, taken at another moment. */
  public RestingReading withTakenAt(Instant moment) {
    return with(id, moment, felt, asUsual);
  }

  private RestingReading with(
      UUID otherId, Instant otherMoment, Palpation otherFelt, boolean usual) {
    return new RestingReading(
        otherId,
        otherMoment,
        bpm,
        count,
        tappedSeconds,
        posture,
        source,
        minutesRested,
        disturbances,
        otherFelt,
        usual);
  }

  /**
   * Each way in which it departs from the standard protocol, in words.
   *
   * @return none for a good reading
   */
  public List<String> departures() {
    List<String> departures = new ArrayList<>();
    if (!posture.standard()) {
      departures.add("standing");
    }
    if (minutesRested < STANDARD_MINUTES && source != PulseSource.OVERNIGHT) {
      departures.add(
          "rested " + minutesRested + " min, not the " + STANDARD_MINUTES + " it takes to settle");
    }
    if (windowSeconds() < STANDARD_SECONDS) {
      departures.add(
          (tappedSeconds.isPresent() ? "tapped for " : "counted for ")
              + windowSeconds()
              + " s, under "
              + STANDARD_SECONDS);
    }
    if (felt.uneven() && windowSeconds() < FULL_MINUTE) {
      departures.add("uneven, and not counted for a full minute");
    }
    disturbances.stream()
        .sorted()
        .map(disturbance -> disturbance.name().toLowerCase(java.util.Locale.ROOT))
        .forEach(departures::add);
    return departures;
  }

  /**
   * Good with no departure from the standard protocol, fair with one, poor with more or from a
   * count of 10 s or less.
   */
  public Grade grade() {
    if (windowSeconds() <= Threshold.RESTING_POOR_COUNT.whole()) {
      return Grade.POOR;
    }
    int departures = departures().size();
    return departures == 0 ? Grade.GOOD : departures == 1 ? Grade.FAIR : Grade.POOR;
  }

  /** Whether the client had settled: still for {@link #STANDARD_MINUTES} minutes, not standing. */
  public boolean settled() {
    return posture.standard()
        && (minutesRested >= STANDARD_MINUTES || source == PulseSource.OVERNIGHT);
  }

  /** Half the window's ± for a count, else the error of one sample: the c of the σ rule, bpm. */
  BigDecimal errorBpm() {
    return count
        .map(made -> BigDecimal.valueOf(made.uncertaintyBpm()).divide(BigDecimal.valueOf(2)))
        .orElse(source.errorBpm());
  }

  /** The length of the count or of the tapping; a device sample counts as a full minute. */
  private int windowSeconds() {
    return count.map(made -> made.window().seconds()).or(() -> tappedSeconds).orElse(FULL_MINUTE);
  }
}
