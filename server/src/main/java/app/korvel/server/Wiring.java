package app.korvel.server;

import app.korvel.server.calendar.Tokens;
import app.korvel.server.demo.DemoData;
import app.korvel.server.practice.Seeds;
import app.korvel.server.studio.StudioClock;
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
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ProgrammeRepository;
import app.korvel.store.ReadingRepository;
import app.korvel.store.SchemeRepository;
import app.korvel.store.SessionLogRepository;
import app.korvel.store.StudioRepository;
import app.korvel.store.SubscriptionRepository;
import app.korvel.store.ThresholdRepository;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Base64;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.util.FileSystemUtils;

/** Puts the store under the controllers. */
@Configuration(proxyBeanMethods = false)
class Wiring {

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }

  @Bean
  Ids ids(StudioClock clock) {
    return Ids.timeOrdered(clock::now);
  }

  @Bean
  DataFolder dataFolder(
      @Value("${korvel.data:}") String data, @Value("${korvel.demo:false}") boolean demo)
      throws IOException {
    if (!demo) {
      Path folder = data.isBlank() ? Path.of("korvel-data") : Path.of(data);
      return new DataFolder(Files.createDirectories(folder.toAbsolutePath()), false);
    }
    Path folder = Files.createTempDirectory("korvel-demo-");
    Runtime.getRuntime()
        .addShutdownHook(new Thread(() -> FileSystemUtils.deleteRecursively(folder.toFile())));
    return new DataFolder(folder, true);
  }

  @Bean
  Database database(DataFolder folder) {
    return Database.open(folder.database());
  }

  @Bean
  ClientRepository clientRepository(Database database) {
    return new ClientRepository(database);
  }

  @Bean
  IntakeRepository intakeRepository(Database database) {
    return new IntakeRepository(database);
  }

  @Bean
  ClearanceRepository clearanceRepository(Database database) {
    return new ClearanceRepository(database);
  }

  @Bean
  ConsentRepository consentRepository(Database database) {
    return new ConsentRepository(database);
  }

  @Bean
  CheckInRepository checkInRepository(Database database) {
    return new CheckInRepository(database);
  }

  @Bean
  ClassCountRepository classCountRepository(Database database) {
    return new ClassCountRepository(database);
  }

  @Bean
  PracticeRepository practiceRepository(Database database) {
    return new PracticeRepository(database);
  }

  @Bean
  Seeds seeds() {
    SecureRandom chance = new SecureRandom();
    return () -> chance.nextInt(Integer.MAX_VALUE);
  }

  @Bean
  ReadingRepository readingRepository(Database database) {
    return new ReadingRepository(database);
  }

  @Bean
  MaximumChoiceRepository maximumChoiceRepository(Database database) {
    return new MaximumChoiceRepository(database);
  }

  @Bean
  MeasuredMaximumRepository measuredMaximumRepository(Database database) {
    return new MeasuredMaximumRepository(database);
  }

  @Bean
  FieldTestRepository fieldTestRepository(Database database) {
    return new FieldTestRepository(database);
  }

  @Bean
  EffortRepository effortRepository(Database database) {
    return new EffortRepository(database);
  }

  @Bean
  SchemeRepository schemeRepository(Database database) {
    return new SchemeRepository(database);
  }

  @Bean
  ThresholdRepository thresholdRepository(Database database) {
    return new ThresholdRepository(database);
  }

  @Bean
  PrescriptionRepository prescriptionRepository(Database database) {
    return new PrescriptionRepository(database);
  }

  @Bean
  OutlineRepository outlineRepository(Database database) {
    return new OutlineRepository(database);
  }

  @Bean
  ProgrammeRepository programmeRepository(Database database) {
    return new ProgrammeRepository(database);
  }

  @Bean
  BusyRepository busyRepository(Database database) {
    return new BusyRepository(database);
  }

  @Bean
  PlannedSessionRepository plannedSessionRepository(Database database) {
    return new PlannedSessionRepository(database);
  }

  @Bean
  SessionLogRepository sessionLogRepository(Database database) {
    return new SessionLogRepository(database);
  }

  @Bean
  SubscriptionRepository subscriptionRepository(Database database) {
    return new SubscriptionRepository(database);
  }

  @Bean
  Tokens tokens() {
    SecureRandom chance = new SecureRandom();
    return () -> {
      byte[] token = new byte[32];
      chance.nextBytes(token);
      return Base64.getUrlEncoder().withoutPadding().encodeToString(token);
    };
  }

  @Bean
  StudioRepository studioRepository(DataFolder folder, Database database, Clock clock) {
    StudioRepository studio = new StudioRepository(database);
    studio.ensure(folder.demo() ? DemoData.STUDIO : "Studio", clock.getZone(), clock.instant());
    if (folder.demo()) {
      new DemoData(database, studio.timeZone(), clock.instant()).write();
    }
    return studio;
  }
}
