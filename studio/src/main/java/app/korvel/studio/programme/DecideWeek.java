package app.korvel.studio.programme;

import app.korvel.core.measure.RefusedException;
import app.korvel.core.outline.Bounds;
import app.korvel.core.programme.Dose;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.Progression.Proposed;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.screening.Scope;
import app.korvel.core.session.SessionFinding;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.store.SavedProgramme;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** Decides what a client's next week is to be: as proposed, otherwise, or the same again. */
public record DecideWeek(Studio studio) {
  /**
   * What was decided. Only where it is changed do the figures count; those left out are as
   * proposed.
   */
  public record Decided(
      WeekDecision.Taken taken,
      String reason,
      Optional<Integer> lowPercent,
      Optional<Integer> highPercent,
      Optional<Integer> minutes,
      Optional<Integer> days) {
    /** As it was proposed. */
    public static Decided asProposed() {
      return new Decided(
          WeekDecision.Taken.ACCEPTED,
          "",
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty());
    }
  }

  /**
   * That week is as decided, and all that come after it are laid out anew.
   *
   * @param read the version of the programme that was read
   * @throws RefusedException when nothing is to be decided of that week, or it may not be gone on
   *     with as things stand
   * @throws app.korvel.store.StaleVersionException when the programme has been changed since
   */
  public SavedProgramme by(Actor who, UUID client, int read, int week, Decided decided) {
    return new ChangeProgramme(studio)
        .by(who, client, read, (head, programme) -> next(head, programme, week, decided));
  }

  private Programme next(ClientHead head, Programme programme, int week, Decided decided) {
    head.leading();
    LocalDate today = studio.today();
    List<SessionLog> logged = studio.store().logs().of(head.client().id());
    if (!WeekReview.due(programme, logged, today).equals(Optional.of(week - 1))) {
      throw RefusedException.because(SessionFinding.NOTHING_TO_DECIDE.of(week));
    }
    Scope scope = head.screening().scope();
    programme
        .outOfBounds(Bounds.of(scope), today)
        .ifPresent(
            finding -> {
              throw RefusedException.because(finding);
            });
    WeekReview review = WeekReview.of(programme, week - 1, logged, scope);
    WeekDecision decision =
        WeekDecision.of(
            week,
            decided.taken,
            review.next().stepped(),
            review.because(),
            decided.reason,
            studio.now());
    Set<Integer> done =
        logged.stream().flatMap(log -> log.number().stream()).collect(Collectors.toSet());
    return programme.replanFrom(
        decision,
        proposed(programme, review, decision, decided, scope),
        WeekReview.minutesDone(programme, week - 1, logged),
        session -> !session.date().isBefore(today) && !done.contains(session.number()),
        today,
        new Programmes(studio).agenda(head),
        studio.store().planned().nextNumber(head.client().id()));
  }

  private static Proposed proposed(
      Programme programme, WeekReview review, WeekDecision decision, Decided decided, Scope scope) {
    Dose usual = review.next().stepped().dose();
    return switch (decided.taken) {
      case ACCEPTED -> review.next();
      case REFUSED -> programme.unchanged(decision.week() - 1, decision.reason());
      case CHANGED ->
          programme.own(
              new Dose(
                  new Percents(
                      decided.lowPercent.orElse(usual.range().low()),
                      decided.highPercent.orElse(usual.range().high())),
                  decided.minutes.orElse(usual.minutes()),
                  decided.days.orElse(usual.days()),
                  usual.type()),
              Bounds.of(scope).ceiling(),
              decision.reason());
    };
  }
}
