package app.korvel.core.screening;

/** What is measured before a session, besides the pulse, where a context asks for it. */
public enum Measure {
  BLOOD_PRESSURE,
  GLUCOSE,
  WEIGHT
}
