package app.korvel.server.today;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.fieldtest.FieldTestFinding;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.progress.DueList;
import app.korvel.core.progress.DueList.Due;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Screening;
import app.korvel.server.today.TodayViews.AlsoDue;
import app.korvel.server.today.TodayViews.Leads;
import app.korvel.server.today.TodayViews.TodayRow;
import app.korvel.server.today.TodayViews.TodayView;
import app.korvel.server.web.Words;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedSession;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Brings together who is to be checked in, who must not train and who is due for what. */
record TodayPage(Studio studio) {
  private static final int DAYS_BACK = 14;

  /** Where what is due is done. */
  private static final Map<DueList.Kind, Leads> LEADS =
      Map.of(
          DueList.Kind.SCREENING, Leads.SCREENING,
          DueList.Kind.TALK, Leads.TALK,
          DueList.Kind.PULSE, Leads.PULSE,
          DueList.Kind.MAXIMUM, Leads.MAXIMUM,
          DueList.Kind.TEST, Leads.FIELD_TEST,
          DueList.Kind.PRESCRIPTION, Leads.PRESCRIPTION,
          DueList.Kind.WEEK, Leads.SESSIONS,
          DueList.Kind.LOG, Leads.SESSIONS);

  TodayView view() {
    LocalDate today = studio.today();
    Map<UUID, SavedCheckIn> checkedIn = studio.store().checkIns().on(today);
    List<TodayRow> pending = new ArrayList<>();
    List<TodayRow> checked = new ArrayList<>();
    List<TodayRow> mustNot = new ArrayList<>();
    List<TodayRow> due = new ArrayList<>();
    List<ClientHead> all = studio.heads().find("", false);
    Set<UUID> inCalendar =
        studio.store().planned().between(today, today).stream()
            .filter(session -> session.state() == SavedSession.State.PLANNED)
            .map(SavedSession::clientId)
            .collect(Collectors.toSet());
    for (ClientHead head : all) {
      Client client = head.client();
      ClientBaseline baseline = head.baseline();
      Screening screening = head.screening();
      Optional<SavedCheckIn> kept = Optional.ofNullable(checkedIn.get(client.id()));
      Optional<Finding> stops = screening.stops().stream().findFirst();
      // One to be counted again is not also to be: they must not train, whatever it comes to.
      kept.filter(saved -> stops.isEmpty() || saved.outcome() != Outcome.COUNT_AGAIN)
          .ifPresent(
              saved -> {
                List<TodayRow> here =
                    switch (saved.outcome()) {
                      case GO, LIGHT_ONLY -> checked;
                      case COUNT_AGAIN -> pending;
                      case NOT_TODAY -> mustNot;
                    };
                here.add(checked(head, saved));
              });
      boolean notToday =
          kept.map(SavedCheckIn::outcome).filter(Outcome.NOT_TODAY::equals).isPresent();
      if (stops.isPresent() && !notToday) {
        mustNot.add(
            row(client, baseline, stops.get().message(), stops.get().because(), Leads.SCREENING));
      } else if (kept.isEmpty() && expected(head, inCalendar.contains(client.id()))) {
        pending.add(row(client, baseline, pending(head), "", Leads.CHECK_IN));
      }
      List<Due> list = head.due();
      if (head.testing()) {
        FindingKind on = FieldTestFinding.FIELD_TEST_RUNNING;
        due.add(
            row(client, baseline, on.of().message(), on.of().because(), Leads.FIELD_TEST, list));
      } else if (!list.isEmpty()) {
        Finding first = list.get(0).finding();
        due.add(
            row(
                client,
                baseline,
                first.message(),
                first.because(),
                LEADS.get(list.get(0).kind()),
                list.subList(1, list.size())));
      }
    }
    Set<UUID> present = all.stream().map(head -> head.client().id()).collect(Collectors.toSet());
    long toLog =
        studio.store().planned().toLog(today.minusDays(DAYS_BACK), today.minusDays(1)).stream()
            .filter(session -> present.contains(session.clientId()))
            .count();
    return new TodayView(today, pending, checked, mustNot, due, (int) toLog, all.size());
  }

  /** Today is one of their days, or a session is laid on it, and something has been issued. */
  private static boolean expected(ClientHead head, boolean inCalendar) {
    Screening screening = head.screening();
    return (inCalendar || screening.answers().days().contains(screening.date().getDayOfWeek()))
        && head.held().isPresent();
  }

  /** What is at hand and what to ask for before a session. */
  private static String pending(ClientHead head) {
    Effects effects = head.screening().effects();
    String usual = head.usual().map(value -> "usual " + value.bpm()).orElse("no usual value yet");
    return Stream.of(
            Stream.of(usual),
            effects.ask().stream().map(measure -> "measure " + Words.of(measure).replace('-', ' ')),
            effects.carry().stream().map(thing -> "carries " + thing))
        .flatMap(words -> words)
        .collect(Collectors.joining(" · "));
  }

  private static TodayRow checked(ClientHead head, SavedCheckIn saved) {
    Client client = head.client();
    boolean goes = saved.outcome() == Outcome.GO || saved.outcome() == Outcome.LIGHT_ONLY;
    String because =
        saved
            .decided()
            .map(own -> "Your decision: " + own.reason())
            .orElse(saved.verdict().findings().get(0).message());
    return new TodayRow(
        client.id(),
        client.details().name(),
        head.baseline().person().age(),
        saved.words(),
        because,
        goes && head.held().isPresent() ? Leads.SESSION : Leads.CHECK_IN,
        saved.outcome(),
        saved.checkIn().pulseBpm(),
        List.of());
  }

  private static TodayRow row(
      Client client, ClientBaseline baseline, String words, String because, Leads leads) {
    return row(client, baseline, words, because, leads, List.of());
  }

  private static TodayRow row(
      Client client,
      ClientBaseline baseline,
      String words,
      String because,
      Leads leads,
      List<Due> also) {
    return new TodayRow(
        client.id(),
        client.details().name(),
        baseline.person().age(),
        words,
        because,
        leads,
        null,
        null,
        also.stream()
            .map(
                due ->
                    new AlsoDue(
                        due.finding().message(), due.finding().because(), LEADS.get(due.kind())))
            .toList());
  }
}
