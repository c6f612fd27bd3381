package app.korvel.exchange.sheet;

import app.korvel.exchange.sheet.Paper.Area;
import java.util.Map;
import java.util.Optional;

/**
 * How large a card is, and how it lies on a sheet: a row each. The wallet card lies open, both its
 * faces beside each other, and is folded once. On Letter the larger ones are a quarter and a half
 * of the sheet, so that nothing is left over.
 */
public enum CardSize {
  /** 85.6 × 54 mm, folded. */
  WALLET(
      new Area(1712, 540),
      75,
      40,
      Map.of(
          Paper.A4, new Grid(false, 1, 5, new Area(1712, 540)),
          Paper.LETTER, new Grid(false, 1, 4, new Area(1712, 540)))),
  A6(
      new Area(1050, 1480),
      88,
      75,
      Map.of(
          Paper.A4, new Grid(false, 2, 2, new Area(1050, 1485)),
          Paper.LETTER, new Grid(false, 2, 2, new Area(1079, 1397)))),
  A5(
      new Area(1480, 2100),
      118,
      110,
      Map.of(
          Paper.A4, new Grid(true, 2, 1, new Area(1485, 2100)),
          Paper.LETTER, new Grid(true, 2, 1, new Area(1397, 2159))));

  private final Area own;
  private final int tenthsOfPoint;
  private final int padding;
  private final Map<Paper, Grid> grids;

  CardSize(Area own, int tenthsOfPoint, int padding, Map<Paper, Grid> grids) {
    this.own = own;
    this.tenthsOfPoint = tenthsOfPoint;
    this.padding = padding;
    this.grids = grids;
  }

  /**
   * How cards of a size lie on a sheet, edge to edge and in its middle.
   *
   * @param lying whether the sheet lies
   * @param columns beside each other
   * @param rows under each other
   * @param card the size of each
   */
  record Grid(boolean lying, int columns, int rows, Area card) {
    int places() {
      return columns * rows;
    }
  }

  /** On that paper; without one, each card is a page of its own size. */
  Grid on(Optional<Paper> paper) {
    return paper.map(grids::get).orElseGet(() -> new Grid(false, 1, 1, own));
  }

  /** How many lie on a sheet. */
  public int places(Optional<Paper> paper) {
    return on(paper).places();
  }

  /** The size of its text where everything has room, in tenths of a point. */
  int tenthsOfPoint() {
    return tenthsOfPoint;
  }

  /** What stays free at every edge, in tenths of a millimetre. */
  int padding() {
    return padding;
  }
}
