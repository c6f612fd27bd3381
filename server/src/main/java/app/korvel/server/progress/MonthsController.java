package app.korvel.server.progress;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.progress.Months;
import app.korvel.exchange.sheet.MonthsSheet;
import app.korvel.exchange.sheet.Paper;
import app.korvel.server.progress.MonthsViews.AllSessions;
import app.korvel.server.progress.MonthsViews.MonthsView;
import app.korvel.server.progress.MonthsViews.SpanOf;
import app.korvel.server.progress.MonthsViews.SpanThen;
import app.korvel.server.sheet.SheetAnswer;
import app.korvel.studio.Studio;
import app.korvel.studio.progress.ClientMonths;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What has come of a client's training month by month. */
@RestController
class MonthsController {
  private final Studio studio;
  private final ClientMonths months;

  MonthsController(Studio studio) {
    this.studio = studio;
    this.months = new ClientMonths(studio);
  }

  @GetMapping("/api/clients/{id}/months")
  MonthsView months(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Integer months,
      @RequestParam(required = false) @Nullable Mode mode) {
    Mode shown = mode(id, mode);
    return MonthsView.of(of(id, months, shown), shown, this.months.modes(id));
  }

  private Months of(UUID id, @Nullable Integer count, Mode mode) {
    return months.of(id, count == null ? Months.USUAL : count, mode);
  }

  private Mode mode(UUID id, @Nullable Mode asked) {
    return asked == null ? studio.head(id).aimed().mode() : asked;
  }

  /** A line a month. */
  @GetMapping(value = "/api/clients/{id}/months.csv", produces = "text/csv")
  ResponseEntity<String> csv(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Integer months,
      @RequestParam(required = false) @Nullable Mode mode) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"months.csv\"")
        .body(MonthsSheet.csv(of(id, months, mode(id, mode))));
  }

  /** A page to hand the client. */
  @GetMapping(value = "/api/clients/{id}/months.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable Integer months,
      @RequestParam(required = false) @Nullable Mode mode,
      @RequestParam(required = false) @Nullable Paper paper) {
    return SheetAnswer.pdf(
        MonthsSheet.of(
            studio.client(id).details().name(),
            of(id, months, mode(id, mode)),
            studio.today(),
            paper == null ? Paper.A4 : paper));
  }

  /** The span as it was on a day. */
  @GetMapping("/api/clients/{id}/span")
  SpanThen span(
      @PathVariable UUID id,
      @RequestParam LocalDate on,
      @RequestParam(required = false) @Nullable Mode mode) {
    if (on.isAfter(studio.today())) {
      throw InvalidValueException.of("on", "lies in the future", "today or a day in the past");
    }
    return SpanThen.of(months.span(id, on, mode(id, mode)));
  }

  /** Every recorded session in one zone system. */
  @GetMapping("/api/clients/{id}/sessions/zones")
  AllSessions sessions(
      @PathVariable UUID id,
      @RequestParam(required = false) @Nullable String scheme,
      @RequestParam(required = false) @Nullable SpanOf span,
      @RequestParam(required = false) @Nullable LocalDate since) {
    return new SessionsByZone(studio)
        .of(
            id,
            Optional.ofNullable(scheme),
            span == null ? SpanOf.OWN : span,
            since == null ? studio.today().minusMonths(Months.USUAL) : since);
  }
}
