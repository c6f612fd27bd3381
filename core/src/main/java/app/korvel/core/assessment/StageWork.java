package app.korvel.core.assessment;

import app.korvel.core.measure.Rounding;
import java.math.BigDecimal;
import java.util.Optional;

/** What is done in a stage of a graded test. */
public sealed interface StageWork {
  /** As it is read out, for example {@code 4 km/h at 12 %}. */
  String words();

  /**
   * What it costs.
   *
   * @param weightKg of the body; empty where it is not known
   * @param walked whether it was walked or, with false, run; empty where nobody said
   * @return empty where the weight is needed and not known
   */
  Optional<OxygenCost> cost(Optional<BigDecimal> weightKg, Optional<Boolean> walked);

  /** Whether it has to be asked if it was walked or run. */
  default boolean asksHow() {
    return false;
  }

  /**
   * On a treadmill.
   *
   * @param kmh the speed as shown, km/h, to one decimal
   * @param gradePercent the rise, %, to one decimal
   */
  record Treadmill(BigDecimal kmh, BigDecimal gradePercent) implements StageWork {
    /** Over this speed some run and some still walk, km/h. */
    private static final BigDecimal MAY_RUN = BigDecimal.valueOf(6);

    public Treadmill {
      kmh = Rounding.tenths(kmh);
      gradePercent = Rounding.tenths(gradePercent);
    }

    private static String plain(BigDecimal value) {
      return value.stripTrailingZeros().toPlainString();
    }

    @Override
    public String words() {
      return plain(kmh) + " km/h at " + plain(gradePercent) + " %";
    }

    @Override
    public boolean asksHow() {
      return kmh.compareTo(MAY_RUN) > 0;
    }

    @Override
    public Optional<OxygenCost> cost(Optional<BigDecimal> weightKg, Optional<Boolean> walked) {
      OxygenCost walking = OxygenCost.walking(kmh, gradePercent);
      OxygenCost running = OxygenCost.running(kmh, gradePercent);
      if (walked.isPresent()) {
        return Optional.of(walked.get() ? walking : running);
      }
      return Optional.of(
          asksHow() && running.vo2().compareTo(walking.vo2()) < 0 ? running : walking);
    }
  }

  /** On a cycle, at so many watts. */
  record Cycle(int watts) implements StageWork {
    @Override
    public String words() {
      return watts + " W";
    }

    @Override
    public Optional<OxygenCost> cost(Optional<BigDecimal> weightKg, Optional<Boolean> walked) {
      return weightKg.map(kg -> OxygenCost.cycling(BigDecimal.valueOf(watts), kg));
    }
  }

  /**
   * Up and down a step.
   *
   * @param cycles up, up, down, down: so many a minute
   * @param heightCm height of the step, cm
   */
  record Steps(int cycles, int heightCm) implements StageWork {
    @Override
    public String words() {
      return cycles + " times a minute, step of " + heightCm + " cm";
    }

    @Override
    public Optional<OxygenCost> cost(Optional<BigDecimal> weightKg, Optional<Boolean> walked) {
      return Optional.of(
          OxygenCost.stepping(BigDecimal.valueOf(cycles), BigDecimal.valueOf(heightCm, 2)));
    }
  }
}
