package app.korvel.server;

import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;
import org.springframework.core.env.SimpleCommandLinePropertySource;

/**
 * Starts the server.
 *
 * <p>Options: {@code --server.port=N}, {@code --korvel.data=DIR} or {@code --korvel.demo=true}.
 */
@SpringBootApplication
public class KorvelServer {

  /** The exit code when the start is refused with one clear line. */
  private static final int REFUSED = 2;

  public static void main(String[] args) {
    SimpleCommandLinePropertySource options = new SimpleCommandLinePropertySource(args);
    try {
      StartChecks.port(options.getProperty("server.port"));
      StartChecks.dataFolder(options.getProperty("korvel.data")).ifPresent(KorvelServer::hold);
      StartChecks.upgrade(options.getProperty("korvel.data")).ifPresent(System.out::println);
      System.out.println(readyLine(start(args)));
    } catch (RuntimeException failed) {
      String line = StartChecks.line(failed);
      if (line.isEmpty()) {
        throw failed;
      }
      System.err.println(line);
      System.exit(REFUSED);
    }
  }

  /** The lock of the data folder, held as long as this process runs. */
  private static FolderLock lock;

  private static void hold(FolderLock taken) {
    lock = taken;
  }

  /** Starts the server in this process; closing the context stops it. */
  public static ConfigurableApplicationContext start(String... args) {
    SpringApplication application = new SpringApplication(KorvelServer.class);
    application.setDefaultProperties(Map.of("korvel.demo", "false"));
    return application.run(args);
  }

  private static String readyLine(ConfigurableApplicationContext context) {
    Environment environment = context.getEnvironment();
    int port = ((WebServerApplicationContext) context).getWebServer().getPort();
    return "Korvel is ready: http://127.0.0.1:"
        + port
        + (environment.getProperty("korvel.demo", Boolean.class, false)
            ? "  (demo data, gone when it stops)"
            : "  (data in " + context.getBean(DataFolder.class).path() + ")");
  }
}
