package app.korvel.server.sheet;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.prescription.Card;
import app.korvel.core.zone.CountCard;
import app.korvel.exchange.sheet.CardSheet.Look;
import app.korvel.exchange.sheet.CardSize;
import app.korvel.exchange.sheet.Paper;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Cards to print as they are asked for. */
final class CardSheetViews {
  private CardSheetViews() {}

  /**
   * Whose cards, and how they are to look.
   *
   * @param clients in the order in which they lie on the sheet
   * @param version of one client's prescriptions; without it, everyone's latest
   * @param paper what they are cut from; without it, each is a page of its own size
   * @param windows the counting windows on them, in seconds
   */
  record CardsRequest(
      List<UUID> clients,
      @Nullable Integer version,
      CardSize size,
      @Nullable Paper paper,
      List<Integer> windows) {

    Look look() {
      return new Look(
          size,
          Optional.ofNullable(paper),
          windows.stream()
              .map(
                  seconds ->
                      CountCard.WINDOWS.stream()
                          .filter(window -> window.seconds() == seconds)
                          .findFirst()
                          .orElseThrow(
                              () ->
                                  InvalidValueException.of(
                                      "windows",
                                      seconds + " s is no window of a card",
                                      "6, 10, 15 or 30 seconds")))
              .toList());
    }
  }

  /**
   * A card that lies on the sheet.
   *
   * @param renewDue whether the day has come on which it is to be made anew
   */
  record CardLine(
      UUID clientId,
      String name,
      int version,
      Card.Leads leads,
      LocalDate renewOn,
      String renewBecause,
      boolean renewDue,
      List<Finding> ratesSuspended) {}

  /** Someone who has no card today, and why. */
  record LeftOut(UUID clientId, String name, List<Finding> findings) {}

  /**
   * What would lie on the sheet.
   *
   * @param pages how many sheets of paper
   */
  record SheetOfCards(List<CardLine> cards, List<LeftOut> leftOut, int pages) {}
}
