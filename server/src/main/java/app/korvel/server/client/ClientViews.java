package app.korvel.server.client;

import app.korvel.core.maximum.Estimate;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.JobStep;
import app.korvel.core.prescription.JobStep.SavedStatus;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Watch;
import app.korvel.server.web.FindingView;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Clients as they are received and sent. */
final class ClientViews {
  private ClientViews() {}

  /** What the instructor entered. */
  record DetailsRequest(
      String name,
      @Nullable String note,
      LocalDate birthDate,
      Sex sex,
      Activity activity,
      Boolean heartCondition,
      Boolean heartFailure,
      Boolean betaBlocker,
      Boolean guardianConsent) {

    Client.Details details(LocalDate today) {
      return Client.Details.of(
          name,
          note == null ? "" : note,
          birthDate,
          sex,
          activity,
          new Person.Health(heartCondition, heartFailure, betaBlocker),
          guardianConsent,
          today);
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
      Sex sex,
      Activity activity,
      boolean heartCondition,
      boolean heartFailure,
      boolean betaBlocker,
      boolean guardianConsent) {

    static ClientView of(Client client, LocalDate today) {
      Client.Details details = client.details();
      return new ClientView(
          client.id(),
          client.version(),
          client.archived(),
          details.name(),
          details.note(),
          details.birthDate(),
          client.on(today).age(),
          details.sex(),
          details.activity(),
          details.health().heartCondition(),
          details.health().heartFailure(),
          details.health().betaBlocker(),
          details.guardianConsent());
    }
  }

  record WatchView(String words, String because) {
    static List<WatchView> of(Person person) {
      return Watch.of(person).stream()
          .map(watch -> new WatchView(watch.words(), watch.because()))
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

  record MaximumInUse(String method, String formula, int bpm, BigDecimal standardErrorBpm) {
    static MaximumInUse of(Estimate estimate) {
      return new MaximumInUse(
          estimate.equation().id(),
          estimate.equation().formula(),
          estimate.bpm().orElseThrow(),
          estimate.standardErrorBpm());
    }
  }

  record PrescriptionInUse(int version, Prescription.Status status, LocalDate date) {}

  /** One row of the list. */
  record ClientRow(
      UUID id,
      String name,
      String note,
      int age,
      List<WatchView> watch,
      @Nullable Integer restingBpm,
      @Nullable Integer maximumBpm,
      List<StepView> steps) {}

  /**
   * Those found.
   *
   * @param total how many there are
   * @param archivedTotal how many are put away
   */
  record ClientList(List<ClientRow> clients, int total, int archivedTotal) {}

  /** The header of a client's page. */
  record ClientOverview(
      ClientView client,
      List<WatchView> watch,
      boolean mayIssue,
      boolean vigorous,
      List<FindingView> screening,
      @Nullable Integer restingBpm,
      @Nullable MaximumInUse maximum,
      @Nullable PrescriptionInUse prescription,
      List<StepView> steps) {}
}
