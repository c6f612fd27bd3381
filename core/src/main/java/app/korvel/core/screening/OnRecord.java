package app.korvel.core.screening;

import java.util.List;

/**
 * What is on record beside the intake, that the screening has to know of.
 *
 * @param clearances every clearance, in any order
 * @param consents every guardian's consent, in any order
 * @param reported what check-ins and logged sessions have told since
 */
public record OnRecord(List<Clearance> clearances, List<Consent> consents, Reported reported) {
  /** Nothing. */
  public static final OnRecord NOTHING = new OnRecord(List.of(), List.of(), Reported.NOTHING);

  public OnRecord {
    clearances = List.copyOf(clearances);
    consents = List.copyOf(consents);
  }
}
