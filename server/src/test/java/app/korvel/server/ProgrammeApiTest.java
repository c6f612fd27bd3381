package app.korvel.server;

import static app.korvel.server.TestClients.PARTS;
import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.conditions;
import static app.korvel.server.TestClients.counted;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Session outlines and programmes over HTTP, with a client and without. */
class ProgrammeApiTest {
  private static final String OUTLINE =
      """
      {"blocks":[
        {"times":1,"apart":false,"steps":[{"kind":"warm-up","seconds":300,"lowPercent":20,"highPercent":40,"waits":false}]},
        {"times":%d,"apart":false,"steps":[{"kind":"work","seconds":%d,"lowPercent":%d,"highPercent":%d,"waits":false},
          {"kind":"easy","seconds":120,"lowPercent":30,"highPercent":40,"waits":false}]},
        {"times":1,"apart":false,"steps":[{"kind":"cool-down","seconds":300,"lowPercent":20,"highPercent":40,"waits":false}]}]}
      """;

  private static final String PLAN =
      """
      {"startsOn":"2027-01-04","endsOn":"%s","weekdays":[%s],"goalMinutes":%s,"goalDays":%s}
      """;
  private static final String DAYS = "\"monday\",\"wednesday\",\"friday\",\"sunday\"";
  private static final String EIGHT_WEEKS = PLAN.formatted("2027-02-28", DAYS, 40, 4);

  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  /** 46 years, 64 at rest: 176 by the default equation. */
  private static String client(String activity) {
    String client = added(server, "Programme Tester", 46, activity, "");
    counted(server, client, 64);
    return client;
  }

  private static String prescribed() {
    String client = client("some");
    assertThat(server.post(client + "/prescriptions", PARTS.formatted(40, 50)).status())
        .isEqualTo(201);
    return client;
  }

  private static Answer laidOut(String client, int version) {
    return server.put(
        client + "/programme", "{\"version\":%d,\"plan\":%s}".formatted(version, EIGHT_WEEKS));
  }

  private static List<String> codes(JsonNode findings) {
    return StreamSupport.stream(findings.spliterator(), false)
        .map(each -> each.get("code").asString())
        .toList();
  }

  private static String outline(int times, int seconds, int low, int high) {
    return OUTLINE.formatted(times, seconds, low, high);
  }

  @Test
  void anOutlineBecomesRatesForWhoeverDoesIt() {
    Answer found =
        server.post(
            "/api/calculator/outline",
            "{\"outline\":%s,\"restingBpm\":64,\"maximumBpm\":176}"
                .formatted(outline(6, 120, 50, 70)));
    // 50 and 70 % of 112 over 64: 120 and 142.
    assertThat(found.at("/blocks/1/steps/0/aim/lowBpm")).isEqualTo("120");
    assertThat(found.at("/blocks/1/steps/0/aim/highBpm")).isEqualTo("142");
    assertThat(found.at("/blocks/1/steps/0/aim/counts/15/0")).isEqualTo("30");
    assertThat(found.at("/blocks/1/steps/0/aim/name")).isEqualTo("Talk to Phrases");
    assertThat(found.at("/workSeconds")).isEqualTo("1440");
    assertThat(found.json().get("broken")).isEmpty();
  }

  /** A start that is over already is judged by what was done, as it is once it is saved. */
  @Test
  void aStartInThePastIsJudgedAsItIsSaved() {
    String client = prescribed();
    LocalDate monday =
        LocalDate.now().minusWeeks(3).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    String plan =
        EIGHT_WEEKS
            .replace("2027-01-04", monday.toString())
            .replace("2027-02-28", monday.plusWeeks(8).minusDays(1).toString());
    server.post(
        "/api/session-logs",
        "{\"logs\":[{\"clientId\":\"%s\",\"number\":null,\"on\":\"%s\",\"mode\":\"run\",\"minutes\":20,\"done\":true,\"rpe\":12}]}"
            .formatted(client.substring(client.lastIndexOf('/') + 1), monday.plusDays(8)));
    JsonNode shown = server.post(client + "/programme/preview", plan).json();
    JsonNode saved =
        server.put(client + "/programme", "{\"version\":0,\"plan\":%s}".formatted(plan)).json();
    assertThat(saved.get("weeks")).isEqualTo(shown.get("weeks"));
    // 20 minutes are all that was done in the weeks that are over.
    assertThat(codes(saved.at("/weeks/3/findings"))).contains("week-grows-too-fast");
  }

  /** Four days of vigorous work are three, and one easier. */
  @Test
  void ofFourVigorousDaysOneIsEasier() {
    String client = client("high");
    server.post(
        client + "/prescriptions", PARTS.formatted(65, 80).replace("\"days\":3", "\"days\":4"));
    Answer preview =
        server.post(
            client + "/prescriptions/preview",
            PARTS.formatted(65, 80).replace("\"days\":3", "\"days\":4"));
    assertThat(preview.json().at("/prescription/otherDays/days").asInt()).isEqualTo(1);
    assertThat(preview.json().at("/prescription/otherDays/lowPercent").asInt()).isEqualTo(40);
    // 40 and 60 % of the reserve of 112 over 64.
    assertThat(preview.json().at("/prescription/otherDays/target/lowBpm").asInt()).isEqualTo(109);
    assertThat(preview.json().at("/prescription/otherDays/target/highBpm").asInt()).isEqualTo(131);
    Answer programme = laidOut(client, 0);
    long easier =
        StreamSupport.stream(programme.json().get("sessions").spliterator(), false)
            .filter(each -> each.get("week").asInt() == 1 && each.get("easier").asBoolean())
            .count();
    assertThat(easier).isEqualTo(1);
  }

  @Test
  void aClientsOwnLimitsAreToldAndItCanBeMadeToFit() {
    String client = client("little");
    Answer found = server.post(client + "/outline", outline(6, 120, 60, 75));
    assertThat(found.at("/outline/broken/0/finding/code")).isEqualTo("step-over-ceiling");
    assertThat(found.at("/outline/broken/0/block")).isEqualTo("1");
    assertThat(found.at("/fitted/blocks/1/steps/0/highPercent")).isEqualTo("60");
    assertThat(found.at("/fitted/blocks/1/steps/0/lowPercent")).isEqualTo("45");
    assertThat(found.json().at("/fitted/broken")).isEmpty();
    assertThat(
            server.post(client + "/outline", outline(6, 120, 40, 50)).json().get("fitted").isNull())
        .isTrue();
  }

  @Test
  void theLibraryKeepsWhatHoldsForEveryone() {
    String named = "{\"name\":\"%s\",\"note\":\"\",\"outline\":%s}";
    Answer kept =
        server.post("/api/outlines", named.formatted("Quay rounds", outline(5, 120, 60, 70)));
    assertThat(kept.status()).isEqualTo(201);
    String path = "/api/outlines/" + kept.at("/id");

    assertThat(
            server
                .post("/api/outlines", named.formatted("quay ROUNDS", outline(5, 120, 60, 70)))
                .at("/errors/0/field"))
        .isEqualTo("name");
    Answer hard =
        server.post("/api/outlines", named.formatted("Too hard", outline(5, 300, 80, 90)));
    assertThat(hard.status()).isEqualTo(422);
    assertThat(codes(hard.json().get("findings"))).containsExactly("hard-too-long");

    String change = "{\"version\":%d,\"outline\":%s}";
    String other = named.formatted("Pier rounds", outline(6, 120, 60, 70));
    assertThat(server.put(path, change.formatted(1, other)).at("/version")).isEqualTo("2");
    Answer stale = server.put(path, change.formatted(1, other));
    assertThat(stale.status()).isEqualTo(409);
    assertThat(stale.at("/current/name")).isEqualTo("Pier rounds");
    assertThat(server.put(path + "/archived", "{\"version\":2,\"archived\":true}").status())
        .isEqualTo(200);
    assertThat(server.get("/api/outlines").json().toString()).doesNotContain("Pier rounds");
    assertThat(server.get("/api/outlines/steady-talk").at("/name")).isEqualTo("Steady at Talk");
    assertThat(server.get("/api/outlines/none").status()).isEqualTo(404);
    assertThat(server.put("/api/outlines/steady-talk", change.formatted(1, other)).status())
        .isEqualTo(404);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 120, 50, 60, blocks[1].times",
    "6, 4, 50, 60, blocks[1].steps[0].seconds",
    "6, 120, 19, 60, blocks[1].steps[0].lowPercent",
    "6, 120, 60, 50, blocks[1].steps[0].highPercent",
    "6, 120, 50, 91, blocks[1].steps[0].highPercent",
  })
  void figuresOfAnOutlineAreToldWithTheirPlace(
      int times, int seconds, int low, int high, String field) {
    Answer answer =
        server.post(
            "/api/calculator/outline",
            "{\"outline\":%s,\"restingBpm\":null,\"maximumBpm\":null}"
                .formatted(outline(times, seconds, low, high)));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo(field);
    assertThat(answer.at("/errors/0/accepted")).isNotEmpty();
  }

  @Test
  void aProgrammeGrowsFromAPrescriptionAndSaysWhyThereIsNone() {
    String client = client("some");
    Answer none = server.get(client + "/programme");
    assertThat(codes(none.json().get("why"))).containsExactly("no-programme-yet");
    assertThat(laidOut(client, 0).status()).isEqualTo(422);

    server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    assertThat(server.get(client + "/programme").json().at("/proposal/goalDays").asInt())
        .isEqualTo(5);
    Answer saved = laidOut(client, 0);
    assertThat(saved.status()).as(saved.json().toString()).isEqualTo(200);
    assertThat(saved.at("/version")).isEqualTo("1");
    assertThat(saved.json().get("weeks")).hasSize(8);
    // 3 × 30, a tenth at a time: 99 is 33 a session.
    assertThat(saved.at("/weeks/0/minutes") + " " + saved.at("/weeks/1/minutes"))
        .isEqualTo("90 99");
    assertThat(saved.at("/weeks/1/limitMinutes")).isEqualTo("99");
    assertThat(saved.at("/sessions/0/date")).isEqualTo("2027-01-04");
    // 40 to 50 % of 112 over 64.
    assertThat(
            saved.at("/outlines/0/blocks/2/steps/0/aim/lowBpm")
                + "–"
                + saved.at("/outlines/0/blocks/2/steps/0/aim/highBpm"))
        .isEqualTo("109–120");
    assertThat(server.get(client + "/programme").json().get("programme")).isEqualTo(saved.json());
    assertThat(server.get(client).json().toString()).contains("until 28 Feb");
  }

  @Test
  void aSuspendedPrescriptionLetsItsProgrammeRest() {
    String client = prescribed();
    laidOut(client, 0);
    server.put(
        client + "/screening", TestClients.intake(1, "some", ",\"symptoms\":[\"chest-pain\"]"));
    Answer rests = server.get(client + "/programme");
    assertThat(codes(rests.json().get("why"))).contains("programme-not-led");
    assertThat(rests.json().get("proposal").isNull()).isTrue();
    assertThat(rests.json().at("/programme/outlines/0/blocks/2/steps/0/aim/lowBpm").isNull())
        .isTrue();
    assertThat(laidOut(client, 1).status()).isEqualTo(422);
  }

  /** A clearance that is missing from now on: vigorous weeks that were laid out may not be done. */
  @Test
  void whatMayNotBeAskedAnyMoreIsGivenNoRate() {
    String client = client("regular");
    server.post(client + "/prescriptions", PARTS.formatted(45, 60));
    String plan = PLAN.formatted("2027-06-27", DAYS, 30, 4);
    Answer free = server.put(client + "/programme", "{\"version\":0,\"plan\":%s}".formatted(plan));
    assertThat(free.status()).as(free.json().toString()).isEqualTo(200);
    assertThat(free.json().get("findings")).isEmpty();
    assertThat(vigorousRates(free)).isPositive();

    server.put(client + "/screening", TestClients.intake(1, "regular", conditions("diabetes")));
    JsonNode now = server.get(client + "/programme").json();
    assertThat(now.get("why")).isEmpty();
    assertThat(codes(now.at("/programme/findings"))).containsExactly("programme-out-of-bounds");
    assertThat(now.at("/programme/findings/0/because").asString()).contains("at most 60");
    assertThat(vigorousRates(server.get(client + "/programme"))).isZero();
    // The weeks that keep to it have their rates.
    assertThat(now.at("/programme/outlines/0/blocks/2/steps/0/aim/highBpm").asInt()).isEqualTo(131);
  }

  /** How many steps above 60 % are given a rate. */
  private static long vigorousRates(Answer answer) {
    JsonNode programme =
        answer.json().has("programme") ? answer.json().get("programme") : answer.json();
    return StreamSupport.stream(programme.get("outlines").spliterator(), false)
        .flatMap(outline -> StreamSupport.stream(outline.get("blocks").spliterator(), false))
        .flatMap(block -> StreamSupport.stream(block.get("steps").spliterator(), false))
        .filter(step -> step.get("highPercent").asInt(0) > 60)
        .filter(step -> step.at("/aim/highBpm").isNumber())
        .count();
  }

  @Test
  void eachChangeIsAnsweredAndCanBeTakenBack() {
    String client = prescribed();
    laidOut(client, 0);
    String session = client + "/programme/sessions/";

    // The sixth, of week 2, on top of week 1: 90 + 33, and week 1 has no limit; two on one day.
    Answer moved = server.put(session + "6/date", "{\"version\":1,\"date\":\"2027-01-04\"}");
    assertThat(moved.at("/version")).isEqualTo("2");
    assertThat(codes(moved.json().at("/weeks/0/findings"))).containsExactly("two-in-a-day");
    Answer back = server.put(client + "/programme/version", "{\"version\":2,\"to\":1}");
    assertThat(back.at("/version")).isEqualTo("3");
    assertThat(codes(back.json().at("/weeks/0/findings"))).isEmpty();

    Answer skipped = server.put(session + "1/skipped", "{\"version\":3,\"skipped\":true}");
    assertThat(codes(skipped.json().at("/weeks/1/findings")))
        .containsExactly("week-grows-too-fast", "step-not-earned");
    Answer cycled = server.put(session + "2/mode", "{\"version\":4,\"mode\":\"cycle\"}");
    assertThat(cycled.at("/sessions/1/mode")).isEqualTo("cycle");
    int own = cycled.json().at("/sessions/1/outline").asInt();
    // The estimate for cycling is 10 lower, and so is every rate.
    assertThat(cycled.json().at("/outlines/" + own + "/blocks/2/steps/0/aim/highBpm").asInt())
        .isEqualTo(115);
    Answer used = server.put(session + "3/outline", "{\"version\":5,\"outline\":\"long-way\"}");
    assertThat(used.at("/sessions/2/ownOutline")).isEqualTo("The long way round");
    assertThat(server.put(session + "3/outline", "{\"version\":6,\"outline\":null}").status())
        .isEqualTo(200);
  }

  @Test
  void theSecondOfTwoIsToldAndNothingIsLost() {
    String client = prescribed();
    laidOut(client, 0);
    String first = client + "/programme/sessions/1/date";
    assertThat(server.put(first, "{\"version\":1,\"date\":\"2027-01-05\"}").status())
        .isEqualTo(200);
    Answer second =
        server.put(client + "/programme/sessions/2/skipped", "{\"version\":1,\"skipped\":true}");
    assertThat(second.status()).isEqualTo(409);
    assertThat(server.get(client + "/programme").at("/programme/sessions/0/date"))
        .isEqualTo("2027-01-05");
    assertThat(laidOut(client, 1).status()).isEqualTo(409);

    assertThat(server.post(client + "/prescriptions?after=1", PARTS.formatted(45, 55)).status())
        .isEqualTo(201);
    assertThat(server.post(client + "/prescriptions?after=1", PARTS.formatted(50, 60)).status())
        .isEqualTo(409);
    assertThat(codes(server.get(client + "/programme").json().at("/programme/findings")))
        .containsExactly("programme-of-older");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2027-02-28||40|4|weekdays",
        "2027-02-28|\"monday\"|40|4|weekdays",
        "2026-12-31|\"monday\",\"tuesday\",\"friday\"|40|3|endsOn",
        "2027-01-20|\"monday\",\"tuesday\",\"friday\"|40|3|endsOn",
        "2028-01-20|\"monday\",\"tuesday\",\"friday\"|40|3|endsOn",
        "2027-02-28|\"monday\",\"tuesday\",\"friday\"|0|3|goalMinutes",
        "2027-02-28|\"monday\",\"tuesday\",\"friday\"|400|3|goalMinutes",
        "2027-02-28|\"monday\",\"tuesday\",\"friday\"|40|8|goalDays",
        "2027-02-28|\"monday\",\"tuesday\",\"friday\"|\"40\"|3|goalMinutes",
        "2027-02-28|\"monday\",\"noday\",\"friday\"|40|3|weekdays[1]",
        "2027-02-30|\"monday\",\"tuesday\",\"friday\"|40|3|endsOn",
      })
  void aPlanThatCannotBeLaidOutIsToldAtItsField(
      String endsOn, String days, String minutes, String goalDays, String field) {
    String client = prescribed();
    Answer answer =
        server.post(
            client + "/programme/preview",
            PLAN.formatted(endsOn, days == null ? "" : days, minutes, goalDays));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo(field);
    assertThat(answer.at("/errors/0/accepted")).isNotEmpty();
  }

  @ParameterizedTest
  @CsvSource({"+999999999-12-31", "-999999999-01-01", "1999-12-31", "0001-01-01"})
  void aStartThatIsASlipOfTheKeysIsTold(String startsOn) {
    Answer answer =
        server.post(
            prescribed() + "/programme/preview",
            EIGHT_WEEKS.replace("2027-01-04", startsOn).replace("2027-02-28", startsOn));
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(400);
    assertThat(answer.at("/errors/0/field")).isEqualTo("startsOn");
  }

  @Test
  void aSessionOutsideTheProgrammeOrNoneIsTold() {
    String client = prescribed();
    laidOut(client, 0);
    String session = client + "/programme/sessions/";
    Answer outside = server.put(session + "1/date", "{\"version\":1,\"date\":\"2028-01-01\"}");
    assertThat(outside.at("/errors/0/field")).isEqualTo("to");
    assertThat(server.put(session + "999/skipped", "{\"version\":1,\"skipped\":true}").status())
        .isEqualTo(400);
    assertThat(server.put(session + "1/skipped", "{\"version\":9,\"skipped\":true}").status())
        .isEqualTo(404);
    assertThat(server.put(client + "/programme/version", "{\"version\":1,\"to\":7}").status())
        .isEqualTo(404);
  }

  @Test
  void stairsAreNotForThoseWhoFall() {
    String client = screened(server, "Unsteady Tester", 50, "some", conditions("falls"));
    counted(server, client, 64);
    server.post(client + "/prescriptions", PARTS.formatted(40, 50));
    laidOut(client, 0);
    Answer stairs =
        server.put(client + "/programme/sessions/1/mode", "{\"version\":1,\"mode\":\"stairs\"}");
    assertThat(stairs.at("/errors/0/field")).isEqualTo("mode");
    Answer start = server.get(client + "/prescriptions/start");
    assertThat(start.json().get("exercises"))
        .anySatisfy(
            each -> {
              assertThat(each.get("exercise").asString()).isEqualTo("bench");
              assertThat(each.get("notFor").asString()).contains("steps and stairs");
            });
    Answer chosen =
        server.post(
            client + "/prescriptions/preview",
            PARTS
                .formatted(40, 50)
                .replace("\"mode\":\"run\"", "\"mode\":\"run\",\"exercise\":\"run-sprints\""));
    assertThat(chosen.at("/errors/0/field")).isEqualTo("exercise");
    assertThat(chosen.at("/errors/0/message")).contains("vigorous");
  }

  private static final String TRIAL =
      """
      {"age":%d,"activity":"%s","goal":"general-fitness","startsOn":"2027-01-04",
       "endsOn":"2027-03-28","weekdays":["monday","wednesday","friday"]%s}
      """;

  @Test
  void aProgrammeIsLaidOutWithNoClient() {
    Answer found =
        server.post(
            "/api/calculator/programme",
            TRIAL.formatted(46, "some", ",\"restingBpm\":64,\"maximumBpm\":176"));
    assertThat(found.status()).as(found.json().toString()).isEqualTo(200);
    assertThat(found.json().get("weeks")).hasSize(12);
    assertThat(found.json().get("sessions")).hasSize(36);
    // 45 to 60 % of 112 over 64: 114 to 131.
    assertThat(found.at("/outlines/0/blocks/2/steps/0/aim/highBpm")).isEqualTo("131");
    assertThat(codes(found.json().get("findings"))).contains("start-by-activity");

    Answer capped =
        server.post(
            "/api/calculator/programme",
            TRIAL.formatted(
                66,
                "little",
                ",\"restingBpm\":64,\"maximumBpm\":150,\"capBpm\":100,\"heartCondition\":true"));
    assertThat(capped.json().at("/outlines/0/blocks/0/steps/0/seconds").asInt()).isEqualTo(900);
    assertThat(capped.json().at("/outlines/0/blocks/2/steps/0/aim/highBpm").asInt())
        .isLessThanOrEqualTo(100);
    assertThat(codes(capped.json().get("findings"))).contains("clearance-first");

    Answer failure =
        server.post(
            "/api/calculator/programme",
            TRIAL.formatted(
                66, "little", ",\"restingBpm\":64,\"maximumBpm\":150,\"heartFailure\":true"));
    assertThat(failure.json().at("/outlines/0/blocks/2/steps/0/aim/lowBpm").isNull()).isTrue();
    assertThat(
            server
                .post("/api/calculator/programme", TRIAL.formatted(46, "some", ",\"minutes\":400"))
                .at("/errors/0/field"))
        .isEqualTo("minutes");
    for (String field : List.of("weeksBefore", "lightWeeks")) {
      assertThat(
              server
                  .post(
                      "/api/calculator/programme",
                      TRIAL.formatted(46, "some", ",\"" + field + "\":-1"))
                  .at("/errors/0/field"))
          .isEqualTo(field);
    }
    assertThat(
            server
                .post("/api/calculator/programme", TRIAL.formatted(5, "some", ""))
                .at("/errors/0/field"))
        .isEqualTo("age");
  }
}
