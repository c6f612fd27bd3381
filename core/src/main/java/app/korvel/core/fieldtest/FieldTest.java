package app.korvel.core.fieldtest;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.run.Protocol;
import app.korvel.core.run.Row;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A field test that was begun: its clock starts with the warm-up.
 *
 * @param id UUIDv7
 * @param protocol which test
 * @param mode what the body does
 * @param warmedUpMinutes warm-up done before the clock was started, {@link Limit#WARMED_UP}
 * @param startedAt when the clock was started
 */
public record FieldTest(
    UUID id, FieldTestProtocol protocol, Mode mode, int warmedUpMinutes, Instant startedAt) {

  private static final Duration WARM_UP = Duration.ofMinutes(Threshold.FIELD_TEST_WARM_UP.whole());

  public FieldTest {
    Objects.requireNonNull(id);
    Objects.requireNonNull(protocol);
    Objects.requireNonNull(mode);
    Objects.requireNonNull(startedAt);
  }

  /**
   * Begins a test.
   *
   * @param assured what was made sure of
   * @throws InvalidValueException when something was not, the mode is not one of the test, or the
   *     minutes are out of range
   */
  public static FieldTest begin(
      UUID id,
      FieldTestProtocol protocol,
      Mode mode,
      int warmedUpMinutes,
      Set<Assurance> assured,
      Instant now) {
    List<Fault> faults = new ArrayList<>();
    if (!protocol.modes().contains(mode)) {
      faults.add(
          new Fault(
              "mode",
              "is not a mode of " + protocol.displayName().toLowerCase(Locale.ROOT),
              protocol.modes().stream()
                  .map(each -> each.name().toLowerCase(Locale.ROOT))
                  .collect(Collectors.joining(", "))));
    }
    if (!Limit.WARMED_UP.accepts(warmedUpMinutes)) {
      faults.add(
          new Fault(
              "warmedUpMinutes",
              warmedUpMinutes + " is outside the accepted range",
              Limit.WARMED_UP.accepted()));
    }
    Arrays.stream(Assurance.values())
        .filter(each -> !assured.contains(each))
        .findFirst()
        .ifPresent(
            each ->
                faults.add(
                    new Fault(
                        "assured", "not sure yet: " + each.displayName(), "all of them ticked")));
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new FieldTest(id, protocol, mode, warmedUpMinutes, now);
  }

  /** When the warm-up is over, and the first bout may begin. */
  Instant warmedUpAt() {
    Duration left = WARM_UP.minusMinutes(warmedUpMinutes);
    return left.isNegative() ? startedAt : startedAt.plus(left);
  }

  /** Its clock: what is left of the warm-up, then as many bouts as there may be. */
  Protocol clock() {
    Row bout = Row.onWord(protocol.bout(), protocol.restAtLeast(), protocol.restAtMost());
    List<Row> rows = new ArrayList<>(Collections.nCopies(protocol.mostBouts(), bout));
    rows.add(0, Row.of(Duration.between(startedAt, warmedUpAt()), false));
    return Protocol.of(rows);
  }
}
