package app.korvel.studio.demo;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.Outcome;
import app.korvel.core.checkin.Verdict;
import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Start;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Palpation;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSite;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.Rhythm;
import app.korvel.core.pulse.Strength;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Answers;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Equipment;
import app.korvel.core.screening.Goal;
import app.korvel.core.screening.Sex;
import app.korvel.core.screening.Topic;
import app.korvel.studio.Actor;
import app.korvel.studio.ClientHead;
import app.korvel.studio.Studio;
import app.korvel.studio.checkin.CheckInClient;
import app.korvel.studio.client.AddClient;
import app.korvel.studio.live.OpenLiveSession;
import app.korvel.studio.prescription.SavePrescription;
import app.korvel.studio.pulse.RecordReading;
import app.korvel.studio.screening.AnswerIntake;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;

/**
 * Enough people for a simulated room: those of the demo who may train today, and as many more
 * trainees of the line, all of them invented, as are wanted.
 */
public record Trainees(Studio studio) {
  private static final List<String> FIRST =
      List.of(
          "Anouk",
          "Baltasar",
          "Chidi",
          "Dagny",
          "Emre",
          "Fenna",
          "Goran",
          "Halla",
          "Itzel",
          "Jarek");

  private static final List<String> LAST =
      List.of("Quist-Ueda", "Marlowe-Nkemi", "Tengesdal", "Pavlov-Ruiz", "Aalto-Reyes", "Vinther");

  /**
   * So many who may train now, checked in where they were not yet.
   *
   * @param count 1 or more
   */
  public List<UUID> ready(Actor who, int count) {
    List<UUID> ready = new ArrayList<>();
    Set<String> names = new HashSet<>();
    for (Client client : studio.store().clients().find("", false)) {
      names.add(client.details().name());
      if (ready.size() < count && !client.archived() && ready(who, client.id())) {
        ready.add(client.id());
      }
    }
    for (int n = 0; ready.size() < count && n < FIRST.size() * LAST.size(); n++) {
      String name = FIRST.get(n % FIRST.size()) + " " + LAST.get(n / FIRST.size());
      if (!names.contains(name)) {
        UUID client = add(who, name, n);
        if (ready(who, client)) {
          ready.add(client);
        }
      }
    }
    return ready;
  }

  private boolean ready(Actor who, UUID client) {
    ClientHead head = studio.head(client);
    OpenLiveSession open = new OpenLiveSession(studio);
    boolean on =
        studio.store().live().openNow().stream().anyMatch(each -> each.clientId().equals(client));
    if (on) {
      return false;
    }
    try {
      if (open.today(head).isEmpty()) {
        head.leading();
        head = checkIn(who, client, head);
      }
      return open.today(head).filter(each -> each.outcome() == Outcome.GO).isPresent()
          && open.proposal(head, OpenLiveSession.Wanted.prescribed())
              .plan()
              .mover()
              .reserve()
              .isPresent();
    } catch (RefusedException notToday) {
      return false;
    }
  }

  private ClientHead checkIn(Actor who, UUID client, ClientHead head) {
    CheckInClient task = new CheckInClient(studio);
    Optional<CheckIn> found =
        head.usual()
            .map(pulse -> CheckIn.pulse(pulse.bpm(), pulse.posture(), pulse.source(), true, false));
    // Nobody is checked in as anything but ready.
    found
        .filter(each -> Verdict.of(each, task.known(head)).outcome() == Outcome.GO)
        .ifPresent(each -> task.by(who, client, each, verdict -> Optional.empty()));
    return studio.head(client);
  }

  private UUID add(Actor who, String name, int n) {
    LocalDate birthDate = studio.today().minusYears(19 + n * 7 % 40).minusDays(30);
    UUID client =
        new AddClient(studio)
            .by(
                who,
                Client.Details.of(
                    name,
                    "trainee · simulated room",
                    birthDate,
                    n % 2 == 0 ? Sex.FEMALE : Sex.MALE,
                    studio.today()))
            .id();
    new AnswerIntake(studio)
        .by(
            who,
            client,
            0,
            new Answers(
                Set.of(Topic.values()),
                Activity.REGULAR,
                false,
                Set.of(),
                Set.of(),
                List.of(),
                List.of(),
                Optional.of(Goal.GENERAL_FITNESS),
                Set.of(DayOfWeek.values()),
                Set.of(Equipment.PATHS),
                OptionalInt.empty(),
                Optional.empty(),
                OptionalInt.empty()));
    new RecordReading(studio)
        .by(
            who,
            client,
            (stamp, person) ->
                RestingReading.counted(
                        stamp.id(),
                        stamp.at(),
                        PulseCount.of(58 + n * 5 % 17, CountWindow.S60),
                        Posture.SEATED,
                        10,
                        Set.of())
                    .withFelt(
                        new Palpation(
                            Optional.of(PulseSite.RADIAL),
                            Optional.of(Rhythm.STEADY),
                            Optional.of(Strength.NORMAL))));
    Start start =
        Start.of(studio.head(client).screening(), Goal.GENERAL_FITNESS, Optional.empty(), Mode.RUN);
    new SavePrescription(studio).by(who, client, OptionalInt.empty(), start.parts());
    return client;
  }
}
