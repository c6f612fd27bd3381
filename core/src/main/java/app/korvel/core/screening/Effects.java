package app.korvel.core.screening;

import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Threshold;
import java.util.Collection;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What a context changes in the work, or several together.
 *
 * @param steering what leads
 * @param highestEffort the hardest effort, on 6–20; 20 where nothing is held
 * @param warmUpMinutes warm-up, at least
 * @param coolDownMinutes cool-down, at least
 * @param leaveOut work that is not allowed
 * @param carry what they have on them
 * @param stopAlso signs to stop at besides those that hold for everyone
 * @param ask what is measured before a session
 * @param kinds the findings that say so
 */
public record Effects(
    IntensityGuide steering,
    int highestEffort,
    int warmUpMinutes,
    int coolDownMinutes,
    List<Contraindication> leaveOut,
    List<String> carry,
    List<String> stopAlso,
    List<Measure> ask,
    List<FindingKind> kinds) {

  private static final int USUAL_MARGIN = Threshold.WARM_UP.whole();

  /** The top of the 6–20 scale. */
  public static final int TOP_EFFORT = 20;

  /** Nothing changes. */
  public static final Effects NONE =
      new Effects(
          IntensityGuide.RATE,
          TOP_EFFORT,
          USUAL_MARGIN,
          USUAL_MARGIN,
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of());

  /** All together: of each limit the strictest, of each list everything. */
  static Effects together(Collection<Effects> all) {
    return all.stream().reduce(NONE, Effects::with);
  }

  private Effects with(Effects other) {
    return new Effects(
        steering.ordinal() >= other.steering.ordinal() ? steering : other.steering,
        Math.min(highestEffort, other.highestEffort),
        Math.max(warmUpMinutes, other.warmUpMinutes),
        Math.max(coolDownMinutes, other.coolDownMinutes),
        union(other, Effects::leaveOut),
        union(other, Effects::carry),
        union(other, Effects::stopAlso),
        union(other, Effects::ask),
        union(other, Effects::kinds));
  }

  private <T> List<T> union(Effects other, Function<Effects, List<T>> part) {
    return Stream.concat(part.apply(this).stream(), part.apply(other).stream()).distinct().toList();
  }

  Effects steerBy(IntensityGuide led) {
    return but(copy -> copy.steering = led);
  }

  Effects effortUpTo(int highest) {
    return but(copy -> copy.highestEffort = highest);
  }

  Effects margins(Threshold warmUp, Threshold coolDown) {
    return but(
        copy -> {
          copy.warmUpMinutes = warmUp.whole();
          copy.coolDownMinutes = coolDown.whole();
        });
  }

  Effects without(Contraindication... work) {
    return but(copy -> copy.leaveOut = List.of(work));
  }

  Effects carrying(String... things) {
    return but(copy -> copy.carry = List.of(things));
  }

  Effects stoppingFor(String... signs) {
    return but(copy -> copy.stopAlso = List.of(signs));
  }

  Effects asking(Measure... measures) {
    return but(copy -> copy.ask = List.of(measures));
  }

  Effects saying(FindingKind... said) {
    return but(copy -> copy.kinds = List.of(said));
  }

  /** The same with one thing changed. */
  private Effects but(Consumer<Copy> change) {
    Copy copy = new Copy(this);
    change.accept(copy);
    return new Effects(
        copy.steering,
        copy.highestEffort,
        copy.warmUpMinutes,
        copy.coolDownMinutes,
        copy.leaveOut,
        copy.carry,
        copy.stopAlso,
        copy.ask,
        copy.kinds);
  }

  /** Effects while they are being changed. */
  private static final class Copy {
    private IntensityGuide steering;
    private int highestEffort;
    private int warmUpMinutes;
    private int coolDownMinutes;
    private List<Contraindication> leaveOut;
    private List<String> carry;
    private List<String> stopAlso;
    private List<Measure> ask;
    private List<FindingKind> kinds;

    private Copy(Effects from) {
      steering = from.steering;
      highestEffort = from.highestEffort;
      warmUpMinutes = from.warmUpMinutes;
      coolDownMinutes = from.coolDownMinutes;
      leaveOut = from.leaveOut;
      carry = from.carry;
      stopAlso = from.stopAlso;
      ask = from.ask;
      kinds = from.kinds;
    }
  }
}
