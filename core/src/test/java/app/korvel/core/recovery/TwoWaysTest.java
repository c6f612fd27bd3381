package app.korvel.core.recovery;

import static app.korvel.core.recovery.RecoveryPosture.LYING;
import static app.korvel.core.recovery.RecoveryPosture.MOVING;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.recovery.Recovery.Who;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class TwoWaysTest {
  private static final UUID ANA = new UUID(0, 1);
  private static final UUID BO = new UUID(0, 2);

  private static RecoverySet set(
      UUID person, int minute, RecoveryPosture posture, int end, int drop60) {
    return new RecoverySet(
        person,
        person == ANA ? "Ana" : "Bo",
        person,
        Instant.parse("2026-05-20T09:00:00Z").plusSeconds(60L * minute),
        Recovery.counted(
            end,
            OptionalInt.of(end - drop60),
            OptionalInt.of(end - 2 * drop60),
            new Who(posture, OptionalInt.of(180), Set.of())));
  }

  private static List<String> codes(TwoWays ways) {
    return ways.findings().stream().map(Finding::code).toList();
  }

  @Test
  void setsThatTakeTurnsAreComparedByTheirMeans() {
    TwoWays ways =
        TwoWays.of(
            List.of(
                set(ANA, 0, MOVING, 150, 20),
                set(ANA, 5, LYING, 152, 30),
                set(ANA, 10, MOVING, 151, 23),
                set(ANA, 15, LYING, 149, 33)),
            MOVING,
            LYING);
    assertThat(ways.first().sets()).isEqualTo(2);
    // 21.5 and 31.5, half up; 10 apart
    assertThat(ways.first().drop60()).hasValue(22);
    assertThat(ways.second().drop60()).hasValue(32);
    assertThat(ways.more60()).hasValue(10);
    assertThat(ways.more120()).hasValue(20);
    assertThat(ways.findings()).isEmpty();
  }

  @Test
  void severalPeopleCountAlikeHoweverManySetsTheyDid() {
    TwoWays ways =
        TwoWays.of(
            List.of(
                set(ANA, 0, MOVING, 150, 20),
                set(ANA, 4, MOVING, 150, 20),
                set(ANA, 5, LYING, 150, 24),
                set(BO, 0, LYING, 150, 30),
                set(BO, 5, MOVING, 150, 10)),
            MOVING,
            LYING);
    assertThat(ways.first().people()).isEqualTo(2);
    assertThat(ways.first().drop60()).hasValue(15);
    // 4 more and 20 more
    assertThat(ways.more60()).hasValue(12);
  }

  @Test
  void whatMakesItWeakIsSaid() {
    assertThat(
            codes(
                TwoWays.of(
                    List.of(
                        set(ANA, 0, MOVING, 150, 20),
                        set(ANA, 5, MOVING, 150, 20),
                        set(ANA, 10, LYING, 156, 30)),
                    MOVING,
                    LYING)))
        .containsExactly("few-sets", "ends-apart", "one-after-the-other");
    // Five apart is not over five; the ways take turns.
    assertThat(
            codes(
                TwoWays.of(
                    List.of(
                        set(ANA, 0, MOVING, 150, 20),
                        set(ANA, 5, LYING, 155, 20),
                        set(ANA, 10, MOVING, 150, 30),
                        set(ANA, 15, LYING, 155, 30)),
                    MOVING,
                    LYING)))
        .isEmpty();
  }

  @Test
  void whoDidOneWayOnlyIsLeftOut() {
    TwoWays ways =
        TwoWays.of(
            List.of(
                set(ANA, 0, MOVING, 150, 20),
                set(ANA, 5, LYING, 150, 24),
                set(BO, 2, LYING, 150, 90)),
            MOVING,
            LYING);
    assertThat(ways.second().drop60()).hasValue(24);
    assertThat(codes(ways)).contains("not-both");
    assertThat(TwoWays.of(List.of(), MOVING, LYING).more60()).isEmpty();
  }

  @Test
  void aWayIsNotComparedWithItself() {
    assertThatThrownBy(() -> TwoWays.of(List.of(), MOVING, MOVING))
        .isInstanceOf(InvalidValueException.class);
  }
}
