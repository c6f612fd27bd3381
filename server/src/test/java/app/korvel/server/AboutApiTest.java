package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What ships is told, with a licence that lets anyone use it. */
class AboutApiTest {
  /** Each lets anyone use what is under it, also in a product that is sold. */
  private static final List<String> FREE =
      List.of(
          "Apache-2.0",
          "MIT",
          "OFL-1.1",
          "Bitstream-Vera",
          "EPL-2.0",
          "LGPL-2.1-only",
          "LGPL-2.1-or-later",
          "GPL-2.0-with-classpath-exception",
          "BSD-2-Clause",
          "The (New) BSD License",
          "FreeBSD License");

  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  @ParameterizedTest
  @CsvSource({
    "pages, vue",
    "pages, primevue",
    "pages, @fontsource-variable/atkinson-hyperlegible-next",
    "sheets, DejaVu Sans",
    "server, sqlite-jdbc",
    "server, openhtmltopdf-pdfbox",
    "server, spring-web"
  })
  void whatShipsIsNamed(String part, String name) {
    assertThat(server.get("/api/about").json().path(part).valueStream())
        .extracting(each -> each.path("name").asString())
        .contains(name)
        .isSortedAccordingTo(String::compareTo)
        .doesNotContain("core", "studio", "korvel-ui");
  }

  @Test
  void everythingHasAVersionAndAFreeLicenceWhoseTextCanBeRead() {
    JsonNode about = server.get("/api/about").json();
    assertThat(about.path("version").asString()).matches("\\d+\\.\\d+\\.\\d+.*");
    List<String> texts = about.path("texts").valueStream().map(each -> each.asString()).toList();
    assertThat(texts).doesNotHaveDuplicates().allMatch(text -> text.length() > 200);
    for (String part : new String[] {"pages", "sheets", "server"}) {
      assertThat(about.path(part)).isNotEmpty();
      for (JsonNode each : about.path(part)) {
        String name = each.path("name").asString();
        assertThat(each.path("version").asString()).as(name).isNotBlank();
        assertThat(each.path("licences")).as(name).isNotEmpty();
        assertThat(each.path("licences").valueStream().map(JsonNode::asString))
            .as(name)
            .allMatch(FREE::contains);
        assertThat(each.path("texts").valueStream().map(JsonNode::asInt))
            .as(name)
            .allMatch(at -> at < texts.size());
      }
    }
    // The licence that stands over most of it.
    assertThat(texts).anyMatch(text -> text.contains("Apache License"));
  }

  @ParameterizedTest
  @CsvSource({"pages", "sheets", "server"})
  void aBillOfMaterialsIsAFile(String of) throws Exception {
    HttpResponse<String> bill =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create(server.address() + "/api/about/bills/" + of))
                    .build(),
                BodyHandlers.ofString());
    assertThat(bill.headers().firstValue("Content-Disposition").orElse(""))
        .contains("korvel-" + of + ".cdx.json");
    assertThat(TestServer.JSON.readTree(bill.body()).path("bomFormat").asString())
        .isEqualTo("CycloneDX");
  }

  @Test
  void anUnknownBillIsNotFound() {
    TestServer.Answer answer = server.get("/api/about/bills/engine");
    assertThat(answer.status()).isEqualTo(404);
  }
}
