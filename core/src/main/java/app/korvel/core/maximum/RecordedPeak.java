package app.korvel.core.maximum;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Threshold;
import app.korvel.core.trace.StepLock;
import app.korvel.core.trace.Trace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * The peak of a recording. A spike is no maximum: the highest 5-second median counts, where the
 * rate stays within 3 bpm of it for 5 seconds at least. Set aside are rises of over 15 bpm in 2 s
 * until the rate is back, rates over 230, and stretches that are locked to the step rate.
 *
 * @param bpm the peak; empty where nothing holds long enough
 * @param atSecond when its window begins; 0 without a peak
 * @param setAside what was left out, in order
 * @param findings what to ask
 */
public record RecordedPeak(
    OptionalInt bpm, int atSecond, List<SetAside> setAside, List<Finding> findings) {

  /** Why a stretch is set aside. */
  public enum Why {
    TOO_HIGH("over what a heart does"),
    SUDDEN_RISE("risen too fast"),
    STEP_LOCK("locked to the step rate");

    private final String displayName;

    Why(String displayName) {
      this.displayName = displayName;
    }

    /** As it is shown. */
    public String displayName() {
      return displayName;
    }
  }

  /** A stretch that was set aside, both seconds included. */
  public record SetAside(int fromSecond, int toSecond, Why why) {}

  private static final int WINDOW = Threshold.PEAK_WINDOW.whole();
  private static final int NEAR = Threshold.PEAK_CONFIRMED.whole();

  public RecordedPeak {
    setAside = List.copyOf(setAside);
    findings = List.copyOf(findings);
  }

  /**
   * Finds the peak of a recording in CSV.
   *
   * @throws InvalidValueException when it is not a recording
   */
  public static RecordedPeak of(String csv) {
    return of(Recording.parse(csv));
  }

  /**
   * The same by what read it.
   *
   * @param strap whether a strap did: it reads the heart whatever the steps are
   */
  public static RecordedPeak of(String csv, boolean strap) {
    Recording recording = Recording.parse(csv);
    return of(strap ? recording.withoutSteps() : recording);
  }

  /** Finds the peak of a recording of a strap that is held second by second. */
  public static RecordedPeak of(Trace trace) {
    return of(trace, new int[0]);
  }

  /**
   * The same of a wrist, or of what is not known.
   *
   * @param steps the step rate by second less one; empty where it is not known
   */
  public static RecordedPeak of(Trace trace, int[] steps) {
    int[] seconds = IntStream.rangeClosed(1, trace.seconds()).toArray();
    int[] bpm =
        IntStream.of(seconds)
            .map(second -> trace.sampledAt(second) ? trace.value(second).getAsInt() : 0)
            .toArray();
    return of(
        new Recording(
            seconds,
            bpm,
            steps.length == 0
                ? Optional.empty()
                : Optional.of(Arrays.copyOf(steps, seconds.length))));
  }

  static RecordedPeak of(Recording recording) {
    Why[] why = new Why[recording.length()];
    markTooHigh(recording, why);
    markRises(recording, why);
    markStepLock(recording, why);
    OptionalInt best = OptionalInt.empty();
    int at = 0;
    for (int i = 0; i < recording.length(); i++) {
      int median = medianFrom(recording, why, i);
      if (median > best.orElse(0) && holds(recording, why, i, median)) {
        best = OptionalInt.of(median);
        at = recording.seconds()[i];
      }
    }
    List<Finding> findings = new ArrayList<>();
    if (Arrays.asList(why).contains(Why.SUDDEN_RISE)) {
      findings.add(MaximumFinding.PEAK_SUDDEN_RISE.of());
    }
    if (best.isEmpty()) {
      findings.add(MaximumFinding.PEAK_NONE.of());
    }
    return new RecordedPeak(best, at, stretches(recording, why), findings);
  }

  private static void markTooHigh(Recording recording, Why[] why) {
    for (int i = 0; i < why.length; i++) {
      if (recording.bpm()[i] > Limit.MAXIMUM.highest()) {
        why[i] = Why.TOO_HIGH;
      }
    }
  }

  /** From a sudden rise on, until the rate is back at where it was, or has stayed a minute. */
  private static void markRises(Recording recording, Why[] why) {
    int[] bpm = recording.bpm();
    int[] seconds = recording.seconds();
    for (int i = 1; i < why.length; i++) {
      int before = lowestShortlyBefore(recording, why, i);
      if (why[i] != null || before == 0) {
        continue;
      }
      int last = seconds[i] + Threshold.PEAK_RISE_STAYS.whole();
      for (int k = i;
          k < why.length && seconds[k] <= last && bpm[k] - before > Threshold.PEAK_RISE.whole();
          k++) {
        why[k] = why[k] == null ? Why.SUDDEN_RISE : why[k];
        i = k;
      }
    }
  }

  /** The lowest rate of the last seconds in which a rise would be sudden; 0 without contact. */
  private static int lowestShortlyBefore(Recording recording, Why[] why, int i) {
    int lowest = 0;
    for (int k = i - 1;
        k >= 0
            && recording.seconds()[i] - recording.seconds()[k]
                <= Threshold.PEAK_RISE_WITHIN.whole();
        k--) {
      int rate = recording.bpm()[k];
      if (why[k] == null && rate > 0 && (lowest == 0 || rate < lowest)) {
        lowest = rate;
      }
    }
    return lowest;
  }

  private static void markStepLock(Recording recording, Why[] why) {
    if (recording.steps().isEmpty()) {
      return;
    }
    int from = 0;
    for (int i = 0; i <= why.length; i++) {
      if (i < why.length && locked(recording, i)) {
        continue;
      }
      if (i > from && StepLock.longEnough(recording.seconds()[from], recording.seconds()[i - 1])) {
        Arrays.fill(why, from, i, Why.STEP_LOCK);
      }
      from = i + 1;
    }
  }

  private static boolean locked(Recording recording, int i) {
    return StepLock.at(recording.bpm()[i], recording.steps().orElseThrow()[i]);
  }

  private static boolean counts(Recording recording, Why[] why, int i) {
    return why[i] == null && recording.bpm()[i] > 0;
  }

  /** The median of the window that begins there; 0 where it is not whole. */
  private static int medianFrom(Recording recording, Why[] why, int from) {
    int[] seconds = recording.seconds();
    int to = from;
    while (to < why.length
        && seconds[to] < seconds[from] + WINDOW
        && counts(recording, why, to)
        && (to == from || seconds[to] - seconds[to - 1] < WINDOW)) {
      to++;
    }
    // A sample a second, or nearly so: a few single ones are no window.
    if (to - from < (WINDOW + 1) / 2 || seconds[to - 1] - seconds[from] < WINDOW - 1) {
      return 0;
    }
    int[] window = Arrays.copyOfRange(recording.bpm(), from, to);
    Arrays.sort(window);
    return window[(window.length - 1) / 2];
  }

  /** Whether the rate stays near the median for as long as the window, without a break. */
  private static boolean holds(Recording recording, Why[] why, int from, int median) {
    int[] seconds = recording.seconds();
    int end = from;
    while (end < why.length && seconds[end] < seconds[from] + WINDOW) {
      end++;
    }
    for (int middle = from; middle < end; middle++) {
      if (!near(recording, why, middle, median)) {
        continue;
      }
      int low = middle;
      int high = middle;
      while (low > 0 && near(recording, why, low - 1, median)) {
        low--;
      }
      while (high < why.length - 1 && near(recording, why, high + 1, median)) {
        high++;
      }
      if (seconds[high] - seconds[low] >= WINDOW - 1) {
        return true;
      }
    }
    return false;
  }

  private static boolean near(Recording recording, Why[] why, int i, int median) {
    return counts(recording, why, i) && Math.abs(recording.bpm()[i] - median) <= NEAR;
  }

  private static List<SetAside> stretches(Recording recording, Why[] why) {
    List<SetAside> stretches = new ArrayList<>();
    for (int i = 0; i < why.length; i++) {
      if (why[i] == null) {
        continue;
      }
      int from = i;
      while (i + 1 < why.length && why[i + 1] == why[from]) {
        i++;
      }
      stretches.add(new SetAside(recording.seconds()[from], recording.seconds()[i], why[from]));
    }
    return stretches;
  }
}
