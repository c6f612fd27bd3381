package app.korvel.core.assessment;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.CountWindow;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** The two benches of the three-minute step test. */
public enum StepBench {
  /** Sit at once; one minute is counted from within 5 s of the end. Compared with one's own. */
  LOW("Low bench", "0.305", List.of(Pace.P24_LOW), CountWindow.S60),
  /** Stay standing; 15 s are counted from 5 to 20 s after the end (McArdle et al. 1972). */
  HIGH("High bench", "0.413", List.of(Pace.P24, Pace.P22), CountWindow.S15);

  /** How fast, and the line from the rate to VO₂max that goes with it. */
  private enum Pace {
    P24_LOW(24, Optional.empty(), "0"),
    P24(24, Optional.of("111.33"), "0.42"),
    P22(22, Optional.of("65.81"), "0.1847");

    private final int cycles;
    private final Optional<String> start;
    private final String slope;

    Pace(int cycles, Optional<String> start, String slope) {
      this.cycles = cycles;
      this.start = start;
      this.slope = slope;
    }

    private Optional<BigDecimal> vo2max(int bpm) {
      return start.map(
          from ->
              Rounding.tenths(
                  new BigDecimal(from)
                      .subtract(new BigDecimal(slope).multiply(BigDecimal.valueOf(bpm)))));
    }
  }

  /** How long it takes. */
  public static final Duration LENGTH = Duration.ofMinutes(Threshold.STEP_TEST_MINUTES.whole());

  /** Up, up, down, down. */
  private static final int STEPS = 4;

  private final String displayName;
  private final String metres;
  private final List<Pace> paces;
  private final CountWindow window;

  StepBench(String displayName, String metres, List<Pace> paces, CountWindow window) {
    this.displayName = displayName;
    this.metres = metres;
    this.paces = paces;
    this.window = window;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** Height of the bench, m. */
  public BigDecimal metres() {
    return new BigDecimal(metres);
  }

  /** The paces it can be done at, cycles a minute. */
  public List<Integer> paces() {
    return paces.stream().map(pace -> pace.cycles).toList();
  }

  /** How long is counted after it. */
  public CountWindow window() {
    return window;
  }

  /** Beats of the metronome in a minute. */
  public static int metronome(int pace) {
    return pace * STEPS;
  }

  /**
   * Checks a pace.
   *
   * @throws InvalidValueException when the bench is not climbed at it
   */
  public void checkPace(int pace) {
    if (!paces().contains(pace)) {
      throw InvalidValueException.of(
          "pace",
          pace + " a minute is not a pace of this test",
          paces().stream().map(String::valueOf).collect(Collectors.joining(" or "))
              + " cycles a minute");
    }
  }

  /**
   * What came of it.
   *
   * @param bpm the rate after it
   * @param vo2max ml·kg⁻¹·min⁻¹ to one decimal; empty where it is not computed
   * @param findings what is to be known of it
   */
  public record Result(int bpm, Optional<BigDecimal> vo2max, List<Finding> findings) {
    public Result {
      findings = List.copyOf(findings);
    }
  }

  /**
   * What a rate after it comes to.
   *
   * @param pace cycles a minute
   * @param held how long it was kept up
   * @throws InvalidValueException for a pace that is none of its own
   */
  public Result result(
      int pace, int bpm, Duration held, RateSource source, Set<EffortContext> contexts) {
    checkPace(pace);
    List<Finding> findings = new ArrayList<>();
    if (held.compareTo(LENGTH) < 0) {
      findings.add(AssessmentFinding.STEP_TEST_SHORT.of(held.toSeconds()));
      return new Result(bpm, Optional.empty(), findings);
    }
    Optional<BigDecimal> vo2max =
        paces.stream()
            .filter(each -> each.cycles == pace)
            .findFirst()
            .flatMap(each -> each.vo2max(bpm));
    if (vo2max.isEmpty()) {
      findings.add(AssessmentFinding.OWN_COMPARISON.of());
      return new Result(bpm, vo2max, findings);
    }
    Optional<Finding> not = NoUptake.because(contexts, source);
    findings.add(not.orElseGet(() -> AssessmentFinding.BENCH_UPTAKE.of(pace)));
    return new Result(bpm, not.isPresent() ? Optional.empty() : vo2max, findings);
  }
}
