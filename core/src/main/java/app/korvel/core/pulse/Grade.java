package app.korvel.core.pulse;

/** What a reading is worth, best first. */
public enum Grade {
  GOOD,
  FAIR,
  POOR
}
