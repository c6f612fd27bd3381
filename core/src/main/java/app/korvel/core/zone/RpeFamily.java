package app.korvel.core.zone;

/** The two families of 0–10 scales of perceived exertion that zone systems mix. */
public enum RpeFamily {
  /** After the category-ratio idea. The default. */
  RATIO("ratio", "moderate is 3–4"),
  /** Evenly spread. */
  LINEAR("linear", "moderate is 5–6");

  private final String displayName;
  private final String meaning;

  RpeFamily(String displayName, String meaning) {
    this.displayName = displayName;
    this.meaning = meaning;
  }

  /** As it is called within a sentence: the … scale. */
  public String displayName() {
    return displayName;
  }

  /** What tells it from the other one, as a clause. */
  public String meaning() {
    return meaning;
  }
}
