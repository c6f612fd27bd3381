package app.korvel.exchange.sheet;

import com.openhtmltopdf.extend.impl.FSDefaultCacheStore;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder.CacheStore;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.logging.Level;

/** A sheet as a PDF: its fonts embedded, its text tagged and selectable, its language named. */
public final class SheetPdf {
  private SheetPdf() {}

  /** What fonts measure, worked out once. */
  private static final FSDefaultCacheStore METRICS = new FSDefaultCacheStore();

  static {
    XRLog.listRegisteredLoggers().forEach(name -> XRLog.setLevel(name, Level.SEVERE));
  }

  /** The PDF. */
  public static byte[] of(Sheet sheet) {
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    try {
      builder(sheet).toStream(pdf).run();
    } catch (IOException broken) {
      throw new UncheckedIOException("The PDF could not be written", broken);
    }
    return pdf.toByteArray();
  }

  /**
   * How high parts of a sheet become when they are set, in tenths of a millimetre.
   *
   * @param ids of elements in its body
   */
  static List<Integer> heights(Sheet sheet, List<String> ids) {
    try (PdfBoxRenderer renderer = builder(sheet).buildPdfRenderer()) {
      renderer.layout();
      double dotsInTenth = renderer.getDotsPerPoint() * 72 / 254.0;
      return ids.stream()
          .map(renderer.getSharedContext()::getBoxById)
          .map(box -> (int) Math.ceil(box.getHeight() / dotsInTenth))
          .toList();
    }
  }

  private static PdfRendererBuilder builder(Sheet sheet) {
    PdfRendererBuilder builder = new PdfRendererBuilder();
    String html = sheet.html();
    SheetFonts.forText(html)
        .forEach(
            face ->
                builder.useFont(face::open, face.family(), face.weight(), FontStyle.NORMAL, true));
    builder.useCacheStore(CacheStore.PDF_FONT_METRICS, METRICS);
    builder.usePdfUaAccessibility(true);
    builder.withProducer("Korvel");
    builder.withHtmlContent(html, "/");
    return builder;
  }
}
