package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.bench.KorvelProcess;
import app.korvel.bench.LivePerson;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A server that is killed in the middle of a session or a test has all that it said it had. */
class LiveKillTest {
  @TempDir Path data;

  private static String sample(int number, long at) {
    return "{\"at\":[%d],\"bpm\":[%d]}".formatted(at, 90 + number % 40);
  }

  /** How to open what is on the clock, and how to begin it. */
  private interface Opening {
    String of(LivePerson person) throws IOException, InterruptedException;
  }

  @Test
  void aSessionHasWhatWasAcknowledgedAfterAKillAndTakesItOnce() throws Exception {
    kill(person -> "/api/live/" + person.session(), "\"phase\":\"running\"");
  }

  @Test
  void aTestHasWhatWasAcknowledgedAfterAKillAndTakesItOnce() throws Exception {
    UUID read = UUID.randomUUID();
    kill(
        person -> {
          String test = "/api/tests/" + person.twoMinutes();
          person.send(
              "PUT",
              test + "/events/" + read,
              "{\"at\":\"%s\",\"kind\":\"read-off\",\"bpm\":71}".formatted(Instant.now()));
          return test;
        },
        "\"begunAt\":\"",
        read.toString());
  }

  /**
   * Begins it and sends samples until the server is killed; a new one then says how it stands, and
   * knows each sample.
   */
  private void kill(Opening opening, String... stands) throws Exception {
    List<Long> acknowledged = new ArrayList<>();
    String path;
    try (KorvelProcess server = KorvelProcess.start(data)) {
      LivePerson person = new LivePerson(server.address());
      path = opening.of(person);
      person.send(
          "PUT",
          path + "/events/" + UUID.randomUUID(),
          "{\"at\":\"%s\",\"kind\":\"begun\"}".formatted(Instant.now()));
      CountDownLatch enough = new CountDownLatch(60);
      Thread sender =
          new Thread(
              () -> {
                try {
                  for (int n = 0; ; n++) {
                    long at = System.currentTimeMillis();
                    String answer = person.send("PUT", path + "/samples/" + n, sample(n, at));
                    assertThat(answer).contains("\"isNew\":true");
                    acknowledged.add(at);
                    enough.countDown();
                  }
                } catch (IOException killed) {
                  enough.countDown();
                } catch (InterruptedException stopped) {
                  Thread.currentThread().interrupt();
                }
              });
      sender.start();
      assertThat(enough.await(60, TimeUnit.SECONDS)).isTrue();
      server.kill();
      sender.join(TimeUnit.SECONDS.toMillis(30));
    }
    assertThat(acknowledged).hasSizeGreaterThanOrEqualTo(60);
    try (KorvelProcess server = KorvelProcess.start(data)) {
      LivePerson person = new LivePerson(server.address());
      assertThat(person.send("GET", path, "")).contains(stands);
      for (int n = 0; n < acknowledged.size(); n++) {
        assertThat(person.send("PUT", path + "/samples/" + n, sample(n, acknowledged.get(n))))
            .as("sample %d", n)
            .contains("\"isNew\":false");
      }
    }
  }
}
