package app.korvel.core.pulse;

/** What raises or lowers a resting pulse for the hour. */
public enum Confounder {
  CAFFEINE,
  NICOTINE,
  EXERCISE,
  ILLNESS,
  STRESS,
  HEAT
}
