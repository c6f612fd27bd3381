package app.korvel.server.calendar;

import app.korvel.core.screening.Client;
import app.korvel.exchange.calendar.CalendarEvent;
import app.korvel.exchange.calendar.CalendarFile;
import app.korvel.server.client.ClientHeads;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.server.programme.ProgrammeDesk.Led;
import app.korvel.server.session.SessionDesk;
import app.korvel.server.studio.StudioClock;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.SavedSession;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Sessions as calendar programs take them. */
@Component
class CalendarFiles {
  /** How much of what is over stays in the calendar of the studio. */
  private static final int DAYS_BACK = 92;

  private final PlannedSessionRepository planned;
  private final ClientHeads heads;
  private final SessionDesk desk;
  private final StudioClock clock;

  CalendarFiles(
      PlannedSessionRepository planned, ClientHeads heads, SessionDesk desk, StudioClock clock) {
    this.planned = planned;
    this.heads = heads;
    this.desk = desk;
    this.clock = clock;
  }

  /** One client's own: with the rates, and without the name. */
  String ofClient(Client client) {
    Led led = new Led(heads.of(List.of(client.id())).get(client.id()));
    List<CalendarEvent> events = new ArrayList<>();
    Described described = new Described();
    planned.of(client.id()).forEach(session -> events.add(event(described, led, session, false)));
    return CalendarFile.write("Training, " + client.details().name(), events, clock.zone());
  }

  /** Several clients', each by name. */
  String ofClients(String name, List<Client> clients) {
    Map<UUID, Led> led = new HashMap<>();
    heads
        .of(clients.stream().map(Client::id).toList())
        .forEach((id, head) -> led.put(id, new Led(head)));
    List<CalendarEvent> events = new ArrayList<>();
    Described described = new Described();
    for (SavedSession session : planned.since(clock.today().minusDays(DAYS_BACK))) {
      if (led.containsKey(session.clientId())) {
        events.add(event(described, led.get(session.clientId()), session, true));
      }
    }
    return CalendarFile.write(name, events, clock.zone());
  }

  /** Sessions that ask for the same are described once. */
  private final class Described {
    private final Map<List<Object>, StepAim> aims = new HashMap<>();

    StepAim aim(Led led, SavedSession session) {
      return aims.computeIfAbsent(
          List.of(session.clientId(), session.mode(), session.range()),
          alike -> desk.aim(led, session.mode(), session.range()));
    }
  }

  private static CalendarEvent event(
      Described described, Led led, SavedSession session, boolean named) {
    boolean rests = !led.why().isEmpty();
    boolean off = session.state() != SavedSession.State.PLANNED;
    String what = session.mode().displayName() + ", " + session.minutes() + " min";
    return new CalendarEvent(
        session.clientId() + "-" + session.number() + "@korvel",
        session.sequence(),
        session.changedAt(),
        session.on(),
        session.at(),
        session.wholeMinutes(),
        (rests && !off ? "Rests: " : "")
            + (named ? led.client().details().name() + ": " : "")
            + what,
        rests
            ? "Not to be done now: ask your instructor."
            : described(described.aim(led, session), session),
        off);
  }

  private static String described(StepAim aim, SavedSession session) {
    List<String> lines = new ArrayList<>();
    lines.add(
        session.minutes()
            + " min of work, "
            + session.wholeMinutes()
            + " min with warm-up and cool-down.");
    if (aim.lowBpm() != null && aim.highBpm() != null) {
      lines.add("Target " + span(List.of(aim.lowBpm(), aim.highBpm())) + " beats a minute.");
    }
    lines.add("Effort " + span(aim.rpe20()) + " of 20; " + aim.voice() + ".");
    lines.add("Stop with pain, dizziness, odd breathlessness or an odd heartbeat.");
    return String.join("\n", lines);
  }

  private static String span(List<Integer> ends) {
    return ends.get(0).equals(ends.get(1)) ? "" + ends.get(0) : ends.get(0) + "–" + ends.get(1);
  }
}
