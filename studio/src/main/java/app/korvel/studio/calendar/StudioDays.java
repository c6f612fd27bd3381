package app.korvel.studio.calendar;

import app.korvel.core.session.SessionLog;
import app.korvel.store.PlannedSessionRepository.Place;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionLogRepository.Entry;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;

/** Days of the studio, or of one client: what is planned and what was done. */
public record StudioDays(Studio studio) {
  /** As many sessions of each day as there are. */
  public static final int ALL = Integer.MAX_VALUE;

  /**
   * A session of a day.
   *
   * @param planned as it was planned, if it was for one of those days
   * @param done as it was logged, if it was
   */
  public record DaysSession(
      ClientHead head, Optional<SavedSession> planned, Optional<SessionLog> done) {}

  /**
   * A day with sessions.
   *
   * @param sessions how many there are
   * @param done how many of them were done
   * @param first the first of them, as many as were asked for, by time and name
   */
  public record Day(LocalDate date, int sessions, int done, List<DaysSession> first) {}

  /** A session that stands on a day. */
  private record Stands(
      ClientHead head, LocalDate date, Optional<Place> planned, Optional<Entry> done) {
    private static final Comparator<Stands> BY_TIME_AND_NAME =
        Comparator.comparing(
                (Stands each) -> each.planned.flatMap(Place::at).orElse(null),
                Comparator.nullsLast(Comparator.naturalOrder()))
            .thenComparing(each -> each.head.client().details().name());
  }

  private record Numbered(UUID client, int number) {}

  /** All of a session of which only the place is known: read at once, or as it is asked for. */
  private record Whole(
      Function<Place, Optional<SavedSession>> planned,
      Function<Entry, Optional<SessionLog>> logged) {

    static Whole oneByOne(Studio studio) {
      return new Whole(
          place -> studio.store().planned().get(place.clientId(), place.number()),
          entry -> studio.store().logs().get(entry.id()));
    }

    static Whole allOf(Studio studio, LocalDate from, LocalDate to) {
      Map<Numbered, SavedSession> planned = new HashMap<>();
      for (SavedSession each : studio.store().planned().between(from, to)) {
        planned.put(new Numbered(each.clientId(), each.number()), each);
      }
      Map<UUID, SessionLog> logs = new HashMap<>();
      studio
          .store()
          .logs()
          .between(from, to)
          .forEach(each -> logs.put(each.log().id(), each.log()));
      return new Whole(
          place -> Optional.ofNullable(planned.get(new Numbered(place.clientId(), place.number()))),
          entry -> Optional.ofNullable(logs.get(entry.id())));
    }
  }

  /**
   * From a day to another, both included; days with nothing are left out.
   *
   * @param client only this one's; empty for everyone's
   * @param most how many sessions of each day are told whole
   */
  public List<Day> between(LocalDate from, LocalDate to, Optional<UUID> client, int most) {
    return studio.read(
        () -> {
          Map<UUID, ClientHead> shown = new HashMap<>();
          client
              .map(id -> List.of(studio.head(id)))
              .orElseGet(() -> studio.heads().find("", false))
              .forEach(head -> shown.put(head.client().id(), head));
          Whole whole = most == ALL ? Whole.allOf(studio, from, to) : Whole.oneByOne(studio);
          return standing(shown, from, to).entrySet().stream()
              .map(day -> day(day.getKey(), day.getValue(), most, whole))
              .toList();
        });
  }

  /** What stands on each day: planned for it, done on it, or both. */
  private Map<LocalDate, List<Stands>> standing(
      Map<UUID, ClientHead> shown, LocalDate from, LocalDate to) {
    List<Entry> logged = studio.store().logs().entriesBetween(from, to);
    Map<Numbered, Entry> byNumber = new HashMap<>();
    for (Entry each : logged) {
      each.number().ifPresent(number -> byNumber.put(new Numbered(each.clientId(), number), each));
    }
    Map<LocalDate, List<Stands>> days = new TreeMap<>();
    for (Place each : studio.store().planned().placesBetween(from, to)) {
      ClientHead head = shown.get(each.clientId());
      if (head != null) {
        Optional<Entry> done =
            Optional.ofNullable(byNumber.remove(new Numbered(each.clientId(), each.number())));
        add(days, new Stands(head, done.map(Entry::on).orElse(each.on()), Optional.of(each), done));
      }
    }
    // What was done on another day than planned, and what was not planned.
    for (Entry each : logged) {
      ClientHead head = shown.get(each.clientId());
      boolean told =
          each.number().isPresent()
              && !byNumber.containsKey(new Numbered(each.clientId(), each.number().get()));
      if (head != null && !told) {
        add(days, new Stands(head, each.on(), Optional.empty(), Optional.of(each)));
      }
    }
    return days;
  }

  private static void add(Map<LocalDate, List<Stands>> days, Stands session) {
    days.computeIfAbsent(session.date, day -> new ArrayList<>()).add(session);
  }

  private static Day day(LocalDate date, List<Stands> sessions, int most, Whole whole) {
    int done =
        (int) sessions.stream().filter(each -> each.done.filter(Entry::done).isPresent()).count();
    return new Day(
        date,
        sessions.size(),
        done,
        sessions.stream()
            .sorted(Stands.BY_TIME_AND_NAME)
            .limit(most)
            .map(
                each ->
                    new DaysSession(
                        each.head,
                        each.planned.flatMap(whole.planned),
                        each.done.flatMap(whole.logged)))
            .toList());
  }
}
