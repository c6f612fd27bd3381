package app.korvel.exchange.sheet;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;

/**
 * A PDF read back.
 *
 * @param pages the text of each page, its lines joined by single spaces
 * @param glyphs where each character stands
 * @param page the size of the first page, in points
 */
record PdfText(
    List<String> pages,
    List<Glyph> glyphs,
    PDRectangle page,
    String title,
    String language,
    boolean tagged,
    List<String> loose) {

  /**
   * One character; lengths in tenths of a millimetre from the top left.
   *
   * @param page from 1
   */
  record Glyph(int page, String text, double left, double top, double right, double bottom) {}

  static PdfText of(Sheet sheet) {
    try (PDDocument document = Loader.loadPDF(SheetPdf.of(sheet))) {
      List<String> pages = new ArrayList<>();
      List<Glyph> glyphs = new ArrayList<>();
      List<String> loose = new ArrayList<>();
      for (int number = 1; number <= document.getNumberOfPages(); number++) {
        Reader reader = new Reader(number, glyphs);
        reader.setStartPage(number);
        reader.setEndPage(number);
        pages.add(reader.getText(document).replaceAll("\\s+", " ").strip());
        loose.addAll(looseFonts(document.getPage(number - 1)));
      }
      return new PdfText(
          pages,
          glyphs,
          document.getPage(0).getMediaBox(),
          document.getDocumentInformation().getTitle(),
          document.getDocumentCatalog().getLanguage(),
          document.getDocumentCatalog().getMarkInfo().isMarked(),
          loose);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  /** All of it. */
  String text() {
    return String.join(" ", pages);
  }

  /** The first characters of a page that make these words, written without spaces. */
  List<Glyph> find(int page, String words) {
    List<Glyph> there = glyphs.stream().filter(glyph -> glyph.page == page).toList();
    int at = there.stream().map(Glyph::text).collect(Collectors.joining()).indexOf(words);
    return there.subList(at, at + words.length());
  }

  /** Width and height of the first page in whole millimetres. */
  String millimetres() {
    return Math.round(page.getWidth() * 25.4 / 72)
        + " × "
        + Math.round(page.getHeight() * 25.4 / 72);
  }

  private static List<String> looseFonts(PDPage page) throws IOException {
    List<String> loose = new ArrayList<>();
    for (COSName name :
        StreamSupport.stream(page.getResources().getFontNames().spliterator(), false).toList()) {
      PDFont font = page.getResources().getFont(name);
      if (!font.isEmbedded()) {
        loose.add(font.getName());
      }
    }
    return loose;
  }

  /** Reads text in its own order, and remembers where it stands. */
  private static final class Reader extends PDFTextStripper {
    private static final double TENTHS = 254.0 / 72;

    private final int number;
    private final List<Glyph> glyphs;

    private Reader(int number, List<Glyph> glyphs) {
      this.number = number;
      this.glyphs = glyphs;
    }

    @Override
    protected void writeString(String text, List<TextPosition> positions) throws IOException {
      for (TextPosition each : positions) {
        if (!each.getUnicode().isBlank()) {
          glyphs.add(
              new Glyph(
                  number,
                  each.getUnicode(),
                  each.getXDirAdj() * TENTHS,
                  (each.getYDirAdj() - each.getHeightDir()) * TENTHS,
                  (each.getXDirAdj() + each.getWidthDirAdj()) * TENTHS,
                  each.getYDirAdj() * TENTHS));
        }
      }
      super.writeString(text, positions);
    }
  }
}
