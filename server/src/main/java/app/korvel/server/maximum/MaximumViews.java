package app.korvel.server.maximum;

import app.korvel.core.maximum.Estimate;
import app.korvel.core.maximum.JudgedMaximum;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Limit;
import app.korvel.core.pulse.Grade;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.client.TargetInQuestion.AimView;
import app.korvel.server.measure.WorkingViews.LineView;
import app.korvel.server.web.FindingView;
import app.korvel.server.web.Within;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Maxima as they are received and sent. */
final class MaximumViews {
  private MaximumViews() {}

  record EstimateView(
      String method,
      String name,
      String formula,
      @Nullable Integer bpm,
      BigDecimal standardErrorBpm,
      String population,
      String errorNote,
      String source,
      boolean applies,
      boolean prescribable,
      String reason) {

    static EstimateView of(Estimate estimate) {
      return new EstimateView(
          estimate.equation().id(),
          estimate.equation().name(),
          estimate.equation().formula(),
          estimate.bpm().isPresent() ? estimate.bpm().getAsInt() : null,
          estimate.standardErrorBpm(),
          estimate.equation().population(),
          estimate.equation().errorNote(),
          estimate.equation().source().citation(),
          estimate.applies(),
          estimate.prescribable(),
          estimate.reason());
    }
  }

  record SpreadView(int lowestBpm, int highestBpm) {}

  record MaximumView(
      Mode mode,
      @Nullable String recommended,
      @Nullable String inUse,
      boolean chosen,
      List<EstimateView> estimates,
      @Nullable SpreadView spread,
      List<FindingView> findings) {

    static MaximumView of(MaximumEstimates estimates) {
      return new MaximumView(
          estimates.mode(),
          estimates.recommended().map(estimate -> estimate.equation().id()).orElse(null),
          estimates.inUse().map(estimate -> estimate.equation().id()).orElse(null),
          estimates.chosen(),
          estimates.estimates().stream().map(EstimateView::of).toList(),
          estimates
              .spread()
              .map(spread -> new SpreadView(spread.lowestBpm(), spread.highestBpm()))
              .orElse(null),
          FindingView.of(estimates.findings()));
    }
  }

  /**
   * A measured maximum as it stands.
   *
   * @param standsAs the kind it stands as, in words: two peaks that agree are a confirmed one
   * @param grade what the test was worth; null for a peak
   */
  record MeasuredView(
      UUID id,
      Mode mode,
      MaximumKind kind,
      String standsAs,
      String method,
      String protocol,
      @Nullable Grade grade,
      int bpm,
      BigDecimal standardErrorBpm,
      LocalDate measuredOn,
      LocalDate dueOn,
      String note,
      @Nullable UUID fieldTest,
      JudgedMaximum.State state,
      String reason) {

    static MeasuredView of(JudgedMaximum judged) {
      MeasuredMaximum value = judged.value();
      return new MeasuredView(
          value.id(),
          value.mode(),
          value.kind(),
          judged.standsAs().displayName(),
          judged.standsAs().id(),
          value.protocol(),
          value.kind().test() ? value.grade() : null,
          value.bpm(),
          judged.standardErrorBpm(),
          value.measuredOn(),
          judged.dueOn(),
          value.note(),
          value.fieldTest().orElse(null),
          judged.state(),
          judged.reason());
    }
  }

  /** One mode beside the others; null where nothing can be said. */
  record ModeRow(Mode mode, @Nullable MaximumInUse maximum, @Nullable SpanView span) {}

  /** A way to measure that can be entered. */
  record KindOption(
      MaximumKind kind, String name, String meaning, boolean graded, String whenGood) {
    static final List<KindOption> ALL =
        MaximumKind.ENTERED.stream()
            .map(
                kind ->
                    new KindOption(
                        kind, kind.displayName(), kind.meaning(), kind.test(), kind.whenGood()))
            .toList();
  }

  /** The next birthday, and the maximum in use as it is estimated from then on. */
  record BirthdayView(LocalDate on, int bpm) {}

  /**
   * Everything about someone's maximum in one mode.
   *
   * @param recommended the equation that is the default; null where there is none
   * @param inUse the equation in use while nothing is measured; null where there is none
   * @param chosen whether that one is the instructor's choice
   * @param spread how far the equations that apply lie apart; null where none does
   * @param working the one everything starts from; null where there is none
   * @param longHand how it was worked out; empty where there is none
   * @param measured the measured values of that mode, latest first
   * @param birthday when it is worked out anew; null where it is not an estimate
   * @param due whether it is to be measured again
   * @param span from rest to that maximum; null where no rate may be used
   * @param aim the target that it moves
   * @param modes every mode side by side
   * @param running a field test that is going on; null where there is none
   */
  record MaximumSheet(
      Mode mode,
      @Nullable String recommended,
      @Nullable String inUse,
      boolean chosen,
      @Nullable UUID latestChoice,
      List<EstimateView> estimates,
      @Nullable SpreadView spread,
      @Nullable MaximumInUse working,
      List<LineView> longHand,
      List<MeasuredView> measured,
      @Nullable BirthdayView birthday,
      boolean due,
      @Nullable SpanView span,
      AimView aim,
      @Nullable Integer capBpm,
      List<ModeRow> modes,
      List<KindOption> kinds,
      @Nullable UUID running,
      List<FindingView> findings) {}

  /** What was measured; the grade is left out for a peak. */
  record MeasuredRequest(
      Mode mode,
      MaximumKind kind,
      @Nullable String protocol,
      @Nullable Grade grade,
      @Within(Limit.MAXIMUM) Integer bpm,
      LocalDate measuredOn,
      @Nullable String note) {

    MeasuredMaximum value(UUID id, OptionalInt restingBpm, Instant now, ZoneId zone) {
      return MeasuredMaximum.of(
          id,
          mode,
          kind,
          protocol == null ? "" : protocol,
          Optional.ofNullable(grade),
          bpm,
          measuredOn,
          note == null ? "" : note,
          Optional.empty(),
          restingBpm,
          now,
          zone);
    }
  }

  /**
   * What a measured value would change.
   *
   * @param judged how it would stand
   * @param before the span until now; null where there is none
   * @param after the span with it; null where there is none
   */
  record MeasuredPreview(
      MeasuredView judged,
      @Nullable MaximumInUse workingBefore,
      @Nullable MaximumInUse workingAfter,
      @Nullable SpanView before,
      @Nullable SpanView after,
      AimView aim) {}

  /** A measured value that was kept. */
  record KeptMaximum(UUID id) {}
}
