package app.korvel.studio.screening;

import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Intake;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Stamp;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/** Keeps what a client answered at intake as the next version. */
public record AnswerIntake(Studio studio) {
  /**
   * Keeps the answers. The same ones given again on a later day, or after a change was told, are a
   * version of their own: they confirm.
   *
   * @param read the version that was read, 0 where there was none
   * @throws app.korvel.core.measure.InvalidValueException when an answer cannot be
   * @throws app.korvel.store.StaleVersionException when others were kept since
   */
  public void by(Actor who, UUID client, int read, Answers answered) {
    studio.write(
        who,
        () -> {
          ClientHead head = studio.openHead(client);
          Stamp stamp = studio.stamp();
          Answers answers = answered.check(restingBpm(head), stamp.day());
          boolean due = head.screening().due();
          return studio
              .store()
              .intakes()
              .add(
                  stamp.id(),
                  client,
                  read,
                  before ->
                      !due && saidToday(before, answers, stamp)
                          ? Optional.empty()
                          : Optional.of(
                              Intake.following(before, answers, stamp.at(), stamp.zone())));
        });
  }

  private static boolean saidToday(List<Intake> before, Answers answers, Stamp stamp) {
    return before.stream()
        .limit(1)
        .anyMatch(
            last ->
                last.answers().equals(answers)
                    && LocalDate.ofInstant(last.recordedAt(), stamp.zone()).equals(stamp.day()));
  }

  private static OptionalInt restingBpm(ClientHead head) {
    return head.baseline().resting().stream().mapToInt(WorkingResting::bpm).findFirst();
  }
}
