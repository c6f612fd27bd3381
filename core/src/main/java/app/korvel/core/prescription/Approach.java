package app.korvel.core.prescription;

/** The two approaches to starting someone who is new to exercise. */
public enum Approach {
  /** 30–40 % of reserve for up to 12 weeks, then moderate. */
  CAUTIOUS,
  /** 40–50 % of reserve at once. */
  GUIDELINE
}
