package app.korvel.server.client;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.JobStep;
import app.korvel.core.prescription.JobStep.SavedStatus;
import app.korvel.core.prescription.Standing;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.server.client.TargetInQuestion.AimView;
import app.korvel.server.web.FindingView;
import app.korvel.store.SavedCheckIn;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
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

  /** A rate that nothing goes above, and where it comes from. */
  public record CapView(int bpm, String because) {
    public static CapView of(Cap cap) {
      return new CapView(cap.bpm(), cap.because());
    }
  }

  /** Whether a saved prescription holds. */
  public record StandingView(Standing.State state, List<FindingView> findings) {
    public static StandingView of(Standing standing) {
      return new StandingView(standing.state(), FindingView.of(standing.findings()));
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

  record StepView(JobStep.Step step, JobStep.State state, String detail) {
    static List<StepView> of(Groundwork ground, Optional<SavedStatus> saved) {
      return JobStep.path(ground, saved).stream()
          .map(step -> new StepView(step.step(), step.state(), step.detail()))
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

  record PrescriptionInUse(int version, StandingView standing, LocalDate date) {}

  /**
   * One row of the list.
   *
   * @param ratesUsed whether anything is steered by a rate, as far as is known
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
      List<StepView> steps) {}

  /**
   * Those found.
   *
   * @param total how many there are
   * @param archivedTotal how many are put away
   */
  record ClientList(List<ClientRow> clients, int total, int archivedTotal) {}

  /** Everyone who is not put away, by name. */
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
   */
  record ClientOverview(
      ClientView client,
      EquationFacts facts,
      @Nullable CheckedToday checkedToday,
      List<WatchView> watch,
      boolean mayIssue,
      boolean vigorous,
      List<FindingView> screening,
      @Nullable Integer restingBpm,
      @Nullable MaximumInUse maximum,
      @Nullable SpanView span,
      AimView aim,
      @Nullable Integer capBpm,
      @Nullable PrescriptionInUse prescription,
      List<StepView> steps) {}
}
