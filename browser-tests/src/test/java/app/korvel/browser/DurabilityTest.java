package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.bench.Durability;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Three kills in a stream of writes; {@code ./korvel bench durability} does a thousand. */
class DurabilityTest {
  private static final int KILLS = 3;

  @TempDir Path data;

  @Test
  void whatWasAcknowledgedSurvivesBeingKilled() throws Exception {
    Durability.Result result = Durability.run(data, KILLS, 9);
    assertThat(result.missing()).isEmpty();
    assertThat(result.acknowledged()).isGreaterThan(KILLS * 5);
  }
}
