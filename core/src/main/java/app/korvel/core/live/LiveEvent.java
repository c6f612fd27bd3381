package app.korvel.core.live;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.run.RunEvent;
import app.korvel.core.screening.StopSign;
import app.korvel.core.zone.Level;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Something that happened in a session on the clock; legs are counted from 1. */
public sealed interface LiveEvent {
  /** Given by whoever saw it happen, so that sending it twice enters it once. */
  UUID id();

  /** When it happened. */
  Instant at();

  /** What happened, in a word; never renamed, since it stands on record. */
  enum Kind {
    BEGUN(Begun.class, "Started"),
    STEP_STARTED(StepStarted.class, "Step started"),
    STEP_ENDED(StepEnded.class, "Next step"),
    STEP_BACK(StepBack.class, "Back a step"),
    LENGTHENED(Lengthened.class, "Step changed"),
    PAUSED(Paused.class, "Paused"),
    RESUMED(Resumed.class, "Resumed"),
    RATED(Rated.class, "Rated"),
    COUNTED(Counted.class, "Counted"),
    READ_OFF(ReadOff.class, "Read off"),
    SOURCE_CHANGED(SourceChanged.class, "Source changed"),
    WORK_RESUMED(WorkResumed.class, "Work goes on"),
    SEEN(Seen.class, "Seen"),
    STRAP_GIVEN(StrapGiven.class, "Strap given"),
    STRAP_DOUBTED(StrapDoubted.class, "Strap to be confirmed"),
    STRAPS_SWAPPED(StrapsSwapped.class, "Straps swapped"),
    EFFORT_ENDED(EffortEnded.class, "Effort ended"),
    EFFORT_RESUMED(EffortResumed.class, "Next set"),
    STOPPED(Stopped.class, "Stopped"),
    ENDED(Ended.class, "Ended"),
    WITHDRAWN(Withdrawn.class, "Undone");

    private final Class<? extends LiveEvent> type;
    private final String words;

    Kind(Class<? extends LiveEvent> type, String words) {
      this.type = type;
      this.words = words;
    }
  }

  /** What happened, in a few words, as it is shown. */
  default String words() {
    return kind().words;
  }

  /** What happened, in a word. */
  default Kind kind() {
    return Arrays.stream(Kind.values())
        .filter(kind -> kind.type.isInstance(this))
        .findFirst()
        .orElseThrow();
  }

  /** Whether it is the end of the session. */
  default boolean ends() {
    return this instanceof Ended || this instanceof Stopped;
  }

  /** What of it moves the clock; empty for what does not. */
  default Optional<RunEvent> clock() {
    return Optional.empty();
  }

  /** The clock of the session starts. */
  record Begun(UUID id, Instant at) implements LiveEvent {}

  /** A step that waits begins now. */
  record StepStarted(UUID id, Instant at) implements LiveEvent {
    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Started(id, at));
    }
  }

  /** On to the next step. */
  record StepEnded(UUID id, Instant at, int leg) implements LiveEvent {
    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Ended(id, at, leg));
    }
  }

  /** Back to the step before. */
  record StepBack(UUID id, Instant at, int leg) implements LiveEvent {
    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Back(id, at, leg));
    }
  }

  /** The step becomes longer, or with negative seconds shorter. */
  record Lengthened(UUID id, Instant at, int leg, int seconds) implements LiveEvent {
    private static final int MOST = 3600;

    public Lengthened {
      if (seconds == 0 || Math.abs(seconds) > MOST) {
        throw InvalidValueException.of(
            "seconds", seconds + " is no change of a step", "1 to " + MOST + ", or as many less");
      }
    }

    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Lengthened(id, at, leg, Duration.ofSeconds(seconds)));
    }

    @Override
    public String words() {
      return (seconds > 0 ? "+" : "−") + Math.abs(seconds) + " s";
    }
  }

  /** The clock stands. */
  record Paused(UUID id, Instant at) implements LiveEvent {
    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Paused(id, at));
    }
  }

  /** The clock goes on. */
  record Resumed(UUID id, Instant at) implements LiveEvent {
    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Resumed(id, at));
    }
  }

  /**
   * How hard it feels, what the voice can do, or both.
   *
   * @param passageAt when the passage was begun that the voice was tried with, if that was noted
   */
  record Rated(
      UUID id, Instant at, OptionalInt rpe20, OptionalInt voice, Optional<Instant> passageAt)
      implements LiveEvent {
    public Rated(UUID id, Instant at, OptionalInt rpe20, OptionalInt voice) {
      this(id, at, rpe20, voice, Optional.empty());
    }

    public Rated {
      List<Fault> faults = new ArrayList<>();
      if (passageAt.filter(at::isBefore).isPresent()) {
        faults.add(new Fault("passageAt", "lies after the answer", "a moment before it"));
      }
      if (rpe20.isEmpty() && voice.isEmpty()) {
        faults.add(new Fault("rpe20", "is missing", "an RPE, a voice, or both"));
      }
      rpe20.ifPresent(value -> Limit.EFFORT.check(faults, "rpe20", value));
      voice.ifPresent(value -> Limit.VOICE.check(faults, "voice", value));
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
    }

    @Override
    public String words() {
      return rpe20.isPresent()
          ? "RPE " + rpe20.getAsInt()
          : "Voice: " + Level.values()[voice.getAsInt() - 1].displayName();
    }
  }

  /** Counted by hand. */
  record Counted(UUID id, Instant at, int beats, CountWindow window) implements LiveEvent {
    public Counted {
      Objects.requireNonNull(window);
      bpm(beats, window);
    }

    private static int bpm(int beats, CountWindow window) {
      return PulseCount.of(beats, window).bpm();
    }

    int bpm() {
      return bpm(beats, window);
    }

    @Override
    public String words() {
      return beats + " beats in " + window.seconds() + " s";
    }
  }

  /** A rate read off the display of a machine. */
  record ReadOff(UUID id, Instant at, int bpm) implements LiveEvent {
    public ReadOff {
      List<Fault> faults = new ArrayList<>();
      Limit.SESSION_RATE.check(faults, "bpm", bpm);
      if (!faults.isEmpty()) {
        throw InvalidValueException.of(faults);
      }
    }

    @Override
    public String words() {
      return bpm + " read off";
    }
  }

  /** Another thing reads the rate from now on. */
  record SourceChanged(UUID id, Instant at, RateSource source) implements LiveEvent {
    public SourceChanged {
      Objects.requireNonNull(source);
    }

    @Override
    public String words() {
      return "Rate by " + source.name().toLowerCase(Locale.ROOT);
    }
  }

  /** After the work was stopped the client was asked, and it goes on. */
  record WorkResumed(UUID id, Instant at) implements LiveEvent {}

  /** The instructor has seen that something needs them. */
  record Seen(UUID id, Instant at) implements LiveEvent {}

  /**
   * A strap is put on.
   *
   * @param strap what it is known by, 1 to 40 characters
   * @param unsure whether it may be somebody else's: until a count agrees it has no vote
   */
  record StrapGiven(UUID id, Instant at, String strap, boolean unsure) implements LiveEvent {
    private static final int LONGEST = 40;

    public StrapGiven {
      strap = strap.strip();
      if (strap.isEmpty() || strap.length() > LONGEST) {
        throw InvalidValueException.of(
            "strap", "has " + strap.length() + " characters", "1 to " + LONGEST);
      }
    }

    @Override
    public String words() {
      return "Strap " + strap;
    }
  }

  /** Another strap was put on so soon after this one that the two may have been swapped. */
  record StrapDoubted(UUID id, Instant at) implements LiveEvent {}

  /**
   * Two straps were swapped: from a moment on each series is the other's.
   *
   * @param at when it was said
   * @param with the other session
   * @param from since when
   */
  record StrapsSwapped(UUID id, Instant at, UUID with, Instant from) implements LiveEvent {
    public StrapsSwapped {
      Objects.requireNonNull(with);
      if (from.isAfter(at)) {
        throw InvalidValueException.of("from", "lies after it was said", "a moment up to then");
      }
    }
  }

  /** The effort ends now, to recover in a posture. */
  record EffortEnded(UUID id, Instant at, RecoveryPosture posture) implements LiveEvent {
    public EffortEnded {
      Objects.requireNonNull(posture);
    }
  }

  /** The next set begins. */
  record EffortResumed(UUID id, Instant at) implements LiveEvent {}

  /** Ended at a stop sign. */
  record Stopped(UUID id, Instant at, StopSign sign) implements LiveEvent {
    public Stopped {
      Objects.requireNonNull(sign);
    }

    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Over(id, at));
    }

    @Override
    public String words() {
      return "Stopped: " + sign.words();
    }
  }

  /** Why a session ended. */
  enum Reason {
    PLANNED("Ended"),
    TIRED("Ended early: tired"),
    OTHER("Ended early"),
    /** Nobody ended it: it closed itself. */
    LEFT_OPEN("Closed by itself at the last sample");

    private final String words;

    Reason(String words) {
      this.words = words;
    }
  }

  /** Ended. */
  record Ended(UUID id, Instant at, Reason reason) implements LiveEvent {
    public Ended {
      Objects.requireNonNull(reason);
    }

    @Override
    public Optional<RunEvent> clock() {
      return Optional.of(new RunEvent.Over(id, at));
    }

    @Override
    public String words() {
      return reason.words;
    }
  }

  /** Undone. */
  record Withdrawn(UUID id, Instant at, UUID of) implements LiveEvent {
    public Withdrawn {
      Objects.requireNonNull(of);
    }
  }
}
