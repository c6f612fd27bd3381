package app.korvel.server.zone;

import app.korvel.core.maximum.Estimate;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Prescribable;
import app.korvel.core.screening.Permission;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Target;
import app.korvel.core.zone.TargetSensitivity;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.ZoneSystems;
import app.korvel.core.zone.ZoneSystems.ZoneSystem;
import app.korvel.core.zone.Zones;
import app.korvel.server.zone.ZoneViews.BandView;
import app.korvel.server.zone.ZoneViews.PrescribableView;
import app.korvel.server.zone.ZoneViews.ZonesView;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** Every zone system on one span, as it is sent. */
final class ZoneSystemsViews {
  private ZoneSystemsViews() {}

  /**
   * A range that the zone systems are asked about.
   *
   * @param name what it is for
   * @param percents of reserve
   * @param why why it is not for this client, or not all of it; empty where it is
   */
  record Wanted(String name, Percents percents, String why) {
    Wanted(String name, Percents percents) {
      this(name, percents, "");
    }

    /** The same for someone who works no harder than that. */
    Wanted under(Ceiling ceiling) {
      return percents.high() <= ceiling.percent()
          ? this
          : new Wanted(name, percents, ceiling.words());
    }
  }

  /**
   * What an answer follows from.
   *
   * @param schemes every zone system
   * @param shown the one in use
   * @param cap a clinician's cap
   * @param wanted the ranges that are asked about
   * @param estimates what each equation says of the maximum; none without a client
   * @param ceiling how hard the client may be asked to work; empty without one
   * @param vigorous whether vigorous work is allowed
   */
  record ZoneSystemsQuestion(
      List<Scheme> schemes,
      Scheme shown,
      Anchors anchors,
      Uncertainty uncertainty,
      OptionalInt cap,
      RpeFamily family,
      List<Wanted> wanted,
      List<Estimate> estimates,
      Optional<Ceiling> ceiling,
      boolean vigorous) {}

  /**
   * One zone system.
   *
   * @param prescribable what of each band may be prescribed, in their order; empty without a client
   */
  record ZoneSystemView(
      String scheme,
      String name,
      Scheme.Kind kind,
      Basis basis,
      String serves,
      String source,
      boolean own,
      List<BandView> bands,
      List<PrescribableView> prescribable) {

    private static ZoneSystemView of(ZoneSystem school, ZoneSystemsQuestion question) {
      Scheme scheme = school.scheme();
      return new ZoneSystemView(
          scheme.id(),
          scheme.name(),
          scheme.kind(),
          scheme.basis(),
          scheme.serves(),
          scheme.source().citation(),
          scheme.own(),
          school.bands().stream().map(band -> BandView.of(band, question.family)).toList(),
          question
              .ceiling
              .map(
                  ceiling ->
                      PrescribableView.of(
                          Prescribable.of(
                              school.bands(),
                              scheme.basis(),
                              question.anchors.reserve(),
                              question.cap,
                              ceiling)))
              .orElse(List.of()));
    }
  }

  /** A zone system that cannot be worked out here. */
  record MissingZoneSystem(String scheme, String name) {}

  /** What they say of the rates from one to another, both included. */
  record StretchView(int lowBpm, int highBpm, String words) {}

  /** Rates over which all that have a band say the same, both included. */
  record AgreementView(
      @JsonProperty("class") GuidelineClass guidelineClass, int lowBpm, int highBpm) {}

  /**
   * The target if the maximum were another.
   *
   * @param method the equation that says so; null where it is off by its own error
   * @param lowBpm null where there is no target then
   */
  record ShiftedTarget(
      @Nullable String method,
      @Nullable String name,
      int maximumBpm,
      @Nullable BigDecimal standardErrorBpm,
      @Nullable Integer lowBpm,
      @Nullable Integer highBpm,
      int lowMoves,
      int highMoves) {

    private static ShiftedTarget of(TargetSensitivity off, Optional<Estimate> by) {
      return new ShiftedTarget(
          by.map(estimate -> estimate.equation().id()).orElse(null),
          by.map(estimate -> estimate.equation().name()).orElse(null),
          off.maximumBpm(),
          by.map(Estimate::standardErrorBpm).orElse(null),
          off.target().map(Target::lowBpm).orElse(null),
          off.target().map(Target::highBpm).orElse(null),
          off.lowMoves(),
          off.highMoves());
    }
  }

  /**
   * A range, and what the zone systems call it.
   *
   * @param why why it is not for this client, or not all of it; empty where it is
   * @param lowBpm null where a cap lies below it
   * @param bands names of the bands it lies in, for each zone system in their order
   * @param words where they agree on it and where not
   * @param off how far it moves if the maximum is off by its standard error, lower and higher
   * @param equations what it would be by each equation that applies
   */
  record PlannedLoadView(
      String name,
      int lowPercent,
      int highPercent,
      String why,
      @Nullable Integer lowBpm,
      @Nullable Integer highBpm,
      List<List<String>> bands,
      String words,
      List<ShiftedTarget> off,
      List<ShiftedTarget> equations) {}

  /**
   * Every zone system on one span.
   *
   * @param shown the zone system in use, with a reading for every rate
   * @param zone systems in the order of the shelf
   * @param asked ranges and what they are called: the target in question first, then each goal
   */
  record ZoneSystemsView(
      ZonesView shown,
      @Nullable Integer ceilingBpm,
      List<ZoneSystemView> schools,
      List<MissingZoneSystem> without,
      List<StretchView> stretches,
      List<AgreementView> agreements,
      String summary,
      List<PlannedLoadView> asked) {

    static ZoneSystemsView of(ZoneSystemsQuestion question) {
      Zones shown = Zones.of(question.shown, question.anchors, question.uncertainty, question.cap);
      ZoneSystems schools =
          ZoneSystems.of(question.schemes, question.anchors, question.uncertainty, question.cap);
      return new ZoneSystemsView(
          ZonesView.of(shown, question.uncertainty, question.family),
          question.ceiling.isEmpty() || question.vigorous
              ? null
              : schools.reserve().rateAt(Permission.CEILING_PERCENT),
          schools.schools().stream().map(school -> ZoneSystemView.of(school, question)).toList(),
          schools.without().stream()
              .map(scheme -> new MissingZoneSystem(scheme.id(), scheme.name()))
              .toList(),
          schools.stretches().stream()
              .map(
                  stretch ->
                      new StretchView(
                          stretch.lowBpm(), stretch.highBpm(), stretch.saying().words()))
              .toList(),
          schools.agreements().stream()
              .map(each -> new AgreementView(each.guidelineClass(), each.lowBpm(), each.highBpm()))
              .toList(),
          schools.summary(),
          question.wanted.stream().map(each -> asked(each, schools, question)).toList());
    }

    private static PlannedLoadView asked(
        Wanted wanted, ZoneSystems schools, ZoneSystemsQuestion question) {
      Reserve reserve = schools.reserve();
      Percents percents = wanted.percents;
      TargetSensitivity now =
          TargetSensitivity.of(reserve, reserve.maximumBpm(), percents, question.cap);
      Optional<ZoneSystems.Saying> saying =
          now.target().map(target -> schools.over(target.lowBpm(), target.highBpm()));
      return new PlannedLoadView(
          wanted.name,
          percents.low(),
          percents.high(),
          wanted.why,
          now.target().map(Target::lowBpm).orElse(null),
          now.target().map(Target::highBpm).orElse(null),
          saying.map(ZoneSystemsView::names).orElse(List.of()),
          saying.map(ZoneSystems.Saying::words).orElse("It lies above the cap."),
          TargetSensitivity.byItsError(reserve, question.uncertainty, percents, question.cap)
              .stream()
              .map(off -> ShiftedTarget.of(off, Optional.empty()))
              .toList(),
          question.estimates.stream()
              .filter(estimate -> estimate.applies() && estimate.bpm().isPresent())
              .map(
                  estimate ->
                      ShiftedTarget.of(
                          TargetSensitivity.of(
                              reserve, estimate.bpm().getAsInt(), percents, question.cap),
                          Optional.of(estimate)))
              .toList());
    }

    private static List<List<String>> names(ZoneSystems.Saying saying) {
      return saying.calls().stream()
          .map(call -> call.bands().stream().map(band -> band.band().name()).toList())
          .toList();
    }
  }
}
