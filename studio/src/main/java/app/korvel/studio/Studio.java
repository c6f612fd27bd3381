package app.korvel.studio;

import app.korvel.core.measure.RefusedException;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.ScreeningFinding;
import app.korvel.store.Database.Task;
import app.korvel.store.Ids;
import app.korvel.store.Store;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;

/**
 * What every task stands on: the records, what they come to today, the studio's time, and one unit
 * of work.
 */
public final class Studio {
  private final Store store;
  private final StudioClock clock;
  private final StudioSettings settings;
  private final ClientHeads heads;
  private final Ids ids;

  /**
   * The studio of those records.
   *
   * @param machine what time it is
   */
  public Studio(Store store, Clock machine) {
    this(store, new StudioClock(machine, store.studio()), Optional.empty());
  }

  /**
   * The same with ids from elsewhere.
   *
   * @param machine what time it is
   */
  public Studio(Store store, Clock machine, Ids ids) {
    this(store, new StudioClock(machine, store.studio()), Optional.of(ids));
  }

  private Studio(Store store, StudioClock clock, Optional<Ids> ids) {
    this.store = store;
    this.clock = clock;
    this.settings = new StudioSettings(store.studio());
    this.heads = new ClientHeads(store, clock);
    this.ids = ids.orElseGet(() -> Ids.timeOrdered(clock::now));
  }

  /** What is on record. */
  public Store store() {
    return store;
  }

  /** What time it is where the studio is. */
  public StudioClock clock() {
    return clock;
  }

  /** What the studio has chosen for everyone. */
  public StudioSettings settings() {
    return settings;
  }

  /** What clients' records come to today. */
  public ClientHeads heads() {
    return heads;
  }

  /** The studio's time. */
  public Instant now() {
    return clock.now();
  }

  /** The studio's day. */
  public LocalDate today() {
    return clock.today();
  }

  /** In which the studio's days are counted. */
  public ZoneId zone() {
    return clock.zone();
  }

  /** An id for a new record. */
  public UUID nextId() {
    return ids.next();
  }

  /** What a record that is made now is given. */
  public Stamp stamp() {
    return new Stamp(nextId(), now(), zone());
  }

  /**
   * A unit of work: what it reads stays so until what it writes is written, and all of that is
   * written in the name of who acts or, where it throws, nothing.
   */
  public <T, E extends Exception> T write(Actor who, Task<T, E> work) throws E {
    return store.database().inOneWrite(who.name(), work);
  }

  /** Reads as everything stands at one moment, whatever is written meanwhile. */
  public <T> T read(Supplier<T> work) {
    return store.database().inOneRead(work);
  }

  /**
   * The client.
   *
   * @throws NotFoundException when there is none of that id
   */
  public Client client(UUID id) {
    return store.clients().get(id).orElseThrow(() -> unknown(id));
  }

  /**
   * The client, to add something to.
   *
   * @throws NotFoundException when there is none of that id
   * @throws RefusedException when the client is archived
   */
  public Client open(UUID id) {
    Client client = client(id);
    if (client.archived()) {
      throw RefusedException.because(ScreeningFinding.CLIENT_ARCHIVED.of());
    }
    return client;
  }

  /**
   * What a client's records come to today.
   *
   * @throws NotFoundException when there is none of that id
   */
  public ClientHead head(UUID id) {
    return Optional.ofNullable(heads.of(List.of(id)).get(id)).orElseThrow(() -> unknown(id));
  }

  /**
   * The same of a client to add something to.
   *
   * @throws NotFoundException when there is none of that id
   * @throws RefusedException when the client is archived
   */
  public ClientHead openHead(UUID id) {
    open(id);
    return head(id);
  }

  private static NotFoundException unknown(UUID id) {
    return NotFoundException.of("No client has the id %s.", id);
  }
}
