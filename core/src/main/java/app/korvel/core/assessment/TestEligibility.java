package app.korvel.core.assessment;

import app.korvel.core.checkin.Outcome;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Severity;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whether somebody may do a test today, and why.
 *
 * @param kind which
 * @param findings why not, the weightiest first; or why they may
 * @param hard whether they may go as hard as it asks: the upper talk rate, the mile as fast as one
 *     can
 * @param needsOrder whether a graded test needs a written order
 */
public record TestEligibility(
    TestKind kind, List<Finding> findings, boolean hard, boolean needsOrder) {

  public TestEligibility {
    findings = List.copyOf(findings);
  }

  /**
   * Holds the rules against somebody.
   *
   * @param today what today's check-in came to by the rules, if there was one; no override
   * @param order the written order of a graded test, if there is one
   */
  public static TestEligibility of(
      TestKind kind, Screening screening, Optional<Outcome> today, Optional<TestPlan.Order> order) {
    List<Finding> findings = new ArrayList<>();
    Optional<String> ordered = kind == TestKind.GRADED ? onlyOrdered(screening) : Optional.empty();
    Optional<Finding> notHard = notHard(screening);
    if (kind == TestKind.GRADED) {
      graded(screening, ordered, order, findings);
    } else {
      screening.stops().stream()
          .findFirst()
          .map(stop -> AssessmentFinding.TEST_NOT_CLEARED.of(stop.message()))
          .ifPresent(findings::add);
      if (kind.bench().isPresent()) {
        notHard.ifPresent(findings::add);
        Person person = screening.person();
        if (person.has(Condition.FALLS) || person.has(Condition.JOINTS)) {
          findings.add(AssessmentFinding.TEST_STEADY_FEET.of());
        }
      }
      screening.noRateBecause().ifPresent(why -> findings.add(noRate(kind, why)));
    }
    if (findings.stream().noneMatch(TestEligibility::blocks)) {
      today(today).ifPresent(findings::add);
    }
    if (findings.stream().noneMatch(TestEligibility::blocks)) {
      findings.add(
          0, AssessmentFinding.TEST_OPEN.of(kind == TestKind.GRADED ? "" : "Checked in today."));
      lighter(kind, notHard).ifPresent(findings::add);
    }
    return new TestEligibility(kind, findings, notHard.isEmpty(), ordered.isPresent());
  }

  private static Finding noRate(TestKind kind, String why) {
    return kind == TestKind.TWO_MINUTE
        ? AssessmentFinding.TEST_RATE_UNSURE.of(why)
        : AssessmentFinding.TEST_NO_RATE.of(why);
  }

  /** How a test is done by those who may not go as hard as it asks. */
  private static Optional<Finding> lighter(TestKind kind, Optional<Finding> notHard) {
    return notHard.flatMap(
        why ->
            switch (kind) {
              case TALK_STEPS -> Optional.of(AssessmentFinding.TEST_LOWER_ONLY.of(why.message()));
              case MILE -> Optional.of(AssessmentFinding.MILE_INSIDE_TARGET.of());
              case TWO_MINUTE, LOW_BENCH, HIGH_BENCH, GRADED -> Optional.empty();
            });
  }

  private static Optional<Finding> notHard(Screening screening) {
    Person person = screening.person();
    if (person.health().heartDisease()) {
      return Optional.of(AssessmentFinding.TEST_HEART.of());
    }
    if (person.under18()) {
      return Optional.of(AssessmentFinding.TEST_ADULTS.of(person.age()));
    }
    if (person.has(Condition.PREGNANCY)) {
      return Optional.of(AssessmentFinding.TEST_PREGNANT.of());
    }
    return screening.permission().vigorous()
        ? Optional.empty()
        : Optional.of(
            AssessmentFinding.TEST_NEEDS_VIGOROUS.of(screening.permission().notVigorousBecause()));
  }

  private static void graded(
      Screening screening,
      Optional<String> ordered,
      Optional<TestPlan.Order> order,
      List<Finding> findings) {
    if (order.isPresent()) {
      findings.add(
          AssessmentFinding.GRADED_ORDERED.of(
              order.get().issuer(), Days.of(order.get().issuedOn())));
    } else if (ordered.isPresent()) {
      findings.add(AssessmentFinding.GRADED_ORDER.of(ordered.get()));
    } else if (!screening.permission().vigorous()) {
      findings.add(
          AssessmentFinding.TEST_NEEDS_VIGOROUS.of(screening.permission().notVigorousBecause()));
    }
    findings.add(AssessmentFinding.GRADED_SUPERVISION.of());
  }

  /** For whom a graded test is done only as ordered in writing. */
  private static Optional<String> onlyOrdered(Screening screening) {
    Person person = screening.person();
    if (person.has(Condition.DEFIBRILLATOR)) {
      return Optional.of("an implanted defibrillator");
    }
    if (person.health().heartDisease()) {
      return Optional.of("a heart condition");
    }
    if (person.under18()) {
      return Optional.of("under 18");
    }
    if (person.has(Condition.PREGNANCY)) {
      return Optional.of("pregnancy");
    }
    return screening.stops().isEmpty() ? Optional.empty() : Optional.of("symptoms were reported");
  }

  private static Optional<Finding> today(Optional<Outcome> today) {
    if (today.isEmpty()) {
      return Optional.of(AssessmentFinding.TEST_CHECK_IN.of());
    }
    return switch (today.get()) {
      case GO -> Optional.empty();
      case LIGHT_ONLY -> Optional.of(AssessmentFinding.TEST_NOT_TODAY.of("light only"));
      case NOT_TODAY -> Optional.of(AssessmentFinding.TEST_NOT_TODAY.of("not today"));
      case COUNT_AGAIN -> Optional.of(AssessmentFinding.TEST_NOT_TODAY.of("count again"));
    };
  }

  private static boolean blocks(Finding finding) {
    return finding.severity() == Severity.BLOCK;
  }

  /** Whether it may begin. */
  public boolean open() {
    return findings.stream().noneMatch(TestEligibility::blocks);
  }

  /** Whether nothing but today's check-in stands in the way. */
  public boolean onlyToday() {
    return findings.stream()
        .filter(TestEligibility::blocks)
        .allMatch(
            finding ->
                finding.code().equals(AssessmentFinding.TEST_CHECK_IN.code())
                    || finding.code().equals(AssessmentFinding.TEST_NOT_TODAY.code()));
  }
}
