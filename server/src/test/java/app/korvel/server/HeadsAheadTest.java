package app.korvel.server;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.Mockito.atLeast;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.korvel.studio.ClientHeads;
import app.korvel.studio.Studio;
import app.korvel.studio.StudioClock;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;

class HeadsAheadTest {
  private static final int PATIENCE_MS = 20_000;

  /** A failure is no reason to stop: whoever asks is told of it. */
  @Test
  void everyDayBeginsWithAllHeadsWorkedOut() {
    ClientHeads heads = mock(ClientHeads.class);
    StudioClock clock = mock(StudioClock.class);
    when(clock.untilTomorrow()).thenReturn(Duration.ofMillis(1));
    when(heads.find(any(), anyBoolean()))
        .thenThrow(new IllegalStateException("no such table"))
        .thenReturn(List.of());
    Studio studio = mock(Studio.class);
    when(studio.heads()).thenReturn(heads);
    when(studio.clock()).thenReturn(clock);
    HeadsAhead ahead = new HeadsAhead(studio);
    try {
      ahead.workOut();
      verify(heads, timeout(PATIENCE_MS).atLeast(3)).find("", false);
      verify(clock, atLeast(2)).untilTomorrow();
    } finally {
      ahead.stop();
    }
  }
}
