package app.korvel.core.checkin;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.screening.Symptom;
import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * What is found before a session.
 *
 * @param pulseBpm the pulse now, {@link Limit#PULSE}
 * @param posture how the client was placed
 * @param source where the rate came from
 * @param settled whether they had been still for 5 minutes
 * @param recounted whether it was counted again for 60 s
 * @param rhythm how the beats followed each other, if it was noted
 * @param pressure blood pressure at rest, if it was measured
 * @param glucose blood glucose, if it was measured
 * @param ketones what is known of them, if they were asked for
 * @param weightKg weight, {@link Limit#WEIGHT}, if it was measured
 * @param symptoms signs or symptoms worse than usual
 * @param told what else was told
 */
public record CheckIn(
    int pulseBpm,
    Posture posture,
    PulseSource source,
    boolean settled,
    boolean recounted,
    Optional<Rhythm> rhythm,
    Optional<BloodPressure> pressure,
    Optional<Glucose> glucose,
    Optional<Ketones> ketones,
    Optional<BigDecimal> weightKg,
    Set<Symptom> symptoms,
    Set<SelfReport> told) {

  /** What a client may tell, a word each. */
  public enum SelfReport {
    FEVER("Fever or illness"),
    NO_SLEEP("No sleep"),
    HOSPITAL("Hospital stay or defibrillator shock since the last session"),
    CHANGED("New condition, symptom, medication or dose"),
    POOR_AIR("Poor air outside"),
    HEAT("Heat"),
    UNWELL("Unwell, with high glucose"),
    SEVERE_LOW("A severe low in the last 24 hours"),
    CARRIED("Carrying what they need");

    private final String displayName;

    SelfReport(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  /**
   * Checks the numbers.
   *
   * @throws InvalidValueException when one is outside its limit
   */
  public CheckIn {
    Limit.PULSE.check("pulseBpm", pulseBpm);
    weightKg.ifPresent(value -> Limit.WEIGHT.check("weightKg", value));
    symptoms = copy(symptoms, Symptom.class);
    told = copy(told, SelfReport.class);
  }

  /** A pulse and nothing else: what a count in a class finds. */
  public static CheckIn pulse(
      int bpm, Posture posture, PulseSource source, boolean settled, boolean recounted) {
    return new CheckIn(
        bpm,
        posture,
        source,
        settled,
        recounted,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Set.of(),
        Set.of());
  }

  private static <E extends Enum<E>> Set<E> copy(Set<E> words, Class<E> type) {
    return words.isEmpty() ? EnumSet.noneOf(type) : EnumSet.copyOf(words);
  }

  boolean told(SelfReport word) {
    return told.contains(word);
  }
}
