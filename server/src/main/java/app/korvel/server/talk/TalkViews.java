package app.korvel.server.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.talk.Gate;
import app.korvel.core.talk.Hearing;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.LearnedThresholds.Side;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.core.talk.Passage;
import app.korvel.core.talk.RateBy;
import app.korvel.core.talk.Spread;
import app.korvel.core.talk.Standing;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkCheck.Said;
import app.korvel.core.talk.TalkSeries;
import app.korvel.core.talk.TalkSeries.Day;
import app.korvel.core.talk.TalkSeries.Direction;
import app.korvel.core.talk.TalkSeries.LeftOut;
import app.korvel.core.talk.TalkSeries.LongHand;
import app.korvel.core.talk.TalkSeries.Used;
import app.korvel.core.talk.Which;
import app.korvel.core.talk.WitnessReview;
import app.korvel.core.zone.Ladder;
import app.korvel.server.web.Within;
import app.korvel.store.TalkRepository.SavedAct;
import app.korvel.studio.talk.RecordTalkCheck.Entered;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Talk checks and learned talk rates as they are received and sent. */
final class TalkViews {
  private TalkViews() {}

  private static BigDecimal rounded(double value, int places) {
    return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP);
  }

  record PassageView(Passage id, String name, String text) {
    static final List<PassageView> ALL =
        Arrays.stream(Passage.values())
            .map(each -> new PassageView(each, each.displayName(), each.text()))
            .toList();
  }

  /** What is said aloud, and how. */
  record PassagesView(String how, Passage usual, List<PassageView> passages) {
    static final PassagesView ALL = new PassagesView(Passage.HOW, Passage.USUAL, PassageView.ALL);
  }

  record OddDayView(OddDay id, String name) {
    static final List<OddDayView> ALL =
        Arrays.stream(OddDay.values())
            .map(each -> new OddDayView(each, each.displayName()))
            .toList();
  }

  /**
   * A talk check that is entered by hand.
   *
   * @param at when the passage was begun; null for now
   * @param steady whether the pace was held for two minutes before
   */
  record CheckRequest(
      UUID id,
      Mode mode,
      @Nullable Instant at,
      @Within(Limit.SESSION_RATE) Integer bpm,
      RateBy source,
      @Within(Limit.VOICE) Integer voice,
      Hearing how,
      @Nullable @Within(Limit.EFFORT) Integer rpe20,
      Boolean steady,
      @Nullable Set<OddDay> odd,
      @Nullable String note) {
    Entered entered(Instant now) {
      return new Entered(
          id,
          mode,
          at == null ? now : at,
          new Said(bpm, source, voice, how),
          Optional.ofNullable(rpe20),
          steady,
          odd == null ? Set.of() : odd,
          note == null ? "" : note);
    }
  }

  /** What is decided of a rate that was offered. */
  record OfferRequest(
      Mode mode, Which which, Integer bpm, Boolean accept, @Nullable String reason) {}

  record OutRequest(Boolean out, String reason) {}

  record ResetRequest(Mode mode, LocalDate from, String reason) {}

  record LearningRequest(Boolean on, @Nullable String reason) {}

  record StudioLearningRequest(Integer version, Boolean on) {}

  record StudioLearning(int version, boolean on) {}

  /**
   * Numbers that were offered, refused or accepted.
   *
   * @param bpm the rate that is in use from then on
   * @param learnedBpm the mean that was shown
   */
  record FrozenView(
      int bpm, int learnedBpm, int plusMinusBpm, int checks, int days, LocalDate lastCheck) {
    static FrozenView of(Frozen frozen) {
      return new FrozenView(
          frozen.bpm(),
          frozen.learnedBpm(),
          frozen.plusMinusBpm(),
          frozen.checks(),
          frozen.days(),
          frozen.lastCheck());
    }
  }

  /**
   * One of the two talk rates.
   *
   * @param meanBpm to two decimals
   * @param errorBpm its standard deviation, to two decimals
   * @param offer what accepting it would put into use; null where it is not offered
   * @param inUse what was accepted and still holds; null where nothing does
   * @param edgeBpm where the level begins now
   */
  record SideView(
      Which which,
      String upTo,
      BigDecimal meanBpm,
      BigDecimal errorBpm,
      int shownBpm,
      int plusMinusBpm,
      int equationBpm,
      int nearChecks,
      int nearDays,
      List<Gate.WhyNot> whyNot,
      @Nullable FrozenView offer,
      @Nullable FrozenView inUse,
      int edgeBpm) {
    static SideView of(Side side, Ladder ladder) {
      Spread spread = side.spread();
      return new SideView(
          side.which(),
          side.which().words(),
          rounded(spread.meanBpm(), 2),
          rounded(spread.errorBpm(), 2),
          spread.shownBpm(),
          spread.shownPlusMinus(),
          side.equationBpm(),
          side.gate().nearChecks(),
          side.gate().nearDays(),
          side.gate().whyNot(),
          side.offer().map(FrozenView::of).orElse(null),
          side.inUse().flatMap(TalkAct::frozen).map(FrozenView::of).orElse(null),
          ladder.from(side.which().begins()));
    }
  }

  record CheckView(
      UUID id,
      Mode mode,
      Instant at,
      LocalDate on,
      int bpm,
      RateBy source,
      String sourceName,
      int voice,
      Hearing how,
      @Nullable Integer rpe20,
      Set<OddDay> odd,
      @Nullable UUID session,
      String note,
      String words) {
    static CheckView of(TalkCheck check, LocalDate on) {
      return new CheckView(
          check.id(),
          check.mode(),
          check.at(),
          on,
          check.said().bpm(),
          check.said().by(),
          check.said().by().words(),
          check.said().voice(),
          check.said().hearing(),
          check.rpe20().orElse(null),
          check.odd(),
          check.session().orElse(null),
          check.note(),
          check.said().words());
    }
  }

  /**
   * A used check.
   *
   * @param chancePercent how likely it was when its day began
   */
  record UsedView(CheckView check, int chancePercent, @Nullable Direction surprise) {}

  /** A day with checks, and what it moved. */
  record DayView(
      LocalDate on,
      String words,
      boolean odd,
      int fromBpm,
      int toBpm,
      int plusMinusBpm,
      List<UsedView> checks) {
    static DayView of(Day day) {
      return new DayView(
          day.on(),
          day.words(),
          !day.odd().isEmpty(),
          day.lowerBefore().shownBpm(),
          day.lower().shownBpm(),
          day.lower().shownPlusMinus(),
          day.checks().stream().map(used -> used(used, day.on())).toList());
    }

    private static UsedView used(Used used, LocalDate on) {
      return new UsedView(
          CheckView.of(used.check(), on),
          (int) Math.round(100 * used.chanceBefore()),
          used.surprise().orElse(null));
    }
  }

  /** A check that is kept and not used. */
  record LeftOutView(CheckView check, boolean takenOut, String why) {}

  record ActView(
      UUID id,
      TalkAct.Kind kind,
      String words,
      @Nullable String upTo,
      @Nullable FrozenView frozen,
      @Nullable UUID check,
      @Nullable LocalDate from,
      String reason,
      Instant at,
      @Nullable String by) {
    static ActView of(SavedAct saved) {
      TalkAct act = saved.act();
      return new ActView(
          act.id(),
          act.kind(),
          act.kind().words(),
          act.frozen().map(frozen -> frozen.which().words()).orElse(null),
          act.frozen().map(FrozenView::of).orElse(null),
          act.check().orElse(null),
          act.from().orElse(null),
          act.reason(),
          act.at(),
          saved.by().orElse(null));
    }
  }

  /**
   * What is learned in one mode.
   *
   * @param start what is believed before any check
   * @param equationEdges where Talk, Phrases, Words and Silent begin by percent of reserve
   * @param edges where they begin now
   * @param days with used checks, the earliest first
   * @param leftOut checks that are not used, the latest first
   * @param nextBpm where another check would say most, inside today's target; null without one
   */
  record LearnedView(
      Standing.Use use,
      String because,
      String sentence,
      String start,
      int restingBpm,
      int maximumBpm,
      SideView lower,
      SideView upper,
      @Nullable Direction contradicted,
      List<Integer> equationEdges,
      List<Integer> edges,
      List<DayView> days,
      List<LeftOutView> leftOut,
      @Nullable Integer nextBpm,
      List<Finding> findings) {

    static LearnedView of(LearnedThresholds learned, ZoneId zone, @Nullable Integer nextBpm) {
      TalkSeries series = learned.series();
      Ladder ladder = learned.ladder();
      return new LearnedView(
          learned.standing().use(),
          learned.standing().because(),
          learned.sentence(),
          series.start(),
          series.span().reserve().restingBpm(),
          series.span().reserve().maximumBpm(),
          SideView.of(learned.lower(), ladder),
          SideView.of(learned.upper(), ladder),
          learned.contradiction().orElse(null),
          Ladder.of(series.span().reserve()).edges(),
          ladder.edges(),
          series.days().stream().map(DayView::of).toList(),
          series.notUsed().stream().map(each -> leftOut(each, zone)).toList(),
          nextBpm,
          learned.findings());
    }

    private static LeftOutView leftOut(LeftOut each, ZoneId zone) {
      return new LeftOutView(
          CheckView.of(each.check(), each.check().day(zone)),
          each.why() == NotUsed.TAKEN_OUT,
          each.why().words());
    }
  }

  record WitnessRow(LocalDate on, int bpm, int rpe20, int rate, int rpe, int voice) {}

  /** How rate, RPE and voice agreed, the latest first. */
  record WitnessesView(List<WitnessRow> rows, int agree, List<Finding> findings) {
    static WitnessesView of(WitnessReview review) {
      return new WitnessesView(
          review.rows().stream()
              .map(
                  row ->
                      new WitnessRow(
                          row.on(), row.bpm(), row.rpe20(), row.rate(), row.rpe(), row.voice()))
              .toList(),
          review.agree(),
          review.findings());
    }
  }

  /**
   * A client's talk in one mode.
   *
   * @param learned null where nothing is computed; {@code findings} say why
   * @param modes in which there are checks
   * @param todayOdd what today's check-in says is unusual
   * @param studioLearns whether the studio learns from talk at all
   * @param switchedOff whether it is switched off for this client
   */
  record TalkPage(
      String clientName,
      Mode mode,
      List<Mode> modes,
      @Nullable LearnedView learned,
      @Nullable WitnessesView witnesses,
      List<ActView> decisions,
      PassagesView passages,
      List<OddDayView> oddDays,
      Set<OddDay> todayOdd,
      boolean studioLearns,
      boolean switchedOff,
      List<Finding> findings) {}

  /** How one check was weighed. */
  record LongHandView(
      String words,
      List<ChanceView> chances,
      int bpm,
      int underBeforePercent,
      int underAfterPercent,
      String sentence) {
    static LongHandView of(LongHand hand) {
      String words = hand.used().check().said().words();
      List<ChanceView> chances =
          hand.chances().stream()
              .map(each -> new ChanceView(each.lowerBpm(), percent(each.chance())))
              .toList();
      return new LongHandView(
          words,
          chances,
          hand.bpm(),
          percent(hand.underBefore()),
          percent(hand.underAfter()),
          "Belief that whole sentences end under %d: %d → %d of 100, with all checks of that day."
              .formatted(hand.bpm(), percent(hand.underBefore()), percent(hand.underAfter())));
    }

    private static int percent(double share) {
      return (int) Math.round(100 * share);
    }
  }

  record ChanceView(int lowerBpm, int percent) {}

  static InvalidValueException unknownCheck(UUID check) {
    return InvalidValueException.of("check", check + " is not used", "a check that is used");
  }
}
