package app.korvel.studio.calendar;

import app.korvel.core.measure.Texts;
import app.korvel.core.programme.Busy;
import app.korvel.exchange.calendar.CalendarFile;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Calendars that are read in for when people are busy. */
public record BusyCalendars(Studio studio) {
  private static final int NAME_LENGTH = 60;

  /** Busy times are kept this far back, for what is looked at again. */
  private static final int WEEKS_BACK = 4;

  /** And this far ahead: a programme of 26 weeks that begins in half a year. */
  private static final int WEEKS_AHEAD = 52;

  /**
   * Reads when somebody is busy, in the place of a calendar of the same name.
   *
   * @param client whose; empty for the studio's own, which holds for everyone
   * @throws app.korvel.core.measure.InvalidValueException when it is no calendar
   */
  public void read(Actor who, Optional<UUID> client, String name, String file) {
    String given = Texts.checked("name", name, 1, NAME_LENGTH);
    client.ifPresent(studio::open);
    LocalDate today = studio.today();
    // A long one is read before anybody else has to wait for the writing of it.
    List<Busy> times =
        CalendarFile.read(
            file, studio.zone(), today.minusWeeks(WEEKS_BACK), today.plusWeeks(WEEKS_AHEAD));
    put(who, client, given, times);
  }

  /** Keeps when somebody is busy. */
  public void put(Actor who, Optional<UUID> client, String name, List<Busy> times) {
    studio.write(
        who,
        () -> {
          client.ifPresent(studio::open);
          studio.store().busy().put(studio.nextId(), client, name, times, studio.now());
          return null;
        });
  }

  /**
   * Its times count no more; or they do again.
   *
   * @throws NotFoundException when no such calendar was read
   */
  public void remove(Actor who, UUID id, boolean removed) {
    studio.write(
        who,
        () -> {
          if (!studio.store().busy().remove(id, removed, studio.now())) {
            throw NotFoundException.of("No calendar that was read has the id %s.", id);
          }
          return null;
        });
  }
}
