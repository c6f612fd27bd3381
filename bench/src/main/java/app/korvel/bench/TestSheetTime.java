package app.korvel.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.time.Instant;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The sheet of a graded test: from an entry on one device to the other that is told of it, and the
 * page that is printed, warm. Practised on somebody who is not there.
 */
final class TestSheetTime {
  private static final int ENTRIES = 200;
  private static final int WARM_UP = 30;
  private static final int PAGES = 30;
  private static final int WAIT_SECONDS = 10;
  private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

  private final HttpClient http = HttpClient.newHttpClient();
  private String address;

  void run() throws Exception {
    try (KorvelProcess server = KorvelProcess.start(Files.createTempDirectory("korvel-sheet-"))) {
      address = server.address();
      String test = id(send("POST", "/api/practice/tests", "{\"level\":\"shown\",\"speed\":1}"));
      entries(test);
      event(test, "\"kind\":\"posture\",\"posture\":\"lying\"");
      vitals(test);
      event(test, "\"kind\":\"left-out\",\"words\":\"measured only\"");
      event(test, "\"kind\":\"begun\"");
      event(test, "\"kind\":\"ended\",\"reason\":\"client\"");
      pages(test);
    }
  }

  private void vitals(String test) throws Exception {
    event(test, "\"kind\":\"read-off\",\"bpm\":66");
    event(test, "\"kind\":\"pressure\",\"systolic\":120,\"diastolic\":80");
  }

  /** Entered on one device, until the other has been told. */
  private void entries(String test) throws Exception {
    BlockingQueue<String> told = new LinkedBlockingQueue<>();
    WebSocket channel =
        http.newWebSocketBuilder()
            .buildAsync(
                URI.create(address.replaceFirst("http", "ws") + "/api/live/channel"),
                new Listening(told))
            .join();
    channel.sendText("test:" + test, true).join();
    double[] times = new double[ENTRIES];
    for (int n = -WARM_UP; n < ENTRIES; n++) {
      UUID id = UUID.randomUUID();
      told.clear();
      long from = System.nanoTime();
      send("PUT", "/api/tests/" + test + "/events/" + id, rated(n));
      String message;
      do {
        message = told.poll(WAIT_SECONDS, TimeUnit.SECONDS);
      } while (message != null && !message.contains(id.toString()));
      if (message == null) {
        throw new IllegalStateException("nobody was told of an entry");
      }
      if (n >= 0) {
        times[n] = (System.nanoTime() - from) / 1e6;
      }
    }
    channel.abort();
    Sample sample = new Sample("an entry until another device is told", "ms", times);
    System.out.println(sample.line());
    System.out.printf(Locale.ROOT, "%-44s p95    %9.3f ms%n", "", sample.quantile(0.95));
  }

  private static String rated(int n) {
    return "{\"at\":\"%s\",\"kind\":\"rated\",\"rpe20\":%d}"
        .formatted(Instant.now(), 6 + Math.floorMod(n, 14));
  }

  private void pages(String test) throws Exception {
    double[] times = new double[PAGES];
    for (int n = -3; n < PAGES; n++) {
      long from = System.nanoTime();
      int size = get("/api/tests/" + test + "/sheet.pdf").length;
      if (size == 0) {
        throw new IllegalStateException("an empty page");
      }
      if (n >= 0) {
        times[n] = (System.nanoTime() - from) / 1e6;
      }
    }
    System.out.println(new Sample("the sheet as a PDF, warm", "ms", times).line());
  }

  private void event(String test, String more) throws Exception {
    send(
        "PUT",
        "/api/tests/" + test + "/events/" + UUID.randomUUID(),
        "{\"at\":\"" + Instant.now() + "\"," + more + "}");
  }

  private static String id(String answer) {
    Matcher found = ID.matcher(answer);
    if (!found.find()) {
      throw new IllegalStateException(answer);
    }
    return found.group(1);
  }

  private String send(String method, String path, String body) throws Exception {
    HttpResponse<String> answer =
        http.send(
            HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("Origin", address)
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build(),
            HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() >= 300) {
      throw new IOException(path + " " + answer.statusCode() + " " + answer.body());
    }
    return answer.body();
  }

  private byte[] get(String path) throws Exception {
    return http.send(
            HttpRequest.newBuilder(URI.create(address + path)).build(),
            HttpResponse.BodyHandlers.ofByteArray())
        .body();
  }

  /** Messages as they come, whole. */
  private static final class Listening implements WebSocket.Listener {
    private final BlockingQueue<String> told;
    private final StringBuilder part = new StringBuilder();

    Listening(BlockingQueue<String> told) {
      this.told = told;
    }

    @Override
    public CompletionStage<?> onText(WebSocket channel, CharSequence text, boolean last) {
      part.append(text);
      if (last) {
        told.add(part.toString());
        part.setLength(0);
      }
      channel.request(1);
      return null;
    }
  }
}
