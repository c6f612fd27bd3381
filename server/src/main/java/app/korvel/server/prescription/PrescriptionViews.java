package app.korvel.server.prescription;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.outline.Exercise;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.Card;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.OtherDays;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.EasyPhase;
import app.korvel.core.prescription.Prescription.EffortDescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.prescription.PrescriptionValidity;
import app.korvel.core.prescription.Renewal;
import app.korvel.core.prescription.Start;
import app.korvel.core.prescription.Week;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Person;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.StopSigns;
import app.korvel.core.zone.GuidelineClass;
import app.korvel.core.zone.RpeFamily;
import app.korvel.core.zone.Target;
import app.korvel.server.client.ChangeViews.ChangeView;
import app.korvel.server.outline.OutlineViews.ExerciseOption;
import app.korvel.server.outline.OutlineViews.OutlineView;
import app.korvel.server.zone.ZoneViews;
import app.korvel.store.SavedPrescription;
import app.korvel.studio.ClientHead;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Prescriptions as they are received and sent. */
final class PrescriptionViews {
  private PrescriptionViews() {}

  /** The parts the instructor decides; the core checks them together. */
  record FittRequest(
      Goal goal,
      Approach approach,
      Integer lowPercent,
      Integer highPercent,
      Integer minutes,
      Integer days,
      WorkType type,
      Mode mode,
      @Nullable Exercise exercise) {

    Fitt parts() {
      return new Fitt(
          goal,
          approach,
          lowPercent,
          highPercent,
          minutes,
          days,
          type,
          mode,
          Optional.ofNullable(exercise));
    }
  }

  record FittView(
      Goal goal,
      String goalName,
      Approach approach,
      int lowPercent,
      int highPercent,
      int minutes,
      int days,
      WorkType type,
      String typeName,
      String typeHow,
      Mode mode,
      @Nullable Exercise exercise,
      @Nullable String exerciseName) {

    static FittView of(Fitt parts) {
      return new FittView(
          parts.goal(),
          parts.goal().displayName(),
          parts.approach(),
          parts.lowPercent(),
          parts.highPercent(),
          parts.minutes(),
          parts.days(),
          parts.type(),
          parts.type().displayName(),
          parts.type().how(),
          parts.mode(),
          parts.exercise().orElse(null),
          parts.exercise().map(Exercise::displayName).orElse(null));
    }
  }

  record GoalOption(Goal goal, String name, int lowPercent, int highPercent, String meaning) {}

  /** One of the two approaches to starting someone new. */
  record ApproachOption(
      Approach approach, int lowPercent, int highPercent, boolean usual, Finding finding) {
    static List<ApproachOption> of(Person person) {
      return Start.Recommended.BOTH.stream()
          .map(
              approach ->
                  new ApproachOption(
                      approach.approach(),
                      approach.range().low(),
                      approach.range().high(),
                      approach.approach() == Start.defaultApproach(person.activity()),
                      approach.finding()))
          .toList();
    }
  }

  record TypeOption(
      WorkType type, String name, String how, int fewestMinutes, int highestPercent) {}

  /** Where to start, why, and what there is to choose from. */
  record StartView(
      FittView parts,
      List<Finding> findings,
      boolean offersApproach,
      List<ApproachOption> schools,
      boolean mayIssue,
      int lowestPercent,
      int highestPercent,
      List<GoalOption> goals,
      List<TypeOption> types,
      List<ExerciseOption> exercises,
      List<Mode> modes) {

    static StartView of(Start start, ClientBaseline baseline) {
      Person person = baseline.person();
      return new StartView(
          FittView.of(start.parts()),
          start.findings(),
          Start.offersApproach(person.activity()),
          ApproachOption.of(person),
          baseline.mayIssue(),
          Limit.INTENSITY.lowest(),
          baseline.ceiling().percent(),
          Goal.openTo(person).stream()
              .map(
                  goal ->
                      new GoalOption(
                          goal,
                          goal.displayName(),
                          goal.lowPercent(),
                          goal.highPercent(),
                          goal.meaning()))
              .toList(),
          Arrays.stream(WorkType.values())
              .map(
                  type ->
                      new TypeOption(
                          type,
                          type.displayName(),
                          type.how(),
                          type.fewestMinutes(),
                          type.highestPercent()))
              .toList(),
          ExerciseOption.of(baseline.screening().scope()),
          List.of(Mode.values()));
    }
  }

  record TargetView(int lowBpm, int highBpm, boolean capped, Map<String, List<Integer>> counts) {
    static TargetView of(Target target) {
      return new TargetView(
          target.lowBpm(), target.highBpm(), target.capped(), ZoneViews.counts(target.counts()));
    }
  }

  record EasyPhaseView(
      int minutes, @Nullable Integer lowBpm, @Nullable Integer highBpm, String how) {
    static EasyPhaseView of(EasyPhase margin) {
      return new EasyPhaseView(
          margin.minutes(),
          margin.lowBpm().orElse(null),
          margin.highBpm().orElse(null),
          margin.how());
    }
  }

  record WeekView(
      GuidelineClass guidelineClass,
      int lightMinutes,
      int moderateMinutes,
      int vigorousMinutes,
      int moderateEquivalentMinutes,
      int markMinutes,
      @Nullable Integer upperMinutes,
      int vigorousMarkMinutes,
      @Nullable Integer vigorousUpperMinutes,
      Finding finding) {

    static WeekView of(Week week) {
      return new WeekView(
          week.guidelineClass(),
          week.lightMinutes(),
          week.moderateMinutes(),
          week.vigorousMinutes(),
          week.moderateEquivalentMinutes(),
          week.markMinutes(),
          week.upperMinutes().isPresent() ? week.upperMinutes().getAsInt() : null,
          week.vigorousMarkMinutes(),
          week.vigorousUpperMinutes().isPresent() ? week.vigorousUpperMinutes().getAsInt() : null,
          week.finding());
    }
  }

  /**
   * The easier days of a week with many vigorous ones.
   *
   * @param days how many of the week
   */
  record OtherDaysView(
      int days,
      int lowPercent,
      int highPercent,
      @Nullable TargetView target,
      List<Integer> rpe20,
      List<Integer> rpe10) {

    static OtherDaysView of(OtherDays others) {
      return new OtherDaysView(
          others.days(),
          others.range().low(),
          others.range().high(),
          others.target().map(TargetView::of).orElse(null),
          ZoneViews.span(others.rpe20()),
          ZoneViews.span(others.rpe10()));
    }
  }

  record PrescriptionView(
      LocalDate date,
      FittView parts,
      Prescription.Status status,
      @Nullable RateBasis basis,
      @Nullable TargetView target,
      IntensityGuide steering,
      String steeringWords,
      List<EffortDescription> feel,
      List<Integer> rpe20,
      List<Integer> rpe10,
      RpeFamily rpeFamily,
      EasyPhaseView warmUp,
      EasyPhaseView coolDown,
      @Nullable OtherDaysView otherDays,
      int sessionMinutes,
      WeekView week,
      @Nullable Cap cap,
      boolean supervised,
      List<String> leaveOut,
      List<String> carry,
      List<String> stopAlso,
      List<Finding> findings) {

    static PrescriptionView of(Prescription made) {
      return new PrescriptionView(
          made.date(),
          FittView.of(made.parts()),
          made.status(),
          made.basis().orElse(null),
          made.target().map(TargetView::of).orElse(null),
          made.steering(),
          made.steering().displayName(),
          made.feel(),
          ZoneViews.span(made.rpe20()),
          ZoneViews.span(made.rpe10()),
          made.rpeFamily(),
          EasyPhaseView.of(made.warmUp()),
          EasyPhaseView.of(made.coolDown()),
          made.otherDays().map(OtherDaysView::of).orElse(null),
          made.outline().seconds() / 60,
          WeekView.of(made.week()),
          made.cap().orElse(null),
          made.supervised(),
          made.leaveOut(),
          made.carry(),
          made.stopAlso(),
          made.findings());
    }
  }

  /** What parts come to, with a session of it in every language. */
  record PreviewView(PrescriptionView prescription, OutlineView outline) {}

  /**
   * A version as it was saved.
   *
   * @param standing whether it holds today
   */
  record SavedView(
      UUID id, int version, PrescriptionValidity standing, PrescriptionView prescription) {
    static SavedView of(SavedPrescription saved, Screening screening) {
      return new SavedView(
          saved.id(),
          saved.version(),
          PrescriptionValidity.of(saved.prescription(), saved.recordedAt(), screening),
          PrescriptionView.of(saved.prescription()));
    }
  }

  /**
   * Every version, latest first.
   *
   * @param change what has moved since the latest was made; null where nothing has
   * @param review why the latest is to be looked at again; null where it is not
   * @param renewal when the latest is to be looked at again; null where it is not in force
   */
  record SavedList(
      List<SavedView> versions,
      @Nullable ChangeView change,
      @Nullable Finding review,
      @Nullable RenewalView renewal) {

    static SavedList of(ClientHead head, List<SavedPrescription> versions) {
      return new SavedList(
          versions.stream().map(saved -> SavedView.of(saved, head.screening())).toList(),
          ChangeView.of(head.prescription().flatMap(saved -> head.change(saved.prescription()))),
          head.prescription().flatMap(head::review).orElse(null),
          head.held()
              .map(saved -> head.card(saved).renewal())
              .map(renewal -> RenewalView.of(renewal, head.screening().date()))
              .orElse(null));
    }
  }

  /**
   * When a card is to be made anew.
   *
   * @param due whether that day has come
   */
  record RenewalView(LocalDate on, String because, boolean due) {
    static RenewalView of(Renewal renewal, LocalDate today) {
      return new RenewalView(renewal.on(), renewal.because(), renewal.due(today));
    }
  }

  /**
   * What the client carries.
   *
   * @param ratesSuspended why it shows no rates although it was issued with some; empty where its
   *     rates hold
   * @param latestVersion the latest there is: an older card is of another day
   * @param leads what stands first on it
   * @param review why it is to be made anew; null where it is not
   */
  record CardView(
      String clientName,
      int version,
      int latestVersion,
      PrescriptionView prescription,
      Card.Leads leads,
      RenewalView renewal,
      @Nullable Finding review,
      List<Finding> ratesSuspended,
      List<String> stopSigns,
      String stopAction,
      String notice) {

    static CardView of(Card card, int latestVersion, LocalDate today, Optional<Finding> review) {
      return new CardView(
          card.name(),
          card.version(),
          latestVersion,
          PrescriptionView.of(card.prescription()),
          card.leads(),
          RenewalView.of(card.renewal(), today),
          review.orElse(null),
          card.ratesSuspended(),
          StopSigns.SIGNS,
          StopSigns.ACTION,
          StopSigns.NOTICE);
    }
  }
}
