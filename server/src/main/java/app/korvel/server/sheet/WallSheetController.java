package app.korvel.server.sheet;

import app.korvel.core.zone.ClassChart;
import app.korvel.core.zone.RpeFamily;
import app.korvel.exchange.sheet.ChartSheet;
import app.korvel.exchange.sheet.PosterSheet;
import app.korvel.exchange.sheet.Sheet;
import app.korvel.exchange.sheet.SheetFonts;
import app.korvel.server.sheet.WallSheetViews.ChartView;
import app.korvel.server.sheet.WallSheetViews.ClassChartRequest;
import app.korvel.server.sheet.WallSheetViews.PosterRequest;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.SchemeCatalog;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * What depends on a wall, for everyone: the class chart and the voice poster. Nothing is stored.
 */
@RestController
class WallSheetController {
  private final Studio studio;

  WallSheetController(Studio studio) {
    this.studio = studio;
  }

  @PostMapping("/api/calculator/chart")
  ChartView chart(@RequestBody ClassChartRequest request) {
    ClassChart chart = request.chart(new SchemeCatalog(studio));
    return ChartView.of(chart, ChartSheet.of(chart, request.paper(), request.shows()));
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
    return ChartSheet.of(request.chart(new SchemeCatalog(studio)), request.paper(), request.shows())
        .sheet();
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
