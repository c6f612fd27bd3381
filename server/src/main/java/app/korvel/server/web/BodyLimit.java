package app.korvel.server.web;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** A request whose body ends at 1 MiB, whatever its headers promise. */
final class BodyLimit extends HttpServletRequestWrapper {
  static final int MOST_BYTES = 1 << 20;

  /** The body went past the limit. */
  static final class TooLargeException extends IOException {
    private static final long serialVersionUID = 1L;
  }

  BodyLimit(HttpServletRequest request) {
    super(request);
  }

  static ProblemDetail problem() {
    return ProblemType.TOO_LARGE.problem(
        HttpStatus.CONTENT_TOO_LARGE, "Accepted: a body of up to 1 MiB.");
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
        if (seen > MOST_BYTES) {
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
