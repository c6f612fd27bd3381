package app.korvel.server.web;

import app.korvel.core.measure.Source;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.introspect.AnnotatedClass;
import tools.jackson.databind.introspect.JacksonAnnotationIntrospector;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;
import tools.jackson.databind.type.LogicalType;

/** JSON is strict: nothing is coerced, unknown fields and words are refused. */
@Configuration(proxyBeanMethods = false)
class JsonSettings {

  /** Enums are written as {@link Words}. */
  private static final class KebabEnums extends JacksonAnnotationIntrospector {
    private static final long serialVersionUID = 1L;

    @Override
    public String[] findEnumValues(
        MapperConfig<?> config, AnnotatedClass type, Enum<?>[] values, String[] names) {
      String[] found = super.findEnumValues(config, type, values, names);
      boolean ours = type.getRawType().getName().startsWith("app.korvel.");
      if (ours || type.getRawType() == DayOfWeek.class) {
        for (int i = 0; i < values.length; i++) {
          found[i] = Words.of(values[i]);
        }
      }
      return found;
    }
  }

  /**
   * A number of so many places is none that anything here takes; written out, or added to another,
   * {@code 1e999999999} would be a thousand million digits.
   */
  private static final class ShortDecimals extends StdScalarDeserializer<BigDecimal> {
    private static final int PLACES = 20;

    ShortDecimals() {
      super(BigDecimal.class);
    }

    @Override
    public BigDecimal deserialize(JsonParser parser, DeserializationContext context) {
      if (!parser.currentToken().isNumeric()) {
        return (BigDecimal) context.handleUnexpectedToken(BigDecimal.class, parser);
      }
      BigDecimal number = parser.getDecimalValue();
      if (number.scale() > PLACES || number.precision() - (long) number.scale() > PLACES) {
        throw MismatchedInputException.from(parser, BigDecimal.class, "too many places");
      }
      return number;
    }
  }

  /** A source is written as it is cited. */
  private static final class Citations extends StdSerializer<Source> {
    Citations() {
      super(Source.class);
    }

    @Override
    public void serialize(Source source, JsonGenerator json, SerializationContext context) {
      json.writeString(source.citation());
    }
  }

  @Bean
  JsonMapperBuilderCustomizer strictJson() {
    return builder -> {
      builder
          .annotationIntrospector(new KebabEnums())
          .addModule(
              new SimpleModule()
                  .addDeserializer(BigDecimal.class, new ShortDecimals())
                  .addSerializer(Source.class, new Citations()))
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
          .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS);
      for (LogicalType type :
          new LogicalType[] {
            LogicalType.Textual, LogicalType.Enum, LogicalType.DateTime, LogicalType.Collection
          }) {
        builder.withCoercionConfig(
            type,
            coercions -> {
              for (CoercionInputShape shape : CoercionInputShape.values()) {
                coercions.setCoercion(shape, CoercionAction.Fail);
              }
            });
      }
    };
  }
}
