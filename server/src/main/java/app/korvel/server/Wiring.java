package app.korvel.server;

import app.korvel.server.calendar.Tokens;
import app.korvel.server.practice.Seeds;
import app.korvel.store.Database;
import app.korvel.store.Store;
import app.korvel.studio.Studio;
import app.korvel.studio.demo.DemoData;
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

/** Puts the studio under the controllers. */
@Configuration(proxyBeanMethods = false)
class Wiring {

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
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
  Seeds seeds() {
    SecureRandom chance = new SecureRandom();
    return () -> chance.nextInt(Integer.MAX_VALUE);
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
  Studio studio(DataFolder folder, Database database, Clock clock) {
    Store store = Store.of(database);
    store
        .studio()
        .ensure(folder.demo() ? DemoData.STUDIO : "Studio", clock.getZone(), clock.instant());
    if (folder.demo()) {
      new DemoData(store, clock.instant()).write();
    }
    return new Studio(store, clock);
  }
}
