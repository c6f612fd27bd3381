package app.korvel.studio.demo;

import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.maximum.Mode;
import app.korvel.store.DeviceRecordingRepository.Brought;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.recording.BringRecording;
import app.korvel.studio.recording.KeepRecording;
import app.korvel.studio.recording.LookedAt.Chosen;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;

/**
 * A year of a rower's own recordings, brought in at once; and a run that both a strap and a wrist
 * recorded, the wrist locked to the steps for a while.
 */
record RecordingsBrought(Studio studio, Actor who, UUID client, TalkChecks.At at) {
  static final String OF = "Tomasz Wielgor";

  private static final int EVERY_DAYS = 17;
  private static final int FIRST = 352;
  private static final int LAST = 12;
  private static final int PAIR_DAYS_AGO = 5;
  private static final int STEPS = 168;

  /** Brings all of it in. */
  void bring() {
    for (int daysAgo = FIRST, n = 0; daysAgo >= LAST; daysAgo -= EVERY_DAYS, n++) {
      int minutes = 28 + n % 4 * 6;
      // The same oar comes a little easier over the year.
      int work = 146 - n / 3;
      own("skiff-" + (n + 1) + ".csv", ride(at.of(daysAgo, 7, 10), minutes * 60, work, n), n);
    }
    Instant run = at.of(PAIR_DAYS_AGO, 18, 5);
    UUID session = own("strap.csv", run(run, 0, 2400, false), 1);
    Brought wrist = looked("wrist.csv", run(run.plusSeconds(8), 8, 2380, true));
    new KeepRecording(studio)
        .by(
            who,
            wrist.id(),
            new KeepRecording.Kept(
                new Chosen(Optional.of(Mode.RUN), Optional.of(RateSource.WRIST), Optional.of(0)),
                Optional.of(session),
                OptionalInt.empty()));
  }

  private UUID own(String name, String text, int n) {
    Mode mode = name.startsWith("skiff") ? Mode.ROW : Mode.RUN;
    return new KeepRecording(studio)
        .by(
            who,
            looked(name, text).id(),
            new KeepRecording.Kept(
                new Chosen(Optional.of(mode), Optional.of(RateSource.STRAP), Optional.of(0)),
                Optional.empty(),
                OptionalInt.of(14 - n % 3)));
  }

  private Brought looked(String name, String text) {
    try {
      return new BringRecording(studio)
          .by(
              who,
              client,
              new BringRecording.File(
                  name,
                  new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                  Optional.empty(),
                  Optional.empty()))
          .looked()
          .orElseThrow();
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }

  /** Up to the work in six minutes, on it, and down in five; a point every two seconds. */
  private static String ride(Instant start, int seconds, int work, int seed) {
    Random random = new Random(seed);
    StringBuilder text = new StringBuilder("time,heart rate\n");
    for (int second = 0; second < seconds; second += 2) {
      double bpm = level(second, seconds, work) + 5 * Math.sin(second / 95.0) + random.nextInt(3);
      text.append(start.plusSeconds(second)).append(',').append(Math.round(bpm)).append('\n');
    }
    return text.toString();
  }

  private static double level(int second, int seconds, int work) {
    int rest = 62;
    double up = Math.min(1, second / 360.0);
    double down = Math.min(1, (seconds - second) / 300.0);
    return rest + (work - rest) * Math.min(1 - Math.exp(-4 * up), 0.45 + 0.55 * down);
  }

  /** A run by two sensors of one body; the wrist is late, and for four minutes counts steps. */
  private static String run(Instant start, int from, int seconds, boolean wrist) {
    Random random = new Random(wrist ? 5 : 4);
    StringBuilder text = new StringBuilder("time,bpm,steps\n");
    for (int second = from; second < from + seconds; second++) {
      int heart = wrist ? Math.max(0, second - 6) : second;
      double bpm = level(heart, 2400, 142) + 4 * Math.sin(heart / 80.0);
      boolean locked = wrist && second > 900 && second < 1140;
      long shown = locked ? STEPS + random.nextInt(3) - 1 : Math.round(bpm) + random.nextInt(3) - 1;
      boolean lost = !wrist && second > 1700 && second < 1730;
      text.append(start.plusSeconds((long) second - from))
          .append(',')
          .append(lost ? "" : String.valueOf(shown))
          .append(',')
          .append(STEPS + random.nextInt(5) - 2)
          .append('\n');
    }
    return text.toString();
  }
}
