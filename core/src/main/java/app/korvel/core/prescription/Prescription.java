package app.korvel.core.prescription;

import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Context;
import app.korvel.core.screening.Contraindication;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
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
import java.util.Comparator;
import java.util.List;
import java.util.Map;
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
 * @param rpe10 perceived exertion on a 0–10 scale
 * @param rpeFamily which family that scale is of
 * @param warmUp before the work
 * @param coolDown after it
 * @param otherDays the easier days of the week, where not all may be vigorous
 * @param week the week's minutes against the guideline
 * @param cap the rate that nothing goes above, if one was written
 * @param supervised whether someone has to be there
 * @param leaveOut work that is not for this client
 * @param carry what they have on them
 * @param stopAlso signs to stop at besides those that hold for everyone
 * @param findings why, and what to watch
 */
public record Prescription(
    LocalDate date,
    Fitt parts,
    Status status,
    Optional<RateBasis> basis,
    Optional<Target> target,
    IntensityGuide steering,
    List<EffortDescription> feel,
    RpeSpan rpe20,
    RpeSpan rpe10,
    RpeFamily rpeFamily,
    EasyPhase warmUp,
    EasyPhase coolDown,
    Optional<OtherDays> otherDays,
    Week week,
    Optional<Cap> cap,
    boolean supervised,
    List<String> leaveOut,
    List<String> carry,
    List<String> stopAlso,
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
   * @param maximumMethod id of the equation, or of the kind it was measured as
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
  public record EasyPhase(
      int minutes, Optional<Integer> lowBpm, Optional<Integer> highBpm, String how) {}

  /**
   * A level of effort, with the texts of the day.
   *
   * @param level 1 to 5
   * @param name its name
   * @param voice what the voice can do
   * @param breathing how breathing is
   */
  public record EffortDescription(int level, String name, String voice, String breathing) {
    static EffortDescription of(Level level) {
      return new EffortDescription(
          level.number(), level.displayName(), level.voice(), level.breathing());
    }
  }

  /**
   * How a studio shows what it prescribes.
   *
   * @param family its 0–10 scale of effort
   * @param scheme id of the scheme the client's bands are shown in
   */
  public record DisplaySettings(RpeFamily family, String scheme) {
    /** Where nothing was chosen. */
    public static final DisplaySettings USUAL =
        new DisplaySettings(RpeFamily.RATIO, Scheme.DEFAULT_ID);
  }

  private static final int MARGIN_LOW_PERCENT = Threshold.WARM_UP_FROM.whole();
  private static final int MARGIN_HIGH_PERCENT = Threshold.WARM_UP_TO.whole();
  private static final int HARD_PERCENT = Threshold.HARD_WORK.whole();

  /** Why a warm-up is longer, by the context that makes it so. */
  private static final Map<Context, String> LONGER_WORDS =
      Map.of(
          Context.HEART_FAILURE, "heart failure",
          Context.HEART_CONDITION, "a heart condition",
          Context.RATE_LOWERING, "rate-lowering medication",
          Context.OVER_65, "65 and over");

  public Prescription {
    feel = List.copyOf(feel);
    leaveOut = List.copyOf(leaveOut);
    carry = List.copyOf(carry);
    stopAlso = List.copyOf(stopAlso);
    findings = List.copyOf(findings);
  }

  /**
   * Works the parts out, in the usual ways.
   *
   * @throws InvalidValueException when a part breaks a rule
   * @throws RefusedException when there is no resting pulse to start from
   */
  public static Prescription of(ClientBaseline baseline, Fitt parts) {
    return of(baseline, parts, DisplaySettings.USUAL);
  }

  /**
   * Works the parts out.
   *
   * @param ways which 0–10 scale the studio uses, and the scheme the client is shown
   * @throws InvalidValueException when a part breaks a rule
   * @throws RefusedException when there is no resting pulse to start from
   */
  public static Prescription of(ClientBaseline baseline, Fitt parts, DisplaySettings ways) {
    parts.check(baseline.screening().scope());
    WorkingResting resting =
        baseline
            .resting()
            .orElseThrow(() -> RefusedException.because(PrescriptionFinding.RESTING_MISSING.of()));
    Screening screening = baseline.screening();
    Effects effects = screening.effects();
    List<Finding> findings = new ArrayList<>(baseline.whyNotIssued());
    findings.addAll(screening.permission().findings());
    Optional<RateBasis> basis = rateBasis(baseline, resting, ways, findings);
    Optional<Cap> cap = basis.flatMap(numbers -> screening.cap());
    cap.ifPresent(
        each -> findings.add(PrescriptionFinding.CAP_IN_FORCE.of(each.bpm(), each.because())));
    Aim aim =
        Aim.of(
            parts.range(),
            basis.map(RateBasis::reserve),
            cap,
            effects.highestEffort(),
            ways.family());
    findings.addAll(aim.findings());
    Optional<Target> target = aim.target().map(each -> eased(each, aim, baseline, findings));
    addCautions(baseline, parts, resting, findings);
    basis.ifPresent(
        numbers -> {
          baseline.maximumRecord().aboutChoice().ifPresent(findings::add);
          findings.add(softTarget(numbers, parts));
        });
    if (aim.effortHeld()) {
      findings.add(PrescriptionFinding.EFFORT_HELD.of(effects.highestEffort()));
    }
    int warmUp = effects.warmUpMinutes();
    int coolDown = effects.coolDownMinutes();
    longerBecause(screening)
        .ifPresent(
            why -> findings.add(PrescriptionFinding.LONGER_WARM_UP.of(warmUp, coolDown, why)));
    Week week = Week.of(parts, Bounds.of(screening.scope()), baseline.person());
    findings.add(week.finding());
    int others = parts.days() - OtherDays.asAsked(parts.range(), parts.days());
    Optional<OtherDays> otherDays =
        others == 0
            ? Optional.empty()
            : Optional.of(
                OtherDays.of(
                    others,
                    Aim.of(
                        OtherDays.RANGE,
                        basis.map(RateBasis::reserve),
                        cap,
                        effects.highestEffort(),
                        ways.family())));
    otherDays.ifPresent(
        each ->
            findings.add(
                PrescriptionFinding.OTHER_DAYS.of(
                    parts.days() - each.days(),
                    parts.days(),
                    each.range().low() + "–" + each.range().high())));
    addFrequency(parts, findings);
    return new Prescription(
        baseline.date(),
        parts,
        baseline.mayIssue() ? Status.ISSUED : Status.DRAFT,
        basis,
        target,
        target.isPresent() ? effects.steering() : IntensityGuide.EFFORT_AND_TALK_ONLY,
        aim.levels().stream().map(EffortDescription::of).toList(),
        aim.rpe20(),
        aim.rpe10(),
        ways.family(),
        warmUp(warmUp, basis, cap),
        coolDown(coolDown, basis, cap),
        otherDays,
        week,
        cap,
        screening.supervised(),
        effects.leaveOut().stream().map(Contraindication::displayName).toList(),
        effects.carry(),
        effects.stopAlso(),
        findings);
  }

  /** Where whole sentences end sooner than a target at Talk level does, it ends with them. */
  private static Target eased(
      Target target, Aim aim, ClientBaseline baseline, List<Finding> findings) {
    return baseline
        .learned()
        .easing(target.lowBpm(), target.highBpm())
        .filter(rate -> aim.levels().get(aim.levels().size() - 1) == Level.TALK)
        .map(
            rate -> {
              findings.add(
                  PrescriptionFinding.TALK_ENDS_TARGET.of(rate.bpm(), rate.plusMinusBpm()));
              return target.endingAt(rate.bpm());
            })
        .orElse(target);
  }

  /** Whether it goes no higher than whole sentences. */
  public boolean atTalkLevel() {
    return feel.get(feel.size() - 1).level() == Level.TALK.number();
  }

  /** A session of it, from warm-up to stretching. */
  public Outline outline() {
    return Outline.of(
        parts.type(),
        parts.range(),
        parts.minutes(),
        new Bounds(Ceiling.FOR_ANYONE, warmUp.minutes, coolDown.minutes));
  }

  /** The same with every rate left out: what remains while its rates are suspended. */
  public Prescription withoutRates() {
    return new Prescription(
        date,
        parts,
        status,
        Optional.empty(),
        Optional.empty(),
        IntensityGuide.EFFORT_AND_TALK_ONLY,
        feel,
        rpe20,
        rpe10,
        rpeFamily,
        warmUp(warmUp.minutes, Optional.empty(), Optional.empty()),
        coolDown(coolDown.minutes, Optional.empty(), Optional.empty()),
        otherDays.map(OtherDays::withoutRates),
        week,
        Optional.empty(),
        supervised,
        leaveOut,
        carry,
        stopAlso,
        findings);
  }

  private static EasyPhase warmUp(int minutes, Optional<RateBasis> basis, Optional<Cap> cap) {
    int highest = cap.map(Cap::bpm).orElse(Integer.MAX_VALUE);
    Optional<Integer> low =
        basis
            .map(numbers -> numbers.reserve().rateAt(MARGIN_LOW_PERCENT))
            .filter(bpm -> bpm < highest);
    Optional<Integer> high =
        low.flatMap(under -> basis)
            .map(numbers -> Math.min(highest, numbers.reserve().rateAt(MARGIN_HIGH_PERCENT)));
    String rise = high.map(bpm -> "let it rise to " + low.get() + "–" + bpm).orElse("let it rise");
    return new EasyPhase(
        minutes,
        low,
        high,
        "Start easy and " + rise + ", then loosen the joints you are about to use.");
  }

  /** Where a cap lies under the end of a cool-down, that rate would say nothing. */
  private static EasyPhase coolDown(int minutes, Optional<RateBasis> basis, Optional<Cap> cap) {
    int highest = cap.map(Cap::bpm).orElse(Integer.MAX_VALUE);
    Optional<Integer> high =
        basis
            .map(numbers -> numbers.reserve().rateAt(MARGIN_HIGH_PERCENT))
            .filter(bpm -> bpm <= highest);
    String until = high.map(bpm -> "you are below " + bpm).orElse("your breath is quiet");
    return new EasyPhase(
        minutes,
        Optional.empty(),
        high,
        "Keep moving, easier and easier, until " + until + "; then stretch.");
  }

  private static Optional<RateBasis> rateBasis(
      ClientBaseline baseline,
      WorkingResting resting,
      DisplaySettings ways,
      List<Finding> findings) {
    if (baseline.noRateBecause().isPresent()) {
      findings.add(PrescriptionFinding.RATE_NOT_USED.of(baseline.noRateBecause().get()));
      return Optional.empty();
    }
    if (baseline.maximum().isEmpty()) {
      findings.add(
          PrescriptionFinding.RATE_NOT_USED.of(
              "No maximum is proposed: none of the equations applies."));
      return Optional.empty();
    }
    WorkingMaximum maximum = baseline.maximum().get();
    int maximumBpm = maximum.bpm();
    if (maximumBpm - resting.bpm() < Reserve.SMALLEST) {
      findings.add(
          PrescriptionFinding.RATE_NOT_USED.of(
              "The reserve would be "
                  + (maximumBpm - resting.bpm())
                  + " bpm; under "
                  + Reserve.SMALLEST
                  + " the zones are narrower than the error of a count."));
      return Optional.empty();
    }
    return Optional.of(
        new RateBasis(
            resting.bpm(),
            Rounding.tenths(resting.standardErrorBpm()),
            resting.findings().get(0).message(),
            maximumBpm,
            maximum.standardErrorBpm(),
            maximum.method(),
            ways.scheme()));
  }

  private static void addCautions(
      ClientBaseline baseline, Fitt parts, WorkingResting resting, List<Finding> findings) {
    Person person = baseline.person();
    resting.findings().stream()
        .filter(finding -> finding.severity() != Severity.INFO)
        .forEach(findings::add);
    Finding usual = UsualResting.judge(resting.bpm(), person, resting.settled());
    if (usual.severity() != Severity.INFO) {
      findings.add(usual);
    }
    findings.addAll(baseline.screening().cautions());
    if (baseline.screening().supervised()) {
      findings.add(PrescriptionFinding.SUPERVISED_ONLY.of());
    }
    parts
        .exercise()
        .ifPresent(
            named -> {
              findings.add(
                  PrescriptionFinding.EXERCISE_TYPE.of(
                      named.type().displayName(), named.type().meaning()));
              named
                  .mindFor(person)
                  .ifPresent(
                      what ->
                          findings.add(
                              PrescriptionFinding.EXERCISE_MIND.of(named.displayName(), what)));
            });
    if (parts.highPercent() > HARD_PERCENT) {
      findings.add(PrescriptionFinding.HARD_MINUTES.of());
    }
  }

  private static Finding softTarget(RateBasis numbers, Fitt parts) {
    Uncertainty uncertainty =
        Uncertainty.of(numbers.maximumStandardErrorBpm(), numbers.restingStandardErrorBpm());
    return PrescriptionFinding.SOFT_TARGET.of(
        Rounding.halfUp(Basis.RESERVE.sigma(BigDecimal.valueOf(parts.highPercent()), uncertainty)),
        numbers.maximumBpm(),
        numbers.maximumStandardErrorBpm().toPlainString(),
        numbers.restingBpm(),
        numbers.restingStandardErrorBpm().toPlainString());
  }

  private static void addFrequency(Fitt parts, List<Finding> findings) {
    if (parts.days() == 1) {
      findings.add(PrescriptionFinding.ONCE_A_WEEK.of());
    } else if (parts.days() == 2) {
      findings.add(PrescriptionFinding.TWICE_A_WEEK.of());
    }
  }

  private static Optional<String> longerBecause(Screening screening) {
    return screening.contexts().stream()
        .filter(context -> context.effects().warmUpMinutes() > Effects.NONE.warmUpMinutes())
        .max(Comparator.comparingInt(context -> context.effects().warmUpMinutes()))
        .map(context -> LONGER_WORDS.get(context));
  }
}
