package app.korvel.studio.zone;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.WorkingThresholds;
import app.korvel.studio.Studio;
import java.util.Optional;
import java.util.UUID;

/** The scheme a client's bands are shown in, and the rates they are counted from. */
public record ClientAnchors(Studio studio) {
  /**
   * A scheme with all that it counts from.
   *
   * @param finding why it is not the one in use; empty where it is
   */
  public record InHand(Scheme scheme, Anchors anchors, Optional<Finding> finding) {}

  /**
   * The scheme that was asked for; else the one in use for the client, or the default where that
   * one counts from thresholds and there are none in this mode.
   *
   * @throws RefusedException when the one asked for counts from thresholds and there are none; when
   *     there is no span, see {@link ClientBaseline#reserveOrRefuse}
   */
  public InHand inHand(UUID client, ClientBaseline baseline, Optional<String> asked) {
    Scheme scheme = new SchemeCatalog(studio).of(client, asked);
    Reserve span = baseline.reserveOrRefuse();
    WorkingThresholds working = thresholds(client, baseline, span);
    Optional<Finding> missing = working.finding().filter(why -> scheme.basis().needsThresholds());
    if (missing.isPresent() && asked.isPresent()) {
      throw RefusedException.because(missing.get());
    }
    return new InHand(
        missing.isPresent() ? SchemeCatalog.usual() : scheme,
        Anchors.of(Ladder.of(span, baseline.learned()), working.rates()),
        missing);
  }

  /**
   * The thresholds in use today, in the mode of that groundwork.
   *
   * @param span rest and maximum in that mode
   */
  public WorkingThresholds thresholds(UUID client, ClientBaseline baseline, Reserve span) {
    return WorkingThresholds.of(
        studio.store().thresholds().of(client),
        baseline.maximumRecord().estimates().mode(),
        baseline.screening().medicinesChangedAt(),
        Ladder.of(span, baseline.learned()),
        baseline.date());
  }

  /**
   * All of them, for that scheme.
   *
   * @throws RefusedException when the scheme counts from thresholds and none are in use; when there
   *     is no span, see {@link ClientBaseline#reserveOrRefuse}
   */
  public Anchors of(UUID client, ClientBaseline baseline, Scheme scheme) {
    Reserve span = baseline.reserveOrRefuse();
    WorkingThresholds working = thresholds(client, baseline, span);
    if (scheme.basis().needsThresholds()) {
      working
          .finding()
          .ifPresent(
              why -> {
                throw RefusedException.because(why);
              });
    }
    return Anchors.of(Ladder.of(span, baseline.learned()), working.rates());
  }
}
