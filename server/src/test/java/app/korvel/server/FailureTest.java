package app.korvel.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
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
          .thenReturn(Instant.EPOCH)
          .thenThrow(new IllegalStateException("secret"));
      return clock;
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
