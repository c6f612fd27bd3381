package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.server.TestServer.Answer;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Cards, charts and the poster over HTTP: who is on them, and what stands on them. */
class SheetApiTest {
  private static TestServer server;

  @BeforeAll
  static void start() {
    server = TestServer.demo();
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static String id(String name) {
    return server.get("/api/clients?q=" + name).at("/clients/0/id");
  }

  private static String cards(String look, String... names) {
    List<String> ids = new ArrayList<>();
    for (String name : names) {
      ids.add("\"" + id(name) + "\"");
    }
    return "{\"clients\":" + ids + ",\"windows\":[10,15]," + look + "}";
  }

  private static String text(HttpResponse<byte[]> file) {
    assertThat(file.statusCode()).isEqualTo(200);
    assertThat(file.headers().firstValue("Content-Type")).contains("application/pdf");
    try (PDDocument document = Loader.loadPDF(file.body())) {
      return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
    } catch (IOException broken) {
      throw new java.io.UncheckedIOException(broken);
    }
  }

  private static List<String> all(Answer answer, String list, String field) {
    return StreamSupport.stream(answer.json().get(list).spliterator(), false)
        .map(each -> each.get(field).asString())
        .toList();
  }

  @Test
  void aClassHasEveryCardThatHoldsTodayAndSaysWhoHasNone() {
    List<String> everyone = new ArrayList<>();
    server
        .get("/api/clients?q=")
        .json()
        .get("clients")
        .forEach(each -> everyone.add(each.get("name").asString()));
    String class60 =
        cards(
            "\"size\":\"a6\",\"paper\":\"a4\"",
            everyone.stream().map(name -> name.split(" ")[0]).toArray(String[]::new));
    Answer deck = server.post("/api/sheets/cards", class60);
    List<String> on = all(deck, "cards", "name");
    List<String> off = all(deck, "leftOut", "name");
    assertThat(on).contains("Ines Okafor-Lund", "Jonas Pellworth").hasSizeGreaterThan(10);
    assertThat(off).contains("Osei Lindqvarn", "Pilar Ostergran");
    assertThat(on.size() + off.size()).isEqualTo(everyone.size());
    assertThat(deck.json().get("pages").asInt()).isEqualTo((on.size() + 3) / 4);
    for (JsonNode left : deck.json().get("leftOut")) {
      assertThat(left.at("/findings/0/message").asString()).isNotBlank();
    }
    String text = text(server.file("/api/sheets/cards/pdf", class60));
    assertThat(on).allSatisfy(name -> assertThat(text).containsOnlyOnce(name));
    assertThat(off).allSatisfy(name -> assertThat(text).doesNotContain(name));
  }

  @Test
  void aCardSaysWhatTheClientsPagesSay() {
    Answer card = server.get("/api/clients/" + id("Ines") + "/prescriptions/1/card");
    assertThat(card.at("/leads")).isEqualTo("rate");
    assertThat(card.at("/renewal/because")).isEqualTo("reviewed every 4 weeks");
    JsonNode target = card.json().at("/prescription/target");
    String range = target.get("lowBpm").asInt() + "–" + target.get("highBpm").asInt();
    HttpResponse<byte[]> pdf =
        server.file("/api/sheets/cards/pdf", cards("\"version\":1,\"size\":\"wallet\"", "Ines"));
    assertThat(text(pdf)).contains(range + " beats a minute");
    assertThat(pdf.headers().firstValue("Content-Disposition"))
        .hasValueSatisfying(
            named ->
                assertThat(named).startsWith("inline").contains("Card-of-Ines-Okafor-Lund.pdf"));
    HttpResponse<byte[]> page =
        server.file("/api/sheets/cards/page", cards("\"version\":1,\"size\":\"a6\"", "Ines"));
    assertThat(page.headers().firstValue("Content-Type")).contains("text/html;charset=UTF-8");
    assertThat(new String(page.body(), StandardCharsets.UTF_8))
        .contains(range, "<html lang=\"en\">");
  }

  @Test
  void suspendedRatesAreNotOnTheCardAndASuspendedPrescriptionHasNone() {
    String jonas = cards("\"size\":\"a6\"", "Jonas");
    assertThat(server.post("/api/sheets/cards", jonas).at("/cards/0/ratesSuspended/0/code"))
        .isEqualTo("rate-suspended-medicine");
    assertThat(text(server.file("/api/sheets/cards/pdf", jonas)))
        .contains("RPE and talk only: no heart rate.")
        .doesNotContain("beats a minute");
    Answer osei = server.post("/api/sheets/cards/pdf", cards("\"size\":\"a6\"", "Osei"));
    assertThat(osei.status()).isEqualTo(422);
    assertThat(osei.at("/findings/0/code")).isEqualTo("clearance-lapsed");
    Answer none = server.post("/api/sheets/cards/page", cards("\"size\":\"a6\"", "Dmitri"));
    assertThat(none.at("/findings/0/code")).isEqualTo("no-prescription");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "'\"size\":\"a6\",\"version\":1'; Ines, Jonas; version",
        "'\"size\":\"a6\",\"paper\":\"a3\"'; Ines; paper",
        "'\"size\":\"a6\"'; ; clients",
        "'\"size\":\"a7\"'; Ines; size"
      })
  void whatIsNoSheetIsRefusedAtItsField(String look, String names, String field) {
    String[] who = names == null ? new String[0] : names.split(", ");
    for (String path : List.of("", "/page", "/pdf")) {
      Answer refused = server.post("/api/sheets/cards" + path, cards(look, who));
      assertThat(refused.status()).isEqualTo(400);
      assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    }
  }

  @Test
  void moreThanSixtyOddWindowsAndStrangersAreRefused() {
    String[] many = java.util.Collections.nCopies(61, "Ines").toArray(String[]::new);
    assertThat(
            server.post("/api/sheets/cards", cards("\"size\":\"a6\"", many)).at("/errors/0/field"))
        .isEqualTo("clients");
    String window = cards("\"size\":\"a6\"", "Ines").replace("[10,15]", "[10,60]");
    assertThat(server.post("/api/sheets/cards", window).at("/errors/0/field")).isEqualTo("windows");
    String noVersion = cards("\"size\":\"a6\",\"version\":9", "Ines");
    assertThat(server.post("/api/sheets/cards/pdf", noVersion).status()).isEqualTo(404);
    String stranger =
        "{\"clients\":[\"00000000-0000-7000-8000-000000000000\"],\"size\":\"a6\",\"windows\":[10]}";
    assertThat(server.post("/api/sheets/cards", stranger).status()).isEqualTo(404);
  }

  private static String chart(String ranges) {
    return """
        {"from":45,"to":47,"every":1,"method":"tanaka-208","mode":"run","windowSeconds":15,
         "shows":"bpm-and-beats","paper":"a4",%s}"""
        .formatted(ranges);
  }

  @Test
  void aClassChartIsWorkedOutAndPrinted() {
    String school = chart("\"scheme\":\"school-range\"");
    Answer chart = server.post("/api/calculator/chart", school);
    assertThat(chart.json().at("/rows/0").toString())
        .isEqualTo(
            "{\"age\":45,\"maximumBpm\":177,\"cells\":"
                + "[{\"lowBpm\":124,\"highBpm\":150,\"lowBeats\":31,\"highBeats\":38}]}");
    assertThat(chart.json().get("readFromMetres").asInt()).isPositive();
    assertThat(text(server.file("/api/sheets/chart/pdf", school))).contains("45 177 124–150 31–38");
    String own = chart("\"ranges\":[{\"name\":\"Warm\",\"low\":55,\"high\":65}]");
    assertThat(text(server.file("/api/sheets/chart/pdf", own))).contains("Warm 55–65 % of max");
    assertThat(
            new String(server.file("/api/sheets/chart/page", own).body(), StandardCharsets.UTF_8))
        .contains("97–115");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "'\"scheme\":\"voice-ladder\"'; scheme",
        "'\"scheme\":\"none\"'; scheme",
        "'\"scheme\":null'; scheme",
        "'\"scheme\":\"school-range\",\"ranges\":[]'; scheme",
        "'\"ranges\":[]'; ranges",
        "'\"ranges\":[{\"name\":\"\",\"low\":55,\"high\":65}]'; ranges[0].name",
        "'\"ranges\":[{\"name\":\"x\",\"low\":55,\"high\":165}]'; ranges[0].high",
        "'\"scheme\":\"max-fifths\",\"bands\":[\"none\"]'; bands"
      })
  void whatIsNoChartIsRefusedAtItsField(String ranges, String field) {
    for (String path : List.of("/api/calculator/chart", "/api/sheets/chart/pdf")) {
      Answer refused = server.post(path, chart(ranges));
      assertThat(refused.status()).isEqualTo(400);
      assertThat(refused.at("/errors/0/field")).isEqualTo(field);
    }
  }

  @Test
  void thePosterIsInTheStudiosScaleUnlessAnotherIsNamed() {
    assertThat(text(server.file("/api/sheets/poster/pdf", "{\"paper\":\"a3\"}")))
        .contains("moderate is 3–4");
    assertThat(
            text(
                server.file(
                    "/api/sheets/poster/pdf", "{\"paper\":\"letter\",\"rpeFamily\":\"linear\"}")))
        .contains("moderate is 5–6");
  }

  @ParameterizedTest
  @ValueSource(strings = {"next-latin-400.ttf", "dejavu-700.ttf"})
  void thePagesFontsAreServed(String file) {
    assertThat(
            server
                .raw(server.request("/api/sheets/fonts/" + file))
                .headers()
                .firstValue("Content-Type"))
        .contains("font/ttf");
  }

  @Test
  void thereIsNoOtherFile() {
    assertThat(server.get("/api/sheets/fonts/sheet.css").status()).isEqualTo(404);
  }
}
