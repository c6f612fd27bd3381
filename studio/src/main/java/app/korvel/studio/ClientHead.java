package app.korvel.studio;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MaximumFinding;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.Change;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.JobStep.SavedStatus;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.prescription.PrescriptionValidity;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.ProgrammeFinding;
import app.korvel.core.progress.DueList;
import app.korvel.core.progress.DueList.Due;
import app.korvel.core.progress.DueList.Facts;
import app.korvel.core.progress.DueList.Held;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Screening;
import app.korvel.core.talk.LearnedFinding;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.zone.LearnedRates;
import app.korvel.store.SavedPrescription;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a client's records come to on one day.
 *
 * @param baseline everything a prescription stands on, on foot
 * @param choice of an equation for the maximum, if one was made
 * @param maxima that were measured, in every mode
 * @param usual what is usual for them at rest
 * @param prescription the one that was saved last, if one was
 * @param plannedUntil the last day of the programme, if one is laid out
 * @param weekDue the week of it that is over, where the next one is to be decided
 * @param lastLogged the day of the session that was logged last
 * @param tests the last day of each test, by its name
 * @param testing whether they are in a field test now
 * @param talk what is on record of their talk
 */
public record ClientHead(
    Client client,
    ClientBaseline baseline,
    Optional<Choice> choice,
    List<MeasuredMaximum> maxima,
    Optional<UsualPulse> usual,
    Optional<SavedPrescription> prescription,
    Optional<LocalDate> plannedUntil,
    Optional<Integer> weekDue,
    Optional<LocalDate> lastLogged,
    Map<String, LocalDate> tests,
    boolean testing,
    TalkRecords talk) {

  /** Everything a prescription stands on, in that mode. */
  public ClientBaseline baseline(Mode mode) {
    ClientBaseline ground = ground(mode);
    return talk.accepted()
        ? ground.with(talk.learned(ground).map(LearnedThresholds::rates).orElse(LearnedRates.NONE))
        : ground;
  }

  private ClientBaseline ground(Mode mode) {
    return mode == Mode.RUN ? baseline : baseline(mode, maxima);
  }

  /** What is learned of their talk in that mode; nothing where there is no span. */
  public Optional<LearnedThresholds> learned(Mode mode) {
    return talk.learned(ground(mode));
  }

  /** In the first weeks of someone who began at no or little activity. */
  public boolean newToExercise() {
    return screening().person().activity().ordinal() <= Activity.LITTLE.ordinal()
        && talk.firstWeeks(screening().date());
  }

  /** Everything a prescription would stand on, were those the measured maxima. */
  public ClientBaseline baseline(Mode mode, List<MeasuredMaximum> measured) {
    return ClientBaseline.of(screening(), baseline.resting(), mode, choice, measured);
  }

  /** What the screening comes to. */
  public Screening screening() {
    return baseline.screening();
  }

  /** Where the prescription stands. */
  public Optional<PrescriptionValidity> standing() {
    return prescription.map(
        saved -> PrescriptionValidity.of(saved.prescription(), saved.recordedAt(), screening()));
  }

  /** The prescription that holds. */
  public Optional<SavedPrescription> held() {
    return prescription.filter(saved -> standing().filter(PrescriptionValidity::holds).isPresent());
  }

  /**
   * Why a version of the prescription is to be looked at again: it was made for another birth date,
   * or new values move its target.
   */
  public Optional<Finding> review(SavedPrescription saved) {
    return client
        .birthDateCorrectedAt()
        .filter(at -> at.isAfter(saved.recordedAt()))
        .map(at -> LocalDate.ofInstant(at, screening().zone()))
        .map(on -> PrescriptionFinding.BIRTH_DATE_CORRECTED.of(Days.of(on)))
        .or(
            () ->
                Change.since(saved.prescription(), baseline(saved.prescription().parts().mode()))
                    .flatMap(Change::review))
        .or(() -> eased(saved));
  }

  /** A target at Talk level that goes on past where the client's sentences end. */
  private Optional<Finding> eased(SavedPrescription saved) {
    Prescription made = saved.prescription();
    return made.target()
        .filter(target -> talk.accepted() && made.atTalkLevel())
        .flatMap(
            target ->
                baseline(made.parts().mode())
                    .learned()
                    .easing(target.lowBpm(), target.highBpm())
                    .map(
                        ends ->
                            LearnedFinding.LEARNED_EASES_TARGET.of(ends.bpm(), target.highBpm())));
  }

  /** The prescription and what became of it, in short. */
  public Optional<SavedStatus> status() {
    return prescription.map(
        saved ->
            new SavedStatus(
                saved.version(),
                standing().orElseThrow().state(),
                review(saved).isPresent(),
                plannedUntil,
                weekDue,
                lastLogged));
  }

  /** What has moved since a prescription was made. */
  public Optional<Change> change(Prescription made) {
    return Change.since(made, baseline(made.parts().mode()));
  }

  /**
   * What they carry of a version of the prescription.
   *
   * @throws RefusedException when it is suspended, or a draft
   */
  public Card card(SavedPrescription saved) {
    return Card.of(
        client.details().name(),
        saved.version(),
        saved.prescription(),
        saved.recordedAt(),
        baseline(saved.prescription().parts().mode()),
        client.nextBirthday(screening().date()));
  }

  /** Why no programme follows from the prescription; empty where one does. */
  public List<Finding> notLeading() {
    if (prescription.isEmpty()) {
      return List.of(ProgrammeFinding.NO_PROGRAMME_YET.of());
    }
    PrescriptionValidity standing = standing().orElseThrow();
    return switch (standing.state()) {
      case ISSUED, RATE_SUSPENDED -> List.of();
      case DRAFT -> notLed("a draft", screening().permission().findings());
      case SUSPENDED -> notLed("suspended", standing.findings());
    };
  }

  private static List<Finding> notLed(String state, List<Finding> why) {
    List<Finding> all = new ArrayList<>(List.of(ProgrammeFinding.PROGRAMME_NOT_LED.of(state)));
    all.addAll(why);
    return all;
  }

  /**
   * The prescription that a programme follows from.
   *
   * @throws RefusedException when none does
   */
  public SavedPrescription leading() {
    if (!notLeading().isEmpty()) {
      throw RefusedException.because(notLeading());
    }
    return prescription.orElseThrow();
  }

  /**
   * A target in percent of reserve, with which a new value is compared.
   *
   * @param mode that it is done in
   * @param prescribed whether it is prescribed; otherwise it is where the client would start
   */
  public record Aimed(int lowPercent, int highPercent, Mode mode, boolean prescribed) {}

  /** What is prescribed, in its mode; without a prescription, where they would start. */
  public Aimed aimed() {
    return aimed(prescription.map(saved -> saved.prescription().parts().mode()).orElse(Mode.RUN));
  }

  /** What is prescribed in that mode; else where they would start in it. */
  public Aimed aimed(Mode mode) {
    Optional<Fitt> prescribed =
        prescription
            .map(saved -> saved.prescription().parts())
            .filter(parts -> parts.mode() == mode);
    Goal goal = screening().answers().goal().orElse(Goal.GENERAL_FITNESS);
    Fitt parts =
        prescribed.orElseGet(() -> Start.of(screening(), goal, Optional.empty(), mode).parts());
    return new Aimed(parts.lowPercent(), parts.highPercent(), mode, prescribed.isPresent());
  }

  /** What is due with them, the weightiest first. */
  public List<Due> due() {
    Optional<SavedPrescription> held = held();
    return DueList.of(
        new Facts(
            baseline,
            aboutMaximum(MaximumFinding.MAXIMUM_DUE)
                .or(() -> aboutMaximum(MaximumFinding.MAXIMUM_PROPOSED)),
            tests,
            held.map(
                saved -> new Held(saved.version(), saved.prescription().date(), review(saved))),
            aboutTalk(),
            held.flatMap(saved -> weekDue),
            lastLogged.or(() -> held.map(saved -> saved.prescription().date()))));
  }

  /** What is to be decided about a learned talk rate, in any mode with checks. */
  private Optional<Finding> aboutTalk() {
    return talk.modes().stream()
        .flatMap(mode -> learned(mode).stream())
        .flatMap(learned -> learned.findings().stream())
        .filter(finding -> LearnedFinding.TO_DECIDE.contains(finding.code()))
        .findFirst();
  }

  /** What is said of that kind about their maximum, in any mode that was measured. */
  private Optional<Finding> aboutMaximum(FindingKind kind) {
    return maxima.stream()
        .map(MeasuredMaximum::mode)
        .distinct()
        .sorted()
        .flatMap(mode -> baseline(mode).maximumRecord().findings().stream())
        .filter(finding -> finding.code().equals(kind.code()))
        .findFirst();
  }
}
