package app.korvel.server.web;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.measure.Limit;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Checks every request record as it comes in: what is not {@link Nullable} must be there, and a
 * number marked {@link Within} must keep its limit. All faults are reported at once.
 */
@ControllerAdvice
public class RequestChecks extends RequestBodyAdviceAdapter {

  @Override
  public boolean supports(
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converterType) {
    return parameter.getParameterType().isRecord();
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converterType) {
    if (body == null) {
      throw new NullBodyException();
    }
    List<Fault> faults = new ArrayList<>();
    checkAll(body, "", faults);
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return body;
  }

  /** The body was the JSON word null. */
  static final class NullBodyException extends RuntimeException {
    private static final long serialVersionUID = 1L;
  }

  /** What a field of a request record accepts, for a message. */
  static String accepted(Class<?> record, String field) {
    return Arrays.stream(record.isRecord() ? record.getRecordComponents() : new RecordComponent[0])
        .filter(component -> component.getName().equals(field))
        .findFirst()
        .map(RequestChecks::accepted)
        .orElse("the fields this address describes in /api/openapi.json");
  }

  /**
   * What is checked of one component: looked up once for each record, since every request asks.
   *
   * @param component the component
   * @param accessor how its value is read
   * @param nullable whether it may be left out
   * @param nullableEntries whether entries of a list may be null
   * @param limit what a number has to keep; null where nothing is said
   */
  private record Part(
      RecordComponent component,
      Method accessor,
      boolean nullable,
      boolean nullableEntries,
      @Nullable Limit limit) {

    static Part of(RecordComponent component) {
      component.getAccessor().setAccessible(true);
      Within within = component.getAnnotation(Within.class);
      return new Part(
          component,
          component.getAccessor(),
          isNullable(component.getAnnotatedType()),
          component.getAnnotatedType() instanceof AnnotatedParameterizedType list
              && isNullable(list.getAnnotatedActualTypeArguments()[0]),
          within == null ? null : within.value());
    }

    Object of(Object record) {
      try {
        return accessor.invoke(record);
      } catch (IllegalAccessException | InvocationTargetException e) {
        throw new IllegalStateException(e);
      }
    }

    Fault fault(String under, String message) {
      return new Fault(under + component.getName(), message, accepted(component));
    }
  }

  private static final ClassValue<List<Part>> PARTS =
      new ClassValue<>() {
        @Override
        protected List<Part> computeValue(Class<?> record) {
          return Arrays.stream(record.getRecordComponents()).map(Part::of).toList();
        }
      };

  /**
   * @param under how the fields of the record are reached, for example {@code medicines[0].}
   */
  private static void checkAll(Object record, String under, List<Fault> faults) {
    for (Part part : PARTS.get(record.getClass())) {
      Object value = part.of(record);
      check(part, value, under, faults);
      if (value instanceof Record inner) {
        // The fields of a record in a record are told by their own names.
        checkAll(inner, under, faults);
      } else if (value instanceof List<?> list) {
        checkEach(list, under + part.component.getName(), part, faults);
      }
    }
  }

  private static void checkEach(List<?> list, String name, Part part, List<Fault> faults) {
    for (int i = 0; i < list.size(); i++) {
      String entry = name + "[" + i + "]";
      if (list.get(i) instanceof Record inner) {
        checkAll(inner, entry + ".", faults);
      } else if (list.get(i) == null && !part.nullableEntries) {
        faults.add(new Fault(entry, "is missing", "no empty entries"));
      }
    }
  }

  private static void check(Part part, Object value, String under, List<Fault> faults) {
    if (value == null) {
      if (!part.nullable) {
        faults.add(part.fault(under, "is missing"));
      }
      return;
    }
    if (part.limit != null && !accepts(part.limit, value)) {
      String number = new BigDecimal(value.toString()).toPlainString();
      faults.add(part.fault(under, number + " is outside the accepted range"));
    }
  }

  private static boolean accepts(Limit limit, Object value) {
    return value instanceof Integer whole
        ? limit.accepts(whole.intValue())
        : limit.accepts((BigDecimal) value);
  }

  private static boolean isNullable(AnnotatedType type) {
    return type.isAnnotationPresent(Nullable.class);
  }

  private static String accepted(RecordComponent component) {
    Class<?> type = component.getType();
    Within within = component.getAnnotation(Within.class);
    if (within != null) {
      String kind = type == Integer.class ? "a whole number from " : "a number from ";
      return kind + within.value().accepted();
    }
    return accepted(type);
  }

  /** What a value of that type accepts, for a message. */
  static String accepted(Class<?> type) {
    if (type.isEnum()) {
      return Words.accepted(type);
    }
    if (List.class.isAssignableFrom(type)) {
      return "a list";
    }
    return ACCEPTED.getOrDefault(type, "text");
  }

  private static final Map<Class<?>, String> ACCEPTED =
      Map.of(
          Integer.class, "a whole number",
          int.class, "a whole number",
          Boolean.class, "true or false",
          LocalDate.class, "a date as YYYY-MM-DD",
          LocalTime.class, "a time of day as HH:MM",
          UUID.class, "the id of a record",
          BigDecimal.class, "a number");
}
