package app.korvel.core.zone;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Working;
import app.korvel.core.measure.Working.Line;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The range prescribed for one piece of work: both edges rounded half up and both included. Equal
 * edges are a single rate.
 *
 * @param lowBpm lower edge
 * @param highBpm upper edge
 * @param capped whether a cap cut the upper edge
 * @param counts the range as beats to count
 */
public record Target(int lowBpm, int highBpm, boolean capped, CountCard counts) {

  /**
   * A target under an optional cap.
   *
   * @param target the range; empty where the cap lies below it
   * @param findings what the cap did
   */
  public record UnderCap(Optional<Target> target, List<Finding> findings) {
    public UnderCap {
      findings = List.copyOf(findings);
    }
  }

  /**
   * The target between two figures of a basis.
   *
   * @param low figure accepted by {@code basis}
   * @param high figure accepted by {@code basis}, not under {@code low}
   * @param cap a clinician's cap, {@link Limit#CAP}, which cuts the target from above
   * @throws InvalidValueException when a figure or the cap is out of range, or they are in the
   *     wrong order, or the rate goes past {@link Limit#PULSE}, or the basis counts from thresholds
   *     and there are none
   */
  public static UnderCap of(
      Anchors anchors, Basis basis, BigDecimal low, BigDecimal high, OptionalInt cap) {
    basis.limit().check("low", low);
    basis.limit().check("high", high);
    if (low.compareTo(high) > 0) {
      throw InvalidValueException.of(
          "high",
          high.toPlainString() + " is under low (" + low.toPlainString() + ")",
          "a figure of at least low, up to "
              + basis.limit().highest()
              + " "
              + basis.limit().unit());
    }
    if (basis == Basis.MEASURED) {
      checkWhole("low", low);
      checkWhole("high", high);
    }
    cap.ifPresent(bpm -> Limit.CAP.check("capBpm", bpm));
    int lowBpm = basis.rateAt(low, anchors);
    int highBpm = basis.rateAt(high, anchors);
    if (highBpm > Limit.PULSE.highest()) {
      throw InvalidValueException.of(
          "high",
          high.toPlainString() + " comes to " + highBpm + " bpm",
          "a figure that comes to at most " + Limit.PULSE.highest() + " bpm");
    }
    if (cap.isEmpty() || cap.getAsInt() >= highBpm) {
      return new UnderCap(
          Optional.of(new Target(lowBpm, highBpm, false, CountCard.of(lowBpm, highBpm, cap))),
          List.of());
    }
    int capBpm = cap.getAsInt();
    if (capBpm < lowBpm) {
      return new UnderCap(Optional.empty(), List.of(ZoneFinding.CAP_BELOW_TARGET.of(capBpm)));
    }
    return new UnderCap(
        Optional.of(new Target(lowBpm, capBpm, true, CountCard.of(lowBpm, capBpm, cap))),
        List.of(ZoneFinding.CAP_CUTS.of(capBpm)));
  }

  /**
   * The same with a lower upper edge.
   *
   * @param bpm within it
   */
  public Target endingAt(int bpm) {
    return new Target(lowBpm, bpm, capped, CountCard.of(lowBpm, bpm, OptionalInt.of(bpm)));
  }

  /**
   * The target and its counts worked out step by step.
   *
   * @param low see {@link #of}
   * @param high see {@link #of}
   * @param cap see {@link #of}
   * @throws InvalidValueException as {@link #of}
   * @throws RefusedException when the cap lies below the target
   */
  public static Working longHand(
      Anchors anchors, Basis basis, BigDecimal low, BigDecimal high, OptionalInt cap) {
    UnderCap result = of(anchors, basis, low, high, cap);
    Target target = result.target().orElseThrow(() -> RefusedException.because(result.findings()));
    List<Line> lines = new ArrayList<>();
    if (basis == Basis.RESERVE) {
      lines.add(anchors.reserve().line());
    }
    boolean single = low.compareTo(high) == 0;
    lines.addAll(basis.lines(single ? "Target" : "Lower edge", low, anchors));
    if (!single) {
      lines.addAll(basis.lines("Upper edge", high, anchors));
    }
    if (target.capped) {
      lines.add(
          Line.of(
              ZoneFinding.CAP_CUTS.code(),
              "The cap cuts it",
              "the smaller of " + basis.rateAt(high, anchors) + " and " + cap.getAsInt(),
              BigDecimal.valueOf(target.highBpm),
              "bpm",
              Working.Finish.EXACT));
    }
    lines.addAll(CountCard.lines(target.lowBpm, target.highBpm, cap, CountCard.WINDOWS_EVERYDAY));
    return Working.of(lines);
  }

  /** Measured rates are numbered; there is nothing between two of them. */
  private static void checkWhole(String field, BigDecimal figure) {
    if (figure.stripTrailingZeros().scale() > 0) {
      throw InvalidValueException.of(
          field,
          figure.toPlainString() + " lies between two measured rates",
          "0 rest, 1 the lower threshold, 2 the upper one, 3 the maximum");
    }
  }

  /** The target between two percents of reserve, without a cap. */
  public static Target ofReserve(Reserve reserve, int low, int high) {
    return of(
            Anchors.of(reserve),
            Basis.RESERVE,
            BigDecimal.valueOf(low),
            BigDecimal.valueOf(high),
            OptionalInt.empty())
        .target()
        .orElseThrow();
  }
}
