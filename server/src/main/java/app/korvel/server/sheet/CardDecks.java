package app.korvel.server.sheet;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.screening.Client;
import app.korvel.exchange.sheet.CardSheet;
import app.korvel.exchange.sheet.CardSheet.Look;
import app.korvel.exchange.sheet.Sheet;
import app.korvel.server.sheet.CardSheetViews.CardLine;
import app.korvel.server.sheet.CardSheetViews.CardsRequest;
import app.korvel.server.sheet.CardSheetViews.LeftOut;
import app.korvel.server.sheet.CardSheetViews.SheetOfCards;
import app.korvel.store.SavedPrescription;
import app.korvel.studio.ClientHead;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;

/** The cards of several clients, brought together for a sheet. */
record CardDecks(Studio studio) {

  /** Cards as they are found, and whoever has none. */
  private static final class Deck {
    private final List<Card> cards = new ArrayList<>();
    private final List<CardLine> lines = new ArrayList<>();
    private final List<LeftOut> leftOut = new ArrayList<>();
    private Optional<RefusedException> first = Optional.empty();
  }

  /** Who would be on it and who not. */
  SheetOfCards listed(CardsRequest request) {
    Look look = request.look();
    Deck deck = deck(request);
    int places = look.size().places(look.paper());
    return new SheetOfCards(deck.lines, deck.leftOut, (deck.cards.size() + places - 1) / places);
  }

  /**
   * The sheet.
   *
   * @throws RefusedException when nobody has a card
   */
  Sheet sheet(CardsRequest request) {
    Look look = request.look();
    Deck deck = deck(request);
    if (deck.cards.isEmpty() && deck.first.isPresent()) {
      throw deck.first.get();
    }
    return CardSheet.of(deck.cards, look, studio.today());
  }

  private Deck deck(CardsRequest request) {
    if (request.clients().isEmpty() || request.clients().size() > CardSheet.MOST_CARDS) {
      throw InvalidValueException.of(
          "clients",
          "names " + request.clients().size(),
          "1 to " + CardSheet.MOST_CARDS + " clients");
    }
    Deck deck = new Deck();
    if (request.version() != null) {
      if (request.clients().size() > 1) {
        throw InvalidValueException.of(
            "version", "is one client's, and several are named", "one client, or no version");
      }
      Client client = studio.client(request.clients().get(0));
      SavedPrescription saved =
          studio
              .store()
              .prescriptions()
              .get(client.id(), request.version())
              .orElseThrow(
                  () ->
                      new NotFoundException(
                          "This client has no prescription " + request.version() + "."));
      add(deck, client, () -> studio.head(client.id()).card(saved));
      return deck;
    }
    for (UUID id : request.clients()) {
      ClientHead head = studio.head(id);
      add(deck, head.client(), () -> studio.openHead(id).card(latest(head.prescription())));
    }
    return deck;
  }

  private static SavedPrescription latest(Optional<SavedPrescription> saved) {
    return saved.orElseThrow(
        () -> RefusedException.because(PrescriptionFinding.NO_PRESCRIPTION.of()));
  }

  private void add(Deck deck, Client client, Supplier<Card> made) {
    String name = client.details().name();
    try {
      Card card = made.get();
      deck.cards.add(card);
      deck.lines.add(
          new CardLine(
              client.id(),
              name,
              card.version(),
              card.leads(),
              card.renewal().on(),
              card.renewal().because(),
              card.renewal().due(studio.today()),
              card.ratesSuspended()));
    } catch (RefusedException refused) {
      deck.leftOut.add(new LeftOut(client.id(), name, refused.findings()));
      deck.first = deck.first.or(() -> Optional.of(refused));
    }
  }
}
