package app.korvel.core.recovery;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.trace.ExponentialFit;
import app.korvel.core.trace.Fall;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Zones;
import app.korvel.core.zone.Zones.BandRates;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How somebody's heart rate came down after an effort.
 *
 * @param posture in which
 * @param source a strap, or counts by hand
 * @param endBpm the rate at which the work ended
 * @param drop60 how far it had fallen after 60 s
 * @param drop120 and after 120 s
 * @param fit the curve through the first 120 s; by strap only
 * @param passed when it went under each edge of a zone, the highest first; by strap only
 * @param judged whether there is a published line to hold it against
 * @param slow whether it fell no further than that line
 * @param findings what is to be known of it
 */
public record Recovery(
    RecoveryPosture posture,
    RateSource source,
    int endBpm,
    OptionalInt drop60,
    OptionalInt drop120,
    Optional<ExponentialFit> fit,
    List<Passed> passed,
    boolean judged,
    boolean slow,
    List<Finding> findings) {

  /**
   * An edge that the rate went under.
   *
   * @param band the id of the zone that it left
   * @param name of that zone
   * @param bpm the lowest rate of that zone
   * @param seconds from the end of the work to the first of 5 seconds under it
   */
  public record Passed(String band, String name, int bpm, int seconds) {}

  /**
   * Who recovers, and how.
   *
   * @param maximumBpm measured or estimated; empty where no rate is used
   * @param contexts what about them forbids a judgement
   */
  public record Who(RecoveryPosture posture, OptionalInt maximumBpm, Set<EffortContext> contexts) {
    public Who {
      contexts = Set.copyOf(contexts);
    }

    /** From this rate on the effort was hard enough to be judged. */
    OptionalInt judgedFrom() {
      return maximumBpm.isEmpty()
          ? OptionalInt.empty()
          : OptionalInt.of(
              (maximumBpm.getAsInt() * Threshold.RECOVERY_JUDGED_FROM.whole() + 99) / 100);
    }
  }

  private static final int STAYS = 5;

  /** What forbids a judgement, and its words, the first of them said. */
  private static final Map<EffortContext, String> FORBIDS = forbids();

  private static Map<EffortContext, String> forbids() {
    Map<EffortContext, String> words = new EnumMap<>(EffortContext.class);
    words.put(EffortContext.RATE_LOWERING_MEDICINE, "rate-lowering medication");
    words.put(EffortContext.IRREGULAR_RHYTHM, "an irregular rhythm");
    words.put(EffortContext.PACEMAKER, "a pacemaker");
    words.put(EffortContext.NEUROPATHY, "nerves that may not lead the heart rate");
    words.put(EffortContext.UNDER_18, "under 18");
    return words;
  }

  public Recovery {
    passed = List.copyOf(passed);
    findings = List.copyOf(findings);
  }

  /**
   * By a strap.
   *
   * @param end the last second of the work
   * @param until the last second that belongs to it
   * @param zones whose edges are passed; empty where no rate is used
   * @return empty where there is no sample in the last 5 s of the work
   */
  public static Optional<Recovery> of(
      Trace trace, int end, int until, Who who, Optional<Zones> zones) {
    Trace seen = trace.upTo(until);
    return Fall.of(seen, end)
        .map(
            fall ->
                judged(
                    who,
                    RateSource.STRAP,
                    fall,
                    missing(fall, seen.seconds() - end),
                    zones.map(each -> passed(seen, end, fall.endBpm(), each)).orElse(List.of())));
  }

  /**
   * By counts: at once, and after 60 and 120 s.
   *
   * @param after60 empty where it was not counted, and {@code after120} likewise
   */
  public static Recovery counted(int endBpm, OptionalInt after60, OptionalInt after120, Who who) {
    return judged(
        who,
        RateSource.COUNT,
        new Fall(
            endBpm,
            minus(endBpm, after60),
            minus(endBpm, after120),
            Optional.empty(),
            OptionalInt.empty()),
        false,
        List.of());
  }

  /** Whether a drop is missing whose moment has passed. */
  private static boolean missing(Fall fall, int passed) {
    return fall.drop60().isEmpty() && passed >= Fall.KNOWN_60
        || fall.drop120().isEmpty() && passed >= Fall.KNOWN_120;
  }

  private static OptionalInt minus(int bpm, OptionalInt later) {
    return later.isEmpty() ? later : OptionalInt.of(bpm - later.getAsInt());
  }

  /** How often the rate went under an edge, and when. */
  private static List<Passed> passed(Trace trace, int end, int endBpm, Zones zones) {
    List<Passed> passed = new ArrayList<>();
    List<BandRates> bands =
        zones.bands().stream()
            .filter(band -> band.place() == Zones.Place.WITHIN && band.lowBpm() <= endBpm)
            .sorted(Comparator.comparingInt(BandRates::lowBpm).reversed())
            .toList();
    for (BandRates band : bands) {
      under(trace, end, band.lowBpm())
          .ifPresent(
              seconds ->
                  passed.add(
                      new Passed(band.band().id(), band.band().name(), band.lowBpm(), seconds)));
    }
    return passed;
  }

  private static OptionalInt under(Trace trace, int end, int edge) {
    int there = 0;
    for (int second = end; second <= trace.seconds(); second++) {
      OptionalInt bpm = trace.smoothed(second);
      there = bpm.isPresent() && bpm.getAsInt() < edge ? there + 1 : 0;
      if (there == STAYS) {
        return OptionalInt.of(second - STAYS + 1 - end);
      }
    }
    return OptionalInt.empty();
  }

  private static Recovery judged(
      Who who, RateSource source, Fall fall, boolean missing, List<Passed> passed) {
    List<Finding> findings = new ArrayList<>();
    OptionalInt judgedFrom = who.judgedFrom();
    boolean hard = judgedFrom.isPresent() && fall.endBpm() >= judgedFrom.getAsInt();
    boolean line = who.posture == RecoveryPosture.MOVING || who.posture == RecoveryPosture.LYING;
    Optional<String> forbidden =
        FORBIDS.keySet().stream().filter(who.contexts::contains).map(FORBIDS::get).findFirst();
    Optional<String> whyNot =
        source == RateSource.COUNT
            ? Optional.of("counted by hand")
            : forbidden.isPresent()
                ? forbidden
                : !hard
                    ? Optional.of(
                        "the work ended under "
                            + Threshold.RECOVERY_JUDGED_FROM.whole()
                            + " % of maximum")
                    : line ? Optional.empty() : Optional.of("no published line for this posture");
    boolean measured =
        fall.drop60().isPresent()
            || who.posture == RecoveryPosture.LYING && fall.drop120().isPresent();
    if (whyNot.isEmpty() && measured) {
      slow(who.posture, fall).ifPresent(findings::add);
    }
    boolean slow = !findings.isEmpty();
    fall.higherBefore().ifPresent(higher -> findings.add(RecoveryFinding.HIGHER_BEFORE.of(higher)));
    if (hard && who.posture.still()) {
      findings.add(RecoveryFinding.KEEP_MOVING.of(judgedFrom.getAsInt()));
    }
    if (source == RateSource.COUNT) {
      findings.add(RecoveryFinding.BY_COUNT.of());
    } else {
      whyNot.ifPresent(why -> findings.add(RecoveryFinding.NOT_JUDGED.of(why)));
      if (missing) {
        findings.add(RecoveryFinding.TOO_FEW_SAMPLES.of());
      }
    }
    return new Recovery(
        who.posture,
        source,
        fall.endBpm(),
        fall.drop60(),
        fall.drop120(),
        fall.fit(),
        passed,
        whyNot.isEmpty() && measured,
        slow,
        findings);
  }

  private static Optional<Finding> slow(RecoveryPosture posture, Fall fall) {
    if (posture == RecoveryPosture.MOVING) {
      return fall.drop60().getAsInt() <= Threshold.SLOW_MOVING_60.whole()
          ? Optional.of(RecoveryFinding.SLOW_MOVING.of(fall.drop60().getAsInt()))
          : Optional.empty();
    }
    if (fall.drop60().orElse(Integer.MAX_VALUE) <= Threshold.SLOW_LYING_60.whole()) {
      return Optional.of(RecoveryFinding.SLOW_LYING.of(fall.drop60().getAsInt()));
    }
    return fall.drop120().orElse(Integer.MAX_VALUE) < Threshold.SLOW_LYING_120.whole()
        ? Optional.of(RecoveryFinding.SLOW_LYING_LONGER.of(fall.drop120().getAsInt()))
        : Optional.empty();
  }
}
