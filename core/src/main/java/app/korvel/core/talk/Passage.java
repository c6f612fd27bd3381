package app.korvel.core.talk;

/** What is said aloud in a talk check: some thirty neutral words each, by how they read. */
public enum Passage {
  SHORT_WORDS(
      "Short words",
      "The boat goes out at six. The sea is flat and grey. A man on the pier waves once, and two"
          + " birds sit on a post. The sun comes up, and the day is warm."),
  EVERYDAY(
      "Everyday",
      "The morning boat leaves at seven, when the harbour is quiet and the gulls are still asleep."
          + " It calls at three islands, turns at the far lighthouse, and is home by noon."),
  LONG_WORDS(
      "Longer words",
      "Before the afternoon departure the engineer inspects the engine carefully, records the"
          + " temperature and the pressure, compares them with yesterday's readings, and finally"
          + " signals to the captain that everything is ready.");

  /** The one taken where none was chosen. */
  public static final Passage USUAL = EVERYDAY;

  /** How it is done, in three steps. */
  public static final String HOW =
      "Halfway through the work, say this aloud without slowing down. Then say what "
          + "you could do: sing it, say it in whole sentences, in phrases, a word or two, "
          + "or nothing.";

  private final String displayName;
  private final String text;

  Passage(String displayName, String text) {
    this.displayName = displayName;
    this.text = text;
  }

  /** As it is offered. */
  public String displayName() {
    return displayName;
  }

  /** What is said. */
  public String text() {
    return text;
  }
}
