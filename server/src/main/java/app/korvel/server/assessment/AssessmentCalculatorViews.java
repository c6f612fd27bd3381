package app.korvel.server.assessment;

import app.korvel.core.assessment.Baseline;
import app.korvel.core.assessment.Extrapolation;
import app.korvel.core.assessment.GradedProtocol;
import app.korvel.core.assessment.GradedProtocols;
import app.korvel.core.assessment.GradedRecovery;
import app.korvel.core.assessment.GradedResult;
import app.korvel.core.assessment.MileWalk;
import app.korvel.core.assessment.OxygenCost;
import app.korvel.core.assessment.StageReading;
import app.korvel.core.assessment.StepBench;
import app.korvel.core.assessment.TalkSteps;
import app.korvel.core.assessment.TestEvent;
import app.korvel.core.assessment.TestPerson;
import app.korvel.core.assessment.TestPlan;
import app.korvel.core.assessment.TestPosture;
import app.korvel.core.assessment.TestTarget;
import app.korvel.core.assessment.UptakeBySex;
import app.korvel.core.assessment.Vitals;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import app.korvel.server.web.Within;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What the calculators of the tests are asked, and what they answer. */
final class AssessmentCalculatorViews {
  private AssessmentCalculatorViews() {}

  static OptionalInt optional(@Nullable Integer value) {
    return value == null ? OptionalInt.empty() : OptionalInt.of(value);
  }

  static @Nullable Integer number(OptionalInt value) {
    return value.isPresent() ? value.getAsInt() : null;
  }

  private static Set<EffortContext> contexts(
      @Nullable Set<EffortContext> given, @Nullable Integer age) {
    Set<EffortContext> all = EnumSet.noneOf(EffortContext.class);
    all.addAll(given == null ? Set.of() : given);
    if (age != null && age < Threshold.UNDER_18.whole()) {
      all.add(EffortContext.UNDER_18);
    }
    return all;
  }

  /** Faults of a part, named by where it stands. */
  private static <T> T at(String place, Supplier<T> part) {
    try {
      return part.get();
    } catch (InvalidValueException invalid) {
      throw InvalidValueException.of(
          invalid.faults().stream()
              .map(
                  fault ->
                      new Fault(place + "." + fault.field(), fault.message(), fault.accepted()))
              .toList());
    }
  }

  // The benches.

  record StepTestRequest(
      StepBench bench,
      Integer pace,
      Integer beats,
      Integer windowSeconds,
      @Within(Limit.TEST_SECONDS) Integer seconds,
      @Nullable @Within(Limit.AGE) Integer age,
      RateSource source,
      @Nullable Set<EffortContext> contexts) {
    StepTestAnswer answer() {
      bench.checkPace(pace);
      CountWindow window = CountWindow.of(windowSeconds);
      if (window != bench.window()) {
        throw InvalidValueException.of(
            "windowSeconds",
            windowSeconds + " s is not how this bench is counted",
            bench.window().seconds() + " seconds");
      }
      StepBench.Result result =
          bench.result(
              pace,
              PulseCount.of(beats, window).bpm(),
              Duration.ofSeconds(seconds),
              source,
              AssessmentCalculatorViews.contexts(contexts, age));
      return new StepTestAnswer(result.bpm(), result.vo2max().orElse(null), result.findings());
    }
  }

  /**
   * What a bench comes to.
   *
   * @param vo2max null where none is computed
   */
  record StepTestAnswer(int bpm, @Nullable BigDecimal vo2max, List<Finding> findings) {}

  // The mile.

  record MileWalkRequest(
      @Within(Limit.AGE) Integer age,
      Sex sex,
      @Within(Limit.WEIGHT) BigDecimal weightKg,
      @Within(Limit.MILE_SECONDS) Integer seconds,
      @Within(Limit.SESSION_RATE) Integer bpm,
      RateSource source,
      @Nullable Set<EffortContext> contexts) {
    MileWalkAnswer answer() {
      MileWalk.Result result =
          new MileWalk(age, weightKg, Duration.ofSeconds(seconds), bpm)
              .result(sex, source, AssessmentCalculatorViews.contexts(contexts, age), true);
      return new MileWalkAnswer(vo2max(result.vo2max()), result.findings());
    }

    /** One figure, or where the sex is not given both. */
    private static @Nullable Object vo2max(UptakeBySex uptake) {
      return uptake.isEmpty()
          ? null
          : uptake.single().map(Object.class::cast).orElseGet(() -> BySex.of(uptake));
    }
  }

  /** A figure for a man and one for a woman; null for the one that is not asked for. */
  record BySex(@Nullable BigDecimal men, @Nullable BigDecimal women) {
    static BySex of(UptakeBySex uptake) {
      return new BySex(uptake.men().orElse(null), uptake.women().orElse(null));
    }
  }

  /**
   * What the mile comes to.
   *
   * @param vo2max a number; for a sex that is not given, that of men and of women; null for none
   */
  record MileWalkAnswer(@Nullable Object vo2max, List<Finding> findings) {}

  // The steps of talk.

  record TalkStep(@Within(Limit.SESSION_RATE) Integer bpm, @Within(Limit.VOICE) Integer voice) {}

  record TalkStepsRequest(
      List<TalkStep> steps, RateSource source, @Nullable Set<EffortContext> contexts) {
    private static final Set<EffortContext> LOWER_ONLY =
        Set.of(
            EffortContext.PREGNANCY,
            EffortContext.UNDER_18,
            EffortContext.HEART_CONDITION,
            EffortContext.HEART_FAILURE);

    TalkStepsAnswer answer() {
      Set<EffortContext> all = AssessmentCalculatorViews.contexts(contexts, null);
      boolean lowerOnly = all.stream().anyMatch(LOWER_ONLY::contains);
      TalkSteps talk =
          TalkSteps.of(
              steps.stream().map(step -> TalkSteps.Step.of(step.bpm, step.voice)).toList(),
              source,
              lowerOnly);
      return new TalkStepsAnswer(
          number(talk.lowerBpm()),
          number(talk.upperBpm()),
          number(talk.widthBpm()),
          talk.departures(),
          talk.grade(),
          talk.findings(lowerOnly));
    }
  }

  /**
   * What the steps of talk come to.
   *
   * @param lowerBpm null where the first step was not spoken in whole sentences
   * @param upperBpm null where the test ended sooner
   */
  record TalkStepsAnswer(
      @Nullable Integer lowerBpm,
      @Nullable Integer upperBpm,
      @Nullable Integer widthBpm,
      List<String> departures,
      Grade grade,
      List<Finding> findings) {}

  // The graded test.

  record TestTargetRequest(TestTarget.Kind kind, Integer value) {}

  /** Rate, pressure and RPE before or after the work. */
  record VitalsRequest(
      @Within(Limit.SESSION_RATE) Integer bpm,
      Integer systolic,
      Integer diastolic,
      @Nullable @Within(Limit.EFFORT) Integer rpe20) {
    Vitals vitals() {
      return new Vitals(
          OptionalInt.of(bpm),
          Optional.of(new BloodPressure(systolic, diastolic)),
          optional(rpe20));
    }
  }

  record BaselineRequest(@Nullable VitalsRequest lying, @Nullable VitalsRequest standing) {
    Baseline baseline() {
      Map<TestPosture, Vitals> readings = new EnumMap<>(TestPosture.class);
      if (lying != null) {
        readings.put(TestPosture.LYING, at("baseline.lying", lying::vitals));
      }
      if (standing != null) {
        readings.put(TestPosture.STANDING, at("baseline.standing", standing::vitals));
      }
      if (readings.isEmpty()) {
        throw InvalidValueException.of(
            "baseline", "has no rate and pressure", "lying, standing, or both");
      }
      return new Baseline(readings, Optional.empty(), false);
    }
  }

  record StageRequest(
      @Within(Limit.SESSION_RATE) Integer bpm,
      @Nullable Integer systolic,
      @Nullable Integer diastolic,
      @Nullable @Within(Limit.EFFORT) Integer rpe20,
      @Nullable Boolean walked,
      @Nullable Boolean steady) {
    StageReading reading() {
      return new StageReading(
          OptionalInt.of(bpm),
          systolic == null || diastolic == null
              ? Optional.empty()
              : Optional.of(new BloodPressure(systolic, diastolic)),
          optional(rpe20),
          Optional.ofNullable(walked),
          Boolean.TRUE.equals(steady));
    }
  }

  record RecoveryReading(
      Integer atSeconds,
      @Within(Limit.SESSION_RATE) Integer bpm,
      Integer systolic,
      Integer diastolic,
      @Nullable @Within(Limit.EFFORT) Integer rpe20,
      @Nullable Boolean symptoms) {
    GradedRecovery.Reading reading() {
      return new GradedRecovery.Reading(
          Duration.ofSeconds(atSeconds),
          new VitalsRequest(bpm, systolic, diastolic, rpe20).vitals(),
          Boolean.TRUE.equals(symptoms));
    }
  }

  /** Why the work ended. */
  enum EndReason {
    TARGET(TestEvent.Reason.TARGET),
    EXHAUSTION(TestEvent.Reason.EXHAUSTION),
    SIGN(TestEvent.Reason.SIGN),
    CLIENT(TestEvent.Reason.CLIENT);

    private final TestEvent.Reason reason;

    EndReason(TestEvent.Reason reason) {
      this.reason = reason;
    }
  }

  /**
   * A graded test.
   *
   * @param target null for one to exhaustion
   * @param stages those that were begun, in order
   * @param seconds how long the work lasted
   * @param recovery in the order of time
   */
  record GradedTestRequest(
      @Within(Limit.AGE) Integer age,
      Sex sex,
      @Nullable @Within(Limit.WEIGHT) BigDecimal weightKg,
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Within(Limit.STANDARD_ERROR) BigDecimal maximumErrorBpm,
      String protocol,
      @Nullable TestTargetRequest target,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      BaselineRequest baseline,
      List<StageRequest> stages,
      @Within(Limit.TEST_SECONDS) Integer seconds,
      EndReason endReason,
      @Nullable Boolean holdingRail,
      @Nullable List<RecoveryReading> recovery,
      @Nullable TestPosture recoveryPosture,
      @Nullable Set<EffortContext> contexts) {

    GradedTestAnswer answer() {
      GradedProtocol rows = rows();
      Reserve reserve = Reserve.of(restingBpm, maximumBpm);
      TestPerson person =
          new TestPerson(
              age,
              sex,
              Optional.ofNullable(weightKg),
              Optional.of(reserve),
              maximumErrorBpm,
              optional(capBpm),
              Effects.TOP_EFFORT,
              AssessmentCalculatorViews.contexts(contexts, age));
      Optional<TestTarget> aim =
          Optional.ofNullable(target)
              .map(wanted -> TestTarget.of(wanted.kind, wanted.value, reserve, person.capBpm()));
      TestPosture after = recoveryPosture == null ? TestPosture.LYING : recoveryPosture;
      TestPlan.Graded setup =
          new TestPlan.Graded(rows, aim, aim.isEmpty(), "calculator", after, Optional.empty());
      Baseline before = baseline.baseline();
      GradedResult result =
          GradedResult.of(
              person,
              endReason == EndReason.EXHAUSTION ? exhausted(setup) : setup,
              RateSource.STRAP,
              before.standing(),
              new GradedResult.Done(
                  readings(rows),
                  Duration.ofSeconds(seconds),
                  endReason.reason,
                  Boolean.TRUE.equals(holdingRail)));
      List<Finding> findings = new ArrayList<>();
      aim.map(TestTarget::finding).ifPresent(findings::add);
      findings.addAll(result.findings());
      List<GradedRecovery.Reading> after60 = recovered();
      GradedRecovery back =
          GradedRecovery.of(
              after60,
              before.of(after).orElseThrow(),
              systolicAtEnd(),
              after60.isEmpty() ? Duration.ZERO : after60.get(after60.size() - 1).after());
      findings.addAll(back.findings());
      return new GradedTestAnswer(
          aim.map(TestTarget::bpm).orElse(null),
          result.costs().stream().map(StageCost::of).toList(),
          result.wholeStages(),
          number(result.ratePressureProduct()),
          result.met().map(OxygenCost::met).orElse(null),
          result.vo2max().isEmpty() ? null : BySex.of(result.vo2max()),
          result.extrapolation().map(ExtrapolationView::of).orElse(null),
          back.state() == GradedRecovery.State.RECOVERED,
          findings);
    }

    /** One that ends by exhaustion is not judged as one that should have ended before. */
    private static TestPlan.Graded exhausted(TestPlan.Graded setup) {
      return new TestPlan.Graded(
          setup.protocol(),
          Optional.empty(),
          true,
          setup.supervisor(),
          setup.recovery(),
          setup.order());
    }

    private GradedProtocol rows() {
      return GradedProtocols.of(protocol)
          .orElseThrow(
              () ->
                  InvalidValueException.of(
                      "protocol",
                      "“" + protocol + "” is none of those that ship",
                      GradedProtocols.ALL.stream()
                          .map(GradedProtocol::id)
                          .collect(Collectors.joining(", "))));
    }

    private List<StageReading> readings(GradedProtocol rows) {
      int begun = rows.begunAfter(Duration.ofSeconds(seconds));
      if (stages.size() > begun) {
        throw InvalidValueException.of(
            "stages[" + begun + "]",
            "comes after the end of the work at " + seconds + " s",
            "up to " + begun + " stages");
      }
      List<StageReading> readings = new ArrayList<>();
      for (int n = 0; n < stages.size(); n++) {
        readings.add(at("stages[" + n + "]", stages.get(n)::reading));
      }
      return readings;
    }

    private List<GradedRecovery.Reading> recovered() {
      List<GradedRecovery.Reading> readings = new ArrayList<>();
      List<RecoveryReading> given = recovery == null ? List.of() : recovery;
      int last = 0;
      for (int n = 0; n < given.size(); n++) {
        RecoveryReading each = given.get(n);
        if (each.atSeconds <= last) {
          throw InvalidValueException.of(
              "recovery[" + n + "].atSeconds",
              each.atSeconds
                  + (n == 0 ? " lies before the end" : " is no later than the one before"),
              "seconds after the end of the work, rising");
        }
        last = each.atSeconds;
        readings.add(at("recovery[" + n + "]", each::reading));
      }
      return readings;
    }

    private Optional<Integer> systolicAtEnd() {
      return stages.stream()
          .flatMap(stage -> Optional.ofNullable(stage.systolic).stream())
          .reduce((before, after) -> after);
    }
  }

  /** What a stage costs; null where it cannot be told. */
  record StageCost(@Nullable BigDecimal vo2, @Nullable BigDecimal met) {
    static StageCost of(Optional<OxygenCost> cost) {
      return new StageCost(
          cost.map(OxygenCost::vo2).orElse(null), cost.map(OxygenCost::met).orElse(null));
    }
  }

  /** VO₂max read off the line, and its interval. */
  record ExtrapolationView(BigDecimal vo2max, BigDecimal low, BigDecimal high) {
    static ExtrapolationView of(Extrapolation line) {
      return new ExtrapolationView(tenths(line.vo2max()), tenths(line.low()), tenths(line.high()));
    }

    private static BigDecimal tenths(double value) {
      return Rounding.tenths(BigDecimal.valueOf(value));
    }
  }

  /**
   * What a graded test comes to.
   *
   * @param targetBpm null for one to exhaustion
   * @param ratePressureProduct of the last whole stage; null without one
   * @param met of the last whole stage
   * @param vo2max from the time to exhaustion
   * @param extrapolation along the line of rate on VO₂
   */
  record GradedTestAnswer(
      @Nullable Integer targetBpm,
      List<StageCost> stages,
      int wholeStages,
      @Nullable Integer ratePressureProduct,
      @Nullable BigDecimal met,
      @Nullable BySex vo2max,
      @Nullable ExtrapolationView extrapolation,
      boolean recovered,
      List<Finding> findings) {}
}
