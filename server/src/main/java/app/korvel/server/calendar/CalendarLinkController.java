package app.korvel.server.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.server.calendar.CalendarViews.BusyCalendarView;
import app.korvel.server.calendar.CalendarViews.CalendarLinks;
import app.korvel.server.calendar.CalendarViews.NewSubscription;
import app.korvel.server.calendar.CalendarViews.RemovedRequest;
import app.korvel.server.calendar.CalendarViews.RevokedRequest;
import app.korvel.server.calendar.CalendarViews.SubscriptionRequest;
import app.korvel.server.calendar.CalendarViews.SubscriptionView;
import app.korvel.store.SubscriptionRepository.Subscription;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.calendar.BusyCalendars;
import app.korvel.studio.calendar.Subscriptions;
import java.nio.charset.StandardCharsets;
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
  private static final int LARGEST_CLASS = 200;

  private final Studio studio;
  private final CalendarFiles files;
  private final Tokens tokens;

  CalendarLinkController(Studio studio, Tokens tokens) {
    this.studio = studio;
    this.files = new CalendarFiles(studio);
    this.tokens = tokens;
  }

  /** One client's sessions as a file. */
  @GetMapping(value = "/api/clients/{id}/calendar.ics", produces = CALENDAR)
  ResponseEntity<byte[]> ofClient(@PathVariable UUID id) {
    ClientHead head = studio.head(id);
    return file(files.ofClient(head), head.client().details().name());
  }

  /** A class as a file; without anybody named, the whole studio. */
  @GetMapping(value = "/api/calendar.ics", produces = CALENDAR)
  ResponseEntity<byte[]> ofClass(@RequestParam(required = false) @Nullable List<UUID> client) {
    if (client != null && client.size() > LARGEST_CLASS) {
      throw InvalidValueException.of(
          "client", "names " + client.size(), "up to " + LARGEST_CLASS + " clients");
    }
    boolean everyone = client == null || client.isEmpty();
    List<ClientHead> of =
        everyone ? studio.heads().find("", false) : client.stream().map(studio::head).toList();
    String name = everyone ? "Training, everyone" : "Training, a class of " + of.size();
    return file(files.ofClients(name, of), name);
  }

  /** What a calendar program fetches, again and again. */
  @GetMapping(value = FEEDS + "{token}.ics", produces = CALENDAR)
  ResponseEntity<byte[]> feed(@PathVariable String token) {
    Subscription found = new Subscriptions(studio).of(token);
    return file(
        found
            .clientId()
            .map(studio::head)
            .map(files::ofClient)
            .orElseGet(() -> files.ofClients("Training", studio.heads().find("", false))),
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
        studio.store().subscriptions().open().stream()
            .map(each -> SubscriptionView.of(each, name(each.clientId())))
            .toList(),
        studio.store().busy().all().stream()
            .map(each -> BusyCalendarView.of(each, name(each.clientId())))
            .toList());
  }

  private @Nullable String name(Optional<UUID> client) {
    return client.map(studio::client).map(each -> each.details().name()).orElse(null);
  }

  /** Makes an address; it is told here and never again. */
  @PostMapping("/api/calendar/subscriptions")
  @ResponseStatus(HttpStatus.CREATED)
  NewSubscription subscribe(Actor who, @RequestBody SubscriptionRequest request) {
    String token = tokens.next();
    Subscription made =
        new Subscriptions(studio)
            .add(who, Optional.ofNullable(request.clientId()), request.name(), token);
    return new NewSubscription(
        SubscriptionView.of(made, name(made.clientId())), FEEDS + token + ".ics");
  }

  @PutMapping("/api/calendar/subscriptions/{id}/revoked")
  CalendarLinks revoke(Actor who, @PathVariable UUID id, @RequestBody RevokedRequest request) {
    new Subscriptions(studio).revoke(who, id, request.revoked());
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
      Actor who,
      @RequestParam String name,
      @RequestParam(required = false) @Nullable UUID client,
      @RequestBody(required = false) byte @Nullable [] file) {
    new BusyCalendars(studio)
        .read(
            who,
            Optional.ofNullable(client),
            name,
            file == null ? "" : new String(file, StandardCharsets.UTF_8));
    return links();
  }

  @PutMapping("/api/calendar/busy/{id}/removed")
  CalendarLinks remove(Actor who, @PathVariable UUID id, @RequestBody RemovedRequest request) {
    new BusyCalendars(studio).remove(who, id, request.removed());
    return links();
  }
}
