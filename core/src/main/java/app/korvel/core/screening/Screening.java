package app.korvel.core.screening;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Severity;
import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Decision.ClearanceNeeded;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A client's screening on one day: may they exercise, how hard, and what must be watched.
 *
 * @param date the day
 * @param zone the studio's time zone, in which days are counted
 * @param person the client as the rules see them
 * @param intake the answers that hold, if any were taken
 * @param decision the row of the pre-participation table
 * @param clearance the clearance in force, if there is one
 * @param permission what it comes to, and why
 * @param contexts what to watch, the weightiest first
 * @param effects what they change in the work, with written limits of effort
 * @param cap the lowest of the written caps, if there is one
 * @param supervised whether someone has to be there
 * @param noRateBecause why no rate may be used; empty where one may
 * @param rescreening the last day the intake is good for; empty without one
 * @param due whether the intake is to be gone through again, by date or because something changed
 */
public record Screening(
    LocalDate date,
    ZoneId zone,
    Person person,
    Optional<Intake> intake,
    Decision decision,
    Optional<Clearance> clearance,
    Permission permission,
    List<Context> contexts,
    Effects effects,
    Optional<Cap> cap,
    boolean supervised,
    Optional<String> noRateBecause,
    Optional<LocalDate> rescreening,
    boolean due) {

  /** What is not said where no rate is used at all. */
  private static final Set<FindingKind> ABOUT_THE_RATE =
      Set.of(ScreeningFinding.BETA_BLOCKER_STEERING, ScreeningFinding.RATE_RAISING_BESIDE);

  public Screening {
    contexts = List.copyOf(contexts);
  }

  /**
   * Brings it together.
   *
   * @param record what is on record beside the intake
   */
  public static Screening of(
      Client client, Optional<Intake> intake, OnRecord record, LocalDate date, ZoneId zone) {
    List<Clearance> clearances = record.clearances();
    Reported reported = record.reported();
    Answers answers = intake.map(Intake::answers).orElse(Answers.NONE);
    Person person = client.on(date, answers);
    List<Context> contexts = Context.of(person);
    List<WrittenLimit> limits = WrittenLimit.holding(answers.limits(), date);
    Effects effects = held(Context.effects(contexts), limits);
    Optional<String> noRate = noRateBecause(person, contexts, limits);
    if (noRate.isPresent()) {
      effects = effects.steerBy(IntensityGuide.EFFORT_AND_TALK_ONLY);
    }
    Optional<Clearance> inForce = latest(clearances, date);
    boolean symptoms = symptomsOpen(answers, intake, clearances, inForce, reported, zone);
    Decision decision = Decision.of(answers.activityClass(), answers.knownDisease(), symptoms);
    Optional<LocalDate> rescreening =
        intake.map(
            kept ->
                LocalDate.ofInstant(kept.recordedAt(), zone)
                    .plusMonths(Threshold.RESCREENING.whole()));
    boolean changed =
        intake.isPresent()
            && reported.changeAt().filter(at -> at.isAfter(intake.get().recordedAt())).isPresent();
    boolean due = changed || rescreening.map(last -> !date.isBefore(last)).orElse(false);
    List<Finding> findings = new ArrayList<>();
    List<Topic> missing = answers.missing();
    Allows byRule =
        allows(decision, answers, clearances, inForce, date, symptomsSentence(answers), findings);
    Allows allows = missing.isEmpty() ? byRule : byRule.atMost(Allows.LIGHT_TO_MODERATE);
    boolean consentMissing = person.under18() && record.consents().isEmpty();
    if (!missing.isEmpty()) {
      // That no clearance is needed is not said before all has been asked.
      findings.removeIf(
          finding ->
              finding.code().equals(ScreeningFinding.CLEARANCE_NOT_NEEDED.code())
                  || finding.code().equals(ScreeningFinding.CLEARANCE_NOT_NEEDED_ACTIVE.code()));
      findings.add(
          ScreeningFinding.SCREENING_UNFINISHED.of(
              missing.stream()
                  .map(topic -> topic.displayName().toLowerCase(Locale.ROOT))
                  .collect(Collectors.joining("; "))));
    }
    if (consentMissing) {
      findings.add(ScreeningFinding.CONSENT_FIRST.of(person.age()));
    }
    List<Answers.ImpliedCondition> toldOtherwise = answers.toldOtherwise();
    if (!toldOtherwise.isEmpty()) {
      findings.add(
          ScreeningFinding.DISEASE_TOLD_OTHERWISE.of(
              joined(toldOtherwise, told -> told.condition().displayName()),
              joined(toldOtherwise, told -> "“" + told.by() + "”")));
    }
    limits.stream()
        .filter(limit -> limit.lapsedOn(date))
        .forEach(
            limit ->
                findings.add(
                    ScreeningFinding.LIMIT_LAPSED.of(
                        limit.words(), Days.of(limit.until().orElseThrow()), limit.issuer())));
    if (allows != Allows.VIGOROUS) {
      findings.add(
          (noRate.isPresent()
                  ? ScreeningFinding.LIGHT_BY_EFFORT
                  : ScreeningFinding.LIGHT_TO_MODERATE)
              .of(ceilingBecause(decision, inForce, missing)));
    }
    if (due) {
      findings.add(
          ScreeningFinding.RESCREENING_DUE.of(
              changed
                  ? "At a check-in a condition, symptom or medication was reported as new or different."
                  : "The last answers are of "
                      + Days.of(LocalDate.ofInstant(intake.get().recordedAt(), zone))
                      + "; a full re-screening is due after 12 months."));
    }
    if (person.has(Condition.PREGNANCY) && inForce.isEmpty()) {
      findings.add(ScreeningFinding.PREGNANCY_WORD.of());
    }
    return new Screening(
        date,
        zone,
        person,
        intake,
        decision,
        inForce,
        new Permission(
            allows != Allows.NOTHING && !consentMissing && missing.isEmpty(), allows, findings),
        contexts,
        effects,
        limits.stream()
            .flatMap(limit -> limit.cap(date).stream())
            .min(Comparator.comparingInt(Cap::bpm)),
        person.health().heartDisease()
            || limits.stream().anyMatch(limit -> limit.kind() == WrittenLimit.Kind.SUPERVISED_ONLY),
        noRate,
        rescreening,
        due);
  }

  private static Effects held(Effects effects, List<WrittenLimit> limits) {
    return limits.stream()
        .filter(limit -> limit.kind() == WrittenLimit.Kind.EFFORT_CAP)
        .mapToInt(limit -> limit.value().getAsInt())
        .min()
        .stream()
        .mapToObj(highest -> effects.effortUpTo(Math.min(highest, effects.highestEffort())))
        .findFirst()
        .orElse(effects);
  }

  private static Optional<String> noRateBecause(
      Person person, List<Context> contexts, List<WrittenLimit> limits) {
    boolean rateUnknown =
        person.has(Condition.DEFIBRILLATOR)
            && limits.stream().noneMatch(limit -> limit.kind() == WrittenLimit.Kind.DETECTION_RATE);
    String because =
        Stream.concat(
                contexts.stream()
                    .filter(
                        context ->
                            context.effects().steering() == IntensityGuide.EFFORT_AND_TALK_ONLY)
                    .map(Context::because),
                rateUnknown
                    ? Stream.of(
                        "The defibrillator's detection rate is not on record; without "
                            + "it, in writing"
                            + " from the clinic, there is no rate work.")
                    : Stream.empty())
            .collect(Collectors.joining(" "));
    return because.isEmpty() ? Optional.empty() : Optional.of(because);
  }

  private static Optional<Clearance> latest(List<Clearance> clearances, LocalDate date) {
    return clearances.stream()
        .filter(clearance -> clearance.inForceOn(date))
        .max(Comparator.comparing(Clearance::issuedOn).thenComparing(Clearance::recordedAt));
  }

  /**
   * Symptoms stay open until a clearance given after them answers; while they last, one in force.
   */
  private static boolean symptomsOpen(
      Answers answers,
      Optional<Intake> intake,
      List<Clearance> clearances,
      Optional<Clearance> inForce,
      Reported reported,
      ZoneId zone) {
    Optional<Instant> reportedAt =
        Stream.concat(
                intake.flatMap(Intake::symptomsReportedAt).stream(), reported.symptomsAt().stream())
            .max(Comparator.naturalOrder());
    if (reportedAt.isEmpty()) {
      return false;
    }
    Stream<Clearance> whatAnswers =
        answers.symptoms().isEmpty() ? clearances.stream() : inForce.stream();
    return whatAnswers.noneMatch(clearance -> clearance.answers(reportedAt.get(), zone));
  }

  private static <T> String joined(List<T> all, Function<T, String> words) {
    return all.stream().map(words).collect(Collectors.joining("; "));
  }

  private static String symptomsSentence(Answers answers) {
    return answers.symptoms().isEmpty()
        ? "Signs or symptoms were reported, and no clearance has answered them since."
        : "Reported: "
            + answers.symptoms().stream()
                .map(symptom -> symptom.displayName().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining("; "))
            + ".";
  }

  private static String diseaseSentence(Answers answers) {
    return "Known: "
        + answers.knownConditions().stream()
            .filter(Condition::knownDisease)
            .map(condition -> condition.displayName().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining("; "))
        + ".";
  }

  private static Allows allows(
      Decision decision,
      Answers answers,
      List<Clearance> clearances,
      Optional<Clearance> inForce,
      LocalDate date,
      String symptoms,
      List<Finding> findings) {
    boolean open = decision == Decision.SYMPTOMS || decision == Decision.SYMPTOMS_ACTIVE;
    if (open) {
      findings.add(decision.finding(symptoms));
      return Allows.NOTHING;
    }
    String known = answers.knownDisease() ? diseaseSentence(answers) : "";
    if (inForce.isEmpty()) {
      Optional<Clearance> lapsed =
          clearances.stream()
              .filter(clearance -> clearance.until().isBefore(date))
              .max(Comparator.comparing(Clearance::until));
      findings.add(
          decision.clearanceNeeded() == ClearanceNeeded.BEFORE_START && lapsed.isPresent()
              ? ScreeningFinding.CLEARANCE_LAPSED.of(
                  Days.of(lapsed.get().until()), lapsed.get().issuer(), known)
              : decision.finding(known));
      return decision.allows();
    }
    Clearance clearance = inForce.get();
    boolean fresh =
        date.isBefore(clearance.issuedOn().plusMonths(Threshold.VIGOROUS_CLEARANCE.whole()));
    Allows rule =
        decision.clearanceNeeded() == ClearanceNeeded.BEFORE_VIGOROUS && !fresh
            ? decision.allows()
            : decision.onceCleared();
    Allows allows = rule.atMost(clearance.allows());
    findings.add(
        ScreeningFinding.CLEARANCE_IN_FORCE.of(
            clearance.issuer(),
            Days.of(clearance.until()),
            clearance.allows().displayName(),
            Days.of(clearance.issuedOn())));
    if (decision.clearanceNeeded() == ClearanceNeeded.NONE) {
      findings.add(decision.finding(known));
    } else if (decision.clearanceNeeded() == ClearanceNeeded.BEFORE_VIGOROUS
        && allows != Allows.VIGOROUS) {
      findings.add(decision.finding(known));
    }
    long daysLeft = ChronoUnit.DAYS.between(date, clearance.until());
    if (decision.clearanceNeeded() != ClearanceNeeded.NONE
        && daysLeft <= Threshold.CLEARANCE_LAPSING.whole()) {
      findings.add(ScreeningFinding.CLEARANCE_LAPSING.of(Days.of(clearance.until()), daysLeft));
    }
    return allows;
  }

  private static String ceilingBecause(
      Decision decision, Optional<Clearance> inForce, List<Topic> missing) {
    if (!missing.isEmpty()) {
      return "Vigorous work is not allowed before the screening is complete.";
    }
    if (inForce.isPresent() && inForce.get().allows() != Allows.VIGOROUS) {
      return "The clearance in force allows " + inForce.get().allows().displayName() + ".";
    }
    return decision == Decision.WELL
        ? "Not regularly active yet: start light to moderate and progress gradually."
        : decision.sentence();
  }

  /** What may be asked of them. */
  public Scope scope() {
    return new Scope(person, permission, effects);
  }

  /** Whether enough was asked to decide; what allows nothing decides by itself. */
  public boolean decided() {
    return answers().missing().isEmpty() || permission.allows() == Allows.NOTHING;
  }

  /** What the table says, or the clearance that answers it, in a sentence. */
  public String sentence() {
    if (!decided()) {
      return answers().untouched()
          ? "Nothing has been asked yet; nothing is assumed."
          : "Some questions are still open; nothing is assumed from them.";
    }
    boolean answered =
        clearance.isPresent()
            && decision.clearanceNeeded() != ClearanceNeeded.NONE
            && permission.allows() != Allows.NOTHING;
    return answered
        ? "A clearance is in force until " + Days.of(clearance.get().until()) + "."
        : decision.sentence();
  }

  /** What the instructor does next. */
  public String next() {
    if (!answers().missing().isEmpty()) {
      return "Ask the questions that are still open.";
    }
    if (consentMissing()) {
      return "Ask a parent or guardian, and record that they agree.";
    }
    if (due) {
      return "Go through the questions again, and confirm or change each.";
    }
    if (clearance.isPresent() && permission.allows() != Allows.NOTHING) {
      return clearanceLapsing()
          ? "Ask for the next clearance now, with the letter."
          : "Prescribe within what is cleared.";
    }
    return decision.next();
  }

  /** Whether the clearance in force was given, and put on record, since that moment. */
  public boolean answeredSince(Instant moment) {
    return clearance.filter(given -> given.answers(moment, zone)).isPresent();
  }

  /** Whether the clearance in force ends within the days in which it is asked for again. */
  public boolean clearanceLapsing() {
    return has(ScreeningFinding.CLEARANCE_LAPSING);
  }

  private boolean has(FindingKind kind) {
    return permission.findings().stream().anyMatch(finding -> finding.code().equals(kind.code()));
  }

  /** Whether a written limit is past its day, and still holds. */
  public boolean limitLapsed() {
    return has(ScreeningFinding.LIMIT_LAPSED);
  }

  /** Whether a guardian's consent is missing. */
  public boolean consentMissing() {
    return has(ScreeningFinding.CONSENT_FIRST);
  }

  /**
   * Why they must not train at all, the weightiest first; empty where they may. A question that is
   * still open stops nobody.
   */
  public List<Finding> stops() {
    return permission.allows() == Allows.NOTHING || (decided() && consentMissing())
        ? permission.findings().stream()
            .filter(finding -> finding.severity() == Severity.BLOCK)
            .toList()
        : List.of();
  }

  /** The answers that hold; where none were taken, the most careful reading of silence. */
  public Answers answers() {
    return intake.map(Intake::answers).orElse(Answers.NONE);
  }

  /** Since when the medicines that touch the heart rate are what they are, if they changed. */
  public Optional<Instant> medicinesChangedAt() {
    return intake.flatMap(Intake::medicinesChangedAt);
  }

  /** What the contexts ask to be said wherever work is prescribed. */
  public List<Finding> cautions() {
    return effects.kinds().stream()
        .filter(kind -> noRateBecause.isEmpty() || !ABOUT_THE_RATE.contains(kind))
        .map(FindingKind::of)
        .toList();
  }
}
