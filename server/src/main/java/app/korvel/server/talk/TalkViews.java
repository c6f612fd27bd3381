package app.korvel.server.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PulseCount;
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
import app.korvel.core.zone.Level;
import app.korvel.server.web.Within;
import app.korvel.store.TalkRepository.SavedAct;
import app.korvel.studio.talk.RecordTalkCheck.Entered;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
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

  /** What the voice can do at a level. */
  record VoiceView(int voice, String name, String words) {
    static final List<VoiceView> ALL =
        Arrays.stream(Level.values())
            .map(each -> new VoiceView(each.number(), each.displayName(), each.voice()))
            .toList();
  }

  /** What is said aloud, how, and what may be answered. */
  record PassagesView(
      String how, Passage usual, List<PassageView> passages, List<VoiceView> voices) {
    static final PassagesView ALL =
        new PassagesView(Passage.HOW, Passage.USUAL, PassageView.ALL, VoiceView.ALL);
  }

  /**
   * What may read the rate.
   *
   * @param windowSeconds of a count; null for what is none
   */
  record RateByView(RateBy id, String name, @Nullable Integer windowSeconds) {
    static final List<RateByView> ALL =
        Arrays.stream(RateBy.values())
            .map(
                each ->
                    new RateByView(
                        each, each.words(), each.window().map(CountWindow::seconds).orElse(null)))
            .toList();
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
   * @param on the day; null for today
   * @param time when the passage was begun; null for now, or for some time of another day
   * @param bpm the rate; null where beats are given
   * @param beats that were counted, of a count; null where the rate is given
   * @param steady whether the pace was held for two minutes before
   */
  record CheckRequest(
      UUID id,
      Mode mode,
      @Nullable LocalDate on,
      @Nullable LocalTime time,
      @Nullable @Within(Limit.SESSION_RATE) Integer bpm,
      @Nullable Integer beats,
      RateBy source,
      @Within(Limit.VOICE) Integer voice,
      Hearing how,
      @Nullable @Within(Limit.EFFORT) Integer rpe20,
      Boolean steady,
      @Nullable Set<OddDay> odd,
      @Nullable String note) {
    Entered entered() {
      return new Entered(
          id,
          mode,
          Optional.ofNullable(on),
          Optional.ofNullable(time),
          new Said(rate(), source, voice, how),
          Optional.ofNullable(rpe20),
          steady,
          odd == null ? Set.of() : odd,
          note == null ? "" : note);
    }

    private int rate() {
      if (bpm != null) {
        return bpm;
      }
      if (beats == null) {
        throw InvalidValueException.of(
            "bpm",
            "is missing",
            "a rate, or of a count the beats; " + Limit.SESSION_RATE.accepted());
      }
      CountWindow window =
          source
              .window()
              .orElseThrow(
                  () -> InvalidValueException.of("beats", "are no rate here", "beats of a count"));
      return PulseCount.of(beats, window).bpm();
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
   * @param offerBecause what that stands on
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
      @Nullable String offerBecause,
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
          side.offered().map(Finding::because).orElse(null),
          side.inUse().flatMap(TalkAct::frozen).map(FrozenView::of).orElse(null),
          ladder.from(side.which().begins()));
    }
  }

  record CheckView(
      UUID id,
      Mode mode,
      LocalDate on,
      LocalTime time,
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
    static CheckView of(TalkCheck check, ZoneId zone) {
      return new CheckView(
          check.id(),
          check.mode(),
          check.day(zone),
          LocalTime.ofInstant(check.at(), zone).truncatedTo(ChronoUnit.MINUTES),
          check.said().bpm(),
          check.said().by(),
          check.said().by().words(),
          check.said().voice(),
          check.said().hearing(),
          check.rpe20().orElse(null),
          check.odd(),
          check.in().filter(in -> !in.test()).map(TalkCheck.TakenIn::id).orElse(null),
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
    static DayView of(Day day, ZoneId zone) {
      return new DayView(
          day.on(),
          day.words(),
          !day.odd().isEmpty(),
          day.lowerBefore().shownBpm(),
          day.lower().shownBpm(),
          day.lower().shownPlusMinus(),
          day.checks().stream().map(used -> used(used, zone)).toList());
    }

    private static UsedView used(Used used, ZoneId zone) {
      return new UsedView(
          CheckView.of(used.check(), zone),
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
          series.days().stream().map(day -> DayView.of(day, zone)).toList(),
          series.notUsed().stream().map(each -> leftOut(each, zone)).toList(),
          nextBpm,
          besides(learned));
    }

    /** What is said besides what stands with an offer. */
    private static List<Finding> besides(LearnedThresholds learned) {
      List<Finding> offered =
          Stream.of(learned.lower(), learned.upper())
              .flatMap(side -> side.offered().stream())
              .toList();
      return learned.findings().stream().filter(each -> !offered.contains(each)).toList();
    }

    private static LeftOutView leftOut(LeftOut each, ZoneId zone) {
      return new LeftOutView(
          CheckView.of(each.check(), zone), each.why() == NotUsed.TAKEN_OUT, each.why().words());
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
      List<RateByView> sources,
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
