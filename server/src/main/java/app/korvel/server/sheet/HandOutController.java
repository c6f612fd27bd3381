package app.korvel.server.sheet;

import app.korvel.exchange.sheet.Paper;
import app.korvel.studio.Studio;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a client takes home for the next four weeks: as a page, and as a PDF. */
@RestController
class HandOutController {
  private final Studio studio;

  HandOutController(Studio studio) {
    this.studio = studio;
  }

  record HandOutRequest(UUID clientId, Paper paper) {}

  @PostMapping(value = "/api/sheets/hand-out/page", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> page(@RequestBody HandOutRequest request) {
    return SheetAnswer.page(new HandOuts(studio).of(request));
  }

  @PostMapping(value = "/api/sheets/hand-out/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(@RequestBody HandOutRequest request) {
    return SheetAnswer.pdf(new HandOuts(studio).of(request));
  }
}
