package app.korvel.core.screening;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What a client answered at intake.
 *
 * @param asked the questions that have been asked; nothing is assumed from one that has not
 * @param activity present activity by its definition
 * @param slowMile cannot cover 1.6 km in 12 min: taken one class lower
 * @param symptoms signs or symptoms
 * @param conditions known conditions, pregnancy, falls and joints among them
 * @param medicines those taken, at most {@value #MEDICINES}
 * @param limits a clinician's written limits, at most {@value #LIMITS}
 * @param goal what they train for, if told
 * @param days days on which they can train
 * @param equipment what they can train with
 * @param heightCm height, {@link Limit#HEIGHT}, if told
 * @param weightKg weight, {@link Limit#WEIGHT}, if told
 * @param usualRestingBpm what has always been usual for them at rest, {@link Limit#RESTING}, if
 *     told
 */
public record Answers(
    Set<Topic> asked,
    Activity activity,
    boolean slowMile,
    Set<Symptom> symptoms,
    Set<Condition> conditions,
    List<Medicine> medicines,
    List<WrittenLimit> limits,
    Optional<Goal> goal,
    Set<DayOfWeek> days,
    Set<Equipment> equipment,
    OptionalInt heightCm,
    Optional<BigDecimal> weightKg,
    OptionalInt usualRestingBpm) {

  /** The most medicines that are kept. */
  public static final int MEDICINES = 20;

  /** The most written limits that are kept. */
  public static final int LIMITS = 10;

  /** Nothing asked yet: the most careful reading of silence. */
  public static final Answers NONE =
      new Answers(
          Set.of(),
          Activity.NONE,
          false,
          Set.of(),
          Set.of(),
          List.of(),
          List.of(),
          Optional.empty(),
          Set.of(),
          Set.of(),
          OptionalInt.empty(),
          Optional.empty(),
          OptionalInt.empty());

  public Answers {
    asked = ordered(asked);
    symptoms = ordered(symptoms);
    conditions = ordered(conditions);
    medicines = List.copyOf(medicines);
    limits = List.copyOf(limits);
    days = ordered(days);
    equipment = ordered(equipment);
  }

  /** In the order of the constants, so that two like sets read alike. */
  private static <E extends Enum<E>> Set<E> ordered(Collection<E> words) {
    return Collections.unmodifiableSet(new LinkedHashSet<>(new TreeSet<>(words)));
  }

  /** Only the first question asked yet. */
  public static Answers begun(Activity activity) {
    return new Answers(
        Set.of(Topic.ACTIVITY),
        activity,
        NONE.slowMile,
        NONE.symptoms,
        NONE.conditions,
        NONE.medicines,
        NONE.limits,
        NONE.goal,
        NONE.days,
        NONE.equipment,
        NONE.heightCm,
        NONE.weightKg,
        NONE.usualRestingBpm);
  }

  /**
   * Checks what was entered.
   *
   * @param restingBpm the working resting value, if there is one: no cap may lie at or under it
   * @return these answers
   * @throws InvalidValueException with every fault at once
   */
  public Answers check(OptionalInt restingBpm, LocalDate today) {
    List<Fault> faults = new ArrayList<>();
    checkCount(faults, "medicines", medicines.size(), MEDICINES);
    checkCount(faults, "limits", limits.size(), LIMITS);
    for (int i = 0; i < medicines.size(); i++) {
      medicines.get(i).check("medicines[" + i + "]", today, faults);
    }
    for (int i = 0; i < limits.size(); i++) {
      limits.get(i).check("limits[" + i + "]", today, restingBpm, faults);
    }
    heightCm.ifPresent(
        value -> checkLimit(faults, "heightCm", BigDecimal.valueOf(value), Limit.HEIGHT));
    weightKg.ifPresent(value -> checkLimit(faults, "weightKg", value, Limit.WEIGHT));
    usualRestingBpm.ifPresent(
        value -> checkLimit(faults, "usualRestingBpm", BigDecimal.valueOf(value), Limit.RESTING));
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return this;
  }

  private static void checkCount(List<Fault> faults, String field, int size, int most) {
    if (size > most) {
      faults.add(new Fault(field, "has " + size + " entries", "up to " + most + " entries"));
    }
  }

  private static void checkLimit(List<Fault> faults, String field, BigDecimal value, Limit limit) {
    if (!limit.accepts(value)) {
      faults.add(
          new Fault(
              field, value.toPlainString() + " is outside the accepted range", limit.accepted()));
    }
  }

  /** The class of activity the rules use: one lower for who cannot cover 1.6 km in 12 min. */
  public Activity activityClass() {
    return slowMile ? activity.oneLower() : activity;
  }

  /**
   * A disease that was not named, and is told by a medicine or a device.
   *
   * @param condition counts as known
   * @param by what tells it, as it is shown
   */
  public record ImpliedCondition(Condition condition, String by) {}

  /** Diseases that count as known though nobody has named them yet, each once. */
  public List<ImpliedCondition> toldOtherwise() {
    Stream<ImpliedCondition> byMedicine =
        medicines.stream()
            .map(Medicine::medicineClass)
            .flatMap(
                each ->
                    each
                        .tells()
                        .map(known -> new ImpliedCondition(known, each.displayName()))
                        .stream());
    Stream<ImpliedCondition> byDevice =
        limits.stream()
            .map(WrittenLimit::kind)
            .flatMap(
                each ->
                    each
                        .tells()
                        .map(known -> new ImpliedCondition(known, each.displayName()))
                        .stream());
    Map<Condition, ImpliedCondition> first = new LinkedHashMap<>();
    Stream.concat(byMedicine, byDevice)
        .filter(told -> !named(told.condition))
        .forEach(told -> first.putIfAbsent(told.condition, told));
    return List.copyOf(first.values());
  }

  /** Whether it was named: any disease of the heart answers for a heart condition. */
  private boolean named(Condition condition) {
    return conditions.contains(condition)
        || condition == Condition.HEART_CONDITION && conditions.stream().anyMatch(Condition::heart);
  }

  /** The conditions that count as known, named or told otherwise. */
  public Set<Condition> knownConditions() {
    Set<Condition> known = new TreeSet<>(conditions);
    toldOtherwise().forEach(told -> known.add(told.condition));
    return known;
  }

  /** What is known of their health, as the rules see it. */
  public Person.Health health() {
    Set<MedicineClass> classes = new TreeSet<>();
    medicines.forEach(medicine -> classes.add(medicine.medicineClass()));
    return new Person.Health(knownConditions(), classes);
  }

  /** Whether a cardiovascular, metabolic or renal disease is known. */
  public boolean knownDisease() {
    return knownConditions().stream().anyMatch(Condition::knownDisease);
  }

  /** Whether nothing at all has been asked yet but how active they are. */
  public boolean untouched() {
    return asked.stream().allMatch(topic -> topic == Topic.ACTIVITY);
  }

  /** The deciding questions that have not been asked yet, in order. */
  public List<Topic> missing() {
    return List.of(Topic.values()).stream()
        .filter(topic -> topic.decides() && !asked.contains(topic))
        .toList();
  }

  /** Whether anything has been said of medicines. */
  boolean tellsMedicines() {
    return asked.contains(Topic.MEDICINES) || !medicines.isEmpty();
  }

  /** Those of the medicines that touch the heart rate. */
  List<Medicine> rateMedicines() {
    return medicines.stream().filter(medicine -> medicine.medicineClass().changesRate()).toList();
  }

  /** Whether the medicines that touch the heart rate are those of {@code before}, dose and all. */
  boolean continuesMedicinesOf(Answers before) {
    List<Medicine> left = new ArrayList<>(before.rateMedicines());
    for (Medicine medicine : rateMedicines()) {
      Optional<Medicine> match = left.stream().filter(medicine::continues).findFirst();
      if (match.isEmpty()) {
        return false;
      }
      left.remove(match.get());
    }
    return left.isEmpty();
  }
}
