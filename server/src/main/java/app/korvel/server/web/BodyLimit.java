package app.korvel.server.web;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/**
 * A request whose body ends at a limit, whatever its headers promise: 1 MiB, and more only where a
 * file is read as it streams in.
 */
final class BodyLimit extends HttpServletRequestWrapper {
  private static final int MIB = 20;
  private static final long USUAL = 1L << MIB;
  private static final long RECORDING = 256L << MIB;
  private static final long ARCHIVE = 4096L << MIB;
  private static final Pattern RECORDINGS = Pattern.compile("/api/clients/[^/]+/recordings");
  private static final String ARCHIVES = "/api/archives";

  private final long most;

  /** The body went past the limit. */
  static final class TooLargeException extends IOException {
    private static final long serialVersionUID = 1L;
  }

  BodyLimit(HttpServletRequest request) {
    super(request);
    this.most = most(request);
  }

  /** How long the body of a request may be, in bytes. */
  static long most(HttpServletRequest request) {
    String path = request.getRequestURI();
    if (RECORDINGS.matcher(path).matches()) {
      return RECORDING;
    }
    return path.equals(ARCHIVES) ? ARCHIVE : USUAL;
  }

  static ProblemDetail problem(HttpServletRequest request) {
    return ProblemType.TOO_LARGE.problem(
        HttpStatus.CONTENT_TOO_LARGE,
        "Accepted: a body of up to " + (most(request) >> MIB) + " MiB.");
  }

  @Override
  public ServletInputStream getInputStream() throws IOException {
    ServletInputStream inner = super.getInputStream();
    return new ServletInputStream() {
      private long seen;

      @Override
      public int read() throws IOException {
        int next = inner.read();
        count(next < 0 ? 0 : 1);
        return next;
      }

      @Override
      public int read(byte[] into, int offset, int length) throws IOException {
        int read = inner.read(into, offset, length);
        count(Math.max(read, 0));
        return read;
      }

      private void count(int bytes) throws TooLargeException {
        seen += bytes;
        if (seen > most) {
          throw new TooLargeException();
        }
      }

      @Override
      public boolean isFinished() {
        return inner.isFinished();
      }

      @Override
      public boolean isReady() {
        return inner.isReady();
      }

      @Override
      public void setReadListener(ReadListener listener) {
        inner.setReadListener(listener);
      }
    };
  }
}
