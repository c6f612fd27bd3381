package app.korvel.core.assessment;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Sex;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One mile, walked (Kline et al. 1987).
 *
 * @param age whole years
 * @param weightKg of the body
 * @param time the mile took
 * @param bpm the rate of its last minute
 */
public record MileWalk(int age, BigDecimal weightKg, Duration time, int bpm) {
  private static final BigDecimal POUNDS = new BigDecimal("2.20462");

  /**
   * A mile.
   *
   * @throws InvalidValueException when a figure is out of range
   */
  public MileWalk {
    Limit.AGE.check("age", age);
    Limit.WEIGHT.check("weightKg", weightKg);
    Limit.MILE_SECONDS.check("seconds", Math.toIntExact(time.toSeconds()));
    Limit.SESSION_RATE.check("bpm", bpm);
  }

  /**
   * What came of it.
   *
   * @param vo2max empty where it is not computed
   * @param findings what is to be known of it
   */
  public record Result(UptakeBySex vo2max, List<Finding> findings) {
    public Result {
      findings = List.copyOf(findings);
    }
  }

  /**
   * VO₂max, or why it is not computed.
   *
   * @param asFastAsPossible false where it was walked inside a target: time and rate only
   */
  public Result result(
      Sex sex, RateSource source, Set<EffortContext> contexts, boolean asFastAsPossible) {
    if (!asFastAsPossible) {
      return new Result(UptakeBySex.NONE, List.of(AssessmentFinding.MILE_INSIDE_TARGET.of()));
    }
    Optional<Finding> not = NoUptake.because(contexts, source);
    if (not.isPresent()) {
      return new Result(UptakeBySex.NONE, List.of(not.get()));
    }
    List<Finding> findings = new ArrayList<>();
    findings.add(AssessmentFinding.MILE_UPTAKE.of(Threshold.MILE_ERROR.value()));
    if (age < Threshold.MILE_YOUNGEST.whole() || age > Threshold.MILE_OLDEST.whole()) {
      findings.add(AssessmentFinding.MILE_AGE.of(age));
    }
    return new Result(
        UptakeBySex.of(Optional.of(vo2max(true)), Optional.of(vo2max(false)), sex), findings);
  }

  private BigDecimal vo2max(boolean man) {
    BigDecimal pounds = Rounding.tenths(weightKg.multiply(POUNDS));
    BigDecimal minutes =
        BigDecimal.valueOf(time.toSeconds()).divide(BigDecimal.valueOf(60), MathContext.DECIMAL64);
    return Rounding.tenths(
        new BigDecimal("132.853")
            .subtract(new BigDecimal("0.0769").multiply(pounds))
            .subtract(new BigDecimal("0.3877").multiply(BigDecimal.valueOf(age)))
            .add(man ? new BigDecimal("6.315") : BigDecimal.ZERO)
            .subtract(new BigDecimal("3.2649").multiply(minutes))
            .subtract(new BigDecimal("0.1565").multiply(BigDecimal.valueOf(bpm))));
  }
}
