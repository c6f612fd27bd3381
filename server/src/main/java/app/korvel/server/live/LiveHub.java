package app.korvel.server.live;

import app.korvel.server.live.LiveViews.LiveState;
import app.korvel.server.live.SampleViews.TraceView;
import app.korvel.store.AssessmentRepository.OpenedTest;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.SimulatedTests;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import app.korvel.studio.live.RecordLiveEvent;
import app.korvel.studio.live.RecordRoomEvent;
import app.korvel.studio.live.Simulations;
import jakarta.annotation.PreDestroy;
import java.util.List;
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
public class LiveHub {
  private static final Logger LOG = LoggerFactory.getLogger(LiveHub.class);

  /** So many seconds of the rate go along with each push: who missed more asks for all. */
  private static final int SECONDS_ALONG = 130;

  /** Sixty times as fast, three seconds go by in one: less than a sample stands for. */
  private static final int TICK_MS = 50;

  private static final int TICKS_A_SECOND = 1000 / TICK_MS;
  private static final int LEFT_EVERY_SECONDS = 60;
  private static final int SENT_SECONDS = 3;
  private static final Actor CLOCK = new Actor("the clock");

  /** What is pushed. */
  record LivePush(LiveState state, TraceView trace) {}

  private final Studio studio;
  private final JsonMapper json;
  private final Set<LiveViewer> viewers = ConcurrentHashMap.newKeySet();
  private final Simulations simulations;
  private final SimulatedTests simulatedTests;
  private final TestsAsTheyStand tests;
  private final RoomBoards boards;
  private int ticks;
  private final ScheduledExecutorService worker =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "live");
            thread.setDaemon(true);
            return thread;
          });

  LiveHub(Studio studio, JsonMapper json, TestsAsTheyStand tests) {
    this.studio = studio;
    this.json = json;
    this.tests = tests;
    this.simulations = new Simulations(studio);
    this.simulatedTests = new SimulatedTests(studio);
    this.boards = new RoomBoards(studio, json);
    worker.scheduleWithFixedDelay(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
  }

  /** What is told of a test: where it stands, and its rate of late. */
  public interface TestsAsTheyStand {
    /**
     * As it stands now.
     *
     * @param seconds of the rate that go along
     * @throws NotFoundException when there is none of that id
     */
    Object now(UUID test, int seconds);
  }

  void watch(LiveViewer viewer) {
    viewers.add(viewer);
    viewer.test().ifPresent(this::testChanged);
    viewer.session().ifPresent(this::changed);
    viewer.room().ifPresent(boards::roomChanged);
  }

  /** Something of a room has changed: who is in it, or its clock. */
  void roomChanged(UUID room) {
    boards.roomChanged(room);
  }

  void leave(LiveViewer viewer) {
    viewers.remove(viewer);
    viewer.close();
  }

  /** Something of a session has changed: whoever looks at it is told at once. */
  void changed(UUID session) {
    boards.changed(session);
    try {
      worker.execute(() -> push(session));
    } catch (RejectedExecutionException stopped) {
      LOG.debug("The server is stopping.");
    }
  }

  /** Something of a test has changed: whoever looks at it is told at once. */
  public void testChanged(UUID test) {
    try {
      worker.execute(() -> pushTest(test));
    } catch (RejectedExecutionException stopped) {
      LOG.debug("The server is stopping.");
    }
  }

  private void pushTest(UUID test) {
    Set<LiveViewer> looking =
        viewers.stream()
            .filter(viewer -> viewer.test().filter(test::equals).isPresent())
            .collect(Collectors.toSet());
    if (looking.isEmpty()) {
      return;
    }
    try {
      String message = json.writeValueAsString(tests.now(test, SECONDS_ALONG));
      looking.forEach(viewer -> viewer.tell(message));
    } catch (NotFoundException gone) {
      LOG.debug("Somebody looks at a test that is not there.");
    } catch (RuntimeException failed) {
      LOG.warn("A test could not be told.", failed);
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
              new LivePush(LiveState.of(stands), TraceView.of(stands.session().trace(), from)));
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
        simulations.look();
      }
      List<Opened> due =
          simulations.on().stream()
              .filter(opened -> ticks % everyTicks(opened.speed()) == 0)
              .toList();
      if (!due.isEmpty()) {
        simulations.send(CLOCK, due);
        due.forEach(opened -> boards.changed(opened.id()));
      }
      if (second) {
        simulatedTests.look();
        viewers.stream()
            .flatMap(viewer -> viewer.session().stream())
            .distinct()
            .forEach(this::push);
        viewers.stream()
            .flatMap(viewer -> viewer.test().stream())
            .distinct()
            .forEach(this::pushTest);
      }
      List<OpenedTest> tested =
          simulatedTests.on().stream()
              .filter(opened -> ticks % everyTicks(opened.speed()) == 0)
              .toList();
      if (!tested.isEmpty()) {
        simulatedTests.send(CLOCK, tested);
      }
      boards.tick(
          viewers.stream()
              .filter(viewer -> viewer.room().isPresent())
              .collect(Collectors.groupingBy(viewer -> viewer.room().orElseThrow())),
          TimeUnit.NANOSECONDS.toMillis(System.nanoTime()));
      if (ticks % (LEFT_EVERY_SECONDS * TICKS_A_SECOND) == 0) {
        new RecordLiveEvent(studio).closeLeft(CLOCK);
        new RecordRoomEvent(studio).closeLeft(CLOCK);
      }
    } catch (RuntimeException failed) {
      LOG.warn("The live sessions were not looked after.", failed);
    } finally {
      ticks++;
    }
  }

  /** A simulated strap sends each second, and where its time goes faster every three of its own. */
  private static int everyTicks(int speed) {
    return speed == 1 ? TICKS_A_SECOND : Math.max(1, SENT_SECONDS * TICKS_A_SECOND / speed);
  }

  /** Says goodbye before the server stops: open channels would see nothing but a broken line. */
  @PreDestroy
  void stop() {
    worker.shutdownNow();
    viewers.forEach(this::leave);
  }
}
