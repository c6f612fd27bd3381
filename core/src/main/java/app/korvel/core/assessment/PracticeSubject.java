package app.korvel.core.assessment;

import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SplittableRandom;

/**
 * Somebody who is not there and is tested for practice: everything about them follows from a seed.
 *
 * @param level how much is asked of the learner
 * @param trouble what comes; told only at the end
 * @param seed of whom they are
 */
public record PracticeSubject(Level level, Trouble trouble, long seed) {

  /** How much is asked of a learner: a row each, the easiest first. */
  public enum Level {
    SHOWN("Pressures are shown; nothing goes wrong", false, false),
    HEARD("Pressures by their sounds; nothing goes wrong", true, false),
    TROUBLE("Pressures are shown; something may go wrong", false, true),
    ALL("Pressures by their sounds; something may go wrong", true, true);

    private final String displayName;
    private final boolean heard;
    private final boolean trouble;

    Level(String displayName, boolean heard, boolean trouble) {
      this.displayName = displayName;
      this.heard = heard;
      this.trouble = trouble;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }

    /** Whether a pressure is judged by its sounds. */
    public boolean heard() {
      return heard;
    }
  }

  /** What comes in a test. */
  public enum Trouble {
    NONE("Everything was as it should be"),
    FALLING_PRESSURE("From stage 3 on the systolic pressure fell"),
    SLIPPING_STRAP("The strap slipped in the work and read low"),
    CHEST_TIGHTNESS("From stage 2 on the chest was tight, told only when asked"),
    NEVER_REACHED("The target was never reached: the maximum was lower than estimated");

    private final String displayName;

    Trouble(String displayName) {
      this.displayName = displayName;
    }

    /** As it is told at the end. */
    public String displayName() {
      return displayName;
    }
  }

  private static final List<String> HEADS = List.of("practice", " ");
  private static final int FALLS_FROM = 3;
  private static final int TIGHT_FROM = 2;
  private static final int FALL = 18;

  /** Whoever never reaches the target has so much of the reserve that is reckoned with. */
  private static final double LOWER = 0.78;

  /** Somebody of that level. */
  public static PracticeSubject of(Level level, long seed) {
    Trouble[] all = Trouble.values();
    // A trouble as often as none: whoever knew that one comes would look for it.
    int roll = new SplittableRandom(seed).nextInt(2 * (all.length - 1));
    return new PracticeSubject(
        level, level.trouble && roll < all.length - 1 ? all[roll + 1] : Trouble.NONE, seed);
  }

  /** As it is kept. */
  public String written() {
    return String.join(HEADS.get(1), HEADS.get(0), level.name(), trouble.name(), "" + seed);
  }

  /** Reads what {@link #written} gave; empty for anything else. */
  public static Optional<PracticeSubject> parse(String written) {
    String[] parts = written.split(HEADS.get(1));
    return parts.length == 4 && parts[0].equals(HEADS.get(0))
        ? Optional.of(
            new PracticeSubject(
                Level.valueOf(parts[1]), Trouble.valueOf(parts[2]), Long.parseLong(parts[3])))
        : Optional.empty();
  }

  private int of(int from, int to, int which) {
    return new SplittableRandom(31 * seed + which).nextInt(from, to + 1);
  }

  /** The test: on the treadmill from the standard start, to 85 % of reserve. */
  public TestPlan plan() {
    int age = of(28, 62, 1);
    Reserve reserve = Reserve.of(of(56, 72, 2), 208 - age * 7 / 10);
    TestPerson person =
        new TestPerson(
            age,
            of(0, 1, 3) == 0 ? Sex.FEMALE : Sex.MALE,
            Optional.of(BigDecimal.valueOf(of(58, 88, 4))),
            Optional.of(reserve),
            BigDecimal.TEN,
            OptionalInt.empty(),
            Effects.TOP_EFFORT,
            Set.of());
    return new TestPlan(
        person,
        RateSource.STRAP,
        new TestPlan.Graded(
            GradedProtocols.of("bruce").orElseThrow(),
            Optional.of(TestTarget.of(TestTarget.Kind.RESERVE, 85, reserve, OptionalInt.empty())),
            false,
            "Whoever practises",
            TestPosture.LYING,
            Optional.empty()));
  }

  /** What they really have between rest and maximum. */
  public Reserve reserve() {
    Reserve reckoned = plan().person().reserve().orElseThrow();
    return trouble == Trouble.NEVER_REACHED
        ? Reserve.of(
            reckoned.restingBpm(), reckoned.restingBpm() + (int) Math.round(LOWER * reckoned.bpm()))
        : reckoned;
  }

  /**
   * Their pressure.
   *
   * @param share how hard they work, of their reserve
   * @param stage from 1; 0 before and after the work
   */
  public BloodPressure pressure(double share, int stage) {
    int systolic = of(112, 126, 5) + (int) Math.round(68 * Math.min(1, share));
    int diastolic = of(70, 82, 6) + (int) Math.round(4 * share);
    boolean falls = trouble == Trouble.FALLING_PRESSURE && stage >= FALLS_FROM;
    if (falls) {
      // Under what the stage before came to, however hard this one is.
      systolic = of(112, 126, 5) + (int) Math.round(68 * 0.5) - FALL;
    }
    return new BloodPressure(systolic, diastolic);
  }

  /** How hard it feels, on 6–20. */
  public int rpe20(double share) {
    double felt = trouble == Trouble.NEVER_REACHED ? share / LOWER * 0.95 : share;
    return Math.max(6, Math.min(20, 6 + (int) Math.round(13.4 * Math.max(0, felt))));
  }

  /** Beats in 15 s, counted by hand. */
  public int beats(double share) {
    Reserve own = reserve();
    return (int) Math.round((own.restingBpm() + Math.min(1, share) * own.bpm()) / 4);
  }

  /** What they say when they are asked how they are; empty where nothing is wrong. */
  public Optional<String> symptoms(int stage) {
    return trouble == Trouble.CHEST_TIGHTNESS && stage >= TIGHT_FROM
        ? Optional.of("a tight chest")
        : Optional.empty();
  }

  /** From which stage on they would tell of something; empty where there is nothing. */
  Optional<Integer> tellsFrom() {
    return trouble == Trouble.CHEST_TIGHTNESS ? Optional.of(TIGHT_FROM) : Optional.empty();
  }
}
