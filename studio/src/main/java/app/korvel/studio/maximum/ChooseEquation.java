package app.korvel.studio.maximum;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.MaximumEstimates;
import app.korvel.studio.Actor;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.util.Optional;
import java.util.UUID;

/** Chooses the equation by which a client's maximum is estimated, in every mode. */
public record ChooseEquation(Studio studio) {
  /**
   * Another equation than the default is used from now on.
   *
   * @throws app.korvel.core.measure.InvalidValueException when there is no such equation, or no
   *     reason is given
   */
  public void by(Actor who, UUID client, String method, String reason) {
    studio.write(
        who,
        () -> {
          MaximumEstimates estimates =
              studio.openHead(client).baseline().maximumRecord().estimates();
          return keep(client, Optional.of(estimates.choose(method, reason, studio.today())));
        });
  }

  /** Back to the default; nothing is kept where it is in use already. */
  public void none(Actor who, UUID client) {
    studio.write(
        who, () -> studio.openHead(client).choice().isPresent() && keep(client, Optional.empty()));
  }

  private boolean keep(UUID client, Optional<Choice> choice) {
    Stamp stamp = studio.stamp();
    studio.store().maximumChoices().add(stamp.id(), client, choice, stamp.day(), stamp.at());
    return true;
  }
}
