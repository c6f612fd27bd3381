package app.korvel.server.recording;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.trace.Agreement;
import app.korvel.core.trace.Trace;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import app.korvel.server.recording.RecordingViews.RecordingAgreement;
import app.korvel.server.web.Within;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** How two recordings of one session differ; nothing is kept. */
@RestController
class AgreementCalculatorController {

  /**
   * Two recordings.
   *
   * @param reference pairs of second, from 1 and rising, and bpm; null for none
   * @param cadence pairs of second and steps a minute of the second one; null where not known
   */
  record AgreementRequest(
      List<List<@Nullable Integer>> reference,
      List<List<@Nullable Integer>> second,
      @Nullable List<List<@Nullable Integer>> cadence,
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm) {}

  @PostMapping("/api/calculator/agreement")
  RecordingAgreement agreement(@RequestBody AgreementRequest request) {
    Trace reference = trace("reference", request.reference());
    Trace second = trace("second", request.second());
    Reserve span = Reserve.of(request.restingBpm(), request.maximumBpm());
    return RecordingAgreement.of(
        Agreement.of(
            reference,
            second,
            request.cadence() == null ? new int[0] : steps(request.cadence(), second.seconds()),
            Ladder.of(span).from(Level.PHRASES)));
  }

  private static Trace trace(String field, List<List<@Nullable Integer>> pairs) {
    int[] at = new int[pairs.size()];
    int[] bpm = new int[at.length];
    for (int n = 0; n < at.length; n++) {
      at[n] = second(field, pairs.get(n), n);
      Integer rate = pairs.get(n).get(1);
      bpm[n] = rate == null ? 0 : rate;
    }
    return Trace.of(at, bpm);
  }

  private static int[] steps(List<List<@Nullable Integer>> pairs, int seconds) {
    int[] steps = new int[seconds];
    for (int n = 0; n < pairs.size(); n++) {
      int second = second("cadence", pairs.get(n), n);
      Integer rate = pairs.get(n).get(1);
      if (second <= seconds) {
        steps[second - 1] = rate == null ? 0 : Math.max(0, rate);
      }
    }
    return steps;
  }

  private static int second(String field, List<@Nullable Integer> pair, int place) {
    Integer second = pair == null || pair.size() != 2 ? null : pair.get(0);
    if (second == null || second < 1 || second > Trace.MOST_SECONDS) {
      throw InvalidValueException.of(
          field + "[" + place + "]",
          "is no pair of a second and a rate",
          "[second, rate] with seconds from 1 to " + Trace.MOST_SECONDS);
    }
    return second;
  }
}
