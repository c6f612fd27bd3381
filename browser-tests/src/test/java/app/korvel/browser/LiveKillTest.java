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

/** A server that is killed in the middle of a session has all that it said it had. */
class LiveKillTest {
  @TempDir Path data;

  private static String sample(int number, long at) {
    return "{\"at\":[%d],\"bpm\":[%d]}".formatted(at, 90 + number % 40);
  }

  @Test
  void whatWasAcknowledgedIsThereAfterAKillAndIsTakenOnce() throws Exception {
    List<Long> acknowledged = new ArrayList<>();
    String session;
    try (KorvelProcess server = KorvelProcess.start(data)) {
      LivePerson person = new LivePerson(server.address());
      session = "/api/live/" + person.session();
      person.send(
          "PUT",
          session + "/events/" + UUID.randomUUID(),
          "{\"at\":\"%s\",\"kind\":\"begun\"}".formatted(Instant.now()));
      CountDownLatch enough = new CountDownLatch(60);
      Thread sender =
          new Thread(
              () -> {
                try {
                  for (int n = 0; ; n++) {
                    long at = System.currentTimeMillis();
                    String answer = person.send("PUT", session + "/samples/" + n, sample(n, at));
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
      assertThat(person.send("GET", session, "")).contains("\"phase\":\"running\"");
      for (int n = 0; n < acknowledged.size(); n++) {
        assertThat(person.send("PUT", session + "/samples/" + n, sample(n, acknowledged.get(n))))
            .as("sample %d", n)
            .contains("\"isNew\":false");
      }
    }
  }
}
