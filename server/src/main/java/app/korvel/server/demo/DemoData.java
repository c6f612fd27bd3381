package app.korvel.server.demo;

import static app.korvel.core.screening.Activity.HIGH;
import static app.korvel.core.screening.Activity.LITTLE;
import static app.korvel.core.screening.Activity.NONE;
import static app.korvel.core.screening.Activity.REGULAR;
import static app.korvel.core.screening.Activity.SOME;
import static app.korvel.core.screening.MedicineClass.BETA_BLOCKER;
import static app.korvel.core.screening.MedicineClass.INSULIN;
import static app.korvel.core.screening.MedicineClass.NITRATE;
import static app.korvel.core.screening.MedicineClass.RATE_RAISING;
import static app.korvel.core.screening.Sex.FEMALE;
import static app.korvel.core.screening.Sex.MALE;
import static app.korvel.core.screening.Sex.NOT_GIVEN;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Known;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.effort.Effort;
import app.korvel.core.fieldtest.Assurance;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.fieldtest.FieldTestResult;
import app.korvel.core.fieldtest.FieldTestRun;
import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Block;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Agenda;
import app.korvel.core.programme.Aims;
import app.korvel.core.programme.Busy;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Disturbance;
import app.korvel.core.pulse.Felt;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Reported;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import app.korvel.core.session.Asked;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.sensor.PracticePulse;
import app.korvel.store.BusyRepository;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClassCountRepository;
import app.korvel.store.ClearanceRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.ConsentRepository;
import app.korvel.store.Database;
import app.korvel.store.EffortRepository;
import app.korvel.store.FieldTestRepository;
import app.korvel.store.Ids;
import app.korvel.store.IntakeRepository;
import app.korvel.store.MaximumChoiceRepository;
import app.korvel.store.MeasuredMaximumRepository;
import app.korvel.store.OutlineRepository;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.PracticeRepository;
import app.korvel.store.PracticeRepository.SavedTry;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Entry;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SchemeRepository;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.store.ThresholdRepository;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;

/**
 * The invented crew of a small island ferry line, with a year of counts up to today.
 *
 * <p>The same every time but for the dates, which are counted back from today.
 */
public final class DemoData {

  /** What the demo's studio is called. */
  public static final String STUDIO = "Crew fitness, island ferries";

  private static final int DAYS = 360;
  private static final int EVERY_DAYS = 19;
  private static final int SCREENED_DAYS_AGO = 150;

  private final ClientRepository clients;
  private final IntakeRepository intakes;
  private final ClearanceRepository clearances;
  private final ConsentRepository consents;
  private final CheckInRepository checkIns;
  private final ReadingRepository readings;
  private final ClassCountRepository classes;
  private final PracticeRepository tries;
  private final MaximumChoiceRepository choices;
  private final MeasuredMaximumRepository maxima;
  private final FieldTestRepository fieldTests;
  private final EffortRepository efforts;
  private final PrescriptionRepository prescriptions;
  private final ProgrammeRepository programmes;
  private final PlannedSessionRepository planned;
  private final SessionLogRepository logs;
  private final BusyRepository busy;
  private final OutlineRepository outlines;
  private final SchemeRepository schemes;
  private final ThresholdRepository thresholds;
  private final ZoneId zone;
  private final Instant now;
  private final LocalDate today;
  private final Ids ids;

  public DemoData(Database database, ZoneId zone, Instant now) {
    this.ids = Ids.timeOrdered(() -> now);
    this.clients = new ClientRepository(database);
    this.intakes = new IntakeRepository(database);
    this.clearances = new ClearanceRepository(database);
    this.consents = new ConsentRepository(database);
    this.checkIns = new CheckInRepository(database);
    this.readings = new ReadingRepository(database);
    this.classes = new ClassCountRepository(database);
    this.tries = new PracticeRepository(database);
    this.choices = new MaximumChoiceRepository(database);
    this.maxima = new MeasuredMaximumRepository(database);
    this.fieldTests = new FieldTestRepository(database);
    this.efforts = new EffortRepository(database);
    this.prescriptions = new PrescriptionRepository(database);
    this.programmes = new ProgrammeRepository(database);
    this.planned = new PlannedSessionRepository(database);
    this.logs = new SessionLogRepository(database);
    this.busy = new BusyRepository(database);
    this.outlines = new OutlineRepository(database);
    this.schemes = new SchemeRepository(database);
    this.thresholds = new ThresholdRepository(database);
    this.zone = zone;
    this.now = now;
    this.today = LocalDate.ofInstant(now, zone);
  }

  /** What of their health was told at intake. */
  private record Told(Set<Condition> conditions, List<Medicine> medicines) {
    static final Told WELL = of();

    static Told of(Condition... conditions) {
      return new Told(Set.of(conditions), List.of());
    }

    Told taking(MedicineClass medicineClass, String name, String dose) {
      List<Medicine> all = new ArrayList<>(medicines);
      all.add(new Medicine(medicineClass, name, dose, Optional.empty()));
      return new Told(conditions, all);
    }
  }

  private static final Told WELL = Told.WELL;

  /**
   * One of the crew.
   *
   * @param restingThen resting rate a year ago
   * @param restingNow resting rate today
   * @param lastDaysAgo how long ago the last count was; −1 for someone not counted yet
   * @param goal what they train for; empty where nothing is prescribed yet
   */
  private record Crew(
      String name,
      String note,
      int age,
      Sex sex,
      Activity activity,
      Told told,
      int restingThen,
      int restingNow,
      int lastDaysAgo,
      Optional<Goal> goal) {}

  private static final List<Crew> CREW =
      List.of(
          crew(
              "Ines Okafor-Lund",
              "deckhand, night boat · walks and stairs",
              46,
              FEMALE,
              SOME,
              WELL,
              72,
              64,
              2,
              Goal.GENERAL_FITNESS),
          crew(
              "Tomasz Wielgor",
              "engine crew · rows skiffs six days a week",
              34,
              MALE,
              HIGH,
              WELL,
              49,
              45,
              5,
              Goal.COMPETITION),
          crew(
              "Marguerite Adeyo",
              "ticket office · on a beta-blocker for migraine",
              58,
              FEMALE,
              LITTLE,
              WELL.taking(BETA_BLOCKER, "propranolol", "40 mg twice a day"),
              62,
              58,
              9,
              Goal.GENERAL_FITNESS),
          crew(
              "Ragnar Holtvik",
              "retired pilot · stent two years ago",
              66,
              MALE,
              SOME,
              Told.of(Condition.HEART_CONDITION)
                  .taking(BETA_BLOCKER, "metoprolol", "50 mg a day")
                  .taking(NITRATE, "glyceryl trinitrate", "spray, when needed"),
              63,
              60,
              6,
              Goal.GENERAL_FITNESS),
          crew(
              "Lupe Tamatoa",
              "shore staff · valve trouble since childhood",
              52,
              FEMALE,
              REGULAR,
              Told.of(Condition.HEART_CONDITION),
              70,
              66,
              12,
              null),
          crew(
              "Sefa Brandvik",
              "apprentice deckhand · swims",
              16,
              NOT_GIVEN,
              REGULAR,
              WELL,
              68,
              64,
              3,
              Goal.ENDURANCE),
          crew(
              "Noor Dalen-Aziz",
              "ticket office at weekends · new this month",
              17,
              FEMALE,
              LITTLE,
              WELL,
              76,
              76,
              8,
              null),
          crew(
              "Hyun-woo Castell",
              "deckhand · cycles to the pier",
              29,
              MALE,
              REGULAR,
              WELL,
              60,
              57,
              1,
              Goal.ENDURANCE),
          crew(
              "Agnethe Moravik",
              "retired pilot · walks the sea wall",
              74,
              FEMALE,
              SOME,
              WELL,
              73,
              69,
              4,
              Goal.DAILY_ACTIVITY),
          crew(
              "Bram Okonje",
              "engine crew · gone quiet since spring",
              41,
              MALE,
              NONE,
              WELL,
              84,
              82,
              96,
              Goal.DAILY_ACTIVITY),
          crew(
              "Pilar Ostergran",
              "shore staff · heart failure, cardiac team at the county hospital",
              61,
              FEMALE,
              NONE,
              Told.of(Condition.HEART_FAILURE).taking(BETA_BLOCKER, "carvedilol", "12.5 mg twice"),
              74,
              72,
              10,
              null),
          crew(
              "Ewan Petrosk",
              "winch house · back from a long flu",
              49,
              MALE,
              LITTLE,
              WELL,
              84,
              104,
              2,
              null),
          crew(
              "Yara Fonotele",
              "ticket office · first sea-wall run done",
              27,
              FEMALE,
              REGULAR,
              WELL,
              66,
              61,
              7,
              Goal.GENERAL_FITNESS),
          crew(
              "Dmitri Halvor-Cho",
              "deckhand · started this week",
              38,
              MALE,
              NONE,
              WELL,
              0,
              0,
              -1,
              null),
          crew(
              "Osei Lindqvarn",
              "engine crew · widened artery three years ago",
              57,
              MALE,
              LITTLE,
              Told.of(Condition.HEART_CONDITION, Condition.CAROTID_DISEASE),
              70,
              67,
              11,
              Goal.DAILY_ACTIVITY),
          crew(
              "Keola Brandt-Mori",
              "deckhand · asthma, worse in cold spray",
              31,
              MALE,
              SOME,
              Told.of(Condition.RESPIRATORY).taking(RATE_RAISING, "salbutamol", "when needed"),
              74,
              71,
              5,
              Goal.GENERAL_FITNESS),
          crew(
              "Tindra Vossberg",
              "shore staff · type 1 diabetes, cycles in the shed",
              36,
              FEMALE,
              REGULAR,
              Told.of(Condition.DIABETES).taking(INSULIN, "insulin glargine", "20 units at night"),
              66,
              62,
              4,
              Goal.GENERAL_FITNESS),
          crew(
              "Amaru Sjodal",
              "ticket office · pregnant, due in spring",
              33,
              FEMALE,
              SOME,
              Told.of(Condition.PREGNANCY),
              70,
              76,
              3,
              Goal.DAILY_ACTIVITY),
          crew(
              "Beatriz Holm-Adair",
              "retired pilot · atrial fibrillation",
              69,
              FEMALE,
              SOME,
              Told.of(Condition.IRREGULAR_RHYTHM, Condition.FALLS),
              76,
              74,
              6,
              Goal.DAILY_ACTIVITY),
          crew(
              "Jonas Pellworth",
              "winch house · tablets for high blood pressure",
              55,
              MALE,
              SOME,
              Told.of(Condition.HIGH_BLOOD_PRESSURE).taking(BETA_BLOCKER, "bisoprolol", "2.5 mg"),
              68,
              64,
              9,
              Goal.GENERAL_FITNESS));

  private static Crew crew(
      String name,
      String note,
      int age,
      Sex sex,
      Activity activity,
      Told told,
      int restingThen,
      int restingNow,
      int lastDaysAgo,
      Goal goal) {
    return new Crew(
        name,
        note,
        age,
        sex,
        activity,
        told,
        restingThen,
        restingNow,
        lastDaysAgo,
        Optional.ofNullable(goal));
  }

  /**
   * A maximum that was measured.
   *
   * @param note where, or what it was read from
   */
  private record Measured(
      String name,
      Mode mode,
      MaximumKind kind,
      Grade grade,
      String protocol,
      int bpm,
      int daysAgo,
      String note) {}

  /**
   * Far from every equation, two modes that differ, one that is due again, one from before another
   * dose, and peaks that are proposals.
   */
  private static final List<Measured> MEASURED =
      List.of(
          new Measured(
              "Tomasz Wielgor",
              Mode.ROW,
              MaximumKind.LABORATORY,
              Grade.GOOD,
              "ramp on a rowing machine",
              191,
              760,
              "sports laboratory, mainland"),
          new Measured(
              "Tindra Vossberg",
              Mode.CYCLE,
              MaximumKind.GRADED_TEST,
              Grade.GOOD,
              "cycle, 25 W every 2 min",
              174,
              118,
              "diabetes clinic, county hospital"),
          new Measured(
              "Tindra Vossberg",
              Mode.RUN,
              MaximumKind.FIELD_TEST,
              Grade.FAIR,
              "Hill repeats",
              190,
              12,
              "not said in bout 2: second half no slower than the first"),
          new Measured(
              "Jonas Pellworth",
              Mode.RUN,
              MaximumKind.GRADED_TEST,
              Grade.GOOD,
              "treadmill, 3 min stages",
              152,
              61,
              "county hospital, on 2.5 mg"),
          peak("Hyun-woo Castell", Mode.RUN, 196, 17, "watch, pier hill, last bend"),
          peak("Keola Brandt-Mori", Mode.RUN, 184, 40, "watch, running for the boat"),
          peak("Ines Okafor-Lund", Mode.STAIRS, 171, 33, "counted on the top deck"));

  private static Measured peak(String name, Mode mode, int bpm, int daysAgo, String note) {
    return new Measured(name, mode, MaximumKind.PEAK, Grade.GOOD, "", bpm, daysAgo, note);
  }

  /** Who ran the hill repeats, from the first event to the last. */
  private static final String TESTED = "Yara Fonotele";

  private static final int TESTED_DAYS_AGO = 26;

  /** A race or another effort. */
  private record Done(
      String client, String name, Mode mode, int averageBpm, int minutes, int daysAgo) {}

  private static final List<Done> DONE =
      List.of(
          new Done("Yara Fonotele", "Sea wall, 5 km", Mode.RUN, 183, 27, 20),
          new Done("Hyun-woo Castell", "Sea wall, 5 km", Mode.RUN, 172, 21, 20),
          new Done("Hyun-woo Castell", "Round the island", Mode.CYCLE, 151, 74, 9),
          new Done("Tindra Vossberg", "Shed hour", Mode.CYCLE, 142, 60, 6),
          new Done("Tomasz Wielgor", "Harbour skiff race", Mode.ROW, 171, 31, 14));

  /** An equation other than the default, by name of the client: which, why, how long ago. */
  private static final Map<String, PickedEquation> PICKED =
      Map.of(
          "Hyun-woo Castell",
          new PickedEquation(
              "nes-211", "Reached 190 twice on the pier hill this autumn; a test is planned.", 24));

  private record PickedEquation(String method, String reason, int daysAgo) {}

  /** Who mistyped a count that was put right later, and what was typed. */
  private static final Map<String, Integer> MISTYPED = Map.of("Ines Okafor-Lund", 46);

  /** A clearance on record. */
  private record Cleared(String issuer, int daysAgo, Allows allows, int untilInDays, String note) {}

  private static final Map<String, Cleared> CLEARED =
      Map.of(
          "Ragnar Holtvik",
          new Cleared(
              "Cardiology, county hospital",
              210,
              Allows.LIGHT_TO_MODERATE,
              155,
              "Nothing above 92 a minute. Never alone."),
          "Osei Lindqvarn",
          new Cleared("Dr Ferreira, harbour practice", 374, Allows.LIGHT_TO_MODERATE, -9, ""),
          "Tindra Vossberg",
          new Cleared("Diabetes clinic, county hospital", 345, Allows.VIGOROUS, 20, ""),
          "Amaru Sjodal",
          new Cleared("Midwife, harbour practice", 31, Allows.LIGHT_TO_MODERATE, 90, ""),
          "Beatriz Holm-Adair",
          new Cleared("Dr Ferreira, harbour practice", 80, Allows.LIGHT_TO_MODERATE, 285, ""));

  /** Whose parent or guardian has agreed, and who that was. */
  private static final Map<String, String> AGREED =
      Map.of("Sefa Brandvik", "Runa Brandvik, mother");

  /** Who has a written cap, and where it lies. */
  private static final Map<String, Integer> CAPPED = Map.of("Ragnar Holtvik", 92);

  /** Whose screening was so long ago, where it was not {@link #SCREENED_DAYS_AGO}. */
  private static final Map<String, Integer> SCREENED = Map.of("Bram Okonje", 401);

  /** Who was asked for their activity so far, and no more. */
  private static final Set<String> UNFINISHED = Set.of("Dmitri Halvor-Cho");

  /** Whose dose changed this week, and to what. */
  private static final Map<String, Medicine> DOSE_CHANGED =
      Map.of("Jonas Pellworth", new Medicine(BETA_BLOCKER, "bisoprolol", "5 mg", Optional.empty()));

  /** To whom something was prescribed so many days ago, and not today. */
  private static final Map<String, Integer> PRESCRIBED =
      Map.of(
          "Osei Lindqvarn", 60,
          "Jonas Pellworth", 34,
          "Tindra Vossberg", 40,
          "Bram Okonje", 96);

  /** For whom weeks are laid out, and how many. */
  private static final Map<String, Integer> PLANNED =
      Map.of(
          "Ines Okafor-Lund", 16,
          "Tomasz Wielgor", 12,
          "Ragnar Holtvik", 12,
          "Hyun-woo Castell", 12,
          "Keola Brandt-Mori", 26,
          "Jonas Pellworth", 12,
          "Tindra Vossberg", 12);

  /** Whose weeks have been logged and decided, up to the last one. */
  private static final Set<String> LOGGED = Set.of("Jonas Pellworth", "Tindra Vossberg");

  /** Whose training day it always is, whenever the demo is looked at. */
  private static final Set<String> COMING =
      Set.of(
          "Ines Okafor-Lund",
          "Tomasz Wielgor",
          "Ragnar Holtvik",
          "Hyun-woo Castell",
          "Agnethe Moravik",
          "Tindra Vossberg",
          "Keola Brandt-Mori",
          "Jonas Pellworth",
          "Yara Fonotele");

  /** Who has been checked in today: how far from usual, and what else was told. */
  private static final Map<String, Checked> CHECKED =
      Map.of(
          "Hyun-woo Castell", new Checked(1, Set.of()),
          "Agnethe Moravik", new Checked(6, Set.of()),
          "Yara Fonotele", new Checked(12, Set.of(CheckIn.Told.FEVER)));

  private record Checked(int offBy, Set<CheckIn.Told> told) {}

  /** Who was in yesterday's class. */
  private static final List<String> IN_CLASS =
      List.of(
          "Agnethe Moravik",
          "Ines Okafor-Lund",
          "Hyun-woo Castell",
          "Keola Brandt-Mori",
          "Yara Fonotele",
          "Tindra Vossberg",
          "Jonas Pellworth",
          "Ewan Petrosk",
          "Amaru Sjodal",
          "Sefa Brandvik");

  /** Whose watch counted through the night. */
  private static final String BY_NIGHT = "Hyun-woo Castell";

  /** Who has left, and is put away. */
  private static final Crew LEFT =
      crew(
          "Imre Valstad",
          "deckhand · moved to another line in summer",
          44,
          MALE,
          SOME,
          WELL,
          70,
          68,
          140,
          Goal.GENERAL_FITNESS);

  /** Writes everything. */
  public void write() {
    Random random = new Random(20);
    Map<String, Client> crew = new HashMap<>();
    for (Crew each : CREW) {
      crew.put(each.name, write(each, random));
    }
    clients.archive(write(LEFT, random).id(), 1, true, now);
    outline();
    countTogether(IN_CLASS.stream().map(crew::get).toList());
    practise();
    bands(crew.get("Sefa Brandvik"), crew.get("Tomasz Wielgor"));
    roster(crew.get("Yara Fonotele"));
  }

  /** A scheme of the studio's own, one client shown another school, one with thresholds. */
  private void bands(Client schoolboy, Client rower) {
    OwnScheme seaWall =
        new OwnScheme(
            "Sea wall",
            Scheme.Kind.LADDER,
            Basis.RESERVE,
            "Walks and runs on the wall, by the marks painted on it.",
            List.of(
                row("Stroll", 0, 35),
                row("March", 35, 55),
                row("Climb", 55, 75),
                row("Run", 75, 100)));
    schemes.add(seaWall.checked(ids.next().toString()), daysAgo(90));
    schemes.choose(
        ids.next(), schoolboy.id(), Optional.of("school-range"), today.minusDays(20), daysAgo(20));
    thresholds.add(
        rower.id(),
        new MeasuredThresholds(
            ids.next(),
            Mode.ROW,
            MeasuredThresholds.Kind.TALK_STEPS,
            ThresholdRates.of(128, 157),
            today.minusDays(15),
            "on the skiff, two-minute steps",
            daysAgo(15)));
  }

  private static OwnScheme.Row row(String name, int low, int high) {
    return new OwnScheme.Row(name, BigDecimal.valueOf(low), BigDecimal.valueOf(high));
  }

  /** The class of yesterday evening, every one counted. */
  private void countTogether(List<Client> present) {
    Instant at = today.minusDays(1).atTime(LocalTime.of(18, 30)).atZone(zone).toInstant();
    SavedClassCount saved =
        new SavedClassCount(
            ids.next(),
            Moment.BEFORE,
            CountWindow.S15,
            Posture.SEATED,
            true,
            at,
            Optional.empty(),
            Optional.empty(),
            present.stream().map(Client::id).toList());
    classes.add(saved);
    Instant entered = at;
    for (Client client : present) {
      int usual = WorkingResting.of(readings.of(client.id()), today, zone).orElseThrow().bpm();
      PulseCount count = PulseCount.of((usual + 2) / 4, CountWindow.S15);
      entered = entered.plusSeconds(3);
      classes.enter(ids.next(), saved.id(), new Entry(client.id(), false, count, entered));
    }
  }

  /** A learner who gets better at it: how many beats each try was off, by level. */
  private void practise() {
    int[] off = {4, -3, 1, 2, 0, -1, 0, 3, -2, 1, 0, 1, -4, -2};
    for (int i = 0; i < off.length; i++) {
      PracticeLevel level = PracticeLevel.values()[i < 7 ? 0 : i < 12 ? 1 : 2];
      PracticePulse given = PracticePulse.of(level, level.window(), i);
      int played = given.judge(PulseCount.of(30, CountWindow.S30), Optional.empty()).beatsPlayed();
      PulseCount count = PulseCount.of(played + off[i], level.window());
      Instant at = daysAgo(3 + (off.length - i) / 3).plusSeconds(70L * i);
      tries.add(new SavedTry(ids.next(), at, level, i, given.judge(count, Optional.empty())));
    }
  }

  private Client write(Crew crew, Random random) {
    LocalDate birthDate = today.minusYears(crew.age).minusDays(20 + random.nextInt(300));
    Client client =
        clients.add(
            ids.next(), Client.Details.of(crew.name, crew.note, birthDate, crew.sex, today), now);
    screen(client, crew);
    List<RestingReading> taken = new ArrayList<>();
    if (crew.lastDaysAgo >= 0) {
      for (int daysAgo = DAYS; daysAgo > crew.lastDaysAgo; daysAgo -= EVERY_DAYS) {
        taken.add(reading(crew, daysAgo, random));
      }
      taken.add(reading(crew, crew.lastDaysAgo, random));
      int asTaken = taken.size() - (MISTYPED.containsKey(crew.name) ? 1 : 0);
      readings.addAll(client.id(), taken.subList(0, asTaken), now);
      if (asTaken < taken.size()) {
        mistypeAndPutRight(client, taken.get(asTaken), MISTYPED.get(crew.name));
      }
    }
    if (BY_NIGHT.equals(crew.name)) {
      readings.addAll(client.id(), nights(crew), now);
    }
    Optional<Choice> choice =
        Optional.ofNullable(PICKED.get(crew.name))
            .map(
                picked -> Choice.of(picked.method, picked.reason, today.minusDays(picked.daysAgo)));
    choice.ifPresent(made -> choices.add(ids.next(), client.id(), choice, made.chosenOn(), now));
    List<MeasuredMaximum> measured = measure(client, crew);
    crew.goal.ifPresent(goal -> prescribe(client, crew, taken, choice, measured, goal));
    DONE.stream()
        .filter(done -> done.client.equals(crew.name))
        .forEach(done -> effort(client, taken, choice, measured, done));
    Optional.ofNullable(CHECKED.get(crew.name)).ifPresent(each -> checkIn(client, taken, each));
    return client;
  }

  private List<MeasuredMaximum> measure(Client client, Crew crew) {
    List<MeasuredMaximum> all = new ArrayList<>();
    for (Measured each : MEASURED) {
      if (each.name.equals(crew.name)) {
        all.add(
            new MeasuredMaximum(
                ids.next(),
                each.mode,
                each.kind,
                each.protocol,
                each.grade,
                each.bpm,
                today.minusDays(each.daysAgo),
                each.note,
                Optional.empty(),
                daysAgo(each.daysAgo)));
      }
    }
    if (TESTED.equals(crew.name)) {
      all.add(runHills(client));
    }
    all.forEach(value -> maxima.add(client.id(), value));
    return all;
  }

  /** Hill repeats as they are run: even, read by a strap, far over what any equation says. */
  private MeasuredMaximum runHills(Client client) {
    Instant start = daysAgo(TESTED_DAYS_AGO);
    FieldTest test =
        FieldTest.begin(
            ids.next(),
            FieldTestProtocol.HILL_REPEATS,
            Mode.RUN,
            0,
            EnumSet.allOf(Assurance.class),
            start);
    fieldTests.begin(client.id(), test);
    List<FieldTestEvent> events = new ArrayList<>();
    int[] peaks = {199, 205, 207};
    for (int bout = 1; bout <= peaks.length; bout++) {
      Instant from = start.plusSeconds(910L + (bout - 1) * 325L);
      events.add(FieldTestEvent.of(ids.next(), from, FieldTestEvent.Kind.BOUT_STARTED));
      for (int back = 1; back >= 0; back--) {
        events.add(
            FieldTestEvent.reading(
                ids.next(),
                from.plusSeconds(118L - 40L * back),
                peaks[bout - 1] - 6 * back,
                PulseSource.STRAP));
      }
      events.add(FieldTestEvent.answered(ids.next(), from.plusSeconds(140), bout, true));
    }
    events.add(
        FieldTestEvent.of(ids.next(), start.plusSeconds(1800), FieldTestEvent.Kind.FINISHED));
    events.forEach(
        event ->
            fieldTests.append(test.id(), event, run -> run.check(event, event.at()), event.at()));
    FieldTestResult result = FieldTestResult.of(FieldTestRun.of(test, events));
    return new MeasuredMaximum(
        ids.next(),
        Mode.RUN,
        MaximumKind.FIELD_TEST,
        test.protocol().displayName(),
        result.grade(),
        result.peak().orElseThrow().bpm(),
        today.minusDays(TESTED_DAYS_AGO),
        "",
        Optional.of(test.id()),
        start.plusSeconds(1900));
  }

  private void effort(
      Client client,
      List<RestingReading> taken,
      Optional<Choice> choice,
      List<MeasuredMaximum> measured,
      Done done) {
    Groundwork ground =
        Groundwork.of(
            screening(client, today),
            WorkingResting.of(taken, today, zone),
            done.mode,
            choice,
            measured);
    efforts.add(
        client.id(),
        Effort.of(
            ids.next(),
            done.name,
            done.mode,
            done.averageBpm,
            Optional.of(done.minutes),
            today.minusDays(done.daysAgo),
            ground.reserveOrRefuse(),
            ground.maximum().orElseThrow().method(),
            daysAgo(done.daysAgo),
            zone));
  }

  private Instant daysAgo(int days) {
    return days == 0
        ? now
        : today.minusDays(days).atTime(LocalTime.of(10, 30)).atZone(zone).toInstant();
  }

  private void screen(Client client, Crew crew) {
    int daysAgo = SCREENED.getOrDefault(crew.name, SCREENED_DAYS_AGO);
    Answers answers = answers(crew, crew.told.medicines);
    add(client, answers, UNFINISHED.contains(crew.name) ? 1 : daysAgo);
    Optional.ofNullable(DOSE_CHANGED.get(crew.name))
        .ifPresent(medicine -> add(client, answers(crew, List.of(medicine)), 3));
    Optional.ofNullable(AGREED.get(crew.name))
        .ifPresent(
            parent ->
                consents.add(
                    client.id(),
                    Consent.of(
                        ids.next(),
                        parent,
                        today.minusDays(daysAgo),
                        "On paper, in the office.",
                        daysAgo(daysAgo),
                        zone)));
    Optional.ofNullable(CLEARED.get(crew.name))
        .ifPresent(
            cleared ->
                clearances.add(
                    client.id(),
                    Clearance.of(
                        ids.next(),
                        cleared.issuer,
                        today.minusDays(cleared.daysAgo),
                        cleared.allows,
                        today.plusDays(cleared.untilInDays),
                        cleared.note,
                        daysAgo(cleared.daysAgo),
                        zone)));
  }

  private void add(Client client, Answers answers, int daysAgo) {
    List<Intake> before = intakes.of(client.id());
    intakes.add(
        ids.next(),
        client.id(),
        before.size(),
        versions -> Optional.of(Intake.following(versions, answers, daysAgo(daysAgo), zone)));
  }

  private Answers answers(Crew crew, List<Medicine> medicines) {
    if (UNFINISHED.contains(crew.name)) {
      return Answers.begun(crew.activity);
    }
    List<WrittenLimit> limits =
        Optional.ofNullable(CAPPED.get(crew.name)).stream()
            .map(
                bpm ->
                    new WrittenLimit(
                        WrittenLimit.Kind.CAP,
                        OptionalInt.of(bpm),
                        CLEARED.get(crew.name).issuer,
                        today.minusDays(SCREENED_DAYS_AGO),
                        Optional.empty()))
            .toList();
    int from = COMING.contains(crew.name) ? 0 : 1;
    Set<DayOfWeek> days =
        Set.of(
            today.plusDays(from).getDayOfWeek(),
            today.plusDays(from + 2).getDayOfWeek(),
            today.plusDays(from + 4).getDayOfWeek(),
            today.plusDays(from + 5).getDayOfWeek());
    return new Answers(
        Set.of(Topic.values()),
        crew.activity,
        false,
        Set.of(),
        crew.told.conditions,
        medicines,
        limits,
        crew.goal,
        days,
        crew.activity == HIGH
            ? Set.of(Equipment.ROWING, Equipment.PATHS)
            : Set.of(Equipment.PATHS, Equipment.STAIRS),
        OptionalInt.empty(),
        Optional.empty(),
        crew.activity == HIGH ? OptionalInt.of(crew.restingNow) : OptionalInt.empty());
  }

  private void checkIn(Client client, List<RestingReading> taken, Checked checked) {
    Screening screening = screening(client, today);
    UsualPulse usual =
        UsualPulse.of(taken, screening.medicinesChangedAt(), today, zone).orElseThrow();
    CheckIn found =
        new CheckIn(
            usual.bpm() + checked.offBy,
            usual.posture(),
            usual.source(),
            true,
            true,
            Optional.of(Rhythm.STEADY),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            checked.told);
    Known known = Known.of(today, screening, Optional.of(usual), List.of());
    checkIns.add(
        client.id(),
        new SavedCheckIn(
            ids.next(),
            today,
            now,
            found,
            known.usualBpm(found.posture()),
            Verdict.of(found, known),
            Optional.empty()));
  }

  private Screening screening(Client client, LocalDate date) {
    return Screening.of(
        client,
        intakes.of(client.id()).stream()
            .filter(intake -> !LocalDate.ofInstant(intake.recordedAt(), zone).isAfter(date))
            .findFirst(),
        new OnRecord(clearances.of(client.id()), consents.of(client.id()), Reported.NOTHING),
        date,
        zone);
  }

  private void mistypeAndPutRight(Client client, RestingReading right, int typedBpm) {
    RestingReading typed =
        RestingReading.counted(
            ids.next(),
            right.takenAt(),
            PulseCount.of(typedBpm, CountWindow.S60),
            right.posture(),
            right.minutesRested(),
            right.disturbances());
    readings.add(client.id(), typed, now);
    readings.correct(client.id(), typed.id(), right, now);
  }

  private RestingReading reading(Crew crew, int daysAgo, Random random) {
    int drift = (crew.restingThen - crew.restingNow) * (daysAgo - crew.lastDaysAgo) / DAYS;
    int bpm = crew.restingNow + drift + random.nextInt(5) - 2;
    Instant takenAt =
        today
            .minusDays(daysAgo)
            .atTime(LocalTime.of(6 + random.nextInt(2), random.nextInt(60)))
            .atZone(zone)
            .toInstant();
    if (takenAt.isAfter(now)) {
      takenAt = now;
    }
    if (crew.activity == HIGH) {
      return RestingReading.sampled(
          ids.next(), takenAt, bpm, Posture.LYING, PulseSource.STRAP, 10, Set.of());
    }
    boolean coffee = random.nextInt(6) == 0;
    CountWindow window = random.nextInt(4) == 0 ? CountWindow.S30 : CountWindow.S60;
    int beats = window == CountWindow.S30 ? (bpm + 1) / 2 : bpm;
    return RestingReading.counted(
            ids.next(),
            takenAt,
            PulseCount.of(beats, window),
            Posture.SEATED,
            5 + random.nextInt(6),
            coffee ? Set.of(Disturbance.CAFFEINE) : Set.of())
        .withFelt(
            new Felt(
                Optional.of(PulseSite.RADIAL),
                Optional.of(
                    crew.told.conditions.contains(Condition.IRREGULAR_RHYTHM)
                        ? Rhythm.UNEVEN
                        : Rhythm.STEADY),
                Optional.of(Strength.NORMAL)));
  }

  /** A watch worn through some nights of last spring: well under the seated counts. */
  private List<RestingReading> nights(Crew crew) {
    Random random = new Random(7);
    List<RestingReading> all = new ArrayList<>();
    for (int daysAgo = 230; daysAgo > 80; daysAgo -= 12) {
      Instant at = today.minusDays(daysAgo).atTime(LocalTime.of(5, 40)).atZone(zone).toInstant();
      all.add(
          RestingReading.sampled(
              ids.next(),
              at,
              crew.restingNow - 7 + random.nextInt(4),
              Posture.LYING,
              PulseSource.OVERNIGHT,
              0,
              Set.of()));
    }
    return all;
  }

  private void prescribe(
      Client client,
      Crew crew,
      List<RestingReading> taken,
      Optional<Choice> choice,
      List<MeasuredMaximum> measured,
      Goal goal) {
    int daysAgo = PRESCRIBED.getOrDefault(crew.name, 0);
    LocalDate date = today.minusDays(daysAgo);
    Instant madeAt = daysAgo(daysAgo);
    Mode mode = crew.activity == HIGH ? Mode.ROW : Mode.RUN;
    Screening screening = screening(client, date);
    List<RestingReading> known =
        taken.stream().filter(reading -> !reading.takenAt().isAfter(madeAt)).toList();
    Groundwork ground =
        Groundwork.of(
            screening,
            WorkingResting.of(known, screening.medicinesChangedAt(), date, zone),
            mode,
            choice,
            measured.stream().filter(value -> !value.measuredOn().isAfter(date)).toList());
    Start start = Start.of(screening, goal, Optional.empty(), mode);
    SavedPrescription saved =
        prescriptions.add(ids.next(), client.id(), Prescription.of(ground, start.parts()), madeAt);
    if (PLANNED.containsKey(crew.name)) {
      Programme programme = plan(client, screening, saved, PLANNED.get(crew.name));
      if (LOGGED.contains(crew.name)) {
        train(client, screening, saved, programme);
      }
    }
  }

  /** Logs what is over and decides week by week; the last week that is over stays to be decided. */
  private void train(Client client, Screening screening, SavedPrescription from, Programme laid) {
    Random random = new Random(client.details().name().length());
    Programme programme = laid;
    List<SessionLog> done = new ArrayList<>();
    int version = 1;
    for (int week = 1; week <= laid.weeks().size(); week++) {
      LocalDate over = laid.plan().startsOn().plusWeeks(week);
      for (PlannedSession session : programme.ofWeek(week)) {
        if (session.date().isBefore(today.minusDays(1))) {
          SessionLog log = logged(screening, from, programme, session, random);
          logs.add(List.of(new Logged(client.id(), log)));
          done.add(log);
        }
      }
      if (over.plusWeeks(1).isAfter(today)) {
        return;
      }
      WeekReview review = WeekReview.of(programme, week, done, screening.scope());
      Instant at = over.atTime(LocalTime.of(8, 15)).atZone(zone).toInstant();
      programme =
          programme.ahead(
              WeekDecision.of(
                  week + 1,
                  WeekDecision.Taken.ACCEPTED,
                  review.next().stepped(),
                  review.because(),
                  "",
                  at),
              review.next(),
              WeekReview.minutesDone(programme, week, done),
              session -> !session.date().isBefore(over),
              over,
              Agenda.FREE,
              planned.nextNumber(client.id()));
      programmes.save(ids.next(), client.id(), version++, from.id(), programme, at, over);
    }
  }

  private SessionLog logged(
      Screening screening,
      SavedPrescription from,
      Programme programme,
      PlannedSession session,
      Random random) {
    Prescription made = from.prescription();
    Percents range = programme.range(session);
    Aim aim =
        Aim.of(
            range,
            made.basis().map(RateBasis::reserve),
            made.cap(),
            screening.effects().highestEffort(),
            made.rpeFamily());
    int minutes = programme.outline(session).workSeconds() / 60;
    boolean missed = random.nextInt(9) == 0;
    RpeSpan felt = aim.rpe20();
    return new SessionLog(
        ids.next(),
        Optional.of(session.number()),
        session.date(),
        session.mode(),
        !missed,
        missed ? 0 : minutes,
        missed
            ? Optional.empty()
            : aim.target()
                .map(
                    target ->
                        new LoggedRate(
                            (target.lowBpm() + target.highBpm()) / 2 + random.nextInt(7) - 3,
                            LoggedRate.Kind.COUNTED)),
        missed
            ? Optional.empty()
            : Optional.of(Math.max(felt.low(), (felt.low() + felt.high()) / 2 - random.nextInt(2))),
        missed || random.nextBoolean() ? Optional.empty() : Optional.of(aim.levels().get(0)),
        Set.of(),
        missed ? "double shift" : "",
        new Asked(range, minutes, felt, made.basis().map(RateBasis::reserve)),
        session.date().atTime(LocalTime.of(19, 40)).atZone(zone).toInstant());
  }

  /** The shifts at the ticket window, as a roster program has them. */
  private void roster(Client client) {
    List<Busy> shifts = new ArrayList<>();
    for (int week = 0; week < 12; week++) {
      for (DayOfWeek day : List.of(DayOfWeek.TUESDAY, DayOfWeek.SATURDAY)) {
        LocalDate date =
            today
                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                .plusWeeks(week)
                .with(day);
        shifts.add(new Busy(date.atTime(7, 0), date.atTime(21, 30)));
      }
    }
    busy.put(ids.next(), Optional.of(client.id()), "Ticket office shifts", shifts, now);
  }

  /** From the Monday of the week in which it was prescribed, on the days they named. */
  private Programme plan(Client client, Screening screening, SavedPrescription from, int weeks) {
    Parts first = from.prescription().parts();
    Scope scope = screening.scope();
    Set<DayOfWeek> days = screening.answers().days();
    LocalDate monday =
        from.prescription().date().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    Programme programme =
        Programme.of(
            new Plan(
                first,
                Aims.usual(
                    first,
                    scope.person(),
                    Ceiling.of(scope.person(), scope.permission()),
                    days.size()),
                Pace.of(scope.person(), first, 0, Threshold.CAUTIOUS_WEEKS.whole()),
                Bounds.of(scope),
                monday,
                monday.plusWeeks(weeks).minusDays(1),
                days));
    programmes.save(
        ids.next(),
        client.id(),
        0,
        from.id(),
        programme,
        from.recordedAt().plusSeconds(60),
        from.prescription().date());
    return programme;
  }

  /** The studio's own session: the stairs between the decks. */
  private void outline() {
    Outline stairs =
        new Outline(
            List.of(
                block(1, step(StepKind.WARM_UP, 600, 20, 40)),
                block(5, step(StepKind.WORK, 120, 55, 65), step(StepKind.EASY, 180, 30, 40)),
                block(1, step(StepKind.COOL_DOWN, 480, 20, 40)),
                block(1, new Step(StepKind.STRETCH, 300, Optional.empty(), false))),
            Optional.empty());
    outlines.add(
        Named.checked(
            ids.next().toString(), "Five decks", "Up and down between the car decks.", stairs),
        now);
  }

  private static Block block(int times, Step... steps) {
    return new Block(times, false, List.of(steps));
  }

  private static Step step(StepKind kind, int seconds, int low, int high) {
    return new Step(kind, seconds, Optional.of(new Percents(low, high)), false);
  }
}
