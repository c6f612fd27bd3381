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
  STORAGE_FULL("The disk is full"),
  FAILED("Something went wrong in the server");

  private final String title;

  ProblemType(String title) {
    this.title = title;
  }

  /** Said at most, so that an answer never grows with what was sent. */
  private static final int MOST_ERRORS = 50;

  private static final int LONGEST = 400;

  /** A problem document. */
  public ProblemDetail problem(HttpStatusCode status, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, shortened(detail));
    problem.setType(URI.create("urn:korvel:problem:" + Words.of(this)));
    problem.setTitle(title);
    return problem;
  }

  /** The document for what the web server refuses before anything here has seen it. */
  static ProblemDetail ofServer(int status) {
    if (status == HttpStatus.INTERNAL_SERVER_ERROR.value()
        || status == HttpStatus.SERVICE_UNAVAILABLE.value()) {
      return FAILED.problem(
          HttpStatusCode.valueOf(status),
          "Nothing was saved. Try again; if it stays so, the server's log says more.");
    }
    HttpStatusCode code = HttpStatusCode.valueOf(status < 400 ? 400 : status);
    return code.isSameCodeAs(HttpStatus.NOT_FOUND)
        ? NOT_FOUND.problem(code, "Nothing is served here.")
        : NOT_SUPPORTED.problem(
            code,
            "The address, a header or the method of this request is not one that is read."
                + " Accepted: what /api/openapi.json describes, with an address in percent signs"
                + " and headers of up to 8 kB.");
  }

  /** The document for bad fields: {@code errors} names each with what is accepted. */
  static ProblemDetail invalid(List<FieldError> errors) {
    FieldError first = errors.get(0);
    String more =
        errors.size() > MOST_ERRORS
            ? " The first " + MOST_ERRORS + " of " + errors.size() + " faults are listed."
            : "";
    ProblemDetail problem =
        INVALID_VALUE.problem(
            HttpStatus.BAD_REQUEST,
            first.field()
                + ": "
                + first.message()
                + ". Accepted: "
                + first.accepted()
                + "."
                + more);
    problem.setProperty("errors", listed(errors));
    return problem;
  }

  /** As many as are listed. */
  static <T> List<T> listed(List<T> all) {
    return all.subList(0, Math.min(all.size(), MOST_ERRORS));
  }

  private static String shortened(String text) {
    return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
  }

  /**
   * One bad field.
   *
   * @param field its name
   * @param message what is wrong
   * @param accepted what is accepted
   */
  public record FieldError(String field, String message, String accepted) {
    public FieldError {
      field = shortened(field);
      message = shortened(message);
      accepted = shortened(accepted);
    }

    static List<FieldError> of(List<InvalidValueException.Fault> faults) {
      return faults.stream()
          .map(fault -> new FieldError(fault.field(), fault.message(), fault.accepted()))
          .toList();
    }
  }
}
