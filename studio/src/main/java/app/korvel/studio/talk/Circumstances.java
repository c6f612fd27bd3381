package app.korvel.studio.talk;

import app.korvel.core.checkin.CheckIn.SelfReport;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.screening.MedicineClass;
import app.korvel.core.screening.Person;
import app.korvel.core.talk.NotUsed;
import app.korvel.core.talk.OddDay;
import app.korvel.store.SavedCheckIn;
import app.korvel.studio.Studio;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What a client's day says of their talk: as the check-in of that day has it.
 *
 * @param odd what makes it unusual
 * @param doubts why no check of it is used
 */
public record Circumstances(Set<OddDay> odd, Set<NotUsed> doubts) {
  private static final Map<SelfReport, OddDay> TOLD =
      Map.of(
          SelfReport.HEAT, OddDay.HEAT,
          SelfReport.POOR_AIR, OddDay.HEAT,
          SelfReport.NO_SLEEP, OddDay.LITTLE_SLEEP,
          SelfReport.FEVER, OddDay.ILLNESS_COMING);

  /** Check-ins are looked for among so many of the latest. */
  private static final int LATEST = 30;

  /** Those of a day. */
  public static Circumstances of(Studio studio, UUID client, Person person, LocalDate day) {
    Set<OddDay> odd = EnumSet.noneOf(OddDay.class);
    Set<NotUsed> doubts = EnumSet.noneOf(NotUsed.class);
    if (person.takes(MedicineClass.RATE_RAISING)) {
      odd.add(OddDay.RAISING_MEDICINE);
    }
    Optional<SavedCheckIn> checkIn =
        studio.store().checkIns().of(client, LATEST).stream()
            .filter(each -> each.on().equals(day))
            .findFirst();
    checkIn.ifPresent(
        each -> {
          each.checkIn().told().stream()
              .filter(TOLD::containsKey)
              .forEach(told -> odd.add(TOLD.get(told)));
          if (each.outcome() == Outcome.LIGHT_ONLY) {
            odd.add(OddDay.LIGHT_ONLY);
          } else if (each.outcome() == Outcome.NOT_TODAY) {
            doubts.add(NotUsed.NOT_TODAY);
          }
        });
    return new Circumstances(odd, doubts);
  }
}
