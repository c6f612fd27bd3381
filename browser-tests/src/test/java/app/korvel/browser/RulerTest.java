package app.korvel.browser;

import static org.assertj.core.api.Assertions.assertThat;

import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.core.zone.Zones.BandRates;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.PointerInput;
import org.openqa.selenium.interactions.PointerInput.Kind;
import org.openqa.selenium.interactions.PointerInput.MouseButton;
import org.openqa.selenium.interactions.PointerInput.Origin;
import org.openqa.selenium.interactions.Sequence;

/** The ruler: one component, by mouse, touch and keyboard, at every width, dark and on paper. */
class RulerTest {
  static final List<Scheme> EVERY_SCHEME = Schemes.ALL;
  private static final Offset<Double> NEAR = Offset.offset(0.02);

  private static final String BANDS = "/calculators/bands?rest=64&max=176&scheme=";
  private Desk desk;

  @BeforeEach
  void sit() {
    desk = Desk.get();
  }

  private WebElement ruler() {
    return desk.one("[role=slider]");
  }

  private int at() {
    return Integer.parseInt(ruler().getDomAttribute("aria-valuenow"));
  }

  private Object run(String script) {
    return desk.driver().executeScript(script);
  }

  /** Presses a pointer on the ruler's middle and moves it by so many pixels. */
  private void drag(Kind kind, int by) {
    PointerInput pointer = new PointerInput(kind, kind.toString());
    Sequence drag =
        new Sequence(pointer, 0)
            .addAction(pointer.createPointerMove(Duration.ZERO, Origin.fromElement(ruler()), 0, 0))
            .addAction(pointer.createPointerDown(MouseButton.LEFT.asArg()))
            .addAction(
                pointer.createPointerMove(
                    Duration.ofMillis(50), Origin.fromElement(ruler()), by, 0))
            .addAction(pointer.createPointerUp(MouseButton.LEFT.asArg()));
    desk.driver().perform(List.of(drag));
  }

  @ParameterizedTest
  @CsvSource({"MOUSE", "TOUCH"})
  void theCursorFollowsMouseAndFinger(Kind kind) {
    desk.open(BANDS + "voice-ladder");
    int before = Integer.parseInt(ruler().getDomAttribute("aria-valuenow"));
    drag(kind, 200);
    desk.await(() -> at() > before + 15);
    drag(kind, -200);
    desk.await(() -> at() < before - 15);
  }

  /** The scale, the bands and the cursor lie on one axis, also after the page changes its width. */
  @Test
  void theScaleAgreesWithTheCursorAtEveryWidth() {
    desk.open("/calculators/target?rest=64&max=176&low=50&high=70");
    desk.sees("target 120–142");
    for (int width : new int[] {1280, 390, 1920, 768}) {
      desk.size(width, 844);
      for (int bpm : new int[] {80, 120, 160}) {
        moveTo(bpm);
        desk.await(
            () ->
                (Boolean)
                    desk.driver()
                        .executeScript(
                            """
                            const x = (each) => each.getBoundingClientRect().x
                              + each.getBoundingClientRect().width / 2
                            const tick = [...document.querySelectorAll('.axis text')]
                              .find((each) => each.textContent.trim() === arguments[0])
                            const line = document.querySelector('.cursor line')
                            return Math.abs(x(tick) - x(line)) < 1.5
                            """,
                            "" + bpm));
      }
    }
  }

  private void moveTo(int bpm) {
    ruler().sendKeys(Keys.HOME);
    desk.await(() -> at() == 64);
    while (at() + 10 <= bpm) {
      int before = at();
      ruler().sendKeys(Keys.PAGE_UP);
      desk.await(() -> at() == before + 10);
    }
    while (at() < bpm) {
      int before = at();
      ruler().sendKeys(Keys.ARROW_RIGHT);
      desk.await(() -> at() == before + 1);
    }
  }

  @Test
  void everyKeyMovesIt() {
    desk.open(BANDS + "voice-ladder");
    WebElement ruler = ruler();
    ruler.sendKeys(Keys.END);
    desk.await(() -> at() == 176);
    ruler.sendKeys(Keys.ARROW_RIGHT);
    ruler.sendKeys(Keys.PAGE_DOWN);
    desk.await(() -> at() == 166);
    ruler.sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_LEFT));
    desk.await(() -> at() == 165);
    ruler.sendKeys(Keys.chord(Keys.SHIFT, Keys.ARROW_LEFT));
    desk.await(() -> at() == 148);
    desk.soon(
        () ->
            assertThat(ruler.getDomAttribute("aria-valuetext"))
                .contains("148 beats per minute", "Words", "RPE 16–17 on 6 to 20, 7–8 on 0 to 10")
                .contains("25 beats in 10 seconds, 37 in 15 seconds"));
  }

  /** An edge is drawn over ± its σ: half mixed at the edge, not at all one σ away from it. */
  @Test
  void anEdgeIsAsSoftAsItIsUncertain() {
    desk.open(BANDS + "voice-ladder&maxerror=10&resterror=2");
    desk.sees("4.2");
    desk.soon(
        () ->
            assertThat(colourAt(109))
                .isEqualTo("color-mix(in oklab, var(--band-2) 50%, var(--band-1))"));
    desk.soon(() -> assertThat(colourAt(104)).isEqualTo("var(--band-1)"));
    desk.soon(() -> assertThat(colourAt(114)).isEqualTo("var(--band-2)"));
    // Measured well, it is sharp.
    desk.open(BANDS + "voice-ladder&maxerror=0&resterror=0");
    desk.await(() -> desk.one("tbody").getText().contains("0.0"));
    desk.soon(() -> assertThat(colourAt(108)).isEqualTo("var(--band-1)"));
    desk.soon(() -> assertThat(colourAt(109)).isEqualTo("var(--band-2)"));
  }

  /**
   * For every zone system: each soft edge begins and ends where the core's σ says, to a pixel's
   * part.
   */
  @ParameterizedTest
  @FieldSource("EVERY_SCHEME")
  void theDrawnEdgesAreTheCoresNumbers(Scheme scheme) {
    Reserve reserve = Reserve.of(64, 176);
    Anchors anchors = Anchors.of(reserve, Optional.of(ThresholdRates.of(118, 149)));
    Uncertainty uncertainty = Uncertainty.of(new BigDecimal("4"), new BigDecimal("1.7"));
    desk.open(BANDS + scheme.id() + "&maxerror=4&resterror=1.7&lower=118&upper=149");
    desk.await(() -> desk.texts("tbody tr").size() == scheme.bands().size());
    List<BandRates> bands = Zones.bands(scheme, anchors, uncertainty, OptionalInt.empty());
    for (BandRates band : bands) {
      double low = band.lowBpm() - band.lowSigmaBpm().doubleValue();
      double high = band.highBpm() + band.highSigmaBpm().doubleValue();
      if (scheme.kind() != Scheme.Kind.LADDER) {
        List<List<Object>> stops = stops(band.band().id());
        assertThat(number(stops.get(0).get(0))).as("low edge").isCloseTo(low, NEAR);
        assertThat(number(stops.get(0).get(2))).isZero();
        assertThat(number(stops.get(3).get(0))).as("high edge").isCloseTo(high, NEAR);
        assertThat(number(stops.get(3).get(2))).isZero();
      } else if (band.lowBpm() > reserve.restingBpm()) {
        double sigma = band.lowSigmaBpm().doubleValue();
        List<List<Object>> stops = stops("run");
        assertThat(colour(stops, band.lowBpm() + sigma))
            .isEqualTo("var(--band-" + band.level().number() + ")");
        assertThat(colour(stops, band.lowBpm() - sigma)).doesNotStartWith("color-mix");
        if (!colour(stops, low).equals(colour(stops, band.lowBpm() + sigma))) {
          assertThat(colour(stops, band.lowBpm())).contains(" 50%");
        }
      }
    }
  }

  /** The stops of a piece: rate, colour, opacity. */
  @SuppressWarnings("unchecked")
  private List<List<Object>> stops(String piece) {
    return (List<List<Object>>)
        desk.driver()
            .executeScript(
                """
                const tick = (bpm) =>
                  [...document.querySelectorAll('.axis text:not(.percent)')]
                    .find((each) => each.textContent.trim() === String(bpm)).x.baseVal[0].value
                const perBpm = (tick(160) - tick(80)) / 80
                const bar = document.querySelector(`[data-piece='${arguments[0]}']`)
                const url = bar.getAttribute('fill').slice(5, -1)
                return [...document.getElementById(url).children].map((stop) => [
                  80 + (bar.x.baseVal.value + stop.offset.baseVal * bar.width.baseVal.value
                    - tick(80)) / perBpm,
                  stop.style.stopColor,
                  Number(stop.style.stopOpacity),
                ])
                """,
                piece);
  }

  private static double number(Object value) {
    return ((Number) value).doubleValue();
  }

  private static String colour(List<List<Object>> stops, double bpm) {
    return stops.stream()
        .filter(stop -> Math.abs(number(stop.get(0)) - bpm) < 0.02)
        .findFirst()
        .map(stop -> stop.get(1).toString())
        .orElseThrow(() -> new AssertionError("no stop at " + bpm + " in " + stops));
  }

  private String colourAt(int bpm) {
    double from = cursorAt(64);
    double perBpm = (cursorAt(74) - from) / 10;
    double x = from + (bpm - 64) * perBpm;
    return run("const bar = document.querySelector('[data-piece=run]');"
            + "const share = ("
            + x
            + " - bar.x.baseVal.value) / bar.width.baseVal.value;"
            + "const stops = [...document.querySelectorAll('linearGradient stop')];"
            + "return stops.reduce((a, b) => Math.abs(b.offset.baseVal - share)"
            + " < Math.abs(a.offset.baseVal - share) ? b : a).style.stopColor")
        .toString();
  }

  /** Where the cursor's line stands at that rate. */
  private double cursorAt(int bpm) {
    moveTo(bpm);
    return Double.parseDouble(desk.one(".cursor line").getDomAttribute("x1"));
  }

  @Test
  void aCapIsAHatchedEnd() {
    desk.open(BANDS + "voice-ladder&cap=142");
    desk.sees("capped at 142");
    desk.soon(() -> assertThat(desk.one(".limit rect").getDomAttribute("fill")).contains("hatch"));
    ruler().sendKeys(Keys.END);
    desk.await(() -> ruler().getDomAttribute("aria-valuetext").endsWith("over the cap"));
    desk.size(390, 844);
    desk.sees("capped at 142");
  }

  /** Goals may overlap: each keeps a lane and a name or strokes of its own. */
  @ParameterizedTest
  @CsvSource({
    "voice-ladder",
    "guideline-classes",
    "guideline-classes-max",
    "max-fifths",
    "low-moderate-vigorous",
    "goal-ranges",
    "three-points",
    "fitness-ladder",
    "single-point",
    "school-range",
    "broad-range",
    "rest-plus"
  })
  void everySchemeIsDrawnAtEveryWidth(String scheme) {
    desk.open(BANDS + scheme);
    desk.await(() -> !desk.all("[data-piece]").isEmpty());
    for (int width : new int[] {390, 1280, 1920}) {
      desk.size(width, 844);
      desk.await(
          () ->
              (Boolean)
                  run(
                      "const box = document.querySelector('.ruler').getBoundingClientRect();"
                          + "return [...document.querySelectorAll('[data-piece]')].every((piece) => {"
                          + "const at = piece.getBoundingClientRect();"
                          + "return at.width > 0 && at.left >= box.left - 1"
                          + " && at.right <= box.right + 1 })"));
    }
  }

  @Test
  void onTheWallTheRunGoesTheOtherWay() {
    desk.open("/calculators/bands/wall?rest=64&max=176&scheme=voice-ladder");
    desk.sees("in 15 s");
    assertThat(lightness("--band-5")).isGreaterThan(lightness("--band-1"));
    assertThat(lightness("--paper")).isLessThan(30);
    desk.open(BANDS + "voice-ladder");
    desk.await(() -> !desk.all("[data-piece]").isEmpty());
    assertThat(lightness("--band-5")).isLessThan(lightness("--band-1"));
  }

  private double lightness(String token) {
    String value =
        run("return getComputedStyle(document.querySelector('.ruler')).getPropertyValue('"
                + token
                + "')")
            .toString();
    return Double.parseDouble(value.replaceAll(".*(?:oklch|lab)\\(([0-9.]+)%.*", "$1"));
  }

  @Test
  void onPaperThereIsNoCursor() {
    desk.open(BANDS + "voice-ladder");
    desk.await(() -> !desk.all("[data-piece]").isEmpty());
    print(desk.one("[data-piece=run]"));
    desk.open(BANDS + "voice-ladder&compare=max-fifths");
    desk.await(() -> desk.all("[data-piece=run]").size() == 2);
    print(desk.one("[data-piece=run]"));
  }

  private void print(WebElement run) {
    desk.driver().executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", "print"));
    try {
      assertThat(desk.one(".reading").isDisplayed()).isFalse();
      assertThat(desk.one(".cursor").isDisplayed()).isFalse();
      assertThat(run.isDisplayed()).isTrue();
      assertThat(desk.one(".rail").isDisplayed()).isFalse();
    } finally {
      desk.driver().executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", ""));
    }
  }
}
