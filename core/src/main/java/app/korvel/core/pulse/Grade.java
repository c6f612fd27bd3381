package app.korvel.core.pulse;

/** What a reading is worth, best first. */
public enum Grade {
  GOOD(
      "No departure from the standard protocol: seated or lying, quiet for 5 minutes or more,"
          + " nothing disturbing, counted or tapped for 30 s or more, a full minute when uneven;"
          + " or a device sample."),
  FAIR("One departure."),
  POOR("More than one departure, or a count of 10 s or less.");

  private final String meaning;

  Grade(String meaning) {
    this.meaning = meaning;
  }

  /** What it takes. */
  public String meaning() {
    return meaning;
  }
}
