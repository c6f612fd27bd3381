package app.korvel.core.assessment;

import app.korvel.core.effort.EffortContext;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.measure.Finding;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Why no VO₂max is computed from a heart rate: it does not tell the work of the heart then. */
public final class NoUptake {
  private NoUptake() {}

  private static final Map<EffortContext, String> CONTEXTS = contexts();

  private static Map<EffortContext, String> contexts() {
    Map<EffortContext, String> words = new EnumMap<>(EffortContext.class);
    words.put(EffortContext.RATE_LOWERING_MEDICINE, "rate-lowering medication");
    words.put(EffortContext.IRREGULAR_RHYTHM, "an irregular rhythm");
    words.put(EffortContext.PACEMAKER, "a pacemaker");
    words.put(EffortContext.HEART_FAILURE, "heart failure");
    words.put(EffortContext.NEUROPATHY, "autonomic neuropathy");
    words.put(EffortContext.PREGNANCY, "pregnancy");
    words.put(EffortContext.UNDER_18, "an age under 18");
    return words;
  }

  /** The finding that says so; empty where it may be computed. */
  public static Optional<Finding> because(Set<EffortContext> contexts, RateSource source) {
    return CONTEXTS.keySet().stream()
        .filter(contexts::contains)
        .map(CONTEXTS::get)
        .findFirst()
        .or(() -> source == RateSource.WRIST ? Optional.of("a wrist sensor") : Optional.empty())
        .map(AssessmentFinding.NO_UPTAKE_FROM_RATE::of);
  }
}
