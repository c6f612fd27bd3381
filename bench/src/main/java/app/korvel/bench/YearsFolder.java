package app.korvel.bench;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Known;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.Threshold;
import app.korvel.core.outline.Aim;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Ceiling;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Prescription.RateBasis;
import app.korvel.core.prescription.Start;
import app.korvel.core.programme.Agenda;
import app.korvel.core.programme.Aims;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.PlannedSession;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.WeekDecision;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Intake;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Scope;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Topic;
import app.korvel.core.session.Asked;
import app.korvel.core.session.LoggedRate;
import app.korvel.core.session.SessionLog;
import app.korvel.core.session.WeekReview;
import app.korvel.core.zone.Reserve.Percents;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.Database;
import app.korvel.store.IntakeRepository;
import app.korvel.store.MeasuredMaximumRepository;
import app.korvel.store.PlannedSessionRepository;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedPrescription;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.SessionLogRepository.Logged;
import app.korvel.store.StudioRepository;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A data folder of a studio with years behind it, the same from the same seed: everyone trains
 * three days a week, is checked in before each session, counted every ten days, prescribed anew
 * every twelve weeks, and every week is decided. Some are worked out, the others are copies of
 * them.
 */
final class YearsFolder {
  private static final int WORKED_OUT = 20;
  private static final int WEEKS_A_PROGRAMME = 8;
  private static final ZoneId ZONE = ZoneId.of("UTC");
  private static final Set<DayOfWeek> DAYS =
      Set.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
  private static final List<String> FIRST =
      List.of(
          "Avel", "Brisa", "Corvin", "Dunja", "Emre", "Fenna", "Goran", "Hilde", "Ivo", "Jorun");
  private static final List<String> LAST = List.of("Askvoll", "Birkeland", "Corrigan", "Dahlberg");

  private final Database database;
  private final LocalDate today;
  private final int years;
  private final Random random;
  private int made;

  private YearsFolder(Database database, LocalDate today, int years, long seed) {
    this.database = database;
    this.today = today;
    this.years = years;
    this.random = new Random(seed);
  }

  /** Makes one in a temporary folder. */
  static Path make(int clients, int years, long seed) throws IOException {
    Path folder = Files.createTempDirectory("korvel-years-");
    Path file = folder.resolve("korvel.db");
    try (Database database = Database.open(file)) {
      new StudioRepository(database).ensure("Years", ZONE, Instant.now());
      YearsFolder years_ = new YearsFolder(database, LocalDate.now(ZONE), years, seed);
      for (int client = 0; client < Math.min(clients, WORKED_OUT); client++) {
        int number = client;
        database.inOneWrite(() -> years_.client(number));
      }
    }
    try {
      copy(file, (clients + WORKED_OUT - 1) / WORKED_OUT);
    } catch (SQLException failed) {
      throw new IOException(failed);
    }
    return folder;
  }

  /** An id of that moment; the digits that tell copies apart are zero. */
  private UUID id(Instant at) {
    return new UUID(at.toEpochMilli() << 16 | 0x7000, 0x8000_0000_0000_0000L | ++made);
  }

  private static Instant at(LocalDate day, int hour, int minute) {
    return day.atTime(LocalTime.of(hour, minute)).atZone(ZONE).toInstant();
  }

  private Client client(int number) {
    LocalDate first =
        today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).minusWeeks(52L * years);
    Client client =
        new ClientRepository(database)
            .add(
                id(at(first, 8, number)),
                Client.Details.of(
                    FIRST.get(number % FIRST.size()) + " " + LAST.get(number / FIRST.size()),
                    "",
                    first.minusYears(25 + number).minusDays(number),
                    number % 2 == 0 ? Sex.FEMALE : Sex.MALE,
                    first),
                at(first, 8, 0));
    new One(client, first).live();
    return client;
  }

  /** The years of one client. */
  private final class One {
    private final UUID id;
    private final Client client;
    private final LocalDate first;
    private final int usual = 56 + random.nextInt(14);
    private final IntakeRepository intakes = new IntakeRepository(database);
    private final ReadingRepository readings = new ReadingRepository(database);
    private final PrescriptionRepository prescriptions = new PrescriptionRepository(database);
    private final ProgrammeRepository programmes = new ProgrammeRepository(database);
    private final PlannedSessionRepository planned = new PlannedSessionRepository(database);
    private final SessionLogRepository logs = new SessionLogRepository(database);
    private final CheckInRepository checkIns = new CheckInRepository(database);
    private final MeasuredMaximumRepository maxima = new MeasuredMaximumRepository(database);
    private final List<RestingReading> taken = new ArrayList<>();
    private final List<MeasuredMaximum> measured = new ArrayList<>();
    private Optional<Intake> intake = Optional.empty();
    private int programmeVersion;

    One(Client client, LocalDate first) {
      this.client = client;
      this.id = client.id();
      this.first = first;
    }

    void live() {
      int weeks = 52 * years;
      for (int week = 0; week <= weeks; week += WEEKS_A_PROGRAMME) {
        LocalDate monday = first.plusWeeks(week);
        if (week % 48 == 0) {
          ask(monday, week / 48);
          test(monday);
        }
        count(monday);
        train(monday);
      }
    }

    private void ask(LocalDate day, int version) {
      Answers answers =
          new Answers(
              Set.of(Topic.values()),
              Activity.REGULAR,
              false,
              Set.of(),
              Set.of(),
              List.of(),
              List.of(),
              Optional.of(Goal.GENERAL_FITNESS),
              DAYS,
              Set.of(Equipment.PATHS),
              OptionalInt.empty(),
              Optional.empty(),
              OptionalInt.empty());
      intake =
          intakes.add(
              id(at(day, 9, 0)),
              id,
              version,
              before -> Optional.of(Intake.following(before, answers, at(day, 9, 0), ZONE)));
    }

    private void test(LocalDate day) {
      MeasuredMaximum value =
          MeasuredMaximum.of(
              id(at(day, 9, 30)),
              Mode.RUN,
              MaximumKind.FIELD_TEST,
              "Bouts on a slope",
              Optional.of(Grade.FAIR),
              178 + random.nextInt(12),
              day,
              "",
              Optional.empty(),
              OptionalInt.empty(),
              at(day, 9, 30),
              ZONE);
      maxima.add(id, value);
      measured.add(value);
    }

    /** Counts for the next eight weeks, one every ten days. */
    private void count(LocalDate monday) {
      for (int ahead = 0; ahead < 7 * WEEKS_A_PROGRAMME; ahead += 10) {
        LocalDate day = monday.plusDays(ahead);
        if (day.isAfter(today)) {
          return;
        }
        RestingReading reading =
            RestingReading.counted(
                id(at(day, 6, 30)),
                at(day, 6, 30),
                PulseCount.of(usual + random.nextInt(5) - 2, CountWindow.S60),
                Posture.SEATED,
                6,
                Set.of());
        readings.add(id, reading, at(day, 6, 31));
        taken.add(0, reading);
      }
    }

    private Screening screening(LocalDate day) {
      return Screening.of(client, intake, OnRecord.NOTHING, day, ZONE);
    }

    /** A prescription and a programme, each week logged and decided as far as it is over. */
    private void train(LocalDate monday) {
      Screening screening = screening(monday);
      List<RestingReading> known =
          taken.stream().filter(each -> !each.takenAt().isAfter(at(monday, 10, 0))).toList();
      Groundwork ground =
          Groundwork.of(
              screening,
              WorkingResting.of(known, Optional.empty(), monday, ZONE),
              Mode.RUN,
              Optional.empty(),
              measured);
      Start start = Start.of(screening, Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN);
      SavedPrescription saved =
          prescriptions.add(
              id(at(monday, 10, 0)), id, Prescription.of(ground, start.parts()), at(monday, 10, 0));
      Programme programme = plan(screening.scope(), start.parts(), monday);
      save(saved, programme, at(monday, 10, 1), monday);
      List<SessionLog> done = new ArrayList<>();
      for (int week = 1; week < WEEKS_A_PROGRAMME; week++) {
        LocalDate over = monday.plusWeeks(week);
        for (PlannedSession session : programme.ofWeek(week)) {
          if (session.date().isBefore(today)) {
            done.add(session(saved, screening, programme, session));
          }
        }
        if (over.isAfter(today)) {
          return;
        }
        WeekReview review = WeekReview.of(programme, week, done, screening.scope());
        programme =
            programme.ahead(
                WeekDecision.of(
                    week + 1,
                    WeekDecision.Taken.ACCEPTED,
                    review.next().stepped(),
                    review.because(),
                    "",
                    at(over, 8, 15)),
                review.next(),
                WeekReview.minutesDone(programme, week, done),
                session -> !session.date().isBefore(over),
                over,
                Agenda.FREE,
                planned.nextNumber(id));
        save(saved, programme, at(over, 8, 15), over);
      }
      for (PlannedSession session : programme.ofWeek(WEEKS_A_PROGRAMME)) {
        if (session.date().isBefore(today)) {
          session(saved, screening, programme, session);
        }
      }
    }

    private void save(SavedPrescription from, Programme programme, Instant at, LocalDate day) {
      programmes.save(id(at), id, programmeVersion++, from.id(), programme, at, day);
    }

    private Programme plan(Scope scope, Parts parts, LocalDate monday) {
      return Programme.of(
          new Plan(
              parts,
              Aims.usual(
                  parts,
                  scope.person(),
                  Ceiling.of(scope.person(), scope.permission()),
                  DAYS.size()),
              Pace.of(scope.person(), parts, 0, Threshold.CAUTIOUS_WEEKS.whole()),
              Bounds.of(scope),
              monday,
              monday.plusWeeks(WEEKS_A_PROGRAMME).minusDays(1),
              DAYS),
          Agenda.FREE,
          planned.nextNumber(id),
          app.korvel.core.programme.MinutesDone.NONE);
    }

    /** Checked in before it, and logged after it. */
    private SessionLog session(
        SavedPrescription from, Screening screening, Programme programme, PlannedSession session) {
      LocalDate day = session.date();
      CheckIn found =
          new CheckIn(
              usual + random.nextInt(5) - 2,
              Posture.SEATED,
              PulseSource.COUNT,
              true,
              false,
              Optional.of(Rhythm.STEADY),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Set.of(),
              Set.of());
      UsualPulse pulse = new UsualPulse(usual, Posture.SEATED, PulseSource.COUNT);
      Verdict verdict = Verdict.of(found, Known.of(day, screening, Optional.of(pulse), List.of()));
      checkIns.add(
          id,
          new SavedCheckIn(
              id(at(day, 18, 20)),
              day,
              at(day, 18, 20),
              found,
              OptionalInt.of(usual),
              verdict,
              Optional.empty()));
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
      boolean missed = random.nextInt(12) == 0;
      SessionLog log =
          new SessionLog(
              id(at(day, 19, 40)),
              Optional.of(session.number()),
              day,
              session.mode(),
              !missed,
              missed ? 0 : minutes,
              missed
                  ? Optional.empty()
                  : aim.target()
                      .map(target -> new LoggedRate(target.lowBpm(), LoggedRate.Kind.COUNTED)),
              missed ? Optional.empty() : Optional.of(aim.rpe20().low()),
              Optional.empty(),
              Set.of(),
              "",
              new Asked(range, minutes, aim.rpe20(), made.basis().map(RateBasis::reserve)),
              at(day, 19, 40));
      logs.add(List.of(new Logged(id, log)));
      return log;
    }
  }

  /**
   * Copies everyone so often, in SQL: the digits of every id that are zero tell whose copy it is.
   */
  private static void copy(Path file, int times) throws SQLException {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      Set<String> tables = new LinkedHashSet<>();
      ask(statement, "select name from sqlite_master where type = 'table'", tables);
      for (int copy = 1; copy < times; copy++) {
        statement.execute("begin");
        for (String table : tables) {
          Set<String> columns = new LinkedHashSet<>();
          ask(statement, "select name from pragma_table_info('" + table + "')", columns);
          Set<String> ids = new HashSet<>(columns);
          ids.retainAll(Set.of("id", "client_id", "supersedes", "prescription_id"));
          // The revisions are made by the database itself.
          if (table.equals("client_revision")
              || !ids.contains("client_id") && !table.equals("client")) {
            continue;
          }
          String code = String.format("%03x", copy);
          String whose = " || ' " + copy + "'";
          String values =
              columns.stream()
                  .map(
                      column ->
                          ids.contains(column)
                              ? "substr("
                                  + column
                                  + ", 1, 15) || '"
                                  + code
                                  + "' || substr("
                                  + column
                                  + ", 19)"
                              : column.endsWith("name") && table.equals("client")
                                  ? column + whose
                                  : column)
                  .collect(Collectors.joining(", "));
          statement.execute(
              "insert into "
                  + table
                  + " ("
                  + String.join(", ", columns)
                  + ") select "
                  + values
                  + " from "
                  + table
                  + " where substr("
                  + (table.equals("client") ? "id" : "client_id")
                  + ", 16, 3) = '000'");
        }
        statement.execute("commit");
      }
    }
  }

  private static void ask(Statement statement, String sql, Set<String> into) throws SQLException {
    try (ResultSet rows = statement.executeQuery(sql)) {
      while (rows.next()) {
        into.add(rows.getString(1));
      }
    }
  }
}
