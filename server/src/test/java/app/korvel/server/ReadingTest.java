package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.maximum.Mode;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.store.ClientRepository;
import app.korvel.store.Database;
import app.korvel.store.ReadingRepository;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHeads;
import app.korvel.studio.Studio;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What pages read: on indexes, in as many statements for one as for all, and never out of date. */
class ReadingTest {
  /** One row for each client, or few rows however many years go by. */
  private static final Set<String> SMALL =
      Set.of(
          "client",
          "json_each",
          "wanted",
          "studio",
          "scheme",
          "outline",
          "calendar_subscription",
          "busy_calendar",
          "trail",
          "practice_try");

  private static final String[] LISTS = {
    "/api/today",
    "/api/clients",
    "/api/clients?q=a",
    "/api/clients?archived=true",
    "/api/clients/names",
    "/api/session-logs/open",
    "/api/calendar?from=2026-01-01&to=2026-01-31",
    "/api/calendar.ics",
    "/api/calendar/links",
    "/api/class-counts/start",
    "/api/outlines",
    "/api/schemes",
    "/api/studio",
    "/api/practice"
  };

  private static final String[] PAGES = {
    "",
    "/readings",
    "/maximum",
    "/maximum/choices",
    "/field-tests",
    "/efforts",
    "/bands",
    "/schools",
    "/thresholds",
    "/screening",
    "/checkins",
    "/prescriptions",
    "/programme",
    "/session-logs",
    "/progress",
    "/recordings",
    "/months",
    "/sessions/zones",
    "/calendar.ics"
  };

  private static TestServer server;
  private static List<String> clients;

  @BeforeAll
  static void start() {
    server = TestServer.demo();
    clients = new ArrayList<>();
    for (JsonNode row : server.get("/api/clients").json().get("clients")) {
      clients.add("/api/clients/" + row.get("id").asString());
    }
  }

  @AfterEach
  void traceNoMore() {
    Database.trace(sql -> {});
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static <T> T bean(Class<T> type) {
    return server.bean(type);
  }

  private static int status(String path) {
    return server.raw(HttpRequest.newBuilder(URI.create(server.address() + path))).statusCode();
  }

  @Test
  void everyStatementOfAPageRunsOnAnIndex() throws SQLException {
    Set<String> statements = new ConcurrentSkipListSet<>();
    Database.trace(statements::add);
    // Somebody new, so that a head is worked out while it is watched.
    server.post("/api/clients", TestClients.details("Ottar Fjell", 36));
    for (String path : LISTS) {
      assertThat(status(path)).as(path).isEqualTo(200);
    }
    for (String client : clients.subList(0, 4)) {
      for (String page : PAGES) {
        assertThat(status(client + page)).as(client + page).isIn(200, 422);
      }
    }
    assertThat(statements).hasSizeGreaterThan(40);
    Map<String, String> scans = new TreeMap<>();
    Path file = bean(DataFolder.class).path().resolve("korvel.db");
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file)) {
      for (String sql : statements) {
        if (sql.strip().startsWith("select") || sql.strip().startsWith("with")) {
          scans.putAll(scans(connection, sql));
        }
      }
    }
    assertThat(scans).isEmpty();
  }

  private static final Pattern SCAN = Pattern.compile("SCAN (\\w++)(?! USING (COVERING )?INDEX)");

  private static Map<String, String> scans(Connection connection, String sql) throws SQLException {
    Map<String, String> scans = new TreeMap<>();
    try (PreparedStatement plan = connection.prepareStatement("explain query plan " + sql);
        ResultSet steps = plan.executeQuery()) {
      while (steps.next()) {
        Matcher scan = SCAN.matcher(steps.getString("detail"));
        if (scan.find() && !SMALL.contains(scan.group(1))) {
          scans.put(sql, steps.getString("detail"));
        }
      }
    }
    return scans;
  }

  /** However many there are, a list asks no more often. */
  @Test
  void aListTakesAsManyStatementsForManyAsForFew() {
    for (String list : List.of("/api/today", "/api/clients", "/api/session-logs/open")) {
      server.get(list);
      int before = statements(list);
      server.post("/api/clients", TestClients.details("Ase " + list.replace('/', ' '), 36));
      server.get(list);
      assertThat(statements(list)).as(list).isEqualTo(before).isLessThan(12);
    }
  }

  private static int statements(String path) {
    AtomicInteger count = new AtomicInteger();
    Database.trace(
        sql -> {
          if (!Thread.currentThread().getName().equals("heads-ahead")) {
            count.incrementAndGet();
          }
        });
    server.get(path);
    Database.trace(sql -> {});
    return count.get();
  }

  /** A month tells the first sessions of each day whole, and the same of them as all would. */
  @Test
  void aMonthOfTheCalendarCountsWhatItDoesNotTell() {
    LocalDate to = LocalDate.now();
    String days = "/api/calendar?from=" + to.minusDays(40) + "&to=" + to;
    JsonNode whole = server.get(days).json();
    JsonNode month = server.get(days + "&most=2").json();
    assertThat(month.get("days")).isEqualTo(whole.get("days")).isNotEmpty();
    assertThat(whole.get("sessions").size()).isGreaterThan(month.get("sessions").size());
    for (JsonNode day : whole.get("days")) {
      List<JsonNode> all = on(whole, day);
      assertThat(all).hasSize(day.get("sessions").asInt());
      assertThat(all.stream().filter(each -> each.get("state").asString().equals("done")).count())
          .isEqualTo(day.get("done").asLong());
      assertThat(on(month, day)).isEqualTo(all.subList(0, Math.min(2, all.size())));
    }
  }

  private static List<JsonNode> on(JsonNode calendar, JsonNode day) {
    return calendar
        .get("sessions")
        .valueStream()
        .filter(session -> session.get("date").equals(day.get("date")))
        .toList();
  }

  /** Bounded in SQL, it comes to the same as all that was ever counted. */
  @Test
  void whatIsReadOfTheReadingsDecidesAsAllOfThemDo() {
    ReadingRepository readings = bean(Studio.class).store().readings();
    List<ClientHead> heads = bean(Studio.class).heads().find("", false);
    assertThat(heads).hasSizeGreaterThanOrEqualTo(20);
    for (ClientHead head : heads) {
      List<RestingReading> all = readings.of(head.client().id());
      Optional<WorkingResting> whole =
          WorkingResting.of(
              all,
              head.screening().medicinesChangedAt(),
              head.screening().date(),
              head.screening().zone());
      assertThat(head.baseline().resting().map(ReadingTest::decided))
          .as(head.client().details().name())
          .isEqualTo(whole.map(ReadingTest::decided));
      assertThat(head.usual())
          .isEqualTo(
              UsualPulse.of(
                  all,
                  head.screening().medicinesChangedAt(),
                  head.screening().date(),
                  head.screening().zone()));
    }
  }

  private static List<Object> decided(WorkingResting value) {
    return List.of(
        value.bpm(),
        value.basis(),
        value.due(),
        value.dueOn(),
        value.stale(),
        value.overSince(100).isPresent(),
        value.findings());
  }

  /** What is kept of a client is never out of date, whatever was written. */
  @Test
  void aHeadIsWorkedOutAnewAfterEveryKindOfWrite() {
    String client = TestClients.screened(server, "Signe Rask", 42, "some", "");
    String id = client.substring(client.lastIndexOf('/') + 1);
    Set<List<Object>> seen = new java.util.HashSet<>();
    seen.add(row(id));
    TestClients.counted(server, client, 64);
    assertThat(seen.add(row(id))).as("a reading").isTrue();
    server.put(client + "/maximum/choice", "{\"method\":\"nes-211\",\"reason\":\"fits\"}");
    assertThat(seen.add(row(id))).as("a choice").isTrue();
    server.post(client + "/prescriptions", TestClients.PARTS.formatted(40, 50));
    assertThat(seen.add(row(id))).as("a prescription").isTrue();
    server.post(
        client + "/clearances",
        "{\"issuer\":\"Dr Lund\",\"issuedOn\":\"%s\",\"allows\":\"vigorous\",\"until\":\"%s\"}"
            .formatted(LocalDate.now().minusDays(9), LocalDate.now().plusDays(90)));
    assertThat(seen.add(row(id))).as("a clearance").isTrue();
    server.put(
        client, "{\"version\":1,\"details\":%s}".formatted(TestClients.details("Signe Rask", 62)));
    assertThat(seen.add(row(id))).as("a birth date").isTrue();
  }

  private static List<Object> row(String id) {
    ClientHead head =
        bean(Studio.class).heads().of(List.of(UUID.fromString(id))).values().iterator().next();
    return List.of(
        head.client().details(),
        head.baseline(Mode.RUN).resting().map(WorkingResting::bpm),
        head.choice(),
        head.prescription().map(saved -> saved.version()),
        head.screening().permission().allows(),
        head.screening().clearance().isPresent());
  }

  /** What is withdrawn with its transaction leaves nothing behind. */
  @Test
  void whatIsWorkedOutInAWriteIsNotKept() {
    ClientHeads heads = bean(Studio.class).heads();
    ClientRepository clients_ = bean(Studio.class).store().clients();
    UUID id = UUID.fromString(clients.get(0).substring(clients.get(0).lastIndexOf('/') + 1));
    ClientHead before = heads.of(List.of(id)).get(id);
    try {
      bean(Database.class)
          .inOneWrite(
              "me",
              () -> {
                clients_.archive(
                    id, before.client().version(), true, Instant.parse("2026-01-01T00:00:00Z"));
                assertThat(heads.of(List.of(id)).get(id).client().archived()).isTrue();
                throw new IllegalStateException("taken back");
              });
    } catch (IllegalStateException takenBack) {
      assertThat(takenBack).hasMessage("taken back");
    }
    // The next write gets the revision that was withdrawn.
    clients_.change(
        id,
        before.client().version(),
        before.client().details(),
        Instant.parse("2026-01-02T00:00:00Z"));
    assertThat(heads.of(List.of(id)).get(id).client().archived()).isFalse();
  }

  /** Every table that says something about a client makes its head out of date. */
  @Test
  void everyTableOfAClientRaisesTheRevision() throws SQLException {
    // Written with the programme, or nothing that a head shows.
    Set<String> not =
        Set.of(
            "planned_session",
            "class_count_member",
            "class_count_entry",
            "calendar_subscription",
            "busy_calendar",
            // The session that they are of raises it.
            "device_recording",
            "session_summary",
            "trail",
            "client_revision");
    Set<String> missing = new TreeSet<>();
    Path file = bean(DataFolder.class).path().resolve("korvel.db");
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        PreparedStatement tables =
            connection.prepareStatement(
                "select t.name from sqlite_master t join pragma_table_info(t.name) c"
                    + " where t.type = 'table' and c.name = 'client_id'"
                    + " and not exists (select 1 from sqlite_master g"
                    + " where g.type = 'trigger' and g.tbl_name = t.name)");
        ResultSet names = tables.executeQuery()) {
      while (names.next()) {
        missing.add(names.getString(1));
      }
    }
    missing.removeAll(not);
    assertThat(missing).isEmpty();
  }
}
