package app.korvel.studio.progress;

import app.korvel.core.assessment.Retest;
import app.korvel.core.assessment.TestKind;
import app.korvel.core.assessment.TestOutcome;
import app.korvel.core.assessment.TestOutcome.Figure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.live.RecordedSession.Fall60;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.WorkingMaximum;
import app.korvel.core.maximum.WorkingMaximum.Origin;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.progress.Months;
import app.korvel.core.progress.TrainedWeek;
import app.korvel.core.progress.Trend;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.zone.LearnedRates;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.store.SavedSession;
import app.korvel.store.SessionSummaryRepository.Summed;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHistory;
import app.korvel.studio.Studio;
import app.korvel.studio.assessment.Assessments;
import app.korvel.studio.recording.RecordedSessions;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;

/** What has come of a client's training month by month, from everything that is on record. */
public record ClientMonths(Studio studio) {
  /** More tests are not set beside each other. */
  private static final int MOST_TESTS = 60;

  /**
   * So many months up to this one.
   *
   * @param mode whose maximum and thresholds are shown
   * @throws InvalidValueException when they are too many, or none
   */
  public Months of(UUID client, int months, Mode mode) {
    if (months < 1 || months > Months.MOST) {
      throw InvalidValueException.of(
          "months", months + " is outside the accepted range", "1 to " + Months.MOST);
    }
    LocalDate today = studio.today();
    List<YearMonth> looked = Months.looked(months, today);
    LocalDate since = looked.get(0).atDay(1);
    List<Summed> falls = new RecordedSessions(studio).withFalls(client, since);
    return studio.read(
        () -> {
          ClientHead head = studio.head(client);
          ClientHistory history = ClientHistory.of(studio, client);
          Map<YearMonth, Months.Span> spans = new HashMap<>();
          TreeSet<LocalDate> changes = new TreeSet<>();
          for (YearMonth month : looked) {
            LocalDate last = month.atEndOfMonth().isBefore(today) ? month.atEndOfMonth() : today;
            ClientBaseline then = history.at(last, mode);
            spans.put(month, span(history, then));
            then.screening()
                .medicinesChangedAt()
                .map(at -> LocalDate.ofInstant(at, studio.zone()))
                .ifPresent(changes::add);
          }
          List<LocalDate> broken = List.copyOf(changes);
          List<Trend> measured = new ArrayList<>(recoveries(falls, broken));
          measured.addAll(sameWork(client, since, broken));
          return Months.of(
              new Months.Facts(
                  studio.store().planned().of(client).stream()
                      .filter(session -> session.state() == SavedSession.State.PLANNED)
                      .map(session -> new TrainedWeek.Due(session.number(), session.on()))
                      .toList(),
                  studio.store().logs().of(client),
                  studio.store().readings().of(client),
                  measured,
                  spans,
                  broken,
                  head.screening().medicinesChangedAt()),
              months,
              today,
              studio.zone());
        });
  }

  /**
   * The span as it was at the end of a day.
   *
   * @param day up to today
   */
  public Months.Span span(UUID client, LocalDate day, Mode mode) {
    ClientHistory history = ClientHistory.of(studio, client);
    return span(history, history.at(day, mode));
  }

  /** The modes in which something was logged, or a maximum measured; walking and running always. */
  public List<Mode> modes(UUID client) {
    Set<Mode> modes = EnumSet.of(Mode.RUN);
    studio.store().logs().of(client).forEach(log -> modes.add(log.mode()));
    studio.store().maxima().of(client).forEach(value -> modes.add(value.mode()));
    return List.copyOf(modes);
  }

  private static Months.Span span(ClientHistory history, ClientBaseline then) {
    Optional<WorkingMaximum> maximum = then.maximum();
    Optional<ThresholdRates> measured = history.thresholds(then);
    LearnedRates learned = then.learned();
    return new Months.Span(
        number(then.resting().map(value -> value.bpm())),
        number(maximum.map(WorkingMaximum::bpm)),
        maximum.map(WorkingMaximum::method).orElse(""),
        maximum.filter(value -> value.origin() != Origin.MEASURED).isPresent(),
        number(
            measured
                .map(ThresholdRates::lowerBpm)
                .or(() -> learned.lower().map(LearnedRates.Rate::bpm))),
        number(
            measured
                .map(ThresholdRates::upperBpm)
                .or(() -> learned.upper().map(LearnedRates.Rate::bpm))));
  }

  private static OptionalInt number(Optional<Integer> value) {
    return value.map(OptionalInt::of).orElse(OptionalInt.empty());
  }

  /** A trend for each posture and source in which the rate fell after an effort. */
  private static List<Trend> recoveries(List<Summed> sessions, List<LocalDate> changes) {
    Map<RecoveryPosture, Map<RateSource, List<Trend.Value>>> alike =
        new EnumMap<>(RecoveryPosture.class);
    for (Summed session : sessions) {
      for (Fall60 fall : session.recorded().falls()) {
        alike
            .computeIfAbsent(fall.posture(), posture -> new EnumMap<>(RateSource.class))
            .computeIfAbsent(fall.source(), source -> new ArrayList<>())
            .add(new Trend.Value(session.on(), fall.bpm()));
      }
    }
    List<Trend> trends = new ArrayList<>();
    alike.forEach(
        (posture, bySource) ->
            bySource.forEach(
                (source, values) ->
                    trends.add(
                        Trend.of(
                            Trend.Kind.RECOVERY,
                            posture.displayName().toLowerCase(Locale.ROOT)
                                + (source == RateSource.COUNT ? ", counted" : ", by strap"),
                            values,
                            source == RateSource.COUNT
                                ? Threshold.RECOVERY_CHANGED_COUNT.whole()
                                : Threshold.RECOVERY_CHANGED_STRAP.whole(),
                            changes))));
    return trends;
  }

  /** A trend for each rate that the same test gave twice at least, done as it was done last. */
  private List<Trend> sameWork(UUID client, LocalDate since, List<LocalDate> changes) {
    Instant from = since.atStartOfDay(studio.zone()).toInstant();
    Map<TestKind, List<TestOutcome>> byKind = new EnumMap<>(TestKind.class);
    new Assessments(studio)
        .done(client, MOST_TESTS).stream()
            .filter(test -> !test.opened().openedAt().isBefore(from))
            .flatMap(test -> test.outcome().stream())
            .forEach(
                outcome ->
                    byKind
                        .computeIfAbsent(outcome.plan().kind(), kind -> new ArrayList<>())
                        .add(outcome));
    List<Trend> trends = new ArrayList<>();
    byKind.forEach((kind, outcomes) -> trends.addAll(sameWork(kind, outcomes, changes)));
    return trends;
  }

  private List<Trend> sameWork(
      TestKind kind, List<TestOutcome> latestFirst, List<LocalDate> changes) {
    TestOutcome last = latestFirst.get(0);
    Map<String, List<Trend.Value>> values = new LinkedHashMap<>();
    Map<String, Integer> noises = new HashMap<>();
    for (TestOutcome each : latestFirst) {
      boolean alike =
          each == last || Retest.of(each, last, "", Optional.empty()).unlike().isEmpty();
      for (Figure figure : alike ? each.figures() : List.<Figure>of()) {
        if (figure.unit().equals("bpm") && figure.noise().isPresent()) {
          noises.putIfAbsent(figure.name(), figure.noise().get());
          values
              .computeIfAbsent(figure.name(), name -> new ArrayList<>())
              .add(
                  new Trend.Value(
                      LocalDate.ofInstant(each.at(), studio.zone()), figure.value().intValue()));
        }
      }
    }
    List<Trend> trends = new ArrayList<>();
    values.forEach(
        (name, all) -> {
          if (all.size() > 1) {
            trends.add(
                Trend.of(
                    Trend.Kind.SAME_WORK,
                    kind.displayName() + ", " + name.toLowerCase(Locale.ROOT),
                    all,
                    noises.get(name),
                    changes));
          }
        });
    return trends;
  }
}
