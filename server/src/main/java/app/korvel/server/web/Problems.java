package app.korvel.server.web;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.RefusedException;
import app.korvel.server.web.ProblemType.FieldError;
import app.korvel.store.StaleVersionException;
import app.korvel.store.StoreException;
import app.korvel.store.SupersededException;
import app.korvel.studio.NotFoundException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Objects;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeException;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.NoHandlerFoundException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.InputCoercionException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns whatever goes wrong into a problem document that a person can act on. */
@RestControllerAdvice
public class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler
  ResponseEntity<Object> invalid(InvalidValueException invalid) {
    return answer(ProblemType.invalid(FieldError.of(invalid.faults())));
  }

  @ExceptionHandler
  ResponseEntity<Object> refused(RefusedException refused) {
    ProblemDetail problem =
        ProblemType.REFUSED.problem(HttpStatus.UNPROCESSABLE_CONTENT, refused.getMessage());
    problem.setProperty("findings", ProblemType.listed(refused.findings()));
    if (!refused.faults().isEmpty()) {
      problem.setProperty("errors", ProblemType.listed(FieldError.of(refused.faults())));
    }
    return answer(problem);
  }

  @ExceptionHandler
  ResponseEntity<Object> superseded(SupersededException superseded) {
    return answer(
        ProblemType.STALE.problem(
            HttpStatus.CONFLICT, superseded.getMessage() + " Nothing was written; look again."));
  }

  /** Where a controller does not send the record as it is now along, the asker reads it anew. */
  @ExceptionHandler
  ResponseEntity<Object> stale(StaleVersionException stale) {
    return answer(
        ProblemType.STALE.problem(
            HttpStatus.CONFLICT,
            stale.getMessage() + " Review it as it is now, then make your change."));
  }

  /** The same with the record as it is now, to be laid beside what the asker has. */
  public static ResponseEntity<Object> stale(StaleVersionException stale, Object current) {
    ProblemDetail problem =
        ProblemType.STALE.problem(
            HttpStatus.CONFLICT,
            stale.getMessage() + " Review what changed, then save yours over it or keep theirs.");
    problem.setProperty("current", current);
    return answer(problem);
  }

  @ExceptionHandler
  ResponseEntity<Object> notFound(NotFoundException missing) {
    return answer(ProblemType.NOT_FOUND.problem(HttpStatus.NOT_FOUND, missing.getMessage()));
  }

  @ExceptionHandler
  ResponseEntity<Object> tooLarge(TooLargeException large) {
    return answer(ProblemType.TOO_LARGE.problem(HttpStatus.CONTENT_TOO_LARGE, large.getMessage()));
  }

  /** A file that goes on past what is read of one. */
  @ExceptionHandler
  ResponseEntity<Object> overlong(BodyLimit.TooLargeException large, HttpServletRequest request) {
    return answer(BodyLimit.problem(request));
  }

  @ExceptionHandler
  ResponseEntity<Object> emptyBody(RequestChecks.NullBodyException empty) {
    return answer(malformed("A JSON body is needed."));
  }

  /** What a person can do something about is named, to them and in one line of the log. */
  @ExceptionHandler
  ResponseEntity<Object> storeFailed(StoreException failure, HttpServletRequest request) {
    return switch (failure.reason()) {
      case DISK_FULL -> {
        LOG.error("The disk is full: nothing can be saved until some of it is freed.");
        yield answer(
            ProblemType.STORAGE_FULL.problem(
                HttpStatus.INSUFFICIENT_STORAGE,
                "Nothing was saved: the disk of the server is full. Free some of it, then try"
                    + " again."));
      }
      case DAMAGED -> {
        LOG.error("The data file is damaged. Stop the server and restore a copy.");
        yield answer(
            ProblemType.FAILED.problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "The data file is damaged. Stop the server and restore a copy."));
      }
      case OTHER -> failed(failure, request);
    };
  }

  /** A query or a form that is not what it says it is. */
  @ExceptionHandler
  ResponseEntity<Object> undecodable(InvalidParameterException undecodable) {
    return answer(
        ProblemType.NOT_SUPPORTED.problem(
            HttpStatus.BAD_REQUEST,
            "The query of the address cannot be decoded. Accepted: UTF-8 in percent signs, as in"
                + " ?q=%C3%85se."));
  }

  @ExceptionHandler
  ResponseEntity<Object> failed(Exception failure, HttpServletRequest request) {
    LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), failure);
    return answer(
        ProblemType.FAILED.problem(
            HttpStatus.INTERNAL_SERVER_ERROR,
            "Nothing was saved. Try again; if it stays so, the server's log says more."));
  }

  @Override
  protected ResponseEntity<Object> handleNoHandlerFoundException(
      NoHandlerFoundException missing,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return nothingHere(request);
  }

  @Override
  protected ResponseEntity<Object> handleNoResourceFoundException(
      NoResourceFoundException missing,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return nothingHere(request);
  }

  /** A person who follows a stale link sees the interface's own page; a program sees a problem. */
  private static ResponseEntity<Object> nothingHere(WebRequest request) {
    String accept = request.getHeader(HttpHeaders.ACCEPT);
    String path = ((ServletWebRequest) request).getRequest().getRequestURI();
    if (accept != null && accept.contains(MediaType.TEXT_HTML_VALUE) && !path.startsWith("/api/")) {
      return ResponseEntity.status(HttpStatus.NOT_FOUND)
          .contentType(MediaType.TEXT_HTML)
          .body(new ClassPathResource("static/index.html"));
    }
    return answer(
        ProblemType.NOT_FOUND.problem(HttpStatus.NOT_FOUND, "Nothing is served at " + path + "."));
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException unreadable,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    Throwable cause = unreadable.getCause();
    for (Throwable each = cause; each != null; each = each.getCause()) {
      if (each instanceof BodyLimit.TooLargeException) {
        return answer(BodyLimit.problem(((ServletWebRequest) request).getRequest()));
      }
    }
    if (cause instanceof UnrecognizedPropertyException unknown) {
      return invalidField(
          unknown.getPropertyName(),
          "is not a field of this request",
          String.join(", ", unknown.getKnownPropertyIds().stream().map(Object::toString).toList()));
    }
    if (cause instanceof JacksonException at
        && !at.getPath().isEmpty()
        && (at instanceof MismatchedInputException || at instanceof InputCoercionException)) {
      return mismatched(at);
    }
    return answer(malformed(reason(cause)));
  }

  /** A body that is not one JSON object. */
  static ProblemDetail malformed(String reason) {
    return ProblemType.MALFORMED.problem(
        HttpStatus.BAD_REQUEST,
        reason + " Accepted: one JSON object with the fields of this request.");
  }

  private static String reason(Throwable cause) {
    if (cause instanceof StreamConstraintsException) {
      return "The JSON is nested too deep or holds an overlong value.";
    }
    if (cause instanceof MismatchedInputException) {
      return "The body is not one JSON object.";
    }
    return cause == null ? "A JSON body is needed." : "The body is not valid JSON.";
  }

  @Override
  protected ResponseEntity<Object> handleMissingServletRequestParameter(
      MissingServletRequestParameterException missing,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return invalidField(missing.getParameterName(), "is missing", "a value in the address");
  }

  @ExceptionHandler
  ResponseEntity<Object> mismatchedParameter(MethodArgumentTypeMismatchException mismatch) {
    Class<?> type = mismatch.getRequiredType();
    if (mismatch.getParameter().hasParameterAnnotation(PathVariable.class)) {
      return answer(
          ProblemType.NOT_FOUND.problem(
              HttpStatus.NOT_FOUND,
              "Nothing has the id “"
                  + shortened(mismatch.getValue())
                  + "”. Accepted: the id of a"
                  + " record."));
    }
    return invalidField(
        mismatch.getName(),
        "“" + shortened(mismatch.getValue()) + "” is not accepted",
        type == null ? "text" : RequestChecks.accepted(type));
  }

  @Override
  protected ResponseEntity<Object> handleExceptionInternal(
      Exception failure,
      Object body,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return ResponseEntity.status(status)
        .headers(headers)
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(ProblemType.NOT_SUPPORTED.problem(status, detail(failure)));
  }

  /** What is wrong with how an address was used, and how it is. */
  private static String detail(Exception failure) {
    if (failure instanceof HttpRequestMethodNotSupportedException method) {
      return method.getMethod()
          + " is not done here. Accepted: "
          + String.join(", ", Objects.requireNonNullElse(method.getSupportedMethods(), NONE))
          + ".";
    }
    if (failure instanceof HttpMediaTypeException type) {
      boolean asked = failure instanceof HttpMediaTypeNotAcceptableException;
      return (asked ? "No such answer is given." : "No such body is read.")
          + " Accepted: "
          + (type.getSupportedMediaTypes().isEmpty()
              ? MediaType.APPLICATION_JSON_VALUE
              : MediaType.toString(type.getSupportedMediaTypes()))
          + ".";
    }
    return "The address is not used that way. Accepted: what /api/openapi.json describes.";
  }

  private static final String[] NONE = {"nothing"};

  private static ResponseEntity<Object> mismatched(JacksonException mismatch) {
    JacksonException.Reference last = mismatch.getPath().get(mismatch.getPath().size() - 1);
    String field = last.getPropertyName();
    Object from = last.from();
    Class<?> record = from instanceof Class<?> type ? type : from == null ? null : from.getClass();
    String name = fieldName(mismatch.getPath());
    if (field == null || record == null || !record.isRecord()) {
      return invalidField(
          name,
          "is not what is accepted here",
          mismatch instanceof MismatchedInputException input
                  && input.getTargetType() != null
                  && input.getTargetType().isEnum()
              ? Words.accepted(input.getTargetType())
              : "the fields this address describes in /api/openapi.json");
    }
    String said =
        mismatch instanceof InvalidFormatException format
            ? "“" + shortened(format.getValue()) + "” is not accepted"
            : "is not the kind of value accepted";
    return invalidField(name, said, RequestChecks.accepted(record, field));
  }

  /** As {@link RequestChecks} names fields: by their own name, and where in a list. */
  private static String fieldName(List<JacksonException.Reference> path) {
    String name = "body";
    boolean inList = false;
    for (JacksonException.Reference each : path) {
      String property = each.getPropertyName();
      if (property == null) {
        name += "[" + each.getIndex() + "]";
      } else {
        name = inList ? name + "." + property : property;
      }
      inList = property == null;
    }
    return name;
  }

  private static String shortened(Object value) {
    String text = String.valueOf(value);
    return text.length() <= 40 ? text : text.substring(0, 40) + "…";
  }

  private static ResponseEntity<Object> invalidField(
      String field, String message, String accepted) {
    return answer(ProblemType.invalid(List.of(new FieldError(field, message, accepted))));
  }

  /** Sends a problem document. */
  public static ResponseEntity<Object> answer(ProblemDetail problem) {
    return ResponseEntity.status(problem.getStatus())
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(problem);
  }
}
