package app.korvel.server.archive;

import app.korvel.exchange.archive.Manifest.Scope;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.archive.BringArchive;
import app.korvel.studio.archive.ExportArchive;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Everything of a client, or of the studio, out and in again. */
@RestController
class ArchiveController {
  private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

  private final Studio studio;

  ArchiveController(Studio studio) {
    this.studio = studio;
  }

  @GetMapping(value = "/api/clients/{id}/archive.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> ofClient(@PathVariable UUID id) {
    String name = studio.client(id).details().name();
    return sent(name, out -> new ExportArchive(studio).ofClient(id, out));
  }

  @GetMapping(value = "/api/studio/archive.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> ofStudio() {
    return sent("Studio", out -> new ExportArchive(studio).ofStudio(out));
  }

  private ResponseEntity<StreamingResponseBody> sent(String of, StreamingResponseBody body) {
    String name = (of + " " + studio.today()).replaceAll("[^\\p{L}\\p{M}\\p{N}-]+", "-") + ".zip";
    return ResponseEntity.ok()
        .contentType(ZIP)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(body);
  }

  /**
   * What came in.
   *
   * @param clientId null for a whole studio
   */
  record ArchiveTaken(Scope scope, @Nullable UUID clientId, long rows) {}

  /** Takes an archive in, which is the body as it is: whole, or not at all. */
  @PostMapping("/api/archives")
  @ResponseStatus(HttpStatus.CREATED)
  ArchiveTaken take(Actor who, HttpServletRequest request) throws IOException {
    BringArchive.Came came = new BringArchive(studio).by(who, request.getInputStream());
    return new ArchiveTaken(came.scope(), came.client().orElse(null), came.rows());
  }
}
