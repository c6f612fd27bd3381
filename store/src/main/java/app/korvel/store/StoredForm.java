package app.korvel.store;

import java.util.List;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * How something is kept as JSON in a column: its shape has a version, and a shape of an earlier
 * version is brought to the present one when it is read. A golden file of every version says what
 * it looks like: whoever changes what is kept sees that test fail, and adds a version.
 */
final class StoredForm<T> {
  private static final JsonMapper JSON = TestShapes.addTo(JsonMapper.builder()).build();

  private final Class<T> type;
  private final String member;
  private final List<Consumer<ObjectNode>> upgrades;

  /**
   * @param member that holds it, beside the version {@code v}; empty where its parts stand there
   * @param upgrades what brings version 1 to 2, 2 to 3 and so on; the present version is one more
   */
  StoredForm(Class<T> type, String member, List<Consumer<ObjectNode>> upgrades) {
    this.type = type;
    this.member = member;
    this.upgrades = List.copyOf(upgrades);
  }

  /** The present version. */
  int version() {
    return upgrades.size() + 1;
  }

  String write(T value) {
    ObjectNode document = JSON.createObjectNode().put("v", version());
    ObjectNode tree = JSON.valueToTree(value);
    if (member.isEmpty()) {
      document.setAll(tree);
    } else {
      document.set(member, tree);
    }
    return JSON.writeValueAsString(document);
  }

  T read(String json) {
    ObjectNode document = document(JSON.readTree(json));
    int version = document.get("v").asInt();
    document.remove("v");
    ObjectNode tree = member.isEmpty() ? document : (ObjectNode) document.get(member);
    upgrades.subList(version - 1, upgrades.size()).forEach(upgrade -> upgrade.accept(tree));
    return JSON.treeToValue(tree, type);
  }

  /** A bare list is version 1 of what it is now a part of: it stands under no name. */
  private static ObjectNode document(JsonNode read) {
    return read instanceof ObjectNode document
        ? document
        : JSON.createObjectNode().put("v", 1).set("", read);
  }
}
