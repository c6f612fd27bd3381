package app.korvel.server.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Texts;
import app.korvel.core.programme.Busy;
import app.korvel.core.screening.Client;
import app.korvel.exchange.calendar.CalendarFile;
import app.korvel.server.calendar.CalendarViews.BusyCalendarView;
import app.korvel.server.calendar.CalendarViews.CalendarLinks;
import app.korvel.server.calendar.CalendarViews.NewSubscription;
import app.korvel.server.calendar.CalendarViews.RemovedRequest;
import app.korvel.server.calendar.CalendarViews.RevokedRequest;
import app.korvel.server.calendar.CalendarViews.SubscriptionRequest;
import app.korvel.server.calendar.CalendarViews.SubscriptionView;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.BusyRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.Database;
import app.korvel.store.Ids;
import app.korvel.store.SubscriptionRepository;
import app.korvel.store.SubscriptionRepository.Subscription;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Calendars out, as files and as addresses to subscribe to; and in, for when people are busy. */
@RestController
class CalendarLinkController {
  private static final String CALENDAR = "text/calendar";
  private static final String FEEDS = "/api/calendar/feeds/";
  private static final int NAME_LENGTH = 60;
  private static final int LARGEST_CLASS = 200;

  /** Busy times are kept this far back, for what is looked at again. */
  private static final int WEEKS_BACK = 4;

  /** And this far ahead: a programme of 26 weeks that begins in half a year. */
  private static final int WEEKS_AHEAD = 52;

  private final CalendarFiles files;
  private final SubscriptionRepository subscriptions;
  private final BusyRepository busy;
  private final ClientRepository clients;
  private final ClientRecords records;
  private final Database database;
  private final Tokens tokens;
  private final StudioClock clock;
  private final Ids ids;

  CalendarLinkController(
      CalendarFiles files,
      SubscriptionRepository subscriptions,
      BusyRepository busy,
      ClientRepository clients,
      ClientRecords records,
      Database database,
      Tokens tokens,
      StudioClock clock,
      Ids ids) {
    this.files = files;
    this.subscriptions = subscriptions;
    this.busy = busy;
    this.clients = clients;
    this.records = records;
    this.database = database;
    this.tokens = tokens;
    this.clock = clock;
    this.ids = ids;
  }

  /** One client's sessions as a file. */
  @GetMapping(value = "/api/clients/{id}/calendar.ics", produces = CALENDAR)
  ResponseEntity<byte[]> ofClient(@PathVariable UUID id) {
    Client client = records.client(id);
    return file(files.ofClient(client), client.details().name());
  }

  /** A class as a file; without anybody named, the whole studio. */
  @GetMapping(value = "/api/calendar.ics", produces = CALENDAR)
  ResponseEntity<byte[]> ofClass(@RequestParam(required = false) @Nullable List<UUID> client) {
    if (client != null && client.size() > LARGEST_CLASS) {
      throw InvalidValueException.of(
          "client", "names " + client.size(), "up to " + LARGEST_CLASS + " clients");
    }
    boolean everyone = client == null || client.isEmpty();
    List<Client> of =
        everyone ? clients.find("", false) : client.stream().map(records::client).toList();
    String name = everyone ? "Training, everyone" : "Training, a class of " + of.size();
    return file(files.ofClients(name, of), name);
  }

  /** What a calendar program fetches, again and again. */
  @GetMapping(value = FEEDS + "{token}.ics", produces = CALENDAR)
  ResponseEntity<byte[]> feed(@PathVariable String token) {
    Subscription found =
        subscriptions
            .byDigest(digest(token))
            .orElseThrow(() -> new NotFoundException("No calendar is at this address."));
    return file(
        found
            .clientId()
            .map(records::client)
            .map(files::ofClient)
            .orElseGet(() -> files.ofClients("Training", clients.find("", false))),
        found.name());
  }

  private static ResponseEntity<byte[]> file(String calendar, String name) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noStore())
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(
                    name.replaceAll("[^\\p{L}\\p{M}\\p{N}]+", "-") + ".ics", StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(calendar.getBytes(StandardCharsets.UTF_8));
  }

  @GetMapping("/api/calendar/links")
  CalendarLinks links() {
    return new CalendarLinks(
        subscriptions.open().stream()
            .map(each -> SubscriptionView.of(each, name(each.clientId())))
            .toList(),
        busy.all().stream().map(each -> BusyCalendarView.of(each, name(each.clientId()))).toList());
  }

  private @Nullable String name(Optional<UUID> client) {
    return client.map(records::client).map(each -> each.details().name()).orElse(null);
  }

  /** Makes an address; it is told here and never again. */
  @OneWrite
  @PostMapping("/api/calendar/subscriptions")
  @ResponseStatus(HttpStatus.CREATED)
  NewSubscription subscribe(@RequestBody SubscriptionRequest request) {
    String name = checked("name", request.name());
    Optional<UUID> client = Optional.ofNullable(request.clientId());
    client.ifPresent(records::open);
    String token = tokens.next();
    Subscription made = new Subscription(ids.next(), client, name, clock.now(), Optional.empty());
    subscriptions.add(made, digest(token));
    return new NewSubscription(SubscriptionView.of(made, name(client)), FEEDS + token + ".ics");
  }

  /** From now on nothing is at that address; or it is again. */
  @OneWrite
  @PutMapping("/api/calendar/subscriptions/{id}/revoked")
  CalendarLinks revoke(@PathVariable UUID id, @RequestBody RevokedRequest request) {
    if (!subscriptions.revoke(id, request.revoked(), clock.now())) {
      throw new NotFoundException("There is no subscription " + id + ".");
    }
    return links();
  }

  /**
   * Reads when somebody is busy, in the place of a calendar of the same name.
   *
   * @param client whose; null for the studio's own, which holds for everyone
   */
  @PostMapping(value = "/api/calendar/busy", consumes = CALENDAR)
  @ResponseStatus(HttpStatus.CREATED)
  CalendarLinks read(
      @RequestParam String name,
      @RequestParam(required = false) @Nullable UUID client,
      @RequestBody(required = false) byte @Nullable [] file) {
    String known = checked("name", name);
    Optional<UUID> of = Optional.ofNullable(client);
    of.ifPresent(records::open);
    LocalDate today = clock.today();
    // A long one is read before anybody else has to wait for the writing of it.
    List<Busy> times =
        CalendarFile.read(
            file == null ? "" : new String(file, StandardCharsets.UTF_8),
            clock.zone(),
            today.minusWeeks(WEEKS_BACK),
            today.plusWeeks(WEEKS_AHEAD));
    return database.inOneWrite(
        () -> {
          of.ifPresent(records::open);
          busy.put(ids.next(), of, known, times, clock.now());
          return links();
        });
  }

  /** Its times count no more; or they do again. */
  @OneWrite
  @PutMapping("/api/calendar/busy/{id}/removed")
  CalendarLinks remove(@PathVariable UUID id, @RequestBody RemovedRequest request) {
    if (!busy.remove(id, request.removed(), clock.now())) {
      throw new NotFoundException("No calendar that was read has the id " + id + ".");
    }
    return links();
  }

  private static String checked(String field, String name) {
    return Texts.checked(field, name, 1, NAME_LENGTH);
  }

  private static String digest(String token) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException missing) {
      throw new IllegalStateException("Every Java has SHA-256", missing);
    }
  }
}
