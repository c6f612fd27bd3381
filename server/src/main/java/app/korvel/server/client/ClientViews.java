package app.korvel.server.client;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.measure.Finding;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.JobStep;
import app.korvel.core.prescription.PrescriptionValidity;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.store.SavedCheckIn;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHead.Aimed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Clients as they are received and sent. */
public final class ClientViews {
  private ClientViews() {}

  /** What the instructor entered. */
  record DetailsRequest(String name, @Nullable String note, LocalDate birthDate, Sex sex) {

    Client.Details details(LocalDate today) {
      return Client.Details.of(name, note == null ? "" : note, birthDate, sex, today);
    }
  }

  /** A change: the version that was read, and what it becomes. */
  record ChangeRequest(Integer version, DetailsRequest details) {}

  /** Putting away or bringing back: the version that was read. */
  record ArchiveRequest(Integer version, Boolean archived) {}

  /** Erasing: the version that was read, and the name written out to confirm it. */
  record ErasureRequest(Integer version, String name) {}

  record ClientView(
      UUID id,
      int version,
      boolean archived,
      String name,
      String note,
      LocalDate birthDate,
      int age,
      Sex sex) {

    static ClientView of(Client client, LocalDate today) {
      Client.Details details = client.details();
      return new ClientView(
          client.id(),
          client.version(),
          client.archived(),
          details.name(),
          details.note(),
          details.birthDate(),
          client.ageOn(today),
          details.sex());
    }
  }

  /** What to watch with someone, in a few words. */
  public record WatchView(String words, String because) {
    public static List<WatchView> of(Screening screening) {
      return screening.contexts().stream()
          .map(context -> new WatchView(context.words(), context.because()))
          .toList();
    }
  }

  /**
   * The maximum everything starts from.
   *
   * @param method id of its equation, or of the kind it was measured as
   * @param words what it is: the equation, or how it was measured
   */
  public record MaximumInUse(
      String method, String words, Origin origin, int bpm, BigDecimal standardErrorBpm) {
    public static MaximumInUse of(WorkingMaximum maximum) {
      return new MaximumInUse(
          maximum.method(),
          maximum.words(),
          maximum.origin(),
          maximum.bpm(),
          maximum.standardErrorBpm());
    }
  }

  record PrescriptionInUse(int version, PrescriptionValidity standing, LocalDate date) {}

  /**
   * One row of the list.
   *
   * @param ratesUsed whether anything is steered by a rate, as far as is known
   * @param next what is to be done next; null where all is in place
   */
  record ClientRow(
      UUID id,
      String name,
      String note,
      int age,
      List<WatchView> watch,
      @Nullable Integer restingBpm,
      @Nullable Integer maximumBpm,
      boolean ratesUsed,
      List<JobStep> steps,
      @Nullable JobStep next) {
    static ClientRow of(ClientHead head) {
      ClientBaseline baseline = head.baseline();
      List<JobStep> path = JobStep.path(baseline, head.status());
      return new ClientRow(
          head.client().id(),
          head.client().details().name(),
          head.client().details().note(),
          baseline.person().age(),
          WatchView.of(head.screening()),
          baseline.resting().map(WorkingResting::bpm).orElse(null),
          baseline.maximum().map(WorkingMaximum::bpm).orElse(null),
          baseline.noRateBecause().isEmpty(),
          path,
          JobStep.next(path).orElse(null));
    }
  }

  /**
   * Those found.
   *
   * @param total how many there are
   * @param archivedTotal how many are archived
   */
  record ClientList(List<ClientRow> clients, int total, int archivedTotal) {}

  /** Everyone who is not archived, by name. */
  record NameList(List<ClientName> clients) {}

  /** What today's check-in came to. */
  record CheckedToday(Outcome outcome, String words) {
    static CheckedToday of(SavedCheckIn saved) {
      return new CheckedToday(saved.outcome(), saved.words());
    }
  }

  /** What the equations ask about someone, as the screening has it. */
  record EquationFacts(
      Activity activity, boolean betaBlocker, boolean heartCondition, boolean heartFailure) {
    static EquationFacts of(Person person) {
      return new EquationFacts(
          person.activity(),
          person.health().betaBlocker(),
          person.health().heartCondition(),
          person.health().heartFailure());
    }
  }

  /**
   * The header of a client's page.
   *
   * @param checkedToday today's check-in, if there was one
   * @param span from rest to maximum; null where no rate may be used
   * @param aim the target that a new value would move
   * @param next what is to be done next; null where all is in place
   */
  record ClientOverview(
      ClientView client,
      EquationFacts facts,
      @Nullable CheckedToday checkedToday,
      List<WatchView> watch,
      boolean mayIssue,
      boolean vigorous,
      List<Finding> screening,
      @Nullable Integer restingBpm,
      @Nullable MaximumInUse maximum,
      @Nullable SpanView span,
      Aimed aim,
      @Nullable Integer capBpm,
      @Nullable PrescriptionInUse prescription,
      List<JobStep> steps,
      @Nullable JobStep next) {

    static ClientOverview of(ClientHead head, List<SavedCheckIn> latest) {
      ClientBaseline baseline = head.baseline();
      LocalDate today = head.screening().date();
      Aimed aim = head.aimed();
      List<JobStep> path = JobStep.path(baseline, head.status());
      return new ClientOverview(
          ClientView.of(head.client(), today),
          EquationFacts.of(baseline.person()),
          latest.stream()
              .filter(checkIn -> checkIn.on().equals(today))
              .findFirst()
              .map(CheckedToday::of)
              .orElse(null),
          WatchView.of(head.screening()),
          baseline.mayIssue(),
          baseline.permission().vigorous(),
          baseline.permission().findings(),
          baseline.resting().map(WorkingResting::bpm).orElse(null),
          baseline.maximum().map(MaximumInUse::of).orElse(null),
          SpanView.of(head.baseline(aim.mode())),
          aim,
          head.screening().cap().map(Cap::bpm).orElse(null),
          head.prescription()
              .map(
                  saved ->
                      new PrescriptionInUse(
                          saved.version(),
                          head.standing().orElseThrow(),
                          saved.prescription().date()))
              .orElse(null),
          path,
          JobStep.next(path).orElse(null));
    }
  }
}
