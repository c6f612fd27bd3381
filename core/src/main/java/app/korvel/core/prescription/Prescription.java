package app.korvel.core.prescription;

import app.korvel.core.maximum.Estimate;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Person;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.Uncertainty;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The parts worked out for one client on one day: what to aim at, how it feels, how the week adds
 * up, and what to watch.
 *
 * @param date the day it was worked out
 * @param parts what the instructor decided
 * @param status issued, or a draft until screening allows more
 * @param basis the numbers it stands on; empty where no rate may be used
 * @param target by rate; empty where no rate may be used
 * @param steering what leads
 * @param feel how it feels and sounds, from the lower to the upper edge
 * @param rpe20 perceived exertion on 6–20
 * @param rpe10 perceived exertion on the 0–10 ratio scale
 * @param warmUp before the work
 * @param coolDown after it
 * @param week the week's minutes against the guideline
 * @param findings why, and what to watch
 */
public record Prescription(
    LocalDate date,
    Parts parts,
    Status status,
    Optional<RateBasis> basis,
    Optional<Target> target,
    Steering steering,
    List<Feel> feel,
    RpeSpan rpe20,
    RpeSpan rpe10,
    Margin warmUp,
    Margin coolDown,
    Week week,
    List<Finding> findings) {

  /** Whether it may be handed out. */
  public enum Status {
    ISSUED,
    DRAFT
  }

  /**
   * The numbers a rate target stands on.
   *
   * @param restingBpm the working resting value
   * @param restingStandardErrorBpm its σ, to one decimal
   * @param restingBecause how it was chosen
   * @param maximumBpm the maximum
   * @param maximumStandardErrorBpm its σ, to one decimal
   * @param maximumMethod the equation's id
   * @param scheme the scheme's id
   */
  public record RateBasis(
      int restingBpm,
      BigDecimal restingStandardErrorBpm,
      String restingBecause,
      int maximumBpm,
      BigDecimal maximumStandardErrorBpm,
      String maximumMethod,
      String scheme) {

    /** The span. */
    public Reserve reserve() {
      return Reserve.of(restingBpm, maximumBpm);
    }
  }

  /**
   * Warm-up or cool-down.
   *
   * @param minutes how long
   * @param lowBpm from about this rate; empty where no rate may be used
   * @param highBpm up to, or until below, this rate; empty where no rate may be used
   * @param how what to do
   */
  public record Margin(
      int minutes, Optional<Integer> lowBpm, Optional<Integer> highBpm, String how) {}

  /**
   * A level of effort, with the texts of the day.
   *
   * @param level 1 to 5
   * @param name its name
   * @param voice what the voice can do
   * @param breathing how breathing is
   */
  public record Feel(int level, String name, String voice, String breathing) {
    static Feel of(Level level) {
      return new Feel(level.number(), level.displayName(), level.voice(), level.breathing());
    }
  }

  private static final int MARGIN_LOW_PERCENT = Threshold.WARM_UP_FROM.whole();
  private static final int MARGIN_HIGH_PERCENT = Threshold.WARM_UP_TO.whole();
  private static final int LONGER_MINUTES = Threshold.LONGER_WARM_UP.whole();
  private static final int HARD_PERCENT = Threshold.HARD_WORK.whole();
  private static final int HEART_HIGHEST_RPE = Threshold.HEART_HIGHEST_EFFORT.whole();

  public Prescription {
    feel = List.copyOf(feel);
    findings = List.copyOf(findings);
  }

  /**
   * Works the parts out.
   *
   * @throws InvalidValueException when a part breaks a rule
   * @throws RefusedException when there is no resting pulse to start from
   */
  public static Prescription of(Groundwork ground, Parts parts) {
    parts.check(ground.person(), ground.permission());
    WorkingResting resting =
        ground
            .resting()
            .orElseThrow(() -> RefusedException.because(FindingKind.RESTING_MISSING.of()));
    Person person = ground.person();
    List<Finding> findings = new ArrayList<>(ground.permission().findings());
    Optional<RateBasis> basis = rateBasis(ground, resting, findings);
    Optional<Target> target =
        basis.map(
            numbers ->
                Target.ofReserve(numbers.reserve(), parts.lowPercent(), parts.highPercent()));
    Steering steering = steering(person, target.isPresent(), findings);
    List<Level> levels = levels(parts);
    addCautions(ground, parts, resting, findings);
    basis.ifPresent(
        numbers -> {
          ground.maximumEstimates().choiceFinding().ifPresent(findings::add);
          findings.add(softTarget(numbers, parts));
        });
    int warmUp = warmUpMinutes(person);
    int coolDown = Math.min(warmUp, LONGER_MINUTES);
    longerBecause(person)
        .ifPresent(why -> findings.add(FindingKind.LONGER_WARM_UP.of(warmUp, coolDown, why)));
    Week week = Week.of(parts, person);
    findings.add(week.finding());
    addFrequency(parts, findings);
    return new Prescription(
        ground.date(),
        parts,
        ground.permission().mayIssue() ? Status.ISSUED : Status.DRAFT,
        basis,
        target,
        steering,
        levels.stream().map(Feel::of).toList(),
        rpe(person, levels),
        levels
            .get(0)
            .rpe10(RpeFamily.RATIO)
            .to(levels.get(levels.size() - 1).rpe10(RpeFamily.RATIO)),
        warmUp(warmUp, basis),
        coolDown(coolDown, basis),
        week,
        findings);
  }

  private static Margin warmUp(int minutes, Optional<RateBasis> basis) {
    Optional<Integer> low = basis.map(numbers -> numbers.reserve().rateAt(MARGIN_LOW_PERCENT));
    Optional<Integer> high = basis.map(numbers -> numbers.reserve().rateAt(MARGIN_HIGH_PERCENT));
    String rise = high.map(bpm -> "let it rise to " + low.get() + "–" + bpm).orElse("let it rise");
    return new Margin(
        minutes,
        low,
        high,
        "Start easy and " + rise + ", then loosen the joints you are about to use.");
  }

  private static Margin coolDown(int minutes, Optional<RateBasis> basis) {
    Optional<Integer> high = basis.map(numbers -> numbers.reserve().rateAt(MARGIN_HIGH_PERCENT));
    String until = high.map(bpm -> "you are below " + bpm).orElse("your breath is quiet");
    return new Margin(
        minutes,
        Optional.empty(),
        high,
        "Keep moving, easier and easier, until " + until + "; then stretch.");
  }

  private static Optional<RateBasis> rateBasis(
      Groundwork ground, WorkingResting resting, List<Finding> findings) {
    if (ground.maximum().isEmpty()) {
      findings.add(
          FindingKind.RATE_NOT_USED.of(
              "With heart failure the numbers come from the cardiac team. Start supervised."));
      return Optional.empty();
    }
    Estimate maximum = ground.maximum().get();
    int maximumBpm = maximum.bpm().orElseThrow();
    if (maximumBpm - resting.bpm() < Reserve.SMALLEST) {
      findings.add(
          FindingKind.RATE_NOT_USED.of(
              "The reserve would be "
                  + (maximumBpm - resting.bpm())
                  + " bpm; under "
                  + Reserve.SMALLEST
                  + " the bands are narrower than the error of a count."));
      return Optional.empty();
    }
    return Optional.of(
        new RateBasis(
            resting.bpm(),
            Rounding.tenths(resting.standardErrorBpm()),
            resting.findings().get(0).message(),
            maximumBpm,
            maximum.standardErrorBpm(),
            maximum.equation().id(),
            Scheme.DEFAULT_ID));
  }

  private static Steering steering(Person person, boolean byRate, List<Finding> findings) {
    if (person.activity().sedentary()) {
      findings.add(FindingKind.TALK_BEFORE_EFFORT.of());
    }
    if (!byRate) {
      return Steering.EFFORT_AND_TALK_ONLY;
    }
    if (person.health().betaBlocker()) {
      findings.add(FindingKind.BETA_BLOCKER_STEERING.of());
      return Steering.EFFORT_AND_TALK;
    }
    return person.activity().sedentary() ? Steering.TALK : Steering.RATE;
  }

  private static void addCautions(
      Groundwork ground, Parts parts, WorkingResting resting, List<Finding> findings) {
    Person person = ground.person();
    resting.findings().stream()
        .filter(finding -> finding.severity() != Severity.INFO)
        .forEach(findings::add);
    Finding usual = UsualResting.judge(resting.bpm(), person, resting.settled());
    if (usual.severity() != Severity.INFO) {
      findings.add(usual);
    }
    if (person.health().heartCondition() && !person.health().heartFailure()) {
      findings.add(FindingKind.START_HEART_CONDITION.of());
    }
    if (parts.highPercent() > HARD_PERCENT) {
      findings.add(FindingKind.HARD_MINUTES.of());
    }
    if (person.over65()) {
      findings.add(FindingKind.OVER_65.of());
    }
  }

  private static Finding softTarget(RateBasis numbers, Parts parts) {
    Uncertainty uncertainty =
        Uncertainty.of(numbers.maximumStandardErrorBpm(), numbers.restingStandardErrorBpm());
    return FindingKind.SOFT_TARGET.of(
        Rounding.halfUp(Basis.RESERVE.sigma(BigDecimal.valueOf(parts.highPercent()), uncertainty)),
        numbers.maximumBpm(),
        numbers.maximumStandardErrorBpm().toPlainString(),
        numbers.restingBpm(),
        numbers.restingStandardErrorBpm().toPlainString());
  }

  private static void addFrequency(Parts parts, List<Finding> findings) {
    if (parts.days() == 1) {
      findings.add(FindingKind.ONCE_A_WEEK.of());
    } else if (parts.days() == 2) {
      findings.add(FindingKind.TWICE_A_WEEK.of());
    }
  }

  /** From the level of the lower edge to that of the upper one, which ends below the next. */
  private static List<Level> levels(Parts parts) {
    Level low = Level.atPercent(BigDecimal.valueOf(parts.lowPercent()));
    Level high =
        parts.lowPercent() == parts.highPercent()
            ? low
            : Level.atPercent(BigDecimal.valueOf(parts.highPercent() - 1L));
    return List.of(Level.values()).subList(low.ordinal(), high.ordinal() + 1);
  }

  private static RpeSpan rpe(Person person, List<Level> levels) {
    RpeSpan span = levels.get(0).rpe20().to(levels.get(levels.size() - 1).rpe20());
    // The upper end is held; a lighter target is never pushed up to the usual 11.
    return person.health().heartDisease()
        ? new RpeSpan(span.low(), Math.min(span.high(), HEART_HIGHEST_RPE))
        : span;
  }

  private static int warmUpMinutes(Person person) {
    if (person.health().heartDisease()) {
      return Threshold.HEART_WARM_UP.whole();
    }
    return longerBecause(person).isPresent() ? LONGER_MINUTES : Threshold.WARM_UP.whole();
  }

  private static Optional<String> longerBecause(Person person) {
    if (person.health().heartDisease()) {
      return Optional.of("a heart condition");
    }
    if (person.health().betaBlocker()) {
      return Optional.of("rate-lowering medicine");
    }
    return person.over65() ? Optional.of("65 and over") : Optional.empty();
  }
}
