package app.korvel.server.screening;

import app.korvel.core.measure.Finding;
import app.korvel.core.measure.Limit;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Cap;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Contraindication;
import app.korvel.core.screening.Decision;
import app.korvel.core.screening.Effects;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.IntensityGuide;
import app.korvel.core.screening.Measure;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Symptom;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import app.korvel.server.client.ClientViews.WatchView;
import app.korvel.server.web.Within;
import app.korvel.studio.Stamp;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Intakes, decisions and clearances as they are received and sent. */
final class ScreeningViews {
  private ScreeningViews() {}

  record MedicineView(
      MedicineClass medicineClass,
      @Nullable String name,
      @Nullable String dose,
      @Nullable LocalDate since) {

    Medicine medicine() {
      return new Medicine(medicineClass, text(name), text(dose), Optional.ofNullable(since));
    }

    static MedicineView of(Medicine medicine) {
      return new MedicineView(
          medicine.medicineClass(),
          medicine.name(),
          medicine.dose(),
          medicine.since().orElse(null));
    }
  }

  record LimitView(
      WrittenLimit.Kind kind,
      @Nullable Integer value,
      String issuer,
      LocalDate issuedOn,
      @Nullable LocalDate until) {

    WrittenLimit limit() {
      // A value where the kind has none says nothing, and is not kept.
      boolean counts = value != null && kind.limit().isPresent();
      return new WrittenLimit(
          kind,
          counts ? OptionalInt.of(value) : OptionalInt.empty(),
          issuer.strip(),
          issuedOn,
          Optional.ofNullable(until));
    }

    static LimitView of(WrittenLimit limit) {
      return new LimitView(
          limit.kind(),
          limit.value().isPresent() ? limit.value().getAsInt() : null,
          limit.issuer(),
          limit.issuedOn(),
          limit.until().orElse(null));
    }
  }

  private static String text(@Nullable String text) {
    return text == null ? "" : text.strip();
  }

  private static <T> List<T> orNone(@Nullable List<T> list) {
    return list == null ? List.of() : list;
  }

  /**
   * What was answered. What is left out is none; questions left out of {@code asked} have not been
   * asked, and where it is left out altogether all of them have.
   */
  record AnswersRequest(
      @Nullable List<Topic> asked,
      Activity activity,
      @Nullable Boolean slowMile,
      @Nullable List<Symptom> symptoms,
      @Nullable List<Condition> conditions,
      @Nullable List<MedicineView> medicines,
      @Nullable List<LimitView> limits,
      @Nullable Goal goal,
      @Nullable List<DayOfWeek> days,
      @Nullable List<Equipment> equipment,
      @Nullable @Within(Limit.HEIGHT) Integer heightCm,
      @Nullable @Within(Limit.WEIGHT) BigDecimal weightKg,
      @Nullable @Within(Limit.RESTING) Integer usualRestingBpm) {

    Answers answers() {
      return new Answers(
          asked == null ? Set.of(Topic.values()) : Set.copyOf(asked),
          activity,
          Boolean.TRUE.equals(slowMile),
          Set.copyOf(orNone(symptoms)),
          Set.copyOf(orNone(conditions)),
          orNone(medicines).stream().map(MedicineView::medicine).toList(),
          orNone(limits).stream().map(LimitView::limit).toList(),
          Optional.ofNullable(goal),
          Set.copyOf(orNone(days)),
          Set.copyOf(orNone(equipment)),
          optional(heightCm),
          Optional.ofNullable(weightKg),
          optional(usualRestingBpm));
    }

    private static OptionalInt optional(@Nullable Integer value) {
      return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }
  }

  /** Answers as they are sent: nothing is left out but what was never told. */
  record AnswersView(
      List<Topic> asked,
      Activity activity,
      boolean slowMile,
      List<Symptom> symptoms,
      List<Condition> conditions,
      List<MedicineView> medicines,
      List<LimitView> limits,
      @Nullable Goal goal,
      List<DayOfWeek> days,
      List<Equipment> equipment,
      @Nullable Integer heightCm,
      @Nullable BigDecimal weightKg,
      @Nullable Integer usualRestingBpm) {

    static AnswersView of(Answers answers) {
      return new AnswersView(
          List.copyOf(answers.asked()),
          answers.activity(),
          answers.slowMile(),
          List.copyOf(answers.symptoms()),
          List.copyOf(answers.conditions()),
          answers.medicines().stream().map(MedicineView::of).toList(),
          answers.limits().stream().map(LimitView::of).toList(),
          answers.goal().orElse(null),
          List.copyOf(answers.days()),
          List.copyOf(answers.equipment()),
          whole(answers.heightCm()),
          answers.weightKg().orElse(null),
          whole(answers.usualRestingBpm()));
    }

    private static @Nullable Integer whole(OptionalInt value) {
      return value.isPresent() ? value.getAsInt() : null;
    }
  }

  /** An intake: the version that was read, 0 where there was none, and the answers. */
  record IntakeRequest(Integer version, AnswersRequest answers) {}

  record ClearanceRequest(
      String issuer,
      LocalDate issuedOn,
      Allows allows,
      @Nullable LocalDate until,
      @Nullable String note) {

    Clearance clearance(Stamp stamp) {
      return Clearance.of(
          stamp.id(),
          issuer,
          issuedOn,
          allows,
          until == null ? issuedOn.plusYears(1) : until,
          note == null ? "" : note,
          stamp.at(),
          stamp.zone());
    }
  }

  record ClearanceView(
      UUID id,
      String issuer,
      LocalDate issuedOn,
      Allows allows,
      String allowsWords,
      LocalDate until,
      String note,
      boolean inForce) {

    static ClearanceView of(Clearance clearance, LocalDate today) {
      return new ClearanceView(
          clearance.id(),
          clearance.issuer(),
          clearance.issuedOn(),
          clearance.allows(),
          clearance.allows().displayName(),
          clearance.until(),
          clearance.note(),
          clearance.inForceOn(today));
    }
  }

  /** A parent's or guardian's consent to put on record. */
  record ConsentRequest(String givenBy, LocalDate givenOn, @Nullable String note) {
    Consent consent(Stamp stamp) {
      return Consent.of(
          stamp.id(), givenBy, givenOn, note == null ? "" : note, stamp.at(), stamp.zone());
    }
  }

  record ConsentView(UUID id, String givenBy, LocalDate givenOn, String note) {
    static ConsentView of(Consent consent) {
      return new ConsentView(consent.id(), consent.givenBy(), consent.givenOn(), consent.note());
    }
  }

  /**
   * What the screening comes to today.
   *
   * @param decision what holds, in a sentence
   * @param byTable the row of the table, as a sentence
   * @param next what to do next
   * @param decided whether enough was asked to decide
   * @param rescreenOn the day on which all is asked again
   * @param due whether that day has come, or something has changed
   */
  record DecisionView(
      String decision,
      String byTable,
      String next,
      boolean decided,
      Allows allows,
      String allowsWords,
      Decision.ClearanceNeeded clearanceNeeded,
      boolean mayIssue,
      boolean due,
      @Nullable LocalDate rescreenOn,
      @Nullable ClearanceView clearance,
      @Nullable Cap cap,
      int highestEffort,
      IntensityGuide steering,
      String steeringWords,
      @Nullable String noRateBecause,
      boolean supervised,
      List<WatchView> watch,
      int warmUpMinutes,
      int coolDownMinutes,
      List<String> leaveOut,
      List<String> carry,
      List<String> stopAlso,
      List<Measure> ask,
      List<Finding> findings,
      List<Finding> cautions) {

    static DecisionView of(Screening screening) {
      Effects effects = screening.effects();
      return new DecisionView(
          screening.sentence(),
          screening.decided() ? screening.decision().sentence() : screening.sentence(),
          screening.next(),
          screening.decided(),
          screening.permission().allows(),
          screening.permission().allows().displayName(),
          screening.decision().clearanceNeeded(),
          screening.permission().mayIssue(),
          screening.due(),
          screening.rescreening().orElse(null),
          screening
              .clearance()
              .map(clearance -> ClearanceView.of(clearance, screening.date()))
              .orElse(null),
          screening.cap().orElse(null),
          effects.highestEffort(),
          effects.steering(),
          effects.steering().displayName(),
          screening.noRateBecause().orElse(null),
          screening.supervised(),
          WatchView.of(screening),
          effects.warmUpMinutes(),
          effects.coolDownMinutes(),
          effects.leaveOut().stream().map(Contraindication::displayName).toList(),
          effects.carry(),
          effects.stopAlso(),
          effects.ask(),
          screening.permission().findings(),
          screening.cautions());
    }
  }

  /** One version of the answers, with its day. */
  record IntakeView(int version, Instant recordedAt, AnswersView answers) {
    static IntakeView of(Intake intake) {
      return new IntakeView(
          intake.version(), intake.recordedAt(), AnswersView.of(intake.answers()));
    }
  }

  /**
   * A client's screening.
   *
   * @param version the version that holds; 0 where nothing was asked yet
   * @param answers the answers that hold
   * @param versions every version, latest first
   * @param consentAsked whether a parent or guardian has to agree
   */
  record ScreeningView(
      int version,
      AnswersView answers,
      List<IntakeView> versions,
      List<ClearanceView> clearances,
      boolean consentAsked,
      List<ConsentView> consents,
      DecisionView decision) {

    static ScreeningView of(
        Screening screening,
        List<Intake> versions,
        List<Clearance> clearances,
        List<Consent> consents) {
      return new ScreeningView(
          versions.isEmpty() ? 0 : versions.get(0).version(),
          AnswersView.of(screening.answers()),
          versions.stream().map(IntakeView::of).toList(),
          clearances.stream()
              .map(clearance -> ClearanceView.of(clearance, screening.date()))
              .toList(),
          screening.person().under18(),
          consents.stream().map(ConsentView::of).toList(),
          DecisionView.of(screening));
    }
  }

  record ConditionOption(
      Condition id, String name, Condition.Group group, String groupName, boolean knownDisease) {}

  /**
   * A class of medicines.
   *
   * @param tells the disease that counts as known where one is taken; null where none does
   */
  record MedicineOption(
      MedicineClass id,
      String name,
      String meaning,
      List<String> genericNames,
      @Nullable Condition tells) {}

  /**
   * A written limit.
   *
   * @param tells the disease that counts as known where there is one; null where none does
   */
  record LimitOption(
      WrittenLimit.Kind id,
      String name,
      @Nullable String accepted,
      int lessBpm,
      @Nullable Condition tells) {}

  record TopicOption(Topic id, String name, boolean decides) {}

  record ActivityOption(Activity id, String meaning) {}

  record SymptomOption(Symptom id, String name) {}

  record AimOption(Goal id, String name, String meaning) {}

  record EquipmentOption(Equipment id, String name) {}

  /** What the intake asks, read straight off the core's tables. */
  record Questions(
      List<TopicOption> topics,
      List<ActivityOption> activities,
      List<SymptomOption> symptoms,
      List<ConditionOption> conditions,
      List<MedicineOption> medicines,
      List<LimitOption> limits,
      List<AimOption> goals,
      List<EquipmentOption> equipment) {

    static final Questions ALL =
        new Questions(
            Arrays.stream(Topic.values())
                .map(each -> new TopicOption(each, each.displayName(), each.decides()))
                .toList(),
            Arrays.stream(Activity.values())
                .map(each -> new ActivityOption(each, each.definition()))
                .toList(),
            Arrays.stream(Symptom.values())
                .map(each -> new SymptomOption(each, each.displayName()))
                .toList(),
            Arrays.stream(Condition.values())
                .map(
                    each ->
                        new ConditionOption(
                            each,
                            each.displayName(),
                            each.group(),
                            each.group().displayName(),
                            each.knownDisease()))
                .toList(),
            Arrays.stream(MedicineClass.values())
                .map(
                    each ->
                        new MedicineOption(
                            each,
                            each.displayName(),
                            each.meaning(),
                            each.genericNames(),
                            each.tells().orElse(null)))
                .toList(),
            Arrays.stream(WrittenLimit.Kind.values())
                .map(
                    each ->
                        new LimitOption(
                            each,
                            each.displayName(),
                            each.limit().map(Limit::accepted).orElse(null),
                            each.lessBpm(),
                            each.tells().orElse(null)))
                .toList(),
            Arrays.stream(Goal.values())
                .map(each -> new AimOption(each, each.displayName(), each.meaning()))
                .toList(),
            Arrays.stream(Equipment.values())
                .map(each -> new EquipmentOption(each, each.displayName()))
                .toList());
  }

  record ScreeningRequest(Activity activity, Boolean knownDisease, Boolean symptoms) {}

  record ScreeningAnswer(
      String decision,
      String next,
      Allows allows,
      Decision.ClearanceNeeded clearanceNeeded,
      List<Finding> findings) {

    static ScreeningAnswer of(Decision decision) {
      return new ScreeningAnswer(
          decision.sentence(),
          decision.next(),
          decision.allows(),
          decision.clearanceNeeded(),
          decision.findings());
    }
  }
}
