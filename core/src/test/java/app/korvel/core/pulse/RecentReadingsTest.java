package app.korvel.core.pulse;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Readings as far back as they decide come to the same as all of them. */
class RecentReadingsTest {
  private static final ZoneId ZONE = ZoneId.of("Europe/Oslo");
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 27);
  private static final int HIGHEST = 100;

  private final Random random = new Random(19);

  private RestingReading reading(int daysAgo) {
    Instant at = TODAY.minusDays(daysAgo).atTime(random.nextInt(24), 30).atZone(ZONE).toInstant();
    boolean night = random.nextInt(3) == 0;
    int bpm = random.nextInt(4) == 0 ? 104 : 60 + random.nextInt(45);
    UUID id = new UUID(random.nextLong(), random.nextLong());
    return night
        ? RestingReading.sampled(id, at, bpm, Posture.LYING, PulseSource.OVERNIGHT, 0, Set.of())
        : RestingReading.counted(
            id,
            at,
            PulseCount.of(bpm / 2, CountWindow.S30),
            random.nextBoolean() ? Posture.SEATED : Posture.LYING,
            random.nextInt(8),
            Set.of());
  }

  private static List<RestingReading> bounded(List<RestingReading> all) {
    Instant since = WorkingResting.lookedAtSince(TODAY).atStartOfDay(ZONE).toInstant();
    List<RestingReading> recent =
        all.stream().filter(reading -> !reading.takenAt().isBefore(since)).toList();
    return WorkingResting.olderMatter(recent, HIGHEST) ? all : recent;
  }

  private static List<Object> decided(List<RestingReading> readings, Optional<Instant> changed) {
    Optional<WorkingResting> working = WorkingResting.of(readings, changed, TODAY, ZONE);
    return List.of(
        working.map(WorkingResting::bpm),
        working.map(WorkingResting::basis),
        working.map(WorkingResting::dueOn),
        working.map(WorkingResting::stale),
        working.map(WorkingResting::findings),
        working
            .map(value -> value.overSince(HIGHEST))
            .filter(since -> working.get().bpm() > HIGHEST),
        UsualPulse.of(readings, changed, TODAY, ZONE));
  }

  @Test
  void whateverWasCountedAndWhateverChanged() {
    int shortened = 0;
    for (int round = 0; round < 4_000; round++) {
      List<RestingReading> all = new ArrayList<>();
      int from = random.nextInt(80);
      for (int n = random.nextInt(9); n > 0; n--) {
        all.add(reading(Math.max(0, from + random.nextInt(120) - 60)));
      }
      Optional<Instant> changed =
          random.nextBoolean()
              ? Optional.empty()
              : Optional.of(TODAY.minusDays(random.nextInt(140)).atStartOfDay(ZONE).toInstant());
      List<RestingReading> few = bounded(all);
      shortened += few.size() < all.size() ? 1 : 0;
      assertThat(decided(few, changed)).as("%s %s", changed, all).isEqualTo(decided(all, changed));
    }
    assertThat(shortened).isGreaterThan(500);
  }
}
