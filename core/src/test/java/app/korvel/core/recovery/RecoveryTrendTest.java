package app.korvel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.recovery.Recovery.Who;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class RecoveryTrendTest {
  private static final Instant FIRST = Instant.parse("2026-05-20T09:00:00Z");

  private static RecoverySet set(int week, RecoveryPosture posture, int drop60) {
    return new RecoverySet(
        new UUID(0, 1),
        "Ana",
        new UUID(0, week),
        FIRST.plusSeconds(604_800L * week),
        Recovery.counted(
            150,
            OptionalInt.of(150 - drop60),
            OptionalInt.empty(),
            new Who(posture, OptionalInt.of(180), Set.of())));
  }

  private static RecoveryTrend of(int first, int last) {
    return RecoveryTrend.of(
            List.of(
                set(4, RecoveryPosture.SEATED, last),
                set(1, RecoveryPosture.SEATED, first),
                set(2, RecoveryPosture.LYING, 60)),
            Optional.empty())
        .get(0);
  }

  @Test
  void aChangeIsNamedOnlyBeyondChance() {
    assertThat(of(20, 31).changed()).isFalse();
    assertThat(of(20, 31).words()).contains("chance");
    assertThat(of(20, 32).changed()).isTrue();
    assertThat(of(20, 32).words()).startsWith("faster");
    assertThat(of(32, 20).words()).startsWith("slower");
    assertThat(of(20, 32).change()).hasValue(12);
  }

  @Test
  void eachPostureIsATrendOfItsOwnAndANewMedicineBeginsItAnew() {
    List<RecoverySet> sets =
        List.of(
            set(1, RecoveryPosture.SEATED, 20),
            set(2, RecoveryPosture.LYING, 60),
            set(4, RecoveryPosture.SEATED, 40));
    assertThat(RecoveryTrend.of(sets, Optional.empty()))
        .extracting(RecoveryTrend::posture)
        .containsExactly(RecoveryPosture.SEATED, RecoveryPosture.LYING);
    assertThat(RecoveryTrend.of(sets, Optional.of(FIRST.plusSeconds(604_800L * 3))))
        .singleElement()
        .satisfies(
            trend -> {
              assertThat(trend.change()).isEmpty();
              assertThat(trend.words()).isEqualTo("one so far");
            });
  }
}
