package app.korvel.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.korvel.store.StudioRepository;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is said later is later, also where the machine's clock is put back. */
class StudioClockTest {
  private static final Instant NOON = Instant.parse("2026-05-14T12:00:00Z");
  private static final ZoneId AUCKLAND = ZoneId.of("Pacific/Auckland");

  private final Clock machine = mock(Clock.class);
  private final StudioRepository studio = mock(StudioRepository.class);

  private StudioClock clock(Optional<Instant> newestRecord) {
    when(studio.timeZone()).thenReturn(AUCKLAND);
    when(studio.newestRecord()).thenReturn(newestRecord);
    return new StudioClock(machine, studio);
  }

  @Test
  void itGoesOnWhereTheMachineIsPutBackByHours() {
    StudioClock clock = clock(Optional.empty());
    Instant put = NOON.minus(Duration.ofHours(3));
    when(machine.instant()).thenReturn(NOON, put, put.plusSeconds(60), NOON.plusSeconds(90));
    Instant first = clock.now();
    Instant second = clock.now();
    assertThat(first).isEqualTo(NOON);
    assertThat(second).isAfter(first).isBefore(NOON.plusSeconds(1));
    // It runs on as time does, and is the machine's again once that has caught up.
    assertThat(clock.now()).isEqualTo(second.plusSeconds(60));
    assertThat(clock.now()).isEqualTo(NOON.plusSeconds(90));
  }

  @Test
  void itIsNotBeforeTheNewestRecordAfterAStart() {
    StudioClock clock = clock(Optional.of(NOON));
    when(machine.instant()).thenReturn(NOON.minus(Duration.ofMinutes(20)));
    assertThat(clock.now()).isAfter(NOON);
  }

  /** A clock that was years ahead is not followed. */
  @Test
  void aRecordFromFarAheadIsNotWaitedFor() {
    StudioClock clock = clock(Optional.of(NOON.plus(Duration.ofDays(400))));
    when(machine.instant()).thenReturn(NOON);
    assertThat(clock.now()).isEqualTo(NOON);
  }

  /** In Auckland it is midnight of the 15th already. */
  @Test
  void theDayIsTheStudiosAndSoIsItsEnd() {
    StudioClock clock = clock(Optional.empty());
    when(machine.instant()).thenReturn(NOON);
    assertThat(clock.today()).isEqualTo(LocalDate.of(2026, 5, 15));
    assertThat(clock.untilTomorrow()).isEqualTo(Duration.ofHours(24));
    when(machine.instant()).thenReturn(NOON.plus(Duration.ofHours(20)));
    assertThat(clock.untilTomorrow()).isEqualTo(Duration.ofHours(4));
  }
}
