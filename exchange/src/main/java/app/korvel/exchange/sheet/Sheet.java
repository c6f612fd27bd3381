package app.korvel.exchange.sheet;

import app.korvel.exchange.sheet.Paper.Area;

/**
 * Pages to print, before they are a web page or a PDF.
 *
 * @param title what the document is called
 * @param description what it is, in a sentence
 * @param page the size of each page
 * @param body its pages, well-formed XHTML
 */
public record Sheet(String title, String description, Area page, String body) {

  /** As a web page that prints as the PDF looks; {@code fonts} is the address its fonts lie at. */
  public String html(String fonts) {
    return Templates.FRAME.execute(new Frame(this, SheetFonts.faces(fonts)));
  }

  /** As a web page without fonts of its own, for whoever brings them along. */
  String html() {
    return Templates.FRAME.execute(new Frame(this, ""));
  }

  /**
   * What the frame of every document holds.
   *
   * @param faces rules that name the fonts
   */
  private record Frame(Sheet sheet, String faces) {
    String styles() {
      return Templates.STYLES;
    }

    String width() {
      return sheet.page.cssWidth();
    }

    String height() {
      return sheet.page.cssHeight();
    }

    /** A little lower than the page: rounding must not make another one. */
    String room() {
      return Area.mm(sheet.page.height() - 2);
    }
  }
}
