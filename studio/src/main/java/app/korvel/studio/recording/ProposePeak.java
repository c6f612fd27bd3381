package app.korvel.studio.recording;

import app.korvel.core.live.LiveSummary;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.PeakProposal;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.live.LiveSessions;
import app.korvel.studio.live.LiveSessions.LiveNow;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Saves the peak of a recorded session as seen once, after the sensor was questioned. */
public record ProposePeak(Studio studio) {
  /**
   * What a session's peak says about the maximum.
   *
   * @param savedAs the measured maximum that it was saved as; empty while it was not
   */
  public record Proposed(PeakProposal proposal, Optional<UUID> savedAs) {}

  /** What it says; empty where there is no peak, or it does not go past the maximum. */
  public Optional<Proposed> of(LiveNow stands) {
    UUID session = stands.opened().id();
    List<MeasuredMaximum> maxima = studio.store().maxima().of(stands.opened().clientId());
    Optional<UUID> saved =
        maxima.stream()
            .filter(each -> each.test().filter(session::equals).isPresent())
            .map(MeasuredMaximum::id)
            .findFirst();
    ClientHead head = studio.head(stands.opened().clientId());
    return LiveSummary.recordedPeak(stands.session())
        .filter(peak -> peak.bpm().isPresent())
        .flatMap(
            peak ->
                PeakProposal.of(
                    peak.bpm().getAsInt(),
                    head.baseline(stands.opened().plan().mode(), without(maxima, saved))
                        .maximumRecord()))
        .map(proposal -> new Proposed(proposal, saved));
  }

  private static List<MeasuredMaximum> without(List<MeasuredMaximum> all, Optional<UUID> saved) {
    return all.stream().filter(each -> saved.filter(each.id()::equals).isEmpty()).toList();
  }

  /**
   * Saves it.
   *
   * @param sensorSat whether the sensor was asked about, and sat as it should
   * @throws InvalidValueException when the sensor was not asked about
   * @throws RefusedException when it is not offered for this client
   */
  public MeasuredMaximum by(Actor who, UUID session, boolean sensorSat) {
    return studio.write(
        who,
        () -> {
          LiveNow stands = new LiveSessions(studio).get(session);
          ClientHead head = studio.openHead(stands.opened().clientId());
          Proposed proposed =
              of(stands)
                  .filter(each -> each.savedAs.isEmpty())
                  .orElseThrow(
                      () ->
                          InvalidValueException.of(
                              "session",
                              "has no peak over the maximum to save",
                              "a session with one that was not saved"));
          if (!proposed.proposal.offered()) {
            throw RefusedException.because(proposed.proposal.finding());
          }
          if (!sensorSat) {
            throw InvalidValueException.of(
                "sensorSat",
                "the sensor is questioned first",
                "true, once it is known that it sat and the effort was hard");
          }
          Stamp stamp = studio.stamp();
          MeasuredMaximum peak =
              MeasuredMaximum.of(
                  stamp.id(),
                  stands.opened().plan().mode(),
                  MaximumKind.PEAK,
                  "",
                  Optional.empty(),
                  proposed.proposal.bpm(),
                  LocalDate.ofInstant(stands.session().begunAt().orElseThrow(), stamp.zone()),
                  "",
                  Optional.of(session),
                  head.baseline().maximumRecord().restingBpm(),
                  stamp.at(),
                  stamp.zone());
          studio.store().maxima().add(stands.opened().clientId(), peak);
          return peak;
        });
  }
}
