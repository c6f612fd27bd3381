package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.korvel.core.maximum.Mode;
import app.korvel.core.outline.Bounds;
import app.korvel.core.outline.Outlines;
import app.korvel.core.outline.Outlines.Named;
import app.korvel.core.outline.WorkType;
import app.korvel.core.prescription.Approach;
import app.korvel.core.prescription.ClientBaseline;
import app.korvel.core.prescription.Fitt;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.programme.Availability;
import app.korvel.core.programme.MinutesDone;
import app.korvel.core.programme.Pace;
import app.korvel.core.programme.Plan;
import app.korvel.core.programme.Programme;
import app.korvel.core.programme.ProgrammeGoal;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.OnRecord;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.Sex;
import app.korvel.core.zone.Reserve.Percents;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Programmes, version by version, and the studio's own outlines. */
class ProgrammeStoreTest {
  private static final Instant NOW = Instant.parse("2026-05-20T08:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2026, 5, 20);

  @TempDir Path folder;
  private Database database;
  private ProgrammeRepository programmes;
  private OutlineRepository outlines;
  private PrescriptionRepository prescriptions;
  private Client client;
  private Prescription made;
  private final Ids ids = Ids.timeOrdered();

  @BeforeEach
  void open() {
    database = Database.open(folder.resolve("korvel.db"));
    programmes = new ProgrammeRepository(database);
    outlines = new OutlineRepository(database);
    prescriptions = new PrescriptionRepository(database);
    client =
        new ClientRepository(database)
            .add(
                ids.next(),
                new Client.Details("Someone", "", LocalDate.of(1980, 2, 29), Sex.NOT_GIVEN),
                NOW);
    Fitt parts =
        new Fitt(
            Goal.GENERAL_FITNESS, Approach.GUIDELINE, 40, 50, 20, 3, WorkType.STEADY, Mode.RUN);
    RestingReading reading =
        RestingReading.counted(
            ids.next(),
            NOW.minusSeconds(60),
            PulseCount.of(64, CountWindow.S60),
            Posture.SEATED,
            5,
            Set.of());
    made =
        Prescription.of(
            ClientBaseline.of(
                Screening.of(client, Optional.empty(), OnRecord.NOTHING, DAY, ZoneOffset.UTC),
                WorkingResting.of(List.of(reading), DAY, ZoneOffset.UTC),
                Mode.RUN,
                Optional.empty()),
            parts);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private Programme programme() {
    return Programme.of(
        new Plan(
            made.parts(),
            new ProgrammeGoal(60, 30, 4),
            new Pace(false, 0, true, 0),
            Bounds.FOR_ANYONE,
            DAY,
            DAY.plusWeeks(26).minusDays(1),
            EnumSet.allOf(DayOfWeek.class)));
  }

  private UUID prescribed() {
    return prescriptions.add(ids.next(), client.id(), OptionalInt.empty(), made, NOW).id();
  }

  @Test
  void aProgrammeComesBackAsItWasKeptAndEveryVersionStays() {
    UUID from = prescribed();
    Programme laid = programme().use(3, Optional.of(Outlines.SHIPPED.get(1)));
    SavedProgramme first = programmes.save(ids.next(), client.id(), 0, from, laid, NOW, DAY);
    assertThat(programmes.current(client.id())).contains(first);
    Programme changed = laid.move(1, DAY.plusDays(1)).skip(2, true);
    SavedProgramme second = programmes.save(ids.next(), client.id(), 1, from, changed, NOW, DAY);
    assertThat(second.version()).isEqualTo(2);
    assertThat(programmes.current(client.id()).orElseThrow().programme()).isEqualTo(changed);
    assertThat(programmes.get(client.id(), 1).orElseThrow().programme()).isEqualTo(laid);
    assertThat(programmes.current(List.of(client.id())).get(client.id()).programme())
        .isEqualTo(changed);
    assertThat(programmes.get(client.id(), 3)).isEmpty();
  }

  /** From before a week had easier days, and before a prescription named them. */
  @Test
  void olderProgrammesAndPrescriptionsAreReadWhole() {
    UUID from = prescribed();
    Programme laid = programme();
    programmes.save(ids.next(), client.id(), 0, from, laid, NOW, DAY);
    database.write(
        connection -> {
          Database.change(
              connection,
              """
              update programme set document = json_set(json_remove(document,
                '$.programme.sessions[0].easier', '$.programme.sessions[1].easier'), '$.v', 2)
              """);
          return Database.change(
              connection,
              "update prescription set document ="
                  + " json_set(json_remove(document, '$.prescription.otherDays'), '$.v', 4)");
        });
    assertThat(programmes.current(client.id()).orElseThrow().programme()).isEqualTo(laid);
    assertThat(prescriptions.of(client.id()).get(0).prescription()).isEqualTo(made);
  }

  /** What a calendar reads: only what changed goes up, and what was dropped is not forgotten. */
  @Test
  void theSessionsOfAProgrammeAreKeptByDay() {
    PlannedSessionRepository planned = new PlannedSessionRepository(database);
    UUID from = prescribed();
    Programme laid = programme();
    programmes.save(ids.next(), client.id(), 0, from, laid, NOW, DAY);
    List<SavedSession> all = planned.of(client.id());
    assertThat(all).hasSameSizeAs(laid.sessions());
    assertThat(all.get(0))
        .isEqualTo(
            new SavedSession(
                client.id(),
                1,
                laid.sessions().get(0).date(),
                Optional.empty(),
                Mode.RUN,
                20,
                37,
                new Percents(40, 50),
                SavedSession.State.PLANNED,
                1,
                NOW));
    Instant later = NOW.plusSeconds(60);
    Programme changed = laid.move(2, DAY.plusDays(3)).skip(3, true);
    programmes.save(ids.next(), client.id(), 1, from, changed, later, DAY);
    assertThat(planned.of(client.id()).stream().filter(each -> each.sequence() == 2))
        .extracting(SavedSession::number)
        .containsExactlyInAnyOrder(2, 3);
    assertThat(planned.get(client.id(), 3).orElseThrow().state())
        .isEqualTo(SavedSession.State.SKIPPED);
    int next = planned.nextNumber(client.id());
    assertThat(next).isEqualTo(laid.sessions().size() + 1);

    // Another programme from the second week on: the first week is over and stays.
    LocalDate second = DAY.plusWeeks(1);
    Plan plan = laid.plan();
    Programme other =
        Programme.of(
            new Plan(
                plan.first(),
                plan.aims(),
                plan.pace(),
                plan.bounds(),
                second,
                second.plusWeeks(4).minusDays(1),
                plan.weekdays()),
            Availability.FREE,
            next,
            MinutesDone.NONE);
    programmes.save(ids.next(), client.id(), 2, from, other, later, second);
    assertThat(planned.between(DAY, DAY.plusDays(6))).hasSize(3);
    assertThat(planned.between(second, DAY.plusWeeks(40)))
        .extracting(SavedSession::number)
        .allMatch(number -> number >= next);
    assertThat(planned.get(client.id(), 9).orElseThrow().state())
        .isEqualTo(SavedSession.State.GONE);
    assertThat(planned.since(DAY)).hasSize(laid.sessions().size() + other.sessions().size());
    assertThat(planned.toLog(DAY, DAY.plusDays(6))).hasSize(2);
    assertThat(planned.nextNumber(client.id())).isEqualTo(next + other.sessions().size());
  }

  /** What a programme was before weeks were decided: it still reads, and its days are there. */
  @Test
  void aProgrammeOfAnEarlierVersionIsReadWhole() throws SQLException {
    UUID from = prescribed();
    Programme laid = programme().use(3, Optional.of(Outlines.SHIPPED.get(1))).skip(2, true);
    programmes.save(ids.next(), client.id(), 0, from, laid, NOW, DAY);
    List<SavedSession> written = new PlannedSessionRepository(database).of(client.id());
    database.write(
        connection -> {
          Database.change(connection, "delete from planned_session");
          Database.change(
              connection,
              "update programme set document = json_set(json_remove(document,"
                  + " '$.programme.decisions', '$.programme.plan.time'), '$.v', 1)");
          return null;
        });
    assertThat(programmes.current(client.id()).orElseThrow().programme()).isEqualTo(laid);
    String migration;
    try (InputStream file =
        Database.class.getResourceAsStream("/app/korvel/store/migration/V8__sessions.sql")) {
      migration = new String(file.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    int begins = migration.indexOf("insert into planned_session");
    String insert = migration.substring(begins, migration.indexOf(';', begins));
    database.write(connection -> Database.change(connection, insert));
    assertThat(new PlannedSessionRepository(database).of(client.id()))
        .usingRecursiveFieldByFieldElementComparatorIgnoringFields("range")
        .containsExactlyElementsOf(written);
  }

  @Test
  void twoWhoChangeOneAreTold() {
    UUID from = prescribed();
    SavedProgramme first = programmes.save(ids.next(), client.id(), 0, from, programme(), NOW, DAY);
    assertThatThrownBy(
            () -> programmes.save(ids.next(), client.id(), 0, from, programme(), NOW, DAY))
        .isInstanceOfSatisfying(
            StaleVersionException.class,
            stale -> assertThat(stale.current(SavedProgramme.class)).isEqualTo(first));
    assertThatThrownBy(
            () -> programmes.save(ids.next(), UUID.randomUUID(), 4, from, programme(), NOW, DAY))
        .isInstanceOf(StaleVersionException.class);

    prescriptions.add(ids.next(), client.id(), OptionalInt.of(1), made, NOW);
    assertThatThrownBy(
            () -> prescriptions.add(ids.next(), client.id(), OptionalInt.of(1), made, NOW))
        .isInstanceOf(StaleVersionException.class);
    assertThat(prescriptions.of(client.id())).hasSize(2);
  }

  @Test
  void anOutlineIsChangedPutAwayAndBroughtBack() {
    Named mine =
        Named.checked(ids.next().toString(), "Pier", "", Outlines.SHIPPED.get(3).outline());
    assertThat(outlines.add(mine, NOW)).isEqualTo(new SavedOutline(1, mine, false));
    assertThat(outlines.get(mine.id()).orElseThrow().named()).isEqualTo(mine);
    Named other = Named.checked(mine.id(), "Mole", "", Outlines.SHIPPED.get(4).outline());
    SavedOutline second = outlines.change(1, other, NOW).orElseThrow();
    assertThat(second).isEqualTo(new SavedOutline(2, other, false));
    assertThatThrownBy(() -> outlines.change(1, mine, NOW))
        .isInstanceOf(StaleVersionException.class);
    assertThat(outlines.archive(mine.id(), 2, true, NOW).orElseThrow().archived()).isTrue();
    assertThat(outlines.all()).isEmpty();
    outlines.archive(mine.id(), 3, false, NOW);
    assertThat(outlines.all()).hasSize(1);
  }
}
