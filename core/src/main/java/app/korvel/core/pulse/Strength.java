package app.korvel.core.pulse;

/** How strongly a pulse is felt. */
public enum Strength {
  WEAK,
  NORMAL,
  STRONG,
  BOUNDING
}
