package app.korvel.server;

import app.korvel.studio.Studio;
import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Works everyone's head out before anybody asks: after a start, and when a day has begun, since
 * then none of those that are kept holds.
 */
@Component
class HeadsAhead {
  private static final Logger LOG = LoggerFactory.getLogger(HeadsAhead.class);

  private final Studio studio;
  private final ScheduledExecutorService worker =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "heads-ahead");
            thread.setDaemon(true);
            return thread;
          });

  HeadsAhead(Studio studio) {
    this.studio = studio;
  }

  @EventListener(ApplicationReadyEvent.class)
  void workOut() {
    worker.execute(this::workOutAndGoOn);
  }

  private void workOutAndGoOn() {
    try {
      studio.heads().find("", false);
    } catch (RuntimeException failed) {
      // Whoever asks for a list works them out, and is told what is wrong.
      LOG.debug("The heads were not worked out ahead.", failed);
    }
    try {
      worker.schedule(
          this::workOutAndGoOn,
          studio.clock().untilTomorrow().toMillis() + 1,
          TimeUnit.MILLISECONDS);
    } catch (RejectedExecutionException stopped) {
      LOG.debug("The server is stopping.");
    }
  }

  @PreDestroy
  void stop() {
    worker.shutdownNow();
  }
}
