package app.korvel.core.maximum;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.screening.Person;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The maximum by every equation, side by side, with the default and why it is the default.
 *
 * @param mode what the body does
 * @param estimates every row of {@link Equations#ALL}, whether it applies or not
 * @param recommended the default by rule; none with heart failure
 * @param findings why that one, and what to know
 */
public record MaximumEstimates(
    Mode mode, List<Estimate> estimates, Optional<Estimate> recommended, List<Finding> findings) {

  public MaximumEstimates {
    estimates = List.copyOf(estimates);
    findings = List.copyOf(findings);
  }

  /**
   * Works out every equation.
   *
   * @param restingBpm resting rate, {@link Limit#RESTING}, if one is known
   * @throws app.korvel.core.measure.InvalidValueException when the resting rate is out of range
   */
  public static MaximumEstimates of(Person person, OptionalInt restingBpm, Mode mode) {
    restingBpm.ifPresent(bpm -> Limit.RESTING.check("restingBpm", bpm));
    List<Estimate> estimates =
        Equations.ALL.stream()
            .map(equation -> estimate(equation, person, restingBpm, mode))
            .toList();
    List<Finding> findings = new ArrayList<>();
    Optional<String> chosen = chooseDefault(person, estimates, findings);
    if (mode != Mode.RUN) {
      findings.add(
          FindingKind.MAXIMUM_OTHER_MODE.of(
              mode.offsetBpm() == 0 ? "" : " less " + -mode.offsetBpm()));
    }
    if (chosen.isPresent() && person.health().betaBlocker()) {
      findings.add(FindingKind.BETA_BLOCKER_STEERING.of());
    } else if (chosen.isPresent() && person.age() < 40) {
      findings.add(FindingKind.FOX_HIGH_UNDER_40.of(person.age()));
    }
    findings.add(FindingKind.MAXIMUM_NOT_FITNESS.of());
    Optional<Estimate> recommended =
        chosen.map(id -> byId(estimates, id)).filter(estimate -> estimate.applies());
    return new MaximumEstimates(mode, estimates, recommended, findings);
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
    boolean own = mode == Mode.CYCLE && equation.cycleOffsetBpm() != 0;
    BigDecimal error = BigDecimal.valueOf(equation.standardErrorBpm());
    BigDecimal inMode = own ? error : inQuadrature(error, mode.extraErrorBpm());
    if (equation.needsResting() && restingBpm.isEmpty()) {
      return new Estimate(
          equation,
          OptionalInt.empty(),
          inMode,
          false,
          "Needs a resting pulse, and none is known.");
    }
    int offset = own ? equation.cycleOffsetBpm() : mode.offsetBpm();
    int bpm = Rounding.halfUp(equation.exact(person.age(), restingBpm.orElse(0))) + offset;
    Applicability applicability =
        Limit.MAXIMUM.accepts(bpm)
            ? Applicability.of(equation.requirements(), person, whenItApplies(equation, person))
            : new Applicability(false, "Outside " + Limit.MAXIMUM.accepted() + ".");
    return new Estimate(
        equation, OptionalInt.of(bpm), inMode, applicability.applies(), applicability.reason());
  }

  private static String whenItApplies(Equation equation, Person person) {
    if (equation.id().equals(Equations.KETEYIAN)) {
      return "Shown for information; the numbers come from the cardiac team.";
    }
    return person.under18()
        ? "Made on adults; a rough guide under 18."
        : "Made on people like this client, as far as is known.";
  }

  /** The rule of the default; adds why to {@code findings}. */
  private static Optional<String> chooseDefault(
      Person person, List<Estimate> estimates, List<Finding> findings) {
    Person.Health health = person.health();
    if (health.heartFailure()) {
      findings.add(FindingKind.NO_DEFAULT_HEART_FAILURE.of());
      return Optional.empty();
    }
    if (health.betaBlocker()) {
      boolean heart = health.heartCondition();
      findings.add(
          (heart ? FindingKind.DEFAULT_BETA_BLOCKER_HEART : FindingKind.DEFAULT_MINUS_30).of());
      return Optional.of(heart ? Equations.BRAWNER : Equations.MINUS_30);
    }
    if (health.heartCondition() || person.activity().sedentary()) {
      Estimate fox = byId(estimates, Equations.FOX);
      Estimate tanaka = byId(estimates, Equations.TANAKA);
      Estimate lower = fox.bpm().getAsInt() < tanaka.bpm().getAsInt() ? fox : tanaka;
      findings.add(
          FindingKind.DEFAULT_LOWER_OF_TWO.of(
              lower.equation().formula(),
              health.heartCondition() ? "With a heart condition" : "Present activity is none"));
      return Optional.of(lower.equation().id());
    }
    findings.add(
        (person.under18() ? FindingKind.DEFAULT_UNDER_18 : FindingKind.DEFAULT_HEALTHY).of());
    return Optional.of(Equations.TANAKA);
  }

  private static Estimate byId(List<Estimate> estimates, String id) {
    return estimates.stream()
        .filter(estimate -> estimate.equation().id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static BigDecimal inQuadrature(BigDecimal a, BigDecimal b) {
    if (b.signum() == 0) {
      return a;
    }
    return Rounding.tenths(a.multiply(a).add(b.multiply(b)).sqrt(MathContext.DECIMAL64));
  }
}
