package app.korvel.core.screening;

import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Texts;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A medicine someone takes.
 *
 * @param medicineClass what it does to the work
 * @param name its generic name, up to {@value #NAME_LENGTH} characters; may be empty. A known one
 *     has one class and no other
 * @param dose as the packet says it, up to {@value #DOSE_LENGTH} characters; may be empty
 * @param since on this dose since; empty where not asked
 */
public record Medicine(
    MedicineClass medicineClass, String name, String dose, Optional<LocalDate> since) {
  public static final int NAME_LENGTH = 60;
  public static final int DOSE_LENGTH = 40;

  /** One of which only the class is known. */
  public static Medicine unnamed(MedicineClass medicineClass) {
    return new Medicine(medicineClass, "", "", Optional.empty());
  }

  void check(String field, LocalDate today, List<Fault> faults) {
    Texts.check(faults, field + ".name", name, 0, NAME_LENGTH);
    Texts.check(faults, field + ".dose", dose, 0, DOSE_LENGTH);
    MedicineClass.named(name)
        .filter(known -> known != medicineClass)
        .ifPresent(
            known ->
                faults.add(
                    new Fault(
                        field + ".medicineClass",
                        "“" + name + "” is of another class",
                        known.displayName())));
    since
        .filter(day -> day.isAfter(today))
        .ifPresent(day -> faults.add(Texts.future(field + ".since")));
  }

  /** The same in the class of its name, where that is a known one. */
  public Medicine inClassOfName() {
    return new Medicine(MedicineClass.named(name).orElse(medicineClass), name, dose, since);
  }

  /**
   * Whether this is the same medicine and dose as {@code before}. A name or dose filled in where
   * none stood is no change.
   */
  boolean continues(Medicine before) {
    return medicineClass == before.medicineClass
        && same(before.name, name)
        && same(before.dose, dose);
  }

  private static boolean same(String before, String now) {
    return before.isEmpty() || before.toLowerCase(Locale.ROOT).equals(now.toLowerCase(Locale.ROOT));
  }
}
