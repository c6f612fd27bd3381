package app.korvel.core.zone;

import app.korvel.core.measure.Formula;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Working;
import app.korvel.core.measure.Working.Line;
import app.korvel.core.zone.Level.RpeSpan;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * A scheme worked out for one span: its bands in bpm, and every rate from rest to maximum read in
 * every language.
 *
 * @param scheme the zone system
 * @param anchors the span, and thresholds where they are known
 * @param cap a clinician's cap, if there is one
 * @param bands in the order of the scheme
 * @param readings one for each bpm from rest to maximum
 */
public record Zones(
    Scheme scheme,
    Anchors anchors,
    OptionalInt cap,
    List<BandRates> bands,
    List<Reading> readings) {

  /** Where a band lies for this client: where it is not within the span, nobody trains in it. */
  public enum Place {
    WITHIN,
    /** It ends under the resting rate. */
    BELOW_RESTING,
    /** It begins over the maximum. */
    ABOVE_MAXIMUM,
    /** The band above it begins at the same whole rate: no rate is left to it. */
    TOO_NARROW
  }

  /**
   * A band in bpm, decided on the whole edges that a person sees.
   *
   * @param band the row of the scheme
   * @param lowBpm lowest rate in it
   * @param highBpm highest rate in it
   * @param lowSigmaBpm how sure the lower edge is, to one decimal
   * @param highSigmaBpm how sure the upper edge is, to one decimal
   * @param allowedHighBpm highest rate in it that the cap allows; none where it lies above the cap
   * @param counts the band as beats to count; where the cap cuts it, up to the cap, rounded down
   * @param level the level that the exact middle of its figures falls into
   * @param guidelineClass the class its middle falls into
   * @param rpe20 effort on 6–20: the zone system's own where it ties one, else that of the level
   * @param place where it lies for this client
   */
  public record BandRates(
      Scheme.Band band,
      int lowBpm,
      int highBpm,
      BigDecimal lowSigmaBpm,
      BigDecimal highSigmaBpm,
      OptionalInt allowedHighBpm,
      CountCard counts,
      Level level,
      GuidelineClass guidelineClass,
      RpeSpan rpe20,
      Place place) {

    /** Effort on a 0–10 scale: that of the levels which its effort on 6–20 goes through. */
    public RpeSpan rpe10(RpeFamily family) {
      return band.rpe20().isEmpty()
          ? level.rpe10(family)
          : Level.atRpe20(rpe20.low()).rpe10(family).to(Level.atRpe20(rpe20.high()).rpe10(family));
    }

    /**
     * Seconds of a recording that lie in it.
     *
     * @param byBpm seconds at each whole rate
     */
    public int seconds(int[] byBpm) {
      int seconds = 0;
      int to = place == Place.TOO_NARROW ? -1 : Math.min(highBpm, byBpm.length - 1);
      for (int bpm = lowBpm; bpm <= to; bpm++) {
        seconds += byBpm[bpm];
      }
      return seconds;
    }

    /** Whether a whole rate lies in it. */
    public boolean holds(int bpm) {
      return place != Place.TOO_NARROW && lowBpm <= bpm && bpm <= highBpm;
    }

    /** Whether it lies under the resting rate altogether. */
    public boolean belowResting() {
      return place == Place.BELOW_RESTING;
    }
  }

  /**
   * One rate in every language.
   *
   * @param bpm the rate
   * @param reservePercent of reserve, to one decimal
   * @param maximumPercent of maximum, to one decimal
   * @param bands ids of the bands that hold it; none below the lowest band or in a gap
   * @param overCap whether it lies above the cap
   * @param level its level of effort
   * @param counts the rate as beats to count
   */
  public record Reading(
      int bpm,
      BigDecimal reservePercent,
      BigDecimal maximumPercent,
      List<String> bands,
      boolean overCap,
      Level level,
      CountCard counts) {}

  public Zones {
    bands = List.copyOf(bands);
    readings = List.copyOf(readings);
  }

  /**
   * Where percents of reserve lie, for the scale under a ruler.
   *
   * @param percent of reserve
   * @param bpm rounded half up
   */
  public record Mark(int percent, int bpm) {}

  private static final BigDecimal TWO = BigDecimal.valueOf(2);

  private static final List<Integer> MARKS = List.of(0, 20, 40, 60, 75, 90, 100);

  /** The span. */
  public Reserve reserve() {
    return anchors.reserve();
  }

  /** The marks of a scale in percent of reserve. */
  public List<Mark> marks() {
    return MARKS.stream().map(percent -> new Mark(percent, reserve().rateAt(percent))).toList();
  }

  /**
   * One band worked out step by step: its edges and how sure they are.
   *
   * @param bandId id of a band of the scheme
   * @throws InvalidValueException when the scheme has no such band
   */
  public static Working longHand(
      Scheme scheme, String bandId, Anchors anchors, Uncertainty uncertainty) {
    Reserve reserve = anchors.reserve();
    int at = scheme.indexOf(bandId);
    Scheme.Band band = scheme.bands().get(at);
    Basis basis = scheme.basis();
    List<Line> lines = new ArrayList<>();
    if (basis == Basis.RESERVE) {
      lines.add(reserve.line());
    }
    if (band.fromRest()) {
      lines.add(
          Line.of(
              scheme.id(),
              "Lower edge: at rest",
              String.valueOf(reserve.restingBpm()),
              BigDecimal.valueOf(reserve.restingBpm()),
              "bpm",
              Working.Finish.EXACT));
    } else {
      lines.addAll(edgeLines(scheme, "Lower edge", band.low(), anchors));
    }
    Optional<Scheme.Band> next = scheme.next(at);
    if (next.isPresent()) {
      lines.addAll(edgeLines(scheme, "Where the next zone begins", next.get().low(), anchors));
      int begins = edge(scheme, next.get().low(), anchors);
      lines.add(
          Line.of(
              scheme.id(),
              "Upper edge",
              begins + " − 1",
              BigDecimal.valueOf(begins - 1L),
              "bpm",
              Working.Finish.EXACT));
    } else if (band.low().compareTo(band.high()) != 0) {
      lines.addAll(basis.lines("Upper edge", band.high(), anchors));
    }
    if (!band.fromRest()) {
      lines.add(
          level(scheme, band.low())
              .flatMap(anchors.ladder()::learnedAt)
              .map(rate -> learnedLine("Error of the lower edge, ±", rate.plusMinusBpm()))
              .orElseGet(
                  () -> basis.sigmaLine("Error of the lower edge, ±", band.low(), uncertainty)));
    }
    return Working.of(lines);
  }

  private static List<Line> edgeLines(
      Scheme scheme, String label, BigDecimal figure, Anchors anchors) {
    int edge = edge(scheme, figure, anchors);
    List<Line> byPercent = scheme.basis().lines(label, figure, anchors);
    if (edge == scheme.basis().rateAt(figure, anchors)) {
      return byPercent;
    }
    List<Line> lines = new ArrayList<>(scheme.basis().lines("By the equation", figure, anchors));
    lines.add(learnedLine(label + ", by talk checks", edge));
    return lines;
  }

  private static Line learnedLine(String label, int bpm) {
    return Line.of(
        Formula.LEARNED_EDGE,
        label,
        String.valueOf(bpm),
        BigDecimal.valueOf(bpm),
        "bpm",
        Working.Finish.EXACT);
  }

  /** Works the scheme out for that span, without a cap. */
  public static Zones of(Scheme scheme, Reserve reserve, Uncertainty uncertainty) {
    return of(scheme, Anchors.of(reserve), uncertainty, OptionalInt.empty());
  }

  /**
   * Works the scheme out for that span.
   *
   * @param cap a clinician's cap, {@link Limit#CAP} and not under the resting rate
   * @throws InvalidValueException when the cap is out of range, or the scheme counts from
   *     thresholds and there are none
   */
  public static Zones of(Scheme scheme, Anchors anchors, Uncertainty uncertainty, OptionalInt cap) {
    List<BandRates> bands = bands(scheme, anchors, uncertainty, cap);
    Reserve reserve = anchors.reserve();
    IntFunction<Level> levels = anchors.ladder().levels();
    List<Reading> readings =
        IntStream.rangeClosed(reserve.restingBpm(), reserve.maximumBpm())
            .mapToObj(bpm -> reading(bpm, bands, reserve, levels, cap))
            .toList();
    return new Zones(scheme, anchors, cap, bands, readings);
  }

  /**
   * The bands of a scheme for that span, in the order of the scheme; see {@link #of(Scheme,
   * Anchors, Uncertainty, OptionalInt)}.
   */
  public static List<BandRates> bands(
      Scheme scheme, Anchors anchors, Uncertainty uncertainty, OptionalInt cap) {
    cap.ifPresent(bpm -> checkCap(bpm, anchors.reserve()));
    return IntStream.range(0, scheme.bands().size())
        .mapToObj(i -> rates(scheme, i, anchors, uncertainty, cap))
        .toList();
  }

  private static void checkCap(int bpm, Reserve reserve) {
    Limit.CAP.check("capBpm", bpm);
    if (bpm < reserve.restingBpm()) {
      throw InvalidValueException.of(
          "capBpm",
          bpm + " is under the resting rate of " + reserve.restingBpm(),
          "a cap of at least the resting rate");
    }
  }

  private static BandRates rates(
      Scheme scheme, int at, Anchors anchors, Uncertainty uncertainty, OptionalInt cap) {
    Reserve reserve = anchors.reserve();
    Basis basis = scheme.basis();
    Scheme.Band band = scheme.bands().get(at);
    int ends =
        scheme
            .next(at)
            .map(above -> edge(scheme, above.low(), anchors) - 1)
            .orElseGet(() -> basis.rateAt(band.high(), anchors));
    // A band that starts at rest may end below it where the zone system counts in percent of
    // maximum.
    int low =
        band.fromRest() ? Math.min(reserve.restingBpm(), ends) : edge(scheme, band.low(), anchors);
    int high = Math.max(low, ends);
    boolean above = cap.isPresent() && cap.getAsInt() < low;
    boolean cut = cap.isPresent() && !above && cap.getAsInt() < high;
    int allowed = cut ? cap.getAsInt() : high;
    BigDecimal lowSigma =
        band.fromRest()
            ? uncertainty.restingBpm()
            : sigma(scheme, band.low(), anchors, uncertainty);
    Level level = level(scheme, band, anchors);
    return new BandRates(
        band,
        low,
        high,
        Rounding.tenths(lowSigma),
        Rounding.tenths(sigma(scheme, band.high(), anchors, uncertainty)),
        above ? OptionalInt.empty() : OptionalInt.of(allowed),
        CountCard.of(low, allowed, above ? OptionalInt.empty() : cap),
        level,
        guidelineClass(scheme, band, anchors),
        band.rpe20().orElse(level.rpe20()),
        place(low, ends, reserve));
  }

  /** Where a band begins; in the default ladder, where the client's own talk says. */
  private static int edge(Scheme scheme, BigDecimal figure, Anchors anchors) {
    return level(scheme, figure)
        .map(anchors.ladder()::from)
        .orElseGet(() -> scheme.basis().rateAt(figure, anchors));
  }

  private static BigDecimal sigma(
      Scheme scheme, BigDecimal figure, Anchors anchors, Uncertainty uncertainty) {
    return level(scheme, figure)
        .flatMap(anchors.ladder()::learnedAt)
        .map(rate -> BigDecimal.valueOf(rate.plusMinusBpm()))
        .orElseGet(() -> scheme.basis().sigma(figure, uncertainty));
  }

  private static Optional<Level> level(Scheme scheme, BigDecimal figure) {
    return scheme.id().equals(Scheme.DEFAULT_ID) ? Ladder.beginningAt(figure) : Optional.empty();
  }

  private static Place place(int lowBpm, int endsBpm, Reserve reserve) {
    if (endsBpm < lowBpm) {
      return Place.TOO_NARROW;
    }
    if (endsBpm < reserve.restingBpm()) {
      return Place.BELOW_RESTING;
    }
    return lowBpm > reserve.maximumBpm() ? Place.ABOVE_MAXIMUM : Place.WITHIN;
  }

  /** The same for everybody where the scheme counts in percent; on an edge, the upper one. */
  private static Level level(Scheme scheme, Scheme.Band band, Anchors anchors) {
    return switch (scheme.basis()) {
      case RESERVE -> Level.atPercent(middle(band));
      case MAXIMUM -> Level.atPercentOfMaximum(middle(band));
      case RESTING, THRESHOLD, MEASURED ->
          Level.atPercent(percentOfReserve(scheme.basis(), band, anchors));
    };
  }

  private static GuidelineClass guidelineClass(Scheme scheme, Scheme.Band band, Anchors anchors) {
    return switch (scheme.basis()) {
      case RESERVE -> GuidelineClass.ofReserve(middle(band));
      case MAXIMUM -> GuidelineClass.ofMaximum(middle(band));
      case RESTING, THRESHOLD, MEASURED ->
          GuidelineClass.ofReserve(percentOfReserve(scheme.basis(), band, anchors));
    };
  }

  private static BigDecimal middle(Scheme.Band band) {
    return band.low().add(band.high()).divide(TWO);
  }

  /** Where the middle of the exact rates lies in someone's span. */
  private static BigDecimal percentOfReserve(Basis basis, Scheme.Band band, Anchors anchors) {
    BigDecimal rate =
        basis.exact(band.low(), anchors).add(basis.exact(band.high(), anchors)).divide(TWO);
    return rate.subtract(BigDecimal.valueOf(anchors.reserve().restingBpm()))
        .movePointRight(2)
        .divide(BigDecimal.valueOf(anchors.reserve().bpm()), MathContext.DECIMAL64);
  }

  /** A rate over the cap is translated as it is: the reading says that it lies over it. */
  private static CountCard counts(int bpm, OptionalInt cap) {
    CountCard plain = CountCard.of(bpm);
    if (cap.isEmpty() || bpm > cap.getAsInt()) {
      return plain;
    }
    CountCard under = CountCard.of(bpm, bpm, cap);
    return under.equals(plain) ? plain : under;
  }

  private static Reading reading(
      int bpm, List<BandRates> bands, Reserve reserve, IntFunction<Level> levels, OptionalInt cap) {
    return new Reading(
        bpm,
        reserve.percentOfReserve(bpm),
        reserve.percentOfMaximum(bpm),
        bands.stream().filter(band -> band.holds(bpm)).map(band -> band.band().id()).toList(),
        cap.isPresent() && bpm > cap.getAsInt(),
        levels.apply(bpm),
        counts(bpm, cap));
  }
}
