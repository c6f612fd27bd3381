package app.korvel.bench;

import app.korvel.store.Database;
import app.korvel.store.LiveRepository;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.openqa.selenium.chrome.ChromeDriver;

/**
 * A room of sixty straps at one sample a second and ten who look at its board, one of whom stopped
 * reading: a sample until each board has it, the server's processor and memory, the script of a
 * board in a browser, and what is left after a kill.
 */
final class RoomTime {
  private static final int PEOPLE = 60;
  private static final int VIEWERS = 10;
  private static final int MINUTES = 10;
  private static final int WARM_UP_SECONDS = 20;
  private static final int SCRIPT_SECONDS = 20;
  private static final Pattern SESSION =
      Pattern.compile("\"session\":\"([0-9a-f-]{36})\",\"clientId\"");
  private static final Pattern ID = Pattern.compile("\"sheet\":\\{\"id\":\"([0-9a-f-]{36})\"");
  private static final Pattern RECORDED =
      Pattern.compile(
          "\"session\":\"([0-9a-f-]{36})\",\"phase\":\"[a-z]+\",\"recordedUntil\":\"([^\"]+)\"");

  /** The time of a sample is kept to a hundredth of a second. */
  private static final int MS_APART = 12;

  /** A sample that was sent: when it was taken, and by the clock of this process. */
  private record Sent(long at, long nanos) {}

  private final HttpClient http = HttpClient.newHttpClient();
  private final AtomicInteger taken = new AtomicInteger();
  private final List<Double> times = Collections.synchronizedList(new ArrayList<>());
  private volatile boolean measuring;

  void run(String... words) throws Exception {
    int minutes = words.length > 0 ? Integer.parseInt(words[0]) : MINUTES;
    Path data = Files.createTempDirectory("korvel-room-");
    List<String> sessions;
    KorvelProcess server = KorvelProcess.start(data);
    try {
      LivePerson person = new LivePerson(server.address());
      List<String> people = new ArrayList<>();
      for (int n = 0; n < PEOPLE; n++) {
        people.add("{\"clientId\":\"" + person.ready("Person " + n) + "\"}");
      }
      String opened =
          person.send("POST", "/api/rooms", "{\"people\":[" + String.join(",", people) + "]}");
      String room = found(ID, opened).get(0);
      sessions = found(SESSION, opened);
      person.send(
          "PUT",
          "/api/rooms/" + room + "/events/" + UUID.randomUUID(),
          "{\"at\":\"" + Instant.now() + "\",\"kind\":\"begun\"}");
      List<Viewer> viewers = new ArrayList<>();
      for (int n = 0; n < VIEWERS; n++) {
        viewers.add(new Viewer(server, room, n == 0));
      }
      beat(server, sessions, viewers, WARM_UP_SECONDS);
      measuring = true;
      double processor = server.processorSeconds();
      beat(server, sessions, viewers, 60);
      double memory = server.residentMegabytes();
      beat(server, sessions, viewers, 60 * (minutes - 1));
      measuring = false;
      double share = (server.processorSeconds() - processor) / (60.0 * minutes);
      double[] all = times.stream().mapToDouble(Double::doubleValue).toArray();
      System.out.println(new Sample("a sample sent to nine boards", "ms", all).line());
      say("processor, share of one core", 100 * share, "%");
      say("memory after a minute", memory, "MB");
      say("memory after " + minutes, server.residentMegabytes(), "MB");
      script(server, room, sessions, viewers);
    } finally {
      server.kill();
    }
    kept(data.resolve("korvel.db"), sessions);
  }

  private static void say(String what, double value, String unit) {
    System.out.printf(Locale.ROOT, "%-44s %.1f %s%n", what, value, unit);
  }

  private static List<String> found(Pattern pattern, String text) {
    Matcher matcher = pattern.matcher(text);
    List<String> all = new ArrayList<>();
    while (matcher.find()) {
      all.add(matcher.group(1));
    }
    return all;
  }

  /** Sixty straps send a sample a second, one after the other within it. */
  private void beat(KorvelProcess server, List<String> sessions, List<Viewer> viewers, int seconds)
      throws InterruptedException {
    long from = System.nanoTime();
    for (int beat = 0; beat < seconds * sessions.size(); beat++) {
      long due = from + TimeUnit.SECONDS.toNanos(1) * beat / sessions.size();
      long early = due - System.nanoTime();
      if (early > 0) {
        TimeUnit.NANOSECONDS.sleep(early);
      }
      long at = System.currentTimeMillis();
      String session = sessions.get(beat % sessions.size());
      viewers.forEach(viewer -> viewer.waitFor(session, at));
      http.sendAsync(
              HttpRequest.newBuilder(
                      URI.create(server.address() + "/api/live/" + session + "/samples/" + at))
                  .header("Content-Type", "application/json")
                  .PUT(
                      BodyPublishers.ofString(
                          "{\"at\":[%d],\"bpm\":[%d]}".formatted(at, 100 + beat % 30)))
                  .build(),
              BodyHandlers.discarding())
          .thenAccept(answer -> taken.addAndGet(answer.statusCode() == 200 ? 1 : 0));
    }
  }

  /** Somebody who looks at the board; one who is slow never asks for more after the first. */
  private final class Viewer implements WebSocket.Listener {
    private final Map<String, Sent> sent = new ConcurrentHashMap<>();
    private final StringBuilder parts = new StringBuilder();
    private final boolean slow;

    Viewer(KorvelProcess server, String room, boolean slow) throws Exception {
      this.slow = slow;
      http.newWebSocketBuilder()
          .buildAsync(
              URI.create(server.address().replace("http", "ws") + "/api/live/channel"), this)
          .get(10, TimeUnit.SECONDS)
          .sendText("room:" + room, true)
          .get(10, TimeUnit.SECONDS);
    }

    void waitFor(String session, long at) {
      if (!slow) {
        sent.put(session, new Sent(at, System.nanoTime()));
      }
    }

    private void told(String session, long until) {
      Sent from = sent.get(session);
      if (from != null && until >= from.at - MS_APART) {
        sent.remove(session);
        if (measuring) {
          times.add((System.nanoTime() - from.nanos) / 1e6);
        }
      }
    }

    @Override
    public CompletionStage<?> onText(WebSocket socket, CharSequence text, boolean last) {
      parts.append(text);
      if (last) {
        Matcher matcher = RECORDED.matcher(parts);
        while (matcher.find()) {
          told(matcher.group(1), Instant.parse(matcher.group(2)).toEpochMilli());
        }
        parts.setLength(0);
      }
      if (!slow) {
        socket.request(1);
      }
      return null;
    }
  }

  /** The script of a board in a browser, a second, while sixty straps go on. */
  private void script(
      KorvelProcess server, String room, List<String> sessions, List<Viewer> viewers)
      throws InterruptedException {
    ChromeDriver driver = HeadlessBrowser.start();
    try {
      driver.get(server.address() + "/floor/rooms/" + room);
      driver.executeCdpCommand("Performance.enable", Map.of());
      beat(server, sessions, viewers, 5);
      double before = PageScript.seconds(driver);
      beat(server, sessions, viewers, SCRIPT_SECONDS);
      say(
          "script of a board, in each second",
          1000 * (PageScript.seconds(driver) - before) / SCRIPT_SECONDS,
          "ms");
      long lanes =
          (Long)
              driver.executeScript(
                  "return [...document.querySelectorAll('.lane .rate')]"
                      + ".filter((each) => /\\d/.test(each.textContent)).length");
      say("lanes with a rate on it", lanes, "of " + PEOPLE);
    } finally {
      driver.quit();
    }
  }

  /** After the kill: every sample that was answered is there. */
  private void kept(Path file, List<String> sessions) {
    long there = 0;
    try (Database database = Database.open(file)) {
      LiveRepository live = new LiveRepository(database);
      for (String session : sessions) {
        there += live.samples(UUID.fromString(session), Instant.EPOCH).size();
      }
    }
    System.out.printf(
        Locale.ROOT, "%-44s %d answered, %d on disk%n", "after kill -9", taken.get(), there);
    if (there < taken.get()) {
      throw new IllegalStateException("samples that were answered are lost");
    }
  }
}
