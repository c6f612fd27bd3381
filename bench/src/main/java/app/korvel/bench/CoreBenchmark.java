package app.korvel.bench;

import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Bounds;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.ProgrammeGoal;
import app.korvel.core.pulse.Taps;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Schemes;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.ZoneSystems;
import app.korvel.core.zone.Zones;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The rules that a screen asks for most. */
@State(Scope.Benchmark)
@BenchmarkMode(org.openjdk.jmh.annotations.Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(2)
public class CoreBenchmark {
  private static final Person PERSON =
      Person.of(45, Sex.NOT_GIVEN, Activity.SOME, Person.Health.NOTHING_KNOWN);

  private int resting = 50;

  /** Another span at each call, so that nothing can be remembered. */
  private Reserve span() {
    resting = resting == 80 ? 50 : resting + 1;
    return Reserve.of(resting, 176);
  }

  @Benchmark
  public Zones zonesOfOneScheme() {
    return Zones.of(Scheme.of(Scheme.DEFAULT_ID), span(), Uncertainty.USUAL);
  }

  /** With what they call every rate, and where they agree. */
  @Benchmark
  public ZoneSystems everySchool() {
    Reserve span = span();
    Anchors anchors =
        Anchors.of(span, Optional.of(ThresholdRates.of(span.rateAt(55), span.rateAt(80))));
    return ZoneSystems.of(Schemes.ALL, anchors, Uncertainty.USUAL, OptionalInt.empty());
  }

  /** As many taps as are judged at once, jittering as a hand does. */
  private static final List<BigDecimal> TAPS = taps(Threshold.TAPS_MOST.whole());

  private static List<BigDecimal> taps(int howMany) {
    Random hand = new Random(4);
    List<BigDecimal> taps = new ArrayList<>();
    double at = 0;
    for (int i = 0; i < howMany; i++) {
      taps.add(BigDecimal.valueOf(Math.round(at * 10)).movePointLeft(1));
      at += 830 + 40 * hand.nextGaussian();
    }
    return taps;
  }

  @Benchmark
  public Taps twoThousandTaps() {
    return Taps.of(TAPS);
  }

  @Benchmark
  public MaximumEstimates everyEquation() {
    return MaximumEstimates.of(PERSON, OptionalInt.of(span().restingBpm()), Mode.CYCLE);
  }

  @Benchmark
  public Object aTargetLongHand() {
    return Target.longHand(
        Anchors.of(span()),
        Basis.RESERVE,
        BigDecimal.valueOf(50),
        BigDecimal.valueOf(70),
        OptionalInt.of(140));
  }

  private static final app.korvel.core.screening.Scope SCOPE =
      app.korvel.core.screening.Scope.unscreened(PERSON);
  private static final Fitt FIRST =
      Start.of(SCOPE, 7, Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN).parts();
  private static final LocalDate MONDAY = LocalDate.of(2026, 6, 1);

  /** Half a year, five days a week in the end, with every week held against the rules. */
  @Benchmark
  public Object aProgrammeOf26Weeks() {
    LocalDate start = MONDAY.plusDays(span().restingBpm());
    Programme programme =
        Programme.of(
            new Plan(
                FIRST,
                new ProgrammeGoal(60, 60, 5),
                Pace.of(PERSON, FIRST, 0, 12),
                Bounds.of(SCOPE),
                start,
                start.plusWeeks(26).minusDays(1),
                EnumSet.allOf(DayOfWeek.class)));
    return programme.weeksNow(PERSON);
  }
}
