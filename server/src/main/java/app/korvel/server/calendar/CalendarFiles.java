package app.korvel.server.calendar;

import app.korvel.exchange.calendar.CalendarEvent;
import app.korvel.exchange.calendar.CalendarFile;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.store.SavedSession;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Sessions as calendar programs take them. */
final class CalendarFiles {
  /** How much of what is over stays in the calendar of the studio. */
  private static final int DAYS_BACK = 92;

  private final Studio studio;

  CalendarFiles(Studio studio) {
    this.studio = studio;
  }

  /** One client's own: with the rates, and without the name. */
  String ofClient(ClientHead head) {
    List<CalendarEvent> events = new ArrayList<>();
    Described described = new Described();
    studio
        .store()
        .planned()
        .of(head.client().id())
        .forEach(session -> events.add(event(described, head, session, false)));
    return CalendarFile.write("Training, " + head.client().details().name(), events, studio.zone());
  }

  /** Several clients', each by name. */
  String ofClients(String name, List<ClientHead> clients) {
    Map<UUID, ClientHead> heads = new HashMap<>();
    clients.forEach(head -> heads.put(head.client().id(), head));
    List<CalendarEvent> events = new ArrayList<>();
    Described described = new Described();
    for (SavedSession session :
        studio.store().planned().since(studio.today().minusDays(DAYS_BACK))) {
      if (heads.containsKey(session.clientId())) {
        events.add(event(described, heads.get(session.clientId()), session, true));
      }
    }
    return CalendarFile.write(name, events, studio.zone());
  }

  /** Sessions that ask for the same are described once. */
  private final class Described {
    private final Map<List<Object>, StepAim> aims = new HashMap<>();

    StepAim aim(ClientHead head, SavedSession session) {
      return aims.computeIfAbsent(
          List.of(session.clientId(), session.mode(), session.range()),
          alike ->
              StepAim.of(new Programmes(studio).runner(head, session.mode()).aim(session.range())));
    }
  }

  private static CalendarEvent event(
      Described described, ClientHead head, SavedSession session, boolean named) {
    boolean rests = !head.notLeading().isEmpty();
    boolean off = session.state() != SavedSession.State.PLANNED;
    String what = session.mode().displayName() + ", " + session.minutes() + " min";
    return new CalendarEvent(
        session.clientId() + "-" + session.number() + "@korvel",
        session.sequence(),
        session.changedAt(),
        session.on(),
        session.at(),
        session.wholeMinutes(),
        (rests && !off ? "On hold: " : "")
            + (named ? head.client().details().name() + ": " : "")
            + what,
        rests ? "On hold: ask your instructor." : described(described.aim(head, session), session),
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
    lines.add("RPE " + span(aim.rpe20()) + " (6–20); " + aim.voice() + ".");
    lines.add("Stop if you have pain, dizziness, unusual breathlessness or an unusual heartbeat.");
    return String.join("\n", lines);
  }

  private static String span(List<Integer> ends) {
    return ends.get(0).equals(ends.get(1)) ? "" + ends.get(0) : ends.get(0) + "–" + ends.get(1);
  }
}
