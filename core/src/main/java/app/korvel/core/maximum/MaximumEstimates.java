package app.korvel.core.maximum;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.measure.Working;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.ScreeningFinding;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/**
 * The maximum by every equation, side by side, with the default and why it is the default.
 *
 * @param mode what the body does
 * @param estimates every row of {@link Equations#ALL}, whether it applies or not
 * @param recommended the default by rule; none with heart failure
 * @param inUse the one everything else starts from: the instructor's choice where it applies, else
 *     the default
 * @param findings why that one, and what to know
 */
public record MaximumEstimates(
    Mode mode,
    List<Estimate> estimates,
    Optional<Estimate> recommended,
    Optional<Estimate> inUse,
    List<Finding> findings) {

  public MaximumEstimates {
    estimates = List.copyOf(estimates);
    findings = List.copyOf(findings);
  }

  /** Works out every equation; the default is in use. */
  public static MaximumEstimates of(Person person, OptionalInt restingBpm, Mode mode) {
    return of(person, restingBpm, mode, Optional.empty());
  }

  /** Works out every equation, for someone whose medicines have not changed. */
  public static MaximumEstimates of(
      Person person, OptionalInt restingBpm, Mode mode, Optional<Choice> choice) {
    return of(person, restingBpm, mode, choice, Optional.empty());
  }

  /**
   * Works out every equation.
   *
   * @param choice the instructor's own choice; set aside, and said so, while it does not apply
   * @param medicinesChangedOn when medicines that touch the heart rate last changed: what was
   *     chosen before that day is out of date
   * @param restingBpm resting rate, {@link Limit#RESTING}, if one is known
   * @throws app.korvel.core.measure.InvalidValueException when the resting rate is out of range
   */
  public static MaximumEstimates of(
      Person person,
      OptionalInt restingBpm,
      Mode mode,
      Optional<Choice> choice,
      Optional<LocalDate> medicinesChangedOn) {
    restingBpm.ifPresent(bpm -> Limit.RESTING.check("restingBpm", bpm));
    List<Estimate> estimates =
        Equations.ALL.stream()
            .map(equation -> estimate(equation, person, restingBpm, mode))
            .toList();
    List<Finding> findings = new ArrayList<>();
    Optional<String> chosen = chooseDefault(person, estimates, findings);
    if (mode != Mode.RUN) {
      findings.add(
          MaximumFinding.MAXIMUM_OTHER_MODE.of(
              mode.lessBpm() == 0 ? "" : " less " + mode.lessBpm()));
    }
    if (chosen.isPresent() && person.health().betaBlocker()) {
      findings.add(ScreeningFinding.BETA_BLOCKER_STEERING.of());
    } else if (chosen.isPresent() && person.age() < Threshold.FOX_HIGHER_UNDER.whole()) {
      findings.add(MaximumFinding.FOX_HIGH_UNDER_40.of(person.age()));
    } else if (chosen.isPresent()) {
      findings.add(MaximumFinding.FOX_LOW_FROM_40.of(person.age()));
    }
    findings.add(MaximumFinding.MAXIMUM_NOT_FITNESS.of());
    Optional<Estimate> recommended =
        chosen.map(id -> byId(estimates, id)).filter(estimate -> estimate.applies());
    boolean stale =
        choice.isPresent()
            && medicinesChangedOn.filter(choice.get().chosenOn()::isBefore).isPresent();
    Optional<Estimate> picked =
        choice
            .filter(made -> !stale)
            .flatMap(made -> estimates.stream().filter(each -> each.is(made.method())).findFirst());
    choice.ifPresent(
        made ->
            findings.add(
                0,
                stale
                    ? MaximumFinding.MAXIMUM_CHOICE_SET_ASIDE.of(
                        made.method(),
                        "Medication changed on "
                            + Days.of(medicinesChangedOn.get())
                            + ", after it was made.",
                        byRule(recommended))
                    : judge(made, picked, recommended)));
    medicinesChangedOn.ifPresent(
        day -> findings.add(MaximumFinding.MAXIMUM_STALE.of(Days.of(day))));
    return new MaximumEstimates(
        mode,
        estimates,
        recommended,
        picked.filter(Estimate::prescribable).or(() -> recommended),
        findings);
  }

  private static Finding judge(
      Choice choice, Optional<Estimate> picked, Optional<Estimate> recommended) {
    return picked.filter(Estimate::prescribable).isPresent()
        ? MaximumFinding.MAXIMUM_CHOSEN.of(
            picked.get().equation().formula(),
            Days.of(choice.chosenOn()),
            choice.reason(),
            byRule(recommended))
        : MaximumFinding.MAXIMUM_CHOICE_SET_ASIDE.of(
            picked.map(estimate -> estimate.equation().formula()).orElse(choice.method()),
            picked.map(Estimate::reason).orElse("No such equation is in use any more."),
            byRule(recommended));
  }

  private static String byRule(Optional<Estimate> recommended) {
    return recommended.map(estimate -> estimate.equation().formula()).orElse("no equation");
  }

  /**
   * Makes a choice among these, to be kept.
   *
   * @throws InvalidValueException when there is no such equation, it does not apply to this person,
   *     or the reason says nothing
   */
  public Choice choose(String method, String reason, LocalDate today) {
    Estimate picked =
        estimates.stream()
            .filter(estimate -> estimate.is(method))
            .findFirst()
            .orElseThrow(
                () -> InvalidValueException.of("method", "no equation has this id", choices()));
    if (!picked.prescribable()) {
      throw InvalidValueException.of(
          "method", "does not apply to this client. " + picked.reason(), choices());
    }
    return Choice.of(method, reason, today);
  }

  private String choices() {
    String open =
        estimates.stream()
            .filter(Estimate::prescribable)
            .map(estimate -> estimate.equation().id())
            .collect(Collectors.joining(", "));
    return open.isEmpty() ? "none for this client" : open;
  }

  /**
   * One equation worked out step by step.
   *
   * @param restingBpm resting rate, if one is known
   * @throws InvalidValueException when no equation has this id, or it needs a resting rate and
   *     there is none
   */
  public static Working longHand(String method, Person person, OptionalInt restingBpm, Mode mode) {
    restingBpm.ifPresent(bpm -> Limit.RESTING.check("restingBpm", bpm));
    Equation equation =
        Equations.ALL.stream()
            .filter(each -> each.id().equals(method))
            .findFirst()
            .orElseThrow(
                () ->
                    InvalidValueException.of(
                        "method",
                        "no equation has this id",
                        Equations.ALL.stream()
                            .map(Equation::id)
                            .collect(Collectors.joining(", "))));
    if (equation.needsResting() && restingBpm.isEmpty()) {
      throw InvalidValueException.of(
          "restingBpm", "is needed by this equation", Limit.RESTING.accepted());
    }
    return equation.longHand(person.age(), restingBpm.orElse(0), mode);
  }

  /** Whether the instructor's choice is in use, and not the default. */
  public boolean chosen() {
    return findings.stream()
        .anyMatch(finding -> finding.code().equals(MaximumFinding.MAXIMUM_CHOSEN.code()));
  }

  /** What became of the instructor's choice, if one was made. */
  public Optional<Finding> choiceFinding() {
    return findings.stream().filter(MaximumEstimates::aboutChoice).findFirst();
  }

  /** Whether a finding says what became of the instructor's choice. */
  static boolean aboutChoice(Finding finding) {
    return finding.code().equals(MaximumFinding.MAXIMUM_CHOSEN.code())
        || finding.code().equals(MaximumFinding.MAXIMUM_CHOICE_SET_ASIDE.code());
  }

  /** Lowest and highest of the estimates that apply, bpm; empty where none does. */
  public Optional<Spread> spread() {
    List<Integer> applying =
        estimates.stream()
            .filter(Estimate::applies)
            .flatMap(estimate -> estimate.bpm().stream().boxed())
            .sorted()
            .toList();
    return applying.isEmpty()
        ? Optional.empty()
        : Optional.of(new Spread(applying.get(0), applying.get(applying.size() - 1)));
  }

  /**
   * How far the equations that apply lie apart.
   *
   * @param lowestBpm the lowest
   * @param highestBpm the highest
   */
  public record Spread(int lowestBpm, int highestBpm) {}

  private static Estimate estimate(
      Equation equation, Person person, OptionalInt restingBpm, Mode mode) {
    BigDecimal inMode = equation.standardErrorBpm(mode);
    if (equation.needsResting() && restingBpm.isEmpty()) {
      return new Estimate(
          equation,
          OptionalInt.empty(),
          inMode,
          false,
          "Needs a resting pulse, and none is known.");
    }
    int bpm = equation.bpm(person.age(), restingBpm.orElse(0), mode);
    Applicability applicability =
        Limit.MAXIMUM.accepts(bpm)
            ? Applicability.of(equation.requirements(), person, whenItApplies(equation, person))
            : new Applicability(false, "Outside " + Limit.MAXIMUM.accepted() + ".");
    return new Estimate(
        equation, OptionalInt.of(bpm), inMode, applicability.applies(), applicability.reason());
  }

  private static String whenItApplies(Equation equation, Person person) {
    if (equation.forInformationOnly()) {
      return "Shown for information; the numbers come from the cardiac team.";
    }
    return person.under18()
        ? "Derived from adults; a rough guide under 18."
        : "Derived from people like this client, as far as is known.";
  }

  /** The rule of the default; adds why to {@code findings}. */
  private static Optional<String> chooseDefault(
      Person person, List<Estimate> estimates, List<Finding> findings) {
    Person.Health health = person.health();
    if (health.heartFailure()) {
      findings.add(MaximumFinding.NO_DEFAULT_HEART_FAILURE.of());
      return Optional.empty();
    }
    if (health.betaBlocker()) {
      boolean heart = health.heartCondition();
      findings.add(
          (heart ? MaximumFinding.DEFAULT_BETA_BLOCKER_HEART : MaximumFinding.DEFAULT_MINUS_30)
              .of());
      return Optional.of(heart ? Equations.BRAWNER : Equations.MINUS_30);
    }
    if (health.heartCondition() || person.activity().sedentary()) {
      Estimate fox = byId(estimates, Equations.FOX);
      Estimate tanaka = byId(estimates, Equations.TANAKA);
      Estimate lower = fox.bpm().getAsInt() < tanaka.bpm().getAsInt() ? fox : tanaka;
      findings.add(
          MaximumFinding.DEFAULT_LOWER_OF_TWO.of(
              lower.equation().formula(),
              health.heartCondition() ? "With a heart condition" : "Activity level: none"));
      return Optional.of(lower.equation().id());
    }
    findings.add(
        (person.under18() ? MaximumFinding.DEFAULT_UNDER_18 : MaximumFinding.DEFAULT_HEALTHY).of());
    return Optional.of(Equations.TANAKA);
  }

  private static Estimate byId(List<Estimate> estimates, String id) {
    return estimates.stream()
        .filter(estimate -> estimate.equation().id().equals(id))
        .findFirst()
        .orElseThrow();
  }
}
