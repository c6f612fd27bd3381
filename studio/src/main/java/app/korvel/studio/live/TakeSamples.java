package app.korvel.studio.live;

import app.korvel.core.live.LiveEvent;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.run.Run;
import app.korvel.core.trace.Samples;
import app.korvel.core.trace.Trace;
import app.korvel.sensor.HeartRatePacket;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.studio.Actor;
import app.korvel.studio.NotFoundException;
import app.korvel.studio.Studio;
import app.korvel.studio.talk.KeepTalkChecks;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Takes samples of a heart rate as they come, each once; answered when they are on disk. */
public record TakeSamples(Studio studio) {
  /** The longest stretch that is taken at once, in seconds, and the most samples. */
  private static final int MOST_SECONDS = 120;

  private static final int MOST_SAMPLES = 4 * MOST_SECONDS;

  /** How long before a session was opened a sample of it may have been taken. */
  private static final Duration BEFORE = Duration.ofMinutes(1);

  private static final long LARGEST_SEQUENCE = (1L << 53) - 1;

  /**
   * Samples as they were handed in.
   *
   * @param at when each was taken
   * @param bpm its rate; 0 for none
   */
  public record Handed(List<Instant> at, List<Integer> bpm) {
    /** As they count from a moment; what was taken just before it stands at its beginning. */
    public Samples since(Instant openedAt) {
      int[] times = new int[at.size()];
      int[] rates = new int[times.length];
      for (int n = 0; n < times.length; n++) {
        long since = Duration.between(openedAt, at.get(n)).toMillis();
        times[n] = Math.toIntExact(Math.max(0, since));
        int rate = bpm.get(n);
        rates[n] = rate < Trace.LOWEST || rate > Trace.HIGHEST ? 0 : rate;
      }
      return new Samples(openedAt, times, rates);
    }

    /** Those of packets; a broken one is left out and named. */
    public static Decoded ofPackets(List<Instant> at, List<String> packets) {
      List<Instant> times = new ArrayList<>();
      List<Integer> rates = new ArrayList<>();
      List<Fault> broken = new ArrayList<>();
      for (int n = 0; n < Math.min(at.size(), packets.size()); n++) {
        try {
          rates.add(HeartRatePacket.parse(packets.get(n)).bpmInContact());
          times.add(at.get(n));
        } catch (InvalidValueException refused) {
          Fault fault = refused.faults().get(0);
          broken.add(new Fault("packets[" + n + "]", fault.message(), fault.accepted()));
        }
      }
      return new Decoded(new Handed(times, rates), broken);
    }
  }

  /** What of packets could be read, and what could not. */
  public record Decoded(Handed handed, List<Fault> broken) {}

  /**
   * What became of them.
   *
   * @param isNew whether they had not been handed in before
   * @param withoutRate how many of them have no rate that counts
   */
  public record Taken(boolean isNew, int withoutRate) {}

  /**
   * Takes samples.
   *
   * @param sequence a number that no others of the session have
   * @throws NotFoundException when there is no such session
   * @throws InvalidValueException when they are too many, out of order, from the future, or from
   *     after the session was ended
   */
  public Taken by(Actor who, UUID session, long sequence, Handed handed) {
    return studio.write(
        who,
        () -> {
          Opened opened = new LiveSessions(studio).opened(session);
          RecordLiveEvent.checkRecordedHere(opened);
          checkTimes(opened.openedAt(), new LiveSessions(studio).now(opened), sequence, handed);
          checkNotOver(opened, handed);
          Samples samples = handed.since(opened.openedAt());
          boolean isNew =
              samples.size() > 0 && studio.store().live().add(session, sequence, samples);
          if (isNew && !opened.open()) {
            // What was handed in after the end may show a rate that was steady, or was not.
            new KeepTalkChecks(studio).of(opened, new LiveSessions(studio).get(session).session());
          }
          return new Taken(isNew, withoutRate(samples));
        });
  }

  /** How many samples have no rate that counts. */
  public static int withoutRate(Samples samples) {
    int without = 0;
    for (int bpm : samples.bpm()) {
      without += bpm == 0 ? 1 : 0;
    }
    return without;
  }

  /**
   * Checks when samples were taken.
   *
   * @param openedAt when what they belong to was opened
   * @param now what time it is by its clock
   * @throws InvalidValueException when they are too many, out of order, or not of that time
   */
  public static void checkTimes(Instant openedAt, Instant now, long sequence, Handed handed) {
    List<Instant> at = handed.at;
    if (sequence < 0 || sequence > LARGEST_SEQUENCE) {
      throw InvalidValueException.of(
          "sequence", "is no number of samples", "0 to " + LARGEST_SEQUENCE);
    }
    if (at.size() != handed.bpm.size() || at.size() > MOST_SAMPLES) {
      throw InvalidValueException.of(
          "at",
          "are " + at.size() + " times for " + handed.bpm.size() + " samples",
          "a time for each, up to " + MOST_SAMPLES);
    }
    if (at.isEmpty()) {
      return;
    }
    for (int n = 1; n < at.size(); n++) {
      if (at.get(n).isBefore(at.get(n - 1))) {
        throw InvalidValueException.of(
            "at[" + n + "]", "comes before the one before it", "times that do not fall");
      }
    }
    Instant first = at.get(0);
    Instant last = at.get(at.size() - 1);
    if (Duration.between(first, last).toSeconds() > MOST_SECONDS - 1) {
      throw InvalidValueException.of(
          "at",
          "span " + (Duration.between(first, last).toSeconds() + 1) + " s",
          "up to " + MOST_SECONDS + " s at once");
    }
    Run.checkNotAhead(last, now);
    if (first.isBefore(openedAt.minus(BEFORE))) {
      throw InvalidValueException.of(
          "at", "lies before it was opened", "moments from when it was opened");
    }
  }

  private void checkNotOver(Opened opened, Handed handed) {
    if (handed.at.isEmpty()) {
      return;
    }
    ended(opened)
        .filter(handed.at.get(0)::isAfter)
        .ifPresent(
            end -> {
              throw InvalidValueException.of(
                  "at", "lies after the end of the session", "moments up to " + end);
            });
  }

  /** When the session was ended, if it was. */
  private Optional<Instant> ended(Opened opened) {
    return opened.open()
        ? Optional.empty()
        : studio.store().live().events(opened.id()).stream()
            .filter(LiveEvent::ends)
            .map(LiveEvent::at)
            .reduce((before, after) -> after);
  }
}
