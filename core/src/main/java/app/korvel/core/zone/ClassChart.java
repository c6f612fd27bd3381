package app.korvel.core.zone;

import app.korvel.core.maximum.Equation;
import app.korvel.core.maximum.Equations;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Source;
import app.korvel.core.measure.Texts;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.Scheme.Band;
import app.korvel.core.zone.Scheme.Kind;
import app.korvel.core.zone.Zones.BandRates;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A table for a hall: for every age the estimated maximum, and named ranges on it in bpm and in
 * beats to count. It is for people without a condition or medication that affects the heart rate.
 *
 * @param equation where the maxima come from
 * @param mode what the class does
 * @param scheme what the ranges are of
 * @param ranges those that stand on it, percents of maximum
 * @param window how long the class counts
 * @param rows the youngest first
 */
public record ClassChart(
    Equation equation,
    Mode mode,
    Scheme scheme,
    List<Band> ranges,
    CountWindow window,
    List<Row> rows) {

  /** The windows a class counts in. */
  public static final List<CountWindow> WINDOWS = List.of(CountWindow.S10, CountWindow.S15);

  /**
   * One age.
   *
   * @param age whole years
   * @param maximumBpm estimated
   * @param cells one for each range, in their order
   */
  public record Row(int age, int maximumBpm, List<Cell> cells) {
    public Row {
      cells = List.copyOf(cells);
    }
  }

  /**
   * One range at one age.
   *
   * @param lowBpm lowest rate in it; none where the range begins at rest
   * @param highBpm highest rate in it
   * @param beats the same to count; the lower count is 0 where the range begins at rest
   */
  public record Cell(OptionalInt lowBpm, int highBpm, CountCard.Beats beats) {}

  /**
   * Which ages stand on it.
   *
   * @param from youngest, {@link Limit#AGE}
   * @param to oldest, {@link Limit#AGE}, not under {@code from}; stands on it even where the step
   *     passes over it
   * @param every years from row to row, {@link Limit#CHART_STEP}
   */
  public record Ages(int from, int to, int every) {

    /**
     * Checked.
     *
     * @throws InvalidValueException with every fault at once
     */
    public Ages {
      List<Fault> faults = new ArrayList<>();
      check(faults, "from", from, Limit.AGE);
      check(faults, "to", to, Limit.AGE);
      check(faults, "every", every, Limit.CHART_STEP);
      if (faults.isEmpty() && to < from) {
        faults.add(
            new Fault(
                "to",
                to + " is under the youngest age of " + from,
                from + " to " + Limit.AGE.highest() + " " + Limit.AGE.unit()));
      }
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
    }

    private static void check(List<Fault> faults, String field, int value, Limit limit) {
      if (!limit.accepts(value)) {
        faults.add(new Fault(field, value + " is outside the accepted range", limit.accepted()));
      }
    }

    List<Integer> all() {
      List<Integer> ages =
          new ArrayList<>(
              IntStream.iterate(from, age -> age <= to, age -> age + every).boxed().toList());
      if (ages.get(ages.size() - 1) != to) {
        ages.add(to);
      }
      return ages;
    }
  }

  public ClassChart {
    ranges = List.copyOf(ranges);
    rows = List.copyOf(rows);
  }

  /**
   * Works the table out.
   *
   * @param method id of one of {@link Equations#FOR_A_CLASS}
   * @param scheme on maximum
   * @param bandIds which of its bands; empty for all of them
   * @param window one of {@link #WINDOWS}
   * @throws InvalidValueException when one of them is another, or there are more ranges than {@link
   *     Limit#CHART_RANGES} says
   */
  public static ClassChart of(
      Ages ages,
      String method,
      Mode mode,
      Scheme scheme,
      List<String> bandIds,
      CountWindow window) {
    Equation equation = equation(method);
    if (scheme.basis() != Basis.MAXIMUM) {
      throw InvalidValueException.of(
          "scheme",
          "“" + scheme.name() + "” does not count in percent of maximum",
          "a zone system on maximum, or ranges of your own");
    }
    if (!WINDOWS.contains(window)) {
      throw InvalidValueException.of(
          "windowSeconds", window.seconds() + " is no window of a class chart", "10 or 15 seconds");
    }
    List<String> known = scheme.bands().stream().map(Band::id).toList();
    if (!known.containsAll(bandIds)) {
      throw InvalidValueException.of(
          "bands", "names one that this zone system does not have", String.join(", ", known));
    }
    List<Integer> shown =
        IntStream.range(0, scheme.bands().size())
            .filter(i -> bandIds.isEmpty() || bandIds.contains(scheme.bands().get(i).id()))
            .boxed()
            .toList();
    if (!Limit.CHART_RANGES.accepts(shown.size())) {
      throw InvalidValueException.of(
          "bands", "makes " + shown.size() + " ranges", Limit.CHART_RANGES.accepted());
    }
    return new ClassChart(
        equation,
        mode,
        scheme,
        shown.stream().map(scheme.bands()::get).toList(),
        window,
        ages.all().stream().map(age -> row(age, equation, mode, scheme, shown, window)).toList());
  }

  /** What stands over a range: the name of a zone system that has no other range says more. */
  public String nameOf(Band range) {
    return scheme.bands().size() == 1 && !scheme.own() ? scheme.name() : range.name();
  }

  private static Equation equation(String method) {
    return Equations.FOR_A_CLASS.stream()
        .filter(each -> each.id().equals(method))
        .findFirst()
        .orElseThrow(
            () ->
                InvalidValueException.of(
                    "method",
                    "no equation for a class has this id",
                    Equations.FOR_A_CLASS.stream()
                        .map(Equation::id)
                        .collect(Collectors.joining(", "))));
  }

  /**
   * Ranges of one's own, as a scheme on maximum.
   *
   * @param ranges so many as {@link Limit#CHART_RANGES} says
   * @throws InvalidValueException with every fault at once, each with its place
   */
  public static Scheme ranges(List<OwnScheme.Row> ranges) {
    List<Fault> faults = new ArrayList<>();
    if (!Limit.CHART_RANGES.accepts(ranges.size())) {
      faults.add(
          new Fault("ranges", "has " + ranges.size() + " ranges", Limit.CHART_RANGES.accepted()));
    }
    List<Band> bands = new ArrayList<>();
    for (int i = 0; i < ranges.size(); i++) {
      OwnScheme.Row range = ranges.get(i);
      String place = "ranges[" + i + "].";
      String name = range.name().strip();
      Texts.check(faults, place + "name", name, 1, OwnScheme.BAND_NAME_LENGTH);
      boolean figures =
          checkFigure(faults, place + "low", range.low())
              & checkFigure(faults, place + "high", range.high());
      if (figures && range.high().compareTo(range.low()) < 0) {
        faults.add(
            new Fault(
                place + "high",
                "is under its lower edge of " + range.low().toPlainString(),
                range.low().toPlainString() + " to " + Limit.PERCENT.highest() + " %"));
      }
      bands.add(Band.of("range-" + (i + 1), name, range.low(), range.high()));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new Scheme(
        "own-ranges", "Ranges of your own", Kind.GOALS, Basis.MAXIMUM, bands, "", Source.STUDIO);
  }

  private static boolean checkFigure(List<Fault> faults, String place, BigDecimal percent) {
    if (!Limit.PERCENT.accepts(percent)) {
      faults.add(new Fault(place, "is outside the accepted range", Limit.PERCENT.accepted()));
      return false;
    }
    return true;
  }

  private static Row row(
      int age,
      Equation equation,
      Mode mode,
      Scheme scheme,
      List<Integer> shown,
      CountWindow window) {
    int maximum = equation.bpmByAge(age, mode);
    // Percents of maximum ask for no resting rate: the lowest stands in, under every band.
    Anchors anchors = Anchors.of(Reserve.of(Limit.RESTING.lowest(), maximum));
    Uncertainty sure = Uncertainty.of(equation.standardErrorBpm(mode), BigDecimal.ZERO);
    List<BandRates> bands = Zones.bands(scheme, anchors, sure, OptionalInt.empty());
    return new Row(age, maximum, shown.stream().map(i -> cell(bands.get(i), window)).toList());
  }

  private static Cell cell(BandRates band, CountWindow window) {
    CountCard.Beats beats = band.counts().beats().get(window);
    boolean fromRest = band.band().fromRest();
    return new Cell(
        fromRest ? OptionalInt.empty() : OptionalInt.of(band.lowBpm()),
        band.highBpm(),
        fromRest ? new CountCard.Beats(0, beats.high()) : beats);
  }
}
