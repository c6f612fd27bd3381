package app.korvel.bench;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** One kept-alive HTTP/1.1 connection that costs the measuring side as little as possible. */
final class Connection implements AutoCloseable {
  private final Socket socket;
  private final OutputStream out;
  private final InputStream in;

  Connection(int port) throws IOException {
    socket = new Socket(InetAddress.getLoopbackAddress(), port);
    socket.setTcpNoDelay(true);
    out = socket.getOutputStream();
    in = new BufferedInputStream(socket.getInputStream(), 1 << 16);
  }

  /** A POST as it goes over the wire. */
  static byte[] post(int port, String path, String json) {
    byte[] body = json.getBytes(StandardCharsets.UTF_8);
    return ("POST "
            + path
            + " HTTP/1.1\r\nHost: 127.0.0.1:"
            + port
            + "\r\nContent-Type: application/json\r\nContent-Length: "
            + body.length
            + "\r\n\r\n"
            + json)
        .getBytes(StandardCharsets.UTF_8);
  }

  /** A GET as it goes over the wire. */
  static byte[] get(int port, String path) {
    return ("GET " + path + " HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\n\r\n")
        .getBytes(StandardCharsets.UTF_8);
  }

  /**
   * Sends a request and reads the whole answer.
   *
   * @return bytes of its body
   * @throws IOException when it is not answered with 200
   */
  int exchange(byte[] request) throws IOException {
    out.write(request);
    String status = line();
    if (!status.contains(" 200")) {
      throw new IOException(status);
    }
    int length = -1;
    boolean chunked = false;
    for (String header = line(); !header.isEmpty(); header = line()) {
      String lower = header.toLowerCase(Locale.ROOT);
      if (lower.startsWith("content-length:")) {
        length = Integer.parseInt(header.substring(15).strip());
      }
      chunked |= lower.startsWith("transfer-encoding:") && lower.contains("chunked");
    }
    if (!chunked) {
      in.skipNBytes(length);
      return length;
    }
    int total = 0;
    for (int size = chunk(); size > 0; size = chunk()) {
      in.skipNBytes(size + 2L);
      total += size;
    }
    line();
    return total;
  }

  private int chunk() throws IOException {
    return Integer.parseInt(line(), 16);
  }

  private String line() throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream(64);
    for (int b = in.read(); b != '\n'; b = in.read()) {
      if (b < 0) {
        throw new IOException("the server closed the connection");
      }
      if (b != '\r') {
        line.write(b);
      }
    }
    return line.toString(StandardCharsets.US_ASCII);
  }

  @Override
  public void close() throws IOException {
    socket.close();
  }
}
