package app.korvel.core.live;

import app.korvel.core.live.Course.Told;
import app.korvel.core.measure.Threshold;
import java.util.OptionalInt;
import java.util.function.Function;

/**
 * One kind of what was told, for as long as it is in force: until the step ends, for {@link
 * Threshold#RATING_LASTS} at most, and until the rate has moved by {@link Threshold#RATING_MOVED}
 * since; over the target it stays {@link Threshold#RATING_OVER_STAYS} at least, whatever the rate
 * does.
 */
final class InForce {
  private static final int LASTS = Threshold.RATING_LASTS.whole();
  private static final int MOVED = Threshold.RATING_MOVED.whole();
  private static final int OVER_STAYS = Threshold.RATING_OVER_STAYS.whole();

  private final Function<Told, OptionalInt> part;
  private OptionalInt value = OptionalInt.empty();
  private int since;
  private OptionalInt rateThen = OptionalInt.empty();
  private boolean over;

  InForce(Function<Told, OptionalInt> part) {
    this.part = part;
  }

  /**
   * Takes what was told, where it speaks of this.
   *
   * @param over whether it is over what the step asks for
   * @return whether it does
   */
  boolean take(Told told, OptionalInt rate, boolean over) {
    OptionalInt said = part.apply(told);
    if (said.isEmpty()) {
      return false;
    }
    value = said;
    since = told.second();
    rateThen = rate;
    this.over = over;
    return true;
  }

  OptionalInt value() {
    return value;
  }

  /** In which second it was told. */
  int since() {
    return since;
  }

  void stepEnds() {
    value = OptionalInt.empty();
  }

  /** Lets it lapse where its time is over; says whether it just did. */
  boolean lapse(int second, OptionalInt rate) {
    if (value.isEmpty()) {
      return false;
    }
    int age = second - since;
    boolean moved =
        rate.isPresent()
            && rateThen.isPresent()
            && Math.abs(rate.getAsInt() - rateThen.getAsInt()) >= MOVED
            && !(over && age < OVER_STAYS);
    if (age < LASTS && !moved) {
      // A rate that comes after the rating is what it was then.
      rateThen = rateThen.isPresent() ? rateThen : rate;
      return false;
    }
    value = OptionalInt.empty();
    return true;
  }
}
