package app.korvel.store;

import com.github.f4b6a3.uuid.UuidCreator;
import java.util.UUID;

/** Where ids come from; passed in, so that tests are exact. */
@FunctionalInterface
public interface Ids {
  /** A new id, a UUIDv7: ids sort in the order in which they were made. */
  UUID next();

  /** The source that is used outside tests. */
  static Ids timeOrdered() {
    return UuidCreator::getTimeOrderedEpochPlus1;
  }
}
