package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.outline.StepKind;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.store.LiveRepository.KnownStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.RoomRepository.Member;
import app.korvel.store.RoomRepository.Room;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RoomStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final Room ROOM =
      new Room(
          new UUID(9, 1),
          List.of(
              new PlanStep(
                  StepKind.WORK, 600, Optional.of(new Percents(50, 70)), Optional.empty(), false)),
          10,
          NOW,
          true);

  @TempDir private Path folder;
  private Database database;
  private RoomRepository rooms;
  private LiveRepository live;
  private ClientRepository clients;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    rooms = new RoomRepository(database);
    live = new LiveRepository(database);
    clients = new ClientRepository(database);
    rooms.open(ROOM);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private UUID session(int n, String name) {
    Client client =
        clients.add(
            new UUID(1, n),
            new Client.Details(name, "", LocalDate.parse("1990-02-03"), Sex.FEMALE),
            NOW);
    UUID id = new UUID(2, n);
    live.open(
        new Opened(
            id,
            client.id(),
            Optional.empty(),
            RateSource.STRAP,
            1,
            Optional.empty(),
            NOW.plusSeconds(n),
            LiveStoreTest.plan(),
            true));
    return id;
  }

  @Test
  void aRoomIsReadAsItWasOpened() {
    assertThat(rooms.get(ROOM.id())).contains(ROOM);
    assertThat(rooms.openNow()).containsExactly(ROOM);
    rooms.setOpen(ROOM.id(), false);
    assertThat(rooms.openNow()).isEmpty();
    assertThat(rooms.latest(5)).hasSize(1);
    assertThat(rooms.get(new UUID(9, 9))).isEmpty();
  }

  @Test
  void lanesKeepTheirPlacesAndTheWallIsRememberedForTheNextTime() {
    UUID ana = session(1, "Ana");
    UUID bo = session(2, "Bo");
    rooms.add(ROOM.id(), ana, Optional.empty(), true);
    rooms.add(ROOM.id(), bo, Optional.of("B."), false);
    assertThat(rooms.members(ROOM.id()))
        .containsExactly(
            new Member(ana, ROOM.id(), 0, Optional.empty(), true),
            new Member(bo, ROOM.id(), 1, Optional.of("B."), false));
    rooms.show(ana, Optional.of("Wave"), false);
    assertThat(rooms.ofSession(ana)).map(Member::nickname).contains(Optional.of("Wave"));
    assertThat(rooms.lastOf(new UUID(1, 1))).map(Member::wallRate).contains(false);
    assertThat(rooms.lastOf(new UUID(1, 7))).isEmpty();
  }

  @Test
  void anEventOfARoomIsEnteredOnce() {
    LiveEvent begun = new LiveEvent.Begun(new UUID(3, 1), NOW);
    LiveEvent longer = new LiveEvent.Lengthened(new UUID(3, 2), NOW, 1, 60);
    assertThat(rooms.add(ROOM.id(), begun, NOW)).isTrue();
    assertThat(rooms.add(ROOM.id(), begun, NOW)).isFalse();
    assertThat(rooms.add(ROOM.id(), longer, NOW)).isTrue();
    assertThat(rooms.events(ROOM.id())).containsExactly(begun, longer);
    Room other = new Room(new UUID(9, 2), List.of(), 1, NOW, true);
    rooms.open(other);
    assertThatThrownBy(() -> rooms.add(other.id(), begun, NOW))
        .isInstanceOf(InvalidValueException.class);
  }

  @Test
  void strapsAreKnownByWhoWoreThemLast() {
    UUID ana = session(1, "Ana");
    UUID bo = session(2, "Bo");
    live.add(ana, new LiveEvent.StrapGiven(new UUID(3, 1), NOW, "4", false), NOW);
    live.add(bo, new LiveEvent.StrapGiven(new UUID(3, 2), NOW.plusSeconds(9), "4", true), NOW);
    live.add(ana, new LiveEvent.StrapGiven(new UUID(3, 3), NOW.plusSeconds(5), "7", false), NOW);
    assertThat(live.straps(10))
        .containsExactly(
            new KnownStrap("4", bo, new UUID(1, 2), NOW.plusSeconds(9)),
            new KnownStrap("7", ana, new UUID(1, 1), NOW.plusSeconds(5)));
    live.add(bo, new LiveEvent.Withdrawn(new UUID(3, 4), NOW.plusSeconds(20), new UUID(3, 2)), NOW);
    assertThat(live.straps(10)).extracting(KnownStrap::lastSession).containsExactly(ana, ana);
  }

  @Test
  void sessionsWithARecoveryAreFoundLatestFirst() {
    UUID first = session(1, "Ana");
    live.add(first, new LiveEvent.EffortEnded(new UUID(3, 1), NOW, RecoveryPosture.SEATED), NOW);
    assertThat(live.withRecoveries(new UUID(1, 1), 5))
        .extracting(Opened::id)
        .containsExactly(first);
    assertThat(live.withRecoveries(new UUID(1, 2), 5)).isEmpty();
  }

  @Test
  void whoIsErasedLeavesTheirRooms() {
    UUID ana = session(1, "Ana");
    rooms.add(ROOM.id(), ana, Optional.of("Wave"), true);
    clients.erase(new UUID(1, 1), 1);
    assertThat(rooms.members(ROOM.id())).isEmpty();
  }
}
