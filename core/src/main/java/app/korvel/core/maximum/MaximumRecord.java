package app.korvel.core.maximum;

import app.korvel.core.maximum.JudgedMaximum.State;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.Formula;
import app.korvel.core.measure.Threshold;
import app.korvel.core.measure.Working;
import app.korvel.core.screening.Person;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * All that is known of someone's maximum in one mode on one day: every equation, every measured
 * value, and the one that everything starts from.
 *
 * @param person the client as the rules see them
 * @param restingBpm the resting rate, if one is known
 * @param date the day
 * @param estimates every equation in that mode
 * @param measured the measured values of that mode, latest first, each as it stands
 * @param working the one everything starts from; none with heart failure until one is measured
 * @param due whether it is to be measured again
 * @param findings why that one, and what to know
 */
public record MaximumRecord(
    Person person,
    OptionalInt restingBpm,
    LocalDate date,
    MaximumEstimates estimates,
    List<JudgedMaximum> measured,
    Optional<WorkingMaximum> working,
    boolean due,
    List<Finding> findings) {

  /** What the equations say that no longer holds once something is measured. */
  private static final Set<FindingKind> ONLY_WHILE_ESTIMATED =
      Set.of(
          MaximumFinding.MAXIMUM_STALE,
          MaximumFinding.MAXIMUM_CHOSEN,
          MaximumFinding.MAXIMUM_OTHER_MODE,
          MaximumFinding.NO_DEFAULT_HEART_FAILURE);

  private static final Comparator<JudgedMaximum> HIGHEST_THEN_LATEST =
      Comparator.<JudgedMaximum>comparingInt(each -> each.value().bpm())
          .thenComparing(each -> each.value().measuredOn())
          .thenComparing(each -> each.value().id().toString());

  public MaximumRecord {
    measured = List.copyOf(measured);
    findings = List.copyOf(findings);
  }

  /**
   * Brings it together.
   *
   * @param choice the instructor's own choice of an equation, if one was made
   * @param all the measured values of every mode, in any order
   * @param medicinesChangedAt what was measured before it is out of date
   */
  public static MaximumRecord of(
      Person person,
      OptionalInt restingBpm,
      Mode mode,
      Optional<Choice> choice,
      List<MeasuredMaximum> all,
      Optional<Instant> medicinesChangedAt,
      LocalDate date,
      ZoneId zone) {
    Optional<LocalDate> changedOn = medicinesChangedAt.map(at -> LocalDate.ofInstant(at, zone));
    Sheet sheet = new Sheet(person, restingBpm, choice, all, medicinesChangedAt, changedOn, date);
    MaximumEstimates estimates = sheet.estimates(mode);
    Optional<WorkingMaximum> working = sheet.working(mode, estimates);
    List<JudgedMaximum> judged = sheet.settled(mode, working);
    boolean due =
        working
            .flatMap(WorkingMaximum::measured)
            .filter(value -> !date.isBefore(value.dueOn()))
            .isPresent();
    return new MaximumRecord(
        person,
        restingBpm,
        date,
        estimates,
        judged,
        working,
        due,
        findings(sheet, estimates, working, judged, due));
  }

  /** What was known, while it is being judged. */
  private record Sheet(
      Person person,
      OptionalInt restingBpm,
      Optional<Choice> choice,
      List<MeasuredMaximum> all,
      Optional<Instant> medicinesChangedAt,
      Optional<LocalDate> changedOn,
      LocalDate date) {

    MaximumEstimates estimates(Mode mode) {
      return MaximumEstimates.of(person, restingBpm, mode, choice, changedOn);
    }

    /** Measured before a change of medicine: on a day before it, or on record before it. */
    boolean stale(MeasuredMaximum value) {
      return changedOn.filter(value.measuredOn()::isBefore).isPresent()
          || medicinesChangedAt.filter(value.recordedAt()::isBefore).isPresent();
    }

    List<MeasuredMaximum> of(Mode mode) {
      return all.stream()
          .filter(value -> value.mode() == mode)
          .sorted(
              Comparator.comparing(MeasuredMaximum::measuredOn)
                  .thenComparing(value -> value.id().toString())
                  .reversed())
          .toList();
    }

    Optional<WorkingMaximum> working(Mode mode, MaximumEstimates estimates) {
      Optional<WorkingMaximum> base = tested(mode).or(() -> borrowedOrEstimated(mode, estimates));
      Optional<WorkingMaximum> peak =
          confirmed(mode).stream()
              .filter(value -> base.filter(under -> value.value().bpm() <= under.bpm()).isEmpty())
              .max(HIGHEST_THEN_LATEST)
              .map(WorkingMaximum::measured);
      return peak.or(() -> base);
    }

    private Optional<WorkingMaximum> tested(Mode mode) {
      return of(mode).stream()
          .map(this::first)
          .filter(value -> value.state() == State.QUALIFIES && value.standsAs().test())
          .max(HIGHEST_THEN_LATEST)
          .map(WorkingMaximum::measured);
    }

    private List<JudgedMaximum> confirmed(Mode mode) {
      return of(mode).stream()
          .map(this::first)
          .filter(value -> value.standsAs() == MaximumKind.CONFIRMED_PEAK)
          .filter(JudgedMaximum::qualifies)
          .toList();
    }

    private Optional<WorkingMaximum> borrowedOrEstimated(Mode mode, MaximumEstimates estimates) {
      Optional<WorkingMaximum> running =
          mode == Mode.RUN
              ? Optional.empty()
              : working(Mode.RUN, estimates(Mode.RUN))
                  .filter(value -> value.origin() == Origin.MEASURED);
      return running
          .map(value -> WorkingMaximum.borrowed(value, mode))
          .or(
              () ->
                  estimates
                      .inUse()
                      .map(each -> WorkingMaximum.estimated(each, mode, estimates.chosen())));
    }

    /** A value by itself, before it is compared with the working one. */
    private JudgedMaximum first(MeasuredMaximum value) {
      boolean peak = !value.passed();
      Optional<MeasuredMaximum> agrees = peak ? agreeing(value) : Optional.empty();
      MaximumKind standsAs = agrees.isPresent() ? MaximumKind.CONFIRMED_PEAK : value.kind();
      JudgedMaximum judged =
          new JudgedMaximum(
              value,
              standsAs,
              value.standardErrorBpm(standsAs, date),
              value.dueOn(),
              State.QUALIFIES,
              "");
      if (stale(value)) {
        return judged.as(
            State.STALE,
            "Measured before medication changed on " + Days.of(changedOn.orElseThrow()) + ".");
      }
      if (person.health().heartDisease() && !(value.kind().clinical() && value.passed())) {
        return judged.as(
            State.PROPOSAL,
            "With a heart condition only a test to exhaustion under qualified supervision counts.");
      }
      if (value.kind() == MaximumKind.PEAK && PeakProposal.neverProposed(person)) {
        return judged.as(
            State.KEPT,
            "Kept as it was: in pregnancy, under 18 or with an irregular rhythm a peak"
                + " is never taken for a maximum.");
      }
      if (peak && agrees.isEmpty()) {
        return judged.as(
            State.PROPOSAL,
            (value.kind().test() ? "A poor test" : "Seen once")
                + ": a proposal until another day comes within "
                + Threshold.PEAK_CONFIRMED.whole()
                + " bpm, or a test measures it.");
      }
      return judged.as(
          State.QUALIFIES,
          agrees
              .map(
                  other ->
                      "Confirmed by " + other.bpm() + " on " + Days.of(other.measuredOn()) + ".")
              .orElse("It qualifies; a higher one stands before it."));
    }

    /** Another day's value that reached it within 3 bpm, or went past it; the closest in rate. */
    private Optional<MeasuredMaximum> agreeing(MeasuredMaximum value) {
      return of(value.mode()).stream()
          .filter(other -> agree(value, other) && !stale(other))
          .min(Comparator.comparingInt(other -> Math.abs(other.bpm() - value.bpm())));
    }

    /** Every value of a mode as it stands beside the working one. */
    List<JudgedMaximum> settled(Mode mode, Optional<WorkingMaximum> working) {
      Optional<MeasuredMaximum> used =
          working
              .filter(value -> value.origin() == Origin.MEASURED)
              .flatMap(WorkingMaximum::measured)
              .map(JudgedMaximum::value);
      return of(mode).stream().map(this::first).map(value -> settle(value, used, working)).toList();
    }

    private JudgedMaximum settle(
        JudgedMaximum value, Optional<MeasuredMaximum> used, Optional<WorkingMaximum> working) {
      if (used.filter(value.value()::equals).isPresent()) {
        return value.as(
            State.WORKING,
            value.standsAs() == MaximumKind.CONFIRMED_PEAK
                ? value.reason()
                : "The highest that qualifies.");
      }
      boolean peak = !value.value().passed();
      boolean reaches = working.filter(under -> value.value().bpm() <= under.bpm()).isEmpty();
      if (value.state() == State.STALE || !peak || reaches) {
        return value;
      }
      boolean confirms =
          used.filter(peaked -> !peaked.passed() && agree(peaked, value.value())).isPresent();
      return confirms
          ? value.as(State.QUALIFIES, "Confirms the " + used.get().bpm() + ".")
          : value.as(
              State.NOT_REACHED,
              "Not over the working maximum: it says only that it was not reached that day.");
    }

    /**
     * Of two days the lower peak is sure, and the higher one where it is no more than 3 over it.
     */
    private static boolean agree(MeasuredMaximum one, MeasuredMaximum other) {
      return !other.measuredOn().equals(one.measuredOn())
          && other.bpm() >= one.bpm() - Threshold.PEAK_CONFIRMED.whole();
    }
  }

  private static List<Finding> findings(
      Sheet sheet,
      MaximumEstimates estimates,
      Optional<WorkingMaximum> working,
      List<JudgedMaximum> judged,
      boolean due) {
    List<Finding> findings = new ArrayList<>();
    Optional<JudgedMaximum> base = working.flatMap(WorkingMaximum::measured);
    working.filter(value -> base.isPresent()).ifPresent(value -> findings.add(because(value)));
    if (due) {
      findings.add(
          MaximumFinding.MAXIMUM_DUE.of(
              Days.of(base.orElseThrow().value().measuredOn()),
              working.orElseThrow().standardErrorBpm().toPlainString()));
    }
    judged.stream()
        .filter(value -> value.state() == State.PROPOSAL)
        .filter(value -> working.filter(at -> value.value().bpm() > at.bpm()).isPresent())
        .max(HIGHEST_THEN_LATEST)
        .ifPresent(value -> findings.add(proposed(value, working.orElseThrow().bpm())));
    higherElsewhere(sheet, estimates.mode(), working).ifPresent(findings::add);
    Set<String> dropped =
        base.isPresent()
            ? ONLY_WHILE_ESTIMATED.stream().map(FindingKind::code).collect(Collectors.toSet())
            : Set.of();
    estimates.findings().stream()
        .filter(finding -> !dropped.contains(finding.code()))
        .forEach(findings::add);
    if (base.isPresent()) {
      sheet
          .changedOn()
          .ifPresent(day -> findings.add(MaximumFinding.MAXIMUM_ON_PRESENT_DOSE.of(Days.of(day))));
      sheet
          .choice()
          .filter(made -> estimates.chosen())
          .ifPresent(
              made ->
                  findings.add(
                      MaximumFinding.MAXIMUM_CHOICE_WAITS.of(
                          estimates.inUse().orElseThrow().equation().formula())));
    }
    return findings;
  }

  private static Finding because(WorkingMaximum working) {
    JudgedMaximum base = working.measured().orElseThrow();
    MeasuredMaximum value = base.value();
    String day = Days.of(value.measuredOn());
    if (working.origin() == Origin.BORROWED) {
      int less = working.mode().lessBpm();
      return MaximumFinding.MAXIMUM_BORROWED.of(
          value.bpm(), less == 0 ? "" : " less " + less, day, working.standardErrorBpm());
    }
    return MaximumFinding.MAXIMUM_MEASURED.of(
        value.bpm(),
        base.standsAs() == MaximumKind.CONFIRMED_PEAK
            ? "Confirmed peak: " + base.reason().toLowerCase(Locale.ROOT)
            : value.words(),
        day,
        base.standsAs().standardErrorBpm(value.grade()),
        base.standardErrorBpm());
  }

  private static Finding proposed(JudgedMaximum value, int workingBpm) {
    return MaximumFinding.MAXIMUM_PROPOSED.of(
        value.value().bpm(),
        value.value().bpm() - workingBpm,
        Days.of(value.value().measuredOn()),
        value.reason());
  }

  /** A value measured in another mode above the running maximum in use. */
  private static Optional<Finding> higherElsewhere(
      Sheet sheet, Mode mode, Optional<WorkingMaximum> working) {
    if (mode != Mode.RUN || working.isEmpty()) {
      return Optional.empty();
    }
    return sheet.all().stream()
        .filter(value -> value.mode() != Mode.RUN && value.passed() && !sheet.stale(value))
        .filter(value -> value.bpm() > working.get().bpm())
        .max(Comparator.comparingInt(MeasuredMaximum::bpm))
        .map(
            value ->
                MaximumFinding.MAXIMUM_HIGHER_ELSEWHERE.of(
                    value.bpm(),
                    value.words()
                        + ", "
                        + value.mode().name().toLowerCase(Locale.ROOT)
                        + ", on "
                        + Days.of(value.measuredOn())));
  }

  /** What the equation in use will say at another age, bpm; nothing where none is in use. */
  public OptionalInt estimateAtAge(int age) {
    return working
        .flatMap(WorkingMaximum::estimate)
        .map(estimate -> estimate.equation().bpm(age, restingBpm.orElse(0), estimates.mode()))
        .map(OptionalInt::of)
        .orElse(OptionalInt.empty());
  }

  /** What became of the instructor's choice of an equation, if one was made. */
  public Optional<Finding> aboutChoice() {
    return findings.stream().filter(MaximumEstimates::aboutChoice).findFirst();
  }

  /** The working maximum and its error, worked out step by step; nothing where there is none. */
  public Optional<Working> longHand() {
    return working.map(
        value ->
            value
                .measured()
                .map(base -> longHand(value, base))
                .orElseGet(
                    () ->
                        MaximumEstimates.longHand(
                            value.method(), person, restingBpm, value.mode())));
  }

  private Working longHand(WorkingMaximum value, JudgedMaximum base) {
    int bpm = base.value().bpm();
    List<Working.Line> lines = new ArrayList<>();
    lines.add(
        Working.Line.of(
            Formula.WORKING_MAXIMUM,
            "The highest that qualifies",
            qualifying(base),
            BigDecimal.valueOf(bpm),
            "bpm",
            Working.Finish.EXACT));
    Working.Line error = base.value().errorLine(base.standsAs(), date);
    lines.add(error);
    if (value.origin() == Origin.BORROWED) {
      if (value.mode().lessBpm() != 0) {
        lines.add(
            Working.Line.of(
                Formula.WORKING_MAXIMUM,
                "Less on this mode",
                bpm + " − " + value.mode().lessBpm(),
                BigDecimal.valueOf(value.bpm()),
                "bpm",
                Working.Finish.EXACT));
      }
      lines.add(
          Working.Line.of(
              Formula.MODE_ERROR,
              "Error of the borrowed value, ±",
              "√("
                  + Working.written(error.answer())
                  + "² + "
                  + Working.written(value.mode().extraErrorBpm())
                  + "²)",
              value.standardErrorBpm(),
              "bpm",
              Working.Finish.TENTH));
    }
    return Working.of(lines);
  }

  private String qualifying(JudgedMaximum base) {
    String rates =
        measured.stream()
            .filter(JudgedMaximum::qualifies)
            .map(each -> String.valueOf(each.value().bpm()))
            .collect(Collectors.joining(", "));
    return rates.isEmpty() ? String.valueOf(base.value().bpm()) : rates;
  }
}
