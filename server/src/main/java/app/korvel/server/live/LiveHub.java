package app.korvel.server.live;

import app.korvel.server.live.LiveViews.LiveState;
import app.korvel.server.live.LiveViews.TraceView;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.RecordLiveEvent;
import app.korvel.studio.live.SimulatedClient;
import app.korvel.studio.live.TakeSamples;
import jakarta.annotation.PreDestroy;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells whoever looks at a session what has changed in it, once a second and whenever something
 * did; lets simulated straps send; and closes sessions that nobody ended.
 */
@Component
class LiveHub {
  private static final Logger LOG = LoggerFactory.getLogger(LiveHub.class);

  /** So many seconds of the rate go along with each push: who missed more asks for all. */
  private static final int SECONDS_ALONG = 130;

  /** Sixty times as fast, three seconds go by in one: less than a sample stands for. */
  private static final int TICK_MS = 50;

  private static final int TICKS_A_SECOND = 1000 / TICK_MS;
  private static final int LEFT_EVERY_SECONDS = 60;
  private static final Actor CLOCK = new Actor("the clock");

  /** What is pushed. */
  record LivePush(LiveState state, TraceView trace) {}

  private final Studio studio;
  private final JsonMapper json;
  private final Set<LiveViewer> viewers = ConcurrentHashMap.newKeySet();
  private final Map<UUID, SimulatedClient> simulated = new HashMap<>();

  /** Sessions whose strap is simulated, as of the last second. */
  private List<Opened> pretending = List.of();

  private int ticks;
  private final ScheduledExecutorService worker =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "live");
            thread.setDaemon(true);
            return thread;
          });

  LiveHub(Studio studio, JsonMapper json) {
    this.studio = studio;
    this.json = json;
    worker.scheduleWithFixedDelay(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
  }

  void watch(LiveViewer viewer) {
    viewers.add(viewer);
    viewer.session().ifPresent(this::changed);
  }

  void leave(LiveViewer viewer) {
    viewers.remove(viewer);
    viewer.close();
  }

  /** Something of a session has changed: whoever looks at it is told at once. */
  void changed(UUID session) {
    try {
      worker.execute(() -> push(session));
    } catch (RejectedExecutionException stopped) {
      LOG.debug("The server is stopping.");
    }
  }

  private void push(UUID session) {
    Set<LiveViewer> looking =
        viewers.stream().filter(viewer -> viewer.looksAt(session)).collect(Collectors.toSet());
    if (looking.isEmpty()) {
      return;
    }
    try {
      LiveNow stands = new LiveSessions(studio).get(session);
      int from = Math.max(1, stands.session().trace().seconds() - SECONDS_ALONG);
      String message =
          json.writeValueAsString(
              new LivePush(LiveState.of(stands), TraceView.of(stands.session(), from)));
      looking.forEach(viewer -> viewer.tell(message));
    } catch (NotFoundException gone) {
      LOG.debug("Somebody looks at a session that is not there.");
    } catch (RuntimeException failed) {
      LOG.warn("A session could not be told.", failed);
    }
  }

  private void tick() {
    try {
      boolean second = ticks % TICKS_A_SECOND == 0;
      if (second) {
        pretending =
            studio.store().live().openNow().stream()
                .filter(opened -> opened.simulated().isPresent())
                .toList();
        simulated
            .keySet()
            .retainAll(pretending.stream().map(Opened::id).collect(Collectors.toSet()));
      }
      pretending.stream().filter(opened -> second || opened.speed() > 1).forEach(this::send);
      if (second) {
        viewers.stream()
            .flatMap(viewer -> viewer.session().stream())
            .distinct()
            .forEach(this::push);
      }
      if (ticks++ % (LEFT_EVERY_SECONDS * TICKS_A_SECOND) == 0) {
        new RecordLiveEvent(studio).closeLeft(CLOCK);
      }
    } catch (RuntimeException failed) {
      LOG.warn("The live sessions were not looked after.", failed);
    }
  }

  private void send(Opened opened) {
    LiveNow stands = new LiveSessions(studio).get(opened.id());
    SimulatedClient client =
        simulated.computeIfAbsent(opened.id(), id -> new SimulatedClient(stands));
    Optional<SimulatedClient.Sent> sent = client.until(stands.session());
    while (sent.isPresent()) {
      new TakeSamples(studio).by(CLOCK, opened.id(), sent.get().sequence(), sent.get().handed());
      sent = client.until(stands.session());
    }
  }

  /** Says goodbye before the server stops: open channels would see nothing but a broken line. */
  @PreDestroy
  void stop() {
    worker.shutdownNow();
    viewers.forEach(this::leave);
  }
}
