package app.korvel.core.pulse;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** Where a pulse is felt or heard. */
public enum PulseSite {
  /** The thumb side of the wrist, beside the tendons. */
  RADIAL("Wrist"),
  /** Beside the windpipe, on one side only, lightly. */
  CAROTID("Neck"),
  /** With a stethoscope. */
  CHEST("Stethoscope");

  private final String displayName;

  PulseSite(String displayName) {
    this.displayName = displayName;
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** Whether it is for this person: nobody with a diseased or a touchy neck is felt there. */
  public boolean allowedFor(Person person) {
    return this != CAROTID
        || !person.has(Condition.CAROTID_DISEASE) && !person.has(Condition.NECK_FAINTING);
  }

  /** Those that are for this person. */
  public static List<PulseSite> openTo(Person person) {
    return Arrays.stream(values()).filter(site -> site.allowedFor(person)).toList();
  }

  /**
   * Checks that it is for this person.
   *
   * @throws InvalidValueException when it is not, naming those that are
   */
  public void check(Person person) {
    if (!allowedFor(person)) {
      throw InvalidValueException.of(
          "site",
          "is not suitable for this client: carotid disease, or fainting when the neck is touched",
          openTo(person).stream().map(PulseSite::displayName).collect(Collectors.joining("; ")));
    }
  }
}
