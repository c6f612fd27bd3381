package app.korvel.server;

import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.counted;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.IntUnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Recordings of clients' own devices, in and out, over HTTP. */
class RecordingApiTest {
  private static TestServer server;
  private static LiveScene scene;
  private static Path folder;

  @BeforeAll
  static void start(@TempDir Path temp) {
    folder = temp;
    server = new TestServer(folder.resolve("one"), SetClock.class);
    scene = new LiveScene(server);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static Instant yesterday(int hour) {
    return LocalDate.now().minusDays(1).atTime(hour, 0).atZone(ZoneId.systemDefault()).toInstant();
  }

  private static Answer send(String path, byte[] body) {
    return server.send(
        server
            .request(path)
            .setHeader("Content-Type", "application/octet-stream")
            .POST(BodyPublishers.ofByteArray(body)));
  }

  private static Answer bring(String client, String text) {
    return bring(client, text, "?name=evening.csv");
  }

  private static Answer bring(String client, String text, String query) {
    return send(client + "/recordings" + query, text.getBytes(StandardCharsets.UTF_8));
  }

  private static String csv(Instant from, int seconds, IntUnaryOperator bpm) {
    StringBuilder text = new StringBuilder("time,hr\n");
    for (int n = 0; n < seconds; n++) {
      text.append(from.plusSeconds(n)).append(',').append(bpm.applyAsInt(n)).append('\n');
    }
    return text.toString();
  }

  private static String id(Answer read) {
    assertThat(read.status()).as(read.json().toString()).isEqualTo(200);
    return read.at("/preview/id");
  }

  private static Answer keep(String id, String body) {
    return server.post("/api/recordings/" + id + "/keep", body);
  }

  private static int recordings(String client) {
    int standing = 0;
    for (JsonNode row : server.get(client + "/recordings").json()) {
      standing += row.get("withdrawn").asBoolean() ? 0 : 1;
    }
    return standing;
  }

  private static int logs(String client) {
    return server.get(client + "/progress").json().get("logs").asInt();
  }

  private static int sessions(String client) {
    return server.get(client + "/sessions/zones?scheme=voice-ladder").json().get("sessions").size();
  }

  @Test
  void aRecordingIsLookedAtFirstAndThenKeptWholeWithItsLog() {
    String client = scene.client("Brings One");
    Answer read = bring(client, csv(yesterday(7), 1800, n -> n < 600 ? 100 : 125));
    JsonNode preview = read.json().get("preview");
    assertThat(preview.get("seconds").asInt()).isEqualTo(1800);
    assertThat(preview.get("averageBpm").asInt()).isEqualTo(117);
    assertThat(preview.get("sourceKnown").asBoolean()).isFalse();
    assertThat(preview.get("source").asString()).isEqualTo("wrist");
    assertThat(preview.get("spanRestingBpm").asInt()).isEqualTo(64);
    assertThat(preview.at("/findings/0/code").asString()).isEqualTo("recording-unknown-source");
    assertThat(recordings(client)).as("nothing is kept yet").isZero();
    assertThat(logs(client)).isZero();

    Answer kept = keep(id(read), "{\"source\":\"strap\",\"planned\":0,\"rpe20\":12}");
    assertThat(kept.status()).as(kept.json().toString()).isEqualTo(200);
    assertThat(recordings(client)).isOne();
    assertThat(logs(client)).isOne();
    Answer summary = server.get("/api/live/" + kept.at("/session") + "/summary");
    assertThat(summary.json().get("averageBpm").asInt()).isEqualTo(117);
    assertThat(summary.json().get("minutes").asInt()).isEqualTo(30);
    assertThat(summary.json().get("drop").isNull()).isTrue();
    assertThat(keep(id(read), "{}").status()).as("once").isEqualTo(400);
  }

  @Test
  void itJoinsTheOnePlannedSessionOfItsDayAndActivity() {
    String client = scene.client("Joins");
    LocalDate today = LocalDate.now();
    String every =
        "\"monday\",\"tuesday\",\"wednesday\",\"thursday\",\"friday\",\"saturday\",\"sunday\"";
    Answer laid =
        server.put(
            client + "/programme",
            """
            {"version":0,"plan":{"startsOn":"%s","endsOn":"%s","weekdays":[%s],"goalMinutes":30,"goalDays":3}}
            """
                .formatted(today, today.plusWeeks(4).minusDays(1), every));
    assertThat(laid.status()).as(laid.json().toString()).isEqualTo(200);
    JsonNode first = laid.json().at("/sessions/0");
    LocalDate on = LocalDate.parse(first.get("date").asString());
    // By then it is that evening.
    Instant begins = on.atTime(0, 5).atZone(ZoneId.systemDefault()).toInstant();
    Duration ahead = Duration.between(SetClock.now(), begins.plusSeconds(7200));
    if (!ahead.isNegative()) {
      SetClock.letPass(ahead);
    }
    Answer read = bring(client, csv(begins, 2880, n -> n < 600 ? 95 : 115));
    int number = first.get("number").asInt();
    assertThat(read.json().at("/preview/joins").asInt())
        .as(read.json().at("/preview").toString().substring(0, 300))
        .isEqualTo(number);
    assertThat(read.json().at("/preview/findings").toString()).contains("recording-steps-assumed");
    assertThat(keep(id(read), "{\"planned\":99}").at("/errors/0/field")).isEqualTo("planned");
    Answer kept = keep(id(read), "{\"source\":\"strap\"}");
    assertThat(kept.status()).as(kept.json().toString()).isEqualTo(200);
    JsonNode summary = server.get("/api/live/" + kept.at("/session") + "/summary").json();
    assertThat(summary.get("done").asBoolean()).isTrue();
    assertThat(summary.get("inSeconds").asInt()).as("115 lies in 109 to 120").isGreaterThan(900);
    assertThat(summary.get("workSeconds").asInt())
        .as("without warm-up and cool-down")
        .isBetween(1440, 2400);
  }

  @Test
  void itIsWithdrawnWholeAndRestored() {
    String client = scene.client("Takes It Back");
    String id = id(bring(client, csv(yesterday(8), 1200, n -> 120)));
    String session = keep(id, "{\"planned\":0}").at("/session");
    server.post("/api/recordings/" + id + "/withdraw", "{}");
    assertThat(recordings(client)).isZero();
    assertThat(logs(client)).isZero();
    Answer restored = server.post("/api/recordings/" + id + "/restore", "{}");
    assertThat(restored.json().get("withdrawn").asBoolean()).isFalse();
    assertThat(recordings(client)).isOne();
    assertThat(logs(client)).isOne();
    assertThat(server.get("/api/live/" + session).status()).isEqualTo(200);
    assertThat(server.post("/api/recordings/" + id + "/restore", "{}").status()).isEqualTo(400);
    Answer added =
        scene.happens(
            "/api/live/" + session, yesterday(8).plusSeconds(10), "rated", ",\"rpe20\":12");
    assertThat(added.at("/errors/0/message")).isEqualTo("was brought in whole");
  }

  @Test
  void theSameFileIsRefusedAndTheSameSessionIsASecondRecordingOnly() {
    String client = scene.client("Twice");
    String text = csv(yesterday(9), 1200, n -> 118 + n / 60 % 20);
    String session =
        keep(id(bring(client, text)), "{\"source\":\"wrist\",\"planned\":0}").at("/session");
    Answer again = bring(client, text);
    assertThat(again.status()).isEqualTo(422);
    assertThat(again.at("/findings/0/code")).isEqualTo("recording-same-file");

    // A strap of the same run, switched on 20 s later, reads a little less.
    Answer strap =
        bring(client, csv(yesterday(9).plusSeconds(20), 1170, n -> 117 + (n + 20) / 60 % 20));
    assertThat(strap.at("/preview/findings/0/code")).isEqualTo("recording-same");
    Answer refused = keep(id(strap), "{\"source\":\"strap\",\"planned\":0}");
    assertThat(refused.at("/errors/0/field")).isEqualTo("secondOf");
    Answer second =
        keep(id(strap), "{\"source\":\"strap\",\"secondOf\":\"%s\"}".formatted(session));
    assertThat(second.at("/session")).isEqualTo(session);

    Answer compared = server.get("/api/live/" + session + "/agreement");
    assertThat(compared.at("/reference/source")).as("the strap is the stronger").isEqualTo("strap");
    assertThat(compared.at("/second/source")).isEqualTo("wrist");
    assertThat(compared.at("/agreement/meanBpm")).startsWith("1");
    assertThat(compared.at("/agreement/verdict")).isEqualTo("good-for-targets");
    // The session, and its log, go by the strap now: 20 s of 1200 are without a rate.
    assertThat(server.get("/api/live/" + session + "/summary").json().get("noDataSeconds").asInt())
        .isGreaterThan(20);

    server.post("/api/recordings/" + id(strap) + "/withdraw", "{}");
    assertThat(server.get("/api/live/" + session + "/agreement").status()).isEqualTo(404);
    assertThat(server.get("/api/live/" + session + "/summary").json().get("noDataSeconds").asInt())
        .isLessThan(10);
  }

  @Test
  void aSessionStandsAsLongAsOneOfItsRecordingsDoes() {
    String client = scene.client("Two Devices");
    String wrist = id(bring(client, csv(yesterday(9), 1200, n -> 124)));
    String session = keep(wrist, "{\"source\":\"wrist\",\"planned\":0}").at("/session");
    String strap = id(bring(client, csv(yesterday(9).plusSeconds(5), 1190, n -> 120)));
    keep(strap, "{\"source\":\"strap\",\"secondOf\":\"%s\"}".formatted(session));
    String summary = "/api/live/" + session + "/summary";
    assertThat(server.get(summary).json().get("averageBpm").asInt()).as("the strap").isEqualTo(120);

    server.post("/api/recordings/" + wrist + "/withdraw", "{}");
    assertThat(recordings(client)).as("the strap stands").isOne();
    assertThat(server.get(summary).json().get("averageBpm").asInt()).isEqualTo(120);
    assertThat(logs(client)).isOne();

    server.post("/api/recordings/" + strap + "/withdraw", "{}");
    assertThat(recordings(client)).isZero();
    assertThat(logs(client)).as("nothing reads it any more").isZero();
    assertThat(sessions(client)).isZero();

    server.post("/api/recordings/" + wrist + "/restore", "{}");
    assertThat(sessions(client)).isOne();
    assertThat(logs(client)).isOne();
    assertThat(server.get(summary).json().get("averageBpm").asInt()).as("the wrist").isEqualTo(124);

    server.post("/api/recordings/" + strap + "/restore", "{}");
    assertThat(logs(client)).isOne();
    assertThat(server.get(summary).json().get("averageBpm").asInt()).isEqualTo(120);
    assertThat(server.get("/api/live/" + session + "/agreement").at("/agreement/meanBpm"))
        .startsWith("4");
  }

  @Test
  void aWithdrawnRecordingDoesNotComeBackOverOneThatWasBroughtInSince() {
    String client = scene.client("Brought Anew");
    String first = id(bring(client, csv(yesterday(6), 900, n -> 118)));
    keep(first, "{\"planned\":0}");
    server.post("/api/recordings/" + first + "/withdraw", "{}");
    String again = id(bring(client, csv(yesterday(6), 900, n -> 119)));
    keep(again, "{\"planned\":0}");
    Answer refused = server.post("/api/recordings/" + first + "/restore", "{}");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/message")).contains("the same session is on record by now");
    assertThat(recordings(client)).isOne();
    assertThat(logs(client)).isOne();
  }

  @Test
  void aPeakIsProposedOnceTheSensorWasQuestioned() {
    String client = scene.client("Peaks");
    String text = csv(yesterday(10), 900, n -> n < 700 ? 150 : Math.min(188, 150 + (n - 700) / 2));
    String session =
        "/api/live/"
            + keep(id(bring(client, text)), "{\"source\":\"strap\",\"planned\":0}").at("/session");
    Answer peak = server.get(session + "/peak");
    assertThat(peak.json().get("bpm").asInt()).isEqualTo(188);
    assertThat(peak.at("/finding/message")).startsWith("A peak of 188, 12 over");
    assertThat(server.post(session + "/peak", "{\"sensorSat\":false}").at("/errors/0/field"))
        .isEqualTo("sensorSat");
    assertThat(server.post(session + "/peak", "{\"sensorSat\":true}").status()).isEqualTo(201);
    assertThat(server.post(session + "/peak", "{\"sensorSat\":true}").status()).isEqualTo(400);
    assertThat(server.get(client + "/maximum").json().toString())
        .contains("A peak of 188 was seen, 12 over the working maximum.");
  }

  @Test
  void underEighteenAPeakIsKeptAndNotProposed() {
    String client = added(server, "Young Peak", 16, "some", "consent");
    counted(server, client, 64);
    String session =
        "/api/live/"
            + keep(
                    id(bring(client, csv(yesterday(10), 300, n -> 205))),
                    "{\"source\":\"strap\",\"planned\":0}")
                .at("/session");
    assertThat(server.get(session + "/peak").at("/finding/code")).isEqualTo("peak-not-taken");
    assertThat(server.post(session + "/peak", "{\"sensorSat\":true}").status()).isEqualTo(422);
  }

  @Test
  void whatIsNoRecordingIsRefusedAndNothingIsKept() {
    String client = scene.client("Refused");
    assertThat(bring(client, "").at("/errors/0/message")).isEqualTo("is empty");
    assertThat(bring(client, csv(yesterday(7), 10, n -> 120)).at("/errors/0/message"))
        .isEqualTo("lasts 10 s");
    assertThat(bring(client, csv(Instant.now().plusSeconds(7200), 90, n -> 120)).status())
        .isEqualTo(400);
    assertThat(bring(client, "<!DOCTYPE gpx []><gpx/>").status()).isEqualTo(400);
    Answer asked = bring(client, "seconds,bpm\n0,100\n60,110\n120,120\n");
    assertThat(asked.at("/asked/0")).isEqualTo("started-at");
    assertThat(asked.json().get("preview").isNull()).isTrue();
    Answer told =
        bring(
            client,
            "seconds,bpm\n0,100\n60,110\n120,120\n",
            "?startedAt=" + yesterday(7).truncatedTo(ChronoUnit.SECONDS));
    assertThat(told.json().at("/preview/seconds").asInt()).isEqualTo(121);
    assertThat(server.delete("/api/recordings/" + id(told)).status()).isEqualTo(204);
    assertThat(server.get("/api/recordings/" + id(told)).status()).isEqualTo(404);
    assertThat(server.get("/api/recordings/" + UUID.randomUUID()).status()).isEqualTo(404);
    assertThat(recordings(client)).isZero();
  }

  /**
   * Damaged files of each format, over HTTP: read, asked about or refused, never a fault of ours.
   */
  @Test
  void aDamagedFileIsNeverAFaultOfTheServer() {
    String client = scene.client("Damaged");
    Random random = new Random(270);
    String gpx =
        "<gpx version=\"1.1\"><trk><trkseg>"
            + "<trkpt lat=\"0\" lon=\"0\"><time>%s</time><extensions><hr>120</hr></extensions></trkpt>"
                .formatted(yesterday(7))
            + "</trkseg></trk></gpx>";
    String fhir =
        "{\"resourceType\":\"Observation\",\"code\":{\"coding\":[{\"system\":\"http://loinc.org\","
            + "\"code\":\"8867-4\"}]},\"effectiveDateTime\":\"%s\",\"valueQuantity\":{\"value\":90}}"
                .formatted(yesterday(7));
    for (String base : new String[] {csv(yesterday(7), 70, n -> 120), gpx, fhir}) {
      for (int n = 0; n < 60; n++) {
        byte[] bytes = base.getBytes(StandardCharsets.UTF_8);
        for (int times = random.nextInt(4); times >= 0; times--) {
          bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
        }
        assertThat(send(client + "/recordings", bytes).status()).isIn(200, 400, 422);
      }
    }
    assertThat(recordings(client)).isZero();
  }

  private static byte[] download(String path) throws IOException {
    try (InputStream in = URI.create(server.address() + path).toURL().openStream()) {
      return in.readAllBytes();
    }
  }

  /** The tables of an archive, by name. */
  private static Map<String, String> tables(byte[] zip) throws IOException {
    Map<String, String> tables = new TreeMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        if (entry.getName().startsWith("tables/")) {
          tables.put(entry.getName(), text);
        }
      }
    }
    return tables;
  }

  private static Answer take(TestServer into, byte[] zip) {
    return into.send(
        into.request("/api/archives")
            .setHeader("Content-Type", "application/zip")
            .POST(BodyPublishers.ofByteArray(zip)));
  }

  @Test
  void whatGoesOutComesInAgainIntoAnEmptyStudioAsItWas() throws IOException {
    String client = scene.ready("Leaves Whole");
    String session = scene.session(client);
    Instant begun = scene.begun(session);
    scene.send(session, 1, scene.samples(begun, 100, 118));
    SetClock.letPass(Duration.ofSeconds(120));
    scene.happens(session, begun.plusSeconds(110), "ended", ",\"reason\":\"planned\"");
    keep(id(bring(client, csv(yesterday(18), 600, n -> 120))), "{\"planned\":0}");
    byte[] whole = download(client + "/archive.zip");
    assertThat(new String(whole, StandardCharsets.ISO_8859_1))
        .contains("summary.pdf", "fhir.json", "tables/client.csv", "recordings/");
    try (TestServer other = new TestServer(folder.resolve("other"), SetClock.class)) {
      Answer came = take(other, whole);
      assertThat(came.status()).as(came.json().toString()).isEqualTo(201);
      assertThat(came.at("/scope")).isEqualTo("client");
      assertThat(take(other, whole).at("/errors/0/message")).contains("is here already");
      TestServer home = server;
      server = other;
      try {
        assertThat(tables(download(client + "/archive.zip"))).isEqualTo(tables(whole));
        assertThat(recordings(client)).isOne();
        assertThat(server.get(session + "/summary").json())
            .isEqualTo(home.get(session + "/summary").json());
        assertThat(server.get(client + "/months").json())
            .isEqualTo(home.get(client + "/months").json());
      } finally {
        server = home;
      }
    }
  }

  @Test
  void aWholeStudioComesIntoAnEmptyOneOnly() throws IOException {
    scene.client("Of The Studio");
    byte[] whole = download("/api/studio/archive.zip");
    assertThat(take(server, whole).at("/errors/0/message")).contains("there are clients here");
    try (TestServer other = new TestServer(folder.resolve("third"), SetClock.class)) {
      assertThat(take(other, whole).status()).isEqualTo(201);
      TestServer home = server;
      server = other;
      try {
        assertThat(tables(download("/api/studio/archive.zip"))).isEqualTo(tables(whole));
      } finally {
        server = home;
      }
    }
  }

  @Test
  void aDamagedArchiveLeavesNothingBehind() throws IOException {
    String client = scene.client("Damaged Archive");
    byte[] whole = download(client + "/archive.zip");
    try (TestServer other = new TestServer(folder.resolve("fourth"), SetClock.class)) {
      byte[] cut = Arrays.copyOf(whole, whole.length * 2 / 3);
      assertThat(take(other, cut).status()).isEqualTo(400);
      assertThat(take(other, "no zip".getBytes(StandardCharsets.UTF_8)).at("/errors/0/message"))
          .isEqualTo("is no ZIP file");
      assertThat(take(other, bomb(whole)).at("/errors/0/message")).contains("swells");
      Answer unreadable = take(other, changed(whole, "\"SEATED\"", "\"FLOATING\""));
      assertThat(unreadable.status()).as(unreadable.json().toString()).isEqualTo(400);
      assertThat(unreadable.at("/errors/0/message")).contains("cannot be read");
      assertThat(other.get("/api/clients").json().at("/clients").size()).isZero();
      assertThat(take(other, whole).status()).isEqualTo(201);
    }
  }

  /** The same archive with something else in its tables. */
  private static byte[] changed(byte[] whole, String what, String to) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(whole));
        ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        if (entry.getName().endsWith(".csv") || entry.getName().endsWith(".json")) {
          zip.putNextEntry(new ZipEntry(entry.getName()));
          zip.write(text.replace(what, to).getBytes(StandardCharsets.UTF_8));
        }
      }
    }
    return bytes.toByteArray();
  }

  /** The archive's own first page, and a second file of zeros, far larger than it looks. */
  private static byte[] bomb(byte[] whole) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(whole));
        ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry(in.getNextEntry().getName()));
      zip.write(in.readAllBytes());
      zip.putNextEntry(new ZipEntry("recordings/zeros.csv"));
      byte[] zeros = new byte[1 << 20];
      for (int n = 0; n < 200; n++) {
        zip.write(zeros);
      }
      zip.closeEntry();
    }
    return bytes.toByteArray();
  }

  @Test
  void everySessionIsReadInAnyZoneSystemByItsOwnDayOrToday() {
    String client = scene.client("All Sessions");
    keep(id(bring(client, csv(yesterday(7), 600, n -> 120))), "{\"planned\":0}");
    keep(id(bring(client, csv(yesterday(19), 600, n -> 140))), "{\"planned\":0}");
    JsonNode own = server.get(client + "/sessions/zones?scheme=voice-ladder").json();
    assertThat(own.get("sessions")).hasSize(2);
    assertThat(own.get("words").asString()).contains("its own day");
    assertThat(own.at("/all/1/seconds").asInt() + own.at("/all/2/seconds").asInt())
        .isBetween(1180, 1200);
    // At a resting rate of 80, 120 lies under 60 % of another span: Talk begins at 118.
    counted(server, client, 80);
    JsonNode today = server.get(client + "/sessions/zones?scheme=max-fifths&span=today").json();
    assertThat(today.get("words").asString()).contains("today's");
    assertThat(today.get("span").asString()).isEqualTo("today");
  }

  @Test
  void monthsAreOnePageWithAPdfAndACsv() throws IOException {
    String client = scene.client("Months");
    keep(id(bring(client, csv(yesterday(7), 1500, n -> 120))), "{\"planned\":0,\"rpe20\":12}");
    JsonNode months = server.get(client + "/months").json();
    assertThat(months.get("months")).hasSize(12);
    int minutes = 0;
    for (JsonNode month : months.get("months")) {
      for (JsonNode each : month.get("minutes")) {
        minutes += each.asInt();
      }
    }
    assertThat(minutes).isEqualTo(25);
    JsonNode last = months.get("months").get(11);
    assertThat(last.at("/span/restingBpm").asInt()).isEqualTo(64);
    assertThat(last.at("/span/maximumBpm").asInt()).isEqualTo(176);
    assertThat(months.get("months").get(0).at("/span/restingBpm").isNull()).isTrue();
    assertThat(server.get(client + "/months?months=61").at("/errors/0/field")).isEqualTo("months");
    assertThat(new String(download(client + "/months.pdf"), StandardCharsets.ISO_8859_1))
        .startsWith("%PDF");
    assertThat(new String(download(client + "/months.csv?months=3"), StandardCharsets.UTF_8))
        .startsWith("month,planned,done")
        .contains(",64,176,");
    assertThat(server.get(client + "/span?on=" + LocalDate.now()).json().get("restingBpm").asInt())
        .isEqualTo(64);
    assertThat(server.get(client + "/span?on=" + LocalDate.now().plusDays(9)).status())
        .isEqualTo(400);
  }

  @Test
  void theCalculatorOfAgreementIsWorkedByHand() {
    Answer answer =
        server.post(
            "/api/calculator/agreement",
            """
            {"reference":[[1,98],[2,104],[3,110],[4,115],[5,121],[6,126],[7,130],[8,134],[9,139],
            [10,143],[11,147],[12,150]],"second":[[1,99],[2,103],[3,112],[4,114],[5,119],[6,127],
            [7,133],[8,131],[9,140],[10,149],[11,146],[12,157]],"restingBpm":64,"maximumBpm":176}
            """);
    assertThat(answer.json().get("meanBpm").asDouble()).isEqualTo(1.083);
    assertThat(answer.json().get("sdBpm").asDouble()).isEqualTo(3.059);
    assertThat(answer.json().get("lowBpm").asDouble()).isEqualTo(-4.91);
    assertThat(answer.json().get("highBpm").asDouble()).isEqualTo(7.08);
    assertThat(answer.json().get("within5Percent").asDouble()).isEqualTo(83.3);
    assertThat(answer.at("/verdict")).isEqualTo("not-for-steering");
    assertThat(
            server
                .post(
                    "/api/calculator/agreement",
                    "{\"reference\":[[0,98]],\"second\":[],\"restingBpm\":64,\"maximumBpm\":176}")
                .at("/errors/0/field"))
        .isEqualTo("reference[0]");
  }

  @Test
  void theCalculatorOfPeaksAsksWhatReadIt() {
    StringBuilder csv = new StringBuilder("seconds,bpm,steps\\n");
    for (int n = 0; n < 40; n++) {
      csv.append(n).append(",176,176\\n");
    }
    for (int n = 40; n < 60; n++) {
      csv.append(n).append(",172,160\\n");
    }
    String body = "{\"csv\":\"" + csv + "\"%s}";
    assertThat(server.post("/api/calculator/peak", body.formatted("")).json().get("bpm").asInt())
        .isEqualTo(172);
    assertThat(
            server
                .post("/api/calculator/peak", body.formatted(",\"source\":\"strap\""))
                .json()
                .get("bpm")
                .asInt())
        .isEqualTo(176);
  }
}
