package app.korvel.server.sheet;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.zone.ClassChart;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.exchange.sheet.ChartSheet;
import app.korvel.exchange.sheet.PosterSheet;
import app.korvel.exchange.sheet.Sheet;
import app.korvel.exchange.sheet.SheetFonts;
import app.korvel.server.sheet.WallSheetViews.ChartCell;
import app.korvel.server.sheet.WallSheetViews.ChartRange;
import app.korvel.server.sheet.WallSheetViews.ChartRow;
import app.korvel.server.sheet.WallSheetViews.ChartView;
import app.korvel.server.sheet.WallSheetViews.ClassChartRequest;
import app.korvel.server.sheet.WallSheetViews.PosterRequest;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeShelf;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What hangs on a wall, for everyone: the class chart and the voice poster. Nothing is stored. */
@RestController
class WallSheetController {
  private final Studio studio;

  WallSheetController(Studio studio) {
    this.studio = studio;
  }

  @PostMapping("/api/calculator/chart")
  ChartView chart(@RequestBody ClassChartRequest request) {
    ClassChart chart = workOut(request);
    ChartSheet sheet = ChartSheet.of(chart, request.paper(), request.shows());
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

  @PostMapping(value = "/api/sheets/chart/page", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> chartPage(@RequestBody ClassChartRequest request) {
    return SheetAnswer.page(sheet(request));
  }

  @PostMapping(value = "/api/sheets/chart/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> chartPdf(@RequestBody ClassChartRequest request) {
    return SheetAnswer.pdf(sheet(request));
  }

  private Sheet sheet(ClassChartRequest request) {
    return ChartSheet.of(workOut(request), request.paper(), request.shows()).sheet();
  }

  private ClassChart workOut(ClassChartRequest request) {
    if ((request.scheme() == null) == (request.ranges() == null)) {
      throw InvalidValueException.of(
          "scheme",
          request.scheme() == null ? "is missing, and ranges as well" : "stands beside ranges",
          "a scheme on maximum, or ranges of your own");
    }
    Scheme scheme =
        request.ranges() == null
            ? new SchemeShelf(studio).of(request.scheme())
            : ClassChart.ranges(
                request.ranges().stream()
                    .map(range -> new OwnScheme.Row(range.name(), range.low(), range.high()))
                    .toList());
    return ClassChart.of(
        new ClassChart.Ages(request.from(), request.to(), request.every()),
        request.method(),
        request.mode(),
        scheme,
        request.bands() == null ? List.of() : request.bands(),
        window(request.windowSeconds()));
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

  @PostMapping(value = "/api/sheets/poster/page", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> posterPage(@RequestBody PosterRequest request) {
    return SheetAnswer.page(sheet(request));
  }

  @PostMapping(value = "/api/sheets/poster/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> posterPdf(@RequestBody PosterRequest request) {
    return SheetAnswer.pdf(sheet(request));
  }

  private Sheet sheet(PosterRequest request) {
    RpeFamily family =
        request.rpeFamily() == null ? studio.settings().ways().family() : request.rpeFamily();
    return PosterSheet.of(family, request.paper());
  }

  /** The fonts of a page. */
  @GetMapping(value = SheetAnswer.FONTS + "/{file}", produces = "font/ttf")
  ResponseEntity<byte[]> font(@PathVariable String file) {
    SheetFonts.Face face =
        SheetFonts.of(file).orElseThrow(() -> new NotFoundException("There is no font " + file));
    try (InputStream content = face.open()) {
      return ResponseEntity.ok()
          .contentType(new MediaType("font", "ttf"))
          .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePublic())
          .body(content.readAllBytes());
    } catch (IOException broken) {
      throw new UncheckedIOException("A font that ships with it cannot be read", broken);
    }
  }
}
