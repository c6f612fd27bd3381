package app.korvel.core.assessment;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A test as it was opened: who, how, and by what. It keeps what held on its day.
 *
 * @param source what reads the rate: a strap, a wrist, or counts and displays
 * @param setup what was chosen
 */
public record TestPlan(TestPerson person, RateSource source, Setup setup) {
  public TestPlan {
    Objects.requireNonNull(person);
    Objects.requireNonNull(source);
    Objects.requireNonNull(setup);
  }

  /** Which test. */
  public TestKind kind() {
    return setup.kind();
  }

  /** What the body does. */
  public Mode mode() {
    return setup.mode();
  }

  /** What is chosen for one kind of test. */
  public sealed interface Setup {
    TestKind kind();

    Mode mode();

    /** As it is read, for example {@code sit-to-stand at their own pace}. */
    String words();

    /** Beats a minute of the metronome; empty where none runs. */
    default OptionalInt metronome() {
      return OptionalInt.empty();
    }
  }

  /** What is done for two minutes. */
  public enum Activity {
    SIT_TO_STAND("Sit-to-stand"),
    STEP_UP("Step-up"),
    MARCHING("Marching");

    private final String displayName;

    Activity(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  /**
   * The two-minute test.
   *
   * @param metronome beats a minute, {@link Limit#METRONOME}; empty for their own pace
   * @param posture in which is counted before and after
   */
  public record TwoMinute(Activity activity, OptionalInt metronome, TestPosture posture)
      implements Setup {
    public TwoMinute {
      Objects.requireNonNull(activity);
      metronome.ifPresent(beats -> Limit.METRONOME.check("metronome", beats));
      if (posture == TestPosture.MOVING || posture == TestPosture.LYING) {
        throw InvalidValueException.of("posture", "is none to count in here", "seated or standing");
      }
    }

    @Override
    public TestKind kind() {
      return TestKind.TWO_MINUTE;
    }

    @Override
    public Mode mode() {
      return Mode.OTHER;
    }

    @Override
    public String words() {
      return activity.displayName
          + (metronome.isPresent() ? ", metronome " + metronome.getAsInt() : ", at their own pace")
          + ", counted "
          + posture.displayName().toLowerCase(Locale.ROOT);
    }
  }

  /** A bench, at so many cycles a minute. */
  public record Bench(StepBench bench, int pace) implements Setup {
    public Bench {
      bench.checkPace(pace);
    }

    @Override
    public TestKind kind() {
      return bench == StepBench.LOW ? TestKind.LOW_BENCH : TestKind.HIGH_BENCH;
    }

    @Override
    public Mode mode() {
      return Mode.STAIRS;
    }

    @Override
    public OptionalInt metronome() {
      return OptionalInt.of(StepBench.metronome(pace));
    }

    @Override
    public String words() {
      return pace + " cycles a minute";
    }
  }

  /** The mile: as fast as they can walk, or inside the target. */
  public record Mile(boolean asFastAsPossible) implements Setup {
    @Override
    public TestKind kind() {
      return TestKind.MILE;
    }

    @Override
    public Mode mode() {
      return Mode.RUN;
    }

    @Override
    public String words() {
      return asFastAsPossible ? "as fast as they can walk" : "walked inside the target";
    }
  }

  /**
   * The talk-step test.
   *
   * @param ladder what each step is, up to 120 characters
   * @param lowerOnly where only sentences are looked for
   */
  public record TalkLadder(Mode mode, String ladder, boolean lowerOnly) implements Setup {
    public static final int LADDER_LENGTH = 120;

    public TalkLadder {
      Objects.requireNonNull(mode);
      ladder = ladder.strip();
      if (ladder.isEmpty() || ladder.length() > LADDER_LENGTH) {
        throw InvalidValueException.of(
            "ladder",
            "has " + ladder.length() + " characters",
            "1 to " + LADDER_LENGTH + ": how each step is harder than the one before");
      }
    }

    @Override
    public TestKind kind() {
      return TestKind.TALK_STEPS;
    }

    @Override
    public String words() {
      return ladder;
    }
  }

  /**
   * A clinician's written order of a graded test.
   *
   * @param issuer who wrote it
   * @param rpeEnds the RPE at which it ends, where they wrote one
   */
  public record Order(String issuer, LocalDate issuedOn, OptionalInt rpeEnds) {
    private static final int ISSUER_LENGTH = 80;

    public Order {
      issuer = issuer.strip();
      if (issuer.isEmpty() || issuer.length() > ISSUER_LENGTH) {
        throw InvalidValueException.of(
            "order.issuer", "is missing or too long", "1 to " + ISSUER_LENGTH + " characters");
      }
      rpeEnds.ifPresent(value -> Limit.EFFORT.check("order.rpeEnds", value));
    }
  }

  /**
   * The graded test.
   *
   * @param target empty where no rate is used, or where it goes to exhaustion
   * @param exhaustion whether it goes as far as they can
   * @param supervisor the qualified person, by name
   * @param recovery the posture they recover in
   * @param order where it was needed
   */
  public record Graded(
      GradedProtocol protocol,
      Optional<TestTarget> target,
      boolean exhaustion,
      String supervisor,
      TestPosture recovery,
      Optional<Order> order)
      implements Setup {
    public static final int SUPERVISOR_LENGTH = 80;

    public Graded {
      supervisor = supervisor.strip();
      if (supervisor.isEmpty() || supervisor.length() > SUPERVISOR_LENGTH) {
        throw InvalidValueException.of(
            "supervisor",
            "is missing or too long",
            "the name of the qualified person who supervises, 1 to "
                + SUPERVISOR_LENGTH
                + " characters");
      }
      if (exhaustion && target.isPresent()) {
        throw InvalidValueException.of(
            "target", "does not go with exhaustion", "a target, or exhaustion");
      }
    }

    @Override
    public TestKind kind() {
      return TestKind.GRADED;
    }

    @Override
    public Mode mode() {
      return protocol.mode();
    }

    @Override
    public String words() {
      return protocol.name()
          + ", "
          + target
              .map(aim -> "to " + aim.bpm() + " bpm")
              .orElse(exhaustion ? "as far as they can go" : "by RPE");
    }
  }
}
