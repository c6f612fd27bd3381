package app.korvel.bench;

import app.korvel.core.effort.Witnesses.Aim;
import app.korvel.core.effort.Witnesses.Mover;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.Course;
import app.korvel.core.live.Course.Step;
import app.korvel.core.live.Course.StepFor;
import app.korvel.core.live.Cues;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.trace.Samples;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Schemes;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.core.zone.Zones.BandRates;
import app.korvel.sensor.SimulatedBody;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.sensor.SimulatedStrap.Fault;
import app.korvel.store.Database;
import app.korvel.store.LiveRepository;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/**
 * A session on the clock: a recording read and judged, sessions banded anew, a sample from its
 * sending to what a viewer is told, and what a sample takes on disk.
 */
final class LiveTime {
  private static final Reserve SPAN = Reserve.of(64, 176);
  private static final int TEN_HOURS = 36_000;
  private static final int ROUNDS = 60;
  private static final int SESSIONS = 10_000;
  private static final int WARM_UP = 100;
  private static final int SAMPLES = 400;
  private static final int ON_DISK = 7_200;

  void run() throws Exception {
    judged();
    bandedAnew();
    Path data = Files.createTempDirectory("korvel-live-");
    String session;
    try (KorvelProcess server = KorvelProcess.start(data)) {
      LivePerson person = new LivePerson(server.address());
      session = person.session();
      told(server, person, session);
    }
    onDisk(data.resolve("korvel.db"), UUID.fromString(session));
  }

  /** A strap as it would come: noisy, with easier and harder stretches. */
  private static int[][] recording(int seconds) {
    SimulatedBody body = new SimulatedBody(SPAN, true);
    SimulatedStrap strap = new SimulatedStrap(7, Fault.NONE);
    int[] at = new int[seconds];
    int[] bpm = new int[seconds];
    for (int second = 0; second < seconds; second++) {
      body.work(0.35 + 0.3 * (second / 600 % 2));
      at[second] = second + 1;
      bpm[second] = strap.next(body).orElseThrow().bpm();
    }
    return new int[][] {at, bpm};
  }

  private static void judged() {
    int[][] made = recording(TEN_HOURS);
    List<Step> steps = new ArrayList<>();
    for (int from = 1; from <= TEN_HOURS; from += 900) {
      steps.add(
          Step.of(from, Aim.byRate(109, 131, Optional.empty(), Ladder.of(SPAN)), StepFor.WORK));
    }
    Course course = Course.of(steps, RateSource.STRAP);
    Mover mover =
        new Mover(
            Optional.of(Ladder.of(SPAN)),
            true,
            Set.of(),
            IntensityGuide.RATE,
            OptionalInt.of(160),
            OptionalInt.empty());
    double[] times = new double[ROUNDS];
    int cues = 0;
    for (int round = -ROUNDS; round < ROUNDS; round++) {
      long from = System.nanoTime();
      cues += Cues.of(Trace.of(made[0], made[1]), course, mover).given().size();
      if (round >= 0) {
        times[round] = (System.nanoTime() - from) / 1e6;
      }
    }
    System.out.println(new Sample("ten hours read and judged", "ms", times).line());
    if (cues == 0) {
      throw new IllegalStateException("nothing was said");
    }
  }

  private static void bandedAnew() {
    Random random = new Random(3);
    int[][] histograms = new int[SESSIONS][Trace.HIGHEST + 1];
    for (int[] seconds : histograms) {
      for (int bpm = 80; bpm < 170; bpm++) {
        seconds[bpm] = random.nextInt(60);
      }
    }
    List<BandRates> bands = Zones.of(Schemes.ALL.get(3), SPAN, Uncertainty.USUAL).bands();
    double[] times = new double[ROUNDS];
    long all = 0;
    for (int round = -ROUNDS; round < ROUNDS; round++) {
      long from = System.nanoTime();
      for (int[] seconds : histograms) {
        for (BandRates band : bands) {
          all += band.seconds(seconds);
        }
      }
      if (round >= 0) {
        times[round] = (System.nanoTime() - from) / 1e6;
      }
    }
    System.out.println(new Sample("10,000 sessions banded anew", "ms", times).line());
    if (all == 0) {
      throw new IllegalStateException("nothing was banded");
    }
  }

  /** From the sending of a sample until a viewer has been told of its very rate. */
  private static void told(KorvelProcess server, LivePerson person, String session)
      throws Exception {
    BlockingQueue<String> heard = new LinkedBlockingQueue<>();
    WebSocket socket =
        HttpClient.newHttpClient()
            .newWebSocketBuilder()
            .buildAsync(
                URI.create(server.address().replace("http", "ws") + "/api/live/channel"),
                new Listener(heard))
            .get(10, TimeUnit.SECONDS);
    socket.sendText(session, true).get(5, TimeUnit.SECONDS);
    double[] times = new double[SAMPLES];
    for (int n = -WARM_UP; n < SAMPLES; n++) {
      int bpm = 60 + Math.floorMod(n, 150);
      long from = System.nanoTime();
      person.send(
          "PUT",
          "/api/live/" + session + "/samples/" + (n + WARM_UP),
          "{\"at\":[%d],\"bpm\":[%d]}".formatted(System.currentTimeMillis(), bpm));
      String message;
      do {
        message = heard.poll(10, TimeUnit.SECONDS);
      } while (message != null && !message.contains("\"bpm\":" + bpm + ",\"secondsWithout"));
      if (message == null) {
        throw new IllegalStateException("nobody was told");
      }
      if (n >= 0) {
        times[n] = (System.nanoTime() - from) / 1e6;
      }
    }
    System.out.println(new Sample("a sample sent to a viewer told", "ms", times).line());
    socket.abort();
  }

  private static final class Listener implements WebSocket.Listener {
    private final BlockingQueue<String> heard;
    private final StringBuilder parts = new StringBuilder();

    Listener(BlockingQueue<String> heard) {
      this.heard = heard;
    }

    @Override
    public CompletionStage<?> onText(WebSocket socket, CharSequence text, boolean last) {
      parts.append(text);
      if (last) {
        heard.add(parts.toString());
        parts.setLength(0);
      }
      socket.request(1);
      return null;
    }
  }

  /** Two hours of a strap whose packets come a few hundredths early or late, one a second. */
  private static void onDisk(Path file, UUID session) throws Exception {
    Random random = new Random(5);
    int[][] made = recording(ON_DISK);
    try (Database database = Database.open(file)) {
      LiveRepository live = new LiveRepository(database);
      for (int n = 0; n < ON_DISK; n++) {
        int at = 1000 * n + random.nextInt(60);
        live.add(
            session,
            1_000_000L + n,
            new Samples(Instant.EPOCH, new int[] {at}, new int[] {made[1][n]}));
      }
      live.putTogether(session);
    }
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement();
        ResultSet row =
            statement.executeQuery(
                "select sum(length(samples)) + sum(length(taken)) from live_recording")) {
      row.next();
      System.out.printf(
          Locale.ROOT,
          "%-44s %.2f bytes   (n = %d)%n",
          "a sample on disk",
          (double) row.getLong(1) / (ON_DISK + WARM_UP + SAMPLES),
          ON_DISK + WARM_UP + SAMPLES);
    }
  }
}
