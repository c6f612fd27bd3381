package app.korvel.core.assessment;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/** People for the tests of tests. */
final class TestPeople {
  private TestPeople() {}

  /** A man of 45 and 75 kg, 64 to 176, nothing known. */
  static TestPerson anybody() {
    return with(OptionalInt.empty(), Set.of());
  }

  static TestPerson with(EffortContext context) {
    return with(OptionalInt.empty(), Set.of(context));
  }

  static TestPerson capped(int cap) {
    return with(OptionalInt.of(cap), Set.of());
  }

  private static TestPerson with(OptionalInt cap, Set<EffortContext> contexts) {
    return new TestPerson(
        45,
        Sex.MALE,
        Optional.of(BigDecimal.valueOf(75)),
        Optional.of(Reserve.of(64, 176)),
        BigDecimal.TEN,
        cap,
        20,
        contexts);
  }
}
