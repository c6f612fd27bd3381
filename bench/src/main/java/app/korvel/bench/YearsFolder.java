package app.korvel.bench;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.maximum.MaximumKind;
import app.korvel.core.maximum.MeasuredMaximum;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Start;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Grade;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Topic;
import app.korvel.store.Database;
import app.korvel.store.SavedProgramme;
import app.korvel.store.SavedSession;
import app.korvel.store.Store;
import app.korvel.studio.Actor;
import app.korvel.studio.Replay;
import app.korvel.studio.Studio;
import app.korvel.studio.checkin.CheckInClient;
import app.korvel.studio.client.AddClient;
import app.korvel.studio.maximum.RecordMaximum;
import app.korvel.studio.prescription.SavePrescription;
import app.korvel.studio.programme.DecideWeek;
import app.korvel.studio.programme.DecideWeek.Decided;
import app.korvel.studio.programme.LayOutProgramme;
import app.korvel.studio.programme.Programmes.Wanted;
import app.korvel.studio.pulse.RecordReading;
import app.korvel.studio.screening.AnswerIntake;
import app.korvel.studio.session.LogSessions;
import app.korvel.studio.session.LogSessions.Done;
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

  private static final Actor WHO = new Actor("the generator");

  private final Replay replay = new Replay(ZONE);
  private final Studio studio;
  private final LocalDate today = LocalDate.now(ZONE);
  private final LocalDate first;
  private final Random random;
  private int made;

  private YearsFolder(Store store, int years, long seed) {
    this.studio = new Studio(store, replay, this::nextId);
    this.first =
        today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)).minusWeeks(52L * years);
    this.random = new Random(seed);
  }

  /** Makes one in a temporary folder. */
  static Path make(int clients, int years, long seed) throws IOException {
    Path folder = Files.createTempDirectory("korvel-years-");
    Path file = folder.resolve("korvel.db");
    try (Database database = Database.open(file)) {
      Store store = Store.of(database);
      store.studio().ensure("Years", ZONE, Instant.now());
      YearsFolder folderOfYears = new YearsFolder(store, years, seed);
      for (int client = 0; client < Math.min(clients, WORKED_OUT); client++) {
        folderOfYears.live(client);
      }
      folderOfYears.studio.write(
          WHO,
          () -> {
            folderOfYears.replay.runUntil(at(folderOfYears.today, 0, 0));
            return null;
          });
    }
    try {
      copy(file, (clients + WORKED_OUT - 1) / WORKED_OUT);
    } catch (SQLException failed) {
      throw new IOException(failed);
    }
    return folder;
  }

  /** An id of that moment; the digits that tell copies apart are zero. */
  private UUID nextId() {
    return new UUID(
        replay.instant().toEpochMilli() << 16 | 0x7000, 0x8000_0000_0000_0000L | ++made);
  }

  private static Instant at(LocalDate day, int hour, int minute) {
    return day.atTime(LocalTime.of(hour, minute)).atZone(ZONE).toInstant();
  }

  /** The years of one client. */
  private void live(int number) {
    replay.at(
        at(first, 8, number),
        () -> {
          Client client =
              new AddClient(studio)
                  .by(
                      WHO,
                      Client.Details.of(
                          FIRST.get(number % FIRST.size()) + " " + LAST.get(number / FIRST.size()),
                          "",
                          first.minusYears(25 + number).minusDays(number),
                          number % 2 == 0 ? Sex.FEMALE : Sex.MALE,
                          studio.today()));
          live(client.id(), 56 + random.nextInt(14));
        });
  }

  private void live(UUID client, int usual) {
    int week = 0;
    for (LocalDate monday = first; monday.isBefore(today); monday = monday.plusWeeks(1)) {
      if (week % 48 == 0) {
        replay.at(at(monday, 9, 0), () -> answer(client));
        replay.at(at(monday, 9, 30), () -> test(client));
      }
      if (week % WEEKS_A_PROGRAMME == 0) {
        replay.at(at(monday, 10, 0), () -> prescribe(client));
      } else {
        int next = week % WEEKS_A_PROGRAMME + 1;
        replay.at(at(monday, 8, 15), () -> decide(client, next));
      }
      week++;
    }
    int days = 0;
    for (LocalDate day = first; day.isBefore(today); day = day.plusDays(1)) {
      if (days++ % 10 == 0) {
        replay.at(at(day, 6, 30), () -> count(client, usual));
      }
      replay.at(at(day, 18, 20), () -> train(client, usual));
    }
  }

  private void answer(UUID client) {
    int read = studio.store().intakes().of(client).size();
    new AnswerIntake(studio)
        .by(
            WHO,
            client,
            read,
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
                OptionalInt.empty()));
  }

  private void test(UUID client) {
    int bpm = 178 + random.nextInt(12);
    new RecordMaximum(studio)
        .by(
            WHO,
            client,
            (stamp, restingBpm) ->
                MeasuredMaximum.of(
                    stamp.id(),
                    Mode.RUN,
                    MaximumKind.FIELD_TEST,
                    "Bouts on a slope",
                    Optional.of(Grade.FAIR),
                    bpm,
                    stamp.day(),
                    "",
                    Optional.empty(),
                    restingBpm,
                    stamp.at(),
                    stamp.zone()));
  }

  private void count(UUID client, int usual) {
    PulseCount count = PulseCount.of(usual + random.nextInt(5) - 2, CountWindow.S60);
    new RecordReading(studio)
        .by(
            WHO,
            client,
            (stamp, person) ->
                RestingReading.counted(stamp.id(), stamp.at(), count, Posture.SEATED, 6, Set.of()));
  }

  /** A prescription, and eight weeks laid out from it. */
  private void prescribe(UUID client) {
    Start start =
        Start.of(studio.head(client).screening(), Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN);
    new SavePrescription(studio).by(WHO, client, OptionalInt.empty(), start.parts());
    int read = studio.store().programmes().current(client).map(SavedProgramme::version).orElse(0);
    LocalDate monday = studio.today();
    new LayOutProgramme(studio)
        .by(
            WHO,
            client,
            read,
            new Wanted(
                monday,
                monday.plusWeeks(WEEKS_A_PROGRAMME).minusDays(1),
                DAYS,
                start.parts().minutes(),
                start.parts().days(),
                Optional.empty(),
                Optional.empty()));
  }

  private void decide(UUID client, int week) {
    int read = studio.store().programmes().current(client).orElseThrow().version();
    new DecideWeek(studio).by(WHO, client, read, week, Decided.asProposed());
  }

  /** Checked in before what was planned for the day, and logged. */
  private void train(UUID client, int usual) {
    LocalDate day = studio.today();
    for (SavedSession session : studio.store().planned().between(day, day)) {
      if (session.clientId().equals(client) && session.state() == SavedSession.State.PLANNED) {
        new CheckInClient(studio)
            .by(
                WHO,
                client,
                CheckIn.pulse(
                    usual + random.nextInt(5) - 2, Posture.SEATED, PulseSource.COUNT, true, false),
                verdict -> Optional.empty());
        boolean missed = random.nextInt(12) == 0;
        new LogSessions(studio)
            .by(
                WHO,
                List.of(
                    new Done(
                        client,
                        Optional.of(session.number()),
                        day,
                        Optional.empty(),
                        !missed,
                        Optional.empty(),
                        Optional.empty(),
                        missed ? Optional.empty() : Optional.of(12),
                        Optional.empty(),
                        Set.of(),
                        "",
                        Optional.empty())));
      }
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
