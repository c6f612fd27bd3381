package app.korvel.empty;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Nothing but the framework and its web server: the yardstick for the start. */
@SpringBootApplication
public class EmptyApplication {
  public static void main(String[] args) {
    SpringApplication.run(EmptyApplication.class, args);
  }
}
