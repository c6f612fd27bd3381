package app.korvel.core.pulse;

/** What raises or lowers a resting pulse for the hour. */
public enum Disturbance {
  CAFFEINE,
  NICOTINE,
  EXERCISE,
  ILLNESS,
  STRESS,
  HEAT
}
