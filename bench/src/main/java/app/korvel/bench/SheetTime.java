package app.korvel.bench;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Cards as PDFs: the whole exchange, from the request to the last byte of the file. */
final class SheetTime {
  private static final int WARM_UP = 60;
  private static final int ONE_CARD = 200;
  private static final int CLASSES = 30;
  private static final int CLASS = 60;

  void run() throws IOException {
    int port = KorvelProcess.freePort();
    try (KorvelProcess server =
        KorvelProcess.ready(KorvelProcess.launcher("demo", "--port", "" + port), port)) {
      List<String> clients = withACard(server.address());
      byte[] card = request(port, clients.subList(0, 1), "\"paper\":null");
      List<String> sixty = new ArrayList<>();
      while (sixty.size() < CLASS) {
        sixty.addAll(clients);
      }
      byte[] all = request(port, sixty.subList(0, CLASS), "\"paper\":\"a4\"");
      print("the first card after a start", port, card, 1);
      times(port, card, WARM_UP);
      print("one card, A6", port, card, ONE_CARD);
      print("the first class of " + CLASS + " after it", port, all, 1);
      times(port, all, WARM_UP / 10);
      print("a class of " + CLASS + " on A4, four to a sheet", port, all, CLASSES);
    }
  }

  private static void print(String what, int port, byte[] request, int count) throws IOException {
    System.out.println(new Sample(what, "ms", times(port, request, count)).line());
  }

  private static double[] times(int port, byte[] request, int count) throws IOException {
    double[] times = new double[count];
    for (int i = 0; i < count; i++) {
      try (Connection connection = new Connection(port)) {
        long started = System.nanoTime();
        connection.exchange(request);
        times[i] = (System.nanoTime() - started) / 1e6;
      }
    }
    return times;
  }

  private static byte[] request(int port, List<String> clients, String paper) {
    return Connection.post(
        port,
        "/api/sheets/cards/pdf",
        "{\"clients\":"
            + clients.stream()
                .map(id -> "\"" + id + "\"")
                .collect(Collectors.joining(",", "[", "]"))
            + ",\"size\":\"a6\",\"windows\":[10,15],"
            + paper
            + "}");
  }

  /** Those of the demo whose prescription holds today. */
  private static List<String> withACard(String address) throws IOException {
    List<String> found = new ArrayList<>();
    for (String client : ids(read(address + "/api/clients?q="))) {
      String made = read(address + "/api/clients/" + client + "/prescriptions");
      if (made.contains("\"state\":\"issued\"")) {
        found.add(client);
      }
    }
    Collections.sort(found);
    return found;
  }

  private static List<String> ids(String json) {
    List<String> ids = new ArrayList<>();
    Matcher each = Pattern.compile("\\{\"id\":\"([0-9a-f-]{36})\"").matcher(json);
    while (each.find()) {
      ids.add(each.group(1));
    }
    return ids;
  }

  private static String read(String address) throws IOException {
    URL url = URI.create(address).toURL();
    try (InputStream in = url.openStream()) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }
}
