package app.korvel.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.RecordComponent;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What was kept by any version is read by this one, and what this one keeps looks as it did. */
class StoredFormsTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static final Map<String, StoredForm<?>> FORMS =
      Map.ofEntries(
          Map.entry("prescription", StoredForms.PRESCRIPTION),
          Map.entry("programme", StoredForms.PROGRAMME),
          Map.entry("check-in", StoredForms.CHECK_IN),
          Map.entry("scheme", StoredForms.SCHEME),
          Map.entry("outline", StoredForms.OUTLINE),
          Map.entry("medicines", StoredForms.MEDICINES),
          Map.entry("limits", StoredForms.LIMITS),
          Map.entry("live-plan", StoredForms.LIVE_PLAN),
          Map.entry("room-plan", StoredForms.ROOM_PLAN),
          Map.entry("recorded-session", StoredForms.RECORDED_SESSION),
          Map.entry("foreseen-session", StoredForms.FORESEEN_SESSION),
          Map.entry("test-plan", StoredForms.TEST_PLAN),
          Map.entry("protocol", StoredForms.PROTOCOL));

  static Stream<String> names() {
    return FORMS.keySet().stream().sorted();
  }

  static Stream<Arguments> versions() {
    return names()
        .flatMap(
            name ->
                IntStream.rangeClosed(1, FORMS.get(name).version())
                    .mapToObj(version -> Arguments.of(name, version)));
  }

  private static String golden(String name, int version) throws IOException {
    String file = name + "-v" + version + ".json";
    try (InputStream found = StoredFormsTest.class.getResourceAsStream(file)) {
      assertThat(found).as(file).isNotNull();
      return new String(found.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static <T> String again(StoredForm<T> form, String json) {
    T read = form.read(json);
    assertThat(missing(read)).isEmpty();
    String written = form.write(read);
    assertThat(form.read(written)).isEqualTo(read);
    return written;
  }

  /** Parts of what was read that nothing was said of: an upgrade has left them out. */
  private static List<String> missing(Object read) {
    List<String> missing = new ArrayList<>();
    if (read instanceof Optional<?> optional) {
      optional.ifPresent(each -> missing.addAll(missing(each)));
    } else if (read instanceof Collection<?> all) {
      all.forEach(each -> missing.addAll(missing(each)));
    } else if (read.getClass().isRecord()) {
      for (RecordComponent component : read.getClass().getRecordComponents()) {
        Object value = value(read, component);
        if (value == null) {
          missing.add(read.getClass().getSimpleName() + "." + component.getName());
        } else {
          missing.addAll(missing(value));
        }
      }
    }
    return missing;
  }

  private static Object value(Object read, RecordComponent component) {
    try {
      return component.getAccessor().invoke(read);
    } catch (ReflectiveOperationException hidden) {
      return "not looked at";
    }
  }

  @ParameterizedTest
  @MethodSource("versions")
  void aDocumentOfEveryVersionIsRead(String name, int version) throws IOException {
    String document = golden(name, version);
    JsonNode read = JSON.readTree(document);
    // What was a bare list once had no version.
    assertThat(read.isArray() ? 1 : read.get("v").asInt()).isEqualTo(version);
    assertThat(JSON.readTree(again(FORMS.get(name), document)).get("v").asInt())
        .isEqualTo(FORMS.get(name).version());
  }

  /** Sets may come in any order; all else is as it was, to the last member. */
  @ParameterizedTest
  @MethodSource("names")
  void theShapeOfTheVersionWrittenIsTheGoldenOne(String name) throws IOException {
    StoredForm<?> form = FORMS.get(name);
    JsonNode golden = JSON.readTree(golden(name, form.version()));
    assertThat(sorted(JSON.readTree(again(form, golden(name, form.version())))))
        .isEqualTo(sorted(golden));
  }

  private static Object sorted(JsonNode node) {
    if (node.isArray()) {
      List<Object> all = new ArrayList<>();
      node.forEach(each -> all.add(sorted(each)));
      boolean words = node.valueStream().allMatch(JsonNode::isString);
      return words ? all.stream().map(Object::toString).sorted().toList() : all;
    }
    if (node.isObject()) {
      Map<String, Object> members = new TreeMap<>();
      node.properties().forEach(each -> members.put(each.getKey(), sorted(each.getValue())));
      return members;
    }
    return node.toString();
  }
}
