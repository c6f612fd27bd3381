package app.korvel.core.zone;

/** The two families of 0–10 scales of perceived exertion that schools mix. */
public enum RpeFamily {
  /** Moderate is 3 to 4: after the category-ratio idea. The default. */
  RATIO,
  /** Moderate is 5 to 6: evenly spread. */
  LINEAR
}
