package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.when;

import app.korvel.store.StoreException;
import app.korvel.studio.Studio;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/** What a person is told when the server itself fails: nothing of its insides. */
class FailureTest {
  @TempDir Path folder;

  static class BrokenClock {
    @Bean
    @Primary
    Clock broken() {
      Clock clock = mock(Clock.class);
      when(clock.getZone()).thenReturn(ZoneId.of("UTC"));
      when(clock.instant())
          // While it starts, it is asked for the studio's first moment and for the first id.
          .thenReturn(Instant.EPOCH, Instant.EPOCH)
          .thenThrow(new IllegalStateException("secret"));
      return clock;
    }
  }

  static class FullDisk {
    @Bean
    @Primary
    Studio full(@Qualifier("studio") Studio studio) {
      StoreException full = mock(StoreException.class);
      when(full.reason()).thenReturn(StoreException.Reason.DISK_FULL);
      Studio spied = spy(studio);
      doThrow(full).when(spied).write(any(), any());
      return spied;
    }
  }

  @Test
  void aFullDiskIsNamedAndSaysWhatToDo() {
    try (TestServer server = new TestServer(folder, FullDisk.class)) {
      TestServer.Answer answer =
          server.post("/api/clients", TestClients.details("Nobody There", 40));
      assertThat(answer.status()).isEqualTo(507);
      assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:storage-full");
      assertThat(answer.at("/detail")).contains("Nothing was saved", "disk", "Free some");
    }
  }

  @Test
  void aFailureIsAProblemWithoutItsInsides() {
    try (TestServer server = new TestServer(folder, BrokenClock.class)) {
      TestServer.Answer answer = server.get("/api/studio");
      assertThat(answer.status()).isEqualTo(500);
      assertThat(answer.at("/type")).isEqualTo("urn:korvel:problem:failed");
      assertThat(answer.json().toString()).doesNotContain("secret", "Exception");
    }
  }
}
