package app.korvel.core.pulse;

/** How the beats follow each other. */
public enum Rhythm {
  STEADY,
  UNEVEN,
  /** Too few beats were felt to tell. */
  TOO_SHORT
}
