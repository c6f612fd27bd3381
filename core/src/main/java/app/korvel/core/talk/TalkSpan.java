package app.korvel.core.talk;

import app.korvel.core.talk.MaximumBelief.PeakOnce;
import app.korvel.core.zone.Level;
import app.korvel.core.zone.Reserve;
import java.util.Optional;

/**
 * What is known of someone in one mode before any talk check.
 *
 * @param reserve resting and working maximum
 * @param maximumErrorBpm standard error of that maximum
 * @param peak a peak over it that was seen once, if there is one
 */
public record TalkSpan(Reserve reserve, double maximumErrorBpm, Optional<PeakOnce> peak) {

  /** Without a peak. */
  public static TalkSpan of(Reserve reserve, double maximumErrorBpm) {
    return new TalkSpan(reserve, maximumErrorBpm, Optional.empty());
  }

  /**
   * With a peak that was seen once; one that is not over the maximum says nothing.
   *
   * @param strap whether a strap read it
   */
  public TalkSpan withPeak(int bpm, boolean strap) {
    return bpm > reserve.maximumBpm()
        ? new TalkSpan(reserve, maximumErrorBpm, Optional.of(new PeakOnce(bpm, strap)))
        : this;
  }

  MaximumBelief maximum() {
    return MaximumBelief.of(reserve.restingBpm(), reserve.maximumBpm(), maximumErrorBpm, peak);
  }

  /** What is believed of the maximum. */
  public Spread maximumSpread() {
    return maximum().spread();
  }

  /** A check as it is weighed. */
  TalkBelief.Weighed weighed(TalkCheck.Said said) {
    boolean hard = Level.atRate(said.bpm(), reserve).ordinal() > Level.TALK.ordinal();
    return TalkBelief.Weighed.of(
        said.bpm(), said.speech(), said.by().errorBpm(hard), said.hearing().misreport());
  }
}
