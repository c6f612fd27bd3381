package app.korvel.server;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/**
 * A clock for the server that a test sets: nothing is waited for. It is handed to the servers that
 * want it, and not found by the others.
 */
class SetClock {
  private static Duration passed = Duration.ZERO;

  /** Lets that much time go by. */
  static void letPass(Duration time) {
    passed = passed.plus(time);
  }

  static Instant now() {
    return Instant.now().plus(passed);
  }

  static LocalDate today() {
    return LocalDate.ofInstant(now(), ZoneId.systemDefault());
  }

  @Bean
  @Primary
  Clock clockThatIsSet() {
    return new Clock() {
      @Override
      public ZoneId getZone() {
        return ZoneId.systemDefault();
      }

      @Override
      public Clock withZone(ZoneId zone) {
        throw new UnsupportedOperationException();
      }

      @Override
      public Instant instant() {
        return now();
      }
    };
  }
}
