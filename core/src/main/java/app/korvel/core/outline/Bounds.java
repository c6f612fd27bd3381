package app.korvel.core.outline;

import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Scope;

/**
 * What the sessions of someone keep to.
 *
 * @param ceiling how hard at most
 * @param warmUpMinutes warm-up, at least
 * @param coolDownMinutes cool-down, at least
 */
public record Bounds(Ceiling ceiling, int warmUpMinutes, int coolDownMinutes) {
  /** What every session keeps to, whoever does it. */
  public static final Bounds FOR_ANYONE =
      new Bounds(Ceiling.FOR_ANYONE, Effects.NONE.warmUpMinutes(), Effects.NONE.coolDownMinutes());

  /** Those of one person. */
  public static Bounds of(Scope scope) {
    return new Bounds(
        Ceiling.of(scope.person(), scope.permission()),
        scope.effects().warmUpMinutes(),
        scope.effects().coolDownMinutes());
  }
}
