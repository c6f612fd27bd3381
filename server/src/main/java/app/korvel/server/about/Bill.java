package app.korvel.server.about;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A bill of materials (CycloneDX) of what ships; all but the fonts' is made by the build. */
enum Bill {
  /** Of the server: the libraries in its jar. */
  SERVER("/META-INF/sbom/application.cdx.json"),
  /** Of the pages: the packages in their scripts and styles, and their fonts. */
  PAGES("/static/licences/pages.cdx.json"),
  /** Of printed sheets: their fonts; written by hand, beside them. */
  SHEETS("/app/korvel/exchange/sheet/fonts/sheets.cdx.json");

  private static final String OWN = "app.korvel";

  /** What is shorter is the name of a licence in the place of its text. */
  private static final int SHORTEST = 200;

  private final String place;

  Bill(String place) {
    this.place = place;
  }

  /**
   * One thing that is shipped.
   *
   * @param name as it is known where it comes from
   * @param licences what may be done with it; several are a choice
   */
  record Component(String name, String version, List<Licence> licences) {}

  /**
   * A licence, as a component declares it.
   *
   * @param name its identifier (SPDX), or the name it is given where it has none
   * @param text what it says, empty where it does not come with the component
   */
  record Licence(String name, String text) {}

  /** The bill as it was made; none where Korvel was built offline, when Maven makes none. */
  Optional<String> json() {
    try (InputStream bill = Bill.class.getResourceAsStream(place)) {
      return bill == null
          ? Optional.empty()
          : Optional.of(new String(bill.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What others have made, by name. */
  List<Component> components() {
    return json().stream()
        .flatMap(bill -> JsonMapper.shared().readTree(bill).path("components").valueStream())
        .filter(each -> !each.path("group").asString("").startsWith(OWN))
        .map(Bill::component)
        .sorted(Comparator.comparing(Component::name))
        .toList();
  }

  private static Component component(JsonNode each) {
    String group = each.path("group").asString("");
    String name = each.path("name").asString();
    return new Component(
        group.startsWith("@") ? group + "/" + name : name,
        each.path("version").asString(),
        each.path("licenses").valueStream().flatMap(Bill::licences).toList());
  }

  private static Stream<Licence> licences(JsonNode each) {
    if (each.has("expression")) {
      return Stream.of(new Licence(each.path("expression").asString(), ""));
    }
    JsonNode licence = each.path("license");
    String name =
        licence.has("id") ? licence.path("id").asString() : licence.path("name").asString();
    return Stream.of(new Licence(name, text(licence.path("text"))));
  }

  private static String text(JsonNode of) {
    String content = of.path("content").asString("");
    String text =
        of.path("encoding").asString("").equals("base64")
            ? new String(Base64.getMimeDecoder().decode(content), StandardCharsets.UTF_8)
            : content;
    return text.length() < SHORTEST ? "" : text;
  }
}
