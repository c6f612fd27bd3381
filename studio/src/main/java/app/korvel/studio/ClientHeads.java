package app.korvel.studio;

import app.korvel.core.screening.Client;
import app.korvel.core.screening.Screening;
import app.korvel.store.ClientRepository;
import app.korvel.store.Database;
import app.korvel.store.Store;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * The heads of clients, each worked out once: it holds for its day, as long as nothing is said
 * about the client, which the client's revision tells.
 */
public class ClientHeads {
  private final Database database;
  private final ClientRepository clients;
  private final Snapshots snapshots;
  private final StudioClock clock;
  private final Map<UUID, Kept> kept = new ConcurrentHashMap<>();

  ClientHeads(Store store, StudioClock clock) {
    this.database = store.database();
    this.clients = store.clients();
    this.snapshots = new Snapshots(store, clock);
    this.clock = clock;
  }

  private record Kept(LocalDate day, int revision, ClientHead head) {}

  /** Those found by what was typed, in the order of their names: see {@link ClientRepository}. */
  public List<ClientHead> find(String typed, boolean archived) {
    return read(() -> clients.find(typed, archived));
  }

  /** Those of these ids, by id. */
  public Map<UUID, ClientHead> of(Collection<UUID> ids) {
    Map<UUID, ClientHead> heads = new HashMap<>();
    read(() -> clients.of(ids)).forEach(head -> heads.put(head.client().id(), head));
    return heads;
  }

  /** Works every head out anew: something that holds for all clients has changed. */
  public void forget() {
    kept.clear();
  }

  /** What the screening of a client comes to today, where nothing else of them is asked for. */
  public Screening screening(Client client) {
    return snapshots.screening(client);
  }

  private List<ClientHead> read(Supplier<List<Client>> asked) {
    return database.inOneRead(
        () -> {
          List<Client> wanted = asked.get();
          LocalDate day = clock.today();
          Map<UUID, Integer> revisions =
              clients.revisions(wanted.stream().map(Client::id).toList());
          Map<UUID, ClientHead> heads = new HashMap<>();
          for (Client client : wanted) {
            Kept known = kept.get(client.id());
            if (known != null
                && known.day.equals(day)
                && known.revision == revisions.get(client.id())) {
              heads.put(client.id(), known.head);
            }
          }
          List<Client> changed =
              wanted.stream().filter(client -> !heads.containsKey(client.id())).toList();
          if (!changed.isEmpty()) {
            for (ClientHead head : snapshots.heads(changed)) {
              UUID id = head.client().id();
              heads.put(id, head);
              // What is being written may be withdrawn, and its revision given again.
              if (!database.inWrite()) {
                kept.put(id, new Kept(day, revisions.get(id), head));
              }
            }
          }
          return wanted.stream().map(client -> heads.get(client.id())).toList();
        });
  }
}
