package app.korvel.server.about;

import app.korvel.server.about.Bill.Component;
import app.korvel.server.about.Bill.Licence;
import app.korvel.server.web.Words;
import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What Korvel is made of: its version, and the licences of everything that ships with it. */
@RestController
class AboutController {
  private static final MediaType CYCLONE_DX =
      MediaType.parseMediaType("application/vnd.cyclonedx+json");

  private final String version;

  AboutController(@Value("${korvel.version}") String version) {
    this.version = version;
  }

  @GetMapping("/api/about")
  AboutView about() {
    List<String> texts = new ArrayList<>();
    return new AboutView(
        version,
        shipped(Bill.PAGES, texts),
        shipped(Bill.SHEETS, texts),
        shipped(Bill.SERVER, texts),
        texts);
  }

  private static List<ShippedView> shipped(Bill bill, List<String> texts) {
    return bill.components().stream()
        .map(
            each ->
                new ShippedView(
                    each.name(),
                    each.version(),
                    each.licences().stream().map(Licence::name).distinct().toList(),
                    texts(each, texts)))
        .toList();
  }

  /** Where the texts of its licences stand in the list, to which new ones are added. */
  private static List<Integer> texts(Component of, List<String> texts) {
    return of.licences().stream()
        .map(Licence::text)
        .filter(text -> !text.isBlank())
        .distinct()
        .map(
            text -> {
              if (!texts.contains(text)) {
                texts.add(text);
              }
              return texts.indexOf(text);
            })
        .toList();
  }

  @GetMapping("/api/about/bills/{of}")
  ResponseEntity<String> bill(@PathVariable Bill of) {
    String name = "korvel-" + Words.of(of) + ".cdx.json";
    String file = ContentDisposition.attachment().filename(name).build().toString();
    return of.json()
        .map(
            bill ->
                ResponseEntity.ok()
                    .contentType(CYCLONE_DX)
                    .header(HttpHeaders.CONTENT_DISPOSITION, file)
                    .body(bill))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  /**
   * What Korvel is made of.
   *
   * @param pages what others have made of the pages, by name
   * @param sheets of printed sheets
   * @param server of the server
   * @param texts of the licences, each once
   */
  record AboutView(
      String version,
      List<ShippedView> pages,
      List<ShippedView> sheets,
      List<ShippedView> server,
      List<String> texts) {}

  /**
   * One thing that ships.
   *
   * @param texts where the texts of its licences stand among all texts
   */
  record ShippedView(String name, String version, List<String> licences, List<Integer> texts) {}
}
