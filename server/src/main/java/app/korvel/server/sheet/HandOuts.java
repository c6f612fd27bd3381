package app.korvel.server.sheet;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.programme.ProgrammeFinding;
import app.korvel.exchange.sheet.HandOutSheet;
import app.korvel.exchange.sheet.HandOutSheet.HandOutSession;
import app.korvel.exchange.sheet.HandOutSheet.HandOutWeek;
import app.korvel.exchange.sheet.Paper;
import app.korvel.exchange.sheet.Sheet;
import app.korvel.server.outline.OutlineViews.StepAim;
import app.korvel.server.sheet.HandOutController.HandOutRequest;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SavedSession;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** What a client takes home: the card, and the weeks to come. */
record HandOuts(Studio studio) {

  /**
   * The sheet.
   *
   * @throws RefusedException when nothing leads, or no weeks are laid out
   */
  Sheet of(HandOutRequest request) {
    if (!Paper.FOR_CARDS.contains(request.paper())) {
      throw InvalidValueException.of("paper", "is none for a hand-out", "a4 or letter");
    }
    ClientHead head = studio.openHead(request.clientId());
    Card card = head.card(head.leading());
    SavedProgramme saved =
        studio
            .store()
            .programmes()
            .current(request.clientId())
            .orElseThrow(
                () -> RefusedException.because(ProgrammeFinding.NO_PROGRAMME_LAID_OUT.of()));
    LocalDate today = studio.today();
    if (saved.programme().plan().endsOn().isBefore(today)) {
      throw RefusedException.because(ProgrammeFinding.NO_PROGRAMME_LAID_OUT.of());
    }
    return HandOutSheet.of(
        card, weeks(head, saved, today), studio.settings().ways().family(), request.paper(), today);
  }

  private List<HandOutWeek> weeks(ClientHead head, SavedProgramme saved, LocalDate today) {
    LocalDate first = saved.programme().plan().startsOn();
    int now = today.isBefore(first) ? 1 : saved.programme().plan().weekOf(today);
    int last = Math.min(saved.programme().weeks().size(), now + HandOutSheet.WEEKS - 1);
    List<SavedSession> all = studio.store().planned().of(head.client().id());
    List<HandOutWeek> weeks = new ArrayList<>();
    for (int week = now; week <= last; week++) {
      LocalDate begins = first.plusWeeks(week - 1L);
      var dose = saved.programme().weeks().get(week - 1).dose();
      weeks.add(
          new HandOutWeek(
              week,
              begins,
              dose.range().low()
                  + "–"
                  + dose.range().high()
                  + " % of reserve, "
                  + dose.minutes()
                  + " min of work, "
                  + (dose.days() == 1 ? "once." : dose.days() + " times."),
              all.stream()
                  .filter(session -> session.state() == SavedSession.State.PLANNED)
                  .filter(session -> !session.on().isBefore(begins))
                  .filter(session -> session.on().isBefore(begins.plusWeeks(1)))
                  .filter(session -> !session.on().isBefore(today))
                  .map(session -> session(head, session))
                  .toList()));
    }
    return weeks;
  }

  private HandOutSession session(ClientHead head, SavedSession session) {
    StepAim aim =
        StepAim.of(new Programmes(studio).runner(head, session.mode()).aim(session.range()));
    boolean rates = aim.lowBpm() != null && aim.highBpm() != null;
    String effort =
        (aim.rpe20().get(0) <= 6 ? "up to " : aim.rpe20().get(0) + "–") + aim.rpe20().get(1);
    return new HandOutSession(
        session.on(),
        session.at().map(studio.settings().regional().clock()::text),
        session.mode().displayName() + ", " + session.minutes() + " min",
        rates
            ? aim.lowBpm() + "–" + aim.highBpm() + " bpm, RPE " + effort
            : "RPE " + effort + ", " + aim.name());
  }
}
