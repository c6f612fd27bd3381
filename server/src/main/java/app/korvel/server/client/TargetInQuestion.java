package app.korvel.server.client;

import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Parts;
import app.korvel.core.prescription.Start;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Screening;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The target that a choice of maximum or a new value is compared with. */
@Component
public class TargetInQuestion {
  private final ClientRecords records;

  TargetInQuestion(ClientRecords records) {
    this.records = records;
  }

  /**
   * A range in percent of reserve.
   *
   * @param mode that it is done in
   * @param prescribed whether it is prescribed; otherwise it is where the client would start
   */
  public record AimView(int lowPercent, int highPercent, Mode mode, boolean prescribed) {}

  /** What is prescribed, in its mode; without a prescription, where the client would start. */
  public AimView of(Client client) {
    Optional<Parts> prescribed = prescribed(client);
    return of(client, prescribed, prescribed.map(Parts::mode).orElse(Mode.RUN));
  }

  /** What is prescribed in that mode; else where the client would start in it. */
  public AimView of(Client client, Mode mode) {
    return of(client, prescribed(client).filter(parts -> parts.mode() == mode), mode);
  }

  private Optional<Parts> prescribed(Client client) {
    return records.head(client.id()).prescription().map(made -> made.prescription().parts());
  }

  private AimView of(Client client, Optional<Parts> prescribed, Mode mode) {
    Parts parts =
        prescribed.orElseGet(
            () -> {
              Screening screening = records.screening(client);
              Goal goal = screening.answers().goal().orElse(Goal.GENERAL_FITNESS);
              return Start.of(screening, goal, Optional.empty(), mode).parts();
            });
    return new AimView(parts.lowPercent(), parts.highPercent(), mode, prescribed.isPresent());
  }
}
