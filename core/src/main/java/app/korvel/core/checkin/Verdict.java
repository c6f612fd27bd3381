package app.korvel.core.checkin;

import app.korvel.core.checkin.CheckIn.SelfReport;
import app.korvel.core.checkin.CheckInContext.Weighed;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Measure;
import app.korvel.core.screening.Symptom;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Today's go or no-go, with its reasons.
 *
 * @param outcome what it comes to
 * @param mayOverride whether the instructor may decide otherwise: only where nothing but the
 *     difference from the usual pulse speaks against it
 * @param recount whether the pulse is to be counted again before it decides anything
 * @param notYet whether all that speaks against it can be corrected on the spot: something eaten,
 *     measured or fetched
 * @param findings the reasons, the weightiest first
 */
public record Verdict(
    Outcome outcome, boolean mayOverride, boolean recount, boolean notYet, List<Finding> findings) {

  /** The longest reason that is kept. */
  public static final int REASON_LENGTH = 200;

  private static final int SHORTEST_REASON = 3;

  public Verdict {
    findings = List.copyOf(findings);
  }

  /** What it comes to, in words. */
  public String words() {
    return notYet ? "Not yet" : outcome.displayName();
  }

  /**
   * The instructor's own decision.
   *
   * @param outcome what they decided
   * @param reason why, {@value #SHORTEST_REASON} to {@value #REASON_LENGTH} characters
   */
  public record OwnDecision(Outcome outcome, String reason) {}

  /** A check-in beside what it is compared with. */
  private record Case(CheckIn now, CheckInContext known) {

    OptionalInt usual() {
      return known.usualBpm(now.posture());
    }

    boolean usual(IntPredicate offBy) {
      return usual().isPresent() && offBy.test(Math.abs(difference()));
    }

    int difference() {
      return now.pulseBpm() - usual().getAsInt();
    }

    /** Whether there is a usual value, and it is of another posture. */
    boolean otherPosture() {
      return known.usual().isPresent() && usual().isEmpty();
    }

    /** Whether the usual value came about otherwise than this pulse. */
    boolean otherSource() {
      return usual().isPresent() && known.usual().get().source() != now.source();
    }

    Object[] offBy() {
      return new Object[] {
        now.pulseBpm(),
        Math.abs(difference()),
        difference() < 0 ? "under" : "over",
        usual().getAsInt()
      };
    }

    int highestUsual() {
      return UsualResting.at(known.person().age()).highest();
    }

    int lowestLine() {
      return UsualResting.at(known.person().age()).rareUnder();
    }

    boolean overLine() {
      return now.pulseBpm() > highestUsual();
    }

    /** Under the lower line without being usual, by the record or by what was told at intake. */
    boolean underLine() {
      int rare = lowestLine();
      return now.pulseBpm() < rare
          && known.usual().map(UsualPulse::bpm).orElse(rare) >= rare
          && known.toldUsualBpm().orElse(rare) >= rare;
    }

    /** A first odd value, which is counted again before it decides anything. */
    boolean firstOdd() {
      return !now.recounted()
          && (overLine() || underLine() || usual(off -> off >= LIGHT_ONLY_FROM));
    }

    /** Over the line before they have settled: counted again after they have. */
    boolean sitFirst() {
      return !now.recounted() && overLine() && !now.settled();
    }

    boolean glucose(Predicate<Glucose> which) {
      return now.glucose().filter(which).isPresent();
    }

    /** High, and not so high that nothing more is asked. */
    boolean highGlucose() {
      return glucose(value -> value.high() && !value.tooHigh());
    }

    boolean ketones(Ketones found) {
      return now.ketones().filter(found::equals).isPresent();
    }

    boolean ketonesOrUnwell() {
      return ketones(Ketones.PRESENT) || told(SelfReport.UNWELL);
    }

    boolean told(SelfReport word) {
      return now.told(word);
    }

    boolean asks(Measure measure) {
      return known.effects().ask().contains(measure);
    }

    boolean lightHeaded() {
      return now.symptoms().contains(Symptom.DIZZINESS)
          || now.symptoms().contains(Symptom.FAINTING);
    }

    /** The lightest weight of the last three days, if they have gained too much since. */
    Optional<Weighed> gainedSince() {
      return now.weightKg()
          .filter(kg -> known.person().health().heartFailure())
          .flatMap(
              kg ->
                  known.weights().stream()
                      .filter(
                          before ->
                              before.on().isBefore(known.date())
                                  && !before
                                      .on()
                                      .isBefore(
                                          known
                                              .date()
                                              .minusDays(Threshold.WEIGHT_GAIN_DAYS.whole())))
                      .min(Comparator.comparing(Weighed::kg))
                      .filter(
                          before ->
                              kg.subtract(before.kg()).compareTo(Threshold.WEIGHT_GAIN.value())
                                  >= 0));
    }
  }

  private static final int LIGHT_ONLY_FROM = Threshold.PULSE_LIGHT_ONLY.whole();
  private static final int NOT_TODAY_FROM = Threshold.PULSE_NOT_TODAY.whole();

  /** Basis of a rule: whether it can be overridden or needs a recount. */
  private enum Basis {
    /** The difference from the usual pulse: may be overridden, waits for a recount. */
    DIFFERENCE,
    /** A fixed limit of the pulse: waits for a recount. */
    PULSE_LINE,
    /** The pulse is to be counted again. */
    AGAIN,
    /** Can be remedied on the spot. */
    NOT_YET,
    OTHER;

    boolean pulse() {
      return this == DIFFERENCE || this == PULSE_LINE;
    }
  }

  /**
   * One line of the table.
   *
   * @param kind what is said
   * @param outcome what follows; {@link Outcome#GO} for a caution
   * @param basis whether it can be overridden or needs a recount
   * @param holds when
   * @param figures the values filled into the wording
   */
  private record Rule(
      FindingKind kind,
      Outcome outcome,
      Basis basis,
      Predicate<Case> holds,
      Function<Case, Object[]> figures) {

    static Rule of(
        FindingKind kind,
        Outcome outcome,
        Predicate<Case> holds,
        Function<Case, Object[]> figures) {
      return new Rule(kind, outcome, Basis.OTHER, holds, figures);
    }

    static Rule of(FindingKind kind, Outcome outcome, Predicate<Case> holds) {
      return of(kind, outcome, holds, each -> new Object[0]);
    }
  }

  private static Object[] figures(Object... all) {
    return all;
  }

  private static final List<Rule> RULES =
      List.of(
          Rule.of(
              CheckInFinding.SCREENING_STOPS,
              Outcome.NOT_TODAY,
              each -> each.known.screening().isPresent() && each.known.decided(),
              each -> figures(each.known.screening().get().because())),
          new Rule(
              CheckInFinding.SCREENING_OPEN,
              Outcome.NOT_TODAY,
              Basis.NOT_YET,
              each -> !each.known.decided(),
              each -> figures()),
          new Rule(
              CheckInFinding.PULSE_SIT_FIRST,
              Outcome.COUNT_AGAIN,
              Basis.AGAIN,
              Case::sitFirst,
              each -> figures(each.now.pulseBpm(), each.highestUsual())),
          new Rule(
              CheckInFinding.PULSE_RECOUNT,
              Outcome.COUNT_AGAIN,
              Basis.AGAIN,
              each -> each.firstOdd() && !each.sitFirst(),
              each -> figures(each.now.pulseBpm())),
          new Rule(
              CheckInFinding.USUAL_POSTURE_FIRST,
              Outcome.COUNT_AGAIN,
              Basis.AGAIN,
              Case::otherPosture,
              each ->
                  figures(
                      word(each.known.usual().get().posture()),
                      each.known.usual().get().bpm(),
                      word(each.now.posture()))),
          Rule.of(
              CheckInFinding.SYMPTOMS_TODAY,
              Outcome.NOT_TODAY,
              each -> !each.now.symptoms().isEmpty(),
              each ->
                  figures(
                      each.now.symptoms().stream()
                          .map(symptom -> symptom.displayName().toLowerCase(Locale.ROOT))
                          .collect(Collectors.joining("; ")))),
          Rule.of(
              CheckInFinding.LIGHT_HEADED_LOW_PRESSURE,
              Outcome.NOT_TODAY,
              each ->
                  each.lightHeaded()
                      && each.now
                          .pressure()
                          .filter(pressure -> pressure.systolic() < Threshold.SYSTOLIC_LOW.whole())
                          .isPresent(),
              each -> figures(each.now.pressure().get())),
          Rule.of(
              CheckInFinding.HOSPITAL_SINCE,
              Outcome.NOT_TODAY,
              each -> each.told(SelfReport.HOSPITAL)),
          Rule.of(
              CheckInFinding.HEART_FAILURE_GAIN,
              Outcome.NOT_TODAY,
              each -> each.gainedSince().isPresent(),
              each -> {
                Weighed before = each.gainedSince().get();
                BigDecimal gain = each.now.weightKg().get().subtract(before.kg());
                return figures(each.known.weightUnit().text(gain), "on " + Days.of(before.on()));
              }),
          Rule.of(CheckInFinding.ILL_TODAY, Outcome.NOT_TODAY, each -> each.told(SelfReport.FEVER)),
          Rule.of(
              CheckInFinding.RHYTHM_NEWLY_UNEVEN,
              Outcome.NOT_TODAY,
              each ->
                  each.now.rhythm().filter(Rhythm.UNEVEN::equals).isPresent()
                      && !each.known.person().has(Condition.IRREGULAR_RHYTHM)),
          Rule.of(
              CheckInFinding.PRESSURE_OVER_LINE,
              Outcome.NOT_TODAY,
              each ->
                  each.now
                      .pressure()
                      .filter(
                          pressure ->
                              pressure.systolic() > Threshold.SYSTOLIC_LINE.whole()
                                  || pressure.diastolic() > Threshold.DIASTOLIC_LINE.whole())
                      .isPresent(),
              each -> figures(each.now.pressure().get())),
          Rule.of(
              CheckInFinding.GLUCOSE_SEVERE_LOW,
              Outcome.NOT_TODAY,
              each -> each.told(SelfReport.SEVERE_LOW)),
          new Rule(
              CheckInFinding.GLUCOSE_LOW,
              Outcome.NOT_TODAY,
              Basis.NOT_YET,
              each -> each.now.glucose().filter(Glucose::low).isPresent(),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().lowLine())),
          Rule.of(
              CheckInFinding.GLUCOSE_TOO_HIGH,
              Outcome.NOT_TODAY,
              each -> each.glucose(Glucose::tooHigh),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().stopLine())),
          Rule.of(
              CheckInFinding.GLUCOSE_HIGH_UNWELL,
              Outcome.NOT_TODAY,
              each -> each.highGlucose() && each.ketonesOrUnwell(),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().highLine())),
          Rule.of(
              CheckInFinding.KETONES_NOT_MEASURED,
              Outcome.NOT_TODAY,
              each -> each.highGlucose() && each.ketones(Ketones.NOT_MEASURED),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().highLine())),
          new Rule(
              CheckInFinding.KETONES_FIRST,
              Outcome.NOT_TODAY,
              Basis.NOT_YET,
              each -> each.highGlucose() && each.now.ketones().isEmpty() && !each.ketonesOrUnwell(),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().highLine())),
          new Rule(
              CheckInFinding.MEASURE_FIRST,
              Outcome.NOT_TODAY,
              Basis.NOT_YET,
              each -> each.asks(Measure.GLUCOSE) && each.now.glucose().isEmpty(),
              each -> figures(Measure.GLUCOSE.displayName())),
          new Rule(
              CheckInFinding.HEAT_NOT_FOR_THEM,
              Outcome.NOT_TODAY,
              Basis.NOT_YET,
              each -> each.told(SelfReport.HEAT) && each.known.person().has(Condition.PREGNANCY),
              each -> figures()),
          new Rule(
              CheckInFinding.CARRY_FIRST,
              Outcome.NOT_TODAY,
              Basis.NOT_YET,
              each -> !each.known.effects().carry().isEmpty() && !each.told(SelfReport.CARRIED),
              each -> figures(String.join(" and ", each.known.effects().carry()))),
          new Rule(
              CheckInFinding.PULSE_OVER_LINE,
              Outcome.NOT_TODAY,
              Basis.PULSE_LINE,
              Case::overLine,
              each -> figures(each.now.pulseBpm(), each.highestUsual())),
          new Rule(
              CheckInFinding.PULSE_UNDER_LINE,
              Outcome.NOT_TODAY,
              Basis.PULSE_LINE,
              Case::underLine,
              each -> figures(each.now.pulseBpm(), each.lowestLine())),
          new Rule(
              CheckInFinding.SLEEPLESS_AND_RAISED,
              Outcome.NOT_TODAY,
              Basis.PULSE_LINE,
              each ->
                  each.told(SelfReport.NO_SLEEP)
                      && each.usual(off -> off >= LIGHT_ONLY_FROM)
                      && each.difference() > 0,
              each -> figures()),
          new Rule(
              CheckInFinding.PULSE_TEN_OFF,
              Outcome.NOT_TODAY,
              Basis.DIFFERENCE,
              each -> each.usual(off -> off >= NOT_TODAY_FROM),
              Case::offBy),
          new Rule(
              CheckInFinding.PULSE_FIVE_OFF,
              Outcome.LIGHT_ONLY,
              Basis.DIFFERENCE,
              each -> each.usual(off -> off >= LIGHT_ONLY_FROM && off < NOT_TODAY_FROM),
              Case::offBy),
          Rule.of(
              CheckInFinding.GLUCOSE_LIGHT_ONLY,
              Outcome.LIGHT_ONLY,
              each ->
                  each.highGlucose()
                      && each.glucose(Glucose::lightOnly)
                      && each.ketones(Ketones.NONE)
                      && !each.ketonesOrUnwell(),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().lightLine())),
          Rule.of(
              CheckInFinding.GLUCOSE_HIGH,
              Outcome.GO,
              each ->
                  each.highGlucose()
                      && !each.glucose(Glucose::lightOnly)
                      && each.ketones(Ketones.NONE)
                      && !each.ketonesOrUnwell(),
              each -> figures(each.now.glucose().get(), each.now.glucose().get().highLine())),
          Rule.of(
              CheckInFinding.ONE_LEVEL_EASIER,
              Outcome.GO,
              each ->
                  each.told(SelfReport.POOR_AIR)
                      || each.told(SelfReport.HEAT)
                          && !each.known.person().has(Condition.PREGNANCY)),
          Rule.of(
              CheckInFinding.MEASURE_MISSING,
              Outcome.GO,
              each -> each.asks(Measure.BLOOD_PRESSURE) && each.now.pressure().isEmpty(),
              each -> figures(Measure.BLOOD_PRESSURE.displayName())),
          Rule.of(
              CheckInFinding.MEASURE_MISSING,
              Outcome.GO,
              each -> each.asks(Measure.WEIGHT) && each.now.weightKg().isEmpty(),
              each -> figures(Measure.WEIGHT.displayName())),
          Rule.of(CheckInFinding.CHANGED_SINCE, Outcome.GO, each -> each.told(SelfReport.CHANGED)),
          Rule.of(
              CheckInFinding.PULSE_NO_USUAL,
              Outcome.GO,
              each -> each.known.usual().isEmpty(),
              each -> figures(each.now.pulseBpm())),
          Rule.of(
              CheckInFinding.USUAL_BY_OTHER_SOURCE,
              Outcome.GO,
              Case::otherSource,
              each ->
                  figures(
                      each.usual().getAsInt(),
                      word(each.known.usual().get().source()),
                      word(each.now.source()))),
          Rule.of(
              CheckInFinding.PULSE_AS_USUAL,
              Outcome.GO,
              each -> each.usual(off -> off < LIGHT_ONLY_FROM) && !each.overLine(),
              each -> figures(each.now.pulseBpm(), each.usual().getAsInt())));

  private static String word(Enum<?> word) {
    return word.name().toLowerCase(Locale.ROOT);
  }

  /** Judges a check-in. */
  public static Verdict of(CheckIn now, CheckInContext known) {
    Case each = new Case(now, known);
    List<Finding> findings = new ArrayList<>();
    Outcome outcome = Outcome.GO;
    boolean differenceAlone = true;
    boolean mendable = true;
    boolean again = false;
    for (Rule rule : RULES) {
      // What waits for a recount has not decided anything yet, and is not said.
      if (!rule.holds.test(each) || (each.firstOdd() && rule.basis.pulse())) {
        continue;
      }
      if (rule.outcome.compareTo(outcome) > 0) {
        outcome = rule.outcome;
      }
      again |= rule.basis == Basis.AGAIN;
      differenceAlone &= rule.outcome == Outcome.GO || rule.basis == Basis.DIFFERENCE;
      mendable &= rule.outcome != Outcome.NOT_TODAY || rule.basis == Basis.NOT_YET;
      findings.add(rule.kind.of(rule.figures.apply(each)));
    }
    if (outcome == Outcome.GO) {
      findings.add(CheckInFinding.NOTHING_AGAINST.of());
    }
    return new Verdict(
        outcome,
        outcome != Outcome.GO && differenceAlone,
        again,
        outcome == Outcome.NOT_TODAY && mendable,
        findings);
  }

  /**
   * The instructor decides otherwise.
   *
   * @throws InvalidValueException when that is not open here, or the reason says nothing
   */
  public OwnDecision decide(Outcome decided, String reason) {
    if (!mayOverride) {
      throw InvalidValueException.of(
          "override",
          "is not available: more than the difference from the usual pulse speaks against training",
          "no override");
    }
    if (decided == Outcome.COUNT_AGAIN) {
      throw InvalidValueException.of("override", "decides nothing", "go or light-only");
    }
    if (decided.compareTo(outcome) >= 0) {
      throw InvalidValueException.of(
          "override", "is what the rules say already, or stricter", "an easier outcome");
    }
    String clean = Texts.checked("reason", reason, SHORTEST_REASON, REASON_LENGTH);
    return new OwnDecision(decided, clean);
  }
}
