package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.core.trace.Samples;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.RoomRepository.Room;
import app.korvel.store.WholeTables.Table;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two clients in one room: each has a session of their own in it. */
class WholeTablesTest {
  private static final Instant NOW = Instant.parse("2026-05-20T09:00:00Z");
  private static final UUID ANA = new UUID(1, 1);
  private static final UUID BO = new UUID(1, 2);
  private static final UUID ROOM = new UUID(9, 1);

  @TempDir private Path folder;
  private Database database;
  private WholeTables tables;

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    tables = new WholeTables(database);
    RoomRepository rooms = new RoomRepository(database);
    rooms.open(new Room(ROOM, List.of(), 10, NOW, true));
    LiveRepository live = new LiveRepository(database);
    for (UUID client : List.of(ANA, BO)) {
      String name = client.equals(ANA) ? "Ana, “the first”\nof two" : "Bo";
      new ClientRepository(database)
          .add(
              client, new Client.Details(name, "", LocalDate.parse("1990-02-03"), Sex.FEMALE), NOW);
      UUID session = session(client);
      live.open(
          new Opened(
              session,
              client,
              Optional.empty(),
              RateSource.STRAP,
              1,
              Optional.empty(),
              NOW,
              LiveStoreTest.plan(),
              false));
      live.add(
          session, new LiveEvent.Begun(new UUID(3, client.getLeastSignificantBits()), NOW), NOW);
      live.add(session, 1, new Samples(NOW, new int[] {500, 1500}, new int[] {120, 121}));
      rooms.add(ROOM, session, Optional.empty(), true);
    }
  }

  @AfterEach
  void close() {
    database.close();
  }

  private static UUID session(UUID client) {
    return new UUID(2, client.getLeastSignificantBits());
  }

  private static List<List<String>> rows(WholeTables of, Table table, Optional<UUID> client) {
    List<List<String>> rows = new ArrayList<>();
    of.rows(table, client, (WholeTables.RowTaker<RuntimeException>) rows::add);
    return rows;
  }

  private List<List<String>> rows(String table, UUID client) {
    return rows(tables, tables.tables().get(table), Optional.of(client));
  }

  private static Map<String, List<List<String>>> all(WholeTables of) {
    Map<String, List<List<String>>> all = new TreeMap<>();
    of.tables().forEach((name, table) -> all.put(name, rows(of, table, Optional.empty())));
    return all;
  }

  @Test
  void everyTableOfRecordsIsThereAndWhatIsWorkedOutIsNot() {
    assertThat(tables.tables())
        .containsKeys("client", "resting_reading", "live_chunk", "device_recording", "studio")
        .doesNotContainKeys("session_summary", "client_revision", "flyway_schema_history");
    Table client = tables.tables().get("client");
    assertThat(client.columns()).startsWith("id").hasSameSizeAs(client.types());
    assertThat(client.types()).containsOnly("TEXT", "INTEGER");
    assertThat(tables.version()).isGreaterThanOrEqualTo(17);
  }

  @Test
  void whichRowsAreAClientsFollowsFromTheForeignKeys() {
    for (UUID client : List.of(ANA, BO)) {
      assertThat(rows("client", client)).hasSize(1);
      assertThat(rows("live_session", client)).hasSize(1);
      assertThat(rows("live_event", client)).hasSize(1);
      assertThat(rows("live_chunk", client)).hasSize(1);
      assertThat(rows("room_member", client)).hasSize(1);
      assertThat(rows("room", client)).as("both are in it").hasSize(1);
    }
    assertThat(rows("live_event", ANA)).doesNotContainAnyElementsOf(rows("live_event", BO));
    assertThat(rows("live_event", new UUID(1, 3))).isEmpty();
  }

  @Test
  void aTableIsOfAClientOrOfEveryone() {
    List<String> ofClient = tables.ofClient().stream().map(Table::name).toList();
    assertThat(ofClient)
        .contains("client", "live_chunk", "room", "class_count", "outline", "scheme")
        .doesNotContain("studio");
    assertThat(ofClient.stream().filter(WholeTables::shared))
        .containsExactlyInAnyOrder("graded_protocol", "outline", "scheme");
    // A table that nothing leads to would be left behind by whoever moves on.
    assertThat(tables.tables().keySet())
        .filteredOn(name -> !ofClient.contains(name))
        .allSatisfy(
            name -> assertThat(tables.tables().get(name).columns()).doesNotContain("client_id"));
  }

  @Test
  void rowsComeInOneOrderAndBytesAsText() {
    assertThat(all(tables)).isEqualTo(all(tables));
    Table chunks = tables.tables().get("live_chunk");
    int bytes = chunks.types().indexOf("BLOB");
    assertThat(rows("live_chunk", ANA).get(0).get(bytes)).matches("[A-Za-z0-9+/]+=*");
  }

  @Test
  void whatWentOutComesInAgainAsItWasWhateverComesFirst() throws Exception {
    Map<String, List<List<String>>> out = all(tables);
    try (Database other = Database.open(folder.resolve("other.db"))) {
      WholeTables into = new WholeTables(other);
      other.inOneWrite(
          "me",
          () -> {
            into.inAnyOrder();
            into.replaceSettings();
            // From the last to the first: what names something comes before it.
            List<Table> lastFirst = new ArrayList<>(into.tables().values());
            Collections.reverse(lastFirst);
            for (Table table : lastFirst) {
              out.get(table.name()).forEach(row -> into.add(table, row));
            }
            return null;
          });
      assertThat(into.dangling()).isEmpty();
      Map<String, List<List<String>>> in = all(into);
      assertThat(in.keySet()).isEqualTo(out.keySet());
      in.forEach((name, rows) -> assertThat(rows).as(name).isEqualTo(out.get(name)));
    }
  }

  @Test
  void aRowThatNamesNothingIsFound() throws Exception {
    List<List<String>> events = rows("live_event", ANA);
    try (Database other = Database.open(folder.resolve("other.db"))) {
      WholeTables into = new WholeTables(other);
      assertThatThrownBy(
              () ->
                  other.inOneWrite(
                      "me",
                      () -> {
                        into.inAnyOrder();
                        into.add(into.tables().get("live_event"), events.get(0));
                        assertThat(into.dangling()).containsExactly("live_event");
                        return null;
                      }))
          .isInstanceOf(StoreException.class);
      assertThat(rows(into, into.tables().get("live_event"), Optional.empty())).isEmpty();
    }
  }

  @Test
  void aValueThatIsNotOfItsColumnIsRefused() {
    Table chunks = tables.tables().get("live_chunk");
    List<String> row = new ArrayList<>(rows("live_chunk", ANA).get(0));
    row.set(chunks.types().indexOf("INTEGER"), "twelve");
    assertThatThrownBy(() -> tables.add(chunks, row)).isInstanceOf(IllegalArgumentException.class);
    row.set(chunks.types().indexOf("INTEGER"), "12");
    row.set(chunks.types().indexOf("BLOB"), "§§§");
    assertThatThrownBy(() -> tables.add(chunks, row)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void whatTakesTheRowsMayRefuseThem() {
    Table client = tables.tables().get("client");
    assertThatThrownBy(
            () ->
                tables.rows(
                    client,
                    Optional.empty(),
                    row -> {
                      throw new IOException("the line is cut");
                    }))
        .isInstanceOf(IOException.class)
        .hasMessage("the line is cut");
  }

  @Test
  void whoIsErasedLeavesNothingAndTakesNothingOfAnothers() {
    Map<String, List<List<String>>> before = all(tables);
    new ClientRepository(database).erase(ANA, 1);
    for (Table table : tables.ofClient()) {
      if (!WholeTables.shared(table.name()) && !table.name().equals("room")) {
        assertThat(rows(table.name(), ANA)).as(table.name()).isEmpty();
      }
    }
    assertThat(rows("live_chunk", BO)).hasSize(1);
    assertThat(rows("room", BO)).as("it was theirs too").isEqualTo(before.get("room"));
    assertThat(tables.dangling()).isEmpty();
  }
}
