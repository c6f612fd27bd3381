package app.korvel.studio;

import app.korvel.core.maximum.JudgedMaximum;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.talk.LearnedThresholds;
import app.korvel.core.talk.LearnedThresholds.About;
import app.korvel.core.talk.Standing;
import app.korvel.core.talk.TalkAct;
import app.korvel.core.talk.TalkActs;
import app.korvel.core.talk.TalkCheck;
import app.korvel.core.talk.TalkSpan;
import app.korvel.core.zone.MeasuredThresholds;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What is on record of a client's talk, and what it comes to: worked out when it is first asked
 * for, and kept as long as the head is.
 */
public final class TalkRecords {
  /** Nothing on record. */
  public static final TalkRecords NONE =
      new TalkRecords(List.of(), List.of(), List.of(), Optional.empty(), true);

  private final List<TalkCheck> checks;
  private final List<TalkAct> acts;
  private final List<MeasuredThresholds> measured;
  private final Optional<LocalDate> firstIssued;
  private final boolean on;
  private final Map<Mode, Optional<LearnedThresholds>> learned = new ConcurrentHashMap<>();

  /**
   * All of it.
   *
   * @param checks of every mode, as far back as they are looked at
   * @param acts decisions that stand
   * @param measured thresholds by a test
   * @param firstIssued the day of the first prescription
   * @param on whether the studio learns from talk
   */
  TalkRecords(
      List<TalkCheck> checks,
      List<TalkAct> acts,
      List<MeasuredThresholds> measured,
      Optional<LocalDate> firstIssued,
      boolean on) {
    this.checks = checks;
    this.acts = acts;
    this.measured = measured;
    this.firstIssued = firstIssued;
    this.on = on;
  }

  /** The day the first prescription was issued, if one was. */
  public Optional<LocalDate> firstIssued() {
    return firstIssued;
  }

  /** Whether they are in the first weeks of training, or have no prescription yet. */
  public boolean firstWeeks(LocalDate today) {
    return firstIssued
        .map(first -> today.isBefore(first.plusWeeks(Threshold.FIRST_WEEKS.whole())))
        .orElse(true);
  }

  /** Those of a mode, as far back as they are looked at. */
  public List<TalkCheck> checks(Mode mode) {
    return checks.stream().filter(check -> check.mode() == mode).toList();
  }

  /** The modes in which there are checks, the usual one first. */
  public List<Mode> modes() {
    return checks.stream().map(TalkCheck::mode).distinct().sorted().toList();
  }

  /** Whether learning is switched off for this client. */
  public boolean switchedOff(Mode mode) {
    return TalkActs.of(acts, mode).switchedOff();
  }

  /** Whether any rate was ever accepted. */
  boolean accepted() {
    return acts.stream().anyMatch(act -> act.kind() == TalkAct.Kind.ACCEPTED);
  }

  /** What is learned in the mode of that ground; nothing where there is no span. */
  Optional<LearnedThresholds> learned(ClientBaseline ground) {
    return learned.computeIfAbsent(
        ground.maximumRecord().estimates().mode(), mode -> workedOut(ground, mode));
  }

  private Optional<LearnedThresholds> workedOut(ClientBaseline ground, Mode mode) {
    return ground
        .reserve()
        .map(
            span -> {
              TalkSpan known =
                  TalkSpan.of(
                      span, ground.maximum().orElseThrow().standardErrorBpm().doubleValue());
              Optional<Integer> peak =
                  ground.maximumRecord().measured().stream()
                      .filter(each -> each.standsAs() == MaximumKind.PEAK)
                      .filter(each -> each.state() == JudgedMaximum.State.PROPOSAL)
                      .map(each -> each.value().bpm())
                      .max(Comparator.naturalOrder());
              // What read a peak is not on record: it is doubted as one of a wrist is.
              TalkSpan withPeak = peak.map(bpm -> known.withPeak(bpm, false)).orElse(known);
              boolean first = firstWeeks(ground.date());
              return LearnedThresholds.of(
                  withPeak,
                  checks(mode),
                  acts,
                  new About(
                      mode,
                      Standing.of(ground.screening(), first),
                      on,
                      ground.screening().medicinesChangedAt(),
                      measured,
                      !first),
                  ground.date(),
                  ground.screening().zone());
            });
  }
}
