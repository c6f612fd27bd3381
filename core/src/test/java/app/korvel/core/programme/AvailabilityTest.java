package app.korvel.core.programme;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.support.People;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AvailabilityTest {
  /** A Monday. */
  private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

  private static Busy busy(String from, String to) {
    return new Busy(LocalDateTime.parse(from), LocalDateTime.parse(to));
  }

  /** Taken from nine to five. */
  private static final Availability OFFICE =
      new Availability(List.of(busy("2026-06-01T09:00", "2026-06-01T17:00")));

  @ParameterizedTest
  @CsvSource({
    "08:00, 60, true",
    "08:00, 61, false",
    "08:30, 60, false",
    "12:00, 30, false",
    "16:59, 30, false",
    "17:00, 60, true",
    // Without a time: three hours before, five after.
    ", 180, true",
    ", 300, true",
    ", 301, false",
  })
  void aSessionFindsItsTimeOrAGapAsLongAsItself(LocalTime time, int minutes, boolean free) {
    assertThat(OFFICE.free(DAY, Optional.ofNullable(time), minutes)).isEqualTo(free);
    assertThat(OFFICE.free(DAY.plusDays(1), Optional.ofNullable(time), minutes)).isTrue();
  }

  @Test
  void overlappingTimesAreOneAndTheNightIsNoGap() {
    Availability night =
        new Availability(
            List.of(
                busy("2026-06-01T12:00", "2026-06-02T02:00"),
                busy("2026-06-01T05:00", "2026-06-01T10:00"),
                busy("2026-06-01T09:00", "2026-06-01T11:30")));
    assertThat(night.free(DAY, Optional.empty(), 30)).isTrue();
    assertThat(night.free(DAY, Optional.empty(), 31)).isFalse();
    assertThat(night.free(DAY.plusDays(1), Optional.empty(), 16 * 60)).isTrue();
    assertThat(night.words(DAY)).isEqualTo("05:00–10:00, 09:00–11:30, 12:00–24:00");
    assertThat(night.words(DAY.plusDays(1))).isEqualTo("00:00–02:00");
    assertThat(new Availability(List.of(busy("2026-06-01T00:00", "2026-06-03T00:00"))).words(DAY))
        .isEqualTo("all day");
  }

  /** Every Tuesday but one is taken, and every second Thursday. */
  private static final Availability ROSTER =
      new Availability(
          IntStream.range(0, 8)
              .boxed()
              .flatMap(
                  week ->
                      List.of(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY).stream()
                          .filter(day -> day == DayOfWeek.TUESDAY ? week != 3 : week % 2 == 0)
                          .map(day -> DAY.plusWeeks(week).with(day)))
              .map(date -> new Busy(date.atStartOfDay(), date.plusDays(1).atStartOfDay()))
              .toList());

  @Test
  void daysThatAreTakenAsOftenAsFreeAreNotProposed() {
    assertThat(
            ROSTER.mostlyFree(
                EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.THURSDAY),
                DAY,
                8,
                Optional.empty(),
                40))
        .containsExactly(DayOfWeek.MONDAY);
    assertThat(ROSTER.mostlyFree(EnumSet.of(DayOfWeek.THURSDAY), DAY, 7, Optional.empty(), 40))
        .isEmpty();
    assertThat(
            ROSTER.mostlyFree(
                EnumSet.of(DayOfWeek.THURSDAY), DAY.plusWeeks(1), 7, Optional.empty(), 40))
        .containsExactly(DayOfWeek.THURSDAY);
  }

  private static Plan plan(Set<DayOfWeek> days, Optional<LocalTime> time) {
    return new Plan(
        new Fitt(
            Goal.GENERAL_FITNESS, Approach.GUIDELINE, 40, 50, 20, 3, WorkType.STEADY, Mode.RUN),
        new ProgrammeGoal(60, 20, 3),
        new Pace(false, 0, false, 0),
        Bounds.FOR_ANYONE,
        DAY,
        DAY.plusWeeks(8).minusDays(1),
        days,
        time);
  }

  @Test
  void sessionsAreLaidAroundWhatIsTaken() {
    Set<DayOfWeek> days = EnumSet.complementOf(EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY));
    Programme free = Programme.of(plan(days, Optional.empty()));
    Programme around = Programme.of(plan(days, Optional.empty()), ROSTER, 1, MinutesDone.NONE);
    assertThat(around.sessions()).hasSameSizeAs(free.sessions());
    assertThat(around.sessions())
        .allMatch(session -> ROSTER.free(session.date(), Optional.empty(), 37));
    assertThat(
            around.weeksNow(People.adult(40, Activity.LITTLE), MinutesDone.NONE, ROSTER).stream()
                .flatMap(week -> week.findings().stream()))
        .noneMatch(finding -> finding.code().equals("session-busy"));
    assertThat(
            free.weeksNow(People.adult(40, Activity.LITTLE), MinutesDone.NONE, ROSTER).stream()
                .flatMap(week -> week.findings().stream())
                .map(finding -> finding.message()))
        .anyMatch(message -> message.endsWith("calendar conflict, all day."));
  }

  @Test
  void whereNoOtherDayIsLeftATakenOneIsUsedAndSaid() {
    Programme programme =
        Programme.of(
            plan(
                EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.THURSDAY),
                Optional.of(LocalTime.of(18, 30))),
            ROSTER,
            41,
            MinutesDone.NONE);
    assertThat(programme.ofWeek(1))
        .extracting(session -> session.date().getDayOfWeek())
        .containsExactly(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.THURSDAY);
    assertThat(programme.session(41).time()).contains(LocalTime.of(18, 30));
    assertThat(
            programme
                .weeksNow(People.adult(40, Activity.LITTLE), MinutesDone.NONE, ROSTER)
                .get(0)
                .findings())
        .extracting(finding -> finding.code())
        .containsOnly("session-busy");
  }
}
