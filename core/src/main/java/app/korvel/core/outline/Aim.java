package app.korvel.core.outline;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.Cap;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Target;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A range of reserve in every language someone is told it in.
 *
 * @param target by rate; empty where no rate may be used, or a cap lies below it
 * @param levels how it feels and sounds, from the lower to the upper edge
 * @param rpe20 perceived exertion on 6–20
 * @param rpe10 perceived exertion on a 0–10 scale
 * @param effortHeld whether the range asks for a harder effort than they may give
 * @param findings what a cap did
 */
public record Aim(
    Optional<Target> target,
    List<Level> levels,
    RpeSpan rpe20,
    RpeSpan rpe10,
    boolean effortHeld,
    List<Finding> findings) {

  public Aim {
    levels = List.copyOf(levels);
    findings = List.copyOf(findings);
  }

  /**
   * Works it out.
   *
   * @param reserve empty where no rate may be used
   * @param cap the rate that nothing goes above, if one was written
   * @param highestEffort the hardest effort, on 6–20
   */
  public static Aim of(
      Percents range,
      Optional<Reserve> reserve,
      Optional<Cap> cap,
      int highestEffort,
      RpeFamily family) {
    Optional<Target.UnderCap> under =
        reserve.map(
            span ->
                Target.of(
                    Anchors.of(span),
                    Basis.RESERVE,
                    BigDecimal.valueOf(range.low()),
                    BigDecimal.valueOf(range.high()),
                    cap.map(each -> OptionalInt.of(each.bpm())).orElse(OptionalInt.empty())));
    List<Level> asked = levels(range);
    List<Level> levels = held(asked, highestEffort);
    Level hardest = asked.get(asked.size() - 1);
    return new Aim(
        under.flatMap(Target.UnderCap::target),
        levels,
        rpe(levels, highestEffort),
        levels.get(0).rpe10(family).to(levels.get(levels.size() - 1).rpe10(family)),
        hardest.rpe20().high() > highestEffort,
        under.map(Target.UnderCap::findings).orElse(List.of()));
  }

  /** From the level of the lower edge to that of the upper one, which ends below the next. */
  private static List<Level> levels(Percents range) {
    Level low = Level.atPercent(BigDecimal.valueOf(range.low()));
    Level high =
        range.low() == range.high() ? low : Level.atPercent(BigDecimal.valueOf(range.high() - 1L));
    return List.of(Level.values()).subList(low.ordinal(), high.ordinal() + 1);
  }

  /** The levels whose effort stays within what is held; at least the one it is held at. */
  private static List<Level> held(List<Level> levels, int highestEffort) {
    List<Level> within =
        levels.stream().filter(level -> level.rpe20().low() <= highestEffort).toList();
    return within.isEmpty()
        ? List.of(
            Arrays.stream(Level.values())
                .filter(level -> level.rpe20().high() >= highestEffort)
                .findFirst()
                .orElseThrow())
        : within;
  }

  private static RpeSpan rpe(List<Level> levels, int highestEffort) {
    RpeSpan span = levels.get(0).rpe20().to(levels.get(levels.size() - 1).rpe20());
    // The upper end is held; a lighter target is never pushed up to a range's lower end.
    int high = Math.min(span.high(), highestEffort);
    return new RpeSpan(Math.min(span.low(), high), high);
  }
}
