package app.korvel.server.sheet;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.CountCard;
import app.korvel.exchange.sheet.CardSheet;
import app.korvel.exchange.sheet.CardSheet.Look;
import app.korvel.exchange.sheet.CardSize;
import app.korvel.exchange.sheet.Paper;
import app.korvel.exchange.sheet.Sheet;
import app.korvel.server.client.ClientHead;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.NotFoundException;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.SavedPrescription;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Cards of one client or of a class, to cut out: what is on them, as a page, and as a PDF. */
@RestController
class CardSheetController {
  private final PrescriptionRepository prescriptions;
  private final ClientRecords records;
  private final StudioClock clock;

  CardSheetController(
      PrescriptionRepository prescriptions, ClientRecords records, StudioClock clock) {
    this.prescriptions = prescriptions;
    this.records = records;
    this.clock = clock;
  }

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
      List<FindingView> ratesSuspended) {}

  /** Someone who has no card today, and why. */
  record LeftOut(UUID clientId, String name, List<FindingView> findings) {}

  /**
   * What would lie on the sheet.
   *
   * @param pages how many sheets of paper
   */
  record SheetOfCards(List<CardLine> cards, List<LeftOut> leftOut, int pages) {}

  /** Cards as they are found, and whoever has none. */
  private static final class Deck {
    private final List<Card> cards = new ArrayList<>();
    private final List<CardLine> lines = new ArrayList<>();
    private final List<LeftOut> leftOut = new ArrayList<>();
    private Optional<RefusedException> first = Optional.empty();
  }

  /** Who would be on it and who not; nothing is made. */
  @PostMapping("/api/sheets/cards")
  SheetOfCards cards(@RequestBody CardsRequest request) {
    Look look = request.look();
    Deck deck = deck(request);
    int places = look.size().places(look.paper());
    return new SheetOfCards(deck.lines, deck.leftOut, (deck.cards.size() + places - 1) / places);
  }

  @PostMapping(value = "/api/sheets/cards/page", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> page(@RequestBody CardsRequest request) {
    return SheetAnswer.page(sheet(request));
  }

  @PostMapping(value = "/api/sheets/cards/pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(@RequestBody CardsRequest request) {
    return SheetAnswer.pdf(sheet(request));
  }

  private Sheet sheet(CardsRequest request) {
    Look look = request.look();
    Deck deck = deck(request);
    if (deck.cards.isEmpty() && deck.first.isPresent()) {
      throw deck.first.get();
    }
    return CardSheet.of(deck.cards, look, clock.today());
  }

  private Deck deck(CardsRequest request) {
    if (request.clients.isEmpty() || request.clients.size() > CardSheet.MOST_CARDS) {
      throw InvalidValueException.of(
          "clients",
          "names " + request.clients.size(),
          "1 to " + CardSheet.MOST_CARDS + " clients");
    }
    Deck deck = new Deck();
    if (request.version != null) {
      if (request.clients.size() > 1) {
        throw InvalidValueException.of(
            "version", "is one client's, and several are named", "one client, or no version");
      }
      Client client = records.client(request.clients.get(0));
      SavedPrescription saved =
          prescriptions
              .get(client.id(), request.version)
              .orElseThrow(
                  () ->
                      new NotFoundException(
                          "This client has no prescription " + request.version + "."));
      add(deck, client, () -> records.card(client, saved));
      return deck;
    }
    for (UUID id : request.clients) {
      ClientHead head = records.head(id);
      add(deck, head.client(), () -> records.card(records.open(id), latest(head.prescription())));
    }
    return deck;
  }

  private static SavedPrescription latest(Optional<SavedPrescription> saved) {
    return saved.orElseThrow(() -> RefusedException.because(FindingKind.NO_PRESCRIPTION.of()));
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
              card.renewal().due(clock.today()),
              FindingView.of(card.ratesSuspended())));
    } catch (RefusedException refused) {
      deck.leftOut.add(new LeftOut(client.id(), name, FindingView.of(refused.findings())));
      deck.first = deck.first.or(() -> Optional.of(refused));
    }
  }
}
