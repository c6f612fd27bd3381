package app.korvel.server.calendar;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.store.SubscriptionRepository.Subscription;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.calendar.Subscriptions;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Calendars as files, and what is fetched by those who have subscribed. */
@RestController
class CalendarFileController {
  static final String CALENDAR = "text/calendar";
  static final String FEEDS = "/api/calendar/feeds/";
  private static final int LARGEST_CLASS = 200;

  private final Studio studio;
  private final CalendarFiles files;

  CalendarFileController(Studio studio) {
    this.studio = studio;
    this.files = new CalendarFiles(studio);
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
}
