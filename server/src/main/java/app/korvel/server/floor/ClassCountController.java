package app.korvel.server.floor;

import app.korvel.core.checkin.CheckIn;
import app.korvel.core.checkin.ClassCheck;
import app.korvel.core.checkin.Known;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.Threshold;
import app.korvel.core.pulse.BackToRest;
import app.korvel.core.pulse.CountWindow;
import app.korvel.core.pulse.Posture;
import app.korvel.core.pulse.PulseCount;
import app.korvel.core.pulse.PulseSource;
import app.korvel.core.pulse.UsualPulse;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Screening;
import app.korvel.server.checkin.CheckInDesk;
import app.korvel.server.client.ClientHead;
import app.korvel.server.client.ClientHeads;
import app.korvel.server.client.ClientName;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.floor.ClassCountViews.BeatsRequest;
import app.korvel.server.floor.ClassCountViews.CallView;
import app.korvel.server.floor.ClassCountViews.CheckTheseRequest;
import app.korvel.server.floor.ClassCountViews.ClassRequest;
import app.korvel.server.floor.ClassCountViews.ClassStart;
import app.korvel.server.floor.ClassCountViews.ClassView;
import app.korvel.server.floor.ClassCountViews.CountedView;
import app.korvel.server.floor.ClassCountViews.LastClass;
import app.korvel.server.floor.ClassCountViews.MadeCheckIn;
import app.korvel.server.floor.ClassCountViews.MadeCheckIns;
import app.korvel.server.floor.ClassCountViews.PersonRow;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.store.CheckInRepository;
import app.korvel.store.ClassCountRepository;
import app.korvel.store.ClientRepository;
import app.korvel.store.Ids;
import app.korvel.store.SavedCheckIn;
import app.korvel.store.SavedClassCount;
import app.korvel.store.SavedClassCount.Entry;
import app.korvel.store.SavedClassCount.Moment;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A class counts together: one clock for the room, then each person's number. */
@RestController
class ClassCountController {
  private static final int LARGEST_CLASS = 200;
  private static final CountWindow RECOUNT = CountWindow.S60;

  private final ClassCountRepository classes;
  private final ClientRepository clients;
  private final ClientHeads heads;
  private final CheckInRepository checkIns;
  private final CheckInDesk desk;
  private final ClientRecords records;
  private final StudioClock clock;
  private final Ids ids;

  ClassCountController(
      ClassCountRepository classes,
      ClientRepository clients,
      ClientHeads heads,
      CheckInRepository checkIns,
      CheckInDesk desk,
      ClientRecords records,
      StudioClock clock,
      Ids ids) {
    this.classes = classes;
    this.clients = clients;
    this.heads = heads;
    this.checkIns = checkIns;
    this.desk = desk;
    this.records = records;
    this.clock = clock;
    this.ids = ids;
  }

  @GetMapping("/api/class-counts/start")
  ClassStart start() {
    List<Client> all = clients.find("", false);
    Set<UUID> present = all.stream().map(Client::id).collect(Collectors.toSet());
    return new ClassStart(
        ClientName.of(all),
        classes
            .latest()
            .map(
                last ->
                    new LastClass(
                        last.id(),
                        last.startedAt(),
                        last.members().stream().filter(present::contains).toList()))
            .orElse(null));
  }

  @OneWrite
  @PostMapping("/api/class-counts")
  @ResponseStatus(HttpStatus.CREATED)
  ClassView begin(@RequestBody ClassRequest request) {
    SavedClassCount saved =
        new SavedClassCount(
            ids.next(),
            request.moment(),
            CountWindow.of(request.windowSeconds()),
            request.posture() == null ? Posture.SEATED : request.posture(),
            request.settled() == null || request.settled(),
            clock.now(),
            stoppedAt(request),
            Optional.ofNullable(request.follows()),
            people(request));
    classes.add(saved);
    return view(saved);
  }

  private List<UUID> people(ClassRequest request) {
    List<UUID> people = request.people();
    if (people.isEmpty() || people.size() > LARGEST_CLASS) {
      throw InvalidValueException.of(
          "people",
          people.isEmpty() ? "names nobody" : "names " + people.size() + " people",
          "1 to " + LARGEST_CLASS + " people");
    }
    if (new HashSet<>(people).size() < people.size()) {
      throw InvalidValueException.of("people", "names someone twice", "each person once");
    }
    people.forEach(records::open);
    return people;
  }

  /** When the work ended: told, or as the round before has it. */
  private Optional<Instant> stoppedAt(ClassRequest request) {
    if (request.moment() == Moment.BEFORE) {
      if (request.follows() != null || request.minutesAfter() != null) {
        throw InvalidValueException.of(
            request.follows() == null ? "minutesAfter" : "follows",
            "belongs to a count after the session",
            "nothing before it");
      }
      return Optional.empty();
    }
    if (request.follows() != null) {
      return Optional.of(
          classes
              .get(request.follows())
              .flatMap(SavedClassCount::stoppedAt)
              .orElseThrow(
                  () ->
                      InvalidValueException.of(
                          "follows", "is no count after a session", "the round before")));
    }
    int minutes = request.minutesAfter() == null ? 0 : request.minutesAfter();
    return Optional.of(clock.now().minus(Duration.ofMinutes(minutes)));
  }

  @GetMapping("/api/class-counts/{id}")
  ClassView get(@PathVariable UUID id) {
    return view(known(id));
  }

  /** Enters what was counted with the room, or mends it. */
  @OneWrite
  @PutMapping("/api/class-counts/{id}/people/{person}/count")
  PersonRow enter(
      @PathVariable UUID id, @PathVariable UUID person, @RequestBody BeatsRequest request) {
    return enter(id, person, false, SavedClassCount::window, request);
  }

  /** Enters the second count of a first odd value. */
  @OneWrite
  @PutMapping("/api/class-counts/{id}/people/{person}/recount")
  PersonRow recount(
      @PathVariable UUID id, @PathVariable UUID person, @RequestBody BeatsRequest request) {
    return enter(id, person, true, known -> RECOUNT, request);
  }

  private PersonRow enter(
      UUID id,
      UUID person,
      boolean again,
      Function<SavedClassCount, CountWindow> window,
      BeatsRequest request) {
    SavedClassCount saved = known(id);
    Client client = member(saved, person);
    PulseCount count = PulseCount.of(request.beats(), window.apply(saved));
    classes.enter(ids.next(), id, new Entry(person, again, count, clock.now()));
    return row(saved, client);
  }

  /** Takes back what was counted with the room. */
  @OneWrite
  @DeleteMapping("/api/class-counts/{id}/people/{person}/count")
  PersonRow clear(@PathVariable UUID id, @PathVariable UUID person) {
    return clear(id, person, false);
  }

  /** Takes back the second count. */
  @OneWrite
  @DeleteMapping("/api/class-counts/{id}/people/{person}/recount")
  PersonRow clearRecount(@PathVariable UUID id, @PathVariable UUID person) {
    return clear(id, person, true);
  }

  private PersonRow clear(UUID id, UUID person, boolean again) {
    SavedClassCount saved = known(id);
    Client client = member(saved, person);
    classes.withdraw(ids.next(), id, person, again, clock.now());
    return row(saved, client);
  }

  /**
   * Keeps a check-in for everyone whose pulse speaks against nothing and whose context asks for
   * nothing more, but for those who are left out. That they are well was asked of the room.
   */
  @OneWrite
  @PostMapping("/api/class-counts/{id}/checkins")
  @ResponseStatus(HttpStatus.CREATED)
  MadeCheckIns checkIn(
      @PathVariable UUID id, @RequestBody(required = false) @Nullable CheckTheseRequest request) {
    SavedClassCount saved = known(id);
    Set<UUID> leftOut =
        request == null || request.leaveOut() == null ? Set.of() : Set.copyOf(request.leaveOut());
    if (!saved.members().containsAll(leftOut)) {
      throw InvalidValueException.of(
          "leaveOut", "names somebody who is not of this class", "people of this class");
    }
    if (saved.moment() != Moment.BEFORE) {
      throw InvalidValueException.of(
          "id", "is a count after the session", "a count before the session");
    }
    List<MadeCheckIn> made = new ArrayList<>();
    for (PersonRow row : view(saved).people()) {
      if (row.readyToCheckIn() && !leftOut.contains(row.id())) {
        CountedView counted = row.again() == null ? row.first() : row.again();
        CheckIn found =
            CheckIn.pulse(
                counted.bpm(),
                saved.posture(),
                PulseSource.COUNT,
                saved.settled(),
                row.again() != null);
        SavedCheckIn kept = desk.keep(records.client(row.id()), found, verdict -> Optional.empty());
        made.add(new MadeCheckIn(row.id(), kept.id()));
      }
    }
    return new MadeCheckIns(made);
  }

  private SavedClassCount known(UUID id) {
    return classes
        .get(id)
        .orElseThrow(() -> new NotFoundException("No class count has the id " + id + "."));
  }

  private Client member(SavedClassCount saved, UUID person) {
    if (!saved.members().contains(person)) {
      throw new NotFoundException("This class count has nobody of the id " + person + ".");
    }
    return records.open(person);
  }

  private ClassView view(SavedClassCount saved) {
    Map<UUID, ClientHead> known = heads.of(saved.members());
    Counted counted = counted(saved);
    List<PersonRow> rows = saved.members().stream().map(known::get).map(counted::row).toList();
    return ClassView.of(
        saved, counted.at(), Threshold.BACK_TO_REST_AGAIN.whole(), RECOUNT.seconds(), rows);
  }

  private PersonRow row(SavedClassCount saved, Client client) {
    return counted(saved).row(heads.of(List.of(client.id())).get(client.id()));
  }

  private Counted counted(SavedClassCount saved) {
    return new Counted(saved, classes.entries(saved.id()), checkIns.on(clock.today()));
  }

  /** A class and what was counted of it. */
  private final class Counted {
    private final SavedClassCount saved;
    private final List<Entry> entries;
    private final Map<UUID, SavedCheckIn> checkedIn;

    Counted(SavedClassCount saved, List<Entry> entries, Map<UUID, SavedCheckIn> checkedIn) {
      this.saved = saved;
      this.entries = entries;
      this.checkedIn = checkedIn;
    }

    PersonRow row(ClientHead head) {
      Client client = head.client();
      Screening screening = head.screening();
      Optional<UsualPulse> known = head.usual();
      Optional<PulseCount> first = count(client, false);
      Optional<PulseCount> again = count(client, true);
      Optional<PulseCount> latest = again.or(() -> first);
      OptionalInt usual =
          known.map(value -> OptionalInt.of(value.bpm())).orElse(OptionalInt.empty());
      boolean before = saved.moment() == Moment.BEFORE;
      Optional<SavedCheckIn> today = Optional.ofNullable(checkedIn.get(client.id()));
      Optional<ClassCheck> check =
          latest
              .filter(count -> before)
              .map(
                  count ->
                      ClassCheck.of(
                          count,
                          saved.posture(),
                          saved.settled(),
                          again.isPresent(),
                          Known.of(clock.today(), screening, known, List.of()),
                          today.map(SavedCheckIn::outcome)));
      return new PersonRow(
          client.id(),
          client.details().name(),
          usual.isPresent() ? usual.getAsInt() : null,
          first.map(CountedView::of).orElse(null),
          again.map(CountedView::of).orElse(null),
          before
              ? check.map(CallView::of).orElse(null)
              : latest
                  .map(count -> CallView.of(BackToRest.of(count.bpm(), usual, minutesSince())))
                  .orElse(null),
          check.map(ClassCheck::alsoAsked).orElse(List.of()),
          today.isPresent(),
          check.filter(ClassCheck::nothingAgainst).isPresent()
              && today.isEmpty()
              && !client.archived());
    }

    private Optional<PulseCount> count(Client client, boolean again) {
      return entries.stream()
          .filter(entry -> entry.clientId().equals(client.id()) && entry.again() == again)
          .map(Entry::count)
          .findFirst();
    }

    /** From the end of the work to the first number entered, which was counted just before. */
    private long minutesSince() {
      Instant countedAt = at().orElse(clock.now());
      return Math.max(0, Duration.between(saved.stoppedAt().orElseThrow(), countedAt).toMinutes());
    }

    /** When the first number was entered. */
    Optional<Instant> at() {
      return entries.stream().map(Entry::at).min(Comparator.naturalOrder());
    }
  }
}
