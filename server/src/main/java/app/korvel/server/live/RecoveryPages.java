package app.korvel.server.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveRecovery;
import app.korvel.core.live.LiveSession;
import app.korvel.core.live.LiveSession.Phase;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.recovery.RecoverySet;
import app.korvel.core.recovery.RecoveryTrend;
import app.korvel.core.recovery.TwoWays;
import app.korvel.server.live.RecoveryViews.CanRecover;
import app.korvel.server.live.RecoveryViews.ClientRecoveries;
import app.korvel.server.live.RecoveryViews.RecoverySheet;
import app.korvel.server.live.RecoveryViews.SetView;
import app.korvel.server.live.RecoveryViews.TrendView;
import app.korvel.server.live.RecoveryViews.WaysView;
import app.korvel.server.live.RoomViews.PostureOption;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.Rooms;
import app.korvel.studio.live.Rooms.Present;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Brings together recoveries: of a room, of a session, of a client. */
record RecoveryPages(Studio studio) {
  /** So many of a client's sessions are looked at. */
  private static final int SESSIONS = 40;

  /** Two ways that are asked to be put side by side. */
  record Ways(RecoveryPosture first, RecoveryPosture second) {}

  /** The two that were asked for; none where one is missing. */
  static Optional<Ways> ways(@Nullable RecoveryPosture first, @Nullable RecoveryPosture second) {
    return first == null || second == null
        ? Optional.empty()
        : Optional.of(new Ways(first, second));
  }

  /** Somebody's session with its recoveries. */
  private record Person(LiveNow stands, String name, List<LiveRecovery> recoveries) {}

  RecoverySheet ofRoom(UUID room, Optional<Ways> ways) {
    return studio.read(
        () -> {
          List<Person> people =
              new Rooms(studio)
                  .get(room).people().stream().map(Present::stands).map(this::person).toList();
          Rooms rooms = new Rooms(studio);
          return sheet(people, rooms.now(rooms.room(room)), rooms.room(room).speed(), ways);
        });
  }

  RecoverySheet ofSession(UUID session, Optional<Ways> ways) {
    LiveNow stands = new LiveSessions(studio).get(session);
    return sheet(List.of(person(stands)), stands.now(), stands.opened().speed(), ways);
  }

  private Person person(LiveNow stands) {
    return new Person(
        stands,
        studio.client(stands.opened().clientId()).details().name(),
        LiveRecovery.of(
            stands.session(),
            LivePages.zones(
                stands.opened().plan(), new LivePages(studio).scheme(stands.opened().clientId()))));
  }

  private RecoverySheet sheet(List<Person> people, Instant now, int speed, Optional<Ways> ways) {
    List<SetView> sets = new ArrayList<>();
    people.forEach(person -> sets.addAll(views(person)));
    List<RecoverySet> kept = people.stream().flatMap(each -> sets(each).stream()).toList();
    return new RecoverySheet(
        now,
        speed,
        people.stream()
            .filter(each -> goesOn(each.stands.session()))
            .map(
                each ->
                    new CanRecover(
                        each.stands.opened().id(),
                        each.stands.opened().clientId(),
                        each.name,
                        each.stands.session().source() == RateSource.STRAP,
                        each.stands.session().recoveringSince().isPresent()))
            .toList(),
        sets,
        PostureOption.ALL,
        LiveRecovery.COUNTED_AT,
        LiveRecovery.ENTERED_WITHIN,
        ways.map(each -> WaysView.of(TwoWays.of(kept, each.first, each.second))).orElse(null));
  }

  private static boolean goesOn(LiveSession session) {
    return session.phase() != Phase.READY && session.phase() != Phase.ENDED;
  }

  private static List<SetView> views(Person person) {
    return person.recoveries.stream()
        .map(
            each ->
                SetView.of(
                    person.stands.opened().id(),
                    person.stands.opened().clientId(),
                    person.name,
                    each,
                    person.stands.session().trace()))
        .toList();
  }

  private static List<RecoverySet> sets(Person person) {
    Opened opened = person.stands.opened();
    return person.recoveries.stream()
        .filter(each -> each.recovery().isPresent())
        .map(
            each ->
                new RecoverySet(
                    opened.clientId(),
                    person.name,
                    opened.id(),
                    each.ended().at(),
                    each.recovery().orElseThrow()))
        .toList();
  }

  ClientRecoveries ofClient(UUID client) {
    ClientHead head = studio.head(client);
    LiveSessions sessions = new LiveSessions(studio);
    List<Person> people =
        studio.store().live().withRecoveries(client, SESSIONS).stream()
            .map(sessions::again)
            .map(this::person)
            .toList();
    List<SetView> sets = new ArrayList<>();
    people.forEach(person -> sets.addAll(views(person)));
    return new ClientRecoveries(
        head.client().details().name(),
        sets,
        RecoveryTrend.of(
                people.stream().flatMap(each -> sets(each).stream()).toList(),
                head.screening().medicinesChangedAt())
            .stream()
            .map(TrendView::of)
            .toList(),
        PostureOption.ALL);
  }
}
