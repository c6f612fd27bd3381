package app.korvel.core.talk;

/** What makes a day unusual: talk rates may be off by more, all checks of that day alike. */
public enum OddDay {
  HEAT("Heat or poor air"),
  LIGHT_ONLY("“Light only” at check-in"),
  LITTLE_SLEEP("Little sleep"),
  ILLNESS_COMING("Illness coming"),
  DEHYDRATION("Dehydration"),
  CAFFEINE("Caffeine within 3 hours"),
  RAISING_MEDICINE("Rate-raising medication today"),
  ALTITUDE("Altitude new to them");

  private final String displayName;

  OddDay(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }
}
