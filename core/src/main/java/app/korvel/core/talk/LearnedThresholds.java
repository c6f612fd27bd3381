package app.korvel.core.talk;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Days;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Grade;
import app.korvel.core.talk.Gate.WhyNot;
import app.korvel.core.talk.Standing.Use;
import app.korvel.core.talk.TalkAct.Frozen;
import app.korvel.core.talk.TalkAct.Kind;
import app.korvel.core.talk.TalkSeries.Contradiction;
import app.korvel.core.talk.TalkSeries.Direction;
import app.korvel.core.talk.TalkSeries.Used;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.LearnedRates;
import app.korvel.core.zone.LearnedRates.Rate;
import app.korvel.core.zone.MeasuredThresholds;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The two talk rates of one client in one mode: what is believed of them, whether they are offered,
 * which are in use, and what is to be said of them. Percent targets, caps, limits, resting and
 * maximum are never moved by any of it.
 *
 * @param on whether anything is learned and used
 * @param standing what they are good for with this client
 * @param series the checks, and what they come to
 * @param lower where whole sentences end
 * @param upper where no more than a word or two comes
 * @param contradiction what speaks against them and is not settled, if anything does
 * @param rates those that take the place of the ladder's edges
 * @param findings what is to be said, the weightiest first
 */
public record LearnedThresholds(
    boolean on,
    Standing standing,
    TalkSeries series,
    Side lower,
    Side upper,
    Optional<Direction> contradiction,
    LearnedRates rates,
    List<Finding> findings) {

  /**
   * One of the two.
   *
   * @param spread what is believed of it
   * @param equationBpm where percent of reserve puts the edge
   * @param gate whether it is known well enough
   * @param offer what accepting it would put into use; empty where it is not offered
   * @param inUse what was accepted and still holds
   */
  public record Side(
      Which which,
      Spread spread,
      int equationBpm,
      Gate gate,
      Optional<Frozen> offer,
      Optional<TalkAct> inUse) {

    /** What is said of an offer. */
    public Optional<Finding> offered() {
      return offer.map(
          each ->
              LearnedFinding.LEARNED_OFFERED.of(
                  which.sentence(),
                  each.bpm(),
                  each.plusMinusBpm(),
                  each.checks(),
                  each.days(),
                  Days.of(each.lastCheck()),
                  equationBpm));
    }
  }

  /**
   * What is known besides the checks.
   *
   * @param standing what learned rates are good for with this client
   * @param on whether the studio learns at all
   * @param medicineChangedAt when medicine that touches the heart rate last changed
   * @param measured thresholds of that mode by a test, latest first
   * @param pastFirstWeeks whether the first weeks of training are over
   */
  public record About(
      Mode mode,
      Standing standing,
      boolean on,
      Optional<Instant> medicineChangedAt,
      List<MeasuredThresholds> measured,
      boolean pastFirstWeeks) {
    public About {
      measured =
          measured.stream()
              .filter(each -> each.mode() == mode && each.grade() == Grade.GOOD)
              .sorted(Comparator.comparing(MeasuredThresholds::measuredOn).reversed())
              .toList();
    }
  }

  /** What was accepted and still holds; or why it does not any more. */
  private record Accepted(Optional<TalkAct> holds, Optional<Finding> lapsed) {}

  public LearnedThresholds {
    findings = List.copyOf(findings);
  }

  /**
   * Works them out.
   *
   * @param checks of that mode
   * @param decided acts that stand, of every mode
   */
  public static LearnedThresholds of(
      TalkSpan span,
      List<TalkCheck> checks,
      List<TalkAct> decided,
      About about,
      LocalDate today,
      ZoneId zone) {
    TalkActs acts = TalkActs.of(decided, about.mode);
    TalkSeries series =
        TalkSeries.of(
            span,
            about.standing.computed() ? checks : List.of(),
            new TalkSeries.Choice(acts.takenOut(), acts.from(), about.medicineChangedAt),
            today,
            zone);
    return new Judgement(series, acts, about, zone).judged();
  }

  /** One of the two. */
  public Side side(Which which) {
    return which == Which.LOWER ? lower : upper;
  }

  /** Where the levels begin with them. */
  public Ladder ladder() {
    return Ladder.of(series.span().reserve(), rates);
  }

  /**
   * The rate at which another check would say most: that nearest to the mean of the lower talk rate
   * inside today's target. Nobody is asked to work harder so that something may be learned.
   */
  public int nextUsefulBpm(int lowBpm, int highBpm) {
    return Math.max(lowBpm, Math.min(highBpm, lower.spread.shownBpm()));
  }

  /** In a sentence: what the lower one is, how it came about, and what the equation says. */
  public String sentence() {
    return lower
        .inUse
        .flatMap(TalkAct::frozen)
        .map(
            frozen ->
                "Whole sentences up to %d, ± %d. Learned from %d talk checks on %d days, the last on %s. The equation says %d."
                    .formatted(
                        frozen.bpm(),
                        frozen.plusMinusBpm(),
                        frozen.checks(),
                        frozen.days(),
                        Days.of(frozen.lastCheck()),
                        lower.equationBpm))
        .orElseGet(
            () ->
                series.days().isEmpty()
                    ? "No talk checks yet: whole sentences are taken to end at %d, ± %d."
                        .formatted(lower.spread.shownBpm(), lower.spread.shownPlusMinus())
                    : "Talk ends %d–%d so far."
                        .formatted(
                            lower.spread.shownBpm() - lower.spread.shownPlusMinus(),
                            lower.spread.shownBpm() + lower.spread.shownPlusMinus()));
  }

  /** Everything the judgement stands on, while it is made. */
  private record Judgement(TalkSeries series, TalkActs acts, About about, ZoneId zone) {
    LearnedThresholds judged() {
      List<Finding> findings = new ArrayList<>();
      boolean switchedOff = !about.on || acts.switchedOff();
      boolean on = about.standing.computed() && !switchedOff;
      if (!about.standing.computed()) {
        findings.add(LearnedFinding.LEARNED_OFF.of(about.standing.because()));
      } else if (switchedOff) {
        findings.add(LearnedFinding.LEARNED_SWITCHED_OFF.of());
      }
      Optional<Direction> against = on ? against(findings) : Optional.empty();
      Side lower = side(Which.LOWER, on, against.isPresent(), true, findings);
      boolean lowerFirst = lower.offer.isPresent() || lower.inUse.isPresent();
      Side upper = side(Which.UPPER, on, against.isPresent(), lowerFirst, findings);
      return new LearnedThresholds(
          on,
          about.standing,
          series,
          lower,
          upper,
          against,
          on ? inUse(lower, upper, against, findings) : LearnedRates.NONE,
          findings.stream().sorted(Comparator.comparing(Finding::severity).reversed()).toList());
    }

    /** What speaks against what is learned: that it is harder outweighs all else. */
    private Optional<Direction> against(List<Finding> findings) {
      Optional<Contradiction> contradicted = series.contradiction(settled());
      Optional<Finding> flatters = flatters(accepted(Which.LOWER));
      Optional<Finding> disagrees = disagrees();
      contradicted.map(this::words).ifPresent(findings::add);
      flatters.ifPresent(findings::add);
      disagrees.ifPresent(findings::add);
      return flatters
          .map(finding -> Direction.HARDER)
          .or(() -> contradicted.map(Contradiction::way))
          .or(() -> disagrees.map(finding -> Direction.EASIER));
    }

    /** A talk-step test or a laboratory settles what was before it. */
    private Optional<LocalDate> settled() {
      return about.measured.stream().findFirst().map(MeasuredThresholds::measuredOn);
    }

    private Finding words(Contradiction found) {
      return (found.way() == Direction.HARDER
              ? LearnedFinding.LEARNED_CONTRADICTED_HARDER
              : LearnedFinding.LEARNED_CONTRADICTED_EASIER)
          .of(Days.of(found.first()), Days.of(found.second()));
    }

    /** The test that comes before what is learned, if there is one. */
    private Optional<MeasuredThresholds> testFirst() {
      return about.measured.stream()
          .findFirst()
          .filter(
              test ->
                  series
                      .today()
                      .isBefore(test.measuredOn().plusWeeks(Threshold.LEARNED_TEST_WEEKS.whole())))
          .filter(test -> about.medicineChangedAt.filter(test.recordedAt()::isBefore).isEmpty());
    }

    private Optional<Finding> disagrees() {
      Spread spread = series.belief().lower();
      int near = Gate.of(Which.LOWER, series).nearChecks();
      return testFirst()
          .filter(test -> near >= Threshold.LEARNED_CHECKS.whole())
          .filter(
              test ->
                  Math.abs(test.rates().lowerBpm() - spread.shownBpm())
                      > Threshold.LEARNED_DISAGREES.whole())
          .map(
              test ->
                  LearnedFinding.LEARNED_DISAGREES.of(
                      name(test),
                      Days.of(test.measuredOn()),
                      test.rates().lowerBpm(),
                      spread.shownBpm()));
    }

    private static String name(MeasuredThresholds test) {
      return test.kind() == MeasuredThresholds.Kind.TALK_STEPS ? "talk-step test" : "laboratory";
    }

    /** What was accepted, as long as it holds. */
    private Accepted accepted(Which which) {
      Optional<TalkAct> last = acts.last(Kind.ACCEPTED, which);
      if (last.isEmpty()) {
        return new Accepted(last, Optional.empty());
      }
      Frozen frozen = last.get().frozen().orElseThrow();
      return why(which, last.get(), frozen)
          .map(
              words ->
                  new Accepted(
                      Optional.empty(),
                      Optional.of(LearnedFinding.LEARNED_LAPSED.of(frozen.bpm(), words))))
          .orElseGet(() -> new Accepted(last, Optional.empty()));
    }

    private Optional<String> why(Which which, TalkAct act, Frozen frozen) {
      if (acts.reset().filter(reset -> reset.at().isAfter(act.at())).isPresent()) {
        return Optional.of("learning was restarted since");
      }
      if (about.medicineChangedAt.filter(at -> at.isAfter(act.at())).isPresent()) {
        return Optional.of("medication that touches the heart rate changed since");
      }
      LocalDate newest = newest(frozen);
      if (ChronoUnit.DAYS.between(newest, series.today()) >= Threshold.LEARNED_LAPSES.whole()) {
        return Optional.of("the last check near it is of " + Days.of(newest));
      }
      if (!which.inRange(which.of(series.belief()).meanBpm(), series.span())) {
        return Optional.of("talk checks have left the range it may be in");
      }
      return about.standing.use() == Use.SHOWN_ONLY || about.standing.use() == Use.NOT_OFFERED
          ? Optional.of("it is not used with " + about.standing.because())
          : Optional.empty();
    }

    private LocalDate newest(Frozen frozen) {
      return series
          .newestNear(frozen.learnedBpm())
          .filter(on -> on.isAfter(frozen.lastCheck()))
          .orElse(frozen.lastCheck());
    }

    /** Says sentences, feels phrases. */
    private Optional<Finding> flatters(Accepted accepted) {
      if (accepted.holds.isEmpty() || !about.pastFirstWeeks) {
        return Optional.empty();
      }
      int bpm = accepted.holds.get().frozen().orElseThrow().bpm();
      List<Used> near =
          series.used().stream()
              .filter(used -> used.check().said().speech() == Speech.SENTENCES)
              .filter(used -> used.check().rpe20().isPresent())
              .filter(
                  used -> {
                    int under = bpm - used.check().said().bpm();
                    return under >= 0 && under <= Threshold.LEVELS_APART.whole();
                  })
              .toList();
      int of = Threshold.LEARNED_FLATTERS_OF.whole();
      if (near.size() < of) {
        return Optional.empty();
      }
      List<Integer> rpe =
          near.subList(near.size() - of, near.size()).stream()
              .map(used -> used.check().rpe20().orElseThrow())
              .sorted()
              .toList();
      int median = rpe.get(of / 2);
      return median >= Threshold.LEARNED_FLATTERS_RPE.whole()
          ? Optional.of(LearnedFinding.LEARNED_FLATTERS.of(median, of, bpm))
          : Optional.empty();
    }

    private Side side(
        Which which, boolean on, boolean contradicted, boolean lowerFirst, List<Finding> findings) {
      Spread spread = which.of(series.belief());
      int equation = series.span().reserve().rateAt(which.begins().fromPercent());
      Gate known =
          Gate.of(which, series)
              .and(WhyNot.CONTRADICTED, contradicted)
              .and(WhyNot.FELT_HARDER, feltHarder(which, spread.shownBpm(), equation));
      Gate gate = known.and(WhyNot.LOWER_FIRST, known.open() && !lowerFirst);
      if (!on) {
        return new Side(which, spread, equation, gate, Optional.empty(), Optional.empty());
      }
      Accepted accepted = accepted(which);
      Optional<Frozen> offer =
          gate.open() && about.standing.offered()
              ? offer(which, spread, equation, gate, accepted.holds, findings)
              : Optional.empty();
      Side side = new Side(which, spread, equation, gate, offer, accepted.holds);
      side.offered().ifPresent(findings::add);
      offer
          .filter(each -> each.bpm() > equation)
          .flatMap(each -> held(side, each))
          .ifPresent(findings::add);
      accepted.lapsed.ifPresent(findings::add);
      accepted.holds.flatMap(TalkAct::frozen).flatMap(this::aging).ifPresent(findings::add);
      if (which == Which.LOWER) {
        aboutLower(side, findings);
      }
      return side;
    }

    /**
     * Who always says one level too well would pass every other condition: what they say over the
     * equation's edge has to feel like it, as far as RPE was asked.
     */
    private boolean feltHarder(Which which, int shown, int equation) {
      List<Integer> rpe =
          series.used().stream()
              .filter(used -> which.under(used.check().said().speech()))
              .filter(used -> TalkSeries.near(used, shown))
              .filter(used -> used.check().said().bpm() > equation)
              .flatMap(used -> used.check().rpe20().stream())
              .sorted()
              .toList();
      return shown > equation
          && rpe.size() >= Threshold.LEARNED_HEARD_ABOVE.whole()
          && rpe.get(rpe.size() / 2) > which.under().rpe20().high();
    }

    private void aboutLower(Side side, List<Finding> findings) {
      Gate gate = side.gate;
      if (about.standing.use() == Use.SHOWN_ONLY || about.standing.use() == Use.NOT_OFFERED) {
        findings.add(LearnedFinding.LEARNED_SHOWN_ONLY.of(about.standing.because()));
      } else if (side.inUse.isEmpty() && !gate.open() && !series.days().isEmpty()) {
        findings.add(
            LearnedFinding.LEARNED_NOT_YET.of(
                gate.nearChecks(), gate.nearDays(), missing(gate, side.spread.shownBpm())));
      }
    }

    private static String missing(Gate gate, int shown) {
      int checks = Threshold.LEARNED_CHECKS.whole() - gate.nearChecks();
      boolean days = gate.whyNot().contains(WhyNot.DAYS);
      if (checks > 0 || days) {
        int more = Math.max(1, checks);
        return (more == 1 ? "1 more is needed near " : more + " more are needed near ")
            + shown
            + (days ? ", on another day" : "");
      }
      return switch (gate.whyNot().get(0)) {
        case ONE_SIDED -> "all are on one side of " + shown;
        case UNSURE -> "they do not agree well enough yet";
        case OLD -> "the newest is too old";
        case OUT_OF_RANGE, AT_THE_EDGE -> shown + " is too far from what is usual";
        case CONTRADICTED -> "they are contradicted";
        case FELT_HARDER -> "sentences there feel like phrases: listen yourself";
        default -> "more are needed";
      };
    }

    private Optional<Finding> aging(Frozen frozen) {
      LocalDate newest = newest(frozen);
      return ChronoUnit.DAYS.between(newest, series.today()) >= Threshold.LEARNED_FRESH.whole()
          ? Optional.of(
              LearnedFinding.LEARNED_OLD.of(
                  frozen.bpm(),
                  Days.of(newest),
                  Days.of(newest.plusDays(Threshold.LEARNED_LAPSES.whole()))))
          : Optional.empty();
    }

    /** Down at once, up slowly; and after a refusal only with something new. */
    private Optional<Frozen> offer(
        Which which,
        Spread spread,
        int equation,
        Gate gate,
        Optional<TalkAct> inUse,
        List<Finding> findings) {
      int shown = spread.shownBpm();
      int now = inUse.flatMap(TalkAct::frozen).map(Frozen::bpm).orElse(equation);
      if (inUse.isPresent() && Math.abs(shown - now) < Threshold.LEARNED_MOVE.whole()) {
        return Optional.empty();
      }
      int bpm = Math.min(shown, now + Threshold.LEARNED_RISE.whole());
      if (bpm > now) {
        Optional<LocalDate> next =
            acts.lastRise(which, equation)
                .map(at -> LocalDate.ofInstant(at, zone))
                .map(on -> on.plusDays(Threshold.LEARNED_RISE_DAYS.whole()));
        if (next.filter(series.today()::isBefore).isPresent()) {
          findings.add(LearnedFinding.LEARNED_RISES_SLOWLY.of(shown, bpm, Days.of(next.get())));
          return Optional.empty();
        }
      }
      if (refused(which, shown, gate)) {
        return Optional.empty();
      }
      return Optional.of(
          new Frozen(
              which,
              bpm,
              shown,
              spread.shownPlusMinus(),
              gate.nearChecks(),
              gate.nearDays(),
              gate.newest().orElseThrow()));
    }

    private boolean refused(Which which, int shown, Gate gate) {
      Optional<TalkAct> refusal = acts.last(Kind.REFUSED, which);
      Optional<Instant> accepted = acts.last(Kind.ACCEPTED, which).map(TalkAct::at);
      if (refusal.isEmpty() || accepted.filter(refusal.get().at()::isBefore).isPresent()) {
        return false;
      }
      Frozen then = refusal.get().frozen().orElseThrow();
      return Math.abs(shown - then.learnedBpm()) < Threshold.LEARNED_MOVE.whole()
          || gate.nearChecks() - then.checks() < Threshold.LEARNED_REFUSED_CHECKS.whole();
    }

    /** What moves the edges of the ladder. */
    private LearnedRates inUse(
        Side lower, Side upper, Optional<Direction> against, List<Finding> findings) {
      Optional<MeasuredThresholds> test = testFirst();
      if (test.isPresent() && lower.inUse.isPresent()) {
        findings.add(
            LearnedFinding.LEARNED_TEST_FIRST.of(
                name(test.get()),
                Days.of(test.get().measuredOn()),
                Days.of(test.get().measuredOn().plusWeeks(Threshold.LEARNED_TEST_WEEKS.whole())),
                test.get().rates().lowerBpm(),
                test.get().rates().upperBpm()));
        return LearnedRates.NONE;
      }
      boolean easeOnly = against.filter(Direction.HARDER::equals).isPresent();
      LearnedRates rates =
          new LearnedRates(
              edge(lower, easeOnly, findings),
              lower.inUse.isEmpty() ? Optional.empty() : edge(upper, easeOnly, findings));
      if (!rates.none() && !Ladder.fits(series.span().reserve(), rates)) {
        findings.add(LearnedFinding.LEARNED_NO_ROOM.of(series.span().reserve().maximumBpm()));
        return LearnedRates.NONE;
      }
      return rates;
    }

    private Optional<Rate> edge(Side side, boolean easeOnly, List<Finding> findings) {
      Optional<Frozen> inUse = side.inUse.flatMap(TalkAct::frozen);
      if (inUse.isEmpty()) {
        return Optional.empty();
      }
      Frozen frozen = inUse.get();
      if (frozen.bpm() > side.equationBpm) {
        Optional<Finding> held = held(side, frozen);
        held.filter(why -> !findings.contains(why)).ifPresent(findings::add);
        if (easeOnly || held.isPresent()) {
          return Optional.empty();
        }
      }
      return Optional.of(new Rate(frozen.bpm(), frozen.plusMinusBpm()));
    }

    /** Why an edge may not rise over the equation's; empty where it may. */
    private Optional<Finding> held(Side side, Frozen frozen) {
      int equation = side.equationBpm;
      if (about.standing.use() != Use.MAY_RISE) {
        return Optional.of(
            LearnedFinding.LEARNED_ONLY_LOWERS.of(
                equation, frozen.bpm(), about.standing.because()));
      }
      long heard =
          series.used().stream()
              .filter(used -> side.which.under(used.check().said().speech()))
              .filter(used -> used.check().said().hearing() == Hearing.HEARD)
              .filter(used -> TalkSeries.near(used, side.spread.shownBpm()))
              .filter(used -> used.check().said().bpm() > equation)
              .filter(used -> used.check().rpe20().isPresent())
              .count();
      return heard < Threshold.LEARNED_HEARD_ABOVE.whole()
          ? Optional.of(LearnedFinding.LEARNED_NEEDS_HEARD.of(equation, frozen.bpm(), heard))
          : Optional.empty();
    }
  }
}
