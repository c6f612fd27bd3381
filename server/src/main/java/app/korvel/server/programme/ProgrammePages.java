package app.korvel.server.programme;

import app.korvel.core.measure.Finding;
import app.korvel.core.outline.Bounds;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.ProgrammeFinding;
import app.korvel.core.screening.Scope;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.server.programme.ProgrammeViews.PlanView;
import app.korvel.server.programme.ProgrammeViews.ProgrammeSheet;
import app.korvel.server.programme.ProgrammeViews.ProgrammeView;
import app.korvel.server.programme.ProgrammeViews.ReviewView;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SavedProgramme;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.programme.Programmes;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Brings together what a page of a client's programme shows. */
record ProgrammePages(Studio studio) {

  /** All of it. */
  ProgrammeSheet sheet(ClientHead head) {
    UUID client = head.client().id();
    boolean leads = head.notLeading().isEmpty();
    Programmes programmes = new Programmes(studio);
    Optional<SavedProgramme> saved = studio.store().programmes().current(client);
    List<SessionLog> logged = studio.store().logs().of(client);
    Optional<Plan> proposal = leads ? Optional.of(programmes.proposal(head)) : Optional.empty();
    return new ProgrammeSheet(
        head.notLeading(),
        proposal.map(plan -> PlanView.of(plan, head.screening().person())).orElse(null),
        proposal.stream()
            .flatMap(
                plan ->
                    programmes.daysOf(head).stream().filter(day -> !plan.weekdays().contains(day)))
            .sorted()
            .toList(),
        saved.map(each -> view(head, each, logged)).orElse(null),
        saved
            .filter(each -> leads)
            .flatMap(each -> review(head, each.programme(), logged))
            .orElse(null));
  }

  private Optional<ReviewView> review(
      ClientHead head, Programme programme, List<SessionLog> logged) {
    return WeekReview.due(programme, logged, studio.today())
        .map(week -> WeekReview.of(programme, week, logged, head.screening().scope()))
        .map(review -> ReviewView.of(review, programme));
  }

  /** The programme as it was saved. */
  ProgrammeView view(ClientHead head, SavedProgramme saved) {
    return view(head, saved, studio.store().logs().of(head.client().id()));
  }

  private ProgrammeView view(ClientHead head, SavedProgramme saved, List<SessionLog> logged) {
    SavedPrescription current = head.prescription().orElseThrow();
    SavedPrescription from =
        current.id().equals(saved.prescriptionId())
            ? current
            : studio.store().prescriptions().get(saved.prescriptionId()).orElseThrow();
    List<Finding> findings = new ArrayList<>(head.notLeading());
    if (findings.isEmpty() && current.version() != from.version()) {
      findings.add(ProgrammeFinding.PROGRAMME_OF_OLDER.of(from.version(), current.version()));
    }
    saved
        .programme()
        .outOfBounds(Bounds.of(head.screening().scope()), studio.today())
        .ifPresent(findings::add);
    Programmes.standing(head, from).findings().stream()
        .filter(each -> !findings.contains(each))
        .forEach(findings::add);
    return view(head, saved.programme(), saved.version(), from, findings, logged);
  }

  /** What was laid out and is not saved. */
  ProgrammeView view(ClientHead head, Programme programme) {
    List<SessionLog> logged = studio.store().logs().of(head.client().id());
    return view(head, programme, null, head.leading(), List.of(), logged);
  }

  private ProgrammeView view(
      ClientHead head,
      Programme programme,
      @Nullable Integer version,
      SavedPrescription from,
      List<Finding> findings,
      List<SessionLog> logged) {
    Programmes programmes = new Programmes(studio);
    Scope scope = head.screening().scope();
    return ProgrammeView.of(
        programme,
        version,
        from.version(),
        scope.person(),
        mode -> programmes.runner(head, from, mode),
        decision -> WeekReview.changedSince(programme, decision, logged, scope),
        WeekReview.minutesDone(programme, weeksOver(programme), logged),
        programmes.agenda(head),
        findings);
  }

  /** The weeks of a programme that are over. */
  private int weeksOver(Programme programme) {
    long days = ChronoUnit.DAYS.between(programme.plan().startsOn(), studio.today());
    return (int) Math.max(0, Math.min(days / 7, programme.weeks().size()));
  }
}
