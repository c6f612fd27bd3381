package app.korvel.core.screening;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import java.util.Arrays;
import java.util.List;

/**
 * The pre-participation table (Riebe et al., Med Sci Sports Exerc 2015): a row for every
 * combination of activity, known disease and symptoms.
 *
 * <p>The first row that fits decides.
 */
public enum Decision {
  SYMPTOMS_ACTIVE(
      Fits.ACTIVE,
      Fits.ANY,
      Fits.YES,
      ClearanceNeeded.BEFORE_START,
      Allows.NOTHING,
      Allows.VIGOROUS,
      ScreeningFinding.SYMPTOMS_STOP,
      "Stop training and see a doctor: no exercise until medically cleared.",
      "Refer today, with the screening summary. Nothing is issued until a clearance is recorded."),
  SYMPTOMS(
      Fits.ANY,
      Fits.ANY,
      Fits.YES,
      ClearanceNeeded.BEFORE_START,
      Allows.NOTHING,
      Allows.LIGHT_TO_MODERATE,
      ScreeningFinding.SYMPTOMS_FIRST,
      "No exercise until medically cleared.",
      "Refer, with the screening summary. Nothing is issued until a clearance is recorded."),
  WELL(
      Fits.NOT_ACTIVE,
      Fits.NO,
      Fits.NO,
      ClearanceNeeded.NONE,
      Allows.LIGHT_TO_MODERATE,
      Allows.LIGHT_TO_MODERATE,
      ScreeningFinding.CLEARANCE_NOT_NEEDED,
      "No clearance needed: start light to moderate and progress gradually.",
      "Count the resting pulse, then prescribe."),
  DISEASE(
      Fits.NOT_ACTIVE,
      Fits.YES,
      Fits.NO,
      ClearanceNeeded.BEFORE_START,
      Allows.NOTHING,
      Allows.LIGHT_TO_MODERATE,
      ScreeningFinding.CLEARANCE_FIRST,
      "Medical clearance first; then light to moderate.",
      "Ask for clearance with the letter, and record the answer here."),
  WELL_ACTIVE(
      Fits.ACTIVE,
      Fits.NO,
      Fits.NO,
      ClearanceNeeded.NONE,
      Allows.VIGOROUS,
      Allows.VIGOROUS,
      ScreeningFinding.CLEARANCE_NOT_NEEDED_ACTIVE,
      "No clearance needed: moderate or vigorous work may continue; progress gradually.",
      "Count the resting pulse, then prescribe."),
  DISEASE_ACTIVE(
      Fits.ACTIVE,
      Fits.YES,
      Fits.NO,
      ClearanceNeeded.BEFORE_VIGOROUS,
      Allows.MODERATE,
      Allows.VIGOROUS,
      ScreeningFinding.MODERATE_CONTINUES,
      "Moderate work may continue; vigorous work needs clearance within the last 12 months.",
      "For vigorous work ask for clearance with the letter; moderate work can be prescribed now.");

  /** When a clearance is needed. */
  public enum ClearanceNeeded {
    NONE,
    BEFORE_START,
    BEFORE_VIGOROUS
  }

  /** What a column of the table asks. */
  private enum Fits {
    ANY,
    YES,
    NO;

    /** For the column of activity. */
    static final Fits ACTIVE = YES;

    static final Fits NOT_ACTIVE = NO;

    String words(String yes, String no, String any) {
      return this == ANY ? any : this == YES ? yes : no;
    }

    boolean fits(boolean answer) {
      return this == ANY || answer == (this == YES);
    }
  }

  private final Fits active;
  private final Fits disease;
  private final Fits symptoms;
  private final ClearanceNeeded clearanceNeeded;
  private final Allows allows;
  private final Allows onceCleared;
  private final FindingKind kind;
  private final String sentence;
  private final String next;

  Decision(
      Fits active,
      Fits disease,
      Fits symptoms,
      ClearanceNeeded clearanceNeeded,
      Allows allows,
      Allows onceCleared,
      FindingKind kind,
      String sentence,
      String next) {
    this.active = active;
    this.disease = disease;
    this.symptoms = symptoms;
    this.clearanceNeeded = clearanceNeeded;
    this.allows = allows;
    this.onceCleared = onceCleared;
    this.kind = kind;
    this.sentence = sentence;
    this.next = next;
  }

  /** The row for someone. */
  public static Decision of(Activity activity, boolean knownDisease, boolean symptoms) {
    return Arrays.stream(values())
        .filter(
            row ->
                row.active.fits(activity.regularlyActive())
                    && row.disease.fits(knownDisease)
                    && row.symptoms.fits(symptoms))
        .findFirst()
        .orElseThrow();
  }

  /** Whom the row is for, in words. */
  public String who() {
    return active.words("regularly active", "not regularly active", "any activity")
        + ", "
        + disease.words(
            "known cardiovascular, metabolic or renal disease",
            "no known cardiovascular, metabolic or renal disease",
            "any disease or none")
        + ", "
        + symptoms.words("signs or symptoms", "no signs or symptoms", "any symptoms or none");
  }

  /** The decision in a sentence. */
  public String sentence() {
    return sentence;
  }

  /** What the instructor does next. */
  public String next() {
    return next;
  }

  /** When a clearance is needed. */
  public ClearanceNeeded clearanceNeeded() {
    return clearanceNeeded;
  }

  /** What is allowed without a clearance. */
  public Allows allows() {
    return allows;
  }

  /** What is allowed at most while the clearance that is needed is in force. */
  Allows onceCleared() {
    return onceCleared;
  }

  /**
   * Why, for someone of whom the two facts are known.
   *
   * @param known the disease or the symptoms, in a sentence; empty where there is none
   */
  Finding finding(String known) {
    return kind.of(known);
  }

  /** Why, where no more is known than that the row fits. */
  public List<Finding> findings() {
    return allows == Allows.VIGOROUS || allows == Allows.NOTHING
        ? List.of(finding(asked()))
        : List.of(finding(asked()), ScreeningFinding.LIGHT_TO_MODERATE.of(sentence));
  }

  private String asked() {
    if (symptoms == Fits.YES) {
      return "Signs or symptoms are reported.";
    }
    return disease == Fits.YES ? "A cardiovascular, metabolic or renal disease is known." : "";
  }
}
