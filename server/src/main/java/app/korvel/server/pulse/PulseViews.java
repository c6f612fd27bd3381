package app.korvel.server.pulse;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Rounding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Confounder;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Palpation;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.pulse.Taps;
import app.korvel.core.pulse.UsualResting;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.server.measure.WorkingViews.LineView;
import app.korvel.server.web.Within;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
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

  /**
   * What taps come to.
   *
   * @param seconds how long the kept intervals lasted together
   * @param uneven the numbers of the taps whose interval is far off the median, from 1
   */
  record TapsAnswer(
      int bpm,
      int kept,
      int seconds,
      List<SetAsideView> setAside,
      List<Integer> uneven,
      Rhythm rhythm,
      List<Finding> findings) {
    static TapsAnswer of(Taps taps) {
      return new TapsAnswer(
          taps.bpm(),
          taps.kept(),
          taps.seconds(),
          taps.setAside().stream()
              .map(each -> new SetAsideView(each.tap(), each.millis(), each.kind()))
              .toList(),
          taps.uneven(),
          taps.rhythm(),
          taps.findings());
    }
  }

  /**
   * A reading to keep: beats and window for a count, taps for one that was tapped along (or what
   * they came to), bpm for any other source.
   *
   * @param asUsual whether it is to count as usual although it departs far from what was taken
   *     earlier the same day; no where it is left out
   */
  record ReadingRequest(
      PulseSource source,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable List<BigDecimal> tapMillis,
      @Nullable @Within(Limit.TAPPED) Integer tappedSeconds,
      @Nullable @Within(Limit.RESTING) Integer bpm,
      Posture posture,
      @Within(Limit.MINUTES_RESTED) Integer minutesRested,
      List<Confounder> disturbances,
      @Nullable PulseSite site,
      @Nullable Rhythm rhythm,
      @Nullable Strength strength,
      @Nullable Boolean asUsual) {

    /**
     * The reading.
     *
     * @param person whose it is: not every site is for everyone
     */
    RestingReading reading(Stamp stamp, Person person) {
      UUID id = stamp.id();
      Instant now = stamp.at();
      boolean counted = source == PulseSource.COUNT;
      boolean tapped = source == PulseSource.TAP;
      unlessOf(counted, "beats", beats != null || windowSeconds != null, "a count");
      unlessOf(tapped, "tapMillis", tapMillis != null || tappedSeconds != null, "tapping along");
      unlessOf(counted || tapped, "site", site != null, "a pulse that is felt or heard");
      if (site != null) {
        site.check(person);
      }
      RestingReading reading =
          counted ? counted(id, now) : tapped ? tapped(id, now) : read(id, now);
      return reading
          .withFelt(
              new Palpation(
                  Optional.ofNullable(site),
                  Optional.ofNullable(rhythm),
                  Optional.ofNullable(strength)))
          .takenAsUsual(Boolean.TRUE.equals(asUsual));
    }

    private static void unlessOf(boolean itsSource, String field, boolean given, String source) {
      if (given && !itsSource) {
        throw InvalidValueException.of(field, "belongs to " + source, "nothing, with this source");
      }
    }

    private RestingReading counted(UUID id, Instant now) {
      if (bpm != null) {
        throw InvalidValueException.of("bpm", "is worked out from the count", "beats instead");
      }
      PulseCount count =
          PulseCount.of(
              needed("beats", beats), CountWindow.of(needed("windowSeconds", windowSeconds)));
      return RestingReading.counted(
          id, now, count, posture, minutesRested, Set.copyOf(disturbances));
    }

    private RestingReading tapped(UUID id, Instant now) {
      int rate;
      int seconds;
      if (tapMillis != null) {
        if (bpm != null || tappedSeconds != null) {
          throw InvalidValueException.of("bpm", "is worked out from the taps", "taps alone");
        }
        Taps taps = Taps.of(tapMillis);
        rate = taps.bpm();
        seconds = taps.seconds();
      } else {
        rate = needed("bpm", bpm);
        seconds = needed("tappedSeconds", tappedSeconds);
      }
      return RestingReading.tapped(
          id, now, rate, seconds, posture, minutesRested, Set.copyOf(disturbances));
    }

    private RestingReading read(UUID id, Instant now) {
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

  /** A client's readings, as what one of them is judged beside. */
  record Judge(Person person, List<RestingReading> taken, ZoneId zone) {

    /** What is said of one; it may stand in the place of one of the others. */
    private List<Finding> of(RestingReading reading) {
      OptionalInt from =
          WorkingResting.departure(
              reading,
              taken.stream().filter(each -> !each.id().equals(reading.id())).toList(),
              zone);
      return Stream.concat(
              from.stream().mapToObj(bpm -> UsualResting.departs(reading.bpm(), bpm)),
              UsualResting.judge(reading, person).stream())
          .toList();
    }
  }

  /**
   * A reading.
   *
   * @param asUsual whether it was said to be usual although it departs far from others of its day
   */
  record ReadingView(
      UUID id,
      Instant takenAt,
      int bpm,
      @Nullable Integer uncertaintyBpm,
      @Nullable Integer beats,
      @Nullable Integer windowSeconds,
      @Nullable Integer tappedSeconds,
      Posture posture,
      PulseSource source,
      int minutesRested,
      List<Confounder> disturbances,
      @Nullable PulseSite site,
      @Nullable Rhythm rhythm,
      @Nullable Strength strength,
      boolean asUsual,
      Grade grade,
      List<String> departures,
      List<Finding> findings,
      List<Integer> ratesBefore) {

    static ReadingView of(RestingReading reading, Judge judge) {
      return of(reading, judge, List.of());
    }

    /** With what it said before it was corrected, latest first. */
    static ReadingView of(RestingReading reading, Judge judge, List<Integer> ratesBefore) {
      return new ReadingView(
          reading.id(),
          reading.takenAt(),
          reading.bpm(),
          reading.count().map(PulseCount::uncertaintyBpm).orElse(null),
          reading.count().map(PulseCount::beats).orElse(null),
          reading.count().map(count -> count.window().seconds()).orElse(null),
          reading.tappedSeconds().orElse(null),
          reading.posture(),
          reading.source(),
          reading.minutesRested(),
          reading.disturbances().stream().sorted().toList(),
          reading.felt().site().orElse(null),
          reading.felt().rhythm().orElse(null),
          reading.felt().strength().orElse(null),
          reading.asUsual(),
          reading.grade(),
          reading.departures(),
          judge.of(reading),
          ratesBefore);
    }
  }

  record WorkingRestingView(
      int bpm,
      BigDecimal standardErrorBpm,
      List<UUID> basis,
      boolean due,
      LocalDate dueOn,
      boolean stale,
      List<Finding> findings,
      List<LineView> longHand) {

    static WorkingRestingView of(WorkingResting working) {
      return new WorkingRestingView(
          working.bpm(),
          Rounding.tenths(working.standardErrorBpm()),
          working.basis().stream().map(RestingReading::id).toList(),
          working.due(),
          working.dueOn(),
          working.stale(),
          working.findings(),
          LineView.of(working.longHand()));
    }
  }

  /** What rates at rest mean at this age. */
  record SpanAtRest(String rates, boolean usual, String advice) {
    static SpanAtRest of(UsualResting.Span span) {
      return new SpanAtRest(span.rates(), span.usual(), span.advice());
    }
  }

  /** Where this client's pulse may be felt. */
  record SiteOption(PulseSite id, String name) {
    static SiteOption of(PulseSite site) {
      return new SiteOption(site, site.displayName());
    }
  }

  /**
   * A client's resting record, and what a new reading starts from.
   *
   * @param quietTimes quiet minutes before a count to choose from, the standard first
   * @param mostQuietMinutes as many are kept
   * @param fewestTaps how many taps make a rate
   * @param mostTaps how many are judged at once
   */
  record RestingRecord(
      List<ReadingView> readings,
      @Nullable WorkingRestingView working,
      int usualLowBpm,
      int usualHighBpm,
      List<SpanAtRest> spans,
      List<SiteOption> sites,
      List<Integer> quietTimes,
      int mostQuietMinutes,
      int fewestTaps,
      int mostTaps) {

    static RestingRecord of(
        ClientHead head, List<RestingReading> taken, Map<UUID, List<Integer>> before) {
      Screening screening = head.screening();
      Judge judge = new Judge(screening.person(), taken, screening.zone());
      UsualResting usual = UsualResting.at(screening.person().age());
      return new RestingRecord(
          taken.stream()
              .map(
                  reading ->
                      ReadingView.of(reading, judge, before.getOrDefault(reading.id(), List.of())))
              .toList(),
          head.baseline().resting().map(WorkingRestingView::of).orElse(null),
          usual.lowest(),
          usual.highest(),
          usual.spans().stream().map(SpanAtRest::of).toList(),
          PulseSite.openTo(screening.person()).stream().map(SiteOption::of).toList(),
          RestingReading.QUIET_TIMES,
          Limit.MINUTES_RESTED.highest(),
          Threshold.TAPS_FEWEST.whole(),
          Threshold.TAPS_MOST.whole());
    }
  }
}
