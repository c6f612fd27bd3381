package app.korvel.studio.client;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.screening.Client;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import java.util.List;

/** Adds several people at once: all of them, or nobody. */
public record AddClients(Studio studio) {
  /** How many are added at once at most. */
  public static final int MOST = 500;

  /**
   * Adds them, each at version 1.
   *
   * @throws InvalidValueException when there are none, or more than {@value #MOST}
   */
  public List<Client> by(Actor who, List<Client.Details> people) {
    if (people.isEmpty() || people.size() > MOST) {
      throw InvalidValueException.of(
          "clients", people.size() + " people cannot be added at once", "1 to " + MOST);
    }
    AddClient add = new AddClient(studio);
    return studio.write(who, () -> people.stream().map(each -> add.by(who, each)).toList());
  }
}
