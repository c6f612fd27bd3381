package app.korvel.core.outline;

import app.korvel.core.measure.Source;
import java.util.Locale;

/** The principles behind a prescription, told where each is applied. */
public enum Principle {
  WARM_UP(
      "Warm-up and cool-down",
      "Easy minutes before let heart, breath and joints rise together; easy minutes after keep the"
          + " blood from pooling in the legs. Neither is ever left out, only lengthened.",
      Source.PRACTICE),
  SPECIFICITY(
      "Specificity",
      "The body gets better at what it does: the mode that is trained is the mode "
          + "that improves, and"
          + " its rates hold for that mode only.",
      Source.PRACTICE),
  OVERLOAD(
      "Overload",
      "Work trains when it asks for a little more than daily life does. Too little changes nothing;"
          + " too much is not recovered from.",
      Source.GARBER),
  PROGRESSION(
      "Progression",
      "One thing grows at a time: minutes first, then days, then intensity. A week grows by a tenth"
          + " or a fifth, never by leaps.",
      Source.PRACTICE),
  FREQUENCY(
      "Frequency",
      "Three days a week build a newcomer and keep a trained client where they are; five improve."
          + " Once a week is not enough.",
      Source.GARBER);

  private final String displayName;
  private final String says;
  private final Source source;

  Principle(String displayName, String says, Source source) {
    this.displayName = displayName;
    this.says = says;
    this.source = source;
  }

  /** The stable id: lower case, words joined by hyphens. */
  public String id() {
    return "principle-" + name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What it says. */
  public String says() {
    return says;
  }

  /** Where it comes from. */
  public Source source() {
    return source;
  }
}
