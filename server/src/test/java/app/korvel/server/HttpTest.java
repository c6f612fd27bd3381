package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is sent, every answer that is no success is a problem document with its headers. */
class HttpTest {
  private static TestServer server;

  @BeforeAll
  static void start(@TempDir Path folder) {
    server = new TestServer(folder);
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  /** What a client library would not send, and what comes back. */
  private static String raw(String request) throws IOException {
    URI address = URI.create(server.address());
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), address.getPort())) {
      String host = "Host: 127.0.0.1:" + address.getPort() + "\r\nConnection: close\r\n";
      socket
          .getOutputStream()
          .write(
              request
                  .replace("{host}", host)
                  .replace("\\r\\n", "\r\n")
                  .getBytes(StandardCharsets.ISO_8859_1));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static void isProblem(String answer, int status) {
    String head = answer.substring(0, answer.indexOf("\r\n\r\n")).toLowerCase(Locale.ROOT);
    assertThat(head).startsWith("http/1.1 " + status);
    assertThat(head)
        .contains(
            "content-type: application/problem+json",
            "content-security-policy:",
            "x-content-type-options: nosniff",
            "x-frame-options: deny",
            "referrer-policy: no-referrer");
    assertThat(answer).contains("\"type\":\"urn:korvel:problem:", "\"status\":" + status);
    assertThat(answer).contains("ccepted");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "GET /api/%zz HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /api/<> HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /api/clients/a%2fb HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /api/%00 HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /../../etc HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /api/clients?q=%zz HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /api/clients?q=%ff%fe HTTP/1.1\\r\\n{host}\\r\\n",
        "GET /api/studio HTTP/1.1\\r\\n{host}Bad Header: x\\r\\n\\r\\n",
        "POST /api/clients HTTP/1.1\\r\\n{host}Content-Length: many\\r\\n\\r\\n{}",
        "GET /api/studio HTTP/1.1\\r\\nConnection: close\\r\\n\\r\\n",
        "GET /api/studio HTTP/1.1\\r\\nHost: a b\\r\\nConnection: close\\r\\n\\r\\n",
      })
  void whatCannotBeReadIsToldSo(String request) throws IOException {
    isProblem(raw(request), 400);
  }

  @Test
  void aHeaderOrAnAddressWithoutEndIsRefused() throws IOException {
    isProblem(raw("GET /api/studio HTTP/1.1\r\n{host}X: " + "a".repeat(20_000) + "\r\n\r\n"), 400);
    isProblem(raw("GET /" + "a".repeat(9_000) + " HTTP/1.1\r\n{host}\r\n"), 400);
  }

  @Test
  void methodsAndKindsOfAnswersThatAreNotServedSayWhichAre() throws IOException {
    isProblem(raw("TRACE /api/studio HTTP/1.1\r\n{host}\r\n"), 405);
    String method = raw("DELETE /api/studio HTTP/1.1\r\n{host}\r\n");
    isProblem(method, 405);
    assertThat(method).contains("DELETE is not done here. Accepted: GET.");
    String answer = raw("GET /api/studio HTTP/1.1\r\n{host}Accept: image/png\r\n\r\n");
    isProblem(answer, 406);
    assertThat(answer).contains("Accepted: application/json");
    isProblem(raw("GET /api/studio HTTP/1.1\r\n{host}Accept: ///\r\n\r\n"), 406);
    String body =
        raw(
            "POST /api/clients HTTP/1.1\r\n{host}Content-Type: text/plain\r\n"
                + "Content-Length: 2\r\n\r\n{}");
    isProblem(body, 415);
    assertThat(body).contains("Accepted: application/json");
  }

  @ParameterizedTest
  @CsvSource({"GET, /error", "POST, /error", "GET, /api/nothing"})
  void whatIsNotThereIsToldSo(String method, String path) throws IOException {
    String answer = raw(method + " " + path + " HTTP/1.1\r\n{host}Content-Length: 0\r\n\r\n");
    assertThat(answer).startsWith("HTTP/1.1 404").contains("urn:korvel:problem:not-found");
  }

  @Test
  void anEmptyCalendarIsToldWhatIsAccepted() throws IOException {
    String answer =
        raw(
            "POST /api/calendar/busy?name=x HTTP/1.1\r\n{host}Content-Type: text/calendar\r\n"
                + "Content-Length: 0\r\n\r\n");
    isProblem(answer, 400);
    assertThat(answer).contains("is not a calendar", "iCalendar");
  }

  @Test
  void aSearchThatIsTooLongIsRefusedByName() {
    for (String typed :
        new String[] {String.join("+", Collections.nCopies(1_000, "a")), "a".repeat(300)}) {
      TestServer.Answer answer = server.get("/api/clients?q=" + typed);
      assertThat(answer.status()).isEqualTo(400);
      assertThat(answer.at("/errors/0/field")).isEqualTo("q");
    }
    assertThat(server.get("/api/clients?q=a+b+c+d+e").status()).isEqualTo(200);
  }

  @Test
  void anAnswerDoesNotGrowWithWhatWasSent() {
    for (String body :
        new String[] {
          "{\"tapMillis\":[" + "null,".repeat(60_000) + "null]}",
          "{\"" + "k".repeat(40_000) + "\":1}",
          "{\"tapMillis\":\"" + "k".repeat(400_000) + "\"}",
        }) {
      HttpResponse<String> answer =
          server.raw(server.request("/api/calculator/taps").POST(BodyPublishers.ofString(body)));
      assertThat(answer.statusCode()).isEqualTo(400);
      assertThat(answer.body().length()).isLessThan(64 * 1024);
    }
    TestServer.Answer logs =
        server.post("/api/session-logs", "{\"logs\":[" + "{},".repeat(50_000) + "{}]}");
    assertThat(logs.json().get("errors")).hasSize(50);
    assertThat(logs.at("/detail")).contains("The first 50 of");
  }

  @Test
  void whatIsPersonalIsKeptByNobodyAndAnotherSiteGetsNothing() {
    HttpRequest.Builder request = server.request("/api/clients");
    assertThat(server.raw(request.GET()).headers().firstValue("Cache-Control"))
        .contains("no-store");
    for (String path : new String[] {"/api/clients", "/", "/api/studio"}) {
      HttpResponse<String> refused =
          server.raw(server.request(path).header("Sec-Fetch-Site", "cross-site").GET());
      assertThat(refused.statusCode()).as(path).isEqualTo(403);
      assertThat(refused.body()).contains("urn:korvel:problem:foreign");
      assertThat(refused.headers().firstValue("Content-Security-Policy")).isPresent();
      assertThat(
              server
                  .raw(server.request(path).header("Sec-Fetch-Site", "same-origin").GET())
                  .statusCode())
          .as(path)
          .isEqualTo(200);
    }
  }

  /** Refused by name, in whichever field. */
  @ParameterizedTest
  @ValueSource(strings = {"a\\ud800b", "\\u200b\\u200b", "\\u202eabc", "a\\u2028b"})
  void namesThatCannotBeReadAreRefused(String name) {
    TestServer.Answer answer =
        server.post(
            "/api/clients",
            "{\"name\":\"%s\",\"note\":\"\",\"birthDate\":\"1990-01-01\",\"sex\":\"male\"}"
                .formatted(name));
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.at("/type")).startsWith("urn:korvel:problem:");
    assertThat(server.get("/api/clients?q=").json().get("clients")).isEmpty();
  }

  /** A page that the server does not know could be reached by links and not by its address. */
  @Test
  void everyPageOfTheInterfaceIsServed() throws IOException {
    String router = Files.readString(Path.of("..", "ui", "src", "router.ts"));
    List<String> pages =
        Pattern.compile("path: '(/[^']*)'")
            .matcher(router)
            .results()
            .map(found -> found.group(1))
            .filter(page -> !page.startsWith("/:"))
            .map(page -> page.replaceAll(":\\w+(\\([^)]*\\))?\\*?", "any"))
            .toList();
    assertThat(pages).hasSizeGreaterThan(30).contains("/practice/session");
    for (String page : pages) {
      assertThat(raw("GET " + page + " HTTP/1.1\\r\\n{host}\\r\\n"))
          .as(page)
          .startsWith("HTTP/1.1 200");
    }
  }
}
