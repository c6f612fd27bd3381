package app.korvel.server.pulse;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Disturbance;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Taps;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Person;
import app.korvel.server.measure.WorkingViews.LineView;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.Within;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Pulses as they are received and sent. */
final class PulseViews {
  private PulseViews() {}

  record PulseRequest(Integer beats, Integer windowSeconds) {
    PulseCount count() {
      return PulseCount.of(beats, CountWindow.of(windowSeconds));
    }
  }

  record PulseAnswer(int bpm, int uncertaintyBpm) {}

  record PulseWorkingRequest(PulseRequest of, @Nullable List<@Nullable BigDecimal> figures) {}

  /** When each tap was made, in milliseconds from any beginning. */
  record TapsRequest(List<BigDecimal> tapMillis) {}

  /**
   * An interval that was not used.
   *
   * @param tap the number of the tap that ended it, from 1
   */
  record SetAsideView(int tap, BigDecimal millis, Taps.Kind kind) {}

  record TapsAnswer(
      int bpm, int kept, List<SetAsideView> setAside, Rhythm rhythm, List<FindingView> findings) {
    static TapsAnswer of(Taps taps) {
      return new TapsAnswer(
          taps.bpm(),
          taps.kept(),
          taps.setAside().stream()
              .map(each -> new SetAsideView(each.tap(), each.millis(), each.kind()))
              .toList(),
          taps.rhythm(),
          FindingView.of(taps.findings()));
    }
  }

  /** What was taken back; undoing that makes it stand again. */
  record TakenBack(UUID id) {}

  /** A reading to keep: beats and window for a count, bpm for any other source. */
  record ReadingRequest(
      PulseSource source,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable @Within(Limit.RESTING) Integer bpm,
      Posture posture,
      @Within(Limit.MINUTES_RESTED) Integer minutesRested,
      List<Disturbance> disturbances) {

    RestingReading reading(UUID id, Instant now) {
      if (source == PulseSource.COUNT) {
        if (bpm != null) {
          throw InvalidValueException.of("bpm", "is worked out from the count", "beats instead");
        }
        PulseCount count =
            PulseCount.of(
                needed("beats", beats), CountWindow.of(needed("windowSeconds", windowSeconds)));
        return RestingReading.counted(
            id, now, count, posture, minutesRested, Set.copyOf(disturbances));
      }
      if (beats != null || windowSeconds != null) {
        throw InvalidValueException.of("beats", "belong to a count", "bpm, or the source “count”");
      }
      return RestingReading.sampled(
          id, now, needed("bpm", bpm), posture, source, minutesRested, Set.copyOf(disturbances));
    }

    private static int needed(String field, @Nullable Integer value) {
      if (value == null) {
        throw InvalidValueException.of(field, "is missing", "a whole number");
      }
      return value;
    }
  }

  record ReadingView(
      UUID id,
      Instant takenAt,
      int bpm,
      @Nullable Integer uncertaintyBpm,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      Posture posture,
      PulseSource source,
      int minutesRested,
      List<Disturbance> disturbances,
      Grade grade,
      List<String> departures,
      FindingView usual,
      List<Integer> ratesBefore) {

    static ReadingView of(RestingReading reading, Person person) {
      return of(reading, person, List.of());
    }

    /** With what it said before it was corrected, latest first. */
    static ReadingView of(RestingReading reading, Person person, List<Integer> ratesBefore) {
      return new ReadingView(
          reading.id(),
          reading.takenAt(),
          reading.bpm(),
          reading.count().map(PulseCount::uncertaintyBpm).orElse(null),
          reading.count().map(PulseCount::beats).orElse(null),
          reading.count().map(count -> count.window().seconds()).orElse(null),
          reading.posture(),
          reading.source(),
          reading.minutesRested(),
          reading.disturbances().stream().sorted().toList(),
          reading.grade(),
          reading.departures(),
          FindingView.of(UsualResting.judge(reading.bpm(), person, reading.settled())),
          ratesBefore);
    }
  }

  record WorkingRestingView(
      int bpm,
      BigDecimal standardErrorBpm,
      List<UUID> basis,
      boolean due,
      boolean stale,
      List<FindingView> findings,
      List<LineView> longHand) {

    static WorkingRestingView of(WorkingResting working) {
      return new WorkingRestingView(
          working.bpm(),
          Rounding.tenths(working.standardErrorBpm()),
          working.basis().stream().map(RestingReading::id).toList(),
          working.due(),
          working.stale(),
          FindingView.of(working.findings()),
          LineView.of(working.longHand()));
    }
  }

  record RestingRecord(
      List<ReadingView> readings,
      @Nullable WorkingRestingView working,
      int usualLowBpm,
      int usualHighBpm) {}
}
