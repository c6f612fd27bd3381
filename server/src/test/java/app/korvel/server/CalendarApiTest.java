package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.intake;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Days of the calendar, files and addresses out, busy times in. */
class CalendarApiTest {
  private static TestServer server;
  private static LocalDate monday;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
    monday =
        LocalDate.parse(server.get("/api/studio").at("/today"))
            .with(TemporalAdjusters.next(DayOfWeek.MONDAY));
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String prescribed(String name) {
    String client = added(server, name, 46, "some", "");
    counted(server, client, 64);
    server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    return client;
  }

  private static String planned(String name) {
    String client = prescribed(name);
    Answer laid = layOut(client, 0, monday, "\"monday\",\"wednesday\",\"friday\"");
    assertThat(laid.status()).as(laid.json().toString()).isEqualTo(200);
    return client;
  }

  private static Answer layOut(String client, int version, LocalDate from, String days) {
    return server.put(
        client + "/programme",
        """
        {"version":%d,"plan":{"startsOn":"%s","endsOn":"%s","weekdays":[%s],"goalMinutes":30,
          "goalDays":3,"time":"18:30"}}
        """
            .formatted(version, from, from.plusWeeks(4).minusDays(1), days));
  }

  private static String id(String client) {
    return client.substring(client.lastIndexOf('/') + 1);
  }

  private static List<JsonNode> sessions(String client, LocalDate from, LocalDate to) {
    Answer days =
        server.get("/api/calendar?from=%s&to=%s&client=%s".formatted(from, to, id(client)));
    assertThat(days.status()).isEqualTo(200);
    return StreamSupport.stream(days.json().get("sessions").spliterator(), false).toList();
  }

  @Test
  void theDaysOfAClientAndOfTheStudio() {
    String one = planned("Ada Kalender");
    String other = planned("Bo Kalender");
    List<JsonNode> week = sessions(one, monday, monday.plusDays(6));
    assertThat(week).hasSize(3);
    assertThat(week.get(0).get("date").asString()).isEqualTo(monday.toString());
    assertThat(week.get(0).get("time").asString()).startsWith("18:30");
    assertThat(week.get(0).get("state").asString()).isEqualTo("planned");
    assertThat(week.get(0).get("minutes").asInt()).isEqualTo(30);
    String all =
        server
            .get("/api/calendar?from=%s&to=%s".formatted(monday, monday))
            .json()
            .get("sessions")
            .toString();
    assertThat(all).contains(id(one)).contains(id(other));
    // What may not be done says so.
    server.put(other + "/screening", intake(1, "some", ",\"symptoms\":[\"chest-pain\"]"));
    assertThat(sessions(other, monday, monday).get(0).get("state").asString()).isEqualTo("rests");
    server.put(one + "/programme/sessions/1/skipped", "{\"version\":1,\"skipped\":true}");
    assertThat(sessions(one, monday, monday).get(0).get("state").asString()).isEqualTo("skipped");
  }

  @ParameterizedTest
  @CsvSource({"2026-05-02,2026-05-01", "2026-05-01,2026-07-02"})
  void aCalendarHasAnEnd(String from, String to) {
    Answer answer = server.get("/api/calendar?from=" + from + "&to=" + to);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo("to");
    assertThat(server.get("/api/calendar?from=2026-05-01&to=2026-07-01").status()).isEqualTo(200);
    assertThat(server.get("/api/calendar?from=soon&to=2026-07-01").at("/errors/0/accepted"))
        .isEqualTo("a date as YYYY-MM-DD");
    String far = "/api/calendar?from=%2B999999999-12-31&to=%2B999999999-12-31";
    assertThat(server.get(far).at("/errors/0/field")).isEqualTo("from");
    assertThat(
            server
                .get("/api/calendar?from=2026-05-01&to=2026-05-02&client=me")
                .at("/errors/0/accepted"))
        .isEqualTo("the id of a record");
  }

  private static HttpResponse<String> file(String path) {
    return server.raw(HttpRequest.newBuilder(URI.create(server.address() + path)));
  }

  /** Every event by its id: sequence, beginning and state. */
  private static Map<String, String> events(String calendar) {
    Map<String, String> events = new TreeMap<>();
    for (String event : calendar.replace("\r\n ", "").split("BEGIN:VEVENT")) {
      Matcher uid = Pattern.compile("UID:(\\S+)").matcher(event);
      if (uid.find()) {
        events.put(
            uid.group(1),
            first(event, "SEQUENCE:(\\d+)")
                + " "
                + first(event, "DTSTART\\S*?:(\\S+)")
                + " "
                + first(event, "STATUS:(\\S+)"));
      }
    }
    return events;
  }

  private static String first(String text, String pattern) {
    Matcher found = Pattern.compile(pattern).matcher(text);
    return found.find() ? found.group(1) : "";
  }

  @Test
  void aLaterFileChangesWhatMovedAndCancelsWhatIsGone() {
    String client = planned("Cem Kalender");
    String path = client + "/calendar.ics";
    HttpResponse<String> first = file(path);
    assertThat(first.headers().firstValue("Content-Type").orElseThrow())
        .startsWith("text/calendar");
    Map<String, String> before = events(first.body());
    assertThat(before).hasSize(12).allSatisfy((uid, is) -> assertThat(is).endsWith("CONFIRMED"));
    assertThat(first.body().replace("\r\n ", ""))
        .contains("Target 109–120 beats a minute.")
        .contains("SUMMARY:Walk or run\\, 30 min")
        .doesNotContain("SUMMARY:Cem");

    String uid = id(client) + "-2@korvel";
    server.put(
        client + "/programme/sessions/2/date",
        "{\"version\":1,\"date\":\"%s\"}".formatted(monday.plusDays(3)));
    Map<String, String> moved = events(file(path).body());
    assertThat(moved.keySet()).isEqualTo(before.keySet());
    assertThat(moved.get(uid)).startsWith("2 " + monday.plusDays(3).toString().replace("-", ""));
    // Only what changed goes up.
    assertThat(moved.get(id(client) + "-1@korvel")).isEqualTo(before.get(id(client) + "-1@korvel"));

    layOut(client, 2, monday.plusWeeks(1), "\"tuesday\",\"thursday\",\"saturday\"");
    Map<String, String> anew = events(file(path).body());
    assertThat(anew).hasSize(24);
    assertThat(anew.get(uid)).startsWith("3 ").endsWith("CANCELLED");
    assertThat(anew.get(id(client) + "-13@korvel")).endsWith("CONFIRMED");
    // Taken back: what was gone is there again.
    server.put(client + "/programme/version", "{\"version\":3,\"to\":2}");
    Map<String, String> back = events(file(path).body());
    assertThat(back.get(uid)).startsWith("4 ").endsWith("CONFIRMED");
    assertThat(back.get(id(client) + "-13@korvel")).endsWith("CANCELLED");
  }

  @Test
  void aClassHasNamesAndNoRateWhereTheyRest() {
    String one = planned("Dag Kalender");
    String other = planned("Eli Kalender");
    server.put(other + "/screening", intake(1, "some", ",\"symptoms\":[\"chest-pain\"]"));
    String text =
        file("/api/calendar.ics?client=%s&client=%s".formatted(id(one), id(other)))
            .body()
            .replace("\r\n ", "");
    assertThat(text)
        .contains("SUMMARY:Dag Kalender: Walk or run\\, 30 min")
        .contains("SUMMARY:On hold: Eli Kalender: Walk or run\\, 30 min")
        .contains("On hold: ask your instructor")
        .contains("X-WR-CALNAME:Training\\, a class of 2");
    assertThat(events(text)).hasSize(24);
    assertThat(file("/api/calendar.ics?client=" + new java.util.UUID(0, 1)).statusCode())
        .isEqualTo(404);
  }

  @Test
  void anAddressCannotBeGuessedAndHoldsUntilItIsRevoked() {
    String client = planned("Fee Kalender");
    Answer made =
        server.post(
            "/api/calendar/subscriptions",
            "{\"name\":\"phone\",\"clientId\":\"%s\"}".formatted(id(client)));
    assertThat(made.status()).isEqualTo(201);
    String path = made.at("/path");
    assertThat(path).matches("/api/calendar/feeds/[A-Za-z0-9_-]{43}\\.ics");
    HttpResponse<String> feed = file(path);
    assertThat(feed.statusCode()).isEqualTo(200);
    assertThat(events(feed.body())).hasSize(12);
    assertThat(feed.headers().firstValue("Cache-Control")).contains("no-store");
    // It is told once: no list has it.
    assertThat(server.get("/api/calendar/links").json().toString())
        .contains("phone")
        .doesNotContain(path.substring(20, 40));
    String other =
        path.substring(0, 25) + (path.charAt(25) == 'A' ? 'B' : 'A') + path.substring(26);
    assertThat(file(other).statusCode()).isEqualTo(404);

    String revoked = "/api/calendar/subscriptions/" + made.at("/subscription/id") + "/revoked";
    server.put(revoked, "{\"revoked\":true}");
    assertThat(file(path).statusCode()).isEqualTo(404);
    server.put(revoked, "{\"revoked\":false}");
    assertThat(file(path).statusCode()).isEqualTo(200);
    server.put(revoked, "{\"revoked\":true}");
    assertThat(server.get("/api/calendar/links").json().toString()).doesNotContain("phone");
    assertThat(
            server
                .post("/api/calendar/subscriptions", "{\"name\":\" \",\"clientId\":null}")
                .at("/errors/0/field"))
        .isEqualTo("name");
    Answer studio =
        server.post("/api/calendar/subscriptions", "{\"name\":\"office\",\"clientId\":null}");
    assertThat(file(studio.at("/path")).body().replace("\r\n ", "")).contains("Fee Kalender");
  }

  private static Answer read(String name, String client, String text) {
    return server.send(
        HttpRequest.newBuilder(
                URI.create(
                    server.address()
                        + "/api/calendar/busy?name="
                        + name
                        + (client == null ? "" : "&client=" + id(client))))
            .header("Content-Type", "text/calendar")
            .POST(BodyPublishers.ofString(text)));
  }

  private static String roster(String... rules) {
    StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n");
    for (String rule : rules) {
      text.append("BEGIN:VEVENT\r\nUID:").append(rule.hashCode()).append("\r\n").append(rule);
      text.append("\r\nEND:VEVENT\r\n");
    }
    return text + "END:VCALENDAR\r\n";
  }

  private static String everyWeek(LocalDate from) {
    return "DTSTART;VALUE=DATE:" + from.toString().replace("-", "") + "\r\nRRULE:FREQ=WEEKLY";
  }

  @Test
  void busyTimesAreRespectedWhenDaysAreProposed() {
    String client = prescribed("Gil Kalender");
    server.put(
        client + "/screening",
        intake(1, "some", ",\"days\":[\"monday\",\"tuesday\",\"thursday\",\"saturday\"]"));
    assertThat(server.get(client + "/programme").json().at("/proposal/weekdays")).hasSize(4);
    Answer read = read("roster.ics", client, roster(everyWeek(monday.plusDays(1))));
    assertThat(read.status()).as(read.json().toString()).isEqualTo(201);
    JsonNode sheet = server.get(client + "/programme").json();
    assertThat(sheet.at("/proposal/weekdays").toString())
        .isEqualTo("[\"monday\",\"thursday\",\"saturday\"]");
    assertThat(sheet.get("busyDays").toString()).isEqualTo("[\"tuesday\"]");

    // Laid out on four days all the same: the taken one is left free.
    Answer laid = layOut(client, 0, monday, "\"monday\",\"tuesday\",\"thursday\",\"saturday\"");
    List<DayOfWeek> days = new ArrayList<>();
    laid.json()
        .get("sessions")
        .forEach(each -> days.add(LocalDate.parse(each.get("date").asString()).getDayOfWeek()));
    assertThat(days).isNotEmpty().doesNotContain(DayOfWeek.TUESDAY);
    String moved =
        server
            .put(
                client + "/programme/sessions/1/date",
                "{\"version\":1,\"date\":\"%s\"}".formatted(monday.plusDays(1)))
            .json()
            .toString();
    assertThat(moved).contains("session-busy").contains("calendar conflict, all day");

    // Read again under its name it is replaced; removed it counts no more, and can be brought back.
    read = read("roster.ics", client, roster(everyWeek(monday.plusDays(3))));
    List<JsonNode> mine =
        StreamSupport.stream(read.json().get("busy").spliterator(), false)
            .filter(each -> id(client).equals(each.get("clientId").asString()))
            .toList();
    assertThat(mine).hasSize(1);
    String removed = "/api/calendar/busy/" + mine.get(0).get("id").asString() + "/removed";
    server.put(removed, "{\"removed\":true}");
    assertThat(server.get(client + "/programme").json().get("busyDays")).isEmpty();
    server.put(removed, "{\"removed\":false}");
    assertThat(server.get(client + "/programme").json().get("busyDays").toString())
        .isEqualTo("[\"thursday\"]");
  }

  @Test
  void whatIsNoCalendarOrTooMuchIsRefusedAndNothingIsLost() {
    String client = prescribed("Hal Kalender");
    read("kept.ics", client, roster(everyWeek(monday)));
    Answer no = read("kept.ics", client, "name,date\r\nx,y");
    assertThat(no.status()).isEqualTo(400);
    assertThat(no.at("/errors/0/message")).isEqualTo("is not a calendar");
    Answer large = read("kept.ics", client, roster(everyWeek(monday)) + " ".repeat(5 << 20));
    assertThat(large.status()).isEqualTo(413);
    String event = "DTSTART:20300101T080000Z\r\nDURATION:PT1H";
    Answer many =
        read(
            "kept.ics",
            client,
            roster(IntStream.range(0, 6000).mapToObj(i -> event).toArray(String[]::new)));
    assertThat(many.status()).isEqualTo(400);
    assertThat(many.at("/errors/0/accepted")).contains("0 to 5000 events");
    Answer often =
        read("kept.ics", client, roster(event + "\r\nRRULE:FREQ=SECONDLY;COUNT=1000000"));
    assertThat(often.status()).isEqualTo(400);
    Answer zone =
        read(
            "kept.ics",
            client,
            roster("DTSTART;TZID=Z:20300101T080000\r\nDURATION:PT1H")
                .replace(
                    "BEGIN:VEVENT",
                    "BEGIN:VTIMEZONE\r\nTZID:Z\r\nBEGIN:STANDARD\r\nDTSTART:19700101T000000\r\n"
                        + "RRULE:FREQ=SECONDLY\r\nTZOFFSETFROM:+0100\r\nTZOFFSETTO:+0200\r\n"
                        + "END:STANDARD\r\nEND:VTIMEZONE\r\nBEGIN:VEVENT"));
    assertThat(zone.status()).isEqualTo(400);
    assertThat(zone.at("/errors/0/message")).contains("time zone");
    String whole = roster(everyWeek(monday));
    Answer cut = read("kept.ics", client, whole.substring(0, whole.length() / 2));
    assertThat(cut.status()).isEqualTo(400);
    assertThat(cut.at("/errors/0/message")).contains("cut off");
    assertThat(server.get("/api/calendar/links").json().get("busy").toString())
        .contains("kept.ics");
  }
}
