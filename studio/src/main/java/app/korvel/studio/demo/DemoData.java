package app.korvel.studio.demo;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.effort.Witnesses.RateSource;
import app.korvel.core.fieldtest.Assurance;
import app.korvel.core.fieldtest.FieldTest;
import app.korvel.core.fieldtest.FieldTestEvent;
import app.korvel.core.fieldtest.FieldTestEvent.Kind;
import app.korvel.core.fieldtest.FieldTestProtocol;
import app.korvel.core.live.LiveEvent;
import app.korvel.core.live.LivePlan.PlanStep;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Block;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.outline.Outline;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.outline.Step;
import app.korvel.core.outline.StepKind;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Busy;
import app.korvel.core.programme.ProgrammeGoal;
import app.korvel.core.pulse.Confounder;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Palpation;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PracticeLevel;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.recovery.RecoveryPosture;
import app.korvel.core.screening.Allows;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Condition;
import app.korvel.core.screening.Consent;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Medicine;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Topic;
import app.korvel.core.screening.WrittenLimit;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.Level.RpeSpan;
import app.korvel.core.zone.MeasuredThresholds;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.core.zone.Scheme;
import app.korvel.sensor.PracticePulse;
import app.korvel.sensor.SimulatedStrap;
import app.korvel.store.LiveRepository.Opened;
import app.korvel.store.SavedClassCount.Moment;
import app.korvel.store.SavedSession;
import app.korvel.store.Store;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Replay;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import app.korvel.studio.calendar.BusyCalendars;
import app.korvel.studio.checkin.CheckInClient;
import app.korvel.studio.checkin.ClassCounts;
import app.korvel.studio.client.AddClient;
import app.korvel.studio.client.ArchiveClient;
import app.korvel.studio.demo.Table.Row;
import app.korvel.studio.effort.RecordEffort;
import app.korvel.studio.fieldtest.BeginFieldTest;
import app.korvel.studio.fieldtest.KeepTestMaximum;
import app.korvel.studio.fieldtest.RecordTestEvent;
import app.korvel.studio.live.LogLiveSession;
import app.korvel.studio.live.OpenLiveSession;
import app.korvel.studio.live.RecordLiveEvent;
import app.korvel.studio.live.SimulateSession;
import app.korvel.studio.maximum.ChooseEquation;
import app.korvel.studio.maximum.RecordMaximum;
import app.korvel.studio.outline.OwnOutlines;
import app.korvel.studio.practice.RecordTry;
import app.korvel.studio.prescription.SavePrescription;
import app.korvel.studio.programme.DecideWeek;
import app.korvel.studio.programme.DecideWeek.Decided;
import app.korvel.studio.programme.LayOutProgramme;
import app.korvel.studio.programme.Programmes;
import app.korvel.studio.programme.Programmes.Wanted;
import app.korvel.studio.pulse.CorrectReading;
import app.korvel.studio.pulse.RecordReading;
import app.korvel.studio.screening.AnswerIntake;
import app.korvel.studio.screening.RecordClearance;
import app.korvel.studio.screening.RecordConsent;
import app.korvel.studio.session.LogSessions;
import app.korvel.studio.session.LogSessions.Done;
import app.korvel.studio.zone.ChooseScheme;
import app.korvel.studio.zone.OwnSchemes;
import app.korvel.studio.zone.RecordThresholds;
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
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A year of the invented crew of a small island ferry line: every task that was done in it, done
 * again when its time comes, up to today.
 *
 * <p>The same every time but for the dates, which are counted back from today.
 */
public final class DemoData {

  /** What the demo's studio is called. */
  public static final String STUDIO = "Crew fitness, island ferries";

  private static final int DAYS = 360;
  private static final int EVERY_DAYS = 19;

  /** Before anything was said of anybody. */
  private static final int ADDED_DAYS_AGO = 420;

  private static final int SCREENED_DAYS_AGO = 150;

  private static final Table CONDITIONS =
      Table.of(
          """
          Ragnar Holtvik     | HEART_CONDITION
          Lupe Tamatoa       | HEART_CONDITION
          Pilar Ostergran    | HEART_FAILURE
          Osei Lindqvarn     | HEART_CONDITION
          Osei Lindqvarn     | CAROTID_DISEASE
          Keola Brandt-Mori  | RESPIRATORY
          Tindra Vossberg    | DIABETES
          Amaru Sjodal       | PREGNANCY
          Beatriz Holm-Adair | IRREGULAR_RHYTHM
          Beatriz Holm-Adair | FALLS
          Jonas Pellworth    | HIGH_BLOOD_PRESSURE
          """);

  private static final Table MEDICINES =
      Table.of(
          """
          Marguerite Adeyo  | BETA_BLOCKER | propranolol | 40 mg twice a day
          Ragnar Holtvik    | BETA_BLOCKER | metoprolol | 50 mg a day
          Ragnar Holtvik    | NITRATE | glyceryl trinitrate | spray, when needed
          Pilar Ostergran   | BETA_BLOCKER | carvedilol | 12.5 mg twice
          Keola Brandt-Mori | RATE_RAISING | salbutamol | when needed
          Tindra Vossberg   | INSULIN | insulin glargine | 20 units at night
          Jonas Pellworth   | BETA_BLOCKER | bisoprolol | 2.5 mg
          """);

  /** Whose dose changed this week, and to what. */
  private static final Table DOSE_CHANGED =
      Table.of("Jonas Pellworth | BETA_BLOCKER | bisoprolol | 5 mg");

  /** Clearances: issuer, given so many days ago, what they allow, for how many days yet, a note. */
  private static final Table CLEARED =
      Table.of(
          """
          Ragnar Holtvik     | Cardiology, county hospital | 210 | LIGHT_TO_MODERATE | 155 | Nothing above 92 a minute. Never alone.
          Osei Lindqvarn     | Dr Ferreira, harbour practice | 374 | LIGHT_TO_MODERATE | -9 |
          Tindra Vossberg    | Diabetes clinic, county hospital | 345 | VIGOROUS | 20 |
          Amaru Sjodal       | Midwife, harbour practice | 31 | LIGHT_TO_MODERATE | 90 |
          Beatriz Holm-Adair | Dr Ferreira, harbour practice | 80 | LIGHT_TO_MODERATE | 285 |
          """);

  /** Whose parent or guardian has agreed, and who that was. */
  private static final Table AGREED = Table.of("Sefa Brandvik | Runa Brandvik, mother");

  /** Who has a written cap, and where it lies. */
  private static final Table CAPPED = Table.of("Ragnar Holtvik | 92 | Cardiology, county hospital");

  /** Whose screening was so long ago, where it was not {@link #SCREENED_DAYS_AGO}. */
  private static final Table SCREENED = Table.of("Bram Okonje | 401");

  /** Who was asked for their activity so far, and no more. */
  private static final Set<String> UNFINISHED = Set.of("Dmitri Halvor-Cho");

  /**
   * Maxima that were measured: far from every equation, two modes that differ, one that is due
   * again, one from before another dose, and peaks that are proposals.
   */
  private static final Table MEASURED =
      Table.of(
          """
          Tomasz Wielgor    | ROW | LABORATORY | GOOD | ramp on a rowing machine | 191 | 760 | sports laboratory, mainland
          Tindra Vossberg   | CYCLE | GRADED_TEST | GOOD | cycle, 25 W every 2 min | 174 | 118 | diabetes clinic, county hospital
          Tindra Vossberg   | RUN | FIELD_TEST | FAIR | Hill repeats | 190 | 12 | not said in bout 2: second half no slower than the first
          Jonas Pellworth   | RUN | GRADED_TEST | GOOD | treadmill, 3 min stages | 152 | 61 | county hospital, on 2.5 mg
          Hyun-woo Castell  | RUN | PEAK | | | 196 | 17 | watch, pier hill, last bend
          Keola Brandt-Mori | RUN | PEAK | | | 184 | 40 | watch, running for the boat
          Ines Okafor-Lund  | STAIRS | PEAK | | | 171 | 33 | counted on the top deck
          """);

  /** Who ran the hill repeats, from the first event to the last. */
  private static final String TESTED = "Yara Fonotele";

  private static final int TESTED_DAYS_AGO = 26;

  /** Races and other efforts: average rate, minutes, so many days ago. */
  private static final Table EFFORTS =
      Table.of(
          """
          Yara Fonotele    | Sea wall, 5 km | RUN | 183 | 27 | 20
          Hyun-woo Castell | Sea wall, 5 km | RUN | 172 | 21 | 20
          Hyun-woo Castell | Round the island | CYCLE | 151 | 74 | 9
          Tindra Vossberg  | Shed hour | CYCLE | 142 | 60 | 6
          Tomasz Wielgor   | Harbour skiff race | ROW | 171 | 31 | 14
          """);

  /** An equation other than the default: so many days ago, why. */
  private static final Table PICKED =
      Table.of(
          "Hyun-woo Castell | nes-211 | 24"
              + " | Reached 190 twice on the pier hill this autumn; a test is planned.");

  /** Who mistyped a count that was corrected later, and what was typed. */
  private static final Table MISTYPED = Table.of("Ines Okafor-Lund | 46");

  /** To whom something was prescribed so many days ago, and not today. */
  private static final Table PRESCRIBED =
      Table.of(
          """
          Osei Lindqvarn  | 60
          Jonas Pellworth | 34
          Tindra Vossberg | 40
          Bram Okonje     | 96
          """);

  /** For whom weeks are laid out, and how many; the last two have logged and decided them. */
  private static final Table PLANNED =
      Table.of(
          """
          Ines Okafor-Lund  | 16 | laid out
          Tomasz Wielgor    | 12 | laid out
          Ragnar Holtvik    | 12 | laid out
          Hyun-woo Castell  | 12 | laid out
          Keola Brandt-Mori | 26 | laid out
          Jonas Pellworth   | 12 | trained
          Tindra Vossberg   | 12 | trained
          """);

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
  private static final Table CHECKED =
      Table.of(
          """
          Hyun-woo Castell | 1 |
          Agnethe Moravik  | 6 |
          Yara Fonotele    | 12 | FEVER
          """);

  /**
   * Whose sessions of the last weeks were recorded, the earliest first: how the strap was, and
   * after how many minutes it ended early.
   */
  private static final Table RECORDED =
      Table.of(
          """
          Jonas Pellworth | NONE      |
          Jonas Pellworth | SLIPPING  |
          Jonas Pellworth | NONE      | 16
          """);

  /** Within so many days all of those are. */
  private static final int RECORDED_WITHIN = 16;

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

  /** Whose shifts at the ticket window a roster program has. */
  private static final String ON_ROSTER = "Yara Fonotele";

  /** Who has left, and is archived. */
  private static final String LEFT = "Imre Valstad";

  private static final Actor WHO = Actor.INSTRUCTOR;

  private final Studio studio;
  private final Replay replay;
  private final ZoneId zone;
  private final Instant now;
  private final LocalDate today;
  private final Map<String, UUID> ids = new HashMap<>();

  /**
   * The year up to that moment.
   *
   * @param store with nothing in it but the studio
   */
  public DemoData(Store store, Instant now) {
    this.zone = store.studio().timeZone();
    this.replay = new Replay(zone);
    this.studio = new Studio(store, replay);
    this.now = now;
    this.today = LocalDate.ofInstant(now, zone);
  }

  /** Does everything, all of it or nothing. */
  public void write() {
    Random random = new Random(20);
    Crew.ALL.forEach(crew -> tell(crew, random));
    replay.at(daysAgo(90), this::ownScheme);
    replay.at(daysAgo(90), this::ownOutline);
    replay.at(
        daysAgo(20),
        () -> new ChooseScheme(studio).by(WHO, id("Sefa Brandvik"), Optional.of("school-range")));
    replay.at(daysAgo(15), this::talkSteps);
    new TalkChecks(studio, replay, WHO, this::id, this::at).ask();
    new TestsDone(studio, replay, WHO, this::id, this::at, client -> checkIn(client, 0, Set.of()))
        .ask();
    replay.at(at(1, 18, 30), this::countTogether);
    practise();
    replay.at(now, this::roster);
    replay.at(now, () -> new ArchiveClient(studio).by(WHO, id(LEFT), 1, true));
    replay.at(
        now, () -> new RecordingsBrought(studio, WHO, id(RecordingsBrought.OF), this::at).bring());
    studio.write(
        WHO,
        () -> {
          replay.runUntil(now);
          return null;
        });
  }

  private UUID id(String name) {
    return ids.get(name);
  }

  private Instant daysAgo(int days) {
    return days == 0 ? now : at(days, 10, 30);
  }

  /** A time of a day so many days ago; no later than now. */
  private Instant at(int daysAgo, int hour, int minute) {
    Instant time =
        today.minusDays(daysAgo).atTime(LocalTime.of(hour, minute)).atZone(zone).toInstant();
    return time.isAfter(now) ? now : time;
  }

  /** Asks for everything that was done with one of the crew. */
  private void tell(Crew crew, Random random) {
    LocalDate birthDate = today.minusYears(crew.age()).minusDays(20 + random.nextInt(300));
    replay.at(
        daysAgo(ADDED_DAYS_AGO),
        () ->
            ids.put(
                crew.name(),
                new AddClient(studio)
                    .by(
                        WHO,
                        Client.Details.of(
                            crew.name(), crew.note(), birthDate, crew.sex(), studio.today()))
                    .id()));
    screen(crew);
    count(crew, random);
    measure(crew);
    PICKED
        .first(crew)
        .ifPresent(
            picked ->
                replay.at(
                    daysAgo(picked.number(2)),
                    () ->
                        new ChooseEquation(studio)
                            .by(WHO, id(crew.name()), picked.text(1), picked.text(3))));
    for (Row effort : EFFORTS.of(crew)) {
      replay.at(daysAgo(effort.number(5)), () -> raced(crew, effort));
    }
    int prescribed = PRESCRIBED.first(crew).map(row -> row.number(1)).orElse(0);
    crew.goal().ifPresent(goal -> replay.at(daysAgo(prescribed), () -> prescribe(crew, goal)));
    CHECKED.first(crew).ifPresent(row -> replay.at(now, () -> checkIn(crew, row)));
  }

  private void screen(Crew crew) {
    int daysAgo = SCREENED.first(crew).map(row -> row.number(1)).orElse(SCREENED_DAYS_AGO);
    int asked = UNFINISHED.contains(crew.name()) ? 1 : daysAgo;
    replay.at(daysAgo(asked), () -> answer(crew, medicines(MEDICINES, crew)));
    if (DOSE_CHANGED.first(crew).isPresent()) {
      replay.at(daysAgo(3), () -> answer(crew, medicines(DOSE_CHANGED, crew)));
    }
    for (Row agreed : AGREED.of(crew)) {
      replay.at(
          daysAgo(daysAgo),
          () ->
              new RecordConsent(studio)
                  .by(
                      WHO,
                      id(crew.name()),
                      stamp ->
                          Consent.of(
                              stamp.id(),
                              agreed.text(1),
                              stamp.day(),
                              "On paper, in the office.",
                              stamp.at(),
                              stamp.zone())));
    }
    for (Row cleared : CLEARED.of(crew)) {
      replay.at(
          daysAgo(cleared.number(2)),
          () ->
              new RecordClearance(studio)
                  .by(
                      WHO,
                      id(crew.name()),
                      stamp ->
                          Clearance.of(
                              stamp.id(),
                              cleared.text(1),
                              stamp.day(),
                              cleared.word(3, Allows.class),
                              today.plusDays(cleared.number(4)),
                              cleared.text(5),
                              stamp.at(),
                              stamp.zone())));
    }
  }

  private static List<Medicine> medicines(Table table, Crew crew) {
    return table.of(crew).stream()
        .map(
            row ->
                new Medicine(
                    row.word(1, MedicineClass.class), row.text(2), row.text(3), Optional.empty()))
        .toList();
  }

  private void answer(Crew crew, List<Medicine> medicines) {
    UUID client = id(crew.name());
    int read = studio.store().intakes().of(client).size();
    new AnswerIntake(studio).by(WHO, client, read, answers(crew, medicines));
  }

  private Answers answers(Crew crew, List<Medicine> medicines) {
    if (UNFINISHED.contains(crew.name())) {
      return Answers.begun(crew.activity());
    }
    int from = COMING.contains(crew.name()) ? 0 : 1;
    return new Answers(
        Set.of(Topic.values()),
        crew.activity(),
        false,
        Set.of(),
        CONDITIONS.of(crew).stream()
            .map(row -> row.word(1, Condition.class))
            .collect(Collectors.toSet()),
        medicines,
        CAPPED.of(crew).stream()
            .map(
                row ->
                    new WrittenLimit(
                        WrittenLimit.Kind.CAP,
                        OptionalInt.of(row.number(1)),
                        row.text(2),
                        today.minusDays(SCREENED_DAYS_AGO),
                        Optional.empty()))
            .toList(),
        crew.goal(),
        Stream.of(0, 2, 4, 5)
            .map(day -> today.plusDays(from + day).getDayOfWeek())
            .collect(Collectors.toSet()),
        crew.rows()
            ? Set.of(Equipment.ROWING, Equipment.PATHS)
            : Set.of(Equipment.PATHS, Equipment.STAIRS),
        OptionalInt.empty(),
        Optional.empty(),
        crew.rows() ? OptionalInt.of(crew.restingNow()) : OptionalInt.empty());
  }

  /** Counts every few weeks, the last one as long ago as it was. */
  private void count(Crew crew, Random random) {
    if (crew.lastDaysAgo() < 0) {
      return;
    }
    for (int daysAgo = DAYS; daysAgo > crew.lastDaysAgo(); daysAgo -= EVERY_DAYS) {
      count(crew, daysAgo, random, Optional.empty());
    }
    count(crew, crew.lastDaysAgo(), random, MISTYPED.first(crew).map(row -> row.number(1)));
    if (BY_NIGHT.equals(crew.name())) {
      nights(crew);
    }
  }

  private void count(Crew crew, int daysAgo, Random random, Optional<Integer> mistyped) {
    int drift = (crew.restingThen() - crew.restingNow()) * (daysAgo - crew.lastDaysAgo()) / DAYS;
    int bpm = crew.restingNow() + drift + random.nextInt(5) - 2;
    Instant taken = at(daysAgo, 6 + random.nextInt(2), random.nextInt(60));
    if (crew.rows()) {
      replay.at(taken, () -> sample(crew, bpm, PulseSource.STRAP, 10));
      return;
    }
    boolean coffee = random.nextInt(6) == 0;
    CountWindow window = random.nextInt(4) == 0 ? CountWindow.S30 : CountWindow.S60;
    PulseCount count = PulseCount.of(window == CountWindow.S30 ? (bpm + 1) / 2 : bpm, window);
    int rested = 5 + random.nextInt(6);
    Rhythm rhythm =
        CONDITIONS.of(crew).stream().anyMatch(row -> row.text(1).equals("IRREGULAR_RHYTHM"))
            ? Rhythm.UNEVEN
            : Rhythm.STEADY;
    Function<Stamp, RestingReading> right =
        stamp ->
            RestingReading.counted(
                    stamp.id(),
                    stamp.at(),
                    count,
                    Posture.SEATED,
                    rested,
                    coffee ? Set.of(Confounder.CAFFEINE) : Set.of())
                .withFelt(
                    new Palpation(
                        Optional.of(PulseSite.RADIAL),
                        Optional.of(rhythm),
                        Optional.of(Strength.NORMAL)));
    replay.at(
        taken,
        () -> {
          UUID client = id(crew.name());
          RestingReading kept =
              new RecordReading(studio)
                  .by(
                      WHO,
                      client,
                      (stamp, person) ->
                          mistyped
                              .map(
                                  bpmTyped ->
                                      RestingReading.counted(
                                          stamp.id(),
                                          stamp.at(),
                                          PulseCount.of(bpmTyped, CountWindow.S60),
                                          Posture.SEATED,
                                          rested,
                                          Set.of()))
                              .orElseGet(() -> right.apply(stamp)));
          if (mistyped.isPresent()) {
            new CorrectReading(studio)
                .by(WHO, client, kept.id(), (stamp, person) -> right.apply(stamp));
          }
        });
  }

  private void sample(Crew crew, int bpm, PulseSource source, int rested) {
    new RecordReading(studio)
        .by(
            WHO,
            id(crew.name()),
            (stamp, person) ->
                RestingReading.sampled(
                    stamp.id(), stamp.at(), bpm, Posture.LYING, source, rested, Set.of()));
  }

  /** A watch worn through some nights of last spring: well under the seated counts. */
  private void nights(Crew crew) {
    Random random = new Random(7);
    for (int daysAgo = 230; daysAgo > 80; daysAgo -= 12) {
      int bpm = crew.restingNow() - 7 + random.nextInt(4);
      replay.at(at(daysAgo, 5, 40), () -> sample(crew, bpm, PulseSource.OVERNIGHT, 0));
    }
  }

  private void measure(Crew crew) {
    for (Row row : MEASURED.of(crew)) {
      int told = Math.min(row.number(6), ADDED_DAYS_AGO - 1);
      replay.at(
          daysAgo(told),
          () ->
              new RecordMaximum(studio)
                  .by(
                      WHO,
                      id(crew.name()),
                      (stamp, restingBpm) ->
                          MeasuredMaximum.of(
                              stamp.id(),
                              row.word(1, Mode.class),
                              row.word(2, MaximumKind.class),
                              row.text(4),
                              row.wordIfAny(3, Grade.class),
                              row.number(5),
                              today.minusDays(row.number(6)),
                              row.text(7),
                              Optional.empty(),
                              restingBpm,
                              stamp.at(),
                              stamp.zone())));
    }
    if (TESTED.equals(crew.name())) {
      replay.at(daysAgo(TESTED_DAYS_AGO), () -> runHills(crew));
    }
  }

  /** Hill repeats as they are run: even, read by a strap, far over what any equation says. */
  private void runHills(Crew crew) {
    UUID client = id(crew.name());
    checkIn(client, 0, Set.of());
    UUID test =
        new BeginFieldTest(studio)
            .by(
                WHO,
                client,
                FieldTestProtocol.HILL_REPEATS,
                stamp ->
                    FieldTest.begin(
                        stamp.id(),
                        FieldTestProtocol.HILL_REPEATS,
                        Mode.RUN,
                        0,
                        EnumSet.allOf(Assurance.class),
                        stamp.at()))
            .run()
            .test()
            .id();
    Instant start = studio.now();
    int[] peaks = {199, 205, 207};
    for (int bout = 1; bout <= peaks.length; bout++) {
      int number = bout;
      long from = 910L + (bout - 1) * 325L;
      happened(test, start, from, (id, at) -> FieldTestEvent.of(id, at, Kind.BOUT_STARTED));
      for (int back = 1; back >= 0; back--) {
        int bpm = peaks[bout - 1] - 6 * back;
        happened(
            test,
            start,
            from + 118 - 40L * back,
            (id, at) -> FieldTestEvent.reading(id, at, bpm, PulseSource.STRAP));
      }
      happened(test, start, from + 140, (id, at) -> FieldTestEvent.answered(id, at, number, true));
    }
    happened(test, start, 1800, (id, at) -> FieldTestEvent.of(id, at, Kind.FINISHED));
    replay.at(start.plusSeconds(1900), () -> new KeepTestMaximum(studio).by(WHO, test));
  }

  private void happened(
      UUID test, Instant start, long seconds, BiFunction<UUID, Instant, FieldTestEvent> event) {
    replay.at(
        start.plusSeconds(seconds),
        () ->
            new RecordTestEvent(studio).by(WHO, test, event.apply(studio.nextId(), studio.now())));
  }

  private void raced(Crew crew, Row row) {
    new RecordEffort(studio)
        .by(
            WHO,
            id(crew.name()),
            new RecordEffort.Entered(
                row.text(1),
                row.word(2, Mode.class),
                row.number(3),
                Optional.of(row.number(4)),
                studio.today()));
  }

  private void checkIn(Crew crew, Row row) {
    checkIn(
        id(crew.name()),
        row.number(1),
        row.wordIfAny(2, CheckIn.SelfReport.class).map(Set::of).orElse(Set.of()));
  }

  private void checkIn(UUID client, int offBy, Set<CheckIn.SelfReport> told) {
    UsualPulse usual = studio.head(client).usual().orElseThrow();
    new CheckInClient(studio)
        .by(
            WHO,
            client,
            new CheckIn(
                usual.bpm() + offBy,
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
                told),
            verdict -> Optional.empty());
  }

  private void prescribe(Crew crew, Goal goal) {
    UUID client = id(crew.name());
    Start start =
        Start.of(
            studio.head(client).screening(),
            goal,
            Optional.empty(),
            crew.rows() ? Mode.ROW : Mode.RUN);
    new SavePrescription(studio).by(WHO, client, OptionalInt.empty(), start.parts());
    PLANNED.first(crew).ifPresent(row -> layOut(client, row));
  }

  /** From the Monday of the week in which it was prescribed, on the days they named. */
  private void layOut(UUID client, Row row) {
    LocalDate monday = studio.today().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    ClientHead head = studio.head(client);
    Set<DayOfWeek> days = head.screening().answers().days();
    Scope scope = head.screening().scope();
    ProgrammeGoal aims =
        ProgrammeGoal.usual(
            head.leading().prescription().parts(),
            scope.person(),
            Ceiling.of(scope.person(), scope.permission()),
            days.size());
    LocalDate last = monday.plusWeeks(row.number(1)).minusDays(1);
    new LayOutProgramme(studio)
        .by(
            WHO,
            client,
            0,
            new Wanted(
                monday,
                last,
                days,
                aims.minutes(),
                aims.days(),
                Optional.empty(),
                Optional.empty()));
    if (row.text(2).equals("trained")) {
      train(client, monday, last);
    }
  }

  /** Logs what is over and decides week by week; the last week that is over stays to be decided. */
  private void train(UUID client, LocalDate monday, LocalDate last) {
    Random random = new Random(studio.client(client).details().name().length());
    // What lies before the day it was prescribed is over: nothing is logged twice on that day.
    for (LocalDate day = studio.today();
        day.isBefore(today.minusDays(1)) && !day.isAfter(last);
        day = day.plusDays(1)) {
      if (day.isAfter(today.minusDays(RECORDED_WITHIN))) {
        Instant evening = day.atTime(LocalTime.of(18, 20)).atZone(zone).toInstant();
        replay.at(evening, () -> record(client, evening));
      }
      replay.at(
          day.atTime(LocalTime.of(19, 40)).atZone(zone).toInstant(), () -> log(client, random));
    }
    for (int week = 2; !monday.plusWeeks(week).isAfter(today); week++) {
      int next = week;
      replay.at(
          monday.plusWeeks(week - 1L).atTime(LocalTime.of(8, 15)).atZone(zone).toInstant(),
          () ->
              new DecideWeek(studio)
                  .by(
                      WHO,
                      client,
                      studio.store().programmes().current(client).orElseThrow().version(),
                      next,
                      Decided.asProposed()));
    }
  }

  /** Runs what was planned for the day by the clock, with the next strap of the table. */
  private void record(UUID client, Instant from) {
    List<Row> rows = RECORDED.of(() -> studio.client(client).details().name());
    int before = studio.store().live().of(client, RECORDED_WITHIN).size();
    Optional<SavedSession> planned = new OpenLiveSession(studio).plannedToday(studio.head(client));
    if (before >= rows.size() || planned.isEmpty()) {
      return;
    }
    Row row = rows.get(before);
    checkIn(client, 0, Set.of());
    Opened opened =
        new OpenLiveSession(studio)
            .by(
                WHO,
                client,
                new OpenLiveSession.Wanted(
                    planned.map(SavedSession::number),
                    Optional.empty(),
                    Optional.empty(),
                    RateSource.STRAP,
                    Optional.of(row.word(1, SimulatedStrap.Fault.class)),
                    1));
    inSession(opened, from, 0, LiveEvent.Begun::new);
    boolean whole = row.text(2).isEmpty();
    int minutes =
        whole
            ? opened.plan().steps().stream().mapToInt(PlanStep::seconds).sum() / 60 + 1
            : row.number(2);
    inSession(
        opened,
        from,
        60L * minutes - 180,
        (id, at) -> new LiveEvent.Rated(id, at, OptionalInt.of(13), OptionalInt.empty()));
    if (whole) {
      recover(opened, from, 14, RecoveryPosture.MOVING);
      recover(opened, from, 19, RecoveryPosture.SEATED);
    }
    Instant end = from.plusSeconds(60L * minutes);
    replay.at(end, () -> new SimulateSession(studio).by(WHO, opened.id(), end));
    LiveEvent.Reason reason = whole ? LiveEvent.Reason.PLANNED : LiveEvent.Reason.TIRED;
    inSession(opened, from, 60L * minutes, (id, at) -> new LiveEvent.Ended(id, at, reason));
  }

  /** The effort ends in a posture, and the next set begins two and a half minutes later. */
  private void recover(Opened opened, Instant from, int minute, RecoveryPosture posture) {
    inSession(opened, from, 60L * minute, (id, at) -> new LiveEvent.EffortEnded(id, at, posture));
    inSession(opened, from, 60L * minute + 150, LiveEvent.EffortResumed::new);
  }

  private void inSession(
      Opened opened, Instant from, long seconds, BiFunction<UUID, Instant, LiveEvent> event) {
    replay.at(
        from.plusSeconds(seconds),
        () ->
            new RecordLiveEvent(studio)
                .by(WHO, opened.id(), event.apply(studio.nextId(), studio.now())));
  }

  /** The recording of a planned session, if it was recorded. */
  private Optional<Opened> recorded(UUID client, int number) {
    return studio.store().live().of(client, RECORDED_WITHIN).stream()
        .filter(each -> each.number().equals(Optional.of(number)))
        .findFirst();
  }

  /** What was planned for the day, done nearly always. */
  private void log(UUID client, Random random) {
    LocalDate day = studio.today();
    List<Done> done = new ArrayList<>();
    for (SavedSession session : studio.store().planned().between(day, day)) {
      if (session.clientId().equals(client) && session.state() == SavedSession.State.PLANNED) {
        boolean missed = random.nextInt(9) == 0;
        Aim aim =
            new Programmes(studio).runner(studio.head(client), session.mode()).aim(session.range());
        RpeSpan felt = aim.rpe20();
        Optional<Opened> recorded = recorded(client, session.number());
        if (recorded.isPresent()) {
          new LogLiveSession(studio)
              .by(
                  WHO,
                  recorded.get().id(),
                  new LogLiveSession.Entered(OptionalInt.of(felt.low()), List.of(), ""));
          continue;
        }
        done.add(
            new Done(
                client,
                Optional.of(session.number()),
                day,
                Optional.empty(),
                !missed,
                Optional.empty(),
                aim.target()
                    .filter(target -> !missed)
                    .map(
                        target ->
                            new LoggedRate(
                                (target.lowBpm() + target.highBpm()) / 2 + random.nextInt(7) - 3,
                                LoggedRate.Kind.COUNTED)),
                missed
                    ? Optional.empty()
                    : Optional.of(
                        Math.max(felt.low(), (felt.low() + felt.high()) / 2 - random.nextInt(2))),
                missed || random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(aim.levels().get(0)),
                Set.of(),
                missed ? "double shift" : "",
                Optional.empty()));
      }
    }
    if (!done.isEmpty()) {
      new LogSessions(studio).by(WHO, done);
    }
  }

  /** The class of yesterday evening, every one counted. */
  private void countTogether() {
    ClassCounts classes = new ClassCounts(studio);
    UUID room =
        classes
            .begin(
                WHO,
                new ClassCounts.Begun(
                    Moment.BEFORE,
                    CountWindow.S15,
                    Posture.SEATED,
                    true,
                    IN_CLASS.stream().map(this::id).toList(),
                    Optional.empty(),
                    Optional.empty()))
            .id();
    Instant entered = studio.now();
    for (String name : IN_CLASS) {
      entered = entered.plusSeconds(3);
      replay.at(
          entered,
          () -> {
            int usual = studio.head(id(name)).baseline().resting().orElseThrow().bpm();
            classes.enter(WHO, room, id(name), false, (usual + 2) / 4);
          });
    }
  }

  /** A learner who gets better at it: how many beats each try was off, by level. */
  private void practise() {
    int[] off = {4, -3, 1, 2, 0, -1, 0, 3, -2, 1, 0, 1, -4, -2};
    for (int i = 0; i < off.length; i++) {
      PracticeLevel level = PracticeLevel.values()[i < 7 ? 0 : i < 12 ? 1 : 2];
      int seed = i;
      PracticePulse given = PracticePulse.of(level, level.window(), seed);
      int played = given.judge(PulseCount.of(30, CountWindow.S30), Optional.empty()).beatsPlayed();
      PulseCount count = PulseCount.of(played + off[i], level.window());
      replay.at(
          daysAgo(3 + (off.length - i) / 3).plusSeconds(70L * i),
          () -> new RecordTry(studio).by(WHO, level, seed, count, Optional.empty()));
    }
  }

  private void ownScheme() {
    Table rows = Table.of("Stroll | 0 | 35\nMarch | 35 | 55\nClimb | 55 | 75\nRun | 75 | 100");
    new OwnSchemes(studio)
        .add(
            WHO,
            new OwnScheme(
                "Sea wall",
                Scheme.Kind.LADDER,
                Basis.RESERVE,
                "Walks and runs on the wall, by the marks painted on it.",
                rows.rows().stream()
                    .map(
                        row ->
                            new OwnScheme.Row(
                                row.text(0),
                                BigDecimal.valueOf(row.number(1)),
                                BigDecimal.valueOf(row.number(2))))
                    .toList()));
  }

  /** The studio's own session: the stairs between the decks. */
  private void ownOutline() {
    Outline stairs =
        new Outline(
            List.of(
                block(1, step(StepKind.WARM_UP, 600, 20, 40)),
                block(5, step(StepKind.WORK, 120, 55, 65), step(StepKind.EASY, 180, 30, 40)),
                block(1, step(StepKind.COOL_DOWN, 480, 20, 40)),
                block(1, new Step(StepKind.STRETCH, 300, Optional.empty(), false))),
            Optional.empty());
    new OwnOutlines(studio)
        .add(
            WHO,
            id -> Named.checked(id, "Five decks", "Up and down between the car decks.", stairs));
  }

  private static Block block(int times, Step... steps) {
    return new Block(times, false, List.of(steps));
  }

  private static Step step(StepKind kind, int seconds, int low, int high) {
    return new Step(kind, seconds, Optional.of(new Percents(low, high)), false);
  }

  /** Thresholds of somebody who rows. */
  private void talkSteps() {
    new RecordThresholds(studio)
        .by(
            WHO,
            id("Tomasz Wielgor"),
            Mode.ROW,
            (stamp, span) ->
                MeasuredThresholds.of(
                    stamp.id(),
                    Mode.ROW,
                    MeasuredThresholds.Kind.TALK_STEPS,
                    128,
                    157,
                    stamp.day(),
                    "on the skiff, two-minute steps",
                    span,
                    stamp.at(),
                    stamp.zone()));
  }

  /** The shifts at the ticket window, as a roster program has them. */
  private void roster() {
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
    new BusyCalendars(studio).put(WHO, Optional.of(id(ON_ROSTER)), "Ticket office shifts", shifts);
  }
}
