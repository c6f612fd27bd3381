package app.korvel.exchange;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.zone.Basis;
import app.korvel.core.zone.OwnScheme;
import app.korvel.core.zone.OwnScheme.Row;
import app.korvel.core.zone.Scheme;
import app.korvel.core.zone.Scheme.Kind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A scheme of bands as a JSON file, described in docs/scheme-file.md. Whatever is wrong with a file
 * is told with its place: line and column where it is no JSON, else the path of the value.
 */
public final class SchemeFile {

  /** The longest file that is read, in bytes. */
  public static final int MOST_BYTES = 64 * 1024;

  /** What the field {@code format} says. */
  public static final String FORMAT = "korvel-scheme";

  /** What the field {@code version} says. */
  public static final int VERSION = 1;

  private static final String WHOLE = "a zone system file, as docs/scheme-file.md describes it";
  private static final List<String> FIELDS =
      List.of("format", "version", "name", "kind", "basis", "serves", "bands");
  private static final List<String> BAND_FIELDS = List.of("name", "low", "high");

  /** Nothing in a scheme is deep, long or of many digits. */
  private static final StreamReadConstraints NARROW =
      StreamReadConstraints.builder()
          .maxNestingDepth(8)
          .maxNumberLength(40)
          .maxNameLength(200)
          .maxStringLength(2_000)
          .build();

  private static final JsonMapper JSON =
      JsonMapper.builder(JsonFactory.builder().streamReadConstraints(NARROW).build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .enable(SerializationFeature.INDENT_OUTPUT)
          .build();

  private final List<Fault> faults = new ArrayList<>();

  private SchemeFile() {}

  /** The scheme as a file: UTF-8, indented. */
  public static byte[] write(Scheme scheme) {
    ObjectNode root = JSON.createObjectNode();
    root.put("format", FORMAT);
    root.put("version", VERSION);
    root.put("name", scheme.name());
    root.put("kind", word(scheme.kind()));
    root.put("basis", word(scheme.basis()));
    root.put("serves", scheme.serves());
    ArrayNode bands = root.putArray("bands");
    for (Scheme.Band band : scheme.bands()) {
      bands.addObject().put("name", band.name()).put("low", band.low()).put("high", band.high());
    }
    return JSON.writeValueAsBytes(root);
  }

  /**
   * Reads a file.
   *
   * @return what it says, checked as any scheme of the studio's own
   * @throws InvalidValueException when it is not such a file, with every fault and its place
   */
  public static OwnScheme read(byte[] file) {
    if (file.length > MOST_BYTES) {
      throw InvalidValueException.of(
          "file", "has " + file.length + " bytes", "a file of up to 64 KiB");
    }
    OwnScheme read = new SchemeFile().whole(tree(file));
    // Whether the figures make a scheme is the core's to say, at the same places.
    read.checked("read");
    return read;
  }

  private static JsonNode tree(byte[] file) {
    try {
      JsonNode root = JSON.readTree(file);
      if (root == null || !root.isObject()) {
        throw InvalidValueException.of("file", "is not one JSON object", WHOLE);
      }
      return root;
    } catch (JacksonException broken) {
      throw InvalidValueException.of("file", place(broken) + why(broken), WHOLE);
    }
  }

  private static String place(JacksonException broken) {
    TokenStreamLocation at = broken.getLocation();
    return at == null || at.getLineNr() < 1
        ? ""
        : "line " + at.getLineNr() + ", column " + at.getColumnNr() + ": ";
  }

  private static String why(JacksonException broken) {
    String said = String.valueOf(broken.getOriginalMessage());
    if (said.startsWith("Duplicate")) {
      return "a field stands twice";
    }
    if (broken instanceof StreamConstraintsException) {
      return "nested too deep, or a value too long";
    }
    return "this is not JSON";
  }

  private OwnScheme whole(JsonNode root) {
    onlyThese(root, "", FIELDS);
    text(root, "", "format")
        .filter(format -> !format.equals(FORMAT))
        .ifPresent(format -> fault("format", "is not the one this reads", FORMAT));
    JsonNode version = root.get("version");
    if (version == null || !version.isInt() || version.intValue() != VERSION) {
      fault("version", version == null ? "is missing" : "is not the one this reads", "" + VERSION);
    }
    Optional<String> name = text(root, "", "name");
    Optional<Kind> kind = word(root, "kind", List.of(Kind.values()));
    Optional<Basis> basis = word(root, "basis", Basis.OF_OWN_SCHEMES);
    String serves = root.has("serves") ? text(root, "", "serves").orElse("") : "";
    List<Row> rows = rows(root.get("bands"));
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new OwnScheme(name.orElseThrow(), kind.orElseThrow(), basis.orElseThrow(), serves, rows);
  }

  private List<Row> rows(JsonNode bands) {
    List<Row> rows = new ArrayList<>();
    if (bands == null || !bands.isArray()) {
      fault("bands", bands == null ? "is missing" : "is not a list", "a list of zones");
      return rows;
    }
    for (int i = 0; i < bands.size(); i++) {
      String under = "bands[" + i + "].";
      JsonNode band = bands.get(i);
      if (!band.isObject()) {
        fault("bands[" + i + "]", "is not a zone", "an object with name, low and high");
        continue;
      }
      onlyThese(band, under, BAND_FIELDS);
      Optional<String> name = text(band, under, "name");
      Optional<BigDecimal> low = number(band, under, "low");
      Optional<BigDecimal> high = number(band, under, "high");
      if (name.isPresent() && low.isPresent() && high.isPresent()) {
        rows.add(new Row(name.get(), low.get(), high.get()));
      }
    }
    return rows;
  }

  private void onlyThese(JsonNode node, String under, List<String> known) {
    node.propertyNames().stream()
        .filter(Predicate.not(known::contains))
        .forEach(
            name ->
                fault(
                    under + shortened(name),
                    "is not a field of a zone system file",
                    String.join(", ", known)));
  }

  private Optional<String> text(JsonNode node, String under, String field) {
    JsonNode value = node.get(field);
    if (value == null || !value.isString()) {
      fault(under + field, value == null ? "is missing" : "is not text", "text");
      return Optional.empty();
    }
    return Optional.of(value.stringValue());
  }

  private Optional<BigDecimal> number(JsonNode node, String under, String field) {
    JsonNode value = node.get(field);
    if (value == null || !value.isNumber()) {
      fault(under + field, value == null ? "is missing" : "is not a number", "a number");
      return Optional.empty();
    }
    return Optional.of(value.decimalValue());
  }

  private <E extends Enum<E>> Optional<E> word(JsonNode root, String field, List<E> words) {
    Optional<String> said = text(root, "", field);
    Optional<E> found =
        said.flatMap(text -> words.stream().filter(each -> word(each).equals(text)).findFirst());
    if (said.isPresent() && found.isEmpty()) {
      fault(
          field,
          "“" + shortened(said.get()) + "” is not known",
          words.stream().map(SchemeFile::word).collect(Collectors.joining(", ")));
    }
    return found;
  }

  private static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT);
  }

  private void fault(String place, String message, String accepted) {
    faults.add(new Fault(place, message, accepted));
  }

  private static String shortened(String text) {
    return text.length() <= 40 ? text : text.substring(0, 40) + "…";
  }
}
