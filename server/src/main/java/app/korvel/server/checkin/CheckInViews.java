package app.korvel.server.checkin;

import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.CheckIn.SelfReport;
import app.korvel.core.checkin.Glucose;
import app.korvel.core.checkin.Ketones;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Measure;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Symptom;
import app.korvel.server.web.Within;
import app.korvel.store.SavedCheckIn;
import app.korvel.studio.ClientHead;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Check-ins as they are received and sent. */
final class CheckInViews {
  private CheckInViews() {}

  private static <T> Set<T> set(@Nullable List<T> list) {
    return list == null ? Set.of() : Set.copyOf(list);
  }

  private static boolean yes(@Nullable Boolean answer) {
    return Boolean.TRUE.equals(answer);
  }

  /** Both pressures or none. */
  private static Optional<BloodPressure> pressure(
      @Nullable Integer systolic, @Nullable Integer diastolic) {
    if (systolic == null && diastolic == null) {
      return Optional.empty();
    }
    if (systolic == null || diastolic == null) {
      String missing = systolic == null ? "systolic" : "diastolic";
      Limit limit = systolic == null ? Limit.SYSTOLIC : Limit.DIASTOLIC;
      throw InvalidValueException.of(
          missing, "is missing beside the other pressure", limit.accepted());
    }
    return Optional.of(new BloodPressure(systolic, diastolic));
  }

  private static Optional<Glucose> glucose(
      @Nullable BigDecimal value, Glucose.@Nullable Unit unit) {
    if (value == null) {
      return Optional.empty();
    }
    if (unit == null) {
      throw InvalidValueException.of("glucoseUnit", "is missing", "mmol-l or mg-dl");
    }
    return Optional.of(new Glucose(value, unit));
  }

  /** An instructor's own decision. */
  record DecidedRequest(Outcome outcome, String reason) {}

  /**
   * What was found: a pulse as bpm, or as beats in a window; what is left out was not found or not
   * measured.
   */
  record CheckInRequest(
      @Nullable @Within(Limit.PULSE) Integer pulseBpm,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable Posture posture,
      @Nullable PulseSource source,
      @Nullable Boolean settled,
      @Nullable Boolean recounted,
      @Nullable Rhythm rhythm,
      @Nullable @Within(Limit.SYSTOLIC) Integer systolic,
      @Nullable @Within(Limit.DIASTOLIC) Integer diastolic,
      @Nullable BigDecimal glucose,
      Glucose.@Nullable Unit glucoseUnit,
      @Nullable Ketones ketones,
      @Nullable @Within(Limit.WEIGHT) BigDecimal weightKg,
      @Nullable List<Symptom> symptoms,
      @Nullable List<SelfReport> told,
      @Nullable DecidedRequest decided) {

    Optional<Verdict.OwnDecision> ownDecision(Verdict verdict) {
      return Optional.ofNullable(decided).map(own -> verdict.decide(own.outcome(), own.reason()));
    }

    CheckIn checkIn() {
      return new CheckIn(
          bpm(),
          posture == null ? Posture.SEATED : posture,
          source == null ? PulseSource.COUNT : source,
          settled == null || settled,
          yes(recounted),
          Optional.ofNullable(rhythm),
          pressure(systolic, diastolic),
          CheckInViews.glucose(glucose, glucoseUnit),
          Optional.ofNullable(ketones),
          Optional.ofNullable(weightKg),
          set(symptoms),
          set(told));
    }

    private int bpm() {
      if (pulseBpm != null) {
        if (beats != null || windowSeconds != null) {
          throw InvalidValueException.of("beats", "stand beside a rate", "one of the two");
        }
        return pulseBpm;
      }
      if (beats == null) {
        throw InvalidValueException.of(
            "pulseBpm", "is missing", "a whole number from " + Limit.PULSE.accepted());
      }
      return PulseCount.of(beats, CountWindow.of(windowSeconds == null ? 60 : windowSeconds)).bpm();
    }
  }

  record VerdictView(
      Outcome outcome,
      String outcomeWords,
      boolean mayOverride,
      boolean recount,
      int pulseBpm,
      @Nullable Integer usualBpm,
      @Nullable Integer lightBelowBpm,
      List<Finding> findings) {

    static VerdictView of(
        CheckIn found, Verdict verdict, OptionalInt usual, Optional<Integer> lightBelow) {
      return new VerdictView(
          verdict.outcome(),
          verdict.words(),
          verdict.mayOverride(),
          verdict.recount(),
          found.pulseBpm(),
          usual.isPresent() ? usual.getAsInt() : null,
          lightBelow.orElse(null),
          verdict.findings());
    }
  }

  /** A check-in as it was kept. */
  record CheckInView(
      UUID id,
      LocalDate on,
      Instant recordedAt,
      Outcome outcome,
      String outcomeWords,
      int pulseBpm,
      @Nullable Integer usualBpm,
      Posture posture,
      PulseSource source,
      @Nullable String pressure,
      @Nullable String glucose,
      @Nullable BigDecimal weightKg,
      Outcome byRule,
      boolean recount,
      @Nullable String reason,
      List<Finding> findings) {

    static CheckInView of(SavedCheckIn saved) {
      CheckIn found = saved.checkIn();
      return new CheckInView(
          saved.id(),
          saved.on(),
          saved.recordedAt(),
          saved.outcome(),
          saved.words(),
          found.pulseBpm(),
          saved.usualBpm().isPresent() ? saved.usualBpm().getAsInt() : null,
          found.posture(),
          found.source(),
          found.pressure().map(BloodPressure::toString).orElse(null),
          found.glucose().map(Glucose::toString).orElse(null),
          found.weightKg().orElse(null),
          saved.verdict().outcome(),
          saved.verdict().recount(),
          saved.decided().map(Verdict.OwnDecision::reason).orElse(null),
          saved.verdict().findings());
    }
  }

  record SelfReportOption(SelfReport id, String name) {}

  record WorseOption(Symptom id, String name) {}

  record PastPulse(LocalDate on, int bpm) {}

  /**
   * What a check-in starts from.
   *
   * @param today the one kept today, if there is one
   * @param usualBpm what the pulse is compared with; null where there is none
   * @param lightFromBpm so far off the usual it is light only
   * @param notTodayFromBpm so far off it is not today
   * @param past the latest readings of that posture and source, oldest first
   * @param ask what is measured besides the pulse
   * @param carry what they have on them
   */
  record CheckInSheet(
      @Nullable CheckInView today,
      List<CheckInView> recent,
      @Nullable Integer usualBpm,
      Posture posture,
      PulseSource source,
      int lightFromBpm,
      int notTodayFromBpm,
      List<PastPulse> past,
      List<Measure> ask,
      List<String> carry,
      List<SelfReportOption> told,
      List<WorseOption> symptoms) {
    private static final int PAST = 12;

    static CheckInSheet of(ClientHead head, List<RestingReading> taken, List<SavedCheckIn> recent) {
      Screening screening = head.screening();
      Posture posture = head.usual().map(UsualPulse::posture).orElse(Posture.SEATED);
      PulseSource source = head.usual().map(UsualPulse::source).orElse(PulseSource.COUNT);
      return new CheckInSheet(
          recent.stream()
              .filter(saved -> saved.on().equals(screening.date()))
              .findFirst()
              .map(CheckInView::of)
              .orElse(null),
          recent.stream().map(CheckInView::of).toList(),
          head.usual().map(UsualPulse::bpm).orElse(null),
          posture,
          source,
          Threshold.PULSE_LIGHT_ONLY.whole(),
          Threshold.PULSE_NOT_TODAY.whole(),
          past(taken, posture, source, screening.zone()),
          screening.effects().ask(),
          screening.effects().carry(),
          Arrays.stream(SelfReport.values())
              .map(told -> new SelfReportOption(told, told.displayName()))
              .toList(),
          Arrays.stream(Symptom.values())
              .map(symptom -> new WorseOption(symptom, symptom.displayName()))
              .toList());
    }

    private static List<PastPulse> past(
        List<RestingReading> taken, Posture posture, PulseSource source, ZoneId zone) {
      List<PastPulse> alike =
          taken.stream()
              .filter(reading -> reading.posture() == posture && reading.source() == source)
              .sorted(Comparator.comparing(RestingReading::takenAt))
              .map(
                  reading ->
                      new PastPulse(LocalDate.ofInstant(reading.takenAt(), zone), reading.bpm()))
              .toList();
      return alike.subList(Math.max(0, alike.size() - PAST), alike.size());
    }
  }

  /** A check-in of someone unknown: all but age and pulse may be left out. */
  record CheckInOfAnyoneRequest(
      @Within(Limit.AGE) Integer age,
      @Within(Limit.PULSE) Integer pulseBpm,
      @Nullable @Within(Limit.RESTING) Integer usualBpm,
      @Nullable Boolean recounted,
      @Nullable Boolean settled,
      @Nullable @Within(Limit.SYSTOLIC) Integer systolic,
      @Nullable @Within(Limit.DIASTOLIC) Integer diastolic,
      @Nullable BigDecimal glucose,
      Glucose.@Nullable Unit glucoseUnit,
      @Nullable Ketones ketones,
      @Nullable List<Symptom> symptoms,
      @Nullable Boolean fever,
      @Nullable Boolean noSleep,
      @Nullable Boolean hospital,
      @Nullable Boolean unwell,
      @Nullable Rhythm rhythm) {

    CheckIn checkIn() {
      Set<SelfReport> told = EnumSet.noneOf(SelfReport.class);
      tell(told, SelfReport.FEVER, fever);
      tell(told, SelfReport.NO_SLEEP, noSleep);
      tell(told, SelfReport.HOSPITAL, hospital);
      tell(told, SelfReport.UNWELL, unwell);
      return new CheckIn(
          pulseBpm,
          Posture.SEATED,
          PulseSource.COUNT,
          settled == null || settled,
          yes(recounted),
          Optional.ofNullable(rhythm),
          pressure(systolic, diastolic),
          CheckInViews.glucose(glucose, glucoseUnit),
          Optional.ofNullable(ketones),
          Optional.empty(),
          set(symptoms),
          told);
    }

    private static void tell(Set<SelfReport> told, SelfReport word, @Nullable Boolean answer) {
      if (yes(answer)) {
        told.add(word);
      }
    }

    Optional<UsualPulse> usual() {
      return Optional.ofNullable(usualBpm)
          .map(bpm -> new UsualPulse(bpm, Posture.SEATED, PulseSource.COUNT));
    }
  }

  record CheckInAnswer(
      Outcome outcome, boolean mayOverride, boolean recount, List<Finding> findings) {
    static CheckInAnswer of(Verdict verdict) {
      return new CheckInAnswer(
          verdict.outcome(), verdict.mayOverride(), verdict.recount(), verdict.findings());
    }
  }
}
