package app.korvel.server.zone;

import app.korvel.core.prescription.Prescription.DisplaySettings;
import app.korvel.core.zone.Scheme;
import app.korvel.exchange.SchemeFile;
import app.korvel.server.web.Problems;
import app.korvel.server.web.TooLargeException;
import app.korvel.server.zone.SchemeViews.ClientSchemeRequest;
import app.korvel.server.zone.SchemeViews.DisplaySettingsRequest;
import app.korvel.server.zone.SchemeViews.DisplaySettingsView;
import app.korvel.server.zone.SchemeViews.SchemeArchiveRequest;
import app.korvel.server.zone.SchemeViews.SchemeChangeRequest;
import app.korvel.server.zone.SchemeViews.SchemeList;
import app.korvel.server.zone.SchemeViews.SchemeRequest;
import app.korvel.server.zone.SchemeViews.SchemeTrial;
import app.korvel.server.zone.SchemeViews.SchemeTrialRequest;
import app.korvel.server.zone.SchemeViews.SchemeView;
import app.korvel.server.zone.SchemeViews.WrittenScheme;
import app.korvel.server.zone.ZoneRequests.ChosenView;
import app.korvel.store.SavedScheme;
import app.korvel.store.StaleVersionException;
import app.korvel.store.StudioRepository.Settings;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.zone.ChooseDisplaySettings;
import app.korvel.studio.zone.ChooseScheme;
import app.korvel.studio.zone.OwnSchemes;
import app.korvel.studio.zone.SchemeCatalog;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
  private final Studio studio;
  private final OwnSchemes own;

  SchemeController(Studio studio) {
    this.studio = studio;
    this.own = new OwnSchemes(studio);
  }

  @GetMapping("/api/schemes")
  SchemeList list() {
    Settings now = studio.settings().now();
    List<SchemeView> views = new ArrayList<>();
    for (Scheme scheme : new SchemeCatalog(studio).all()) {
      if (!scheme.own()) {
        views.add(SchemeView.of(scheme, null, studio.store().schemes().chosenFor(scheme.id())));
      }
    }
    studio.store().schemes().all().stream().map(this::view).forEach(views::add);
    return new SchemeList(views, now.version(), now.ways().scheme(), now.ways().family());
  }

  @GetMapping("/api/schemes/{id}")
  SchemeView one(@PathVariable String id) {
    return SchemeCatalog.shipped(id)
        .map(scheme -> SchemeView.of(scheme, null, studio.store().schemes().chosenFor(id)))
        .orElseGet(() -> view(own.saved(id)));
  }

  /** The scheme as a file to pass on; docs/scheme-file.md describes it. */
  @GetMapping(value = "/api/schemes/{id}/file", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<byte[]> file(@PathVariable String id) {
    Scheme scheme = SchemeCatalog.shipped(id).orElseGet(() -> own.saved(id).scheme());
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
          "The file has " + file.length + " bytes. Accepted: a zone system file of up to 64 KiB.");
    }
    return WrittenScheme.of(SchemeFile.read(file));
  }

  @PostMapping("/api/schemes")
  @ResponseStatus(HttpStatus.CREATED)
  SchemeView add(Actor who, @RequestBody SchemeRequest request) {
    return view(own.add(who, request.written()));
  }

  @PutMapping("/api/schemes/{id}")
  SchemeView change(Actor who, @PathVariable String id, @RequestBody SchemeChangeRequest request) {
    return view(own.change(who, id, request.version(), request.scheme().written()));
  }

  @PutMapping("/api/schemes/{id}/archived")
  SchemeView archive(
      Actor who, @PathVariable String id, @RequestBody SchemeArchiveRequest request) {
    return view(own.archive(who, id, request.version(), request.archived()));
  }

  /** The scheme as it is written, on several clients; nothing is kept. */
  @PostMapping("/api/schemes/trial")
  SchemeTrial tryOn(@RequestBody SchemeTrialRequest request) {
    return new SchemeTrials(studio).of(request);
  }

  /** What the studio has chosen for everyone is changed. */
  @PutMapping("/api/studio/ways")
  DisplaySettingsView choose(Actor who, @RequestBody DisplaySettingsRequest request) {
    DisplaySettings ways = new DisplaySettings(request.rpeFamily(), request.scheme());
    return DisplaySettingsView.of(
        new ChooseDisplaySettings(studio).by(who, request.version(), ways));
  }

  /** Which scheme a client's bands are shown in from now on. */
  @PutMapping("/api/clients/{id}/scheme")
  ChosenView choose(Actor who, @PathVariable UUID id, @RequestBody ClientSchemeRequest request) {
    new ChooseScheme(studio).by(who, id, Optional.ofNullable(request.scheme()));
    return ChosenView.of(new SchemeCatalog(studio), id);
  }

  /** Nothing is lost: the answer carries the record as it is now, the asker still has theirs. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    Object current = stale.current(Object.class);
    return Problems.stale(
        stale,
        current instanceof SavedScheme scheme
            ? view(scheme)
            : DisplaySettingsView.of((Settings) current));
  }

  private SchemeView view(SavedScheme saved) {
    Scheme scheme = saved.scheme();
    return SchemeView.of(scheme, saved.version(), studio.store().schemes().chosenFor(scheme.id()));
  }
}
