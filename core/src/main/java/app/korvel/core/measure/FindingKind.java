package app.korvel.core.measure;

import java.util.Arrays;
import java.util.Locale;

/**
 * A finding that can be made: its code, and how it is worded. Each room has a catalogue of its own;
 * {@code app.korvel.core.Findings} lists them all.
 */
public interface FindingKind {
  /** Its constant in the catalogue of its room. */
  String name();

  /** How it is worded. */
  Wording wording();

  /** The stable id: lower case, words joined by hyphens. */
  default String code() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The room of the core it is of, for example {@code screening}. */
  default String room() {
    String room = getClass().getPackageName();
    return room.substring(room.lastIndexOf('.') + 1);
  }

  /** The message with its open places shown as {@code …}, for the list of methods. */
  default String messageOutline() {
    return Wording.outline(wording().message());
  }

  /** The reason with its open places shown as {@code …}, for the list of methods. */
  default String becauseOutline() {
    return Wording.outline(wording().because());
  }

  /**
   * The finding for one case.
   *
   * @param figures as many as the wording has places for
   * @throws IllegalArgumentException when there are more or fewer
   */
  default Finding of(Object... figures) {
    Wording wording = wording();
    if (figures.length != wording.figures()) {
      throw new IllegalArgumentException(
          name() + " takes " + wording.figures() + " figures, not " + figures.length);
    }
    return new Finding(
        code(),
        wording.severity(),
        Wording.filled(wording.message(), figures),
        Wording.filled(wording.because(), figures),
        wording.source());
  }

  /**
   * The same where one of several kinds is made from the same figures: it takes the first ones, as
   * many as it has places for.
   *
   * @throws IllegalArgumentException when there are fewer
   */
  default Finding ofFirst(Object... figures) {
    int places = Math.min(wording().figures(), figures.length);
    return of(Arrays.copyOf(figures, places));
  }
}
