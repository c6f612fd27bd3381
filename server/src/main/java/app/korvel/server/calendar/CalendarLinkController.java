package app.korvel.server.calendar;

import app.korvel.server.calendar.CalendarViews.BusyCalendarView;
import app.korvel.server.calendar.CalendarViews.CalendarLinks;
import app.korvel.server.calendar.CalendarViews.NewSubscription;
import app.korvel.server.calendar.CalendarViews.RemovedRequest;
import app.korvel.server.calendar.CalendarViews.RevokedRequest;
import app.korvel.server.calendar.CalendarViews.SubscriptionRequest;
import app.korvel.server.calendar.CalendarViews.SubscriptionView;
import app.korvel.store.SubscriptionRepository.Subscription;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.calendar.BusyCalendars;
import app.korvel.studio.calendar.Subscriptions;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Addresses to subscribe to calendars, and calendars that come in for when people are busy. */
@RestController
class CalendarLinkController {

  private final Studio studio;
  private final Tokens tokens;

  CalendarLinkController(Studio studio, Tokens tokens) {
    this.studio = studio;
    this.tokens = tokens;
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
        SubscriptionView.of(made, name(made.clientId())),
        CalendarFileController.FEEDS + token + ".ics");
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
  @PostMapping(value = "/api/calendar/busy", consumes = CalendarFileController.CALENDAR)
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
