package app.korvel.core.prescription;

import app.korvel.core.measure.Threshold;
import app.korvel.core.screening.Clearance;
import app.korvel.core.screening.Decision.ClearanceNeeded;
import app.korvel.core.screening.Screening;
import app.korvel.core.screening.WrittenLimit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The day by which something handed out is to be made anew: the earliest of the days on which what
 * it stands on is due.
 *
 * @param on the day
 * @param because what is due then, as a clause
 */
public record Renewal(LocalDate on, String because) {

  /**
   * When a prescription is to be made anew.
   *
   * @param shown what is handed out; without a target, nothing measured is waited for
   * @param baseline what it stands on today, in its mode
   * @param nextBirthday on which an estimated maximum moves
   */
  public static Renewal of(Prescription shown, ClientBaseline baseline, LocalDate nextBirthday) {
    Screening screening = baseline.screening();
    List<Renewal> due = new ArrayList<>();
    due.add(
        new Renewal(
            shown.date().plusWeeks(Threshold.REVIEW_AFTER.whole()),
            "reviewed every " + Threshold.REVIEW_AFTER.whole() + " weeks"));
    if (screening.decision().clearanceNeeded() != ClearanceNeeded.NONE) {
      screening
          .clearance()
          .map(Clearance::until)
          .ifPresent(last -> due.add(new Renewal(last, "the clearance ends")));
    }
    WrittenLimit.holding(screening.answers().limits(), screening.date()).stream()
        .map(WrittenLimit::until)
        .flatMap(Optional::stream)
        .forEach(last -> due.add(new Renewal(last, "a written limit ends")));
    screening
        .rescreening()
        .ifPresent(last -> due.add(new Renewal(last, "the screening is due again")));
    if (shown.target().isPresent()) {
      due.addAll(measured(baseline, nextBirthday));
    }
    return earliest(due);
  }

  /**
   * When rates worked out from the resting value and the maximum are to be worked out anew.
   *
   * @param baseline where both are known
   * @param nextBirthday on which an estimated maximum moves
   */
  public static Renewal ofRates(ClientBaseline baseline, LocalDate nextBirthday) {
    return earliest(measured(baseline, nextBirthday));
  }

  /** Whether the day has come. */
  public boolean due(LocalDate today) {
    return !today.isBefore(on);
  }

  private static List<Renewal> measured(ClientBaseline baseline, LocalDate nextBirthday) {
    List<Renewal> due = new ArrayList<>();
    baseline
        .resting()
        .ifPresent(
            resting -> due.add(new Renewal(resting.dueOn(), "the resting pulse is due again")));
    baseline
        .maximum()
        .map(
            maximum ->
                maximum
                    .measured()
                    .map(value -> new Renewal(value.dueOn(), "the maximum is due again"))
                    .orElseGet(
                        () -> new Renewal(nextBirthday, "a birthday moves the estimated maximum")))
        .ifPresent(due::add);
    return due;
  }

  private static Renewal earliest(List<Renewal> due) {
    return due.stream().min(Comparator.comparing(Renewal::on)).orElseThrow();
  }
}
