package app.korvel.core.effort;

import static app.korvel.core.effort.EffortContext.HEART_CONDITION;
import static app.korvel.core.effort.EffortContext.HEART_FAILURE;
import static app.korvel.core.effort.EffortContext.IRREGULAR_RHYTHM;
import static app.korvel.core.effort.EffortContext.MAXIMUM_ON_MEDICINE;
import static app.korvel.core.effort.EffortContext.NEUROPATHY;
import static app.korvel.core.effort.EffortContext.NEW_TO_EXERCISE;
import static app.korvel.core.effort.EffortContext.PACEMAKER;
import static app.korvel.core.effort.EffortContext.PREGNANCY;
import static app.korvel.core.effort.EffortContext.RATE_LOWERING_MEDICINE;
import static app.korvel.core.effort.EffortContext.RESPIRATORY;
import static app.korvel.core.effort.EffortContext.UNDER_18;

import app.korvel.core.measure.Finding;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.Reserve;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What heart rate, RPE and voice say together of an effort at one moment: each gives a level and a
 * vote, weighted by what it is worth for this person, and the cue follows from the votes. The body
 * comes before the number, and a cap before both.
 *
 * @param cue what to say
 * @param level the working level, 1 to 5, for show; empty where nothing says one
 * @param targetLevels the levels of the target, the lowest first
 * @param rate what the rate says, if there is one
 * @param rpe what the rating in force says, if there is one
 * @param voice what the voice in force says, if there is one
 * @param findings why this cue, first; then what does not fit together
 */
public record Witnesses(
    Cue cue,
    OptionalInt level,
    List<Level> targetLevels,
    Optional<Said> rate,
    Optional<Said> rpe,
    Optional<Said> voice,
    List<Finding> findings) {

  /** What is said to whoever moves. */
  public enum Cue {
    PICK_UP("Pick up"),
    HOLD("Hold"),
    EASE_OFF("Ease off"),
    STOP("Stop"),
    /** How it feels is to be asked first. */
    ASK("Ask how it feels");

    private final String words;

    Cue(String words) {
      this.words = words;
    }

    /** In words, as it is shown. */
    public String words() {
      return words;
    }
  }

  /** What reads the rate. */
  public enum RateSource {
    STRAP,
    WRIST,
    /** Counted by hand. */
    COUNT
  }

  /**
   * What one witness says.
   *
   * @param vote −1 below the target, 0 within it, 1 above it
   * @param level 1 to 5
   * @param weight in thousandths; a witness without weight is shown and has no vote
   */
  public record Said(int vote, int level, int weight) {}

  /**
   * A range of rates, both ends included; equal ends are a single rate.
   *
   * @param lowBpm from this rate
   * @param highBpm up to this rate
   */
  public record Rates(int lowBpm, int highBpm) {
    /** −1 below it, 0 within it, 1 above it. */
    public int vote(int bpm) {
      return against(bpm, lowBpm, highBpm);
    }
  }

  /**
   * What is asked for.
   *
   * @param rates by rate; empty where only RPE and talk lead
   * @param levels the levels that share it, the lowest first; at least one
   * @param rpe20 the prescribed ratings; empty where they follow from the levels
   */
  public record Aim(Optional<Rates> rates, List<Level> levels, Optional<RpeSpan> rpe20) {
    public Aim {
      levels = List.copyOf(levels);
    }

    /** A target by rate; its levels are those that share at least two whole bpm with it. */
    public static Aim byRate(int lowBpm, int highBpm, Optional<RpeSpan> rpe20, Ladder ladder) {
      Rates rates = new Rates(lowBpm, highBpm);
      return new Aim(Optional.of(rates), levelsOf(rates, ladder), rpe20);
    }

    /** A target by how it feels and sounds. */
    public static Aim byEffort(List<Level> levels, RpeSpan rpe20) {
      return new Aim(Optional.empty(), levels, Optional.of(rpe20));
    }

    int lowest() {
      return levels.get(0).number();
    }

    int highest() {
      return levels.get(levels.size() - 1).number();
    }

    int rpeVote(int rating) {
      return rpe20
          .map(span -> against(rating, span.low(), span.high()))
          .orElseGet(() -> levelVote(Level.atRpe20(rating).number()));
    }

    int levelVote(int level) {
      return against(level, lowest(), highest());
    }

    /** Whether a rating, or what the voice can do, is within it or over it. */
    public boolean isReachedBy(OptionalInt rpe20, OptionalInt voice) {
      return rpe20.isPresent() && rpeVote(rpe20.getAsInt()) >= 0
          || voice.isPresent() && levelVote(voice.getAsInt()) >= 0;
    }

    /** Whether a rating, or what the voice can do, is over it. */
    public boolean isUnder(OptionalInt rpe20, OptionalInt voice) {
      return rpe20.isPresent() && rpeVote(rpe20.getAsInt()) > 0
          || voice.isPresent() && levelVote(voice.getAsInt()) > 0;
    }
  }

  /**
   * Who moves, and how they are guided.
   *
   * @param ladder where their levels begin; empty where no rate is used
   * @param maximumEstimated whether the maximum is estimated or borrowed from another activity
   * @param guide what leads: the rate, talk, or RPE and talk
   * @param capBpm a rate that is never exceeded, if there is one
   * @param highestRpe the highest rating a written limit allows, if there is one
   */
  public record Mover(
      Optional<Ladder> ladder,
      boolean maximumEstimated,
      Set<EffortContext> contexts,
      IntensityGuide guide,
      OptionalInt capBpm,
      OptionalInt highestRpe) {
    public Mover {
      contexts = Set.copyOf(contexts);
    }

    /** Their resting and maximum rate; empty where no rate is used. */
    public Optional<Reserve> reserve() {
      return ladder.map(Ladder::reserve);
    }

    boolean is(EffortContext... any) {
      return Stream.of(any).anyMatch(contexts::contains);
    }

    /** The highest rating allowed; 20 where nothing limits it. */
    int topRpe() {
      int written = highestRpe.orElse(TOP_RPE);
      int byContext =
          is(RESPIRATORY)
              ? BREATH_RPE
              : is(HEART_CONDITION, HEART_FAILURE, PREGNANCY) ? HEART_RPE : TOP_RPE;
      return Math.min(written, byContext);
    }
  }

  /**
   * What is known at this moment.
   *
   * @param rateBpm the smoothed rate, if there is one
   * @param doubtful whether its source is in doubt, locked to the steps, or its resting and maximum
   *     rate are out of date: then it is shown and does not vote
   * @param rpe20 the rating in force, if there is one
   * @param voice the level of voice in force, 1 to 5, if there is one
   * @param stopSign whether a stop sign is there
   */
  public record Moment(
      OptionalInt rateBpm,
      RateSource source,
      boolean doubtful,
      OptionalInt rpe20,
      OptionalInt voice,
      boolean stopSign) {}

  private static final List<String> VOTES = List.of("below", "within", "above");
  private static final int WHOLE = 1000;
  private static final int HALF = WHOLE / 2;
  private static final int TOP_RPE = 20;
  private static final int HEART_RPE = 14;
  private static final int BREATH_RPE = 13;

  /** A level shares the target where at least so many whole rates lie in both. */
  private static final int SHARED_BPM = 2;

  public Witnesses {
    targetLevels = List.copyOf(targetLevels);
    findings = List.copyOf(findings);
  }

  /** What they say together. */
  public static Witnesses of(Moment moment, Aim aim, Mover mover) {
    Optional<Said> rate =
        aim.rates()
            .filter(rates -> moment.rateBpm().isPresent() && mover.reserve().isPresent())
            .map(
                rates -> {
                  int bpm = moment.rateBpm().getAsInt();
                  int level = mover.ladder().orElseThrow().at(bpm).number();
                  return new Said(rates.vote(bpm), level, rateWeight(moment, level, mover));
                });
    Optional<Said> rpe =
        given(moment.rpe20())
            .map(
                rating ->
                    new Said(
                        aim.rpeVote(rating),
                        Level.atRpe20(rating).number(),
                        mover.is(NEW_TO_EXERCISE, UNDER_18) ? HALF : WHOLE));
    Optional<Said> voice =
        given(moment.voice()).map(level -> new Said(aim.levelVote(level), level, WHOLE));

    List<Said> voting =
        Stream.of(rate, rpe, voice)
            .flatMap(Optional::stream)
            .filter(said -> said.weight > 0)
            .toList();
    Decided decided = decide(moment, mover, aim.highest(), voting, rate, rpe, voice);
    List<Finding> findings = new ArrayList<>();
    findings.add(decided.because);
    disagreement(rate, rpe, voice).ifPresent(findings::add);
    return new Witnesses(
        decided.cue,
        voting.isEmpty()
            ? OptionalInt.empty()
            : OptionalInt.of(median(voting, Comparator.comparingInt(Said::level)).level),
        aim.levels(),
        rate,
        rpe,
        voice,
        findings);
  }

  private record Decided(Cue cue, Finding because) {}

  /** In the order of the rules: what comes before the votes, the votes, what comes after them. */
  private static Decided decide(
      Moment moment,
      Mover mover,
      int highest,
      List<Said> voting,
      Optional<Said> rate,
      Optional<Said> rpe,
      Optional<Said> voice) {
    if (moment.stopSign()) {
      return new Decided(Cue.STOP, WitnessFinding.CUE_STOP.of());
    }
    if (mover.capBpm().isPresent()
        && moment.rateBpm().isPresent()
        && moment.rateBpm().getAsInt() > mover.capBpm().getAsInt()) {
      return new Decided(
          Cue.EASE_OFF,
          WitnessFinding.CUE_OVER_CAP.of(moment.rateBpm().getAsInt(), mover.capBpm().getAsInt()));
    }
    if (moment.rpe20().isPresent() && moment.rpe20().getAsInt() > mover.topRpe()) {
      return new Decided(
          Cue.EASE_OFF,
          WitnessFinding.CUE_OVER_RPE_LIMIT.of(moment.rpe20().getAsInt(), mover.topRpe()));
    }
    int over = mover.is(HEART_CONDITION, HEART_FAILURE, RESPIRATORY, PREGNANCY) ? 1 : 2;
    if (rpe.filter(said -> said.level >= highest + over).isPresent()) {
      return bodyOver("RPE", rpe.get(), highest);
    }
    if (voice.filter(said -> said.level >= highest + over).isPresent()) {
      return bodyOver("the voice", voice.get(), highest);
    }
    if (voting.isEmpty()) {
      return new Decided(Cue.ASK, WitnessFinding.CUE_ASK.of());
    }
    int vote = median(voting, Comparator.comparingInt(Said::vote)).vote;
    if (vote < 0) {
      return pickUp(mover, voting, rate, rpe, voice);
    }
    Cue cue = vote > 0 ? Cue.EASE_OFF : Cue.HOLD;
    return new Decided(cue, WitnessFinding.CUE_VOTED.of(cue.words(), votes(rate, rpe, voice)));
  }

  private static Decided bodyOver(String who, Said said, int highest) {
    return new Decided(Cue.EASE_OFF, WitnessFinding.CUE_BODY_OVER.of(who, said.level, highest));
  }

  /** More is asked for only where nothing speaks against it, and the rate is not all there is. */
  private static Decided pickUp(
      Mover mover,
      List<Said> voting,
      Optional<Said> rate,
      Optional<Said> rpe,
      Optional<Said> voice) {
    if (rpe.filter(said -> said.vote > 0).isPresent()) {
      return new Decided(Cue.HOLD, WitnessFinding.CUE_HELD_BACK.of("RPE"));
    }
    if (voice.filter(said -> said.vote > 0).isPresent()) {
      return new Decided(Cue.HOLD, WitnessFinding.CUE_HELD_BACK.of("the voice"));
    }
    boolean rateAlone = rpe.isEmpty() && voice.isEmpty();
    boolean led = mover.guide() == IntensityGuide.RATE && !mover.is(UNDER_18);
    if (rateAlone && (!led || voting.get(0).weight < HALF)) {
      return new Decided(Cue.ASK, WitnessFinding.CUE_ASK.of());
    }
    return new Decided(
        Cue.PICK_UP, WitnessFinding.CUE_VOTED.of(Cue.PICK_UP.words(), votes(rate, rpe, voice)));
  }

  /** Who says what, for example {@code rate within, voice above}; without weight nobody does. */
  private static String votes(Optional<Said> rate, Optional<Said> rpe, Optional<Said> voice) {
    return Stream.of(
            rate.filter(said -> said.weight > 0).map(said -> "rate " + VOTES.get(said.vote + 1)),
            rpe.map(said -> "RPE " + VOTES.get(said.vote + 1)),
            voice.map(said -> "voice " + VOTES.get(said.vote + 1)))
        .flatMap(Optional::stream)
        .collect(Collectors.joining(", "));
  }

  /** Where the body agrees with itself and the rate is two levels or more from both. */
  private static Optional<Finding> disagreement(
      Optional<Said> rate, Optional<Said> rpe, Optional<Said> voice) {
    if (rate.isEmpty() || rpe.isEmpty() || voice.isEmpty()) {
      return Optional.empty();
    }
    int byRate = rate.get().level;
    int byRpe = rpe.get().level;
    int byVoice = voice.get().level;
    return Math.abs(byRpe - byVoice) <= 1
            && Math.abs(byRate - byRpe) >= 2
            && Math.abs(byRate - byVoice) >= 2
        ? Optional.of(WitnessFinding.RATE_DISAGREES.of(byRate, byRpe, byVoice))
        : Optional.empty();
  }

  /** What a rate is worth, in thousandths. */
  private static int rateWeight(Moment moment, int level, Mover mover) {
    if (moment.doubtful() || mover.is(IRREGULAR_RHYTHM, PACEMAKER, HEART_FAILURE, NEUROPATHY)) {
      return 0;
    }
    int weight =
        switch (moment.source()) {
          case STRAP -> WHOLE;
          case COUNT -> 700;
          // A wrist reads well while it shows easy work itself.
          case WRIST -> level <= 2 ? WHOLE : HALF;
        };
    if (mover.maximumEstimated()) {
      weight = weight * 8 / 10;
    }
    boolean held = mover.is(RATE_LOWERING_MEDICINE) && !mover.is(MAXIMUM_ON_MEDICINE);
    if (held || mover.is(RESPIRATORY)) {
      weight /= 4;
    }
    return mover.is(PREGNANCY) ? weight / 2 : weight;
  }

  private static List<Level> levelsOf(Rates rates, Ladder ladder) {
    List<Level> levels =
        Stream.of(Level.values())
            .filter(level -> shared(level, rates, ladder) >= SHARED_BPM)
            .toList();
    return levels.isEmpty() ? List.of(ladder.at(rates.lowBpm)) : levels;
  }

  private static int shared(Level level, Rates rates, Ladder ladder) {
    int shared = 0;
    IntFunction<Level> levels = ladder.levels();
    for (int bpm = rates.lowBpm; bpm <= rates.highBpm; bpm++) {
      if (levels.apply(bpm) == level) {
        shared++;
      }
    }
    return shared;
  }

  private static int against(int value, int low, int high) {
    return value < low ? -1 : value > high ? 1 : 0;
  }

  /**
   * The weighted median: sorted from low to high, the first at which twice the running sum of
   * weights exceeds the total; where it equals it, the next one.
   */
  static Said median(Collection<Said> voting, Comparator<Said> order) {
    List<Said> sorted = voting.stream().sorted(order).toList();
    int total = sorted.stream().mapToInt(Said::weight).sum();
    int sum = 0;
    for (Said said : sorted) {
      sum += said.weight;
      if (2 * sum > total) {
        return said;
      }
    }
    throw new IllegalStateException("nothing votes");
  }

  private static Optional<Integer> given(OptionalInt value) {
    return value.isPresent() ? Optional.of(value.getAsInt()) : Optional.empty();
  }
}
