package app.korvel.store;

import com.github.f4b6a3.uuid.factory.standard.TimeOrderedEpochFactory;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.UUID;

/** Where ids come from; passed in, so that tests are exact. */
@FunctionalInterface
public interface Ids {
  /** A new id, a UUIDv7: ids sort in the order in which they were made. */
  UUID next();

  /** Ids of the machine's clock. */
  static Ids timeOrdered() {
    return timeOrdered(InstantSource.system());
  }

  /** Ids of that clock. */
  static Ids timeOrdered(InstantSource clock) {
    TimeOrderedEpochFactory factory =
        TimeOrderedEpochFactory.builder()
            .withIncrementPlus1()
            .withClock(clock.withZone(ZoneOffset.UTC))
            .build();
    return factory::create;
  }
}
