package app.korvel.server.sheet;

import app.korvel.server.sheet.CardSheetViews.CardsRequest;
import app.korvel.server.sheet.CardSheetViews.SheetOfCards;
import app.korvel.studio.Studio;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Cards of one client or of a class, to cut out: what is on them, as a page, and as a PDF. */
@RestController
class CardSheetController {
  private final Studio studio;

  CardSheetController(Studio studio) {
    this.studio = studio;
  }

  /** Who would be on it and who not; nothing is made. */
  @PostMapping("/api/sheets/cards")
  SheetOfCards cards(@RequestBody CardsRequest request) {
    return new CardDecks(studio).listed(request);
  }

  @PostMapping(value = "/api/sheets/cards/page", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> page(@RequestBody CardsRequest request) {
    return SheetAnswer.page(new CardDecks(studio).sheet(request));
  }

  @PostMapping(value = "/api/sheets/cards/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(@RequestBody CardsRequest request) {
    return SheetAnswer.pdf(new CardDecks(studio).sheet(request));
  }
}
