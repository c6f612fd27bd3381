package app.korvel.core.effort;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/**
 * A race or another effort by its average rate. Share of reserve goes with share of oxygen uptake,
 * so that efforts of different days and people can be held side by side (Swain & Leutholtz 1997).
 *
 * @param id UUIDv7
 * @param name what it was, 1 to {@value #NAME_LENGTH} characters
 * @param mode what the body did
 * @param averageBpm its average rate, from the resting rate to the highest of {@link Limit#MAXIMUM}
 * @param minutes how long it lasted, {@link Limit#EFFORT_MINUTES}, if known
 * @param doneOn the day
 * @param reserve the span it is compared with: that of the day it was entered
 * @param maximumMethod where the maximum of that span came from
 * @param recordedAt when it was put on record
 */
public record Effort(
    UUID id,
    String name,
    Mode mode,
    int averageBpm,
    Optional<Integer> minutes,
    LocalDate doneOn,
    Reserve reserve,
    String maximumMethod,
    Instant recordedAt) {

  public static final int NAME_LENGTH = 60;

  public Effort {
    Objects.requireNonNull(id);
    Objects.requireNonNull(mode);
    Objects.requireNonNull(minutes);
    Objects.requireNonNull(doneOn);
    Objects.requireNonNull(reserve);
    Objects.requireNonNull(recordedAt);
  }

  /**
   * Checks what was entered, as of {@code recordedAt}.
   *
   * @throws InvalidValueException with every fault at once
   */
  public static Effort of(
      UUID id,
      String name,
      Mode mode,
      int averageBpm,
      Optional<Integer> minutes,
      LocalDate doneOn,
      Reserve reserve,
      String maximumMethod,
      Instant recordedAt,
      ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    Texts.check(faults, "name", name.strip(), 1, NAME_LENGTH);
    int highest = Limit.MAXIMUM.highest();
    if (averageBpm < reserve.restingBpm() || averageBpm > highest) {
      faults.add(
          new Fault(
              "averageBpm",
              averageBpm < reserve.restingBpm()
                  ? averageBpm + " is under the resting rate of " + reserve.restingBpm()
                  : averageBpm + " is outside the accepted range",
              reserve.restingBpm() + " to " + highest + " bpm"));
    }
    minutes
        .filter(length -> !Limit.EFFORT_MINUTES.accepts(length))
        .ifPresent(
            length ->
                faults.add(
                    new Fault(
                        "minutes",
                        length + " is outside the accepted range",
                        Limit.EFFORT_MINUTES.accepted())));
    if (doneOn.isAfter(LocalDate.ofInstant(recordedAt, zone))) {
      faults.add(Texts.future("doneOn"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new Effort(
        id, name.strip(), mode, averageBpm, minutes, doneOn, reserve, maximumMethod, recordedAt);
  }

  /** Percent of reserve, to one decimal; over 100 where it went over the maximum in use. */
  public BigDecimal percentOfReserve() {
    return reserve.percentOfReserve(averageBpm);
  }

  /** Percent of maximum, to one decimal. */
  public BigDecimal percentOfMaximum() {
    return reserve.percentOfMaximum(averageBpm);
  }

  /** The level of effort it comes to. */
  public Level level() {
    return Level.atRate(averageBpm, reserve);
  }

  /** What is to be said of it; nothing for a plain one. */
  public Optional<Finding> finding() {
    return averageBpm > reserve.maximumBpm()
        ? Optional.of(EffortFinding.EFFORT_OVER_MAXIMUM.of(averageBpm, reserve.maximumBpm()))
        : Optional.empty();
  }
}
