package app.korvel.core.screening;

import app.korvel.core.measure.Days;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import app.korvel.core.measure.Threshold;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A limit that stands above every rule, as it was given. Past its last day it goes on holding, and
 * is shown as lapsed, until it is renewed or whoever gave it lifts it.
 *
 * @param kind what is limited
 * @param value bpm or effort on 6–20, as {@link Kind#limit()} accepts; empty where the kind has
 *     none
 * @param issuer who gave it, 1 to {@value #ISSUER_LENGTH} characters
 * @param issuedOn when
 * @param until the last day it was given for; empty where it holds until replaced
 */
public record WrittenLimit(
    Kind kind, OptionalInt value, String issuer, LocalDate issuedOn, Optional<LocalDate> until) {
  public static final int ISSUER_LENGTH = 80;

  /** What can be limited: a row each. */
  public enum Kind {
    CAP("Highest rate", Limit.CAP, 0, null),
    DETECTION_RATE(
        "Defibrillator's detection rate",
        Limit.CAP,
        Threshold.BELOW_DETECTION.whole(),
        Condition.DEFIBRILLATOR),
    SYMPTOM_RATE("Rate at which symptoms came", Limit.CAP, Threshold.BELOW_SYMPTOMS.whole(), null),
    EFFORT_CAP("Highest effort, 6–20", Limit.EFFORT, 0, null),
    SUPERVISED_ONLY("Supervised only", null, 0, null);

    private final String displayName;
    private final Limit limit;
    private final int lessBpm;
    private final Condition tells;

    Kind(String displayName, Limit limit, int lessBpm, Condition tells) {
      this.displayName = displayName;
      this.limit = limit;
      this.lessBpm = lessBpm;
      this.tells = tells;
    }

    /** The disease that counts as known where there is such a limit, if there is one. */
    public Optional<Condition> tells() {
      return Optional.ofNullable(tells);
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }

    /** What its value accepts; empty where it has none. */
    public Optional<Limit> limit() {
      return Optional.ofNullable(limit);
    }

    /** Whether its value is a rate, which makes a cap. */
    public boolean rate() {
      return limit == Limit.CAP;
    }

    /** How far the cap lies below its value, bpm. */
    public int lessBpm() {
      return lessBpm;
    }
  }

  /** Whether its last day is over on {@code date}. */
  public boolean lapsedOn(LocalDate date) {
    return until.filter(date::isAfter).isPresent();
  }

  /** Those of {@code limits} that hold on {@code date}; a lapsed one until it is renewed. */
  public static List<WrittenLimit> holding(List<WrittenLimit> limits, LocalDate date) {
    List<WrittenLimit> given =
        limits.stream().filter(limit -> !limit.issuedOn.isAfter(date)).toList();
    return given.stream()
        .filter(limit -> !limit.lapsedOn(date) || given.stream().noneMatch(limit::isRenewedBy))
        .toList();
  }

  /** Whether that one is the same limit by the same issuer, given later. */
  private boolean isRenewedBy(WrittenLimit other) {
    return other.kind == kind
        && other.issuer.strip().equalsIgnoreCase(issuer.strip())
        && other.issuedOn.isAfter(issuedOn);
  }

  /** What is limited, at what, for example {@code Highest rate 130}. */
  String words() {
    return value.isPresent() ? kind.displayName + " " + value.getAsInt() : kind.displayName;
  }

  /** The cap it makes on {@code date}: its rate, less the distance that is kept. */
  Optional<Cap> cap(LocalDate date) {
    return kind.rate()
        ? Optional.of(new Cap(value.getAsInt() - kind.lessBpm, because(date)))
        : Optional.empty();
  }

  private String because(LocalDate date) {
    String distance = kind.lessBpm == 0 ? "" : ", less " + kind.lessBpm;
    String lapsed =
        lapsedOn(date) ? "; ended on " + Days.of(until.get()) + " and still applies" : "";
    return words() + distance + ", " + issuer + ", " + Days.of(issuedOn) + lapsed;
  }

  void check(String field, LocalDate today, OptionalInt restingBpm, List<Fault> faults) {
    Texts.check(faults, field + ".issuer", issuer, 1, ISSUER_LENGTH);
    if (issuedOn.isAfter(today)) {
      faults.add(Texts.future(field + ".issuedOn"));
    }
    until
        .filter(last -> last.isBefore(issuedOn))
        .ifPresent(
            last ->
                faults.add(
                    new Fault(
                        field + ".until", "ends before it was given", "from its own day on")));
    if (kind.limit == null) {
      return;
    }
    if (value.isEmpty()) {
      faults.add(new Fault(field + ".value", "is missing", kind.limit.accepted()));
    } else if (!kind.limit.accepts(value.getAsInt())) {
      faults.add(
          new Fault(
              field + ".value",
              value.getAsInt() + " is outside the accepted range",
              kind.limit.accepted()));
    } else if (kind.rate()
        && restingBpm.isPresent()
        && value.getAsInt() - kind.lessBpm <= restingBpm.getAsInt()) {
      int least = restingBpm.getAsInt() + kind.lessBpm + 1;
      faults.add(
          new Fault(
              field + ".value",
              value.getAsInt()
                  + " would hold them under their resting rate of "
                  + restingBpm.getAsInt(),
              least + " to " + kind.limit.highest() + " bpm"));
    }
  }
}
