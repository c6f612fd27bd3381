package app.korvel.core.assessment;

import app.korvel.core.assessment.GradedProtocol.Stage;
import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a graded test came to.
 *
 * @param costs what each stage that was begun costs; empty where it cannot be told
 * @param wholeStages how many were whole
 * @param ratePressureProduct rate times systolic, of the last whole stage
 * @param met of the last whole stage
 * @param vo2max from the time to exhaustion
 * @param extrapolation along the line of rate on VO₂
 * @param findings what is to be known of it
 */
public record GradedResult(
    List<Optional<OxygenCost>> costs,
    int wholeStages,
    OptionalInt ratePressureProduct,
    Optional<OxygenCost> met,
    UptakeBySex vo2max,
    Optional<Extrapolation> extrapolation,
    List<Finding> findings) {

  /**
   * What was done.
   *
   * @param stages what was read in each stage that was begun
   * @param work how long the work lasted
   * @param end why it ended
   * @param holdingRail whether the rail was held
   */
  public record Done(
      List<StageReading> stages, Duration work, TestEvent.Reason end, boolean holdingRail) {
    public Done {
      stages = List.copyOf(stages);
    }
  }

  public GradedResult {
    costs = List.copyOf(costs);
    findings = List.copyOf(findings);
  }

  /**
   * Works it out.
   *
   * @param standing the baseline that stands for standing
   */
  public static GradedResult of(
      TestPerson person,
      TestPlan.Graded setup,
      RateSource source,
      Optional<Vitals> standing,
      Done done) {
    GradedProtocol protocol = setup.protocol();
    int whole = Math.min(protocol.wholeAfter(done.work), done.stages.size());
    List<Optional<OxygenCost>> costs = new ArrayList<>();
    for (int n = 0; n < done.stages.size(); n++) {
      Stage stage = protocol.stages().get(n);
      costs.add(stage.work().cost(person.weightKg(), done.stages.get(n).walked()));
    }
    List<Finding> findings = new ArrayList<>(seen(person, setup, standing, done.stages));
    if (whole == 0) {
      findings.add(AssessmentFinding.NOT_ONE_STAGE.of());
      return new GradedResult(
          costs,
          0,
          OptionalInt.empty(),
          Optional.empty(),
          UptakeBySex.NONE,
          Optional.empty(),
          findings);
    }
    StageReading last = done.stages.get(whole - 1);
    if (done.holdingRail) {
      findings.add(AssessmentFinding.MET_AT_MOST.of());
    }
    UptakeBySex uptake = uptake(person, setup, done);
    if (!uptake.isEmpty()) {
      findings.add(
          AssessmentFinding.EXHAUSTION_UPTAKE.of(uptake.words(), minutes(standard(setup, done))));
    }
    return new GradedResult(
        costs,
        whole,
        product(last),
        costs.get(whole - 1),
        uptake,
        extrapolation(person, source, done, costs.subList(0, whole), findings),
        findings);
  }

  private static OptionalInt product(StageReading last) {
    return last.bpm().isPresent() && last.pressure().isPresent()
        ? OptionalInt.of(last.bpm().getAsInt() * last.pressure().get().systolic())
        : OptionalInt.empty();
  }

  private static Duration standard(TestPlan.Graded setup, Done done) {
    return done.work.minus(setup.protocol().standardAfter().orElse(Duration.ZERO));
  }

  private static UptakeBySex uptake(TestPerson person, TestPlan.Graded setup, Done done) {
    boolean counts =
        done.end == TestEvent.Reason.EXHAUSTION
            && !done.holdingRail
            && setup.protocol().standardFrom().isPresent();
    return counts ? ExhaustionTime.of(standard(setup, done), person.sex()) : UptakeBySex.NONE;
  }

  private static String minutes(Duration time) {
    return time.toMinutes() + " min " + time.toSecondsPart() + " s";
  }

  private static Optional<Extrapolation> extrapolation(
      TestPerson person,
      RateSource source,
      Done done,
      List<Optional<OxygenCost>> costs,
      List<Finding> findings) {
    Optional<Finding> not = NoUptake.because(person.contexts(), source);
    if (not.isPresent() || person.reserve().isEmpty()) {
      not.ifPresent(findings::add);
      return Optional.empty();
    }
    if (done.holdingRail) {
      return Optional.empty();
    }
    Reserve reserve = person.reserve().get();
    List<Extrapolation.Point> points = new ArrayList<>();
    for (int n = 0; n < costs.size(); n++) {
      StageReading stage = done.stages.get(n);
      boolean counts =
          stage.steady()
              && stage.bpm().isPresent()
              && stage.bpm().getAsInt() >= Extrapolation.from(reserve)
              && stage.bpm().getAsInt() <= Extrapolation.to(reserve);
      if (counts && costs.get(n).isPresent()) {
        points.add(new Extrapolation.Point(costs.get(n).get().vo2(), stage.bpm().getAsInt()));
      }
    }
    Optional<Extrapolation> line =
        Extrapolation.of(points, reserve.maximumBpm(), person.maximumError().doubleValue());
    findings.add(
        line.map(
                found ->
                    AssessmentFinding.EXTRAPOLATED.of(
                        tenths(found.vo2max()),
                        tenths(found.low()),
                        tenths(found.high()),
                        points.size(),
                        reserve.maximumBpm()))
            .orElseGet(
                () ->
                    AssessmentFinding.NOT_EXTRAPOLATED.of(
                        points.size() < 3
                            ? "only " + points.size() + " stages to lay it through"
                            : "it fits too badly, or is too wide")));
    return line;
  }

  private static String tenths(double value) {
    return Rounding.tenths(BigDecimal.valueOf(value)).toPlainString();
  }

  /** What the rules see in the stages, looking back. */
  private static List<Finding> seen(
      TestPerson person,
      TestPlan.Graded setup,
      Optional<Vitals> standing,
      List<StageReading> stages) {
    List<Finding> findings = new ArrayList<>();
    Optional<BloodPressure> before = Optional.empty();
    OptionalInt rate = OptionalInt.empty();
    for (int n = 0; n < stages.size(); n++) {
      StageReading stage = stages.get(n);
      int number = n + 1;
      if (stage.pressure().isPresent()) {
        BloodPressure now = stage.pressure().get();
        StageRules.falls(now, before, standing.flatMap(Vitals::pressure))
            .ifPresent(
                after ->
                    findings.add(
                        AssessmentFinding.SYSTOLIC_FELL.of(number, now.systolic(), after)));
        StageRules.tooHigh(now).ifPresent(findings::add);
        before = stage.pressure();
      }
      if (StageRules.flat(stage.bpm(), rate, person.reserve())) {
        findings.add(
            AssessmentFinding.RATE_FLAT.of(number, stage.bpm().getAsInt(), rate.getAsInt()));
      }
      rate = stage.bpm().isPresent() ? stage.bpm() : rate;
      stage
          .rpe20()
          .ifPresent(rpe -> StageRules.tooHard(rpe, person, setup).ifPresent(findings::add));
    }
    return findings;
  }

  /** How close the last two readings of a steady stage are. */
  public static boolean steady(int bpm, int before) {
    return Math.abs(bpm - before) <= Threshold.EXTRAPOLATE_STEADY.whole();
  }
}
