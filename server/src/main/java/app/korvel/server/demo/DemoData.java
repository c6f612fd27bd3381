package app.korvel.server.demo;

import static app.korvel.core.screening.Activity.HIGH;
import static app.korvel.core.screening.Activity.LITTLE;
import static app.korvel.core.screening.Activity.NONE;
import static app.korvel.core.screening.Activity.REGULAR;
import static app.korvel.core.screening.Activity.SOME;
import static app.korvel.core.screening.Sex.FEMALE;
import static app.korvel.core.screening.Sex.MALE;
import static app.korvel.core.screening.Sex.NOT_GIVEN;

import app.korvel.core.maximum.Choice;
import app.korvel.core.maximum.Mode;
import app.korvel.core.prescription.Goal;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Prescription;
import app.korvel.core.prescription.Start;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Disturbance;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.RestingReading;
import app.korvel.core.pulse.WorkingResting;
import app.korvel.core.screening.Activity;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Person.Health;
import app.korvel.core.screening.Sex;
import app.korvel.store.ClientRepository;
import app.korvel.store.Ids;
import app.korvel.store.MaximumChoiceRepository;
import app.korvel.store.PrescriptionRepository;
import app.korvel.store.ReadingRepository;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * The invented crew of a small island ferry line, with a year of counts up to today.
 *
 * <p>The same every time but for the dates, which are counted back from today.
 */
public final class DemoData {

  /** What the demo's studio is called. */
  public static final String STUDIO = "Crew fitness, island ferries";

  private static final Health WELL = Health.NOTHING_KNOWN;
  private static final int DAYS = 360;
  private static final int EVERY_DAYS = 19;

  private final ClientRepository clients;
  private final ReadingRepository readings;
  private final MaximumChoiceRepository choices;
  private final PrescriptionRepository prescriptions;
  private final ZoneId zone;
  private final Instant now;
  private final LocalDate today;
  private final Ids ids = Ids.timeOrdered();

  public DemoData(
      ClientRepository clients,
      ReadingRepository readings,
      MaximumChoiceRepository choices,
      PrescriptionRepository prescriptions,
      ZoneId zone,
      Instant now) {
    this.clients = clients;
    this.readings = readings;
    this.choices = choices;
    this.prescriptions = prescriptions;
    this.zone = zone;
    this.now = now;
    this.today = LocalDate.ofInstant(now, zone);
  }

  /**
   * One of the crew.
   *
   * @param restingThen resting rate a year ago
   * @param restingNow resting rate today
   * @param lastDaysAgo how long ago the last count was; −1 for someone not counted yet
   * @param goal what they train for; empty where nothing is prescribed yet
   */
  private record Crew(
      String name,
      String note,
      int age,
      Sex sex,
      Activity activity,
      Health health,
      boolean consent,
      int restingThen,
      int restingNow,
      int lastDaysAgo,
      Optional<Goal> goal) {}

  private static final List<Crew> CREW =
      List.of(
          crew(
              "Ines Okafor-Lund",
              "deckhand, night boat · walks and stairs",
              46,
              FEMALE,
              SOME,
              WELL,
              72,
              64,
              2,
              Goal.GENERAL_FITNESS),
          crew(
              "Tomasz Wielgor",
              "engine crew · rows skiffs six days a week",
              34,
              MALE,
              HIGH,
              WELL,
              49,
              45,
              5,
              Goal.COMPETITION),
          crew(
              "Marguerite Adeyo",
              "ticket office · on a beta-blocker for migraine",
              58,
              FEMALE,
              LITTLE,
              new Health(false, false, true),
              62,
              58,
              9,
              Goal.GENERAL_FITNESS),
          crew(
              "Ragnar Holtvik",
              "retired pilot · stent two years ago",
              66,
              MALE,
              SOME,
              new Health(true, false, true),
              63,
              60,
              6,
              Goal.DAILY_ACTIVITY),
          crew(
              "Lupe Tamatoa",
              "shore staff · valve trouble since childhood",
              52,
              FEMALE,
              REGULAR,
              new Health(true, false, false),
              70,
              66,
              12,
              null),
          new Crew(
              "Sefa Brandvik",
              "apprentice deckhand · swims",
              16,
              NOT_GIVEN,
              REGULAR,
              WELL,
              true,
              68,
              64,
              3,
              Optional.of(Goal.ENDURANCE)),
          crew(
              "Noor Dalen-Aziz",
              "ticket office at weekends · new this month",
              17,
              FEMALE,
              LITTLE,
              WELL,
              76,
              76,
              8,
              null),
          crew(
              "Hyun-woo Castell",
              "deckhand · cycles to the pier",
              29,
              MALE,
              REGULAR,
              WELL,
              60,
              57,
              1,
              Goal.ENDURANCE),
          crew(
              "Agnethe Moravik",
              "retired pilot · walks the sea wall",
              74,
              FEMALE,
              SOME,
              WELL,
              73,
              69,
              4,
              Goal.DAILY_ACTIVITY),
          crew(
              "Bram Okonje",
              "engine crew · gone quiet since spring",
              41,
              MALE,
              NONE,
              WELL,
              84,
              82,
              96,
              Goal.DAILY_ACTIVITY),
          crew(
              "Pilar Ostergran",
              "shore staff · heart failure, cardiac team at the county hospital",
              61,
              FEMALE,
              NONE,
              new Health(false, true, true),
              74,
              72,
              10,
              null),
          crew(
              "Ewan Petrosk",
              "winch house · back from a long flu",
              49,
              MALE,
              LITTLE,
              WELL,
              84,
              104,
              2,
              null),
          crew(
              "Yara Fonotele",
              "ticket office · first sea-wall run done",
              27,
              FEMALE,
              REGULAR,
              WELL,
              66,
              61,
              7,
              Goal.GENERAL_FITNESS),
          crew(
              "Dmitri Halvor-Cho",
              "deckhand · started this week",
              38,
              MALE,
              NONE,
              WELL,
              0,
              0,
              -1,
              null));

  private static Crew crew(
      String name,
      String note,
      int age,
      Sex sex,
      Activity activity,
      Health health,
      int restingThen,
      int restingNow,
      int lastDaysAgo,
      Goal goal) {
    return new Crew(
        name,
        note,
        age,
        sex,
        activity,
        health,
        false,
        restingThen,
        restingNow,
        lastDaysAgo,
        Optional.ofNullable(goal));
  }

  /** An equation other than the default, by name of the client: which, why, how long ago. */
  private static final Map<String, PickedEquation> PICKED =
      Map.of(
          "Hyun-woo Castell",
          new PickedEquation(
              "nes-211", "Reached 190 twice on the pier hill this autumn; a test is planned.", 24));

  private record PickedEquation(String method, String reason, int daysAgo) {}

  /** Who mistyped a count that was put right later, and what was typed. */
  private static final Map<String, Integer> MISTYPED = Map.of("Ines Okafor-Lund", 46);

  /** Who has left, and is put away. */
  private static final Crew LEFT =
      crew(
          "Imre Valstad",
          "deckhand · moved to another line in summer",
          44,
          MALE,
          SOME,
          WELL,
          70,
          68,
          140,
          Goal.GENERAL_FITNESS);

  /** Writes everything. */
  public void write() {
    Random random = new Random(20);
    for (Crew each : CREW) {
      write(each, random);
    }
    clients.archive(write(LEFT, random).id(), 1, true, now);
  }

  private Client write(Crew crew, Random random) {
    LocalDate birthDate = today.minusYears(crew.age).minusDays(20 + random.nextInt(300));
    Client client =
        clients.add(
            ids.next(),
            Client.Details.of(
                crew.name,
                crew.note,
                birthDate,
                crew.sex,
                crew.activity,
                crew.health,
                crew.consent,
                today),
            now);
    List<RestingReading> taken = new ArrayList<>();
    if (crew.lastDaysAgo >= 0) {
      for (int daysAgo = DAYS; daysAgo > crew.lastDaysAgo; daysAgo -= EVERY_DAYS) {
        taken.add(reading(crew, daysAgo, random));
      }
      taken.add(reading(crew, crew.lastDaysAgo, random));
      int asTaken = taken.size() - (MISTYPED.containsKey(crew.name) ? 1 : 0);
      readings.addAll(client.id(), taken.subList(0, asTaken), now);
      if (asTaken < taken.size()) {
        mistypeAndPutRight(client, taken.get(asTaken), MISTYPED.get(crew.name));
      }
    }
    Optional<Choice> choice =
        Optional.ofNullable(PICKED.get(crew.name))
            .map(
                picked -> Choice.of(picked.method, picked.reason, today.minusDays(picked.daysAgo)));
    choice.ifPresent(made -> choices.add(ids.next(), client.id(), choice, made.chosenOn(), now));
    crew.goal.ifPresent(goal -> prescribe(client, taken, choice, goal));
    return client;
  }

  private void mistypeAndPutRight(Client client, RestingReading right, int typedBpm) {
    RestingReading typed =
        RestingReading.counted(
            ids.next(),
            right.takenAt(),
            PulseCount.of(typedBpm, CountWindow.S60),
            right.posture(),
            right.minutesRested(),
            right.disturbances());
    readings.add(client.id(), typed, now);
    readings.correct(client.id(), typed.id(), right, now);
  }

  private RestingReading reading(Crew crew, int daysAgo, Random random) {
    int drift = (crew.restingThen - crew.restingNow) * (daysAgo - crew.lastDaysAgo) / DAYS;
    int bpm = crew.restingNow + drift + random.nextInt(5) - 2;
    Instant takenAt =
        today
            .minusDays(daysAgo)
            .atTime(LocalTime.of(6 + random.nextInt(2), random.nextInt(60)))
            .atZone(zone)
            .toInstant();
    if (takenAt.isAfter(now)) {
      takenAt = now;
    }
    if (crew.activity == HIGH) {
      return RestingReading.sampled(
          ids.next(), takenAt, bpm, Posture.LYING, PulseSource.STRAP, 10, Set.of());
    }
    boolean coffee = random.nextInt(6) == 0;
    CountWindow window = random.nextInt(4) == 0 ? CountWindow.S30 : CountWindow.S60;
    int beats = window == CountWindow.S30 ? (bpm + 1) / 2 : bpm;
    return RestingReading.counted(
        ids.next(),
        takenAt,
        PulseCount.of(beats, window),
        Posture.SEATED,
        5 + random.nextInt(6),
        coffee ? Set.of(Disturbance.CAFFEINE) : Set.of());
  }

  private void prescribe(
      Client client, List<RestingReading> taken, Optional<Choice> choice, Goal goal) {
    Mode mode = client.details().activity() == HIGH ? Mode.ROW : Mode.RUN;
    Groundwork ground =
        Groundwork.of(client, WorkingResting.of(taken, today, zone), mode, choice, today);
    Start start = Start.of(ground.person(), ground.permission(), goal, Optional.empty(), mode);
    prescriptions.add(ids.next(), client.id(), Prescription.of(ground, start.parts()), now);
  }
}
