package app.korvel.server.zone;

import app.korvel.core.maximum.Mode;
import app.korvel.core.measure.FindingKind;
import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.core.prescription.Groundwork;
import app.korvel.core.prescription.Prescription.Ways;
import app.korvel.core.screening.Client;
import app.korvel.core.zone.Anchors;
import app.korvel.core.zone.Reserve;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.ThresholdRates;
import app.korvel.core.zone.Uncertainty;
import app.korvel.core.zone.Zones;
import app.korvel.exchange.SchemeFile;
import app.korvel.server.client.ClientRecords;
import app.korvel.server.studio.StudioClock;
import app.korvel.server.studio.StudioSettings;
import app.korvel.server.web.NotFoundException;
import app.korvel.server.web.OneWrite;
import app.korvel.server.web.Problems;
import app.korvel.server.web.TooLargeException;
import app.korvel.server.zone.SchemeViews.ClientSchemeRequest;
import app.korvel.server.zone.SchemeViews.SchemeArchiveRequest;
import app.korvel.server.zone.SchemeViews.SchemeChangeRequest;
import app.korvel.server.zone.SchemeViews.SchemeList;
import app.korvel.server.zone.SchemeViews.SchemeRequest;
import app.korvel.server.zone.SchemeViews.SchemeTrial;
import app.korvel.server.zone.SchemeViews.SchemeTrialRequest;
import app.korvel.server.zone.SchemeViews.SchemeView;
import app.korvel.server.zone.SchemeViews.TrialRow;
import app.korvel.server.zone.SchemeViews.WaysRequest;
import app.korvel.server.zone.SchemeViews.WaysView;
import app.korvel.server.zone.SchemeViews.WrittenScheme;
import app.korvel.server.zone.ZoneController.ChosenView;
import app.korvel.server.zone.ZoneViews.ZonesView;
import app.korvel.store.Ids;
import app.korvel.store.SavedScheme;
import app.korvel.store.SchemeRepository;
import app.korvel.store.StaleVersionException;
import app.korvel.store.StudioRepository.Settings;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Schemes: those there are, the studio's own, files in and out, and which is shown to whom. */
@RestController
class SchemeController {
  /** The span on which a scheme is tried where no client is named. */
  private static final Anchors EXAMPLE =
      Anchors.of(Reserve.of(60, 180), Optional.of(ThresholdRates.of(126, 156)));

  /** A ruler each: more are not looked at together. */
  private static final int MOST_TRIED = 6;

  private final SchemeRepository own;
  private final SchemeShelf shelf;
  private final StudioSettings settings;
  private final ClientRecords records;
  private final ClientAnchors anchors;
  private final StudioClock clock;
  private final Ids ids;

  SchemeController(
      SchemeRepository own,
      SchemeShelf shelf,
      StudioSettings settings,
      ClientRecords records,
      ClientAnchors anchors,
      StudioClock clock,
      Ids ids) {
    this.own = own;
    this.shelf = shelf;
    this.settings = settings;
    this.records = records;
    this.anchors = anchors;
    this.clock = clock;
    this.ids = ids;
  }

  @GetMapping("/api/schemes")
  SchemeList list() {
    Settings now = settings.now();
    List<SchemeView> views = new ArrayList<>();
    for (Scheme scheme : shelf.all()) {
      if (!scheme.own()) {
        views.add(SchemeView.of(scheme, null, own.chosenFor(scheme.id())));
      }
    }
    own.all().stream().map(this::view).forEach(views::add);
    return new SchemeList(views, now.version(), now.ways().scheme(), now.ways().family());
  }

  @GetMapping("/api/schemes/{id}")
  SchemeView one(@PathVariable String id) {
    return SchemeShelf.shipped(id)
        .map(scheme -> SchemeView.of(scheme, null, own.chosenFor(id)))
        .orElseGet(() -> view(saved(id)));
  }

  /** The scheme as a file to pass on; docs/scheme-file.md describes it. */
  @GetMapping(value = "/api/schemes/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<byte[]> file(@PathVariable String id) {
    Scheme scheme = SchemeShelf.shipped(id).orElseGet(() -> saved(id).scheme());
    String name = scheme.name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".json";
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(SchemeFile.write(scheme));
  }

  /** Reads a file; nothing is kept. */
  @PostMapping(value = "/api/schemes/read", consumes = MediaType.APPLICATION_JSON_VALUE)
  WrittenScheme read(@RequestBody byte[] file) {
    if (file.length > SchemeFile.MOST_BYTES) {
      throw new TooLargeException(
          "The file has " + file.length + " bytes. Accepted: a scheme file of up to 64 KiB.");
    }
    return WrittenScheme.of(SchemeFile.read(file));
  }

  @OneWrite
  @PostMapping("/api/schemes")
  @ResponseStatus(HttpStatus.CREATED)
  SchemeView add(@RequestBody SchemeRequest request) {
    return view(own.add(checked(ids.next().toString(), request), clock.now()));
  }

  @OneWrite
  @PutMapping("/api/schemes/{id}")
  SchemeView change(@PathVariable String id, @RequestBody SchemeChangeRequest request) {
    saved(id);
    return own.change(request.version(), checked(id, request.scheme()), clock.now())
        .map(this::view)
        .orElseThrow(() -> unknown(id));
  }

  /** Puts one away, or brings one back; one that is in use stays. */
  @OneWrite
  @PutMapping("/api/schemes/{id}/archived")
  SchemeView archive(@PathVariable String id, @RequestBody SchemeArchiveRequest request) {
    if (request.archived()) {
      inUse(id)
          .ifPresent(
              use -> {
                throw RefusedException.because(FindingKind.SCHEME_IN_USE.of(use));
              });
    } else {
      checkFree(saved(id).scheme());
    }
    return own.archive(id, request.version(), request.archived(), clock.now())
        .map(this::view)
        .orElseThrow(() -> unknown(id));
  }

  /** The scheme as it is written, on several clients; nothing is kept. */
  @PostMapping("/api/schemes/trial")
  SchemeTrial tryOn(@RequestBody SchemeTrialRequest request) {
    Scheme scheme = request.scheme().written().checked("trial");
    if (request.clients().size() > MOST_TRIED) {
      throw InvalidValueException.of(
          "clients",
          "names " + request.clients().size(),
          "up to " + MOST_TRIED + " clients at once");
    }
    if (request.clients().isEmpty()) {
      ZonesView zones = zones(scheme, EXAMPLE, Uncertainty.USUAL, OptionalInt.empty());
      return new SchemeTrial(List.of(new TrialRow(null, "Example", zones, "")));
    }
    return new SchemeTrial(
        request.clients().stream().map(client -> tryOn(scheme, records.client(client))).toList());
  }

  private TrialRow tryOn(Scheme scheme, Client client) {
    String name = client.details().name();
    try {
      Groundwork ground = records.groundwork(client, Mode.RUN);
      Anchors from = anchors.of(client, ground, scheme);
      ZonesView zones = zones(scheme, from, ground.uncertainty(), ground.capBpm());
      return new TrialRow(client.id(), name, zones, "");
    } catch (RefusedException refused) {
      return new TrialRow(client.id(), name, null, refused.getMessage());
    }
  }

  private ZonesView zones(Scheme scheme, Anchors from, Uncertainty uncertainty, OptionalInt cap) {
    return ZonesView.of(
        Zones.of(scheme, from, uncertainty, cap), uncertainty, settings.ways().family());
  }

  /** What the studio has chosen for everyone is changed. */
  @OneWrite
  @PutMapping("/api/studio/ways")
  WaysView choose(@RequestBody WaysRequest request) {
    Scheme scheme = shelf.of(request.scheme());
    Settings now = settings.change(request.version(), new Ways(request.rpeFamily(), scheme.id()));
    return WaysView.of(now);
  }

  /** Which scheme a client's bands are shown in from now on. */
  @OneWrite
  @PutMapping("/api/clients/{id}/scheme")
  ChosenView choose(@PathVariable UUID id, @RequestBody ClientSchemeRequest request) {
    Client client = records.open(id);
    Optional<String> scheme =
        Optional.ofNullable(request.scheme()).map(chosen -> shelf.of(chosen).id());
    if (!scheme.equals(shelf.chosen(client))) {
      own.choose(ids.next(), id, scheme, clock.today(), clock.now());
    }
    return ChosenView.of(shelf, settings, client);
  }

  /** Undoes the latest choice for a client: what was chosen before it stands again. */
  @OneWrite
  @PostMapping("/api/clients/{id}/scheme/{choice}/undo")
  ChosenView undo(@PathVariable UUID id, @PathVariable UUID choice) {
    Client client = records.open(id);
    if (!own.undo(id, choice, ids.next(), clock.now())) {
      throw new NotFoundException("This client has no choice of a scheme " + choice + ".");
    }
    return ChosenView.of(shelf, settings, client);
  }

  /** Nothing is lost: the answer carries the record as it is now, the asker still has theirs. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    Object current = stale.current(Object.class);
    return Problems.stale(
        stale,
        current instanceof SavedScheme scheme ? view(scheme) : WaysView.of((Settings) current));
  }

  private SchemeView view(SavedScheme saved) {
    Scheme scheme = saved.scheme();
    return SchemeView.of(scheme, saved.version(), own.chosenFor(scheme.id()));
  }

  private Scheme checked(String id, SchemeRequest request) {
    Scheme scheme = request.written().checked(id);
    checkFree(scheme);
    return scheme;
  }

  /** Two of one name could not be told apart. */
  private void checkFree(Scheme scheme) {
    boolean taken =
        shelf.all().stream()
            .filter(other -> !other.id().equals(scheme.id()))
            .anyMatch(other -> other.name().equalsIgnoreCase(scheme.name()));
    if (taken) {
      throw InvalidValueException.of(
          "name", "is the name of another scheme", "a name that no scheme has yet");
    }
  }

  private Optional<String> inUse(String id) {
    List<String> uses = new ArrayList<>();
    if (settings.ways().scheme().equals(id)) {
      uses.add("it is the studio's");
    }
    List<String> clients = own.chosenFor(id);
    if (!clients.isEmpty()) {
      uses.add("chosen for " + String.join(", ", clients));
    }
    return uses.isEmpty() ? Optional.empty() : Optional.of(String.join("; ", uses));
  }

  private SavedScheme saved(String id) {
    return own.get(id).orElseThrow(() -> unknown(id));
  }

  private static NotFoundException unknown(String id) {
    return new NotFoundException("No scheme has the id " + id + ".");
  }
}
