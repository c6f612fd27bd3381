package app.korvel.exchange.sheet;

import java.util.List;

/** The papers that sheets are made for: a row each, upright. */
public enum Paper {
  A4(2100, 2970),
  LETTER(2159, 2794),
  A3(2970, 4200),
  TABLOID(2794, 4318);

  /** Those a card is cut from. */
  public static final List<Paper> FOR_CARDS = List.of(A4, LETTER);

  private final int width;
  private final int height;

  Paper(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /** Its size upright, or lying. */
  public Area area(boolean lying) {
    return lying ? new Area(height, width) : new Area(width, height);
  }

  /**
   * A size in tenths of a millimetre.
   *
   * @param width from left to right
   * @param height from top to bottom
   */
  public record Area(int width, int height) {
    /** A length in tenths of a millimetre as a stylesheet writes it, for example {@code 85.6mm}. */
    static String mm(int tenths) {
      return tenths / 10 + (tenths % 10 == 0 ? "" : "." + Math.abs(tenths % 10)) + "mm";
    }

    String cssWidth() {
      return mm(width);
    }

    String cssHeight() {
      return mm(height);
    }
  }
}
