package app.korvel.core.fieldtest;

import app.korvel.core.fieldtest.FieldTestProtocol.Needs;
import app.korvel.core.fieldtest.FieldTestRun.Bout;
import app.korvel.core.fieldtest.FieldTestRun.Reading;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.PulseSource;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What a field test was worth: good with no departure from its protocol, fair with one, poor with
 * more, or where a ramp met no plateau.
 *
 * @param peak the reading a maximum is proposed from; empty where nothing counts, or it was stopped
 * @param grade what it was worth
 * @param departures each way in which it departs from its protocol, in words
 * @param finding what follows
 */
public record FieldTestResult(
    Optional<Reading> peak, Grade grade, List<String> departures, Finding finding) {

  private static final Map<PulseSource, String> LESS_SURE =
      Map.of(
          PulseSource.COUNT, "the peak was counted by hand, while the rate was falling",
          PulseSource.WRIST, "the peak was read at the wrist, which is unreliable in hard work");

  private static final Duration GRACE = Duration.ofSeconds(Threshold.FIELD_TEST_GRACE.whole());

  public FieldTestResult {
    departures = List.copyOf(departures);
  }

  /** Judges a run as it stands, finished or not. */
  public static FieldTestResult of(FieldTestRun run) {
    List<String> departures = departures(run);
    FieldTestProtocol protocol = run.test().protocol();
    boolean noPlateau = protocol.needs() == Needs.PLATEAU && !run.plateau();
    if (noPlateau) {
      departures.add(
          0,
          "no plateau: the last two bouts do not agree within "
              + Threshold.RAMP_PLATEAU.whole()
              + " bpm, so it may rise further");
    }
    Grade grade =
        noPlateau || departures.size() > 1
            ? Grade.POOR
            : departures.isEmpty() ? Grade.GOOD : Grade.FAIR;
    if (run.stoppedAt().isPresent()) {
      return new FieldTestResult(
          Optional.empty(),
          Grade.POOR,
          departures,
          FieldTestFinding.FIELD_TEST_STOPPED.of(run.stoppedBecause()));
    }
    return run.peak()
        .map(
            peak ->
                new FieldTestResult(
                    Optional.of(peak),
                    grade,
                    departures,
                    (grade == Grade.POOR
                            ? FieldTestFinding.FIELD_TEST_POOR
                            : FieldTestFinding.FIELD_TEST_PROPOSES)
                        .of(
                            peak.bpm(),
                            protocol.displayName(),
                            grade.name().toLowerCase(Locale.ROOT),
                            departures.isEmpty()
                                ? "every condition of the protocol was met"
                                : String.join("; ", departures))))
        .orElseGet(
            () ->
                new FieldTestResult(
                    Optional.empty(),
                    Grade.POOR,
                    departures,
                    FieldTestFinding.FIELD_TEST_NO_PEAK.of()));
  }

  private static List<String> departures(FieldTestRun run) {
    FieldTestProtocol protocol = run.test().protocol();
    List<String> departures = new ArrayList<>();
    List<Bout> bouts = run.bouts();
    for (Bout bout : bouts) {
      String name =
          bouts.size() == 1 && protocol.mostBouts() == 1 ? "" : " in bout " + bout.number();
      if (!bout.whole()) {
        departures.add("cut short" + name);
      }
      long counted = bout.readings().stream().filter(Reading::counts).count();
      if (counted < protocol.fewestReadings()) {
        departures.add(
            (counted == 0 ? "no reading that counts" : "only one reading that counts") + name);
      }
      if (protocol.asks(bout.number()) && !bout.answer().orElse(false)) {
        String asked = protocol.question().toLowerCase(Locale.ROOT);
        departures.add(
            bout.answer().isPresent()
                ? "not so" + name + ": " + asked
                : "not said" + name + ": " + asked);
      }
      if (bout.number() > 1) {
        Duration rested = Duration.between(bouts.get(bout.number() - 2).endsAt(), bout.startedAt());
        if (rested.compareTo(protocol.restAtMost().plus(GRACE)) > 0) {
          departures.add(
              "rested "
                  + words(rested)
                  + " before bout "
                  + bout.number()
                  + ", over "
                  + words(protocol.restAtMost()));
        }
      }
    }
    for (int missing = bouts.size() + 1; missing <= protocol.fewestBouts(); missing++) {
      departures.add("bout " + missing + " left out");
    }
    run.peak().map(peak -> LESS_SURE.get(peak.source())).ifPresent(departures::add);
    return departures;
  }

  private static String words(Duration time) {
    return time.toSecondsPart() == 0
        ? time.toMinutes() + " min"
        : time.toMinutes() + " min " + time.toSecondsPart() + " s";
  }
}
