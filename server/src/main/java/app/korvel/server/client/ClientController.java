package app.korvel.server.client;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Client;
import app.korvel.server.client.ClientViews.ArchiveRequest;
import app.korvel.server.client.ClientViews.ChangeRequest;
import app.korvel.server.client.ClientViews.ClientList;
import app.korvel.server.client.ClientViews.ClientOverview;
import app.korvel.server.client.ClientViews.ClientRow;
import app.korvel.server.client.ClientViews.ClientView;
import app.korvel.server.client.ClientViews.DetailsRequest;
import app.korvel.server.client.ClientViews.ErasureRequest;
import app.korvel.server.client.ClientViews.NameList;
import app.korvel.server.web.Problems;
import app.korvel.store.StaleVersionException;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.client.AddClient;
import app.korvel.studio.client.ArchiveClient;
import app.korvel.studio.client.ChangeClient;
import app.korvel.studio.client.EraseClient;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Clients: the list, adding, changing, and the header of a client's page. */
@RestController
@RequestMapping("/api/clients")
class ClientController {
  private static final int MOST_WORDS = 20;
  private static final int LONGEST_SEARCH = 200;

  private final Studio studio;

  ClientController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping
  ClientList list(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "false") boolean archived) {
    checkSearch(q);
    return new ClientList(
        studio.heads().find(q, archived).stream().map(ClientRow::of).toList(),
        studio.store().clients().count(false),
        studio.store().clients().count(true));
  }

  /** Names alone, to pick from. */
  @GetMapping("/names")
  NameList names() {
    return new NameList(ClientName.of(studio.store().clients().find("", false)));
  }

  private static void checkSearch(String typed) {
    if (typed.length() > LONGEST_SEARCH || typed.strip().split("\\s+").length > MOST_WORDS) {
      throw InvalidValueException.of(
          "q",
          "is too long to search for",
          "up to " + MOST_WORDS + " words and " + LONGEST_SEARCH + " characters");
    }
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  ClientView add(Actor who, @RequestBody DetailsRequest request) {
    return view(new AddClient(studio).by(who, request.details(studio.today())));
  }

  @PutMapping("/{id}")
  ClientView change(Actor who, @PathVariable UUID id, @RequestBody ChangeRequest request) {
    Client.Details details = request.details().details(studio.today());
    return view(new ChangeClient(studio).by(who, id, request.version(), details));
  }

  @PutMapping("/{id}/archived")
  ClientView archive(Actor who, @PathVariable UUID id, @RequestBody ArchiveRequest request) {
    return view(new ArchiveClient(studio).by(who, id, request.version(), request.archived()));
  }

  /** Erased for good, with everything that was recorded; it cannot be undone. */
  @PostMapping("/{id}/erasure")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void erase(Actor who, @PathVariable UUID id, @RequestBody ErasureRequest request) {
    new EraseClient(studio).by(who, id, request.version(), request.name());
  }

  private ClientView view(Client client) {
    return ClientView.of(client, studio.today());
  }

  /** Nothing is lost: the answer carries the record as it is now, the asker still has theirs. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return Problems.stale(stale, view(stale.current(Client.class)));
  }

  @GetMapping("/{id}")
  ClientOverview overview(@PathVariable UUID id) {
    return ClientOverview.of(studio.head(id), studio.store().checkIns().of(id, 1));
  }
}
