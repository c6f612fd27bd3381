package app.korvel.core.effort;

/**
 * What about a person decides how much each of the three witnesses of effort is worth, and from
 * where on it is too much.
 */
public enum EffortContext {
  RATE_LOWERING_MEDICINE,
  /** The maximum was measured on the present rate-lowering medication. */
  MAXIMUM_ON_MEDICINE,
  HEART_CONDITION,
  HEART_FAILURE,
  DEFIBRILLATOR,
  IRREGULAR_RHYTHM,
  PACEMAKER,
  NEUROPATHY,
  RESPIRATORY,
  PREGNANCY,
  UNDER_18,
  /** In the first 12 weeks of someone who began at no or little activity. */
  NEW_TO_EXERCISE
}
