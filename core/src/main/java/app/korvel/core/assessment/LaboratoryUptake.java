package app.korvel.core.assessment;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * A VO₂max that a laboratory measured, by its report.
 *
 * @param id UUIDv7
 * @param mode what the body did
 * @param vo2max ml·kg⁻¹·min⁻¹ to one decimal, {@link Limit#UPTAKE}
 * @param measuredOn the day
 * @param laboratory who measured it, 1 to {@value #LABORATORY_LENGTH} characters
 * @param note what else is known, up to {@value #NOTE_LENGTH} characters
 * @param recordedAt when it was put on record
 */
public record LaboratoryUptake(
    UUID id,
    Mode mode,
    BigDecimal vo2max,
    LocalDate measuredOn,
    String laboratory,
    String note,
    Instant recordedAt) {
  public static final int LABORATORY_LENGTH = 80;
  public static final int NOTE_LENGTH = 200;

  /**
   * Checks what was entered.
   *
   * @throws InvalidValueException with every fault at once
   */
  public LaboratoryUptake checked(ZoneId zone) {
    List<Fault> faults = new ArrayList<>();
    if (!Limit.UPTAKE.accepts(vo2max)) {
      faults.add(
          new Fault(
              "vo2max",
              vo2max.toPlainString() + " is outside the accepted range",
              Limit.UPTAKE.accepted()));
    }
    Texts.check(faults, "laboratory", laboratory.strip(), 1, LABORATORY_LENGTH);
    Texts.check(faults, "note", note.strip(), 0, NOTE_LENGTH);
    LocalDate today = LocalDate.ofInstant(recordedAt, zone);
    int years = Threshold.MAXIMUM_OLDEST.whole();
    if (measuredOn.isAfter(today)) {
      faults.add(Texts.future("measuredOn"));
    } else if (measuredOn.isBefore(today.minusYears(years))) {
      faults.add(
          new Fault("measuredOn", "lies too far back", "a day of the last " + years + " years"));
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new LaboratoryUptake(
        id,
        mode,
        Rounding.tenths(vo2max),
        measuredOn,
        laboratory.strip(),
        note.strip(),
        recordedAt);
  }
}
