package app.korvel.core.screening;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Medicines by what they do to the work and what they tell, with common generic names that help to
 * find the class.
 *
 * <p>The names are a help for the instructor, not a complete list; the packet, the pharmacist or
 * the doctor decides.
 */
public enum MedicineClass {
  BETA_BLOCKER(
      "Beta-blocker",
      "Holds resting and maximum rate down.",
      Touches.LOWERS_RATE,
      null,
      List.of(
          "atenolol",
          "bisoprolol",
          "carvedilol",
          "labetalol",
          "metoprolol",
          "nadolol",
          "nebivolol",
          "propranolol",
          "sotalol",
          "timolol")),
  RATE_LOWERING(
      "Other rate-lowering medication",
      "Holds the rate down by another way.",
      Touches.LOWERS_RATE,
      null,
      List.of("clonidine", "diltiazem", "verapamil")),
  HEART_FAILURE_OR_RHYTHM(
      "Medication for heart failure or rhythm",
      "For heart failure or an irregular rhythm; holds the rate down, or steadies it.",
      Touches.LOWERS_RATE,
      Condition.HEART_CONDITION,
      List.of(
          "amiodarone",
          "digoxin",
          "dronedarone",
          "flecainide",
          "ivabradine",
          "propafenone",
          "sacubitril")),
  RATE_RAISING(
      "Rate-raising medication",
      "Some decongestants, inhaled relievers, thyroid hormone, stimulants: resting reads high.",
      Touches.RAISES_RATE,
      null,
      List.of(
          "atomoxetine",
          "dexamfetamine",
          "ephedrine",
          "formoterol",
          "levothyroxine",
          "liothyronine",
          "lisdexamfetamine",
          "methylphenidate",
          "pseudoephedrine",
          "salbutamol",
          "salmeterol",
          "terbutaline",
          "theophylline")),
  NITRATE(
      "Nitrate",
      "For angina: carried, and used as prescribed.",
      Touches.NOTHING,
      Condition.HEART_CONDITION,
      List.of("glyceryl trinitrate", "isosorbide dinitrate", "isosorbide mononitrate")),
  INSULIN(
      "Insulin",
      "Can let glucose fall during and long after a session.",
      Touches.NOTHING,
      Condition.DIABETES,
      List.of(
          "insulin",
          "insulin aspart",
          "insulin degludec",
          "insulin detemir",
          "insulin glargine",
          "insulin lispro")),
  SECRETAGOGUE(
      "Secretagogue",
      "Makes the pancreas give insulin: glucose can fall as with insulin.",
      Touches.NOTHING,
      Condition.DIABETES,
      List.of(
          "glibenclamide", "gliclazide", "glimepiride", "glipizide", "nateglinide", "repaglinide")),
  OTHER(
      "Something else",
      "Not known to affect the heart rate.",
      Touches.NOTHING,
      null,
      List.of("metformin"));

  /** What a medicine does to the heart rate. */
  private enum Touches {
    LOWERS_RATE,
    RAISES_RATE,
    NOTHING
  }

  private final String displayName;
  private final String meaning;
  private final Touches touches;
  private final Condition tells;
  private final List<String> genericNames;

  MedicineClass(
      String displayName,
      String meaning,
      Touches touches,
      Condition tells,
      List<String> genericNames) {
    this.displayName = displayName;
    this.meaning = meaning;
    this.touches = touches;
    this.tells = tells;
    this.genericNames = List.copyOf(genericNames);
  }

  /**
   * The class of a generic name, if it is a known one.
   *
   * @param name as typed; a salt behind the name, as in {@code bisoprolol fumarate}, does not
   *     matter
   */
  public static Optional<MedicineClass> named(String name) {
    String typed = name.strip().toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(
            each ->
                each.genericNames.stream()
                    .anyMatch(known -> typed.equals(known) || typed.startsWith(known + " ")))
        .findFirst();
  }

  /** As it is shown. */
  public String displayName() {
    return displayName;
  }

  /** What it does, in a sentence. */
  public String meaning() {
    return meaning;
  }

  /** Whether a change of it makes earlier resting and maximum values stale. */
  public boolean changesRate() {
    return touches != Touches.NOTHING;
  }

  /** Whether it holds the heart rate down, at rest and in effort. */
  public boolean lowersRate() {
    return touches == Touches.LOWERS_RATE;
  }

  /** The disease that counts as known where it is taken, if there is one. */
  public Optional<Condition> tells() {
    return Optional.ofNullable(tells);
  }

  /** Common generic names of the class, in the order of the alphabet. */
  public List<String> genericNames() {
    return genericNames;
  }
}
