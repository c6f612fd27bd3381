package app.korvel.server;

import app.korvel.core.measure.Limit;
import app.korvel.core.measure.Source;
import app.korvel.server.web.Within;
import app.korvel.server.web.WrittenJson;
import app.korvel.server.zone.ZoneViews;
import app.korvel.studio.Actor;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.type.filter.RegexPatternTypeFilter;

/**
 * Tells the describer what the records say by themselves: what is not marked nullable is always
 * there, words are written in lower case with hyphens, and numbers keep their limits.
 */
public class OpenApiSettings {
  static {
    // What is written ahead of time is described as what it is.
    SpringDocUtils.getConfig()
        .replaceWithClass(WrittenJson.class, ZoneViews.ZonesView.class)
        .replaceWithClass(Source.class, String.class)
        .addRequestWrapperToIgnore(Actor.class);
  }

  @Bean
  OpenApiCustomizer recordsSpeakForThemselves() {
    Map<String, Class<?>> records = records();
    return api -> {
      api.getInfo().title("Korvel").version("1").description("The interface of the Korvel server.");
      api.setServers(null);
      api.getComponents()
          .getSchemas()
          .forEach(
              (name, schema) -> {
                if (records.containsKey(name)) {
                  describe(schema, records.get(name));
                }
              });
      api.getPaths()
          .values()
          .forEach(
              path ->
                  path.readOperations()
                      .forEach(
                          operation -> {
                            if (operation.getParameters() != null) {
                              operation
                                  .getParameters()
                                  .forEach(parameter -> words(parameter.getSchema()));
                            }
                          }));
    };
  }

  private static void describe(Schema<?> schema, Class<?> record) {
    List<String> required = new ArrayList<>();
    for (RecordComponent component : record.getRecordComponents()) {
      String name = component.getName().equals("guidelineClass") ? "class" : component.getName();
      Schema<?> property =
          schema.getProperties().get(name) == null
              ? (Schema<?>) schema.getProperties().get(component.getName())
              : (Schema<?>) schema.getProperties().get(name);
      if (property == null) {
        continue;
      }
      words(property);
      if (property.getItems() != null) {
        words(property.getItems());
      }
      Within within = component.getAnnotation(Within.class);
      if (within != null) {
        Limit limit = within.value();
        property.setMinimum(BigDecimal.valueOf(limit.lowest()));
        property.setMaximum(BigDecimal.valueOf(limit.highest()));
      }
      String key = schema.getProperties().containsKey(name) ? name : component.getName();
      if (mayBeNull(component)) {
        if (property.get$ref() != null) {
          Schema<Object> either = new Schema<>();
          either.addOneOfItem(new Schema<>().$ref(property.get$ref()));
          Schema<Object> nothing = new Schema<>();
          nothing.addType("null");
          either.addOneOfItem(nothing);
          schema.getProperties().put(key, either);
        } else {
          property.addType("null");
        }
      }
      boolean optional = mayBeNull(component) && record.getSimpleName().endsWith("Request");
      if (!optional) {
        required.add(key);
      }
    }
    schema.setRequired(required);
  }

  private static boolean mayBeNull(RecordComponent component) {
    return component.getType() == Optional.class
        || component.getAnnotatedType().isAnnotationPresent(Nullable.class);
  }

  @SuppressWarnings("unchecked")
  private static void words(Schema<?> schema) {
    if (schema.getEnum() != null) {
      List<Object> words =
          schema.getEnum().stream()
              .map(each -> (Object) each.toString().toLowerCase(Locale.ROOT).replace('_', '-'))
              .toList();
      ((Schema<Object>) schema).setEnum(words);
      if (schema.getDefault() != null) {
        ((Schema<Object>) schema)
            .setDefault(schema.getDefault().toString().toLowerCase(Locale.ROOT).replace('_', '-'));
      }
    }
  }

  private static Map<String, Class<?>> records() {
    ClassPathScanningCandidateComponentProvider scan =
        new ClassPathScanningCandidateComponentProvider(false) {
          @Override
          protected boolean isCandidateComponent(
              org.springframework.beans.factory.annotation.AnnotatedBeanDefinition definition) {
            return true;
          }
        };
    scan.addIncludeFilter(
        new RegexPatternTypeFilter(java.util.regex.Pattern.compile("app\\.korvel\\..*")));
    Map<String, Class<?>> found = new HashMap<>();
    for (BeanDefinition definition : scan.findCandidateComponents("app.korvel.server")) {
      Class<?> type = type(definition);
      Class<?> other = type.isRecord() ? found.put(type.getSimpleName(), type) : null;
      if (other != null && other != type) {
        throw new IllegalStateException("two records are called " + type.getSimpleName());
      }
    }
    // Some are written as the core or the studio has them.
    for (String module : new String[] {"app.korvel.core", "app.korvel.studio"}) {
      for (BeanDefinition definition : scan.findCandidateComponents(module)) {
        Class<?> type = type(definition);
        if (type.isRecord()) {
          found.putIfAbsent(type.getSimpleName(), type);
        }
      }
    }
    return found;
  }

  private static Class<?> type(BeanDefinition definition) {
    try {
      return Class.forName(
          definition.getBeanClassName(), false, OpenApiSettings.class.getClassLoader());
    } catch (ClassNotFoundException e) {
      throw new IllegalStateException(e);
    }
  }
}
