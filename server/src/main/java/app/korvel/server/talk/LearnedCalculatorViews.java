package app.korvel.server.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.talk.Gate;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.LearnedThresholds.About;
import app.korvel.core.talk.LearnedThresholds.Side;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.Spread;
import app.korvel.core.talk.Standing;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.TalkSeries.Day;
import app.korvel.core.talk.TalkSeries.Direction;
import app.korvel.core.talk.TalkSpan;
import app.korvel.core.zone.Reserve;
import app.korvel.server.web.Within;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What the calculator of learned talk rates is asked, and what it answers. */
final class LearnedCalculatorViews {
  private LearnedCalculatorViews() {}

  private static final int MOST_CHECKS = 400;
  private static final int HOURS_BETWEEN = 1;

  /** A peak over the maximum that was seen once. */
  record PeakSeenRequest(@Within(Limit.MAXIMUM) Integer bpm, @Nullable RateBy source) {}

  /** A talk check; of one day they are taken in the order given, an hour apart. */
  record WeighedCheckRequest(
      LocalDate on,
      @Within(Limit.SESSION_RATE) Integer bpm,
      @Within(Limit.VOICE) Integer voice,
      RateBy source,
      Hearing how,
      @Nullable Boolean odd) {}

  record LearnedRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      @Within(Limit.STANDARD_ERROR) BigDecimal maximumErrorBpm,
      @Nullable PeakSeenRequest peak,
      LocalDate today,
      List<WeighedCheckRequest> checks) {

    LearnedAnswer answer() {
      if (maximumErrorBpm.signum() == 0) {
        throw InvalidValueException.of("maximumErrorBpm", "is 0", "more than 0, up to 40 bpm");
      }
      TalkSpan plain =
          TalkSpan.of(Reserve.of(restingBpm, maximumBpm), maximumErrorBpm.doubleValue());
      TalkSpan span = peak == null ? plain : plain.withPeak(peak.bpm, peak.source == RateBy.STRAP);
      return LearnedAnswer.of(
          LearnedThresholds.of(
              span,
              talkChecks(),
              List.of(),
              new About(Mode.RUN, Standing.FREE, true, Optional.empty(), List.of(), true),
              today,
              ZoneOffset.UTC));
    }

    private List<TalkCheck> talkChecks() {
      List<Fault> faults = new ArrayList<>();
      if (checks.size() > MOST_CHECKS) {
        faults.add(
            new Fault("checks", "are " + checks.size(), "up to " + MOST_CHECKS + " at once"));
      }
      List<TalkCheck> all = new ArrayList<>();
      for (int n = 0; n < checks.size(); n++) {
        WeighedCheckRequest check = checks.get(n);
        if (check.on.isAfter(today)) {
          faults.add(new Fault("checks[" + n + "].on", "lies after today", "a day up to " + today));
        }
        int place = n;
        long earlier =
            checks.subList(0, place).stream().filter(each -> each.on.equals(check.on)).count();
        all.add(
            new TalkCheck(
                new UUID(0, n),
                Mode.RUN,
                check
                    .on
                    .atStartOfDay()
                    .plusMinutes(60 * HOURS_BETWEEN * Math.min(earlier, 23))
                    .toInstant(ZoneOffset.UTC),
                new Said(check.bpm, check.source, check.voice, check.how),
                Optional.empty(),
                Boolean.TRUE.equals(check.odd) ? Set.of(OddDay.HEAT) : Set.of(),
                Set.of(),
                Optional.empty(),
                "",
                check.on.atStartOfDay().toInstant(ZoneOffset.UTC)));
      }
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
      return all;
    }
  }

  record SideAnswer(
      BigDecimal meanBpm,
      BigDecimal errorBpm,
      int shownBpm,
      int plusMinusBpm,
      boolean offered,
      int nearChecks,
      int nearDays,
      List<Gate.WhyNot> whyNot) {
    static SideAnswer of(Side side) {
      return new SideAnswer(
          rounded(side.spread().meanBpm()),
          rounded(side.spread().errorBpm()),
          side.spread().shownBpm(),
          side.spread().shownPlusMinus(),
          side.gate().open(),
          side.gate().nearChecks(),
          side.gate().nearDays(),
          side.gate().whyNot());
    }
  }

  /** What is believed after a day; chances are those before it, in the order of its checks. */
  record DayAnswer(
      LocalDate on,
      BigDecimal lowerMeanBpm,
      BigDecimal lowerErrorBpm,
      BigDecimal upperMeanBpm,
      BigDecimal upperErrorBpm,
      List<BigDecimal> chancesBefore) {
    static DayAnswer of(Day day) {
      return new DayAnswer(
          day.on(),
          rounded(day.lower().meanBpm()),
          rounded(day.lower().errorBpm()),
          rounded(day.upper().meanBpm()),
          rounded(day.upper().errorBpm()),
          day.checks().stream()
              .map(
                  used -> BigDecimal.valueOf(used.chanceBefore()).setScale(4, RoundingMode.HALF_UP))
              .toList());
    }
  }

  record LearnedAnswer(
      BigDecimal maximumMeanBpm,
      BigDecimal maximumErrorBpm,
      SideAnswer lower,
      SideAnswer upper,
      @Nullable Direction contradicted,
      List<DayAnswer> byDay,
      List<Integer> equationEdges,
      List<Finding> findings) {
    static LearnedAnswer of(LearnedThresholds learned) {
      Spread maximum = learned.series().span().maximumSpread();
      return new LearnedAnswer(
          rounded(maximum.meanBpm()),
          rounded(maximum.errorBpm()),
          SideAnswer.of(learned.lower()),
          SideAnswer.of(learned.upper()),
          learned.contradiction().orElse(null),
          learned.series().days().stream().map(DayAnswer::of).toList(),
          learned.ladder().edges(),
          learned.findings());
    }
  }

  private static BigDecimal rounded(double value) {
    return BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP);
  }
}
