package app.korvel.server.web;

import app.korvel.core.measure.InvalidValueException;
import java.net.URI;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;

/** The stable types of problem documents (RFC 9457). */
public enum ProblemType {
  INVALID_VALUE("Something entered is not accepted"),
  MALFORMED("The body is not what this address accepts"),
  REFUSED("The rules do not allow this"),
  NOT_FOUND("There is nothing here"),
  STALE("Somebody else has changed this since"),
  TOO_LARGE("The body is too large"),
  FOREIGN("Only this machine may ask"),
  NOT_SUPPORTED("This address is not used that way"),
  FAILED("Something went wrong in the server");

  private final String title;

  ProblemType(String title) {
    this.title = title;
  }

  /** A problem document. */
  public ProblemDetail problem(HttpStatusCode status, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setType(URI.create("urn:korvel:problem:" + Words.of(this)));
    problem.setTitle(title);
    return problem;
  }

  /** The document for bad fields: {@code errors} names each with what is accepted. */
  static ProblemDetail invalid(List<FieldError> errors) {
    FieldError first = errors.get(0);
    ProblemDetail problem =
        INVALID_VALUE.problem(
            HttpStatus.BAD_REQUEST,
            first.field() + ": " + first.message() + ". Accepted: " + first.accepted() + ".");
    problem.setProperty("errors", errors);
    return problem;
  }

  /**
   * One bad field.
   *
   * @param field its name
   * @param message what is wrong
   * @param accepted what is accepted
   */
  public record FieldError(String field, String message, String accepted) {
    static List<FieldError> of(List<InvalidValueException.Fault> faults) {
      return faults.stream()
          .map(fault -> new FieldError(fault.field(), fault.message(), fault.accepted()))
          .toList();
    }
  }
}
