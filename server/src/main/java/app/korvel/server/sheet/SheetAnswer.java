package app.korvel.server.sheet;

import app.korvel.exchange.sheet.Sheet;
import app.korvel.exchange.sheet.SheetPdf;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A sheet as it is sent: a page to print, or a PDF. */
public final class SheetAnswer {
  private SheetAnswer() {}

  /** Where the fonts of a page lie. */
  static final String FONTS = "/api/sheets/fonts";

  private static final MediaType HTML = new MediaType("text", "html", StandardCharsets.UTF_8);

  static ResponseEntity<String> page(Sheet sheet) {
    return ResponseEntity.ok().contentType(HTML).body(sheet.html(FONTS));
  }

  /** The PDF, to be shown or saved. */
  public static ResponseEntity<byte[]> pdf(Sheet sheet) {
    String name = sheet.title().replaceAll("[^\\p{L}\\p{M}\\p{N}]+", "-") + ".pdf";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.inline().filename(name, StandardCharsets.UTF_8).build().toString())
        .body(SheetPdf.of(sheet));
  }
}
