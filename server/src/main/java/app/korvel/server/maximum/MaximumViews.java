package app.korvel.server.maximum;

import app.korvel.core.maximum.Estimate;
import app.korvel.core.maximum.JudgedMaximum;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MaximumRecord;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.maximum.RecordedPeak;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.pulse.Grade;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Sex;
import app.korvel.server.client.ChangeViews.SpanView;
import app.korvel.server.client.ClientViews.MaximumInUse;
import app.korvel.server.measure.WorkingViews.LineView;
import app.korvel.server.web.Within;
import app.korvel.store.FieldTestRepository.SavedFieldTest;
import app.korvel.store.MaximumChoiceRepository.Kept;
import app.korvel.studio.ClientHead;
import app.korvel.studio.ClientHead.Aimed;
import app.korvel.studio.Stamp;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
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

  record MaximumView(
      Mode mode,
      @Nullable String recommended,
      @Nullable String inUse,
      boolean chosen,
      List<EstimateView> estimates,
      MaximumEstimates.@Nullable Spread spread,
      List<Finding> findings) {

    static MaximumView of(MaximumEstimates estimates) {
      return new MaximumView(
          estimates.mode(),
          estimates.recommended().map(estimate -> estimate.equation().id()).orElse(null),
          estimates.inUse().map(estimate -> estimate.equation().id()).orElse(null),
          estimates.chosen(),
          estimates.estimates().stream().map(EstimateView::of).toList(),
          estimates.spread().orElse(null),
          estimates.findings());
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
          value.test().orElse(null),
          judged.state(),
          judged.reason());
    }
  }

  /** One mode beside the others; null where nothing can be said. */
  record ModeRow(Mode mode, @Nullable MaximumInUse maximum, @Nullable SpanView span) {
    static ModeRow of(Mode mode, ClientBaseline baseline) {
      return new ModeRow(
          mode, baseline.maximum().map(MaximumInUse::of).orElse(null), SpanView.of(baseline));
    }
  }

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
      MaximumEstimates.@Nullable Spread spread,
      @Nullable MaximumInUse working,
      List<LineView> longHand,
      List<MeasuredView> measured,
      @Nullable BirthdayView birthday,
      boolean due,
      @Nullable SpanView span,
      Aimed aim,
      @Nullable Integer capBpm,
      List<ModeRow> modes,
      List<KindOption> kinds,
      @Nullable UUID running,
      List<Finding> findings) {

    static MaximumSheet of(
        ClientHead head, Mode mode, List<Kept> choices, List<SavedFieldTest> fieldTests) {
      ClientBaseline baseline = head.baseline(mode);
      MaximumRecord record = baseline.maximumRecord();
      MaximumView equations = MaximumView.of(record.estimates());
      return new MaximumSheet(
          mode,
          equations.recommended(),
          equations.inUse(),
          equations.chosen(),
          choices.stream().map(Kept::id).findFirst().orElse(null),
          equations.estimates(),
          equations.spread(),
          record.working().map(MaximumInUse::of).orElse(null),
          record.longHand().map(LineView::of).orElse(List.of()),
          record.measured().stream().map(MeasuredView::of).toList(),
          birthday(head, record).orElse(null),
          record.due(),
          SpanView.of(baseline),
          head.aimed(mode),
          head.screening().cap().map(Cap::bpm).orElse(null),
          Arrays.stream(Mode.values()).map(each -> ModeRow.of(each, head.baseline(each))).toList(),
          KindOption.ALL,
          fieldTests.stream()
              .filter(SavedFieldTest::running)
              .map(saved -> saved.run().test().id())
              .findFirst()
              .orElse(null),
          record.findings());
    }

    /** An estimate is worked out anew at every birthday; a measured value keeps what it is. */
    private static Optional<BirthdayView> birthday(ClientHead head, MaximumRecord record) {
      Client client = head.client();
      LocalDate on = client.nextBirthday(head.screening().date());
      return record
          .working()
          .filter(working -> working.estimate().isPresent())
          .map(
              working ->
                  new BirthdayView(on, record.estimateAtAge(client.ageOn(on)).orElseThrow()));
    }
  }

  /** What was measured; the grade is left out for a peak. */
  record MeasuredRequest(
      Mode mode,
      MaximumKind kind,
      @Nullable String protocol,
      @Nullable Grade grade,
      @Within(Limit.MAXIMUM) Integer bpm,
      LocalDate measuredOn,
      @Nullable String note) {

    MeasuredMaximum value(Stamp stamp, OptionalInt restingBpm) {
      return MeasuredMaximum.of(
          stamp.id(),
          mode,
          kind,
          protocol == null ? "" : protocol,
          Optional.ofNullable(grade),
          bpm,
          measuredOn,
          note == null ? "" : note,
          Optional.empty(),
          restingBpm,
          stamp.at(),
          stamp.zone());
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
      Aimed aim) {

    static MeasuredPreview of(
        MeasuredMaximum value, ClientBaseline before, ClientBaseline after, ClientHead head) {
      return new MeasuredPreview(
          after.maximumRecord().measured().stream()
              .filter(each -> each.value().equals(value))
              .findFirst()
              .map(MeasuredView::of)
              .orElseThrow(),
          before.maximum().map(MaximumInUse::of).orElse(null),
          after.maximum().map(MaximumInUse::of).orElse(null),
          SpanView.of(before),
          SpanView.of(after),
          head.aimed(value.mode()));
    }
  }

  /** A measured value that was kept. */
  record KeptMaximum(UUID id) {}

  /** What read a recording; what is not known is taken as a wrist. */
  enum PeakSource {
    STRAP,
    WRIST,
    UNKNOWN
  }

  /**
   * A recording as CSV: {@code seconds,bpm} or {@code seconds,bpm,steps}, named in the first line.
   *
   * @param source null for what is not known
   */
  record PeakRequest(String csv, @Nullable PeakSource source) {
    RecordedPeak peak() {
      return RecordedPeak.of(csv, source == PeakSource.STRAP);
    }
  }

  record AsideView(int fromSecond, int toSecond, String why) {}

  /**
   * The peak of a recording.
   *
   * @param bpm null where nothing holds long enough
   */
  record PeakView(
      @Nullable Integer bpm, int atSecond, List<AsideView> setAside, List<Finding> findings) {
    static PeakView of(RecordedPeak peak) {
      return new PeakView(
          peak.bpm().isPresent() ? peak.bpm().getAsInt() : null,
          peak.atSecond(),
          peak.setAside().stream()
              .map(
                  each ->
                      new AsideView(each.fromSecond(), each.toSecond(), each.why().displayName()))
              .toList(),
          peak.findings());
    }
  }

  record ChoiceRequest(String method, String reason) {}

  /**
   * A choice as it was kept.
   *
   * @param method the equation's id; null where it went back to the default
   */
  record ChoiceView(UUID id, @Nullable String method, @Nullable String reason, LocalDate on) {}

  record ChoiceList(List<ChoiceView> choices) {}

  record MaximumWorkingRequest(
      MaximumRequest of, String method, @Nullable List<@Nullable BigDecimal> figures) {}

  /** Whom to work the equations out for; what is left out is not known or does not hold. */
  record MaximumRequest(
      @Within(Limit.AGE) Integer age,
      @Nullable Sex sex,
      @Nullable @Within(Limit.RESTING) Integer restingBpm,
      @Nullable Activity activity,
      @Nullable Boolean betaBlocker,
      @Nullable Boolean heartCondition,
      @Nullable Boolean heartFailure,
      @Nullable Mode mode) {

    OptionalInt resting() {
      return restingBpm == null ? OptionalInt.empty() : OptionalInt.of(restingBpm);
    }

    Mode modeOrRun() {
      return mode == null ? Mode.RUN : mode;
    }

    Person person() {
      return Person.of(
          age,
          sex == null ? Sex.NOT_GIVEN : sex,
          activity == null ? Activity.SOME : activity,
          Person.Health.of(
              Boolean.TRUE.equals(heartCondition),
              Boolean.TRUE.equals(heartFailure),
              Boolean.TRUE.equals(betaBlocker)));
    }
  }
}
