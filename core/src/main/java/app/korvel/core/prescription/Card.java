package app.korvel.core.prescription;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.measure.Severity;
import app.korvel.core.screening.IntensityGuide;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/**
 * What a client carries: an issued prescription as it holds on one day.
 *
 * @param name whose it is
 * @param version which version
 * @param prescription what it says; without rates where none may be used today
 * @param ratesSuspended why it shows no rates although it was issued with some
 * @param renewal when it is to be made anew
 * @param leads what stands first on it
 */
public record Card(
    String name,
    int version,
    Prescription prescription,
    List<Finding> ratesSuspended,
    Renewal renewal,
    Leads leads) {

  /** What stands first on a card. */
  public enum Leads {
    /** The rate, then how it feels and sounds. */
    RATE,
    /** How it feels and sounds, then the rate. */
    FEEL,
    /** How it feels and sounds; there is no rate on it. */
    FEEL_ONLY
  }

  public Card {
    ratesSuspended = List.copyOf(ratesSuspended);
  }

  /**
   * The card of a saved version.
   *
   * @param name whose it is
   * @param version which version
   * @param made as it was saved
   * @param madeAt when it was saved
   * @param baseline what is on record today, in its mode
   * @param nextBirthday the client's
   * @throws RefusedException when it is suspended, or a draft; it says why
   */
  public static Card of(
      String name,
      int version,
      Prescription made,
      Instant madeAt,
      ClientBaseline baseline,
      LocalDate nextBirthday) {
    PrescriptionValidity standing = PrescriptionValidity.of(made, madeAt, baseline.screening());
    if (standing.state() == PrescriptionValidity.State.SUSPENDED) {
      throw RefusedException.because(standing.findings());
    }
    if (standing.state() == PrescriptionValidity.State.DRAFT) {
      throw RefusedException.because(
          made.findings().stream()
              .filter(finding -> finding.severity() == Severity.BLOCK)
              .toList());
    }
    Prescription shown = standing.ratesHold() ? made : made.withoutRates();
    return new Card(
        name,
        version,
        shown,
        standing.findings(),
        Renewal.of(shown, baseline, nextBirthday),
        leads(shown));
  }

  private static Leads leads(Prescription shown) {
    if (shown.target().isEmpty()) {
      return Leads.FEEL_ONLY;
    }
    return shown.steering() == IntensityGuide.RATE ? Leads.RATE : Leads.FEEL;
  }
}
