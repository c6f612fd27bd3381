package app.korvel.server.sheet;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.ClassChart;
import app.korvel.core.zone.ClassChart.Cell;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.exchange.sheet.ChartSheet;
import app.korvel.exchange.sheet.ChartSheet.Shows;
import app.korvel.exchange.sheet.Paper;
import app.korvel.server.web.Within;
import app.korvel.studio.zone.SchemeCatalog;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Charts and posters as they are asked for. */
final class WallSheetViews {
  private WallSheetViews() {}

  /** A named range, in percent of maximum. */
  record RangeRequest(
      String name, @Within(Limit.PERCENT) BigDecimal low, @Within(Limit.PERCENT) BigDecimal high) {}

  /**
   * A class chart: either bands of a scheme on maximum, or ranges of one's own.
   *
   * @param from youngest age
   * @param to oldest age
   * @param every years from row to row
   * @param method id of an equation by age alone
   * @param scheme id of a scheme on maximum
   * @param bands ids of its bands; all of them where none is named
   * @param windowSeconds how long the class counts, 10 or 15
   */
  record ClassChartRequest(
      @Within(Limit.AGE) Integer from,
      @Within(Limit.AGE) Integer to,
      @Within(Limit.CHART_STEP) Integer every,
      String method,
      Mode mode,
      @Nullable String scheme,
      @Nullable List<String> bands,
      @Nullable List<RangeRequest> ranges,
      Integer windowSeconds,
      Shows shows,
      Paper paper) {
    /** The chart that is asked for. */
    ClassChart chart(SchemeCatalog shelf) {
      if ((scheme == null) == (ranges == null)) {
        throw InvalidValueException.of(
            "scheme",
            scheme == null ? "is missing, and ranges as well" : "stands beside ranges",
            "a zone system on maximum, or ranges of your own");
      }
      Scheme counted =
          ranges == null
              ? shelf.of(scheme)
              : ClassChart.ranges(
                  ranges.stream()
                      .map(range -> new OwnScheme.Row(range.name(), range.low(), range.high()))
                      .toList());
      return ClassChart.of(
          new ClassChart.Ages(from, to, every),
          method,
          mode,
          counted,
          bands == null ? List.of() : bands,
          window(windowSeconds));
    }

    private static CountWindow window(int seconds) {
      return Arrays.stream(CountWindow.values())
          .filter(window -> window.seconds() == seconds)
          .findFirst()
          .orElseThrow(
              () ->
                  InvalidValueException.of(
                      "windowSeconds", seconds + " s is no counting window", "10 or 15 seconds"));
    }
  }

  /** A range as it stands over its columns. */
  record ChartRange(String id, String name, BigDecimal low, BigDecimal high, boolean fromRest) {}

  /**
   * A range at one age.
   *
   * @param lowBpm null where the range begins at rest
   */
  record ChartCell(@Nullable Integer lowBpm, int highBpm, int lowBeats, int highBeats) {
    static ChartCell of(Cell cell) {
      return new ChartCell(
          cell.lowBpm().isPresent() ? cell.lowBpm().getAsInt() : null,
          cell.highBpm(),
          cell.beats().low(),
          cell.beats().high());
    }
  }

  record ChartRow(int age, int maximumBpm, List<ChartCell> cells) {}

  /**
   * The chart worked out.
   *
   * @param figureMillimetres how high its figures are on that paper
   * @param readFromMetres from how far they are read with ease
   * @param pages how many sheets of that paper
   */
  record ChartView(
      BigDecimal maximumStandardErrorBpm,
      int windowSeconds,
      List<ChartRange> ranges,
      List<ChartRow> rows,
      BigDecimal figureMillimetres,
      int readFromMetres,
      int pages) {

    static ChartView of(ClassChart chart, ChartSheet sheet) {
      return new ChartView(
          chart.equation().standardErrorBpm(chart.mode()),
          chart.window().seconds(),
          chart.ranges().stream()
              .map(
                  band ->
                      new ChartRange(
                          band.id(), chart.nameOf(band), band.low(), band.high(), band.fromRest()))
              .toList(),
          chart.rows().stream()
              .map(
                  row ->
                      new ChartRow(
                          row.age(),
                          row.maximumBpm(),
                          row.cells().stream().map(ChartCell::of).toList()))
              .toList(),
          BigDecimal.valueOf(sheet.figureTenths(), 1),
          sheet.readFromMetres(),
          sheet.pages());
    }
  }

  /**
   * The voice poster.
   *
   * @param rpeFamily which 0–10 scale; the studio's where none is named
   */
  record PosterRequest(Paper paper, @Nullable RpeFamily rpeFamily) {}
}
