package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Limit;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Prescribable;
import app.korvel.core.prescription.PrescriptionFinding;
import app.korvel.core.screening.Permission;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Ladder;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.server.web.Within;
import app.korvel.server.zone.ZoneViews.LearnedRatesView;
import app.korvel.server.zone.ZoneViews.PrescribableView;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.store.SchemeRepository.Chosen;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ClientAnchors;
import app.korvel.studio.zone.ClientAnchors.InHand;
import app.korvel.studio.zone.SchemeCatalog;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Spans and bands as they are asked for, and a client's. */
final class ZoneRequests {
  private ZoneRequests() {}

  /** The rates that bands are counted from; thresholds come both or not at all. */
  static Anchors anchors(
      int restingBpm, int maximumBpm, @Nullable Integer lower, @Nullable Integer upper) {
    Reserve reserve = Reserve.of(restingBpm, maximumBpm);
    if (lower == null && upper == null) {
      return Anchors.of(reserve);
    }
    if (lower == null || upper == null) {
      throw InvalidValueException.of(
          lower == null ? "lowerThresholdBpm" : "upperThresholdBpm",
          "is missing beside the other one",
          "both thresholds, or neither");
    }
    return Anchors.of(reserve, Optional.of(ThresholdRates.of(lower, upper)));
  }

  /** How sure both ends are; the usual where nothing is said. */
  static Uncertainty uncertainty(@Nullable BigDecimal maximumBpm, @Nullable BigDecimal restingBpm) {
    return Uncertainty.of(
        maximumBpm == null ? Uncertainty.USUAL.maximumBpm() : maximumBpm,
        restingBpm == null ? Uncertainty.USUAL.restingBpm() : restingBpm);
  }

  static OptionalInt optional(@Nullable Integer bpm) {
    return bpm == null ? OptionalInt.empty() : OptionalInt.of(bpm);
  }

  record RatesRequest(
      @Within(Limit.RESTING) Integer restingBpm, @Within(Limit.MAXIMUM) Integer maximumBpm) {}

  record RatesAnswer(List<Integer> rates) {}

  /**
   * The span and the zone system; standard errors, cap and family of 0–10 scales may be left out.
   */
  record ZonesRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      String scheme,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal restingStandardErrorBpm,
      @Nullable @Within(Limit.STANDARD_ERROR) BigDecimal maximumStandardErrorBpm,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable RpeFamily rpeFamily,
      @Nullable @Within(Limit.PULSE) Integer lowerThresholdBpm,
      @Nullable @Within(Limit.PULSE) Integer upperThresholdBpm,
      @Nullable LearnedRatesView learned) {

    Anchors anchors() {
      Anchors byPercent =
          ZoneRequests.anchors(restingBpm, maximumBpm, lowerThresholdBpm, upperThresholdBpm);
      return learned == null
          ? byPercent
          : Anchors.of(Ladder.of(byPercent.reserve(), learned.rates()), byPercent.thresholds());
    }

    OptionalInt cap() {
      return optional(capBpm);
    }

    RpeFamily family(RpeFamily otherwise) {
      return rpeFamily == null ? otherwise : rpeFamily;
    }

    Uncertainty uncertainty() {
      return ZoneRequests.uncertainty(maximumStandardErrorBpm, restingStandardErrorBpm);
    }
  }

  /** The sum of one band; with figures, one for each step or null, a check of them. */
  record ZonesWorkingRequest(
      ZonesRequest of, String band, @Nullable List<@Nullable BigDecimal> figures) {}

  record TargetRequest(
      @Within(Limit.RESTING) Integer restingBpm,
      @Within(Limit.MAXIMUM) Integer maximumBpm,
      Basis basis,
      BigDecimal low,
      BigDecimal high,
      @Nullable @Within(Limit.CAP) Integer capBpm,
      @Nullable @Within(Limit.PULSE) Integer lowerThresholdBpm,
      @Nullable @Within(Limit.PULSE) Integer upperThresholdBpm) {

    Anchors anchors() {
      return ZoneRequests.anchors(restingBpm, maximumBpm, lowerThresholdBpm, upperThresholdBpm);
    }
  }

  record TargetWorkingRequest(TargetRequest of, @Nullable List<@Nullable BigDecimal> figures) {}

  /**
   * A range of rates, and a cap that none of its counts may come to exceed.
   *
   * @param capped whether the upper end is the cap, where no other is given
   */
  record CountsRequest(
      @Within(Limit.PULSE) Integer lowBpm,
      @Within(Limit.PULSE) Integer highBpm,
      @Nullable Boolean capped,
      @Nullable @Within(Limit.CAP) Integer capBpm) {

    OptionalInt cap() {
      if (capBpm == null) {
        return Boolean.TRUE.equals(capped) ? OptionalInt.of(highBpm) : OptionalInt.empty();
      }
      if (capBpm < lowBpm) {
        throw InvalidValueException.of(
            "capBpm",
            capBpm + " is under the lower edge (" + lowBpm + ")",
            "the lower edge or more");
      }
      return OptionalInt.of(capBpm);
    }
  }

  record CountsWorkingRequest(CountsRequest of, @Nullable List<@Nullable BigDecimal> figures) {}

  record CountsAnswer(Map<String, List<Integer>> counts) {}

  record TargetAnswer(
      int lowBpm,
      int highBpm,
      boolean capped,
      Map<String, List<Integer>> counts,
      List<Finding> findings) {}

  /**
   * Which scheme a client's bands are shown in.
   *
   * @param chosen the one chosen for this client; null where it is the studio's
   * @param choiceId the latest choice, which can be undone; null where none was ever made
   * @param studio the studio's
   */
  record ChosenView(@Nullable String chosen, @Nullable UUID choiceId, String studio) {
    static ChosenView of(SchemeCatalog shelf, UUID client) {
      return new ChosenView(
          shelf.chosen(client).orElse(null),
          shelf.latestChoice(client).map(Chosen::id).orElse(null),
          shelf.studio().settings().ways().scheme());
    }
  }

  /**
   * Where whole sentences seem to end so far.
   *
   * @param sentence the same in words
   */
  record TalkBracket(int lowBpm, int highBpm, int checks, String sentence) {
    static @Nullable TalkBracket of(ClientHead head, Mode mode) {
      return head.learned(mode)
          .filter(learned -> learned.on() && !learned.series().days().isEmpty())
          .filter(learned -> learned.rates().lower().isEmpty())
          .map(
              learned ->
                  new TalkBracket(
                      learned.lower().spread().shownBpm()
                          - learned.lower().spread().shownPlusMinus(),
                      learned.lower().spread().shownBpm()
                          + learned.lower().spread().shownPlusMinus(),
                      learned.series().used().size(),
                      learned.sentence()))
          .orElse(null);
    }
  }

  /**
   * A client's bands, or why there are none.
   *
   * @param prescribable what of each band may be prescribed, in their order
   * @param talk where whole sentences seem to end, as far as talk checks tell; null before any, and
   *     once it is in use
   * @param ceilingBpm where vigorous work begins, if it is not allowed
   */
  record ClientBands(
      ChosenView choice,
      @Nullable ZonesView zones,
      List<PrescribableView> prescribable,
      @Nullable String maximumMethod,
      @Nullable TalkBracket talk,
      @Nullable Integer ceilingBpm,
      List<Finding> findings) {

    static ClientBands of(Studio studio, ClientHead head, Mode mode, Optional<String> asked) {
      ClientBaseline baseline = head.baseline(mode);
      ChosenView choice = ChosenView.of(new SchemeCatalog(studio), head.client().id());
      try {
        baseline.reserveOrRefuse();
      } catch (RefusedException refused) {
        return none(choice, refused.findings());
      }
      InHand hand = new ClientAnchors(studio).inHand(head.client().id(), baseline, asked);
      Reserve reserve = hand.anchors().reserve();
      Uncertainty uncertainty = baseline.uncertainty();
      Zones zones = Zones.of(hand.scheme(), hand.anchors(), uncertainty, baseline.capBpm());
      List<Finding> findings = new ArrayList<>();
      baseline
          .screening()
          .cap()
          .ifPresent(
              cap -> findings.add(PrescriptionFinding.CAP_IN_FORCE.of(cap.bpm(), cap.because())));
      hand.finding().ifPresent(findings::add);
      return new ClientBands(
          choice,
          ZonesView.of(zones, uncertainty, studio.settings().ways().family()),
          PrescribableView.of(
              Prescribable.of(
                  zones.bands(),
                  hand.scheme().basis(),
                  reserve,
                  baseline.capBpm(),
                  baseline.ceiling())),
          baseline.maximum().orElseThrow().method(),
          TalkBracket.of(head, mode),
          baseline.permission().vigorous() ? null : reserve.rateAt(Permission.CEILING_PERCENT),
          findings);
    }

    static ClientBands none(ChosenView choice, List<Finding> findings) {
      return new ClientBands(choice, null, List.of(), null, null, null, findings);
    }
  }
}
