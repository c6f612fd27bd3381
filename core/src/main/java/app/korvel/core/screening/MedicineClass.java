package app.korvel.core.screening;

import java.util.List;

/**
 * Medicines by what they do to the work, with common generic names that help to find the class.
 *
 * <p>The names are a help for the instructor, not a complete list; the packet, the pharmacist or
 * the doctor decides.
 */
public enum MedicineClass {
  BETA_BLOCKER(
      "Beta-blocker",
      "Holds resting and maximum rate down.",
      true,
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
      "Other rate-lowering medicine",
      "Holds the rate down by another way.",
      true,
      List.of("amiodarone", "clonidine", "digoxin", "diltiazem", "ivabradine", "verapamil")),
  RATE_RAISING(
      "Rate-raising medicine",
      "Some decongestants, inhaled relievers, thyroid hormone, stimulants: resting reads high.",
      true,
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
      false,
      List.of("glyceryl trinitrate", "isosorbide dinitrate", "isosorbide mononitrate")),
  INSULIN(
      "Insulin",
      "Can let glucose fall during and long after a session.",
      false,
      List.of(
          "insulin aspart",
          "insulin degludec",
          "insulin detemir",
          "insulin glargine",
          "insulin lispro")),
  SECRETAGOGUE(
      "Secretagogue",
      "Makes the pancreas give insulin: glucose can fall as with insulin.",
      false,
      List.of(
          "glibenclamide", "gliclazide", "glimepiride", "glipizide", "nateglinide", "repaglinide")),
  OTHER("Something else", "Not known to touch the heart rate.", false, List.of("metformin"));

  private final String displayName;
  private final String meaning;
  private final boolean changesRate;
  private final List<String> genericNames;

  MedicineClass(
      String displayName, String meaning, boolean changesRate, List<String> genericNames) {
    this.displayName = displayName;
    this.meaning = meaning;
    this.changesRate = changesRate;
    this.genericNames = List.copyOf(genericNames);
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
    return changesRate;
  }

  /** Common generic names of the class, in the order of the alphabet. */
  public List<String> genericNames() {
    return genericNames;
  }
}
