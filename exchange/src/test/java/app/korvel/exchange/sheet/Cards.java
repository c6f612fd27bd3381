package app.korvel.exchange.sheet;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/** Made-up clients' cards, for the tests. */
final class Cards {
  static final LocalDate TODAY = LocalDate.of(2026, 5, 20);

  private Activity activity = Activity.SOME;
  private Set<Condition> conditions = Set.of();
  private List<MedicineClass> medicines = List.of();
  private Optional<Integer> cap = Optional.empty();
  private Allows cleared = Allows.MODERATE;

  private Cards() {}

  /** A healthy adult of 45 who counts 64 at rest: 177 at most, by the usual equation. */
  static Cards someone() {
    return new Cards();
  }

  Cards active(Activity how) {
    activity = how;
    return this;
  }

  Cards with(Condition... known) {
    conditions = Set.of(known);
    return this;
  }

  Cards taking(MedicineClass... classes) {
    medicines = List.of(classes);
    return this;
  }

  Cards clearedFor(Allows work) {
    cleared = work;
    return this;
  }

  Cards cappedAt(int bpm) {
    cap = Optional.of(bpm);
    return this;
  }

  /** The card of a prescription of 40 to 50 % of reserve, made today. */
  Card named(String name) {
    return named(name, 40, 50);
  }

  Card named(String name, int lowPercent, int highPercent) {
    return named(name, lowPercent, highPercent, 3);
  }

  Card named(String name, int lowPercent, int highPercent, int days) {
    Instant now = TODAY.atTime(12, 0).toInstant(ZoneOffset.UTC);
    Client client =
        new Client(
            new UUID(7, 7),
            1,
            new Client.Details(name, "", TODAY.minusYears(45), Sex.NOT_GIVEN),
            false);
    List<WrittenLimit> limits = new ArrayList<>();
    cap.ifPresent(
        bpm ->
            limits.add(
                new WrittenLimit(
                    WrittenLimit.Kind.CAP,
                    OptionalInt.of(bpm),
                    "Dr Test",
                    TODAY,
                    Optional.empty())));
    Answers answers =
        new Answers(
            Set.of(Topic.values()),
            activity,
            false,
            Set.of(),
            conditions,
            medicines.stream().map(Medicine::unnamed).toList(),
            limits,
            Optional.empty(),
            Set.of(),
            Set.of(),
            OptionalInt.empty(),
            Optional.empty(),
            OptionalInt.empty());
    Clearance clearance =
        Clearance.of(
            new UUID(9, 1), "Dr Test", TODAY, cleared, TODAY.plusYears(1), "", now, ZoneOffset.UTC);
    Screening screening =
        Screening.of(
            client,
            Optional.of(Intake.following(List.of(), answers, now, ZoneOffset.UTC)),
            new OnRecord(List.of(clearance), List.of(), Reported.NOTHING),
            TODAY,
            ZoneOffset.UTC);
    RestingReading reading =
        RestingReading.counted(
            new UUID(0, 64), now, PulseCount.of(64, CountWindow.S60), Posture.SEATED, 5, Set.of());
    ClientBaseline baseline =
        ClientBaseline.of(
            screening,
            WorkingResting.of(
                List.of(reading), screening.medicinesChangedAt(), TODAY, ZoneOffset.UTC),
            Mode.RUN,
            Optional.empty());
    Fitt parts =
        new Fitt(
            Goal.GENERAL_FITNESS,
            Approach.GUIDELINE,
            lowPercent,
            highPercent,
            30,
            days,
            WorkType.STEADY,
            Mode.RUN);
    return Card.of(name, 1, Prescription.of(baseline, parts), now, baseline, TODAY.plusDays(300));
  }

  /** Everything at once: who has this card has the most to read on it. */
  static Card fullest() {
    return someone()
        .with(
            Arrays.stream(Condition.values())
                .filter(each -> each != Condition.IRREGULAR_RHYTHM && each != Condition.PACEMAKER)
                .toArray(Condition[]::new))
        .taking(MedicineClass.values())
        .named("Wilhelmina-Alexandrovna Montgomery-Featherstonehaugh van der Westerhuizen-Smith");
  }
}
