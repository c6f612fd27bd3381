package app.korvel.core.assessment;

import app.korvel.core.checkin.BloodPressure;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Texts;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.screening.StopSign;
import app.korvel.core.zone.Level;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;

/** Something that happened in a test. */
public sealed interface TestEvent {
  /** The longest reason or note, in characters. */
  int WORDS_LENGTH = 200;

  /** Given by whoever saw it happen, so that sending it twice enters it once. */
  UUID id();

  /** When it happened. */
  Instant at();

  /** As it is shown in a few words. */
  String words();

  /** What happened, in a word; never renamed, since it stands on record. */
  enum Kind {
    BEGUN(Begun.class),
    ENDED(Ended.class),
    POSTURE(Posture.class),
    READ_OFF(ReadOff.class),
    COUNTED(Counted.class),
    CUFF_STARTED(CuffStarted.class),
    PRESSURE(Pressure.class),
    RATED(Rated.class),
    SPOKEN(Spoken.class),
    REPEATED(Repeated.class),
    SYMPTOMS(Symptoms.class),
    WALKED(Walked.class),
    RAIL_HELD(RailHeld.class),
    LEFT_OUT(LeftOut.class),
    PACE_KEPT(PaceKept.class),
    CLOSED(Closed.class),
    WITHDRAWN(Withdrawn.class);

    private final Class<? extends TestEvent> type;

    Kind(Class<? extends TestEvent> type) {
      this.type = type;
    }
  }

  /** What happened, in a word. */
  default Kind kind() {
    return Arrays.stream(Kind.values())
        .filter(kind -> kind.type.isInstance(this))
        .findFirst()
        .orElseThrow();
  }

  /** Why work ends. */
  enum Reason {
    /** Its time is over, or the mile. */
    DONE("done"),
    TARGET("target reached"),
    EXHAUSTION("as far as they could go"),
    /** A rule of the test, such as a pressure that falls. */
    RULE("a rule of the test"),
    /** A stop sign. */
    SIGN("a stop sign"),
    CLIENT("the client asked"),
    /** Whoever leads it, for another reason. */
    LEADER("ended by the tester");

    private final String words;

    Reason(String words) {
      this.words = words;
    }

    /** As it is read. */
    public String words() {
      return words;
    }
  }

  /** The work begins. */
  record Begun(UUID id, Instant at) implements TestEvent {
    @Override
    public String words() {
      return "Work begun";
    }
  }

  /**
   * The work ends.
   *
   * @param sign at which, where it was one
   * @param because what else is to be said, up to {@value TestEvent#WORDS_LENGTH} characters
   */
  record Ended(UUID id, Instant at, Reason reason, Optional<StopSign> sign, String because)
      implements TestEvent {
    public Ended {
      List<Fault> faults = new ArrayList<>();
      Texts.check(faults, "because", because.strip(), 0, WORDS_LENGTH);
      if ((reason == Reason.SIGN) != sign.isPresent()) {
        faults.add(new Fault("sign", "does not go with the reason", "a stop sign, for one"));
      }
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
      because = because.strip();
    }

    @Override
    public String words() {
      return "Ended: " + sign.map(StopSign::words).orElse(reason.words());
    }
  }

  /** They lie, sit, stand or move from now on. */
  record Posture(UUID id, Instant at, TestPosture posture) implements TestEvent {
    public Posture {
      Objects.requireNonNull(posture);
    }

    @Override
    public String words() {
      return posture.displayName();
    }
  }

  /** A rate read off a display, {@link Limit#SESSION_RATE}. */
  record ReadOff(UUID id, Instant at, int bpm) implements TestEvent {
    public ReadOff {
      Limit.SESSION_RATE.check("bpm", bpm);
    }

    @Override
    public String words() {
      return bpm + " bpm read off";
    }
  }

  /** Beats counted by hand. */
  record Counted(UUID id, Instant at, int beats, CountWindow window) implements TestEvent {
    public Counted {
      PulseCount.of(beats, window);
    }

    /** The rate. */
    public int bpm() {
      return PulseCount.of(beats, window).bpm();
    }

    @Override
    public String words() {
      return beats + " beats in " + window.seconds() + " s";
    }
  }

  /** The cuff is started: the pressure will be of this moment. */
  record CuffStarted(UUID id, Instant at) implements TestEvent {
    @Override
    public String words() {
      return "Cuff started";
    }
  }

  /**
   * A pressure.
   *
   * @param cuffAt when its cuff was started
   */
  record Pressure(UUID id, Instant at, BloodPressure pressure, Instant cuffAt)
      implements TestEvent {
    public Pressure {
      if (cuffAt.isAfter(at)) {
        throw InvalidValueException.of(
            "cuffAt", "lies after the pressure was entered", "a moment up to then");
      }
    }

    @Override
    public String words() {
      return pressure.toString();
    }
  }

  /** How hard it feels, {@link Limit#EFFORT}. */
  record Rated(UUID id, Instant at, int rpe20) implements TestEvent {
    public Rated {
      Limit.EFFORT.check("rpe20", rpe20);
    }

    @Override
    public String words() {
      return "RPE " + rpe20;
    }
  }

  /** What the voice could do, {@link Limit#VOICE}. */
  record Spoken(UUID id, Instant at, int voice) implements TestEvent {
    public Spoken {
      Limit.VOICE.check("voice", voice);
    }

    @Override
    public String words() {
      return "Voice: " + Level.values()[voice - 1].displayName();
    }
  }

  /** How many times it was done, {@link Limit#REPETITIONS}. */
  record Repeated(UUID id, Instant at, int repetitions) implements TestEvent {
    public Repeated {
      Limit.REPETITIONS.check("repetitions", repetitions);
    }

    @Override
    public String words() {
      return repetitions + " repetitions";
    }
  }

  /**
   * They were asked how they are.
   *
   * @param any whether anything was complained of
   * @param what it was
   */
  record Symptoms(UUID id, Instant at, boolean any, String what) implements TestEvent {
    public Symptoms {
      List<Fault> faults = new ArrayList<>();
      Texts.check(faults, "what", what.strip(), 0, WORDS_LENGTH);
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
      what = what.strip();
    }

    @Override
    public String words() {
      return any ? "Symptoms" + (what.isEmpty() ? "" : ": " + what) : "No symptoms";
    }
  }

  /**
   * A stage was walked or, with false, run.
   *
   * @param stage from 1
   */
  record Walked(UUID id, Instant at, int stage, boolean walked) implements TestEvent {
    @Override
    public String words() {
      return "Stage " + stage + (walked ? " walked" : " run");
    }
  }

  /** They hold the rail, or let go of it. */
  record RailHeld(UUID id, Instant at, boolean held) implements TestEvent {
    @Override
    public String words() {
      return held ? "Holds the rail" : "Rail not held";
    }
  }

  /** Standing cannot be taken before the work, and why. */
  record LeftOut(UUID id, Instant at, String because) implements TestEvent {
    public LeftOut {
      List<Fault> faults = new ArrayList<>();
      Texts.check(faults, "because", because.strip(), 1, WORDS_LENGTH);
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
      because = because.strip();
    }

    @Override
    public String words() {
      return "Standing left out: " + because;
    }
  }

  /** Whether the pace was kept. */
  record PaceKept(UUID id, Instant at, boolean kept) implements TestEvent {
    @Override
    public String words() {
      return kept ? "Pace kept" : "Pace not kept";
    }
  }

  /**
   * The sheet is closed, or a test that has not begun is cancelled.
   *
   * @param clinicianTold where they have not recovered
   */
  record Closed(UUID id, Instant at, boolean clinicianTold) implements TestEvent {
    @Override
    public String words() {
      return "Closed";
    }
  }

  /** Something entered is withdrawn. */
  record Withdrawn(UUID id, Instant at, UUID of) implements TestEvent {
    @Override
    public String words() {
      return "Undone";
    }
  }
}
