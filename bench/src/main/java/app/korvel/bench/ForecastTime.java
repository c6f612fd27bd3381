package app.korvel.bench;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.forecast.Forecast;
import app.korvel.core.forecast.Forecast.Coming;
import app.korvel.core.forecast.ForecastReview;
import app.korvel.core.forecast.ForecastReview.StepReview;
import app.korvel.core.forecast.ForecastStep;
import app.korvel.core.forecast.ForeseenSession;
import app.korvel.core.forecast.Kinetics;
import app.korvel.core.forecast.Kinetics.TimeConstant;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan;
import app.korvel.core.live.LiveSession;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.ExertionLimits;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.trace.Samples;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Uncertainty;
import app.korvel.sensor.HeartRatePacket;
import app.korvel.sensor.SimulatedBody;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.sensor.SimulatedStrap.Fault;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.openqa.selenium.By;
import org.openqa.selenium.Rectangle;
import org.openqa.selenium.chrome.ChromeDriver;

/**
 * What a forecast costs, in the core and while a block is dragged, and how near forecasts come to
 * made-up clients whose hearts are not as they are taken to be.
 */
final class ForecastTime {
  private static final Reserve SPAN = Reserve.of(64, 176);
  private static final int ROUNDS = 400;
  private static final int CLIENTS = 200;
  private static final int SESSIONS = 6;
  private static final int MOVES = 120;
  private static final int WARM_UP = 40;
  private static final int APART_MILLIS = 120;

  /**
   * From a move, and from an answer that is read, until their handlers and what they changed are
   * done; and from a move until the picture is another one.
   */
  private static final String WATCH =
      """
      window.costs = []
      window.followed = []
      let moved = 0
      const watched = () => {
        const from = performance.now()
        const line = new MessageChannel()
        line.port1.onmessage = () => window.costs.push(performance.now() - from)
        line.port2.postMessage(0)
      }
      window.addEventListener('pointermove', () => {
        moved = performance.now()
        watched()
      }, true)
      const real = Response.prototype.json
      Response.prototype.json = async function () {
        const value = await real.call(this)
        watched()
        return value
      }
      new MutationObserver(() => window.followed.push(performance.now() - moved)).observe(
        document.querySelector('.forecast .line'),
        { attributes: true, attributeFilter: ['d'] },
      )
      """;

  private static final Instant BEGUN = Instant.parse("2030-01-01T09:00:00Z");

  void run() throws IOException, InterruptedException {
    ninetyMinutes();
    errors();
    dragged();
  }

  private static void ninetyMinutes() {
    List<ForecastStep> steps = new ArrayList<>();
    for (int n = 0; n < 18; n++) {
      steps.add(ForecastStep.work(300, BigDecimal.valueOf(35 + 35 * (n % 2)), SPAN));
    }
    double[] times = new double[ROUNDS];
    int sum = 0;
    for (int round = -ROUNDS; round < ROUNDS; round++) {
      long from = System.nanoTime();
      Forecast made =
          Forecast.of(SPAN, Uncertainty.USUAL, Kinetics.usual(true), steps, OptionalDouble.empty());
      sum += made.highBpm()[5_399];
      if (round >= 0) {
        times[round] = (System.nanoTime() - from) / 1e6;
      }
    }
    System.out.println(new Sample("90 min foreseen, with its ribbon", "ms", times).line());
    if (sum == 0) {
      throw new IllegalStateException("nothing was foreseen");
    }
  }

  /** What lies between forecast and record at the end of each kind of step. */
  private static final class Errors {
    private final Map<StepKind, List<Double>> byKind = new EnumMap<>(StepKind.class);
    private final List<Double> within = new ArrayList<>();
    private final List<Double> mean = new ArrayList<>();

    private void add(ForecastReview review) {
      for (StepReview step : review.steps()) {
        byKind
            .computeIfAbsent(step.kind(), kind -> new ArrayList<>())
            .add((double) Math.abs(step.offBpm().orElse(0)));
      }
      within.add((double) review.within());
      mean.add((double) review.meanOffBpm().orElse(0));
    }

    private void print(String name) {
      byKind.forEach((kind, all) -> line(name + ", end of " + kind.displayName(), "bpm", all));
      line(name + ", every second", "bpm", mean);
      line(name + ", in the ribbon", "%", within);
    }

    private static void line(String name, String unit, List<Double> all) {
      System.out.printf(
          Locale.ROOT,
          "%-44s mean %9.1f   %s   (n = %d)%n",
          name,
          all.stream().mapToDouble(Double::doubleValue).average().orElse(0),
          unit,
          all.size());
    }
  }

  /** A heart whose time constants are up to 40 % off the usual ones, and whose span may be off. */
  private record Heart(Reserve reserve, Kinetics kinetics) {
    private static Heart of(Random chance, boolean spanOff) {
      Kinetics usual = Kinetics.usual(false);
      return new Heart(
          spanOff
              ? Reserve.of(
                  64 + (int) Math.round(2 * chance.nextGaussian()),
                  176 + (int) Math.round(Math.max(-25, Math.min(25, 10 * chance.nextGaussian()))))
              : SPAN,
          new Kinetics(
              new TimeConstant((int) (usual.up().seconds() * (0.6 + 0.8 * chance.nextDouble())), 0),
              new TimeConstant(
                  (int) (usual.down().seconds() * (0.6 + 0.8 * chance.nextDouble())), 0)));
    }
  }

  private static void errors() {
    Errors usual = new Errors();
    Errors own = new Errors();
    Errors off = new Errors();
    List<Double> missedUp = new ArrayList<>();
    for (int client = 0; client < CLIENTS; client++) {
      Random chance = new Random(client);
      Heart heart = Heart.of(chance, false);
      List<ForeseenSession> told = new ArrayList<>();
      for (int session = 0; session < SESSIONS; session++) {
        told.add(
            ForeseenSession.of(session(heart, chance.nextLong()), Kinetics.usual(false))
                .orElseThrow());
      }
      LiveSession next = session(heart, chance.nextLong());
      Kinetics learned = Kinetics.of(false, told);
      usual.add(ForecastReview.of(next, Kinetics.usual(false)).orElseThrow());
      own.add(ForecastReview.of(next, learned).orElseThrow());
      missedUp.add(
          100.0
              * Math.abs(learned.up().seconds() - heart.kinetics.up().seconds())
              / heart.kinetics.up().seconds());
      off.add(
          ForecastReview.of(
                  session(Heart.of(new Random(client), true), client), Kinetics.usual(false))
              .orElseThrow());
    }
    usual.print("usual time constants");
    own.print("own, after " + SESSIONS + " sessions");
    off.print("usual, and a span that is off");
    Errors.line("own time constant upward, off by", "%", missedUp);
  }

  /** A session of 47 min with bursts, recorded by a strap with its noise. */
  private static LiveSession session(Heart heart, long seed) {
    Outline outline =
        Outlines.SHIPPED.stream()
            .filter(named -> named.id().equals("three-rungs-bursts"))
            .findFirst()
            .orElseThrow()
            .outline();
    ExertionLimits runner = ExertionLimits.anyone(Optional.of(SPAN), RpeFamily.RATIO);
    Forecast course =
        Forecast.of(
            heart.reserve,
            Uncertainty.USUAL,
            heart.kinetics,
            ForecastStep.of(outline, SPAN, runner),
            OptionalDouble.empty());
    SimulatedBody body = new SimulatedBody(heart.reserve, heart.kinetics, 64);
    SimulatedStrap strap = new SimulatedStrap(seed, Fault.NONE);
    int[] at = new int[course.seconds()];
    int[] bpm = new int[course.seconds()];
    for (Coming step : course.steps()) {
      for (int second = step.fromSecond(); second <= step.toSecond(); second++) {
        body.work(step.step().share());
        at[second - 1] = 1000 * second - 500;
        bpm[second - 1] = strap.next(body).map(HeartRatePacket::bpmInContact).orElseThrow();
      }
    }
    return LiveSession.of(
        LivePlan.madeUp(outline, runner, Set.of(), IntensityGuide.RATE),
        RateSource.STRAP,
        List.of(new LiveEvent.Begun(new UUID(1, 1), BEGUN)),
        new Samples(BEGUN, at, bpm),
        BEGUN.plusSeconds(course.seconds()));
  }

  private static void dragged() throws IOException, InterruptedException {
    int port = KorvelProcess.freePort();
    try (KorvelProcess server =
        KorvelProcess.ready(KorvelProcess.launcher("demo", "--port", "" + port), port)) {
      ChromeDriver driver = HeadlessBrowser.start();
      try {
        driver.manage().timeouts().implicitlyWait(Duration.ofSeconds(20));
        driver.get(server.address() + "/studio/outlines/new?from=three-rungs-bursts");
        driver.findElement(By.cssSelector(".forecast svg"));
        Rectangle edge = driver.findElements(By.cssSelector(".strip .edge.along")).get(2).getRect();
        int x = edge.getX() + edge.getWidth() / 2;
        int y = edge.getY() + edge.getHeight() / 2;
        driver.executeScript(WATCH);
        mouse(driver, "mousePressed", x, y);
        for (int move = 0; move < WARM_UP + MOVES; move++) {
          if (move == WARM_UP) {
            driver.executeScript("window.costs = []; window.followed = []");
          }
          // Half a minute is some ten pixels: each move is another length.
          x += move / 10 % 2 == 0 ? 11 : -11;
          mouse(driver, "mouseMoved", x, y);
          Thread.sleep(APART_MILLIS);
        }
        mouse(driver, "mouseReleased", x, y);
        print(driver, "costs", "dragged: script of a move, or of an answer");
        print(driver, "followed", "dragged: from the move to the new picture");
      } finally {
        driver.quit();
      }
    }
  }

  private static void mouse(ChromeDriver driver, String type, int x, int y) {
    driver.executeCdpCommand(
        "Input.dispatchMouseEvent",
        Map.of("type", type, "x", x, "y", y, "button", "left", "buttons", 1, "clickCount", 1));
  }

  @SuppressWarnings("unchecked")
  private static void print(ChromeDriver driver, String what, String name) {
    List<Number> all = (List<Number>) driver.executeScript("return window." + what);
    System.out.println(
        new Sample(name, "ms", all.stream().mapToDouble(Number::doubleValue).toArray()).line());
  }
}
