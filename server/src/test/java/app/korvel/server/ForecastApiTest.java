package app.korvel.server;

import static app.korvel.server.TestClients.added;
import static app.korvel.server.TestClients.conditions;
import static app.korvel.server.TestClients.screened;
import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.forecast.HeartModel;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.zone.Reserve;
import app.korvel.server.TestServer.Answer;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.function.IntToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Sessions before they are done, over HTTP. */
class ForecastApiTest {
  private static TestServer server;
  private static LiveScene scene;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder, SetClock.class);
    scene = new LiveScene(server);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static Answer forecast(String span, String steps) {
    return server.post(
        "/api/calculator/forecast", "{%s,\"trained\":true,\"steps\":[%s]}".formatted(span, steps));
  }

  private static final String SPAN = "\"restingBpm\":64,\"maximumBpm\":176";

  @Test
  void stepsAreForeseenSecondBySecond() {
    Answer answer =
        forecast(
            SPAN,
            "{\"seconds\":120,\"reservePercent\":50},{\"seconds\":600,\"reservePercent\":50.5}");
    assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
    JsonNode bpm = answer.json().get("bpm");
    assertThat(bpm.size()).isEqualTo(720);
    assertThat(bpm.get(119).asInt()).isEqualTo(118);
    assertThat(answer.json().get("lowBpm").get(719).asInt()).isEqualTo(115);
    assertThat(answer.json().get("highBpm").get(719).asInt()).isEqualTo(126);
    assertThat(answer.json().at("/steps/0/reachedAfterSeconds").isNull()).isTrue();
    assertThat(answer.json().at("/steps/1/reachedAfterSeconds").asInt()).isPositive();
    assertThat(answer.json().at("/steps/1/fromSecond").asInt()).isEqualTo(121);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"seconds\":0,\"reservePercent\":50} | steps[0].seconds | 5 to 10800 seconds",
        "{\"seconds\":20000,\"reservePercent\":50} | steps[0].seconds | 5 to 10800 seconds",
        "{\"seconds\":60,\"reservePercent\":0} | steps[0].reservePercent | 1 to 100 % of reserve",
        "{\"seconds\":60,\"reservePercent\":300} | steps[0].reservePercent | 1 to 100 % of reserve",
        "'' | steps | 1 to 200 steps",
      })
  void whatCannotBeForeseenSaysWhatIsAccepted(String steps, String field, String accepted) {
    Answer refused = forecast(SPAN, steps);
    assertThat(refused.status()).as(refused.json().toString()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    assertThat(refused.at("/errors/0/accepted")).isEqualTo(accepted);
  }

  @Test
  void fiveHundredStepsAndASmallReserveAreRefused() {
    Answer many =
        forecast(
            SPAN,
            String.join(",", Collections.nCopies(500, "{\"seconds\":60,\"reservePercent\":50}")));
    assertThat(many.status()).isEqualTo(400);
    assertThat(many.at("/errors/0/field")).isEqualTo("steps");
    Answer small =
        forecast("\"restingBpm\":100,\"maximumBpm\":139", "{\"seconds\":60,\"reservePercent\":50}");
    assertThat(small.status()).isEqualTo(422);
    assertThat(small.at("/findings/0/code")).isEqualTo("reserve-too-small");
    Answer nothing = forecast(SPAN, "{\"seconds\":60,\"reservePercent\":null}");
    assertThat(nothing.status()).isEqualTo(400);
  }

  private static String outline(String work) {
    return """
    {"blocks":[
      {"times":1,"apart":false,"steps":[{"kind":"warm-up","seconds":300,"lowPercent":20,"highPercent":40,"waits":false}]},
      %s,
      {"times":1,"apart":false,"steps":[{"kind":"cool-down","seconds":60,"lowPercent":20,"highPercent":40,"waits":false}]}],
     "bandGoal":null}
    """
        .formatted(work);
  }

  private static final String BURSTS =
      outline(
          "{\"times\":2,\"apart\":false,\"steps\":["
              + "{\"kind\":\"work\",\"seconds\":240,\"lowPercent\":60,\"highPercent\":75,\"waits\":false},"
              + "{\"kind\":\"burst\",\"seconds\":20,\"lowPercent\":75,\"highPercent\":90,\"waits\":false}]}");

  @Test
  void anOutlineIsToldWhatItWillDoAndWhatWouldMendIt() {
    Answer made =
        server.post(
            "/api/calculator/outline-forecast",
            "{%s,\"trained\":true,\"outline\":%s}".formatted(SPAN, BURSTS));
    assertThat(made.status()).as(made.json().toString()).isEqualTo(200);
    assertThat(made.json().get("seconds").asInt()).isEqualTo(300 + 520 + 60);
    assertThat(made.json().get("everySeconds").asInt()).isEqualTo(2);
    assertThat(made.json().get("bpm").size()).isEqualTo(440);
    // The highest second may lie between two points: 67.5 and 82.5 % of reserve, in the last burst.
    assertThat(made.json().get("highestBpm").asInt()).isEqualTo(147);
    assertThat(made.json().get("highestPercent").asInt()).isEqualTo(74);
    assertThat(made.json().get("percent").size()).isEqualTo(440);
    assertThat(made.json().at("/marks/2/percent").asInt()).isEqualTo(40);
    assertThat(made.json().get("waitsSeconds").asInt()).isZero();
    assertThat(made.at("/advice/0/finding/message"))
        .isEqualTo("The 20 s bursts will not reach 75 % of reserve, Words: 25 s would.");
    assertThat(made.json().at("/advice/0/remedy").toString())
        .isEqualTo("{\"block\":1,\"step\":1,\"kind\":\"burst\",\"seconds\":25}");
    assertThat(made.at("/advice/1/finding/code")).isEqualTo("cool-down-warm");
    int inZones = 0;
    for (JsonNode zone : made.json().get("zones")) {
      inZones += zone.get("seconds").asInt();
    }
    assertThat(inZones).isEqualTo(880);
  }

  @Test
  void forAClientItStandsOnTheirOwnSpanOfADay() {
    String client = scene.client("Foreseen Once");
    Answer today = server.post(client + "/forecast", "{\"outline\":%s}".formatted(BURSTS));
    assertThat(today.status()).as(today.json().toString()).isEqualTo(200);
    assertThat(today.json().at("/forecast/restingBpm").asInt()).isEqualTo(64);
    // “Some” activity is not regular: the slower heart.
    assertThat(today.json().at("/forecast/kinetics/up/seconds").asInt()).isEqualTo(50);
    Answer future =
        server.post(
            client + "/forecast",
            "{\"outline\":%s,\"on\":\"%s\"}".formatted(BURSTS, SetClock.today().plusDays(2)));
    assertThat(future.status()).isEqualTo(400);
    assertThat(future.at("/errors/0/field")).isEqualTo("on");
  }

  @Test
  void anOutlineOfMoreThanHalfADayIsNotForeseen() {
    String hours =
        "{\"times\":5,\"apart\":false,\"steps\":[{\"kind\":\"work\",\"seconds\":10800,"
            + "\"lowPercent\":40,\"highPercent\":50,\"waits\":true}]}";
    Answer refused =
        server.post(
            "/api/calculator/outline-forecast",
            "{%s,\"trained\":true,\"outline\":%s}".formatted(SPAN, outline(hours)));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo("steps");
    assertThat(refused.at("/errors/0/accepted")).contains("twelve hours");
  }

  @Test
  void theTimesAreThoseOfTheClientsOwnZones() {
    String client = scene.client("Learned Zones");
    JsonNode zones =
        server
            .post(client + "/forecast", "{\"outline\":%s}".formatted(BURSTS))
            .json()
            .at("/forecast/zones");
    assertThat(zones.size()).isEqualTo(5);
    // 60 and 75 % of 64 to 176, by the equation as long as nothing was learned.
    assertThat(zones.get(2).get("lowBpm").asInt()).isEqualTo(131);
    assertThat(zones.get(3).get("lowBpm").asInt()).isEqualTo(148);
  }

  @Test
  void whereNoRateMayBeUsedItSaysWhy() {
    String uncounted = added(server, "Not Counted", 46, "some", "");
    Answer none = server.post(uncounted + "/forecast", "{\"outline\":%s}".formatted(BURSTS));
    assertThat(none.json().get("forecast").isNull()).isTrue();
    assertThat(none.at("/because")).contains("Resting and maximum");
    String uneven = screened(server, "Uneven Pulse", 46, "some", conditions("irregular-rhythm"));
    assertThat(
            server.post(uneven + "/forecast", "{\"outline\":%s}".formatted(BURSTS)).at("/because"))
        .isNotEmpty();
  }

  /** The work waits some 50 s for its target. */
  private static final int WORK_ENDS = 420 + 50 + 1800;

  /**
   * A session as planned, by a heart with time constants of its own, that settles so much higher.
   */
  private static String recorded(String client, int over) {
    scene.checkedIn(client, 64);
    String session = scene.session(client);
    Instant begun = scene.begun(session);
    HeartModel heart =
        HeartModel.of(
            Reserve.of(64, 176),
            new Kinetics(new Kinetics.TimeConstant(40, 3), new Kinetics.TimeConstant(64, 3)));
    double now = 64;
    int[] bpm = new int[3001];
    for (int second = 1; second < bpm.length; second++) {
      double share = second <= 300 ? 0.3 : second <= 420 ? 0.12 : second <= WORK_ENDS ? 0.45 : 0.2;
      now = heart.after(now, heart.settles(share, 0) + (share == 0.45 ? over : 0));
      bpm[second] = (int) Math.round(now);
    }
    for (int from = 1; from + 100 <= 3000; from += 100) {
      int first = from;
      String at = joined(from, second -> begun.plusSeconds(second).toEpochMilli());
      String rates = joined(from, second -> bpm[second]);
      SetClock.letPass(Duration.ofSeconds(100));
      Answer taken = scene.send(session, first, "{\"at\":[%s],\"bpm\":[%s]}".formatted(at, rates));
      assertThat(taken.status()).as(taken.json().toString()).isEqualTo(200);
    }
    SetClock.letPass(Duration.ofSeconds(60));
    assertThat(scene.happens(session, SetClock.now(), "ended", "").status()).isEqualTo(200);
    return session;
  }

  private static String joined(int from, IntToLongFunction value) {
    return IntStream.range(from, from + 100)
        .mapToObj(second -> String.valueOf(value.applyAsLong(second)))
        .collect(Collectors.joining(","));
  }

  @Test
  void threeSessionsTellTheHeartsOwnTimesAndThatTheyWereHarder() {
    String client = scene.client("Own Heart");
    assertThat(server.get(client + "/forecasts").json().get("sessions").size()).isZero();
    String session = "";
    for (int n = 0; n < 3; n++) {
      session = recorded(client, 12);
      SetClock.letPass(Duration.ofDays(1));
    }
    Answer record = server.get(client + "/forecasts");
    assertThat(record.json().get("sessions").size()).isEqualTo(3);
    JsonNode up = record.json().at("/kinetics/up");
    assertThat(up.get("fits").asInt()).isGreaterThanOrEqualTo(3);
    assertThat(up.get("seconds").asInt()).isBetween(38, 42);
    assertThat(record.json().at("/kinetics/down/seconds").asInt()).isBetween(62, 66);
    assertThat(record.at("/finding/code")).isEqualTo("harder-than-it-was");
    assertThat(record.json().at("/sessions/0/settledOffBpm").asInt()).isBetween(11, 13);

    Answer of = server.get(session + "/forecast");
    assertThat(of.at("/review/finding/code")).isEqualTo("settled-higher");
    assertThat(of.json().at("/review/steps/2/offBpm").asInt()).isBetween(11, 13);
    assertThat(of.json().at("/forecast/seconds").asInt()).isGreaterThan(2900);
    // It was foreseen by what was known before its day, the third by two sessions before it.
    assertThat(of.json().at("/forecast/kinetics/up/fits").asInt())
        .isLessThan(up.get("fits").asInt());
    // The next one is foreseen with the heart's own times.
    assertThat(
            server
                .post(client + "/forecast", "{\"outline\":%s}".formatted(BURSTS))
                .json()
                .at("/forecast/kinetics/up/fits")
                .asInt())
        .isEqualTo(up.get("fits").asInt());
  }

  @Test
  void aSessionThatIsOnIsForeseenToItsEnd() {
    String session = scene.session(scene.ready("On Now"));
    Answer ready = server.get(session + "/forecast");
    assertThat(ready.json().get("review").isNull()).isTrue();
    int planned = ready.json().at("/forecast/seconds").asInt();
    assertThat(planned).isGreaterThan(300 + 120 + 1800 + 300 + 300);
    scene.begun(session);
    SetClock.letPass(Duration.ofSeconds(100));
    scene.happens(session, SetClock.now(), "step-ended", ",\"leg\":1");
    int shorter = server.get(session + "/forecast").json().at("/forecast/seconds").asInt();
    assertThat(planned - shorter).isBetween(190, 202);
  }

  private static Answer practise(String span, String more) {
    return server.post(
        "/api/practice/sessions",
        "{%s,\"trained\":false,\"outline\":%s,\"seed\":7%s}"
            .formatted(
                span,
                outline(
                    "{\"times\":1,\"apart\":false,\"steps\":[{\"kind\":\"work\",\"seconds\":900,"
                        + "\"lowPercent\":50,\"highPercent\":60,\"waits\":true}]}"),
                more));
  }

  @Test
  void aMadeUpClientDoesWhatWasForeseen() {
    Answer played = practise(SPAN, ",\"medicine\":false");
    assertThat(played.status()).as(played.json().toString()).isEqualTo(200);
    assertThat(played.json().at("/review/meanOffBpm").asInt()).isLessThanOrEqualTo(2);
    assertThat(played.json().get("steps").size()).isEqualTo(3);
    assertThat(played.json().at("/steps/1/clockSecond").asInt())
        .isGreaterThan(played.json().at("/steps/1/fromSecond").asInt());
    assertThat(played.json().get("said").size()).isGreaterThanOrEqualTo(5);
    // The same seed plays the same.
    assertThat(practise(SPAN, ",\"medicine\":false").json()).isEqualTo(played.json());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"trouble\":\"swapped\" | 400 | /errors/0/field | trouble",
        "\"trouble\":\"too-hard\" | 400 | /errors/0/field | trouble",
        "\"trouble\":\"lost\" | 400 | /errors/0/field | trouble",
      })
  void aTroubleThatIsNoneOfTheStrapIsRefused(
      String more, int status, String path, String expected) {
    Answer refused = practise(SPAN, ",\"medicine\":false," + more);
    assertThat(refused.status()).isEqualTo(status);
    assertThat(refused.at(path)).isEqualTo(expected);
  }

  @Test
  void whatMayBeWrongWithTheStrapIsOffered() {
    JsonNode troubles = server.get("/api/practice/sessions").json().get("troubles");
    assertThat(troubles.size()).isEqualTo(5);
    for (JsonNode each : troubles) {
      String trouble = ",\"trouble\":\"" + each.get("trouble").asString() + "\"";
      assertThat(practise(SPAN, ",\"medicine\":false" + trouble).status())
          .as(trouble)
          .isEqualTo(200);
    }
  }

  @Test
  void anOutlineWithoutWorkIsNotPlayed() {
    Answer refused =
        server.post(
            "/api/practice/sessions",
            "{%s,\"trained\":true,\"medicine\":false,\"outline\":{\"blocks\":[{\"times\":1,\"apart\":false,\"steps\":[{\"kind\":\"stretch\",\"seconds\":60,\"waits\":false}]}]}}"
                .formatted(SPAN));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.at("/findings/0/code")).isEqualTo("outline-empty");
  }

  @Test
  void anErrorOutOfRangeIsNamedAsItWasSent() {
    Answer refused =
        forecast(
            SPAN + ",\"maximumStandardErrorBpm\":99", "{\"seconds\":60,\"reservePercent\":50}");
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.at("/errors/0/field")).isEqualTo("maximumStandardErrorBpm");
  }

  @Test
  void onMedicationTheHeartStaysUnderWhatItsRatesPromise() {
    Answer played = practise(SPAN, ",\"medicine\":true");
    assertThat(played.json().at("/review/settledOffBpm").asInt()).isLessThan(-12);
    // It waits in vain, and starts by itself.
    assertThat(
            played.json().at("/steps/1/clockSecond").asInt()
                - played.json().at("/steps/1/fromSecond").asInt())
        .isEqualTo(240);
    // What is said is Talk, as asked for: nobody is driven up.
    for (JsonNode cue : played.json().get("cues")) {
      assertThat(cue.get("cue").asString()).isNotEqualTo("pick-up");
    }
    Answer refused = practise("\"restingBpm\":64,\"maximumBpm\":120", ",\"medicine\":true");
    assertThat(refused.status()).isEqualTo(422);
  }
}
