package app.korvel.core.screening;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One version of a client's intake, with the two facts that later rules are dated by.
 *
 * @param version 1 for the first, one more with every change
 * @param recordedAt when it was kept
 * @param answers what was answered
 * @param medicinesChangedAt since when the medicines that touch the heart rate are what they are
 *     now; empty where no change is known
 * @param symptomsReportedAt when symptoms were last reported; stays when they go, until a clearance
 *     answers it
 */
public record Intake(
    int version,
    Instant recordedAt,
    Answers answers,
    Optional<Instant> medicinesChangedAt,
    Optional<Instant> symptomsReportedAt) {

  /**
   * The version that follows.
   *
   * <p>What was said and corrected on one day is no change: today's answers are compared with what
   * held before today. One medicine more is a change. The first word on medicines is none, but for
   * those who say since when.
   *
   * @param before every version so far, in any order
   */
  public static Intake following(List<Intake> before, Answers answers, Instant now, ZoneId zone) {
    LocalDate today = LocalDate.ofInstant(now, zone);
    Optional<Intake> head = latest(before.stream());
    Optional<Intake> dayBefore =
        latest(
            before.stream()
                .filter(each -> LocalDate.ofInstant(each.recordedAt, zone).isBefore(today)));
    return new Intake(
        head.map(Intake::version).orElse(0) + 1,
        now,
        answers,
        medicinesChangedAt(
            dayBefore,
            before.stream()
                .filter(each -> !LocalDate.ofInstant(each.recordedAt, zone).isBefore(today))
                .toList(),
            answers,
            now,
            zone),
        symptomsReportedAt(dayBefore, head, answers, now, zone));
  }

  private static Optional<Intake> latest(Stream<Intake> versions) {
    return versions.max(Comparator.comparingInt(Intake::version));
  }

  private static Optional<Instant> medicinesChangedAt(
      Optional<Intake> dayBefore, List<Intake> ofToday, Answers answers, Instant now, ZoneId zone) {
    Optional<Instant> since = since(answers, now, zone);
    Optional<Intake> before = dayBefore.filter(each -> each.answers.tellsMedicines());
    List<Intake> told = ofToday.stream().filter(each -> each.answers.tellsMedicines()).toList();
    if (before.isEmpty() && told.isEmpty()) {
      return since;
    }
    if (before.filter(each -> answers.continuesMedicinesOf(each.answers)).isPresent()) {
      return later(before.get().medicinesChangedAt, since);
    }
    List<Medicine> fresh =
        answers.rateMedicines().stream()
            .filter(
                medicine ->
                    before.stream()
                        .flatMap(each -> each.answers.rateMedicines().stream())
                        .noneMatch(medicine::continues))
            .toList();
    if (!fresh.isEmpty() && fresh.stream().allMatch(medicine -> medicine.since().isPresent())) {
      return since;
    }
    Optional<Intake> alike =
        told.stream().filter(each -> answers.continuesMedicinesOf(each.answers)).findFirst();
    if (alike.isPresent()) {
      return alike.get().medicinesChangedAt;
    }
    // Said otherwise or taken off again, and not one more: what was said today is corrected.
    return latest(told.stream())
        .filter(
            head ->
                before.filter(each -> head.answers.continuesMedicinesOf(each.answers)).isEmpty())
        .filter(head -> answers.rateMedicines().size() <= head.answers.rateMedicines().size())
        .map(Intake::medicinesChangedAt)
        .orElse(Optional.of(now));
  }

  /** The latest day given with a medicine that touches the heart rate, from its beginning. */
  private static Optional<Instant> since(Answers answers, Instant now, ZoneId zone) {
    LocalDate today = LocalDate.ofInstant(now, zone);
    return answers.rateMedicines().stream()
        .flatMap(medicine -> medicine.since().stream())
        .max(Comparator.naturalOrder())
        .map(day -> day.isBefore(today) ? day.atStartOfDay(zone).toInstant() : now);
  }

  private static Optional<Instant> later(Optional<Instant> one, Optional<Instant> other) {
    return Stream.concat(one.stream(), other.stream()).max(Comparator.naturalOrder());
  }

  private static Optional<Instant> symptomsReportedAt(
      Optional<Intake> dayBefore,
      Optional<Intake> head,
      Answers answers,
      Instant now,
      ZoneId zone) {
    boolean more =
        !answers.symptoms().isEmpty()
            && head.map(each -> !each.answers.symptoms().containsAll(answers.symptoms()))
                .orElse(true);
    if (more) {
      return Optional.of(now);
    }
    Optional<Instant> kept = head.flatMap(Intake::symptomsReportedAt);
    boolean takenBackToday =
        answers.symptoms().isEmpty()
            && kept.map(at -> LocalDate.ofInstant(at, zone))
                .filter(LocalDate.ofInstant(now, zone)::equals)
                .isPresent();
    return takenBackToday ? dayBefore.flatMap(Intake::symptomsReportedAt) : kept;
  }
}
